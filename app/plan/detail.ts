import { tastingsOf } from "#core/dish";
import type { PlaceKey } from "#core/trade";
import { type Headline, PLACE, sumsOf, type TableGiven } from "../places/index.ts";
import { tastingWords } from "../places/tastingWords.ts";
import { type SumWords, sumWords } from "../places/workingWords.ts";
import { type LineView, linesOf } from "../ui/words/lineView.ts";
import { type StepView, stepViews } from "../ui/words/stepView.ts";
import type { WarningSaid } from "../ui/words/WarningSaid.ts";
import { warningsNow } from "../ui/words/warningsNow.ts";
import { warningWords } from "../ui/words/warningWords.ts";

/** What opens below the long table when a place is chosen. */
export interface PlaceDetail extends Headline {
	readonly key: PlaceKey;
	/** What its drawing shows; the place's own body knows it. */
	readonly drawing: unknown;
	readonly lines: readonly LineView[];
	readonly steps: readonly StepView[];
	readonly warnings: readonly WarningSaid[];
	readonly sums: readonly SumWords[];
	/** What is tasted here, and what mends it. */
	readonly tastings: readonly string[];
}

/** What one place asks for, ready to show. */
export function detailOf(key: PlaceKey, given: TableGiven): PlaceDetail {
	const { plan, reading, kitchen } = given;
	const place = PLACE[key];
	return {
		key,
		...place.headline(given),
		drawing: place.drawing?.(given) ?? null,
		lines: linesOf(plan, reading, (line) => place.takes(line, plan)),
		steps: stepViews(
			plan.recipe.steps.filter((step) => step.place === key),
			plan.batch,
			plan.order.hands,
		),
		warnings: warningsNow(plan, kitchen, reading)
			.filter((warning) => warning.place === key)
			.map((warning) => warningWords(warning, reading)),
		tastings: tastingsOf(plan)
			.filter(({ place: at }) => at === key)
			.map((tasting) => tastingWords(tasting, reading)),
		sums: sumsOf(key, given).map((working) => sumWords(working, reading)),
	};
}
