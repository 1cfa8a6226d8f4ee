import { resolve } from "node:path";
import { data } from "react-router";
import { ensureHouse, ensureListed, Store } from "#db";
import { type Config, copiesFolder } from "./config.ts";

/** Opens the house's database with its first rows. */
export async function openStore(config: Config): Promise<Store> {
	const store = await Store.open({
		url: config.DATABASE_URL,
		...(config.DATABASE_AUTH_TOKEN ? { authToken: config.DATABASE_AUTH_TOKEN } : {}),
		backups: copiesFolder(config),
		migrations: resolve("db/migrations"),
		thrown: ({ message }) => data({ said: `Not saved: ${message}.` }, { status: 503 }),
	});
	await ensureHouse(store);
	await ensureListed(store);
	return store;
}
