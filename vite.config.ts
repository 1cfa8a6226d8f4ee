import { reactRouter } from "@react-router/dev/vite";
import { defineConfig, type Plugin } from "vite";

/** The server's two files: the one that answers, and the threads' beside it. */
const twoServerFiles: Plugin = {
	name: "two-server-files",
	configEnvironment: (name) =>
		name === "ssr" ? { build: { rollupOptions: { output: { entryFileNames: "[name].js" } } } } : undefined,
};

export default defineConfig({
	plugins: [reactRouter(), twoServerFiles],
	environments: {
		ssr: {
			build: {
				rollupOptions: { input: { index: "./server/entry.ts", heavy: "./app/heavy.worker.ts" } },
			},
		},
	},
	build: { target: "es2022", assetsInlineLimit: 0 },
});
