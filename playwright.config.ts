import { defineConfig } from "@playwright/test";

/** Debian's Chromium, headless, as root too, with a fresh profile and no network of its own. */
export default defineConfig({
	testDir: "e2e",
	testMatch: "**/*.spec.ts",
	globalSetup: "./e2e/seedOnce.ts",
	// Limits only, for a machine that others use too: what is quick takes no longer for them.
	timeout: 300_000,
	expect: { timeout: 45_000 },
	workers: 2,
	fullyParallel: false,
	forbidOnly: true,
	retries: 0,
	reporter: [["list"]],
	outputDir: "test-results",
	use: {
		locale: "en-GB",
		timezoneId: "Atlantic/Faroe",
		actionTimeout: 30_000,
		viewport: { width: 1280, height: 800 },
		launchOptions: {
			executablePath: "/usr/bin/chromium",
			args: [
				"--no-sandbox",
				"--disable-gpu",
				"--disable-quic",
				"--no-first-run",
				"--disable-background-networking",
				"--disable-component-update",
				"--disable-sync",
			],
		},
	},
});
