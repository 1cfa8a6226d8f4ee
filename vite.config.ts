import { reactRouter } from "@react-router/dev/vite";
import { defineConfig, type Plugin } from "vite";

/** The server's two files: the one that answers, and the threads' beside it. */
const twoServerFiles: Plugin = {
	name: "two-server-files",
	configEnvironment: (name) =>
		name === "ssr" ? { build: { rollupOptions: { output: { entryFileNames: "[name].js" } } } } : undefined,
};

export default defineConfig(({ command }) => ({
	// Placed days are kept for the next start by the build that placed them.
	define:
		command === "build" ? { "process.env.WIDE_TABLE_BUILD": JSON.stringify(Date.now().toString(36)) } : {},
	plugins: [reactRouter(), twoServerFiles],
	environments: {
		ssr: {
			resolve: {
				// Of many small files each: read one by one, they make up most of a thread's start.
				noExternal: [
					"date-fns",
					"@date-fns/tz",
					"es-toolkit",
					"@sinclair/typebox",
					"drizzle-orm",
					/^@chakra-ui\//,
				],
			},
			build: {
				rollupOptions: { input: { index: "./server/entry.ts", heavy: "./app/heavy.worker.ts" } },
			},
		},
	},
	build: { target: "es2022", assetsInlineLimit: 0 },
}));
