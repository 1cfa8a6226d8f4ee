import type { Recipe, RecipeStep } from "../recipe/index.ts";
import type { PlaceKey } from "../trade/index.ts";

export interface WorkMinutes {
	/** Minutes for one cook. */
	readonly handsOn_min: number;
	/** Minutes nobody stands there. */
	readonly waiting_min: number;
	/** Minutes on the wall with the hands there are. */
	readonly wall_min: number;
}

/**
 * How long the steps of one place take at the size of the batch. Hands-on minutes that
 * grow with the weight are shared by the hands; waiting is not.
 *
 * @param factor size of the batch over the card's
 */
export function workMinutes(recipe: Recipe, place: PlaceKey, factor: number, hands: number): WorkMinutes {
	const steps = recipe.steps.filter((step) => step.place === place);
	const handsOn_min = steps.reduce((sum, step) => sum + handsOn(step, factor), 0);
	const waiting_min = steps.reduce((sum, step) => sum + step.waiting_min, 0);
	return { handsOn_min, waiting_min, wall_min: Math.ceil(handsOn_min / hands + waiting_min) };
}

/** One cook's minutes at a step. */
export function handsOn(step: RecipeStep, factor: number): number {
	return step.grows === "withWeight" ? step.handsOn_min * factor : step.handsOn_min;
}
