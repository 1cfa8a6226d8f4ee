import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { ensureHouse, Store } from "./index.ts";

/** An empty house in a folder of its own, for tests and benchmarks. */
export async function freshStore(): Promise<Store> {
	const folder = mkdtempSync(join(tmpdir(), "wide-table-"));
	const store = await Store.open({
		url: `file:${folder}/house.db`,
		backups: join(folder, "backups"),
		migrations: resolve("db/migrations"),
	});
	await ensureHouse(store);
	return store;
}
