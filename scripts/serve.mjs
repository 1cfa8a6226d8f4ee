/** The server itself, from the production build; `scripts/start.mjs` starts it again when it breaks. */
process.chdir(new URL("..", import.meta.url).pathname);
process.env.NODE_ENV = "production";
try {
	const { start } = await import(new URL("../build/server/index.js", import.meta.url).href);
	await start();
} catch (error) {
	console.error(`Cannot start. ${sentenceOf(error)}`);
	process.exit(1);
}

function sentenceOf(error) {
	if (error?.code === "ERR_MODULE_NOT_FOUND" && String(error.message).includes("build/server")) {
		return "There is no build yet: `npm run build` makes it.";
	}
	return error instanceof Error ? error.message : String(error);
}
