import type { Server } from "node:http";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express, { type Express } from "express";
import { pino } from "pino";
import { pinoHttp } from "pino-http";
import { RouterContextProvider, type ServerBuild } from "react-router";
import { pathOf, type Store } from "#db";
import { type Config, readConfig } from "./config.ts";
import { comesFromOrigins, keptNowhere, knownRequests } from "./doors.ts";
import { keepCopies } from "./keepCopies.ts";
import { Live } from "./live.ts";
import { openStore } from "./openStore.ts";
import { HeavyPool } from "./pool.ts";
import { NOBODY_NAMED, readPreferences } from "./preferences.ts";
import { limitedBody, sameOriginOnly, securityHeaders } from "./security.ts";
import { visitContext } from "./visit.ts";

export { HeavyPool, Live, openStore, readConfig };

const DEVELOPMENT = import.meta.env.DEV;

const pages = () => import("virtual:react-router/server-build") as Promise<ServerBuild>;

/** The whole application but the files the browser is given. */
export function makeApp(config: Config, store: Store, pool: HeavyPool, live: Live): Express {
	const logger = pino({ level: config.LOG_LEVEL });
	const app = express();
	app.disable("x-powered-by");
	app.get("/healthz", async (_request, response) => {
		response.type("text/plain");
		try {
			await store.ping();
			const { unwritten } = store;
			response.status(unwritten ? 503 : 200).send(unwritten ? `read only: ${unwritten}` : "ok");
		} catch {
			response.status(503).send("the database does not answer");
		}
	});
	const doors = { origins: config.WT_ORIGINS };
	app.use(pinoHttp({ logger, serializers: BRIEF }));
	app.use(knownRequests(doors));
	app.use(compression());
	app.use(securityHeaders(DEVELOPMENT));
	app.use(comesFromOrigins(doors));
	app.use(sameOriginOnly);
	app.use(limitedBody);
	if (!DEVELOPMENT) {
		app.use("/assets", express.static("build/client/assets", { immutable: true, maxAge: "1y" }));
		app.use(express.static("build/client", { maxAge: "1h" }));
	}
	app.use(keptNowhere);
	app.use(
		createRequestHandler({
			build: pages,
			getLoadContext: async (request, response) => {
				const preferences = await readPreferences(request.headers.cookie ?? null);
				const context = new RouterContextProvider();
				context.set(visitContext, {
					store,
					pool,
					live,
					printer: config.WT_PRINTER,
					preferences,
					who: preferences.who ?? NOBODY_NAMED,
					nonce: response.locals.nonce,
				});
				return context;
			},
		}),
	);
	return app;
}

/** Requests in the log: what was asked and how it ended; no cookies, no bodies, nothing that was typed. */
const BRIEF = {
	req: ({ method, url }: { method: string; url: string }) => ({ method, url: url.split("?", 1)[0] }),
	res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
};

/** Reads the environment, opens the store and listens; stops cleanly on SIGTERM and SIGINT. */
export async function start(): Promise<void> {
	const config = readConfig(process.env);
	const store = await openStore(config);
	const pool = new HeavyPool(config);
	// The threads begin while this one reads its pages.
	const warm = pool.warm();
	const live = new Live(store);
	await pages();
	const server = makeApp(config, store, pool, live).listen(config.PORT, config.HOST);
	const end = () =>
		void stop(server, store, pool, live).then(
			() => process.exit(0),
			(error: unknown) => {
				console.error("Wide Table did not end cleanly:", error);
				process.exit(1);
			},
		);
	server.once("listening", () => {
		process.send?.("listening");
		void warm.then(() => askOnce(config));
		// Whoever started it is gone: nobody would stop it.
		process.once("disconnect", end);
		keepCopies(config, (line) => console.error(`No copy of the database was made: ${line}`));
		console.log(`Wide Table: http://${config.HOST}:${config.PORT}/`);
		console.log(`Data: ${pathOf(config.DATABASE_URL)}`);
	});
	server.once("error", (error) => {
		console.error(`Cannot start. ${whyNotListening(error, config)}`);
		process.exit(1);
	});
	for (const signal of ["SIGTERM", "SIGINT"] as const) process.once(signal, end);
}

/** Asks for the first page as somebody would, so that whoever does so first finds it written before. */
async function askOnce({ HOST, PORT }: Config): Promise<void> {
	await fetch(`http://${HOST}:${PORT}/`, { signal: AbortSignal.timeout(ASKED_ONCE_MS) })
		.then((answer) => answer.arrayBuffer())
		// Nobody waits for it.
		.catch(() => {});
}

const ASKED_ONCE_MS = 30_000;

function whyNotListening(error: NodeJS.ErrnoException, { HOST, PORT }: Config): string {
	if (error.code === "EADDRINUSE") {
		return `PORT: ${PORT} on ${HOST} is in use; stop what uses it, or set another, such as PORT=${PORT + 1}.`;
	}
	if (error.code === "EACCES") return `PORT: ${PORT} is not allowed to you; one above 1023 is.`;
	if (error.code === "EADDRNOTAVAIL" || error.code === "ENOTFOUND") {
		return `HOST: ${HOST} is no address of this machine.`;
	}
	return `PORT ${PORT} on ${HOST}: ${error.message}`;
}

/** How long open requests may take to end before they are cut, ms. */
const PATIENCE_MS = 10_000;

/** No new requests, the open ones to their end, then the database. */
async function stop(server: Server, store: Store, pool: HeavyPool, live: Live): Promise<void> {
	live.stop();
	const cut = setTimeout(() => server.closeAllConnections(), PATIENCE_MS);
	await new Promise((done) => {
		server.close(done);
		server.closeIdleConnections();
	});
	clearTimeout(cut);
	await pool.close();
	await store.close();
}
