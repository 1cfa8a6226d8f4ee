import { type DishOrder, plan } from "#core/dish";
import type { Kitchen } from "#core/kitchen";
import type { Recipe } from "#core/recipe";
import { NORTH, POLICY } from "../core/kitchen/kitchen.testing.ts";
import { DEMO_DISHES } from "../core/recipe/demoBook.testing.ts";
import { INGREDIENTS } from "../db/demo/ingredients.ts";
import { median, report, timed } from "./table.ts";

const COVERS = 1200;
const RUNS = 400;
/** Length of the yardstick: so many square roots, sums and products. */
const LOOP = 1_000_000;

export const KITCHEN: Kitchen = {
	equipment: {
		pans: [
			{ id: "a", name: "GN 1/1-65", shape: { gn: "1/1", depth_mm: 65 }, stock: 60 },
			{ id: "b", name: "GN 1/1-100", shape: { gn: "1/1", depth_mm: 100 }, stock: 120 },
			{ id: "c", name: "GN 1/1-150", shape: { gn: "1/1", depth_mm: 150 }, stock: 40 },
			{ id: "d", name: "GN 1/2-100", shape: { gn: "1/2", depth_mm: 100 }, stock: 80 },
			{ id: "e", name: "GN 1/3-100", shape: { gn: "1/3", depth_mm: 100 }, stock: 40 },
			{ id: "f", name: "GN 2/1-100", shape: { gn: "2/1", depth_mm: 100 }, stock: 20 },
		],
		ovens: ["one", "two", "three", "four"].map((name) => ({
			...NORTH,
			id: name,
			name,
			rungs: 20,
			shelf: "2/1",
			max_C: 260,
		})),
		searPans: [
			{
				id: "tilting",
				name: "Tilting pan",
				shape: { box: { length_mm: 720, width_mm: 520, depth_mm: 180 } },
				stock: 3,
				heat_kW: 12,
			},
		],
		pots: [],
		trays: [{ id: "t", name: "GN 1/1-40", shape: { gn: "1/1", depth_mm: 40 }, stock: 40 }],
		burners: 3,
		hobPower_kW: 3,
	},
	policy: { ...POLICY, timeZone: "Atlantic/Faroe" },
	known: {
		byId: new Map(INGREDIENTS.map((ingredient) => [ingredient.id, ingredient])),
		preparations: new Map(),
	},
};

export const ORDER: DishOrder = {
	id: "dish",
	serviceAt: Date.UTC(2026, 10, 28, 19, 30),
	covers: COVERS,
	uptake: 1,
	spare: 0.05,
	hands: 6,
	basis: { from: "covers" },
	panTypeId: null,
	panWishes: [],
	colour: null,
	lineSettled: false,
};

/** One whole plan of a dish for 1,200 covers, against a fixed loop of arithmetic in the same run. */
export function benchPlan(): void {
	const recipes = DEMO_DISHES;
	const cold = timed(1, () => plan(recipes[0] as Recipe, ORDER, KITCHEN))[0] ?? Number.NaN;
	for (const recipe of recipes) timed(60, () => plan(recipe, ORDER, KITCHEN));
	const loop = median(timed(25, yardstick));
	console.log(
		`\nOne plan, ${COVERS} covers (median of ${RUNS}; the yardstick is ${LOOP} steps of arithmetic, ${loop.toFixed(2)} ms)`,
	);
	report("the very first, nothing compiled yet", `${cold.toFixed(2)} ms`);
	for (const recipe of recipes) {
		const ms = median(timed(RUNS, () => plan(recipe, ORDER, KITCHEN)));
		report(recipe.name, `${ms.toFixed(3)} ms`, `under 5 ms; ${(ms / loop).toFixed(3)} of the yardstick`);
	}
}

let kept = 0;

function yardstick(): void {
	let sum = 0;
	for (let step = 1; step <= LOOP; step += 1) sum += Math.sqrt(step) * 1.000001 - step / 3;
	kept += sum;
}

/** Read so that the loop is not thrown away as useless. */
export function yardstickSum(): number {
	return kept;
}
