import { defineConfig } from "vitest/config";

export default defineConfig({
	test: {
		include: [
			"core/**/*.test.ts",
			"db/**/*.test.ts",
			"server/**/*.test.ts",
			"app/**/*.test.{ts,tsx}",
			"scripts/**/*.test.ts",
		],
		testTimeout: 60_000,
	},
});
