import { existsSync } from "node:fs";
import { copyFile, mkdir, readdir, rename, rm } from "node:fs/promises";
import { join } from "node:path";
import { type Client, createClient } from "@libsql/client";
import { isFile, pathOf, stamp } from "./files.ts";
import { JOURNAL } from "./migrate.ts";
import { isBusy, Unopened } from "./whyNot.ts";

const COPY = /^copy-\d{4}-\d\d-\d\dT[\d-]+Z\.db$/;
/** The files of a database, by what stands after its path. */
const PARTS = ["", "-wal", "-shm"];

/**
 * Copies a database that may be in use into a folder, whole as of one moment, and lets the oldest
 * copies beyond a number go.
 *
 * @param url `file:` and the path of the database
 * @returns path of the copy
 * @throws {Unopened} when there is no such file, or it is no database of Wide Table
 */
export async function backUp(url: string, folder: string, kept: number): Promise<string> {
	const client = await openFile(url);
	const path = join(folder, `copy-${stamp()}.db`);
	try {
		await mkdir(folder, { recursive: true });
		await client.execute({ sql: "VACUUM INTO ?", args: [`${path}.part`] });
		await rename(`${path}.part`, path);
	} finally {
		client.close();
		await rm(`${path}.part`, { force: true });
	}
	for (const name of (await copiesIn(folder)).slice(kept)) await rm(join(folder, name));
	return path;
}

/** The copies of a folder made by {@link backUp}, the newest first. */
export async function copiesIn(folder: string): Promise<readonly string[]> {
	if (!existsSync(folder)) return [];
	const names = await readdir(folder);
	return names
		.filter((name) => COPY.test(name))
		.sort()
		.reverse();
}

/**
 * Puts a copy in the place of the database. What was there is kept in the folder of copies first.
 *
 * @returns path where the database that was replaced is kept; null when there was none
 * @throws {Unopened} when the copy is damaged or foreign, or the database is in use
 */
export async function restore(copy: string, url: string, folder: string): Promise<string | null> {
	(await openFile(`file:${copy}`)).close();
	const path = pathOf(url);
	const alone = await heldAlone(url, path);
	try {
		await mkdir(folder, { recursive: true });
		await copyFile(copy, `${path}.part`);
		const kept = existsSync(path) ? join(folder, `before-restore-${stamp()}.db`) : null;
		for (const part of PARTS) {
			if (kept !== null && existsSync(path + part)) await copyFile(path + part, kept + part);
		}
		await rename(`${path}.part`, path);
		for (const part of PARTS.slice(1)) await rm(path + part, { force: true });
		return kept;
	} finally {
		alone?.close();
		await rm(`${path}.part`, { force: true });
	}
}

/** Opens a file that must be a whole database of Wide Table. */
async function openFile(url: string): Promise<Client> {
	const path = pathOf(url);
	if (!isFile(url)) {
		throw new Unopened(
			`${url} is a server; it is copied and brought back there. Files alone are copied here.`,
		);
	}
	if (!existsSync(path)) throw new Unopened(`There is no file ${path}.`);
	const client = createClient({ url });
	try {
		const { rows } = await client.execute("PRAGMA quick_check(1)");
		const journal = await client.execute(`SELECT count(*) AS steps FROM ${JOURNAL}`);
		if (rows[0]?.quick_check === "ok" && Number(journal.rows[0]?.steps) > 0) return client;
	} catch {
		// Said below, whatever it was.
	}
	client.close();
	throw new Unopened(`${path} is damaged, or is no database of Wide Table.`);
}

/**
 * Holds a database that nobody else has open, since its file is about to be replaced.
 *
 * @returns null when there is none, or it is too damaged to be held
 */
async function heldAlone(url: string, path: string): Promise<Client | null> {
	if (!existsSync(path)) return null;
	const client = createClient({ url, timeout: 0, concurrency: 1 });
	try {
		await client.executeMultiple("PRAGMA locking_mode = EXCLUSIVE; BEGIN IMMEDIATE; ROLLBACK;");
		return client;
	} catch (error) {
		client.close();
		if (isBusy(error)) throw new Unopened(`${path} is in use; stop Wide Table first, then restore.`);
		return null;
	}
}
