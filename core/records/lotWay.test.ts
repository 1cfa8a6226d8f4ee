import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { equivalentMinutes, growthAlong, HOUSE_CODES } from "../safety/index.ts";
import { HOUR_MS, MINUTE_MS } from "../time/index.ts";
import type { Course } from "../watch/index.ts";
import { lotWay, type PlannedWay, type ReadPoint, type RecordEntry, watchesNow, worstPan } from "./index.ts";
import { LOT } from "./records.testing.ts";

const LIFT = Date.UTC(2026, 11, 4, 20);
const KILL = { ref_C: 70, z_C: 7.5 };

const entry = (number: number, doc: RecordEntry["doc"], at: number) =>
	({ number, at, writtenAt: at, who: "Ebba", doc }) as RecordEntry;

interface Watch {
	readonly watch: number;
	readonly tag: string;
	readonly course: Course;
	/** Minutes after the lift. */
	readonly from_min: number;
	readonly to_min: number;
	readonly continues?: number;
}

function written(watches: readonly Watch[]): RecordEntry[] {
	return [
		entry(1, LOT, LIFT),
		...watches.flatMap(({ watch, tag, course, from_min, to_min, continues = null }) => {
			const at = LIFT + from_min * MINUTE_MS;
			return [
				entry(
					10 + watch * 2,
					{
						...{ kind: "watch", watch, lot: 7, tag, course, probe: null, cooling: null, continues },
						...{
							code: JSON.parse(JSON.stringify(HOUSE_CODES.twoStage57)),
							clockFrom: course === "cool" ? LIFT : at,
						},
					},
					at,
				),
				entry(11 + watch * 2, { kind: "ended", watch, lot: 7 }, LIFT + to_min * MINUTE_MS),
			];
		}),
	];
}

const points = (watch: number, read: readonly (readonly [minute: number, C: number])[]): ReadPoint[] =>
	read.map(([minute, C], index) => ({
		...{ watch, number: watch * 100 + index, at: LIFT + minute * MINUTE_MS, C, who: "Ebba" },
	}));

/** Planned an hour later than it was: on the bench, in the oven, cooled. */
const PLANNED: PlannedWay = {
	stages: [
		{ kind: "stand", from: LIFT - 3 * HOUR_MS, to: LIFT - 2 * HOUR_MS },
		{ kind: "heat", from: LIFT - 2 * HOUR_MS, to: LIFT + HOUR_MS },
		{ kind: "chill", from: LIFT + HOUR_MS, to: LIFT + 3 * HOUR_MS },
	],
	course: [
		{ minute: 0, coldest_C: 4, warmest_C: 4 },
		{ minute: 60, coldest_C: 8, warmest_C: 15 },
		{ minute: 240, coldest_C: 92, warmest_C: 97 },
		{ minute: 360, coldest_C: 3, warmest_C: 10 },
	],
};

const COOLED: Watch = { watch: 1, tag: "A1", course: "cool", from_min: 10, to_min: 300 };
const HEATED: Watch = { watch: 2, tag: "A1", course: "reheat", from_min: 900, to_min: 960 };
const READ = [
	...points(1, [
		[10, 80],
		[120, 50],
		[300, 4],
	]),
	...points(2, [
		[900, 4],
		[960, 76],
	]),
];

function wayOf(watches: readonly Watch[], read: readonly ReadPoint[], planned: PlannedWay | null = PLANNED) {
	const now = LIFT + 24 * HOUR_MS;
	return lotWay(watchesNow(written(watches), read, now), planned, KILL, now);
}

describe("the way of a lot", () => {
	it("is the plan until the lift, moved to when it was, and what was read from then on", () => {
		const way = wayOf([COOLED, HEATED], READ);
		expect(way?.planned.map(({ at }) => (at - LIFT) / HOUR_MS)).toEqual([-4, -3, 0]);
		expect(
			way?.stages.map(({ kind, from, to }) => [kind, (from - LIFT) / MINUTE_MS, (to - LIFT) / MINUTE_MS]),
		).toEqual([
			["stand", -240, -180],
			["heat", -180, 0],
			["stand", 0, 10],
			["chill", 10, 300],
			["store", 300, 900],
			["reheat", 900, 960],
		]);
		expect(way?.pans.map(({ tag, read }) => [tag, read.length])).toEqual([["A1", 2]]);
	});

	it("has one growth and one heat, over the plan and all that was read", () => {
		const series = [
			[-240, 4],
			[-180, 8],
			[0, 92],
			[10, 80],
			[120, 50],
			[300, 4],
			[900, 4],
			[960, 76],
		] as const;
		const [pan] = wayOf([COOLED, HEATED], READ)?.pans ?? [];
		const from = LIFT / MINUTE_MS;
		expect(pan?.growth.likely).toBeCloseTo(growthAlong(series).likely, 6);
		expect(pan?.lethality_min).toBeCloseTo(
			equivalentMinutes({ ...KILL, series: series.map(([minute, C]) => [from + minute, C]) }),
			6,
		);
	});

	it("follows a pan that was spread into its parts, and tells the worst", () => {
		const spread: Watch[] = [
			{ ...COOLED, to_min: 120 },
			{ watch: 3, tag: "A1a", course: "cool", from_min: 120, to_min: 300, continues: 1 },
			{ watch: 4, tag: "A2", course: "cool", from_min: 10, to_min: 300 },
		];
		const read = [
			...points(1, [
				[10, 80],
				[120, 50],
			]),
			...points(3, [
				[121, 48],
				[200, 4],
			]),
			...points(4, [
				[10, 80],
				[300, 30],
			]),
		];
		const way = wayOf(spread, read);
		expect(way?.pans.map(({ tag, read: lines }) => [tag, lines.length])).toEqual([
			["A1", 2],
			["A2", 1],
		]);
		expect(way && worstPan(way)?.tag).toBe("A2");
	});

	it("is told of what nobody planned, and not of what nobody read", () => {
		expect(wayOf([COOLED], READ, null)?.planned).toEqual([]);
		expect(wayOf([COOLED], READ, null)?.stages[0]?.kind).toBe("stand");
		expect(wayOf([COOLED, HEATED], [])).toBeNull();
	});

	it("never grows less for standing warm longer", () => {
		fc.assert(
			fc.property(fc.integer({ min: 130, max: 700 }), fc.integer({ min: 1, max: 120 }), (minute, later) => {
				const growth = (at: number) =>
					wayOf(
						[{ ...COOLED, to_min: 900 }],
						points(1, [
							[10, 80],
							[120, 45],
							[at, 40],
							[at + 60, 4],
						]),
					)?.pans[0]?.growth.likely ?? 0;
				expect(growth(minute + later)).toBeGreaterThanOrEqual(growth(minute));
			}),
			{ numRuns: 40, seed: 20_261_203 },
		);
	});
});
