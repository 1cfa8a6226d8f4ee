import type { Server } from "node:http";
import { createRequestHandler } from "@react-router/express";
import compression from "compression";
import express, { type Express } from "express";
import { pino } from "pino";
import { pinoHttp } from "pino-http";
import { RouterContextProvider, type ServerBuild } from "react-router";
import type { Store } from "#db";
import { type Config, readConfig } from "./config.ts";
import { openStore } from "./openStore.ts";
import { readPreferences } from "./preferences.ts";
import { limitedBody, sameOriginOnly, securityHeaders } from "./security.ts";
import { NOBODY_NAMED, visitContext } from "./visit.ts";

export { openStore, readConfig };

const DEVELOPMENT = import.meta.env.DEV;

/** The whole application but the files the browser is given. */
export function makeApp(config: Config, store: Store): Express {
	const logger = pino({ level: config.LOG_LEVEL });
	const app = express();
	app.disable("x-powered-by");
	app.get("/healthz", async (_request, response) => {
		await store.ping();
		response.type("text/plain").send("ok");
	});
	app.use(pinoHttp({ logger, serializers: BRIEF }));
	app.use(compression());
	app.use(securityHeaders(DEVELOPMENT));
	app.use(sameOriginOnly);
	app.use(limitedBody);
	if (!DEVELOPMENT) {
		app.use("/assets", express.static("build/client/assets", { immutable: true, maxAge: "1y" }));
		app.use(express.static("build/client", { maxAge: "1h" }));
	}
	app.use(
		createRequestHandler({
			build: () => import("virtual:react-router/server-build") as Promise<ServerBuild>,
			getLoadContext: async (request, response) => {
				const preferences = await readPreferences(request.headers.cookie ?? null);
				const context = new RouterContextProvider();
				context.set(visitContext, {
					store,
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

/** Requests in the log: what was asked and how it ended, no cookies and no bodies. */
const BRIEF = {
	req: ({ method, url }: { method: string; url: string }) => ({ method, url }),
	res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
};

/** Reads the environment, opens the store and listens; stops cleanly on SIGTERM and SIGINT. */
export async function start(): Promise<void> {
	const config = readConfig(process.env);
	const store = await openStore(config);
	const server = makeApp(config, store).listen(config.PORT, config.HOST);
	server.once("listening", () => {
		console.log(`Wide Table: http://${config.HOST}:${config.PORT}/`);
		console.log(
			`Data: ${config.DATABASE_URL.startsWith("file:") ? config.DATABASE_URL.slice(5) : config.DATABASE_URL}`,
		);
	});
	server.once("error", (error) => {
		console.error(`PORT ${config.PORT} on ${config.HOST}: ${error.message}`);
		process.exit(1);
	});
	for (const signal of ["SIGTERM", "SIGINT"] as const) {
		process.once(signal, () => void stop(server, store));
	}
}

/** How long open requests may take to end before they are cut, ms. */
const PATIENCE_MS = 10_000;

/** No new requests, the open ones to their end, then the database. */
async function stop(server: Server, store: Store): Promise<void> {
	const cut = setTimeout(() => server.closeAllConnections(), PATIENCE_MS);
	await new Promise((done) => {
		server.close(done);
		server.closeIdleConnections();
	});
	clearTimeout(cut);
	await store.close();
	process.exit(0);
}
