import { mkdir } from "node:fs/promises";
import { join } from "node:path";
import { type Client, createClient } from "@libsql/client";
import { drizzle, type LibSQLDatabase } from "drizzle-orm/libsql";
import { readMigrationFiles } from "drizzle-orm/migrator";
import * as schema from "./schema.ts";

export type Database = LibSQLDatabase<typeof schema>;
export type Transaction = Parameters<Parameters<Database["transaction"]>[0]>[0];
/** Either reads alike. */
export type Reader = Database | Transaction;

export interface StoreOptions {
	/** `file:/path/to.db`, or the address of a libSQL server. */
	readonly url: string;
	readonly authToken?: string;
	/** Folder for backups; only a file needs it. */
	readonly backups: string;
	readonly migrations: string;
}

/** How long a write waits for another process to finish its own, ms. */
const BUSY_MS = 5000;

/** The database: reads at any time, writes one after another, each whole or not at all. */
export class Store {
	readonly db: Database;
	readonly #client: Client;
	#lastWrite: Promise<unknown> = Promise.resolve();

	private constructor(client: Client) {
		this.#client = client;
		this.db = drizzle(client, { schema });
	}

	/** Opens the database, saves a copy if its shape is about to change, and brings it up to date. */
	static async open(options: StoreOptions): Promise<Store> {
		const client = createClient({
			url: options.url,
			timeout: BUSY_MS,
			...(options.authToken ? { authToken: options.authToken } : {}),
		});
		const isFile = options.url.startsWith("file:");
		if (isFile) {
			await client.execute("PRAGMA journal_mode = WAL");
			await requireForeignKeys(client);
		}
		await migrate(client, options, isFile);
		return new Store(client);
	}

	/**
	 * One change, whole or not at all. Writes of this process queue up here, because two
	 * open transactions would wait for each other; other processes wait at the database.
	 */
	write<T>(change: (tx: Transaction) => Promise<T>): Promise<T> {
		const turn = this.#lastWrite.then(() => this.db.transaction(change, { behavior: "immediate" }));
		this.#lastWrite = turn.catch(() => undefined);
		return turn;
	}

	/** Answers when the database does. */
	async ping(): Promise<void> {
		await this.#client.execute("SELECT 1");
	}

	/** Lets the writes that have begun finish, then closes. */
	async close(): Promise<void> {
		await this.#lastWrite;
		this.#client.close();
	}
}

async function requireForeignKeys(client: Client): Promise<void> {
	const { rows } = await client.execute("PRAGMA foreign_keys");
	if (rows[0]?.foreign_keys !== 1) throw new Error("the database does not check foreign keys");
}

const JOURNAL = "wide_table_migration";

async function migrate(client: Client, options: StoreOptions, isFile: boolean): Promise<void> {
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
			throw new Error(
				`the database was made by another version of Wide Table (step ${index + 1} differs); start that version, or restore a backup`,
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
	const stamp = new Date().toISOString().replaceAll(":", "-");
	await client.execute({ sql: "VACUUM INTO ?", args: [join(folder, `before-migration-${stamp}.db`)] });
}
