import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Cooker } from "../kitchen/index.ts";
import { COOKER_FILL } from "../kitchen/index.ts";
import type { Oven } from "../ovens/index.ts";
import { depthOf } from "../pans/index.ts";
import { runs } from "../random/runs.testing.ts";
import type { Recipe } from "../recipe/index.ts";
import { HEAT_RANGES, HEAT_WAYS, type HeatWay } from "../trade/index.ts";
import { equipped, KITCHEN, ORDER, RECIPE } from "./dish.testing.ts";
import { type Plan, plan, taskAt } from "./index.ts";

const round = (diameter_mm: number, height_mm: number) => ({ round: { diameter_mm, height_mm } });
const COOKERS: readonly Cooker[] = [
	{ ...vessel("pressure-pot", 300, 240), heat: "pressure", fill: COOKER_FILL.pressure },
	{ ...vessel("slow-cooker", 320, 220), heat: "slowCooker", fill: COOKER_FILL.slowCooker, heat_kW: 0.5 },
	{ ...vessel("bath", 400, 320), heat: "bath", fill: COOKER_FILL.bath, heat_kW: 2 },
];
const POTS = [...KITCHEN.equipment.pots, vessel("stock-pot", 360, 340)];
const EVERYTHING = equipped({ pots: POTS, cookers: COOKERS });
const CUBE = { shape: "block" as const, length_mm: 40, width_mm: 40, height_mm: 40, weight_g: 65 };

function vessel(id: string, diameter_mm: number, height_mm: number) {
	return { id, name: id, shape: round(diameter_mm, height_mm), stock: 4 };
}

function on(heat: HeatWay, more: Partial<Recipe> = {}): Recipe {
	const oven_C = heat === "hob" ? RECIPE.braise.oven_C : HEAT_RANGES[heat];
	return { ...RECIPE, ...more, braise: { ...RECIPE.braise, heat, oven_C } };
}

const needsOf = (made: Plan, part: "oven" | "reheat") =>
	made.tasks.filter((task) => task.part === part).flatMap(({ needs }) => needs);

describe("the heat of a dish", () => {
	it.each(HEAT_WAYS)("%s is planned in vessels that suit it, and takes what it heats with", (heat) => {
		const made = plan(on(heat, { layers: "poured", piece: CUBE }), { ...ORDER, covers: 50 }, EVERYTHING);
		expect(made.braise?.slowest.tender_min.likely).toBeGreaterThan(20);
		expect(made.pans.unplaced).toBe(0);
		const kinds = new Set(needsOf(made, "oven").map(({ kind }) => kind));
		expect(kinds.has("rungs")).toBe(heat === "oven");
		expect(kinds.has("burners")).toBe(heat === "hob" || heat === "pressure");
		const pan = made.pans.pans[0];
		const cooker = COOKERS.find((one) => one.heat === heat);
		if (cooker && pan) {
			expect(pan.type.id).toBe(cooker.id);
			expect(pan.bed_mm + pan.pile_mm).toBeLessThanOrEqual(cooker.fill * depthOf(pan.type.shape) + 1e-6);
		}
		expect(taskAt(made, "plate")?.end).toBeLessThanOrEqual(ORDER.serviceAt);
	});

	it("is quicker under pressure than at a simmer, and slower in a bath of 70 than of 80 °C", () => {
		const likely = (recipe: Recipe) => plan(recipe, ORDER, EVERYTHING).braise?.slowest.tender_min.likely ?? 0;
		const poured = { layers: "poured" as const, piece: CUBE };
		expect(likely(on("pressure", poured))).toBeLessThan(likely(on("hob", poured)) * 0.6);
		const bath = on("bath");
		const at = (set: number) => ({ ...bath, braise: { ...bath.braise, oven_C: { low: 60, set, high: 90 } } });
		expect(likely(at(70))).toBeGreaterThan(likely(at(80)) * 1.3);
	});

	it("that is gentle is held against the house code at the coldest point, and a hot one meets it", () => {
		const bath = on("bath", {
			piece: { shape: "block", length_mm: 220, width_mm: 160, height_mm: 110, weight_g: 4000 },
		});
		const at = (set: number) =>
			plan({ ...bath, braise: { ...bath.braise, oven_C: { low: 55, set, high: 90 } } }, ORDER, EVERYTHING);
		const codes = (made: Plan) => made.warnings.map(({ code }) => code);
		expect(at(60).braise?.slowest.verdicts?.comingUp).toBe("missed");
		expect(codes(at(60))).toContain("comingUpSlow");
		expect(at(80).braise?.slowest.verdicts).toEqual({ comingUp: "met", killed: "met" });
		for (const heat of ["oven", "hob", "pressure"] as const) {
			const made = plan(on(heat, { layers: "poured", piece: CUBE }), ORDER, EVERYTHING);
			expect(made.braise?.slowest.verdicts).toEqual({ comingUp: "met", killed: "met" });
		}
	});

	it("comes up by the power of its vessel: a strong pressure pot sooner than a weak one", () => {
		const likely = (heat: "pressure" | "slowCooker", heat_kW: number) => {
			const cookers = COOKERS.map((cooker) => (cooker.heat === heat ? { ...cooker, heat_kW } : cooker));
			const recipe = on(heat, { layers: "poured", piece: CUBE });
			return plan(recipe, ORDER, equipped({ cookers }, EVERYTHING)).braise?.slowest.tender_min.likely ?? 0;
		};
		expect(likely("pressure", 20)).toBeLessThan(likely("pressure", 1.2) - 5);
		expect(likely("slowCooker", 2)).toBeLessThan(likely("slowCooker", 0.28) - 10);
	});

	it("of an oven is its own: one that runs hot or blows fast is sooner done, one that is opened often later", () => {
		const likely = (air: Partial<Oven>) =>
			plan(RECIPE, ORDER, equipped({ ovens: KITCHEN.equipment.ovens.map((oven) => ({ ...oven, ...air })) }))
				.braise?.slowest.tender_min.likely ?? 0;
		const usual = likely({});
		expect(likely({ runsHot_K: 15 })).toBeLessThan(usual);
		expect(likely({ runsHot_K: -15 })).toBeGreaterThan(usual);
		expect(likely({ opened_h: 6 })).toBeGreaterThan(usual);
		expect(likely({ runsHot_K: 0, fan: "usual", opened_h: null })).toBe(usual);
		expect(likely({ fan: "fast", kind: "fanOven" })).toBeLessThan(likely({ fan: "slow", kind: "fanOven" }));
	});

	it("is said where the kitchen has nothing for it, and where pots want more burners than there are", () => {
		const codes = (recipe: Recipe, kitchen = EVERYTHING, covers = 60) =>
			plan(recipe, { ...ORDER, covers }, kitchen).warnings.map(({ code }) => code);
		expect(codes(on("pressure"), KITCHEN)).toContain("noVessel");
		expect(codes(on("hob"), equipped({ burners: 1 }, EVERYTHING), 160)).toContain("burnersShort");
		expect(codes(on("slowCooker"), equipped({ burners: 0 }, EVERYTHING))).not.toContain("burnersShort");
	});

	it("is what it is made hot again with: pots on the hob, bags in a bath that is hot enough", () => {
		const ahead = { schools: { service: "madeAhead" as const } };
		for (const heat of ["hob", "slowCooker", "bath"] as const) {
			const made = plan(on(heat, ahead), { ...ORDER, covers: 40 }, EVERYTHING);
			expect(made.reheat?.minutes.likely).toBeGreaterThan(5);
			expect(needsOf(made, "reheat").map(({ kind }) => kind)).not.toContain("rungs");
		}
	});

	it("steams nothing of the dish off from a bath, hardly anything under pressure", () => {
		const steam = (heat: HeatWay) => plan(on(heat), ORDER, EVERYTHING).braise?.evaporated_l ?? Number.NaN;
		expect(steam("bath")).toBe(0);
		expect(steam("pressure")).toBeLessThan(steam("oven") / 5);
	});

	it("starts hot and is set down: sooner tender than without, and later than hot all the way", () => {
		const likely = (more: Partial<Recipe["braise"]>) =>
			plan({ ...RECIPE, braise: { ...RECIPE.braise, ...more } }, ORDER, KITCHEN).braise?.slowest.tender_min
				.likely ?? 0;
		const hot = likely({ hotStart: { set_C: 220, minutes: 30 } });
		expect(hot).toBeLessThan(likely({}));
		expect(hot).toBeGreaterThan(likely({ oven_C: { low: 140, set: 220, high: 220 } }));
	});

	it("loses more with the cover off at the end, the more the longer", () => {
		const steam = (uncovered_min?: number) => {
			const braise = { ...RECIPE.braise, ...(uncovered_min === undefined ? {} : { uncovered_min }) };
			return plan({ ...RECIPE, braise }, ORDER, KITCHEN).braise?.evaporated_l ?? 0;
		};
		expect(steam(15)).toBeGreaterThan(steam());
		expect(steam(40)).toBeGreaterThan(steam(15));
	});
});

describe("what is poured in depth", () => {
	it("never takes more vessels than in layers, and closes its account of liquid on every heat", () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...HEAT_WAYS),
				fc.integer({ min: 20, max: 120 }),
				fc.constantFrom<1 | 2 | "poured">(1, 2, "poured"),
				(heat, covers, layers) => {
					const order = { ...ORDER, covers };
					const made = plan(on(heat, { layers, piece: CUBE }), order, EVERYTHING);
					const laid = plan(on(heat, { piece: CUBE }), order, EVERYTHING);
					if (layers === "poured") {
						expect(made.pans.unplaced).toBeLessThanOrEqual(laid.pans.unplaced);
						const room = ({ pans }: Plan) => pans.pans.length / Math.max(1, pans.goes);
						if (laid.pans.unplaced === 0 && laid.pans.goes === made.pans.goes && heat !== "oven")
							expect(room(made)).toBeLessThanOrEqual(room(laid));
					}
					const { liquid } = made;
					if (!liquid || liquid.dryAt_min !== null) return;
					const inwards = liquid.poured_l + liquid.fromVegetables_l + liquid.weeping_l;
					expect(liquid.evaporated_l + liquid.absorbed_l + liquid.left_l).toBeCloseTo(inwards, 6);
				},
			),
			{ numRuns: runs(40) },
		);
	});

	it("stands no higher than its vessel may be filled, with its vegetables among it", () => {
		const made = plan(on("hob", { layers: "poured", piece: CUBE }), { ...ORDER, covers: 150 }, EVERYTHING);
		for (const { bed_mm, pile_mm, line_mm, type, warnings } of made.pans.pans) {
			expect(bed_mm).toBe(0);
			expect(pile_mm).toBeLessThanOrEqual(depthOf(type.shape) - 25 + 1e-6);
			expect(line_mm).toBeLessThanOrEqual(depthOf(type.shape));
			expect(warnings).toEqual([]);
		}
	});
});
