import { availableParallelism } from "node:os";
import { defineConfig } from "vitest/config";

const testTimeout = 60_000;
/** What a file prepares may take as long as a test. */
const hookTimeout = testTimeout;

export default defineConfig({
	test: {
		// Tests are counted out to every core of a machine of two as well.
		maxWorkers: availableParallelism(),
		projects: [
			{
				// Nothing of these leaves anything behind in its thread, so files share what they import.
				test: {
					name: "without a page",
					include: ["{core,db,server,scripts,app}/**/*.test.ts"],
					setupFiles: ["core/random/seeds.testing.ts"],
					pool: "threads",
					isolate: false,
					testTimeout,
					hookTimeout,
				},
			},
			// Each of these has a page of its own.
			{
				test: {
					name: "on a page",
					include: ["app/**/*.test.tsx"],
					setupFiles: ["core/random/seeds.testing.ts"],
					testTimeout,
					hookTimeout,
				},
			},
		],
	},
});
