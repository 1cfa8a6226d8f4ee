import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { createClient } from "@libsql/client";
import { sql } from "drizzle-orm";
import { HOUSE_CODES } from "#core/safety";
import { type NewReading, ReadingKeeper, type Store, writeRecord } from "#db";
import { watchesTold } from "../app/records/sheetPage.ts";
import { LOT } from "../core/records/records.testing.ts";
import { freshStore } from "../db/freshStore.testing.ts";
import { median, report } from "./table.ts";

const PROBES = 40;
const ROUNDS = 5;
const TIMES = 150;
const EVERY_MS = 10_000;
const AT = Date.UTC(2026, 0, 1);

/** Readings of forty probes, each told by itself, against the same rows put into a bare table. */
export async function benchReadings(): Promise<void> {
	const store = await freshStore();
	const keeper = new ReadingKeeper(store);
	const bare = createClient({ url: `file:${join(mkdtempSync(join(tmpdir(), "wide-table-bare-")), "a.db")}` });
	await bare.execute("PRAGMA journal_mode = WAL");
	await bare.execute(
		"CREATE TABLE reading (number INTEGER PRIMARY KEY, watch INTEGER, at INTEGER, received INTEGER, c REAL, who TEXT)",
	);
	let time = 0;
	const own: number[] = [];
	const theirs: number[] = [];
	for (let round = 0; round < ROUNDS; round += 1) {
		own.push(
			await aSecond(async () => {
				time += 1;
				await Promise.all(readingsAt(time).map((reading) => keeper.keep([reading])));
			}),
		);
		theirs.push(
			await aSecond(async () => {
				time += 1;
				await bare.batch(
					readingsAt(time).map(({ watch, at, C }) => ({
						sql: "INSERT INTO reading (watch, at, received, c, who) VALUES (?, ?, ?, ?, NULL)",
						args: [watch, at, at, C],
					})),
					"write",
				);
			}),
		);
	}
	await store.close();
	bare.close();
	const ratio = median(own.map((rate, round) => rate / (theirs[round] as number)));
	console.log(`\nReadings: ${PROBES} probes, each by itself, ${ROUNDS} rounds in turn (median)`);
	report("readings a second, chained", median(own).toFixed(0));
	report("bare: the same rows, inserted in one transaction a time", median(theirs).toFixed(0));
	report("of bare inserts", `${ratio.toFixed(2)} ×`, "at least 0.5 ×");
}

function readingsAt(time: number): NewReading[] {
	return Array.from({ length: PROBES }, (_, probe) => ({
		watch: probe + 1,
		at: AT + time * EVERY_MS,
		C: 85 - (time % 80),
		who: null,
	}));
}

async function aSecond(work: () => Promise<void>): Promise<number> {
	const since = performance.now();
	for (let count = 0; count < TIMES; count += 1) await work();
	return ((TIMES * PROBES) / (performance.now() - since)) * 1000;
}

const YEAR = 12_000_000;
/** Eight hours of a reading every ten seconds. */
const OF_A_WATCH = 2880;
/** Four pans of each lot are watched. */
const OF_A_LOT = 4;
const WEEK_MS = 7 * 86_400_000;
const YEAR_MS = 365 * 86_400_000;

/** A year of records, and the sheet of one week out of it. */
export async function benchYear(): Promise<void> {
	const store = await freshStore();
	const watches = Math.floor(YEAR / OF_A_WATCH);
	await fillYear(store, watches);
	const from = AT + 26 * WEEK_MS;
	const took: number[] = [];
	let readings = 0;
	for (let round = 0; round < ROUNDS; round += 1) {
		const since = performance.now();
		const told = await watchesTold(store.db, [from, from + WEEK_MS], ["cool"], AT + YEAR_MS);
		took.push(performance.now() - since);
		readings = told.length * OF_A_WATCH;
	}
	await store.close();
	console.log(`\nA year of records: ${YEAR.toLocaleString("en-GB")} readings`);
	report("the sheet of a week is read in, ms", median(took).toFixed(0), "under 400");
	report("of so many readings", readings.toLocaleString("en-GB"));
}

async function fillYear(store: Store, watches: number): Promise<void> {
	const code = JSON.parse(JSON.stringify(HOUSE_CODES.twoStage57));
	await writeRecord(store, "Ebba", "year", () => [
		...Array.from({ length: Math.ceil(watches / OF_A_LOT) }, (_, index) => ({
			at: AT + Math.floor((index * OF_A_LOT * YEAR_MS) / watches),
			doc: { ...LOT, lot: index + 1 },
		})),
		...Array.from({ length: watches }, (_, index) => index).flatMap((index) => {
			const at = AT + Math.floor((index * YEAR_MS) / watches);
			const watch = index + 1;
			const lot = Math.floor(index / OF_A_LOT) + 1;
			return [
				{
					at,
					doc: {
						kind: "watch" as const,
						...{ watch, lot, tag: "A1", course: "cool" as const, probe: "P01", code, cooling: null },
						...{ clockFrom: at, continues: null },
					},
				},
				{ at: at + OF_A_WATCH * EVERY_MS, doc: { kind: "ended" as const, watch, lot } },
			];
		}),
	]);
	await store.write((tx) =>
		tx.run(sql`
			WITH RECURSIVE n(i) AS (SELECT 0 UNION ALL SELECT i + 1 FROM n WHERE i + 1 < CAST(${watches * OF_A_WATCH} AS INTEGER))
			INSERT INTO reading (number, watch, at, received, hundredths_c, who, hash)
			SELECT i + 1, i / ${sql.raw(String(OF_A_WATCH))} + 1,
				${sql.raw(String(AT))} + (i / ${sql.raw(String(OF_A_WATCH))}) * ${sql.raw(String(Math.floor(YEAR_MS / watches)))} + (i % ${sql.raw(String(OF_A_WATCH))}) * 10000,
				0, 8500 - (i % ${sql.raw(String(OF_A_WATCH))}) * 3, NULL, zeroblob(32) FROM n`),
	);
}
