import { Refusal } from "../check/index.ts";
import type { Oven, OvenLoad } from "../ovens/index.ts";
import { type ChoosePans, chooseByBids, type PanChoice } from "../pans/index.ts";
import type { Recipe } from "../recipe/index.ts";
import type { DishOrder, Kitchen } from "./Kitchen.ts";
import { countByType, type Plan, planIn, type SizedDish, sizeDish } from "./plan.ts";

export interface DishToPlan {
	readonly id: string;
	readonly recipe: Recipe;
	readonly order: DishOrder;
}

export type PlannedDish =
	| { readonly id: string; readonly plan: Plan }
	/** Why there is no plan, in a sentence for the chef. */
	| { readonly id: string; readonly refused: string };

type Sized =
	| { readonly id: string; readonly dish: SizedDish }
	| { readonly id: string; readonly refused: string };

/**
 * All dishes of a sitting. Their pans are chosen at once out of the one stock; then each in
 * its order takes its rungs out of what the ones before it left, and an oven that one dish
 * has set keeps that temperature for the next. A dish that cannot be planned does not stop
 * the others.
 *
 * @param choose how the pans are chosen
 */
export function planSitting(
	dishes: readonly DishToPlan[],
	kitchen: Kitchen,
	choose: ChoosePans = chooseByBids,
): PlannedDish[] {
	const sized = dishes.map(({ id, recipe, order }): Sized => {
		const dish = orRefused(() => sizeDish(recipe, order, kitchen));
		return "refused" in dish ? { id, ...dish } : { id, dish };
	});
	const loads = sized.flatMap((one) => ("dish" in one ? [one.dish.load] : []));
	const choices = choose(loads, kitchen.pans, kitchen);
	let ovens = kitchen.ovens;
	return sized.map((one) => {
		if ("refused" in one) return one;
		const pans = choices[loads.indexOf(one.dish.load)] as PanChoice;
		const elsewhere = countsOf(choices.filter((choice) => choice !== pans));
		const planned = orRefused(() => planIn(one.dish, pans, { ...kitchen, ovens }, elsewhere));
		if ("refused" in planned) return { id: one.id, ...planned };
		ovens = planned.ovens.loads.reduce(without, ovens);
		return { id: one.id, plan: planned };
	});
}

function orRefused<T>(make: () => T): T | { readonly refused: string } {
	try {
		return make();
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		return { refused: error.problems.map((problem) => problem.message).join("; ") };
	}
}

function countsOf(choices: readonly PanChoice[]): Map<string, number> {
	const counts = new Map<string, number>();
	for (const { type, count } of choices.flatMap(countByType)) {
		counts.set(type.id, (counts.get(type.id) ?? 0) + count);
	}
	return counts;
}

/** The ovens with one load in: fewer rungs, and the temperature fixed. */
function without(ovens: readonly Oven[], load: OvenLoad): readonly Oven[] {
	return ovens.map((oven) =>
		oven.id === load.oven.id
			? {
					...oven,
					rungs: oven.rungs - load.rungsTaken,
					min_C: load.set_C,
					max_C: load.set_C,
					alsoInside: (oven.alsoInside ?? 0) + load.pans.reduce((sum, { count }) => sum + count, 0),
				}
			: oven,
	);
}
