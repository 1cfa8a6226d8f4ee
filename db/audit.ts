import { asc, gt, sql } from "drizzle-orm";
import { type Break, ChainWalk, type Linked } from "#core/records";
import { readingSaid } from "./readings.ts";
import { saidOf, sha256 } from "./record.ts";
import type { Reader } from "./Store.ts";
import { reading, record } from "./schema.ts";

/** What a chain of the record was found to be. */
export interface Audited {
	readonly chain: "record" | "reading";
	readonly rows: number;
	/** The hash of the last row: written down elsewhere, it proves what was there on that day. */
	readonly head: string;
	readonly breaks: readonly Break[];
}

/** So many rows are read at once. */
const PAGE = 20_000;

/**
 * Walks every row of the record and of the readings, and finds what was altered, removed or put
 * elsewhere since it was written.
 */
export async function audit(db: Reader): Promise<Audited[]> {
	return [
		await walked(db, "record", entriesAfter, saidOf),
		await walked(db, "reading", readingsAfter, readingSaid),
	];
}

/** One chain, page by page. */
async function walked<Row extends Linked>(
	db: Reader,
	chain: Audited["chain"],
	after: (db: Reader, number: number) => PromiseLike<Row[]>,
	said: (row: Row) => (string | number | null)[],
): Promise<Audited> {
	const walk = new ChainWalk(sha256);
	let rows = 0;
	for (let page = await after(db, 0); page.length > 0; page = await after(db, walk.head.number)) {
		for (const row of page) walk.step(row, said(row));
		rows += page.length;
	}
	walk.end(await numbersGiven(db, chain));
	return { chain, rows, head: walk.head.hash, breaks: walk.breaks };
}

function entriesAfter(db: Reader, number: number) {
	return db.select().from(record).where(gt(record.number, number)).orderBy(asc(record.number)).limit(PAGE);
}

function readingsAfter(db: Reader, number: number) {
	return db.select().from(reading).where(gt(reading.number, number)).orderBy(asc(reading.number)).limit(PAGE);
}

/** The highest number that was ever given: the database keeps it where rows are gone. */
async function numbersGiven(db: Reader, table: Audited["chain"]): Promise<number> {
	const rows = await db.all<{ seq: number }>(sql`SELECT seq FROM sqlite_sequence WHERE name = ${table}`);
	return rows[0]?.seq ?? 0;
}

/** The last hashes of both chains, for paper. */
export async function readHeads(db: Reader): Promise<{ readonly record: string; readonly reading: string }> {
	const [[entry], [read]] = await Promise.all([
		db.select({ hash: record.hash }).from(record).orderBy(sql`number DESC`).limit(1),
		db.select({ hash: reading.hash }).from(reading).orderBy(sql`number DESC`).limit(1),
	]);
	return { record: entry?.hash ?? "", reading: read?.hash ?? "" };
}
