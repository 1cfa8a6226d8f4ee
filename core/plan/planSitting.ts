import { Refusal } from "../check/index.ts";
import type { Oven, OvenLoad } from "../ovens/index.ts";
import type { Recipe } from "../recipe/index.ts";
import type { DishOrder, Kitchen } from "./Kitchen.ts";
import { countByType, type Plan, plan } from "./plan.ts";

export interface DishToPlan {
	readonly id: string;
	readonly recipe: Recipe;
	readonly order: DishOrder;
}

export type PlannedDish =
	| { readonly id: string; readonly plan: Plan }
	/** Why there is no plan, in a sentence for the chef. */
	| { readonly id: string; readonly refused: string };

/**
 * All dishes of a sitting in their order, each taking its pans and its rungs out of
 * what the ones before it left. An oven that one dish has set keeps that temperature
 * for the next. A dish that cannot be planned does not stop the others.
 */
export function planSitting(dishes: readonly DishToPlan[], kitchen: Kitchen): PlannedDish[] {
	const used = new Map<string, number>();
	let ovens = kitchen.ovens;
	return dishes.map(({ id, recipe, order }) => {
		const pans = kitchen.pans.map((type) => ({ ...type, stock: type.stock - (used.get(type.id) ?? 0) }));
		try {
			const planned = plan(recipe, order, { ...kitchen, pans, ovens });
			for (const { type, count } of countByType(planned.pans)) {
				used.set(type.id, (used.get(type.id) ?? 0) + count);
			}
			ovens = planned.ovens.loads.reduce(without, ovens);
			return { id, plan: planned };
		} catch (error) {
			if (!(error instanceof Refusal)) throw error;
			return { id, refused: error.problems.map((problem) => problem.message).join("; ") };
		}
	});
}

/** The ovens with one load in: fewer rungs, and the temperature fixed. */
function without(ovens: readonly Oven[], load: OvenLoad): readonly Oven[] {
	return ovens.map((oven) =>
		oven.id === load.oven.id
			? { ...oven, rungs: oven.rungs - load.rungsTaken, min_C: load.set_C, max_C: load.set_C }
			: oven,
	);
}
