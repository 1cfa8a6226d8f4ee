import { createClient } from "@libsql/client";
import fc from "fast-check";
import { beforeEach, describe, expect, it } from "vitest";
import { ofKind, type RecordEntry, watchesAsked, watchesNow } from "#core/records";
import { HOUSE_CODES } from "#core/safety";
import { MINUTE_MS } from "#core/time";
import { COURSES } from "#core/watch";
import { LOT } from "../core/records/records.testing.ts";
import { freshStore } from "./freshStore.testing.ts";
import {
	audit,
	ProbePlaces,
	ReadingKeeper,
	readLots,
	readLotsFrom,
	readLotsLeft,
	readOpenWatches,
	readPoints,
	type Store,
	writeRecord,
} from "./index.ts";

const AT = Date.UTC(2026, 11, 4, 20);

let store: Store;
beforeEach(async () => {
	store = await freshStore();
});

/** A lot, and a pan of it watched by a probe. */
async function lotWatched(probe = "P01") {
	return writeRecord(store, "Ebba", `lot ${probe}`, (next) => [
		{ at: AT, doc: { ...LOT, lot: next.lot } },
		{
			at: AT,
			doc: {
				kind: "watch",
				watch: next.watch,
				lot: next.lot,
				tag: "A1",
				course: "cool",
				probe,
				code: JSON.parse(JSON.stringify(HOUSE_CODES.twoStage57)),
				cooling: null,
				clockFrom: AT,
				continues: null,
			},
		},
	]);
}

const cooling = (watch: number, count = 60) =>
	Array.from({ length: count }, (_, minute) => ({
		watch,
		at: AT + minute * MINUTE_MS,
		C: 80 - minute,
		who: null,
	}));

async function behindItsBack(statement: string): Promise<void> {
	const [{ file }] = (await store.db.all("PRAGMA database_list")) as [{ file: string }];
	const client = createClient({ url: `file:${file}` });
	for (const table of ["record", "reading"]) {
		await client.execute(`DROP TRIGGER IF EXISTS ${table}_is_never_changed`);
		await client.execute(`DROP TRIGGER IF EXISTS ${table}_is_never_removed`);
	}
	await client.execute(statement);
	client.close();
}

describe("the record", () => {
	it("counts lots and watches by itself, and writes once what is sent twice", async () => {
		const first = await lotWatched();
		expect(await lotWatched()).toEqual(first);
		await lotWatched("P02");
		expect(await readLotsLeft(store.db, 0)).toEqual([1, 2]);
		expect((await readLots(store.db, [2])).map(({ number }) => number)).toEqual([3, 4]);
		expect((await readLotsFrom(store.db, "from", [1])).map(({ doc }) => doc.lot)).toEqual([1, 2]);
		expect(await readLotsFrom(store.db, "from", [9])).toEqual([]);
	});

	it("knows which probe reads for which pan, until it is taken out", async () => {
		await lotWatched();
		const places = new ProbePlaces();
		expect(await places.read(store.db)).toEqual(new Map([["P01", { watch: 1, since: AT }]]));
		await writeRecord(store, "Ebba", "out", () => [
			{ at: AT, doc: { kind: "ended", watch: 1, lot: 1 } },
			{
				at: AT,
				doc: { kind: "stage", lot: 1, stage: "served", tags: [], place: "", note: "" },
			},
		]);
		expect(await places.read(store.db)).toEqual(new Map());
		expect(await readOpenWatches(store.db)).toEqual([]);
		expect(await readLotsLeft(store.db, 0)).toEqual([]);
	});

	it("knows that a probe was changed, and from when on", async () => {
		await lotWatched();
		const places = new ProbePlaces();
		await places.read(store.db);
		const at = AT + MINUTE_MS;
		await writeRecord(store, "Ebba", "changed", () => [
			{ at, doc: { kind: "probe", watch: 1, lot: 1, probe: "P09" } },
		]);
		expect(await places.read(store.db)).toEqual(new Map([["P09", { watch: 1, since: at }]]));
		await writeRecord(store, "Ebba", "by hand", () => [
			{ at, doc: { kind: "probe", watch: 1, lot: 1, probe: null } },
		]);
		expect(await places.read(store.db)).toEqual(new Map());
	});

	it("is only added to", async () => {
		await lotWatched();
		await new ReadingKeeper(store).keep(cooling(1));
		for (const statement of [
			"UPDATE record SET doc = '{}'",
			"DELETE FROM record",
			"UPDATE reading SET hundredths_c = 0",
			"DELETE FROM reading",
		])
			await expect(store.write((tx) => tx.run(statement))).rejects.toThrow();
	});
});

describe("readings", () => {
	it("are kept once, whoever sends them again, and in whatever bundles they come", async () => {
		await lotWatched();
		const keeper = new ReadingKeeper(store);
		const all = cooling(1);
		const counts = await Promise.all([
			keeper.keep(all.slice(0, 30)),
			keeper.keep(all.slice(20, 50)),
			keeper.keep(all),
			keeper.keep([]),
		]);
		expect(counts).toEqual([30, 20, 10, 0]);
		const by = { watch: 1, at: AT, C: 79.5, who: "Ebba" };
		expect(await keeper.keep([by])).toBe(1);
		const points = await readPoints(store.db, [{ watch: 1, crossings: [], every_ms: 1 }]);
		expect(points.filter(({ who }) => who === null).map(({ C }) => C)).toEqual(all.map(({ C }) => C));
		expect(points.filter(({ who }) => who === "Ebba")).toMatchObject([{ C: 79.5 }]);
	});

	it("of two servers stand in one chain", async () => {
		await lotWatched();
		const [one, other] = [new ReadingKeeper(store), new ReadingKeeper(store)];
		const each = cooling(1).map((reading, index) => (index % 2 === 0 ? one : other).keep([reading]));
		expect((await Promise.all(each)).reduce((sum, count) => sum + count, 0)).toBe(60);
		expect(await one.keep(cooling(1))).toBe(0);
		expect((await audit(store.db))[1]).toMatchObject({ rows: 60, breaks: [] });
	});

	it("are told in stretches, with the last and with what every hand read", async () => {
		await lotWatched();
		const quick = Array.from({ length: 1201 }, (_, second) => ({
			watch: 1,
			at: AT + second * 1000,
			C: 80 - second / 20,
			who: null,
		}));
		const hand = [42.5, 41.5].map((C, index) => ({ watch: 1, at: AT + 1000 * (index + 1), C, who: "Ebba" }));
		await new ReadingKeeper(store).keep([...quick, ...hand]);
		const told = await readPoints(store.db, [{ watch: 1, crossings: [], every_ms: 30_000 }]);
		expect(told.filter(({ who }) => who === "Ebba").map(({ C }) => C)).toEqual([42.5, 41.5]);
		const probe = told.filter(({ who, at }) => who === null && (at - AT) % 30_000 === 0);
		expect(probe).toHaveLength(41);
		expect(told.at(-1)).toMatchObject({ at: AT + 1_200_000, C: 20 });
		expect(await readPoints(store.db, [])).toEqual([]);
	});

	it("come out as told as they come out whole, whatever they read and whatever the code", async () => {
		await lotWatched();
		const entries = await readLots(store.db, [1]);
		const [begun] = ofKind(entries, "watch");
		if (!begun) throw new Error("it is watched");
		const keeper = new ReadingKeeper(store);
		let number = begun.doc.watch;
		await fc.assert(
			fc.asyncProperty(
				fc.record({
					hundredths: fc.array(fc.integer({ min: -400, max: 9000 }), { minLength: 1, maxLength: 120 }),
					every_s: fc.integer({ min: 1, max: 90 }),
					course: fc.constantFrom(...COURSES),
					code: fc.constantFrom(...Object.values(HOUSE_CODES)),
					falls: fc.boolean(),
					isEnded: fc.boolean(),
				}),
				async ({ hundredths, every_s, course, code, falls, isEnded }) => {
					number += 1;
					const read = falls ? hundredths.toSorted((a, b) => b - a) : hundredths;
					const at = (index: number) => AT + index * every_s * 1000;
					await keeper.keep(
						read.map((C, index) => ({ watch: number, at: at(index), C: C / 100, who: null })),
					);
					const watch = { ...begun.doc, watch: number, probe: null, course };
					const own: RecordEntry[] = [
						{ ...begun, doc: { ...watch, code: JSON.parse(JSON.stringify(code)) } },
						...(isEnded
							? [{ ...begun, at: at(read.length), doc: { kind: "ended" as const, watch: number, lot: 1 } }]
							: []),
					];
					const comesOut = async (every: { readonly every_ms?: number }) => {
						const asked = watchesAsked(own).map((one) => ({ ...one, ...every }));
						const [now] = watchesNow(own, await readPoints(store.db, asked), AT + 10_800_000);
						// The way ahead is read from the stretches alone.
						const sure = ["met", "missed", "notKnown"];
						return now?.standing.map(({ by_min, at_min, verdict }) => ({
							...{ by_min, at_min, verdict: sure.includes(verdict) ? verdict : "open" },
						}));
					};
					expect(await comesOut({})).toEqual(await comesOut({ every_ms: 1 }));
				},
			),
			{ numRuns: 80, seed: 20_261_202 },
		);
	});
});

describe("the audit", () => {
	it("finds nothing where nothing was touched", async () => {
		await lotWatched();
		await new ReadingKeeper(store).keep(cooling(1));
		expect(await audit(store.db)).toMatchObject([
			{ chain: "record", rows: 2, breaks: [] },
			{ chain: "reading", rows: 60, breaks: [] },
		]);
	});

	it.each([
		["UPDATE reading SET hundredths_c = 300 WHERE number = 40", "reading", 40, "altered"],
		["UPDATE reading SET at = at - 60000 WHERE number = 40", "reading", 40, "altered"],
		["DELETE FROM reading WHERE number = 40", "reading", 40, "removed"],
		["DELETE FROM reading WHERE number > 50", "reading", 51, "removed"],
		["UPDATE record SET who = 'Odd' WHERE number = 2", "record", 2, "altered"],
		["UPDATE record SET doc = replace(doc, 'A2', 'A3') WHERE number = 1", "record", 1, "altered"],
		["DELETE FROM record WHERE number = 1", "record", 1, "removed"],
	] as const)("finds what was done behind its back: %s", async (statement, chain, number, because) => {
		await lotWatched();
		await new ReadingKeeper(store).keep(cooling(1));
		await behindItsBack(statement);
		const found = (await audit(store.db)).find((one) => one.chain === chain);
		expect(found?.breaks[0]).toEqual({ number, because });
	});

	it("finds rows that changed places", async () => {
		await lotWatched();
		await new ReadingKeeper(store).keep(cooling(1));
		await behindItsBack("UPDATE reading SET number = -1 WHERE number = 7");
		await behindItsBack("UPDATE reading SET number = 7 WHERE number = 8");
		await behindItsBack("UPDATE reading SET number = 8 WHERE number = -1");
		const [, readings] = await audit(store.db);
		expect(readings?.breaks.map(({ number }) => number)).toContain(7);
	});
});
