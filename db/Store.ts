import { setTimeout as pause } from "node:timers/promises";
import { type Client, createClient, type InStatement } from "@libsql/client";
import { drizzle, type LibSQLDatabase } from "drizzle-orm/libsql";
import { isFile } from "./files.ts";
import { migrate, requireFilled, requireOwn } from "./migrate.ts";
import * as schema from "./schema.ts";
import { isBusy, Unwritten, whyUnopened, whyUnwritten } from "./whyNot.ts";

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
	/** How long a database server may take for one answer, ms. */
	readonly patience_ms?: number;
	/** What is thrown where a change could not be kept; without it, the reason itself. */
	readonly thrown?: (why: Unwritten) => unknown;
}

/** How long the driver itself waits for another process, ms. Everything else waits with it. */
const HELD_MS = 20;
/** How long a write waits for another process to finish its own, ms; meanwhile others are answered. */
const BUSY_MS = 5000;
/** A waiting write asks again after so long, ms: at first soon, then less often. */
const FIRST_PAUSE_MS = 10;
const LONGEST_PAUSE_MS = 200;
/** A database server that has not answered by then is taken for gone, ms. */
const SERVER_MS = 10_000;

/** The database: reads at any time, writes one after another, each whole or not at all. */
export class Store {
	readonly db: Database;
	/** Reads go by one client and writes by the other, so that either may let go of its connections. */
	readonly #reading: Client;
	readonly #writing: Client;
	readonly #changes: Database;
	readonly #isFile: boolean;
	readonly #thrown: (why: Unwritten) => unknown;
	#lastWrite: Promise<unknown> = Promise.resolve();
	#unwritten: Unwritten | null = null;

	private constructor(writing: Client, options: StoreOptions) {
		const reading = clientOf(options);
		this.#reading = reading;
		this.#writing = writing;
		this.#isFile = isFile(options.url);
		this.#thrown = options.thrown ?? ((why) => why);
		this.db = drizzle(reading, { schema });
		this.#changes = drizzle(writing, { schema });
	}

	/**
	 * Opens the database, saves a copy if its shape is about to change, and brings it up to date.
	 *
	 * @throws {Unopened} in a sentence that says what to do; nothing is made over what is there
	 */
	static async open(options: StoreOptions): Promise<Store> {
		try {
			return await Store.#opened(options);
		} catch (error) {
			throw whyUnopened(error, options.url);
		}
	}

	static async #opened(options: StoreOptions): Promise<Store> {
		const inFile = isFile(options.url);
		if (inFile) requireFilled(options.url);
		const writing = clientOf(options);
		try {
			if (inFile) {
				await requireOwn(writing, options.url);
				await writing.execute("PRAGMA journal_mode = WAL");
				await requireForeignKeys(writing);
			}
			await patiently(writing, () => migrate(writing, options, inFile));
			return new Store(writing, options);
		} catch (error) {
			writing.close();
			throw error;
		}
	}

	/**
	 * One change, whole or not at all. Writes of this process queue up here, because two
	 * open transactions would wait for each other; for other processes it waits a while.
	 *
	 * @throws {Unwritten} when the disk, another program or the server does not let it
	 */
	write<T>(change: (tx: Transaction) => Promise<T>): Promise<T> {
		const turn = this.#lastWrite.then(() => this.#written(change));
		this.#lastWrite = turn.catch(() => undefined);
		return turn;
	}

	/**
	 * The same for statements that are known beforehand and ask nothing: on the connection that is
	 * open, where a change with questions opens one of its own.
	 */
	writeKnown(statements: InStatement[]): Promise<unknown> {
		const turn = this.#lastWrite.then(() =>
			this.#kept(() => patiently(this.#writing, () => this.#writing.batch(statements, "write"))),
		);
		this.#lastWrite = turn.catch(() => undefined);
		return turn;
	}

	#written<T>(change: (tx: Transaction) => Promise<T>): Promise<T> {
		return this.#kept(() =>
			patiently(this.#writing, () => this.#changes.transaction(change, { behavior: "immediate" })),
		);
	}

	async #kept<T>(write: () => Promise<T>): Promise<T> {
		try {
			const kept = await write();
			this.#unwritten = null;
			return kept;
		} catch (error) {
			const why = whyUnwritten(error);
			if (!(why instanceof Unwritten)) throw why;
			this.#unwritten = why;
			throw this.#thrown(why);
		}
	}

	/** Why the last change was not kept; null while changes are kept. */
	get unwritten(): string | null {
		return this.#unwritten?.message ?? null;
	}

	/** Answers when the database does. */
	async ping(): Promise<void> {
		await this.#reading.execute("SELECT 1");
	}

	/** Lets the writes that have begun finish, brings a file to its whole state, then closes. */
	async close(): Promise<void> {
		await this.#lastWrite;
		if (this.#isFile) await this.#writing.execute("PRAGMA wal_checkpoint(TRUNCATE)").catch(() => undefined);
		this.#reading.close();
		this.#writing.close();
	}
}

async function requireForeignKeys(client: Client): Promise<void> {
	const { rows } = await client.execute("PRAGMA foreign_keys");
	if (rows[0]?.foreign_keys !== 1) throw new Error("the database does not check foreign keys");
}

/**
 * Does it, again and again for a while, as long as another program holds the database. Each time
 * with connections of its own: one that was refused a lock refuses to end a transaction ever after.
 */
async function patiently<T>(client: Client, work: () => Promise<T>): Promise<T> {
	const until = Date.now() + BUSY_MS;
	for (let pause_ms = FIRST_PAUSE_MS; ; pause_ms = Math.min(2 * pause_ms, LONGEST_PAUSE_MS)) {
		try {
			return await work();
		} catch (error) {
			if (!isBusy(error)) throw error;
			await client.reconnect();
			if (Date.now() + pause_ms > until) throw error;
			await pause(pause_ms);
		}
	}
}

function clientOf({ url, authToken, patience_ms = SERVER_MS }: StoreOptions): Client {
	return createClient({
		url,
		...(isFile(url) ? { timeout: HELD_MS } : { fetch: answeredWithin(patience_ms) }),
		...(authToken ? { authToken } : {}),
	});
}

/** Asks a database server, and stops waiting when it hangs. */
function answeredWithin(patience_ms: number): typeof fetch {
	return (input, init) => {
		const patience = AbortSignal.timeout(patience_ms);
		return fetch(input, {
			...init,
			signal: init?.signal ? AbortSignal.any([init.signal, patience]) : patience,
		});
	};
}
