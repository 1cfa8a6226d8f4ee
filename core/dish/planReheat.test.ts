import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { runs } from "../random/runs.testing.ts";
import type { Recipe } from "../recipe/index.ts";
import { HOUSE_CODE_KEYS, HOUSE_CODES } from "../safety/index.ts";
import { MINUTE_MS } from "../time/index.ts";
import { KITCHEN, ORDER, RECIPE, wanting } from "./dish.testing.ts";
import { type Plan, plan, taskAt } from "./index.ts";

const AHEAD: Recipe = { ...RECIPE, schools: { service: "madeAhead" } };
const reheated = (recipe: Recipe = AHEAD, kitchen = KITCHEN, covers = 60): NonNullable<Plan["reheat"]> => {
	const { reheat } = plan(recipe, { ...ORDER, covers }, kitchen);
	if (!reheat) throw new Error("it is made hot again");
	return reheat;
};

describe("how a dish is made hot again that was made ahead", () => {
	it("takes as long on the clock as its middle takes to be hot, in the oven at each temperature that suits it", () => {
		const made = plan(AHEAD, ORDER, KITCHEN);
		const task = taskAt(made, "reheat");
		expect(((task?.end ?? 0) - (task?.start ?? 0)) / MINUTE_MS).toBe(made.work.reheat_min);
		expect(made.work.reheat_min).toBe(made.reheat?.planned_min);
		const rungs = task?.needs.find((need) => need.kind === "rungs");
		for (const kind of ["fanOven", "stillOven"]) {
			const ids = KITCHEN.equipment.ovens.filter((oven) => oven.kind === kind).map(({ id }) => id);
			const inKind = rungs?.minutesAt.filter(({ ovens = [] }) => ids.some((id) => ovens.includes(id))) ?? [];
			expect(inKind.map(({ set_C }) => set_C)).toEqual([140, 150, 160]);
			const likely = inKind.map(({ minutes }) => minutes.likely);
			expect(likely).toEqual([...likely].sort((a, b) => b - a));
		}
	});

	it("loses more water under foil than under a tight lid, and from more pans more", () => {
		const lid = reheated();
		const open = reheated({ ...AHEAD, braise: { ...AHEAD.braise, lid: "open" } });
		expect(lid.steams_l).toBeGreaterThan(0);
		expect(open.steams_l).toBeGreaterThan(lid.steams_l);
		expect(reheated(AHEAD, KITCHEN, 240).steams_l).toBeGreaterThan(lid.steams_l);
	});

	it("tells how the middle grows hot from the fridge on, through what the code wants when it likely is so hot", () => {
		for (const covers of [20, 60, 240]) {
			const { course, core_C, minutes } = reheated(AHEAD, KITCHEN, covers);
			const warm = course.map(([, C]) => C);
			expect(warm[0]).toBe(4);
			for (const [index, C] of warm.entries())
				expect(C).toBeGreaterThanOrEqual((warm[index - 1] ?? 4) - 0.01);
			const before = course.findLast(([minute]) => minute <= minutes.likely)?.[1] ?? 0;
			const after = course.find(([minute]) => minute >= minutes.likely)?.[1] ?? 0;
			expect(before).toBeLessThanOrEqual(core_C + 0.01);
			expect(after).toBeGreaterThanOrEqual(core_C - 0.01);
			expect(course.at(-1)?.[0]).toBeGreaterThan(minutes.high);
			expect(course.length).toBeLessThan(100);
		}
	});

	it("is decided by its depth: spread as far as its pieces let it, it is sooner hot", () => {
		const flat = { ...AHEAD, braise: { ...AHEAD.braise, line: { over_mm: 60 } } } as Recipe;
		const { depth_mm, spread, minutes } = reheated(flat);
		if (!spread || depth_mm === null) throw new Error("it can be spread");
		expect(spread.depth_mm).toBeLessThan(depth_mm);
		expect(spread.depth_mm).toBeGreaterThanOrEqual(50);
		expect(spread.minutes).toBeLessThan(minutes.likely * 0.9);
		const none = KITCHEN.equipment.pans.map((type) => ({ ...type, stock: 3 }));
		const small = { ...KITCHEN, equipment: { ...KITCHEN.equipment, pans: none } };
		expect(reheated(flat, small, 240).spread).toBeNull();
	});

	it("holds on a flame only while it is stirred, and in an oven it is left alone", () => {
		const hob = { ...AHEAD, braise: { ...AHEAD.braise, heat: "hob" } } as Recipe;
		const pots = [
			{
				id: "pot",
				name: "Pot",
				shape: { round: { diameter_mm: 450, height_mm: 300 } },
				stock: 4,
				heat_kW: 6,
			},
		];
		const kitchen = { ...KITCHEN, equipment: { ...KITCHEN.equipment, pots } };
		expect(reheated(hob, kitchen).stirEvery_min).toBe(5);
		expect(reheated().stirEvery_min).toBeNull();
	});

	it("is nothing for what is served on the day", () => {
		expect(plan(RECIPE, ORDER, KITCHEN).reheat).toBeNull();
	});

	it("takes its time, and later the hotter the code wants it", () => {
		expect(reheated().minutes.likely).toBeGreaterThan(20);
		const by = (houseCode: (typeof HOUSE_CODE_KEYS)[number]) =>
			reheated(AHEAD, wanting({ code: HOUSE_CODES[houseCode] }));
		expect(by("twoHour63").minutes.likely).toBeLessThan(by("twoStage57").minutes.likely);
		expect(by("blast90").verdict).toBeNull();
	});

	it("keeps its range in order, and says met only where the slowest is in time", () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...HOUSE_CODE_KEYS),
				fc.integer({ min: 10, max: 120 }),
				fc.constantFrom(30, 50, 70),
				(houseCode, covers, height_mm) => {
					const piece = {
						shape: "block",
						length_mm: 82,
						width_mm: 58,
						height_mm,
						weight_g: 5 * height_mm,
					} as const;
					const { minutes, verdict, within_min, core_C } = reheated(
						{ ...AHEAD, piece },
						wanting({ code: HOUSE_CODES[houseCode] }),
						covers,
					);
					expect(core_C).toBe(HOUSE_CODES[houseCode].reheat.core_C);
					expect(minutes.low).toBeLessThanOrEqual(minutes.likely);
					expect(minutes.likely).toBeLessThanOrEqual(minutes.high);
					if (verdict === "met") expect(minutes.high).toBeLessThanOrEqual(within_min ?? 0);
					if (verdict === "missed") expect(minutes.likely).toBeGreaterThan(within_min ?? 0);
				},
			),
			{ numRuns: runs(12) },
		);
	});
});
