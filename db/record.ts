import { createHash } from "node:crypto";
import { and, asc, desc, eq, gte, inArray, isNull, lt, max, or, sql } from "drizzle-orm";
import { chunk } from "es-toolkit";
import {
	asItStands,
	checkedDoc,
	type Digest,
	type DocOf,
	hashOf,
	NO_HASH,
	ofKind,
	type RecordDoc,
	type RecordEntry,
	type RecordKind,
} from "#core/records";
import type { Reader, Store, Transaction } from "./Store.ts";
import { record } from "./schema.ts";

export const sha256: Digest = (text) => createHash("sha256").update(text).digest("hex");

type Row = typeof record.$inferSelect;

/** An entry that is to be written. */
export interface NewEntry {
	/** When it was so. */
	readonly at: number;
	readonly doc: RecordDoc;
}

/** The next numbers of what is counted. */
export interface NextNumbers {
	readonly lot: number;
	readonly watch: number;
	readonly delivery: number;
}

/**
 * Writes entries after all that is written, each chained to the one before it.
 *
 * @param clientId what the form calls itself: what it has written already is not written again
 * @param entriesOf what is to be written, given the next numbers; it may read, and refuse
 * @throws {Refusal} naming the field that does not hold
 */
export function writeRecord(
	store: Store,
	who: string,
	clientId: string,
	entriesOf: (next: NextNumbers, tx: Transaction) => readonly NewEntry[] | Promise<readonly NewEntry[]>,
): Promise<RecordEntry[]> {
	return store.write(async (tx) => {
		const before = await tx
			.select()
			.from(record)
			.where(eq(record.clientId, clientId))
			.orderBy(asc(record.number));
		if (before.length > 0) return before.map(entryOf);
		const entries = await entriesOf(await nextNumbers(tx), tx);
		if (entries.length === 0) return [];
		const [last] = await tx.select().from(record).orderBy(desc(record.number)).limit(1);
		let hash = last?.hash ?? NO_HASH;
		const rows = entries.map(({ at, doc }, index): Row => {
			const row = {
				number: (last?.number ?? 0) + index + 1,
				clientId,
				at,
				writtenAt: Date.now(),
				who,
				kind: doc.kind,
				lot: "lot" in doc ? doc.lot : null,
				watch: "watch" in doc ? doc.watch : null,
				doc: JSON.stringify(checkedDoc(doc)),
			};
			hash = hashOf(sha256, hash, saidOf(row));
			return { ...row, hash };
		});
		for (const some of chunk(rows, MOST_ROWS)) await tx.insert(record).values(some);
		return rows.map(entryOf);
	});
}

/** The driver binds so many values of so many rows in one statement. */
const MOST_ROWS = 1000;

/** All that a row says, as it is hashed. */
export function saidOf(row: Omit<Row, "hash">): (string | number | null)[] {
	const { number, clientId, at, writtenAt, who, kind, lot, watch, doc } = row;
	return [number, clientId, at, writtenAt, who, kind, lot, watch, doc];
}

async function nextNumbers(tx: Transaction): Promise<NextNumbers> {
	const [lot] = await tx
		.select({ most: max(record.lot) })
		.from(record)
		.where(eq(record.kind, "lot"));
	const [watch] = await tx
		.select({ most: max(record.watch) })
		.from(record)
		.where(eq(record.kind, "watch"));
	const [delivery] = await tx
		.select({ most: sql<number | null>`max(${record.doc} ->> '$.delivery')` })
		.from(record)
		.where(eq(record.kind, "delivery"));
	return {
		lot: (lot?.most ?? 0) + 1,
		watch: (watch?.most ?? 0) + 1,
		delivery: (delivery?.most ?? 0) + 1,
	};
}

function entryOf<K extends RecordKind>({ number, at, writtenAt, who, doc }: Row): RecordEntry<K> {
	return { number, at, writtenAt, who, doc: JSON.parse(doc) } as RecordEntry<K>;
}

/** All that was written of some lots, in order. */
export async function readLots(db: Reader, lots: readonly number[]): Promise<RecordEntry[]> {
	if (lots.length === 0) return [];
	const rows = await db
		.select()
		.from(record)
		.where(inArray(record.lot, [...lots]))
		.orderBy(asc(record.number));
	return rows.map(entryOf);
}

/** The same lot by lot. */
export async function readEntriesByLot(
	db: Reader,
	lots: readonly number[],
): Promise<ReadonlyMap<number, RecordEntry[]>> {
	const byLot = new Map([...new Set(lots)].map((lot): [number, RecordEntry[]] => [lot, []]));
	for (const entry of await readLots(db, [...byLot.keys()]))
		if ("lot" in entry.doc && entry.doc.lot !== null) byLot.get(entry.doc.lot)?.push(entry);
	return byLot;
}

/** Lots of which something is left, or may be: those that nobody has written off whole. */
export async function readLotsLeft(db: Reader, since: number): Promise<number[]> {
	const rows = await db.all<{ lot: number }>(sql`
		SELECT made.lot FROM record made
		WHERE made.kind = 'lot' AND made.at >= ${since} AND NOT EXISTS (
			SELECT 1 FROM record gone
			WHERE gone.lot = made.lot AND gone.kind = 'stage'
				AND gone.doc ->> '$.stage' IN ('served', 'discarded') AND json_array_length(gone.doc, '$.tags') = 0
		) ORDER BY made.lot`);
	return rows.map(({ lot }) => lot);
}

/** Entries of one kind in a stretch of time, in order. */
export async function readKind<K extends RecordKind>(
	db: Reader,
	kind: K,
	from: number,
	to: number,
): Promise<RecordEntry<K>[]> {
	const rows = await db
		.select()
		.from(record)
		.where(and(eq(record.kind, kind), gte(record.at, from), lt(record.at, to)))
		.orderBy(asc(record.at), asc(record.number));
	return rows.map((row) => entryOf<K>(row));
}

/** The number of the delivery that an entry is, or says anew. */
const DELIVERY = sql`coalesce(${record.doc} ->> '$.delivery', ${record.doc} ->> '$.doc.delivery')`;

/** Deliveries by their numbers, as they stand. */
export async function readDeliveries(
	db: Reader,
	numbers: readonly number[],
): Promise<RecordEntry<"delivery">[]> {
	if (numbers.length === 0) return [];
	return ofKind(asItStands(await readDeliveryEntries(db, numbers)), "delivery");
}

/** All that was written of some deliveries, in order. */
export async function readDeliveryEntries(db: Reader, numbers: readonly number[]): Promise<RecordEntry[]> {
	const rows = await db
		.select()
		.from(record)
		.where(
			and(inArray(record.kind, ["delivery", "instead"]), isNull(record.lot), inArray(DELIVERY, [...numbers])),
		)
		.orderBy(asc(record.number));
	return rows.map((row) => entryOf(row));
}

/** Deliveries of a stretch of time, as they stand, in order. */
export async function readDelivered(
	db: Reader,
	from: number,
	to: number,
): Promise<RecordEntry<"delivery">[]> {
	const came = await readKind(db, "delivery", from, to);
	return readDeliveries(
		db,
		came.map(({ doc }) => doc.delivery),
	);
}

/** Lots that were made from some deliveries, or from some lots: one step down. */
export async function readLotsFrom(
	db: Reader,
	what: "from" | "fromLots",
	numbers: readonly number[],
): Promise<RecordEntry<"lot">[]> {
	if (numbers.length === 0) return [];
	const given = JSON.stringify(numbers);
	const names = (path: string) =>
		sql`EXISTS (SELECT 1 FROM json_each(${record.doc}, ${path}) WHERE value IN (SELECT value FROM json_each(${given})))`;
	const rows = await db
		.selectDistinct({ lot: record.lot })
		.from(record)
		.where(
			or(
				and(eq(record.kind, "lot"), names(`$.${what}`)),
				and(eq(record.kind, "instead"), names(`$.doc.${what}`)),
			),
		);
	const lots = await readMade(
		db,
		rows.flatMap(({ lot }) => lot ?? []),
	);
	return lots.filter(({ doc }) => (doc[what] ?? []).some((number) => numbers.includes(number)));
}

/** Some lots as they were made, as far as they were not struck out. */
export async function readMade(db: Reader, lots: readonly number[]): Promise<RecordEntry<"lot">[]> {
	return ofKind(asItStands(await readLots(db, lots)), "lot");
}

/** The newest entry's number; 0 where nothing is written. */
export async function newestEntry(db: Reader): Promise<number> {
	const [row] = await db.select({ number: max(record.number) }).from(record);
	return row?.number ?? 0;
}

/** Watches that have begun and not ended. */
export async function readOpenWatches(db: Reader): Promise<RecordEntry<"watch">[]> {
	const rows = await db.all<{ number: number }>(sql`
		SELECT begun.number FROM record begun
		WHERE begun.kind = 'watch' AND NOT EXISTS (
			SELECT 1 FROM record gone WHERE gone.watch = begun.watch AND gone.kind = 'ended'
		) ORDER BY begun.number`);
	if (rows.length === 0) return [];
	const entries = await db
		.select()
		.from(record)
		.where(
			inArray(
				record.number,
				rows.map(({ number }) => number),
			),
		)
		.orderBy(asc(record.number));
	return entries.map((row) => entryOf<"watch">(row));
}

/** Where a probe stands. */
export interface ProbePlace {
	readonly probe: string;
	readonly watch: number;
	/** Since when. */
	readonly since: number;
	readonly begun: DocOf<"watch">;
	/** When the watch began. */
	readonly beganAt: number;
}

/** Which probe reads for which watch now: the last that was put into it. */
export async function readProbePlaces(db: Reader): Promise<ProbePlace[]> {
	const open = await readOpenWatches(db);
	if (open.length === 0) return [];
	const rows = await db
		.select()
		.from(record)
		.where(
			and(
				eq(record.kind, "probe"),
				inArray(
					record.watch,
					open.map(({ doc }) => doc.watch),
				),
			),
		)
		.orderBy(asc(record.number));
	const changed = new Map(rows.map((row) => [row.watch, entryOf<"probe">(row)]));
	return open.flatMap(({ at, doc }) => {
		const change = changed.get(doc.watch);
		const probe = change ? change.doc.probe : doc.probe;
		return probe === null
			? []
			: [{ probe, watch: doc.watch, since: change?.at ?? at, begun: doc, beganAt: at }];
	});
}
