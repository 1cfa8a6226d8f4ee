import type { Kitchen } from "../kitchen/index.ts";
import { NORTH, POLICY, SOUTH } from "../kitchen/kitchen.testing.ts";
import { type ChoosePans, chooseByBids } from "../pans/index.ts";
import { type Ingredient, ingredient, type Recipe } from "../recipe/index.ts";
import { alone, type DishOrder, type DishToPlan, type LonePlan, planSitting } from "./index.ts";

/** A kitchen, a dish and an order for the tests of the plan. */

export const INGREDIENTS: readonly Ingredient[] = [
	ingredient({ id: "collar", name: "pork collar", category: "meat" }),
	ingredient({ id: "onion", name: "onions", each_g: 150 }),
	ingredient({ id: "celery", name: "celery", allergens: ["celery"] }),
	ingredient({ id: "cider", name: "cider", category: "wine", density_g_per_ml: 1, allergens: ["sulphites"] }),
	ingredient({ id: "stock", name: "stock", category: "stock", density_g_per_ml: 1, allergens: ["celery"] }),
	ingredient({ id: "lard", name: "lard", category: "fat", density_g_per_ml: 0.92 }),
	ingredient({ id: "bay", name: "bay leaves", category: "spice", each_g: 0.2 }),
	ingredient({ id: "salt", name: "salt", category: "salt", density_g_per_ml: 1.2 }),
];

export const KITCHEN: Kitchen = {
	equipment: {
		pans: [
			{ id: "full", name: "GN 1/1-100", shape: { gn: "1/1", depth_mm: 100 }, stock: 10 },
			{ id: "half", name: "GN 1/2-100", shape: { gn: "1/2", depth_mm: 100 }, stock: 6 },
		],
		ovens: [NORTH, SOUTH],
		searPans: [
			{ id: "wide", name: "Wide pan", shape: { round: { diameter_mm: 360, height_mm: 60 } }, stock: 3 },
		],
		pots: [
			{ id: "stew-pot", name: "Stew pot", shape: { round: { diameter_mm: 320, height_mm: 200 } }, stock: 2 },
		],
		trays: [{ id: "tray", name: "GN 1/1-40", shape: { gn: "1/1", depth_mm: 40 }, stock: 6 }],
		hobPower_kW: 3,
		burners: 3,
	},
	policy: POLICY,
	known: {
		byId: new Map(INGREDIENTS.map((ingredient) => [ingredient.id, ingredient])),
		preparations: new Map(),
	},
};

export const RECIPE: Recipe = {
	format: "wide-table/recipe",
	formatVersion: 1,
	name: "Pork collar, cider",
	summary: "",
	cut: "porkShoulder",
	portions: 10,
	portion: { portion_g: 165 },
	losses: { trimLoss: 0.08, boneShare: 0, cookingLoss: 0.34 },
	pack_kg: 3.5,
	orderLead_days: 2,
	piece: { shape: "block", length_mm: 82, width_mm: 58, height_mm: 50, weight_g: 250 },
	gap_mm: 10,
	lines: [
		{ ingredient: "collar", amount: 2500, unit: "g", role: "main", group: "base" },
		{ ingredient: "onion", amount: 4, unit: "piece", role: "vegetable", group: "base" },
		{ ingredient: "celery", amount: 200, unit: "g", role: "vegetable", group: "base" },
		{ ingredient: "cider", amount: 0.7, unit: "l", role: "liquid", group: "liquid", reducedTo: 0.5 },
		{ ingredient: "stock", amount: 1050, unit: "ml", role: "liquid", group: "liquid" },
		{ ingredient: "lard", amount: 18, unit: "g", role: "searFat", group: "base" },
		{ ingredient: "bay", amount: 3, unit: "piece", role: "potent", group: "liquid", exponent: 0.8 },
		{ ingredient: "salt", amount: 25, unit: "g", role: "salt", group: "base" },
	],
	sear: { sides: 4, minutesPerSide: 1.5, recovery_min: 2, gap_mm: 15 },
	braise: { line: { below_mm: 15 }, lid: "lid", oven_C: { low: 140, set: 150, high: 160 } },
	rest_min: 15,
	sauce_ml: 60,
	steps: [
		{ place: "trim", text: "Trim.", station: "Larder", handsOn_min: 10, waiting_min: 0, grows: "withWeight" },
		{
			place: "build",
			text: "Build.",
			station: "Stove",
			handsOn_min: 5,
			waiting_min: 20,
			grows: "withWeight",
		},
		{
			place: "sauce",
			text: "Reduce.",
			station: "Stove",
			handsOn_min: 3,
			waiting_min: 15,
			grows: "withWeight",
		},
		{ place: "plate", text: "Plate.", station: "Pass", handsOn_min: 3, waiting_min: 0, grows: "withWeight" },
	],
};

export const ORDER: DishOrder = {
	id: "collar",
	serviceAt: Date.UTC(2026, 10, 28, 19, 30),
	covers: 100,
	uptake: 0.6,
	spare: 0.05,
	hands: 2,
	basis: { from: "covers" },
	panTypeId: null,
	panWishes: [],
	colour: null,
	lineSettled: false,
};

/** The kitchen with other equipment. */
export function equipped(equipment: Partial<Kitchen["equipment"]>, kitchen: Kitchen = KITCHEN): Kitchen {
	return { ...kitchen, equipment: { ...kitchen.equipment, ...equipment } };
}

/** The kitchen of a house that wants something else. */
export function wanting(policy: Partial<Kitchen["policy"]>, kitchen: Kitchen = KITCHEN): Kitchen {
	return { ...kitchen, policy: { ...kitchen.policy, ...policy } };
}

/** The kitchen with more ingredients known. */
export function knowing(more: readonly Ingredient[], kitchen: Kitchen = KITCHEN): Kitchen {
	const byId = new Map(
		[...kitchen.known.byId.values(), ...more].map((ingredient) => [ingredient.id, ingredient]),
	);
	return { ...kitchen, known: { ...kitchen.known, byId } };
}

type Lone =
	| { readonly id: string; readonly plan: LonePlan }
	| { readonly id: string; readonly refused: string };

/** The dishes of a sitting with the pans they share, each as its card would have it. */
export function lonePlans(
	dishes: readonly DishToPlan[],
	kitchen: Kitchen = KITCHEN,
	choose: ChoosePans = chooseByBids,
): Lone[] {
	return planSitting(dishes, kitchen, choose).map((dish) =>
		"needs" in dish ? { id: dish.id, plan: alone(dish.needs) } : dish,
	);
}
