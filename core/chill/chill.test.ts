import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { seriesCore } from "../heat/series.testing.ts";
import { runs } from "../random/runs.testing.ts";
import {
	type ChillGiven,
	chilling,
	chillTimes,
	deepestFor,
	iceFor,
	MEDIA,
	minutesTo,
	withIce,
} from "./index.ts";

const STEW: ChillGiven = { depth_mm: 60, start_C: 70, medium: "walkIn", medium_C: 3, consistency: "stew" };
/** What a block of solid food conducts and holds, as the model has it. */
const SOLID_W_PER_MK = 0.53;
const DIFFUSES_M2_PER_S = SOLID_W_PER_MK / (1050 * 3600);
const FILMS = { walkIn: 8, blast: 32, iceWater: 250 } as const;

const anyFood = fc.record({
	depth_mm: fc.integer({ min: 15, max: 150 }),
	start_C: fc.integer({ min: 50, max: 95 }),
	medium: fc.constantFrom(...MEDIA),
	medium_C: fc.integer({ min: -5, max: 4 }),
	consistency: fc.constantFrom("liquid", "stew", "solid"),
}) as fc.Arbitrary<ChillGiven>;
const COLD_C = 8;
const until = (given: ChillGiven) => minutesTo(given, [COLD_C])[0] ?? Number.POSITIVE_INFINITY;
/** Two walks of other steps are so near to each other. */
const HAIR = 1.01;

describe("food that is cooled", () => {
	it.each(MEDIA)("meets the series for a slab in %s to 0.5 %%", (medium) => {
		for (const depth_mm of [30, 65, 120]) {
			const given: ChillGiven = { depth_mm, start_C: 63, medium, medium_C: 3, consistency: "solid" };
			const half_m = depth_mm / 2000;
			const biot = (FILMS[medium] * half_m) / SOLID_W_PER_MK;
			for (const C of [40, 21, 10, 5]) {
				const [minutes] = minutesTo(given, [C]);
				const fourier = (DIFFUSES_M2_PER_S * (minutes ?? 0) * 60) / half_m ** 2;
				// What is left of the difference at that moment, by the series.
				expect(Math.abs(seriesCore("slab", biot, fourier) - (C - 3) / 60)).toBeLessThan(0.005);
			}
		}
	});

	it("deeper never cools sooner", () => {
		fc.assert(
			fc.property(anyFood, fc.integer({ min: 1, max: 60 }), (given, more) => {
				expect(until({ ...given, depth_mm: given.depth_mm + more }) * HAIR).toBeGreaterThanOrEqual(
					until(given),
				);
			}),
			{ numRuns: runs(40) },
		);
	});

	it("colder never takes longer, and a better medium never does", () => {
		fc.assert(
			fc.property(anyFood, fc.integer({ min: 1, max: 15 }), (given, colder) => {
				const now = until(given);
				expect(until({ ...given, medium_C: given.medium_C - colder })).toBeLessThanOrEqual(now * HAIR);
				for (const medium of MEDIA.slice(MEDIA.indexOf(given.medium) + 1)) {
					expect(until({ ...given, medium })).toBeLessThanOrEqual(now * HAIR);
				}
			}),
			{ numRuns: runs(40) },
		);
	});

	it("more in the chiller is never cold sooner, and a chiller strong enough is as good as one without end", () => {
		fc.assert(
			fc.property(
				anyFood,
				fc.integer({ min: 1, max: 40 }),
				fc.integer({ min: 500, max: 8000 }),
				(given, pans, power_W) => {
					const with_ = (count: number, W: number) =>
						until({ ...given, chiller: { power_W: W, area_m2: count * 0.17 } });
					expect(with_(pans + 1, power_W) * HAIR).toBeGreaterThanOrEqual(with_(pans, power_W));
					expect(with_(pans, 1e9)).toBe(until(given));
				},
			),
			{ numRuns: runs(30) },
		);
	});

	it("two batches side by side are one batch of both, and what has gone out pays nothing any more", () => {
		fc.assert(
			fc.property(
				anyFood,
				fc.integer({ min: 1, max: 20 }),
				fc.integer({ min: 1, max: 20 }),
				fc.integer({ min: 500, max: 6000 }),
				({ medium, medium_C, ...load }, one, other, power_W) => {
					const area = (pans: number) => pans * 0.17;
					const with_ = (pans: number, beside: ChillGiven["beside"] = []) =>
						until({ ...load, medium, medium_C, beside, chiller: { power_W, area_m2: area(pans) } });
					const also = { ...load, area_m2: area(other) };
					const [always, never] = [with_(one + other), with_(one)];
					expect(with_(one, [{ load: also, from_min: 0, to_min: 1e6 }])).toBeCloseTo(always, 6);
					expect(with_(one, [{ load: also, from_min: -900, to_min: 0 }])).toBeCloseTo(never, 6);
					const joins = with_(one, [{ load: also, from_min: 20, to_min: 1e6 }]);
					expect(joins * HAIR).toBeGreaterThanOrEqual(never);
				},
			),
			{ numRuns: runs(30) },
		);
	});

	it("what has stood there for long gives off little: it slows what comes after less than fresh food does", () => {
		const load = { depth_mm: 60, start_C: 80, consistency: "stew" as const };
		const chiller = { power_W: 1500, area_m2: 1.7 };
		const slowedBy = (from_min: number) =>
			until({
				...load,
				...{ medium: "blast", medium_C: -2, chiller },
				beside: [{ load: { ...load, area_m2: 1.7 }, from_min, to_min: 1e6 }],
			});
		expect(slowedBy(-90)).toBeLessThan(slowedBy(-30));
		expect(slowedBy(-30)).toBeLessThan(slowedBy(0));
	});

	it("under a lid takes longer; stirred, or in ice at its foot, it does not", () => {
		fc.assert(
			fc.property(anyFood, (given) => {
				const now = until(given);
				expect(until({ ...given, lid: true }) * HAIR).toBeGreaterThanOrEqual(now);
				expect(until({ ...given, stirEvery_min: 10 })).toBeLessThanOrEqual(now * HAIR);
				const inIce = until({ ...given, foot: { medium: "iceWater", C: Math.min(1, given.medium_C) } });
				expect(inIce).toBeLessThanOrEqual(now * HAIR);
			}),
			{ numRuns: runs(30) },
		);
	});

	it("goes from warm to cold without turning back, warmest within the mean", () => {
		let before = Number.POSITIVE_INFINITY;
		for (const { warmest_C, mean_C } of chilling(STEW, 5)) {
			expect(warmest_C).toBeLessThanOrEqual(before);
			expect(mean_C).toBeLessThanOrEqual(warmest_C + 1e-9);
			before = warmest_C;
		}
		expect(before).toBeLessThanOrEqual(5);
	});

	it("never becomes colder than what it is cooled in", () => {
		expect(minutesTo({ ...STEW, medium_C: 7 }, [21, 5])[1]).toBeNull();
		expect(minutesTo(STEW, [90])).toEqual([0]);
	});

	it("says how far it may be off: the likely minutes within", () => {
		const [to21] = chillTimes(STEW, [21]);
		expect(to21?.low).toBeLessThan(to21?.likely ?? 0);
		expect(to21?.likely).toBeLessThan(to21?.high ?? 0);
	});
});

describe("the deepest that meets a limit", () => {
	it("meets it, and a little deeper does not", () => {
		const limits = [
			{ to_C: 21, within_min: 120 },
			{ to_C: 5, within_min: 360 },
		];
		const { depth_mm: _, ...blast } = { ...STEW, medium: "blast" as const, medium_C: -2 };
		const depth_mm = deepestFor(blast, limits);
		if (depth_mm === null) throw new Error("there is one");
		const meets = (deep: number) => {
			const [to21, to5] = minutesTo({ ...blast, depth_mm: deep }, [21, 5]);
			return (to21 ?? 1e9) <= 120 && (to5 ?? 1e9) <= 360;
		};
		expect(meets(depth_mm)).toBe(true);
		expect(meets(depth_mm + 2)).toBe(false);
	});

	it("is none where it never gets so cold", () => {
		const { depth_mm: _, ...warm } = { ...STEW, medium_C: 9 };
		expect(deepestFor(warm, [{ to_C: 5, within_min: 360 }])).toBeNull();
	});
});

describe("ice as part of the stock", () => {
	it("brings food to what was asked of it, and heat is neither made nor lost", () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1, max: 80, noNaN: true }),
				fc.double({ min: 40, max: 95, noNaN: true }),
				fc.double({ min: 5, max: 40, noNaN: true }),
				(hot_kg, hot_C, to_C) => {
					const ice_kg = iceFor(hot_kg, hot_C, to_C);
					expect(withIce(hot_kg, hot_C, ice_kg)).toBeCloseTo(Math.min(to_C, hot_C), 6);
				},
			),
		);
		expect(withIce(1, 20, 100)).toBe(0);
	});
});
