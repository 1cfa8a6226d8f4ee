import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { AllergenFound } from "../recipe/index.ts";
import { HOUSE_CODES } from "../safety/index.ts";
import { DAY_MS, laterDay, MINUTE_MS } from "../time/index.ts";
import {
	type LotNow,
	lotNow,
	type PanNow,
	passportsOf,
	type ReadPoint,
	type RecordDoc,
	type RecordEntry,
	STAGES,
	type Stage,
	watchesNow,
} from "./index.ts";
import { LOT } from "./records.testing.ts";

const MADE_AT = Date.UTC(2026, 11, 4, 20);
const dayOf = (at: number) => new Date(at).toISOString().slice(0, 10);

/** Entries of the lot, so many days after it was made. */
const written = (docs: readonly (readonly [RecordDoc, number])[]): RecordEntry[] =>
	docs.map(([doc, days], index) => {
		const at = MADE_AT + days * DAY_MS;
		return { number: index + 1, at, writtenAt: at, who: "Ebba", doc } as RecordEntry;
	});

const stage = (kind: Stage, tags: string[] = [], place = ""): RecordDoc => ({
	kind: "stage",
	lot: 7,
	stage: kind,
	tags,
	place,
	note: "",
});

const watch = (
	number: number,
	tag: string,
	course: "cool" | "reheat" = "cool",
	clockFrom = MADE_AT,
): RecordDoc => ({
	...{ kind: "watch", watch: number, lot: 7, tag, course, probe: null, cooling: null, continues: null },
	code: JSON.parse(JSON.stringify(HOUSE_CODES.blast90)),
	clockFrom,
});
const ended = (number: number): RecordDoc => ({ kind: "ended", watch: number, lot: 7 });

/** Both pans cooled and out the same night. */
const COOLED: readonly (readonly [RecordDoc, number])[] = [
	[LOT, 0],
	[watch(1, "A1"), 0],
	[watch(2, "A2"), 0],
	[ended(1), 0.2],
	[ended(2), 0.2],
];

const read = (number: number, minute: number, C: number): ReadPoint => ({
	...{ watch: number, number: number * 1000 + minute, at: MADE_AT + minute * MINUTE_MS, C, who: "Ebba" },
});
/** Both met the code, the second pan at the last moment. */
const MET = [read(1, 0, 80), read(1, 80, 3), read(2, 0, 80), read(2, 90, 3)];

const LATER = MADE_AT + 400 * DAY_MS;

function lotOf(
	docs: readonly (readonly [RecordDoc, number])[],
	points: readonly ReadPoint[] = MET,
	now = LATER,
) {
	const entries = written(docs);
	const watches = watchesNow(entries, points, now);
	return { watches, now: lotNow(entries, watches, dayOf) };
}
const nowOf = (...args: Parameters<typeof lotOf>): LotNow => {
	const { now } = lotOf(...args);
	if (!now) throw new Error("it is a lot");
	return now;
};
const lastDays = (...stages: (readonly [Stage, number])[]) =>
	nowOf([...COOLED, ...stages.map(([kind, days]) => [stage(kind), days] as const)]).useBy;

describe("a lot", () => {
	it("keeps so many days, the day it is made counted", () => {
		expect(nowOf([[LOT, 0]])).toMatchObject({ lot: 7, useBy: "2026-12-08" });
	});

	it("keeps no longer than the earliest of the lots it was made from", () => {
		expect(nowOf([[{ ...LOT, notAfter: "2026-12-06" }, 0]]).useBy).toBe("2026-12-06");
		expect(nowOf([[{ ...LOT, notAfter: "2026-12-30" }, 0]]).useBy).toBe("2026-12-08");
	});

	it("keeps longer frozen, and once it thaws never longer than it had left", () => {
		expect(lastDays(["frozen", 1])).toBe("2027-03-04");
		expect(lastDays(["frozen", 1], ["thawing", 30])).toBe("2027-01-04");
		// Frozen on its last day it is used on the day that it is taken out.
		expect(lastDays(["frozen", 4])).toBe("2027-03-07");
		expect(lastDays(["frozen", 4], ["thawing", 30])).toBe("2027-01-03");
		expect(lastDays(["opened", 1])).toBe("2026-12-05");
		expect(lastDays(["opened", 6])).toBe("2026-12-08");
		expect(lastDays(["served", 1])).toBeNull();
	});

	it("is not made better by the freezer when its day is past, or it was cooled too slowly, or nobody knows", () => {
		expect(lastDays(["frozen", 4])).toBe("2027-03-07");
		expect(lastDays(["frozen", 5])).toBe("2026-12-08");
		const late = [read(1, 0, 80), read(1, 91, 3), read(2, 0, 80), read(2, 90, 3)];
		const frozen = (points: readonly ReadPoint[]) =>
			nowOf([...COOLED, [stage("frozen"), 1]], points).pans.map(({ useBy }) => useBy);
		expect(frozen(late)).toEqual(["2026-12-08", "2027-03-04"]);
		expect(frozen([])).toEqual(["2026-12-08", "2026-12-08"]);
	});

	it("is frozen once, and thaws only when it was frozen", () => {
		const again = nowOf([...COOLED, [stage("frozen"), 1], [stage("thawing"), 2], [stage("frozen"), 3]]);
		expect(again.pans[0]).toMatchObject({ state: "thawing", useBy: "2026-12-07" });
		expect(nowOf([...COOLED, [stage("thawing"), 1]]).pans[0]).toMatchObject({
			state: "chilled",
			useBy: "2026-12-08",
		});
	});

	it("heated again is eaten that day", () => {
		const hot = nowOf([...COOLED, [watch(3, "A1", "reheat"), 2]]);
		expect(hot.pans.map(({ useBy }) => useBy)).toEqual(["2026-12-06", "2026-12-08"]);
	});

	it("has another day where the one it had was wrong, and somebody signs for it", () => {
		const dated = (useBy: string): RecordDoc => ({
			...{ kind: "dated", lot: 7, tags: ["A1"], useBy, reason: "the day was typed a week off" },
		});
		expect(nowOf([...COOLED, [dated("2026-12-20"), 1]]).pans.map(({ useBy }) => useBy)).toEqual([
			"2026-12-20",
			"2026-12-08",
		]);
	});

	it("is in its pans, wherever each of them is, until it is used up", () => {
		const now = nowOf([
			...COOLED,
			[stage("moved", ["A1"], "Cold room"), 0.3],
			[stage("served", ["A2"]), 1],
			[stage("moved", [], "Hall"), 2],
		]);
		expect(now.pans.map(({ tag, place, state }) => [tag, place, state])).toEqual([
			["A1", "Hall", "chilled"],
			["A2", "Blast chiller", "served"],
		]);
	});

	it("that is spread over more pans weighs what it weighed, and its pans know where they come from", () => {
		const now = nowOf([
			[LOT, 0],
			[{ kind: "spread", lot: 7, tag: "A1", parts: 3, depth_mm: 25 }, 0],
		]);
		expect(now.pans.map(({ tag, tags }) => [tag, tags])).toEqual([
			["A1a", ["A1a", "A1"]],
			["A1b", ["A1b", "A1"]],
			["A1c", ["A1c", "A1"]],
			["A2", ["A2"]],
		]);
		expect(now.pans.reduce((sum, { kg }) => sum + kg, 0)).toBeCloseTo(16, 9);
	});

	it("forgets what a correction strikes out", () => {
		const struck: RecordDoc = {
			...{ kind: "correction", of: "entry", number: 6, lot: 7, watch: null, C: null },
			reason: "the other lot was frozen",
		};
		expect(nowOf([...COOLED, [stage("frozen"), 1], [struck, 1]]).pans[0]?.state).toBe("chilled");
	});

	it("is nothing without the entry that it was made", () => {
		expect(lotOf([[stage("frozen"), 1]]).now).toBeNull();
	});
});

describe("the last day of a pan", () => {
	const happens = fc.tuple(
		fc.oneof(fc.constantFrom(...STAGES), fc.constant("reheat" as const)),
		fc.constantFrom<string[]>([], ["A1"], ["A2"]),
		fc.integer({ min: 0, max: 12 }),
	);
	const points = fc.constantFrom(MET, MET.slice(0, 2), []);

	it("never rises, but where food is frozen in date, once, after a cooling that was met", () => {
		fc.assert(
			fc.property(fc.array(happens, { maxLength: 8 }), points, (all, read) => {
				const sorted = [...all].sort((a, b) => a[2] - b[2]);
				const docs = sorted.map(([kind, tags, days], index): [RecordDoc, number] => [
					kind === "reheat" ? watch(10 + index, tags[0] ?? "A1", "reheat") : stage(kind, tags),
					days + 0.3 + index / 1000,
				]);
				let before: readonly PanNow[] = nowOf([...COOLED], read).pans;
				for (let count = 1; count <= docs.length; count += 1) {
					const { pans } = nowOf([...COOLED, ...docs.slice(0, count)], read);
					const [doc, days] = docs[count - 1] as [RecordDoc, number];
					for (const [index, pan] of pans.entries()) {
						const was = before[index] as PanNow;
						if ((pan.useBy ?? "") <= (was.useBy ?? "")) continue;
						expect(doc).toMatchObject({ kind: "stage", stage: "frozen" });
						expect(was.frozenWith_days).toBeNull();
						expect(was.cooling.stands).toBe("met");
						expect(dayOf(MADE_AT + days * DAY_MS) <= (was.useBy ?? "")).toBe(true);
					}
					before = pans;
				}
			}),
			{ numRuns: 150, seed: 28 },
		);
	});

	it("is, once thawed, never later than the days it had when it was frozen", () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 4 }), fc.integer({ min: 1, max: 80 }), (frozen, thawed) => {
				const useBy = lastDays(["frozen", frozen], ["thawing", frozen + thawed]) ?? "";
				const taken = dayOf(MADE_AT + (frozen + thawed) * DAY_MS);
				expect(useBy <= laterDay(taken, 4 - frozen)).toBe(true);
			}),
			{ numRuns: 60, seed: 28 },
		);
	});
});

describe("the passport of a pan", () => {
	const passport = (
		docs: readonly (readonly [RecordDoc, number])[],
		{
			points = MET as readonly ReadPoint[],
			today = "2026-12-05",
			accepted = true,
			useBy = null as string | null,
			at = LATER,
			declared = [] as AllergenFound[] | null,
		} = {},
	) => {
		const { now, watches } = lotOf(docs, points, at);
		if (!now) throw new Error("it is a lot");
		const delivery = {
			...{ kind: "delivery" as const, delivery: 1, ingredientId: "goat", name: "goat", supplier: "", kg: 20 },
			...{ supplierLot: "", C: 3, useBy, accepted, note: "" },
		};
		const deliveries = [{ number: 1, at: 0, writtenAt: 0, who: "Odd", doc: delivery }];
		return passportsOf({ lot: now, watches, sources: [], deliveries, declared, today }).map(
			({ tag, release, holds }) => [tag, release, ...holds.map(({ because }) => because)],
		);
	};

	it("is released where every limit was met, to the minute and to the day", () => {
		const released = [
			["A1", "released"],
			["A2", "released"],
		];
		expect(passport(COOLED)).toEqual(released);
		expect(passport(COOLED, { today: "2026-12-08" })).toEqual(released);
		expect(passport(COOLED, { today: "2026-12-09" })).toEqual([
			["A1", "discard", "pastUseBy"],
			["A2", "discard", "pastUseBy"],
		]);
		const aMinuteLate = [...MET.slice(0, 3), read(2, 91, 3)];
		expect(passport(COOLED, { points: aMinuteLate })).toEqual([
			["A1", "released"],
			["A2", "blocked", "coolingMissed"],
		]);
	});

	it("is blocked while it cools, and where nobody watched or measured it", () => {
		expect(passport([[LOT, 0]])).toEqual([
			["A1", "blocked", "coolingNotKnown"],
			["A2", "blocked", "coolingNotKnown"],
		]);
		expect(passport(COOLED, { points: [] })).toEqual([
			["A1", "blocked", "coolingNotKnown"],
			["A2", "blocked", "coolingNotKnown"],
		]);
	});

	it("is blocked or worse by what it was made from", () => {
		expect(passport(COOLED, { accepted: false })[0]).toEqual(["A1", "discard", "sentBack"]);
		expect(passport(COOLED, { useBy: "2026-12-03" })[0]).toEqual(["A1", "discard", "deliveryPast"]);
		expect(passport(COOLED, { useBy: "2026-12-04" })[0]).toEqual(["A1", "released"]);
		const unknown = COOLED.map(([doc, days]) => [doc === LOT ? { ...LOT, from: [9] } : doc, days] as const);
		expect(passport(unknown)[0]).toEqual(["A1", "blocked", "deliveryNotKnown"]);
		expect(passport(COOLED, { declared: null })[0]).toEqual(["A1", "blocked", "allergensNotKnown"]);
	});

	it("cooled too slowly, it is heated through and cooled again, once", () => {
		const minute = 1 / 1440;
		const late = [read(1, 0, 80), read(1, 91, 3), read(2, 0, 80), read(2, 90, 3)];
		const signed: RecordDoc = { kind: "action", watch: 1, lot: 7, action: "reheated", note: "" };
		const begun: RecordDoc[] = [signed, watch(3, "A1", "reheat")];
		const heating = [...COOLED, ...begun.map((doc) => [doc, 100 * minute] as const)];
		const again = [
			...heating,
			[ended(3), 160 * minute] as const,
			[watch(4, "A1", "cool", MADE_AT + 160 * MINUTE_MS), 160 * minute] as const,
		];
		const hot = [...late, read(3, 100, 10), read(3, 150, 76)];
		const first = (docs: readonly (readonly [RecordDoc, number])[], points: readonly ReadPoint[]) =>
			passport(
				docs.toSorted((a, b) => a[1] - b[1]),
				{ points, at: MADE_AT + 200 * MINUTE_MS },
			)[0];
		expect(first(heating, late)).toEqual(["A1", "blocked", "coolingAgain", "reheating"]);
		expect(first(again, hot)).toEqual(["A1", "blocked", "coolingAgain"]);
		const over = [...again, [ended(4), 0.3] as const];
		expect(first(over, [...hot, read(4, 160, 76), read(4, 250, 3)])).toEqual(["A1", "released"]);
		expect(first(over, [...hot, read(4, 160, 76), read(4, 251, 3)])).toEqual([
			"A1",
			"discard",
			"coolingMissedTwice",
		]);
		// A second watch alone, that nobody signed for, makes nothing good.
		const unsigned = over.filter(([doc]) => doc.kind !== "action");
		expect(first(unsigned, [...hot, read(4, 160, 76), read(4, 250, 3)])).toContain("coolingMissed");
	});
});
