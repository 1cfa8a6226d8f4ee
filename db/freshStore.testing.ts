import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { ensureHouse, Store } from "./index.ts";

/** An empty house in a folder of its own, for tests and benchmarks. */
export async function freshStore(): Promise<Store> {
	const store = await storeIn(mkdtempSync(join(tmpdir(), "wide-table-")));
	await ensureHouse(store);
	return store;
}

/** Opens the house of a folder, as a start does. */
export function storeIn(folder: string): Promise<Store> {
	return Store.open({
		url: `file:${folder}/house.db`,
		backups: join(folder, "backups"),
		migrations: resolve("db/migrations"),
	});
}
