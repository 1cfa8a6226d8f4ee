import { existsSync, statSync } from "node:fs";
import { mkdir } from "node:fs/promises";
import { join } from "node:path";
import type { Client } from "@libsql/client";
import { readMigrationFiles } from "drizzle-orm/migrator";
import { pathOf, stamp } from "./files.ts";
import { Unopened } from "./whyNot.ts";

/** Table of the steps a database has been through. */
export const JOURNAL = "wide_table_migration";

interface Steps {
	readonly url: string;
	/** Folder for the copy before a change of shape. */
	readonly backups: string;
	readonly migrations: string;
}

/** Saves a copy if the shape of the database is about to change, and brings it up to date. */
export async function migrate(client: Client, options: Steps, isFile: boolean): Promise<void> {
	const all = readMigrationFiles({ migrationsFolder: options.migrations });
	if (isFile) await backUpBefore(client, all.length, options.backups);
	const tx = await client.transaction("write");
	try {
		await tx.execute(
			`CREATE TABLE IF NOT EXISTS ${JOURNAL} (number INTEGER PRIMARY KEY, hash TEXT NOT NULL, at INTEGER NOT NULL)`,
		);
		const { rows } = await tx.execute(`SELECT hash FROM ${JOURNAL} ORDER BY number`);
		rows.forEach((row, index) => {
			if (all[index]?.hash === row.hash) return;
			throw new Unopened(
				`DATABASE_URL: ${options.url} was made by another version of Wide Table (step ${index + 1} differs); start that version, or bring a copy back with \`npm run restore\`. Nothing was changed.`,
			);
		});
		for (const [index, step] of all.entries()) {
			if (index < rows.length) continue;
			for (const statement of step.sql) await tx.execute(statement);
			await tx.execute({
				sql: `INSERT INTO ${JOURNAL} (number, hash, at) VALUES (?, ?, ?)`,
				args: [index + 1, step.hash, Date.now()],
			});
		}
		await tx.commit();
	} finally {
		tx.close();
	}
}

async function backUpBefore(client: Client, wanted: number, folder: string): Promise<void> {
	const { rows } = await client.execute({
		sql: "SELECT count(*) AS tables FROM sqlite_master WHERE name = ?",
		args: [JOURNAL],
	});
	if (rows[0]?.tables === 0) return;
	const done = await client.execute(`SELECT count(*) AS steps FROM ${JOURNAL}`);
	if (Number(done.rows[0]?.steps) >= wanted) return;
	await mkdir(folder, { recursive: true });
	await client.execute({ sql: "VACUUM INTO ?", args: [join(folder, `before-migration-${stamp()}.db`)] });
}

/**
 * A file that is there has something in it; one that is not there is made.
 *
 * @throws {Unopened} for an empty file
 */
export function requireFilled(url: string): void {
	const path = pathOf(url);
	if (existsSync(path) && statSync(path).size === 0) {
		throw new Unopened(
			`DATABASE_URL: ${url} is empty. Bring a copy back with \`npm run restore\`, or remove the file to begin a new house. Nothing was changed.`,
		);
	}
}

/** @throws {Unopened} when pages are damaged, or the tables are not those of Wide Table */
export async function requireOwn(client: Client, url: string): Promise<void> {
	const { rows } = await client.execute("PRAGMA quick_check(1)");
	if (rows[0]?.quick_check !== "ok") throw new Error(`SQLITE_CORRUPT ${rows[0]?.quick_check}`);
	const tables = await client.execute(
		"SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'",
	);
	const names = tables.rows.map((row) => String(row.name));
	if (names.length === 0 || names.includes(JOURNAL)) return;
	throw new Unopened(
		`DATABASE_URL: ${url} is the database of another program. Name another file. Nothing was changed.`,
	);
}
