import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { carriedTo } from "../carry/index.ts";
import { type ChillGiven, minutesTo } from "../chill/index.ts";
import { type Reheating, reheatMinutes } from "../reheat/index.ts";
import { equivalentMinutes, growthAlong } from "../safety/index.ts";
import {
	braises,
	chilledAs,
	cools,
	heats,
	journey,
	reheatedAs,
	type Stage,
	type StageKind,
	simmers,
	stands,
	type Travels,
	travelsIn,
} from "./index.ts";

const STEW: Travels = { depth_mm: 60, consistency: "stew" };
const JOINT: Travels = { sides: { kind: "block", sides_mm: [220, 120, 90] }, boneShare: 0 };
const PAN = { gn: "1/1", depth_mm: 100 } as const;
const of = (kind: StageKind, minutes: number) => ({ kind, minutes });

/** From the lift to the plate: stood, cooled, kept, carried, made hot, held. */
const WAY: readonly Stage[] = [
	stands(of("stand", 20), 22),
	cools(of("chill", 240), "blast", -2),
	stands(of("store", 2880), 3),
	travelsIn(of("carry", 45), { UA_W_per_K: 0.8, mass_kg: 20 }, 12),
	heats(of("reheat", 120), { kind: "fanOven", set_C: 150 }, "foil", PAN),
	stands(of("hold", 60), 70),
];

const walked = (travels: Travels, stages: readonly Stage[], start_C: number) =>
	journey([{ travels, stages }], start_C);

describe("one body on its way", () => {
	it("cools as food does that is only cooled", () => {
		const given = { depth_mm: 60, start_C: 80, medium: "blast", medium_C: -2, consistency: "stew" } as const;
		const [minutes] = minutesTo(given, [21]);
		const { warmest_C } = walked(STEW, [cools(of("chill", minutes ?? 0), "blast", -2)], 80);
		expect(warmest_C[0]).toBeCloseTo(21, 0);
	});

	it("is carried as a box is, and made hot as a layer is that has no wall", () => {
		const box = { UA_W_per_K: 0.8, mass_kg: 20 };
		const { warmest_C, coldest_C } = walked(STEW, [travelsIn(of("carry", 120), box, 5)], 75);
		const there_C = carriedTo({ ...box, start_C: 75, air_C: 5 }, 120);
		expect(Math.abs(((warmest_C[0] ?? 0) + (coldest_C[0] ?? 0)) / 2 - there_C)).toBeLessThan(0.5);
		const heat = { kind: "fanOven", set_C: 150 } as const;
		const pan = { box: { length_mm: 5000, width_mm: 5000, depth_mm: 100 } };
		const minutes = reheatMinutes(
			{ ...{ pan, depth_mm: 60, consistency: "stew", lid: "foil" }, heat, start_C: 4 },
			70,
		);
		const { coldest_C: hot } = walked(STEW, [heats(of("reheat", minutes ?? 0), heat, "foil", PAN)], 4);
		expect(hot[0]).toBeCloseTo(70, 0);
	});

	it("carries the sums of each point through all its stages", () => {
		const { growth_log10, lethality_min, course } = walked(STEW, WAY, 85);
		const along = (end: "warmest_C" | "coldest_C") =>
			course.map((point) => [point.minute, point[end]] as [number, number]);
		// The warmest point of each moment is not one point: it grows no less than any of them.
		expect(growth_log10).toBeLessThanOrEqual(growthAlong(along("warmest_C")).likely + 0.05);
		const least = equivalentMinutes({ ref_C: 70, z_C: 7.5, series: along("coldest_C") });
		expect(lethality_min).toBeGreaterThanOrEqual(least * 0.95);
		expect(course.at(-1)?.minute).toBeCloseTo(
			WAY.reduce((sum, { minutes }) => sum + minutes, 0),
			6,
		);
	});

	it("held at 70 °C for ten minutes has ten minutes of it", () => {
		const { lethality_min, growth_log10 } = walked(STEW, [stands(of("hold", 10), 70)], 70);
		expect(lethality_min).toBeCloseTo(10, 3);
		expect(growth_log10).toBe(0);
	});

	it("grows no less and is killed no less for a stage more, and grows more the slower it comes up", () => {
		const anyStage = fc.oneof(
			fc
				.record({ minutes: fc.integer({ min: 1, max: 300 }), C: fc.integer({ min: 0, max: 75 }) })
				.map(({ minutes, C }) => stands(of("stand", minutes), C)),
			fc.integer({ min: 1, max: 200 }).map((minutes) => cools(of("chill", minutes), "blast", -2)),
			fc
				.integer({ min: 1, max: 200 })
				.map((minutes) => heats(of("reheat", minutes), { kind: "fanOven", set_C: 140 }, "lid", PAN)),
		);
		fc.assert(
			fc.property(
				fc.constantFrom(STEW, JOINT),
				fc.array(anyStage, { minLength: 2, maxLength: 5 }),
				(food, stages) => {
					const [less, more] = [walked(food, stages.slice(0, -1), 20), walked(food, stages, 20)];
					expect(more.growth_log10).toBeGreaterThanOrEqual(less.growth_log10 - 1e-9);
					expect(more.lethality_min).toBeGreaterThanOrEqual(less.lethality_min - 1e-9);
					expect(more.warmest_C.slice(0, -1)).toEqual(less.warmest_C);
				},
			),
			{ seed: 27_03, numRuns: 25 },
		);
		const bath = (set_C: number) =>
			walked(JOINT, [simmers(of("heat", 300), { kind: "waterBath", set_C })], 4);
		expect(bath(54).growth_log10).toBeGreaterThan(bath(80).growth_log10);
		expect(bath(80).lethality_min).toBeGreaterThan(bath(60).lethality_min);
	});

	it("in a pan meets the liquid as it comes up, later than one that is hot from the start", () => {
		const heat = { kind: "fanOven", set_C: 150 } as const;
		const pan = { cut: "porkShoulder", sides: JOINT.sides, pan: PAN, lid: "lid" } as const;
		const given = { ...pan, heat, meat_kg: 6, liquid_l: 4, start: { meat_C: 4, liquid_C: 10 } };
		const inPan = walked(JOINT, [braises(of("heat", 90), given)], 4);
		const inHot = walked(JOINT, [simmers(of("heat", 90), heat)], 4);
		expect(inPan.coldest_C[0]).toBeLessThan(inHot.coldest_C[0] ?? 0);
	});

	it("on a weak flame comes up by its power: twenty litres in a slow cooker take three hours and more", () => {
		const pan = { round: { diameter_mm: 340, height_mm: 240 } };
		const litres = { depth_mm: 220, consistency: "liquid" } as const;
		const cooker = (minutes: number) =>
			walked(litres, [heats(of("heat", minutes), { kind: "slowCooker", set_C: 90 }, "lid", pan)], 8);
		expect(cooker(150).warmest_C[0]).toBeLessThan(57);
		expect(cooker(330).coldest_C[0]).toBeGreaterThan(57);
		expect(cooker(900).warmest_C[0]).toBeLessThan(92);
	});

	it("is cooled and made hot as its plan says, to the half degree", () => {
		const chill: ChillGiven = {
			depth_mm: 70,
			start_C: 85,
			medium: "blast",
			medium_C: -10,
			consistency: "stew",
			chiller: { power_W: 900, area_m2: 0.6 },
		};
		const [cold_min] = minutesTo(chill, [5]);
		const cooled = walked(
			{ depth_mm: 70, consistency: "stew" },
			[chilledAs(of("chill", cold_min ?? 0), chill)],
			85,
		);
		expect(cooled.warmest_C[0]).toBeCloseTo(5, 0);
		const again: Reheating = {
			pan: PAN,
			depth_mm: 60,
			consistency: "stew",
			lid: "foil",
			start_C: 4,
			heat: { kind: "fanOven", set_C: 150 },
			oven: { power_kW: 2, pans: 4 },
		};
		const hot_min = reheatMinutes(again, 75) ?? 0;
		const made = walked(
			{ depth_mm: 60, length_mm: 505, width_mm: 300, consistency: "stew" },
			[reheatedAs(of("reheat", hot_min), again)],
			4,
		);
		expect(Math.abs((made.coldest_C[0] ?? 0) - 75)).toBeLessThan(1.5);
	});

	it("turned into another vessel goes on with the sums of its worst point", () => {
		const slow = stands(of("stand", 300), 30);
		const cold = stands(of("store", 60), 3);
		const whole = walked(JOINT, [slow], 60);
		const turned = journey(
			[
				{ travels: JOINT, stages: [slow] },
				{ travels: STEW, stages: [cold] },
			],
			60,
		);
		expect(turned.growth_log10).toBeGreaterThanOrEqual(whole.growth_log10);
		expect(turned.lethality_min).toBeGreaterThanOrEqual(whole.lethality_min);
		expect(turned.warmest_C.length).toBe(2);
		expect(turned.course.at(-1)?.stage).toBe(1);
	});
});
