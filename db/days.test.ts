import { sql } from "drizzle-orm";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { type DayChange, EMPTY_DAY, MOST_CHANGES } from "#core/day";
import { freshStore } from "./freshStore.testing.ts";
import {
	addEquipment,
	changeEquipment,
	issueDay,
	Missing,
	newestIssue,
	newestOfDays,
	readCooks,
	readDayChanges,
	readFigures,
	readIssue,
	readStandingPlaces,
	type Store,
	takeDayChangeBack,
	tellDayChanges,
} from "./index.ts";

/** What of a day is stored. */
const { dishes: _, batches: __, ...NOTHING_PLACED } = EMPTY_DAY;
const DATE = "2026-12-05";
const DOWN: DayChange = { kind: "away", equipment: "north", from: 1_796_000_000_000, to: 1_796_010_000_000 };
const LENT: DayChange = { kind: "borrowed", equipment: "full", count: 4 };
const FIGURES = new Uint8Array([1, 2, 3]);
const ISSUED = {
	day: NOTHING_PLACED,
	changes: [DOWN],
	sittings: [],
};
let store: Store;

beforeEach(async () => {
	store = await freshStore();
});
afterEach(() => store.close());

describe("what is told of a day", () => {
	it("stands until it is taken back, once, and is never lost", async () => {
		await tellDayChanges(store, "Ada", DATE, [DOWN, LENT]);
		const [down, lent] = await readDayChanges(store.db, DATE);
		expect([down?.change, lent?.change]).toEqual([DOWN, LENT]);
		await takeDayChangeBack(store, "Ben", DATE, down?.id ?? 0);
		expect((await readDayChanges(store.db, DATE)).map(({ change }) => change)).toEqual([LENT]);
		await expect(takeDayChangeBack(store, "Ben", DATE, down?.id ?? 0)).rejects.toThrow(Missing);
		await expect(takeDayChangeBack(store, "Ben", "2026-12-06", lent?.id ?? 0)).rejects.toThrow(Missing);
		await expect(store.db.run(sql`UPDATE day_change SET who = 'Eve'`)).rejects.toThrow();
		await expect(store.db.run(sql`DELETE FROM day_change`)).rejects.toThrow();
	});

	it("is read for the days that are asked for", async () => {
		for (const date of ["2026-12-04", DATE, "2026-12-07"]) await tellDayChanges(store, "Ada", date, [LENT]);
		const some = await readDayChanges(store.db, "2026-12-04", DATE);
		expect(some.map(({ date }) => date)).toEqual(["2026-12-04", DATE]);
	});

	it("has a limit, said in words, and nothing of what is too much is kept", async () => {
		const many = Array.from({ length: MOST_CHANGES }, () => LENT);
		await tellDayChanges(store, "Ada", DATE, many);
		await expect(tellDayChanges(store, "Ada", DATE, [DOWN])).rejects.toThrow(
			/changes of one day are allowed/,
		);
		expect(await readDayChanges(store.db, DATE)).toHaveLength(MOST_CHANGES);
	});
});

describe("an issued day", () => {
	it("has the next number, and never changes", async () => {
		expect(await newestIssue(store.db, DATE)).toBeNull();
		const before = await newestOfDays(store.db);
		expect(await issueDay(store, "Ada", DATE, ISSUED, FIGURES)).toBe(1);
		expect(await issueDay(store, "Ben", DATE, { ...ISSUED, changes: [] }, FIGURES)).toBe(2);
		expect(await newestIssue(store.db, DATE)).toMatchObject({ number: 2, who: "Ben", doc: { changes: [] } });
		expect(await readIssue(store.db, 1)).toMatchObject({ doc: ISSUED });
		expect(await newestOfDays(store.db)).not.toBe(before);
		await expect(readIssue(store.db, 99)).rejects.toThrow(Missing);
		await expect(store.db.run(sql`UPDATE day_issue SET who = 'Eve'`)).rejects.toThrow();
		await expect(store.db.run(sql`DELETE FROM day_issue`)).rejects.toThrow();
	});

	it("keeps the figures that its papers are written from; a number from before has none", async () => {
		const number = await issueDay(store, "Ada", DATE, ISSUED, FIGURES);
		expect(await readFigures(store.db, number)).toEqual(FIGURES);
		expect(await readFigures(store.db, number + 1)).toBeNull();
		await expect(store.db.run(sql`UPDATE day_figures SET doc = x'00'`)).rejects.toThrow();
		await expect(store.db.run(sql`DELETE FROM day_figures`)).rejects.toThrow();
	});
});

describe("people and places of the kitchen", () => {
	it("are added, changed with their version, and taken out of use", async () => {
		const id = await addEquipment(store, "cook", "Ada", {
			name: "Ina",
			opens_min: 420,
			closes_min: 1200,
			does: ["plate"],
		});
		await changeEquipment(store, "cook", id, 1, "Ada", { closes_min: 1260 });
		expect(await readCooks(store.db)).toMatchObject([{ name: "Ina", closes_min: 1260, does: ["plate"] }]);
		await expect(changeEquipment(store, "cook", id, 1, "Ben", { name: "X" })).rejects.toThrow();
		await changeEquipment(store, "cook", id, 2, "Ada", { retired: true });
		expect(await readCooks(store.db)).toEqual([]);
		await addEquipment(store, "standingPlace", "Ada", { name: "Blast", kind: "chiller", capacity: 10 });
		expect(await readStandingPlaces(store.db)).toMatchObject([{ name: "Blast", capacity: 10 }]);
	});
});
