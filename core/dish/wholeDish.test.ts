import { sumBy } from "es-toolkit";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { COOKER_FILL, type Cooker } from "../kitchen/index.ts";
import { runs } from "../random/runs.testing.ts";
import { ingredient, type Recipe, SCHOOLS, swapped } from "../recipe/index.ts";
import { cookedRecipe } from "../sitting/index.ts";
import { HEAT_RANGES, HEAT_WAYS, type HeatWay } from "../trade/index.ts";
import { equipped, KITCHEN, knowing, ORDER, RECIPE } from "./dish.testing.ts";
import { plan } from "./index.ts";

const round = (id: string, heat: Cooker["heat"], stock: number): Cooker => ({
	id,
	name: id,
	shape: { round: { diameter_mm: 320, height_mm: 240 } },
	stock,
	heat,
	fill: COOKER_FILL[heat],
	heat_kW: 2,
});

const KITCHEN_OF_ALL = equipped(
	{
		cookers: [
			round("cooker", "slowCooker", 12),
			round("pressure", "pressure", 12),
			round("bath", "bath", 12),
		],
	},
	knowing([
		ingredient({ id: "perry", name: "perry", category: "wine", density_g_per_ml: 1 }),
		ingredient({
			id: "soy",
			name: "soy sauce",
			category: "condiment",
			density_g_per_ml: 1.1,
			allergens: ["soya"],
		}),
	]),
);

const heats = fc.constantFrom<HeatWay>(...HEAT_WAYS);
const vegetables = fc.constantFrom(
	...(Object.keys(SCHOOLS.vegetables.answers) as (keyof typeof SCHOOLS.vegetables.answers)[]),
);
const flours = fc.constantFrom(
	...(Object.keys(SCHOOLS.flour.answers) as (keyof typeof SCHOOLS.flour.answers)[]),
);
const services = fc.constantFrom<"sameDay" | "madeAhead">("sameDay", "madeAhead");
const covers = fc.integer({ min: 10, max: 160 });

function cookedOn(heat: HeatWay, schools: NonNullable<Recipe["schools"]>): Recipe {
	const oven_C =
		heat === "hob" ? RECIPE.braise.oven_C : heat === "oven" ? RECIPE.braise.oven_C : HEAT_RANGES[heat];
	return { ...RECIPE, schools, braise: { ...RECIPE.braise, heat, oven_C } };
}

describe("a dish closes through every school and heat", () => {
	const dishes = fc.record({ heat: heats, vegetables, flour: flours, service: services, covers });

	it("in litres: what is poured, given and drunk is what is left, carried off and taken", () => {
		fc.assert(
			fc.property(dishes, ({ heat, covers: guests, ...schools }) => {
				const { liquid, sauce } = plan(cookedOn(heat, schools), { ...ORDER, covers: guests }, KITCHEN_OF_ALL);
				if (!liquid || !sauce) throw new Error("it has its pans");
				const { poured_l, fromVegetables_l, weeping_l, evaporated_l, absorbed_l, left_l } = liquid;
				expect(poured_l + fromVegetables_l + weeping_l - evaporated_l - absorbed_l).toBeCloseTo(left_l, 9);
				expect(left_l - liquid.carried_l + liquid.puree_l).toBeCloseTo(liquid.forSauce_l, 9);
				expect(sauce.take_l + sauce.over_l).toBeCloseTo(liquid.forSauce_l, 6);
			}),
			{ numRuns: runs(25) },
		);
	});

	it("in salt and solids: every line's share is in the whole, and the meat weighs what its losses leave", () => {
		fc.assert(
			fc.property(dishes, ({ heat, covers: guests, ...schools }) => {
				const recipe = cookedOn(heat, schools);
				const { liquid, chain, lines } = plan(recipe, { ...ORDER, covers: guests }, KITCHEN_OF_ALL);
				if (!liquid) throw new Error("it has its pans");
				expect(sumBy([...liquid.salt.from], ({ g }) => g)).toBeCloseTo(liquid.salt.g, 6);
				const shared_g =
					(liquid.salt_pct / 100) * 1000 * (liquid.left_l + liquid.vegetables_kg + liquid.cooked_kg);
				expect(shared_g).toBeCloseTo(liquid.salt_g, 6);
				const { loss_kg, fat_kg, searing_kg, dried_l, juice_l, share } = liquid.juice;
				expect(fat_kg + searing_kg + dried_l + juice_l).toBeCloseTo(loss_kg * share, 9);
				expect(chain.trimmed_kg * (1 - recipe.losses.cookingLoss)).toBeCloseTo(chain.cooked_kg, 9);
				expect(lines.length).toBe(recipe.lines.length);
			}),
			{ numRuns: runs(25) },
		);
	});
});

describe("pieces laid deeper", () => {
	it("never take more pans or pots", () => {
		const cases = fc.record({ covers, heat: fc.constantFrom<HeatWay>("oven", "hob") });
		fc.assert(
			fc.property(cases, ({ covers: guests, heat }) => {
				const pansOf = (layers: 1 | 2) =>
					plan({ ...cookedOn(heat, {}), layers }, { ...ORDER, covers: guests }, KITCHEN).pans;
				const [one, two] = [pansOf(1), pansOf(2)];
				expect(two.unplaced).toBeLessThanOrEqual(one.unplaced);
				// What finds no room even in several fillings tells nothing of how many it would take.
				if (one.unplaced > 0) return;
				expect(two.goes).toBeLessThanOrEqual(one.goes);
				expect(two.pans.length).toBeLessThanOrEqual(one.pans.length);
			}),
			{ numRuns: runs(20) },
		);
	});
});

describe("a substitute", () => {
	const card: Recipe = {
		...RECIPE,
		lines: RECIPE.lines.map((line) =>
			line.ingredient === "cider"
				? {
						...line,
						substitutes: [
							{ ingredient: "perry", amount: 0.9, unit: "l" as const },
							{ ingredient: "soy", amount: 0.2, unit: "l" as const },
						],
					}
				: line,
		),
	};
	const dish = { recipe: card, line: null, ahead: null, cook: null };
	const planned = (to: string | null) =>
		plan(cookedRecipe({ ...dish, swaps: to === null ? [] : [{ from: "cider", to }] }), ORDER, KITCHEN_OF_ALL);

	it("changes salt and allergens as it is itself, and undone the plan is the same", () => {
		const [own, soy] = [planned(null), planned("soy")];
		expect(soy.liquid?.salt_g).toBeGreaterThan((own.liquid?.salt_g ?? 0) * 1.5);
		expect(soy.allergens.map(({ allergen }) => allergen)).toContain("soya");
		expect(own.allergens.map(({ allergen }) => allergen)).not.toContain("soya");
		expect(planned(null)).toEqual(own);
		expect(swapped(swapped(card, []), [])).toEqual(card);
	});

	it("comes in its own amount for the same dish", () => {
		const perry = planned("perry");
		const line = perry.lines.find(({ ingredient: { id } }) => id === "perry");
		expect((line?.amount_g ?? 0) / perry.factor).toBeCloseTo(900, 6);
		expect(perry.chain).toEqual(planned(null).chain);
	});
});
