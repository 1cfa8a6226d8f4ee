import { handsOn } from "#core/plan";
import type { RecipeStep } from "#core/recipe";
import { durationWords } from "#core/time";
import { PLACE_LABELS } from "./places.ts";

/** One step of the method, ready to read. */
export interface StepView {
	readonly place: string;
	readonly text: string;
	readonly station: string;
	/** "25 min of work, 40 min waiting"; empty when it takes none. */
	readonly minutes: string;
	readonly caution: string | null;
	readonly check: string | null;
}

/** @param factor size of the batch over the card's */
export function stepView(step: RecipeStep, factor: number): StepView {
	const work = handsOn(step, factor);
	return {
		place: PLACE_LABELS[step.place],
		text: step.text,
		station: step.station,
		minutes: [
			work > 0 ? `${durationWords(work)} of work` : "",
			step.waiting_min > 0 ? `${durationWords(step.waiting_min)} waiting` : "",
		]
			.filter(Boolean)
			.join(", "),
		caution: step.caution ?? null,
		check: step.check ?? null,
	};
}
