import { reactRouter } from "@react-router/dev/vite";
import { defineConfig } from "vite";

export default defineConfig({
	plugins: [reactRouter()],
	environments: { ssr: { build: { rollupOptions: { input: "./server/entry.ts" } } } },
	build: { target: "es2022", assetsInlineLimit: 0 },
});
