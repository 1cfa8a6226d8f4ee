import { describe, expect, it } from "vitest";
import { sidesOf } from "../heat/index.ts";
import { braise, ovenEnergy, storyOf, usualPan, type WaysAsked, waysAtOven, waysToTender } from "./index.ts";

const PIECE = { shape: "cylinder", diameter_mm: 55, length_mm: 120, weight_g: 300 } as const;
const asked = (wanted_min: number): WaysAsked => ({
	given: usualPan("goatShoulder", PIECE),
	pans: 5,
	ovens: 1,
	lids: ["lid", "paper"],
	sizes: [
		{ parts: 1, sides: sidesOf(PIECE) },
		{ parts: 4, sides: { kind: "ball", diameter_mm: 40 } },
	],
	oven_C: { low: 80, high: 190 },
	confidence: 0.9,
	wanted_min,
});

describe("ways to have it tender by a time", () => {
	it("with time to spare every lid and size has its coolest oven, and ten degrees less is too late", () => {
		const ways = waysToTender(asked(300));
		expect(ways).toHaveLength(4);
		for (const way of ways) {
			expect(way.inTime).toBe(true);
			expect(way.sure_min).toBeLessThanOrEqual(300);
			const { given, sizes } = asked(300);
			const size = sizes.find(({ parts }) => parts === way.parts) ?? sizes[0];
			const cooler = waysAtOven({
				...asked(300),
				sizes: size ? [size] : [],
				lids: [way.lid],
				given: { ...given, heat: { kind: "fanOven", set_C: way.oven_C - 10 } },
			});
			expect(cooler[0]?.sure_min).toBeGreaterThan(300);
		}
	});

	it("in less time the small pieces come first; in no time nothing does, and that is said", () => {
		// Between what the quickest and the next smaller size take.
		const quickest = (parts: number) =>
			Math.min(...waysToTender(asked(30)).flatMap((way) => (way.parts === parts ? [way.sure_min] : [])));
		const soon = waysToTender(asked(quickest(4) + 1));
		expect(soon.find(({ inTime }) => inTime)?.parts).toBe(4);
		expect(soon.some(({ inTime, parts }) => inTime && parts === 1)).toBe(false);
		expect(waysToTender(asked(30)).every(({ inTime }) => !inTime)).toBe(true);
	});

	it("once the liquid boils a hotter oven is not asked for", () => {
		const [lid] = waysToTender(asked(30)).filter(({ lid: cover, parts }) => cover === "lid" && parts === 1);
		expect(lid?.oven_C).toBeLessThan(190);
	});

	it("paper costs more liquid and more heat than a lid", () => {
		const ways = waysAtOven(asked(200)).filter(({ parts }) => parts === 1);
		const lid = ways.find((way) => way.lid === "lid");
		const paper = ways.find((way) => way.lid === "paper");
		expect(paper?.steam_l).toBeGreaterThan(lid?.steam_l ?? 0);
		expect(paper?.energy.electricity_kWh).toBeGreaterThan(lid?.energy.electricity_kWh ?? 0);
	});
});

describe("energy of an oven", () => {
	it("an empty one at 165 °C for two hours is its steel and its losses", () => {
		// 140 K above the kitchen: 25 kJ/K once, 8.5 W/K for 7200 s.
		const { electricity_kWh, gas_kWh } = ovenEnergy(0, 165, 120);
		expect(electricity_kWh).toBeCloseTo((140 * 25 + 140 * 8.5 * 7.2) / 3600, 6);
		expect(gas_kWh).toBeGreaterThan(electricity_kWh);
	});
});

describe("the story of a braise", () => {
	it("tells when the middle was hot and how much softening came after", () => {
		const given = usualPan("goatShoulder", PIECE);
		const braised = braise(given);
		const story = storyOf(given, braised);
		expect(story?.liquidTop_C).toBeGreaterThan(98);
		expect(story?.coreAt_min).toBeLessThan(braised.marks.forkTender?.likely ?? 0);
		expect(story?.softenedAfter).toBeGreaterThan(0.5);
		expect(story?.softenedAfter).toBeLessThan(1);
		// All juice that a usual loss lets go, once everything was above 85 °C.
		expect(story?.juice_l).toBeCloseTo(0.36 * 4.5, 1);
	});

	it("is not told of a pan that never gets there", () => {
		const given = usualPan("goatShoulder", PIECE);
		const warm = { ...given, heat: { kind: "waterBath", set_C: 45 } as const };
		expect(storyOf(warm, braise(warm))).toBeNull();
	});
});
