import type { PlanLine } from "#core/plan";
import { threeDigits } from "#core/quantity";
import { counted, type Reading } from "../ui/reading.ts";

/** One line of the batch as it is read. */
export interface LineView {
	readonly name: string;
	readonly preparation: string;
	/** As a cook weighs, measures or counts it. */
	readonly amount: string;
	readonly percentOfMain: string;
	readonly perPortion: string;
	readonly group: string;
}

export function lineView(planned: PlanLine, reading: Reading): LineView {
	const { ingredient, line } = planned;
	return {
		name: ingredient.name,
		preparation: line.preparation ?? "",
		amount: amountWords(planned, reading),
		percentOfMain: planned.percentOfMain === null ? "" : `${threeDigits(planned.percentOfMain)} %`,
		perPortion: planned.perPortion_g === null ? "" : reading.mass(planned.perPortion_g / 1000),
		group: line.group,
	};
}

function amountWords({ count, measure_ml, weigh_g }: PlanLine, reading: Reading): string {
	if (count !== null) return counted(count, "piece");
	if (measure_ml !== null) return reading.volume(measure_ml / 1000);
	return reading.mass((weigh_g ?? 0) / 1000);
}
