import { type Beliefs, SHIPPED_BELIEFS } from "../beliefs/index.ts";
import { must, Refusal } from "../check/index.ts";
import { allVessels, type Kitchen } from "../kitchen/index.ts";
import type { Oven, OvenLoad } from "../ovens/index.ts";
import { type ChoosePans, chooseByBids, inGoes, type PanChoice } from "../pans/index.ts";
import { figuresHash } from "../random/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { type DishNeeds, needsOf } from "./DishNeeds.ts";
import type { DishOrder } from "./DishOrder.ts";
import { heldPans } from "./heldPans.ts";
import type { SizedDish } from "./SizedDish.ts";
import { fittedTo, sizeDish } from "./sizeDish.ts";

export interface DishToPlan {
	readonly recipe: Recipe;
	readonly order: DishOrder;
}

export type SittingDish =
	| { readonly id: string; readonly needs: DishNeeds }
	/** Why it can not be planned, in a sentence for the chef. */
	| { readonly id: string; readonly refused: string };

type Sized =
	| { readonly id: string; readonly dish: SizedDish }
	| { readonly id: string; readonly refused: string };

/**
 * What all dishes of a sitting need, in the order in which they were given. Their pans are chosen at
 * once out of the one stock; then each is parted by the rungs that those that need more leave it.
 * What finds no pan goes into the same pans again, after the first filling. In what order the dishes
 * are given does not matter. A dish that cannot be planned does not stop the others.
 *
 * @param choose how the pans are chosen
 */
export function planSitting(
	dishes: readonly DishToPlan[],
	kitchen: Kitchen,
	choose: ChoosePans = chooseByBids,
	beliefs: Beliefs = SHIPPED_BELIEFS,
): SittingDish[] {
	const sized = dishes.map(({ recipe, order }): Sized => {
		const dish = orRefused(() => sizeDish(recipe, order, kitchen, beliefs));
		return "refused" in dish ? { id: order.id, ...dish } : { id: order.id, dish };
	});
	const named = sized.flatMap((result) => ("dish" in result ? [result.dish] : [])).sort(byFigures);
	const choices = choose(
		named.map(({ load }) => load),
		allVessels(kitchen.equipment),
		kitchen.policy,
	);
	const planned = new Map<string, SittingDish>();
	let { ovens } = kitchen.equipment;
	const paired = named.map((dish, index) => {
		const pans = inGoes(choices[index] as PanChoice, dish.load, kitchen.policy);
		return { dish: fittedTo(dish, pans, kitchen, beliefs), pans };
	});
	for (const { dish, pans } of largestFirst(paired)) {
		const elsewhere = heldPans(
			paired
				.filter((other) => other.dish !== dish)
				.map((other) => ({ dish: other.dish.recipe.name, pans: other.pans })),
		);
		const { id } = dish.order;
		const needs = orRefused(() => readied(needsOf(dish, { pans, elsewhere, ovens }, kitchen, beliefs)));
		planned.set(id, "refused" in needs ? { id, ...needs } : { id, needs });
		if (!("refused" in needs)) {
			const { name } = dish.recipe;
			ovens = needs.dish.split.fit.loads.reduce((left, load) => without(left, load, name), ovens);
		}
	}
	return sized.map((result) => ("dish" in result ? must(planned, result.id, "dish") : result));
}

/** What a dish is refused for stands in its figures: they are asked for once. */
function readied(needs: DishNeeds): DishNeeds {
	needs.estimated();
	return needs;
}

/** Dishes in an order that follows from what they are; what they are called decides nothing. */
function byFigures(a: SizedDish, b: SizedDish): number {
	return (
		a.order.serviceAt - b.order.serviceAt ||
		b.size.chain.trimmed_kg - a.size.chain.trimmed_kg ||
		hashOf(a).localeCompare(hashOf(b))
	);
}

function hashOf({ order, recipe, load }: SizedDish): string {
	return figuresHash([order, recipe, load.pieces]);
}

/** What needs most of the oven goes first. */
function largestFirst(dishes: readonly { readonly dish: SizedDish; readonly pans: PanChoice }[]) {
	return [...dishes].sort((a, b) => b.pans.rungs - a.pans.rungs || byFigures(a.dish, b.dish));
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
