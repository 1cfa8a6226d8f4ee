import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Refusal } from "../check/index.ts";
import { LID_KEYS } from "../trade/index.ts";
import { type Reheating, reheating, reheatMinutes, reheatRange } from "./index.ts";

const TRAY: Reheating = {
	pan: { gn: "1/1", depth_mm: 100 },
	depth_mm: 60,
	consistency: "stew",
	lid: "foil",
	heat: { kind: "fanOven", set_C: 150 },
	start_C: 4,
};
const HOT_C = 75;
const NEVER = Number.POSITIVE_INFINITY;
const until = (given: Reheating) => reheatMinutes(given, HOT_C) ?? NEVER;
/** Two walks of other steps are so near to each other. */
const HAIR = 1.01;
const SEEDED = { seed: 27_01, numRuns: 25 };

const anyTray = fc.record({
	pan: fc.constantFrom<Reheating["pan"][]>(
		{ gn: "1/1", depth_mm: 200 },
		{ gn: "1/2", depth_mm: 200 },
		{ round: { diameter_mm: 360, height_mm: 200 } },
		{ box: { length_mm: 600, width_mm: 400, depth_mm: 200 } },
	),
	depth_mm: fc.integer({ min: 20, max: 150 }),
	consistency: fc.constantFrom("liquid", "stew", "solid"),
	lid: fc.constantFrom(...LID_KEYS),
	heat: fc.record({
		kind: fc.constantFrom("fanOven", "stillOven"),
		set_C: fc.integer({ min: 110, max: 200 }),
	}),
	start_C: fc.integer({ min: 0, max: 10 }),
}) as fc.Arbitrary<Reheating>;

describe("cold food that is made hot", () => {
	it("takes longer the deeper it lies: a tray of 76 mm nearly twice as long as one of 46", () => {
		const [shallow, usual] = [46, 76].map((depth_mm) => until({ ...TRAY, depth_mm })) as [number, number];
		expect(shallow).toBeGreaterThan(61);
		expect(shallow).toBeLessThan(69);
		expect(usual / shallow).toBeGreaterThan(1.6);
		fc.assert(
			fc.property(anyTray, fc.integer({ min: 2, max: 40 }), (given, more) => {
				const deeper = { ...given, depth_mm: given.depth_mm + more };
				expect(until(deeper) * HAIR).toBeGreaterThanOrEqual(until(given));
			}),
			SEEDED,
		);
	});

	it("is no sooner hot for an empty wall, a taller pan or a larger one", () => {
		fc.assert(
			fc.property(fc.integer({ min: 20, max: 60 }), fc.constantFrom(65, 100, 150), (depth_mm, taller) => {
				const low = until({ ...TRAY, depth_mm, pan: { gn: "1/1", depth_mm: 65 } });
				expect(until({ ...TRAY, depth_mm, pan: { gn: "1/1", depth_mm: taller } })).toBeCloseTo(low, 6);
				const larger = until({ ...TRAY, depth_mm, pan: { gn: "2/1", depth_mm: taller } });
				expect(larger * HAIR).toBeGreaterThanOrEqual(low);
			}),
			SEEDED,
		);
	});

	it("is never later hot in a hotter oven, stirred, or started warmer", () => {
		fc.assert(
			fc.property(anyTray, fc.integer({ min: 5, max: 40 }), (given, more) => {
				const now = until(given);
				const heat = { kind: "fanOven", set_C: "set_C" in given.heat ? given.heat.set_C + more : 0 } as const;
				expect(until({ ...given, heat })).toBeLessThanOrEqual(now * HAIR);
				expect(until({ ...given, start_C: given.start_C + more })).toBeLessThanOrEqual(now * HAIR);
				expect(until({ ...given, stirEvery_min: 10 })).toBeLessThanOrEqual(now * HAIR);
			}),
			SEEDED,
		);
	});

	it("is later hot where its pans share too little power", () => {
		const shared = (pans: number) => until({ ...TRAY, oven: { power_kW: 6, pans } });
		expect(shared(1)).toBeCloseTo(until(TRAY), 6);
		expect(shared(20)).toBeGreaterThan(until(TRAY) * 1.3);
		expect(shared(30)).toBeGreaterThan(shared(20));
	});

	it("grows hot without turning back, and steams the less the better it is covered", () => {
		const [open, foil] = (["open", "foil"] as const).map((lid) => [...reheating({ ...TRAY, lid }, 60)]);
		for (const points of [open, foil]) {
			points?.reduce((before, point) => {
				expect(point.coldest_C).toBeGreaterThanOrEqual(before.coldest_C - 1e-9);
				expect(point.steamed_l).toBeGreaterThanOrEqual(before.steamed_l);
				return point;
			});
		}
		expect(foil?.at(-1)?.steamed_l).toBeLessThan((open?.at(-1)?.steamed_l ?? 0) / 3);
	});

	it("is hot at once where it was, and never where the oven is no hotter", () => {
		expect(reheatRange({ ...TRAY, start_C: HOT_C }, HOT_C)).toEqual({ low: 0, likely: 0, high: 0 });
		expect(reheatRange({ ...TRAY, heat: { kind: "fanOven", set_C: 74 } }, HOT_C)).toBeNull();
	});

	it("has a range around its likely minutes", () => {
		const range = reheatRange(TRAY, HOT_C);
		if (!range) throw new Error("it becomes hot");
		expect(range.likely).toBe(until(TRAY));
		expect(range.low).toBeLessThan(range.likely * 0.9);
		expect(range.high).toBeGreaterThan(range.likely * 1.1);
	});
});

describe("food on a flame", () => {
	const POT: Reheating = {
		...TRAY,
		pan: { round: { diameter_mm: 360, height_mm: 240 } },
		depth_mm: 100,
		heat: { kind: "hob", simmer: true },
	};

	it("takes all of the burner while it is stirred: ten kilos a degree in a quarter of a minute", () => {
		const kilos = 0.36 * 0.36 * 0.1 * 1050;
		expect(until({ ...POT, stirEvery_min: 5 })).toBeCloseTo((kilos * 3600 * (HOT_C - 4)) / 2500 / 60, 0);
	});

	it("is a block on a hot floor while it is not, and takes hours", () => {
		expect(until(POT)).toBeGreaterThan(4 * until({ ...POT, stirEvery_min: 5 }));
	});
});

describe("what is refused", () => {
	it.each(["slowCooker", "pressure"] as const)("cold food in a %s", (kind) => {
		expect(() => until({ ...TRAY, heat: { kind, set_C: 95 } })).toThrow(Refusal);
	});

	it("food that lies higher than its pan", () => {
		expect(() => until({ ...TRAY, depth_mm: 101 })).toThrow(/the pan is 100 mm deep/);
	});
});
