import { resolve } from "node:path";
import { ensureHouse, ensureListed, Store } from "#db";
import type { Config } from "./config.ts";

/** Opens the house's database with its first rows. */
export async function openStore(config: Config): Promise<Store> {
	const store = await Store.open({
		url: config.DATABASE_URL,
		...(config.DATABASE_AUTH_TOKEN ? { authToken: config.DATABASE_AUTH_TOKEN } : {}),
		backups: resolve(config.WT_DATA, "backups"),
		migrations: resolve("db/migrations"),
	});
	await ensureHouse(store);
	await ensureListed(store);
	return store;
}
