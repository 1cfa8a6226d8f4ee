import { wholeUp } from "../quantity/index.ts";
import type { RecipeStep } from "../recipe/index.ts";
import { exactly, type TaskMinutes } from "./Task.ts";

/** Minutes of work: for one cook, with nobody there, and on the wall with the hands there are. */
export interface WorkMinutes {
	readonly handsOn_min: number;
	readonly waiting_min: number;
	readonly wall_min: number;
}

/**
 * One cook's minutes at a step, at the size of the batch.
 *
 * @param factor size of the batch over the card's
 */
export function handsOn(step: Pick<RecipeStep, "handsOn_min" | "grows">, factor: number): number {
	return step.grows === "withWeight" ? step.handsOn_min * factor : step.handsOn_min;
}

/**
 * How long some steps take one after the other. Hands-on minutes are shared by the hands; waiting
 * is not, and does not grow with the batch. The one meaning of minutes on clock, method and
 * arithmetic.
 */
export function workMinutes(steps: readonly RecipeStep[], factor: number, hands: number): WorkMinutes {
	const handsOn_min = steps.reduce((sum, step) => sum + handsOn(step, factor), 0);
	const waiting_min = steps.reduce((sum, step) => sum + step.waiting_min, 0);
	return { handsOn_min, waiting_min, wall_min: wholeUp(handsOn_min / hands + waiting_min) };
}

/** The same as minutes of a task. */
export function taskMinutes({ handsOn_min, waiting_min, wall_min }: WorkMinutes, hands: number): TaskMinutes {
	return {
		handsOn: exactly(handsOn_min / hands),
		waiting: exactly(waiting_min),
		planned: wall_min,
	};
}
