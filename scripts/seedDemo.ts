import { existsSync } from "node:fs";
import { mkdir, rename } from "node:fs/promises";
import { join, resolve } from "node:path";
import { Refusal } from "#core/check";
import { readBook, readSittings, Unopened } from "#db";
import { seedSkerryHouse, seedSkerryRecords } from "#db/demo";
import { type Config, readConfig } from "../server/config.ts";
import { openStore } from "../server/openStore.ts";

/** Puts Skerry House into an empty database; `--fresh` sets the old one aside first. */

const WEEK_MS = 7 * 24 * 3600_000;

try {
	await seed(readConfig(process.env));
} catch (error) {
	if (!(error instanceof Refusal || error instanceof Unopened)) throw error;
	console.error(`Cannot start. ${error.message}`);
	process.exitCode = 1;
}

async function seed(config: Config): Promise<void> {
	if (process.argv.includes("--fresh")) await setAside(config);
	const store = await openStore(config);
	if ((await readBook(store.db)).length === 0) {
		await seedSkerryHouse(store, Date.now(), resolve("db/demo/book"));
		await seedSkerryRecords(store, Date.now());
		console.log("Demo data of Skerry House is in.");
	} else if ((await readSittings(store.db, Date.now(), Date.now() + WEEK_MS * 3)).length === 0) {
		console.log("The demo sittings have passed; npm run demo -- --fresh makes new ones.");
	}
	await store.close();
}

async function setAside(config: Config): Promise<void> {
	if (!config.DATABASE_URL.startsWith("file:")) {
		throw new Refusal([
			{
				field: "--fresh",
				message: "only a database file is replaced; clear a libSQL server by its own tools",
			},
		]);
	}
	const file = config.DATABASE_URL.slice("file:".length);
	if (!existsSync(file)) return;
	const folder = join(config.WT_DATA, "backups");
	await mkdir(folder, { recursive: true });
	const stamp = new Date().toISOString().replaceAll(":", "-");
	for (const part of ["", "-wal", "-shm"]) {
		if (existsSync(file + part)) await rename(file + part, join(folder, `before-fresh-${stamp}.db${part}`));
	}
	console.log(`The old demo data is kept in ${folder}.`);
}
