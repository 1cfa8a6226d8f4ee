import type { RecipeStep } from "#core/recipe";
import { type BatchWork, handsOnOf } from "#core/tasks";
import { durationWords } from "#core/time";
import { PLACE_WORDS } from "#core/trade";
import { counted } from "./reading.ts";

/** One step of the method, ready to read. */
export interface StepView {
	readonly place: string;
	readonly text: string;
	readonly station: string;
	/** "50 min for one cook, 25 min with 2 cooks, 40 min waiting"; empty when it takes none. */
	readonly minutes: string;
	readonly caution: string | null;
	readonly check: string | null;
}

/**
 * The steps of a method with their minutes.
 *
 * @param hands cooks who work on it side by side
 */
export function stepViews(steps: readonly RecipeStep[], batch: BatchWork, hands: number): StepView[] {
	const handsOn = handsOnOf(steps, batch);
	return steps.map((step, index) => ({
		place: PLACE_WORDS[step.place],
		text: step.text,
		station: step.station,
		minutes: minutesWords(handsOn[index] ?? 0, step.waiting_min, hands),
		caution: step.caution ?? null,
		check: step.check ?? null,
	}));
}

/** How long a step takes, in the same minutes as clock and arithmetic. */
function minutesWords(handsOn_min: number, waiting_min: number, hands: number): string {
	const shared = hands > 1 ? [`${durationWords(handsOn_min / hands)} with ${counted(hands, "cook")}`] : [];
	return [
		...(handsOn_min > 0 ? [`${durationWords(handsOn_min)} for one cook`, ...shared] : []),
		...(waiting_min > 0 ? [`${durationWords(waiting_min)} waiting`] : []),
	].join(", ");
}
