import { and, asc, desc, inArray, lt, max, sql } from "drizzle-orm";
import { sortBy, uniqBy } from "es-toolkit";
import { hashOf, type Linked, NO_HASH, type ReadPoint, type WatchAsked } from "#core/records";
import { type DegreeUnit, lastHundredth } from "#core/safety";
import type { Asked } from "#core/watch";
import { newestEntry, readProbePlaces, sha256 } from "./record.ts";
import type { Reader, Store } from "./Store.ts";
import { reading } from "./schema.ts";

/** What was read of a pan. */
export interface NewReading {
	readonly watch: number;
	readonly at: number;
	readonly C: number;
	/** In which it was read; °C where it is absent. */
	readonly unit?: DegreeUnit;
	/** Who measured by hand; null where it was the probe. */
	readonly who: string | null;
}

/** A reading as it is kept. */
export interface StoredReading extends NewReading {
	readonly number: number;
	readonly received: number;
}

/** So many readings are written at once at the most: others want to write too. */
const MOST_AT_ONCE = 5000;

interface Waiting {
	readonly readings: readonly NewReading[];
	readonly received: number;
	kept(count: number): void;
	failed(error: unknown): void;
}

/**
 * Keeps readings, chained. What comes while others are being written is written together in the
 * next turn; whoever gave them is answered only when they are on the disk.
 */
export class ReadingKeeper {
	readonly #store: Store;
	#waiting: Waiting[] = [];
	#writing = false;
	/** The last row, as far as is known here; another server may have written since. */
	#last: Linked | null = null;

	constructor(store: Store) {
		this.#store = store;
	}

	/** @returns how many are new: what was kept before is not kept twice */
	keep(readings: readonly NewReading[]): Promise<number> {
		if (readings.length === 0) return Promise.resolve(0);
		return new Promise((kept, failed) => {
			this.#waiting.push({ readings, received: Date.now(), kept, failed });
			if (!this.#writing) void this.#write();
		});
	}

	async #write(): Promise<void> {
		this.#writing = true;
		while (this.#waiting.length > 0) {
			const taken = this.#take();
			try {
				const counts = await this.#append(taken);
				for (const [index, { kept }] of taken.entries()) kept(counts[index] ?? 0);
			} catch (error) {
				this.#last = null;
				for (const { failed } of taken) failed(error);
			}
		}
		this.#writing = false;
	}

	#take(): Waiting[] {
		let count = 0;
		const end = this.#waiting.findIndex(({ readings }, index) => {
			count += readings.length;
			return index > 0 && count > MOST_AT_ONCE;
		});
		return this.#waiting.splice(0, end < 0 ? this.#waiting.length : end);
	}

	async #append(taken: readonly Waiting[]): Promise<number[]> {
		for (let attempt = 1; ; attempt += 1) {
			const last = this.#last ?? (await lastReading(this.#store.db));
			const known = await keptAlready(
				this.#store.db,
				taken.flatMap(({ readings }) => readings),
			);
			const { rows, counts, head } = chained(taken, last, known);
			if (rows.length === 0) return counts;
			try {
				await this.#store.writeKnown([{ sql: INSERT, args: [JSON.stringify(rows)] }]);
				this.#last = head;
				return counts;
			} catch (error) {
				// Another server was quicker with the next number.
				if (!isNumberTaken(error) || attempt >= MOST_ATTEMPTS) throw error;
				this.#last = null;
			}
		}
	}
}

/** So often another server may be quicker. */
const MOST_ATTEMPTS = 20;

const INSERT = `
	INSERT INTO reading (number, watch, at, received, hundredths_c, who, unit, hash)
	SELECT value ->> 0, value ->> 1, value ->> 2, value ->> 3, value ->> 4, value ->> 5, value ->> 6,
		unhex(value ->> 7)
	FROM json_each(?)`;

function isNumberTaken(error: unknown): boolean {
	const { message, cause } = (error ?? {}) as { message?: unknown; cause?: unknown };
	return (
		/UNIQUE constraint failed: reading\.number/.test(String(message)) ||
		(cause !== undefined && isNumberTaken(cause))
	);
}

async function lastReading(db: Reader): Promise<Linked> {
	const [last] = await db
		.select({ number: reading.number, hash: reading.hash })
		.from(reading)
		.orderBy(desc(reading.number))
		.limit(1);
	return last ?? { number: 0, hash: NO_HASH };
}

/** All that a reading says, as it is hashed. */
export function readingSaid(row: Omit<typeof reading.$inferSelect, "hash">): (string | number | null)[] {
	const { number, watch, at, received, hundredths_C, who, unit } = row;
	const said = [number, watch, at, received, hundredths_C, who];
	return unit === null ? said : [...said, unit];
}

/** The rows that are new, each with the hash of the one before it in its own. */
function chained(taken: readonly Waiting[], last: Linked, known: Set<string>) {
	let { number, hash } = last;
	const rows: unknown[] = [];
	const counts = taken.map(({ readings, received }) => {
		let count = 0;
		for (const { watch, at, C, who, unit = null } of readings) {
			const key = keyOf({ watch, at, who });
			if (known.has(key)) continue;
			known.add(key);
			number += 1;
			count += 1;
			const row = { number, watch, at, received, hundredths_C: Math.round(C * 100), who, unit };
			hash = hashOf(sha256, hash, readingSaid(row));
			rows.push([number, watch, at, received, row.hundredths_C, who, unit, hash]);
		}
		return count;
	});
	return { rows, counts, head: { number, hash } };
}

/** A pan is read once at a moment by a probe, and once by each hand. */
function keyOf({ watch, at, who }: Pick<NewReading, "watch" | "at" | "who">): string {
	return `${watch} ${at} ${who ?? ""}`;
}

async function keptAlready(db: Reader, readings: readonly NewReading[]): Promise<Set<string>> {
	const watches = [...new Set(readings.map(({ watch }) => watch))];
	let [from, to] = [Number.POSITIVE_INFINITY, 0];
	for (const { at } of readings) {
		from = Math.min(from, at);
		to = Math.max(to, at);
	}
	const rows = await db.all<{ watch: number; at: number; who: string | null }>(sql`
		SELECT watch, at, who FROM reading
		WHERE watch IN (SELECT value FROM json_each(${JSON.stringify(watches)})) AND at BETWEEN ${from} AND ${to}`);
	return new Set(rows.map(keyOf));
}

/** Which watch each probe reads for, from when on: what has begun and not ended. */
export class ProbePlaces {
	#asOf = -1;
	#places = new Map<string, { readonly watch: number; readonly since: number }>();

	async read(db: Reader): Promise<ReadonlyMap<string, { readonly watch: number; readonly since: number }>> {
		const newest = await newestEntry(db);
		if (newest !== this.#asOf) {
			const places = await readProbePlaces(db);
			this.#places = new Map(places.map(({ probe, watch, since }) => [probe, { watch, since }]));
			this.#asOf = newest;
		}
		return this.#places;
	}
}

/**
 * Courses of some watches, in order: every hand's reading; of the probes' one in each stretch, the last
 * of all, and those on both sides of every crossing that is asked for. So a watch comes out by them as
 * by all its readings.
 */
export async function readPoints(db: Reader, watches: readonly WatchAsked[]): Promise<ReadPoint[]> {
	if (watches.length === 0) return [];
	const asked = watches.map(({ watch, every_ms }) => [watch, every_ms]);
	const crossings = watches.flatMap(({ watch, crossings }) =>
		crossings.map((crossing) => [watch, ...firstBeyond(crossing)]),
	);
	// What was asked is taken out of its JSON once, and a watch comes as one row: a row costs more than a reading.
	const rows = await db.all<{ watch: number; points: string }>(sql`
		WITH RECURSIVE asked AS MATERIALIZED (
			SELECT CAST(value ->> 0 AS INTEGER) AS watch, CAST(value ->> 1 AS INTEGER) AS every_ms
			FROM json_each(${JSON.stringify(asked)})
		), limits AS MATERIALIZED (
			SELECT CAST(value ->> 0 AS INTEGER) AS watch, CAST(value ->> 1 AS INTEGER) AS hundredths, value ->> 2 AS wanted
			FROM json_each(${JSON.stringify(crossings)})
		), crossed AS MATERIALIZED (
			SELECT watch, CASE wanted WHEN 'atMost' THEN
				(SELECT at FROM reading WHERE watch = limits.watch AND hundredths_c <= hundredths AND who IS NULL ORDER BY at LIMIT 1)
			ELSE
				(SELECT at FROM reading WHERE watch = limits.watch AND hundredths_c >= hundredths AND who IS NULL ORDER BY at LIMIT 1)
			END AS at FROM limits
		), stretch(watch, every_ms, at) AS (
			SELECT watch, every_ms, (SELECT min(at) FROM reading WHERE watch = asked.watch) FROM asked
			UNION ALL
			SELECT watch, every_ms, (
				SELECT min(at) FROM reading WHERE watch = stretch.watch AND at >= (stretch.at / every_ms + 1) * every_ms
			) FROM stretch WHERE at IS NOT NULL
		), moments AS MATERIALIZED (
			SELECT watch, at FROM stretch WHERE at IS NOT NULL
			UNION SELECT watch, at FROM crossed WHERE at IS NOT NULL
			UNION SELECT watch, (SELECT max(at) FROM reading WHERE watch = crossed.watch AND at < crossed.at) FROM crossed
			UNION SELECT watch, (SELECT max(at) FROM reading WHERE watch = asked.watch) FROM asked
		)
		SELECT watch, json_group_array(json_array(number, at, hundredths, who, unit)) AS points FROM (
			SELECT reading.watch, number, reading.at, hundredths_c AS hundredths, who, unit
			FROM moments CROSS JOIN reading ON reading.watch = moments.watch AND reading.at = moments.at
			UNION ALL
			SELECT reading.watch, number, at, hundredths_c AS hundredths, who, unit
			FROM asked CROSS JOIN reading ON reading.watch = asked.watch WHERE who IS NOT NULL
		) GROUP BY watch`);
	const points = rows.flatMap(({ watch, points }) =>
		(JSON.parse(points) as [number, number, number, string | null, DegreeUnit | null][]).map(
			([number, at, hundredths, who, unit]): ReadPoint => ({
				...{ watch, number, at, C: hundredths / 100, who },
				...(unit === null ? {} : { unit }),
			}),
		),
	);
	return sortBy(
		uniqBy(points, ({ number }) => number),
		["at", "number"],
	);
}

/**
 * Which of a probe's readings is looked for: the first so cold, or so hot, hundredths of a degree. Probes
 * read °C; what hands read, in whatever unit, is all there.
 */
function firstBeyond(asked: Asked): readonly [hundredths: number, side: Asked["wanted"]] {
	const { wanted, when } = asked;
	const within = lastHundredth(asked, wanted);
	if (when === "reached") return [within, wanted];
	return wanted === "atMost" ? [within + 1, "atLeast"] : [within - 1, "atMost"];
}

/** Readings by their numbers. */
export async function readReadings(db: Reader, numbers: readonly number[]): Promise<StoredReading[]> {
	if (numbers.length === 0) return [];
	const rows = await db
		.select()
		.from(reading)
		.where(inArray(reading.number, [...numbers]))
		.orderBy(asc(reading.number));
	return rows.map(({ number, watch, at, received, hundredths_C, who, unit }) => ({
		...{ number, watch, at, received, C: hundredths_C / 100, who },
		...(unit === null ? {} : { unit }),
	}));
}

/** The newest reading's number; 0 where nothing was read. */
export async function newestReading(db: Reader): Promise<number> {
	const [row] = await db.select({ number: max(reading.number) }).from(reading);
	return row?.number ?? 0;
}

/** Which watches were read after a reading, and up to another. */
export async function watchesReadSince(db: Reader, after: number, upTo: number): Promise<number[]> {
	const rows = await db
		.selectDistinct({ watch: reading.watch })
		.from(reading)
		.where(and(sql`${reading.number} > ${after}`, lt(reading.number, upTo + 1)));
	return rows.map(({ watch }) => watch);
}
