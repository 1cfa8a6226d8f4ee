/** The development server: sources are reloaded as they change. */
import express from "express";
import { createServer } from "vite";

process.env.WT_DATA ||= "data/demo";
process.env.LOG_LEVEL ||= "warn";
const vite = await createServer({ server: { middlewareMode: true } });
const entry = () => vite.ssrLoadModule("./server/entry.ts");

const { readConfig, openStore, HeavyPool, Live } = await entry();
const config = readConfig(process.env);
const store = await openStore(config);
const pool = new HeavyPool(config);
const live = new Live(store);
const app = express();
app.use(vite.middlewares);
app.use(async (request, response, next) => {
	try {
		const { makeApp } = await entry();
		makeApp(config, store, pool, live)(request, response, next);
	} catch (error) {
		vite.ssrFixStacktrace(error);
		next(error);
	}
});
app.listen(config.PORT, config.HOST, () => {
	console.log(`Wide Table, development: http://${config.HOST}:${config.PORT}/`);
});
