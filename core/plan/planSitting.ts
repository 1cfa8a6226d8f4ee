import { type Beliefs, SHIPPED_BELIEFS } from "../beliefs/index.ts";
import { Refusal } from "../check/index.ts";
import { allVessels, type Kitchen } from "../kitchen/index.ts";
import type { Oven, OvenLoad } from "../ovens/index.ts";
import { type ChoosePans, chooseByBids, inGoes, type PanChoice } from "../pans/index.ts";
import type { Recipe } from "../recipe/index.ts";
import type { DishOrder } from "./DishOrder.ts";
import { heldPans } from "./heldPans.ts";
import type { Plan } from "./Plan.ts";
import { planIn } from "./planDish.ts";
import { type PreparedBatch, planPreparations } from "./planPreparations.ts";
import type { SizedDish } from "./SizedDish.ts";
import { sizeDish } from "./sizeDish.ts";

export interface DishToPlan {
	readonly recipe: Recipe;
	readonly order: DishOrder;
}

export type PlannedDish =
	| { readonly id: string; readonly plan: Plan }
	/** Why there is no plan, in a sentence for the chef. */
	| { readonly id: string; readonly refused: string };

/** All dishes of a sitting, in the order in which they were given, and what is made in the house for them. */
export interface PlannedSitting {
	readonly dishes: readonly PlannedDish[];
	readonly batches: readonly PreparedBatch[];
}

type Sized =
	| { readonly id: string; readonly dish: SizedDish }
	| { readonly id: string; readonly refused: string };

/**
 * All dishes of a sitting. Their pans are chosen at once out of the one stock; then each takes its
 * rungs out of what is left, the largest first, and an oven that one dish has set keeps that
 * temperature for the next. What finds no pan goes into the same pans again, after the first
 * filling. In what order the dishes are given does not matter. A dish that cannot
 * be planned does not stop the others.
 *
 * @param choose how the pans are chosen
 */
export function planSitting(
	dishes: readonly DishToPlan[],
	kitchen: Kitchen,
	choose: ChoosePans = chooseByBids,
	beliefs: Beliefs = SHIPPED_BELIEFS,
): PlannedSitting {
	const sized = dishes.map(({ recipe, order }): Sized => {
		const dish = orRefused(() => sizeDish(recipe, order, kitchen, beliefs));
		return "refused" in dish ? { id: order.id, ...dish } : { id: order.id, dish };
	});
	const named = sized
		.flatMap((result) => ("dish" in result ? [result.dish] : []))
		.sort((a, b) => a.order.id.localeCompare(b.order.id));
	const choices = choose(
		named.map(({ load }) => load),
		allVessels(kitchen.equipment),
		kitchen.policy,
	);
	const planned = new Map<string, PlannedDish>();
	let { ovens } = kitchen.equipment;
	const paired = named.map((dish, index) => ({
		dish,
		pans: inGoes(choices[index] as PanChoice, dish.load, kitchen.policy),
	}));
	for (const { dish, pans } of largestFirst(paired)) {
		const elsewhere = heldPans(
			paired
				.filter((other) => other.dish !== dish)
				.map((other) => ({ dish: other.dish.recipe.name, pans: other.pans })),
		);
		const result = orRefused(() => planIn(dish, { pans, elsewhere, ovens }, kitchen, beliefs));
		const { id } = dish.order;
		planned.set(id, "refused" in result ? { id, ...result } : { id, plan: result });
		if (!("refused" in result)) {
			const { name } = dish.recipe;
			ovens = result.ovens.loads.reduce((left, load) => without(left, load, name), ovens);
		}
	}
	const results = sized.map((result) =>
		"dish" in result ? (planned.get(result.id) as PlannedDish) : result,
	);
	const plans = results.flatMap((result) => ("plan" in result ? [result.plan] : []));
	return { dishes: results, batches: planPreparations(plans, kitchen) };
}

/** What needs most of the oven goes first; where two need as much, their names say which. */
function largestFirst(dishes: readonly { readonly dish: SizedDish; readonly pans: PanChoice }[]) {
	return [...dishes].sort(
		(a, b) => b.pans.rungs - a.pans.rungs || a.dish.order.id.localeCompare(b.dish.order.id),
	);
}

function orRefused<T>(make: () => T): T | { readonly refused: string } {
	try {
		return make();
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		return { refused: error.problems.map((problem) => problem.message).join("; ") };
	}
}

/** The ovens with one load in: fewer rungs, and the temperature fixed. */
function without(ovens: readonly Oven[], load: OvenLoad, dish: string): readonly Oven[] {
	return ovens.map((oven) =>
		oven.id === load.oven.id
			? {
					...oven,
					rungs: oven.rungs - load.rungsTaken,
					min_C: load.set_C,
					max_C: load.set_C,
					partFree: load.partFree,
					heldBy: [
						...(oven.heldBy ?? []),
						{ oven: oven.name, dish, rungs: load.rungsTaken, set_C: load.set_C },
					],
					alsoInside: (oven.alsoInside ?? 0) + load.pans.reduce((sum, { count }) => sum + count, 0),
				}
			: oven,
	);
}
