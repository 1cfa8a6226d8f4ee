import type { PlanLine } from "#core/plan";
import type { PlaceKey } from "#core/trade";
import { type LineView, lineView } from "../ui/lineView.ts";
import { type StepView, stepView } from "../ui/stepView.ts";
import { type WarningWords, warningWords } from "../ui/warningWords.ts";
import { type Sum, type SumsFor, sumsOf } from "./arithmetic.ts";
import { drawingsOf, type PlaceDrawings } from "./drawings.ts";
import { type Headline, headline } from "./headline.ts";

/** What opens below the long table when a place is chosen. */
export interface PlaceDetail extends Headline, PlaceDrawings {
	readonly key: PlaceKey;
	readonly lines: readonly LineView[];
	readonly steps: readonly StepView[];
	readonly warnings: readonly WarningWords[];
	readonly sums: readonly Sum[];
}

/** What one place asks for, ready to show. */
export function detailOf(key: PlaceKey, given: SumsFor): PlaceDetail {
	const { plan, recipe, reading } = given;
	return {
		key,
		...headline(key, given),
		lines: plan.lines.filter((line) => belongsTo(key, line)).map((line) => lineView(line, reading)),
		steps: recipe.steps.filter((step) => step.place === key).map((step) => stepView(step, plan.factor)),
		warnings: plan.warnings
			.filter((warning) => warning.place === key)
			.map((warning) => warningWords(warning, reading)),
		sums: sumsOf(key, given),
		...drawingsOf(key, given),
	};
}

/** Which lines of the card are wanted at which place. */
function belongsTo(key: PlaceKey, { line }: PlanLine): boolean {
	switch (key) {
		case "buy":
			return true;
		case "marinate":
			return line.reducedTo !== undefined;
		case "sear":
			return line.role === "searFat" || line.role === "salt";
		case "build":
			return (
				line.group === "liquid" || (line.group === "base" && line.role !== "main" && line.role !== "searFat")
			);
		case "sauce":
			return line.role === "thickener" || line.group === "finish";
		case "plate":
			return line.group === "side" || line.group === "garnish";
		default:
			return false;
	}
}
