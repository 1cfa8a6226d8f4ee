import { defineConfig } from "vitest/config";

export default defineConfig({
	test: {
		include: [
			"core/**/*.test.ts",
			"db/**/*.test.ts",
			"server/**/*.test.ts",
			"app/**/*.test.ts",
			"scripts/**/*.test.ts",
		],
		testTimeout: 60_000,
	},
});
