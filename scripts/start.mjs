/** Serves the production build. `npm run build` comes first; `npm run demo` does both. */
process.chdir(new URL("..", import.meta.url).pathname);
process.env.NODE_ENV = "production";
const { start } = await import(new URL("../build/server/index.js", import.meta.url).href);
try {
	await start();
} catch (error) {
	console.error(error?.name === "Refusal" ? `Cannot start. ${error.message}` : error);
	process.exit(1);
}
