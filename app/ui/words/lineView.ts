import type { WorkedDish } from "#core/day";
import type { PlanLine } from "#core/dish";
import { clausesOf, gramsOrNull, type Ingredient, ingredientOf, isBoughtByVolume } from "#core/recipe";
import type { Shown } from "../parts/shown.ts";
import { counted, perCent, type Reading } from "./reading.ts";

/** One line of the batch as it is read. */
export interface LineView {
	readonly name: string;
	readonly preparation: string;
	/** As a cook weighs, measures or counts it. */
	readonly amount: string;
	readonly percentOfMain: string;
	readonly perPortion: string;
	readonly group: string;
	/** What has to be known beside the amount: straight against damped, rounding, counting out. */
	readonly note: string;
	/** What its figures are of a dish in its day; left out where it stands on none. */
	readonly shown?: { readonly amount: Shown; readonly portion: Shown | null };
}

/** The lines of a dish in its day, as they are read. @param isAsked which of them; every one where it is left out */
export function linesOf(
	{ lines, order }: WorkedDish,
	reading: Reading,
	isAsked: (line: PlanLine) => boolean = () => true,
): LineView[] {
	return lines.flatMap((line, index) => {
		if (!isAsked(line)) return [];
		const of = `${order.id}#${index}`;
		const { perPortion_g } = line;
		const portion: Shown | null =
			perPortion_g === null ? null : { what: "linePortion", of, value: perPortion_g / 1000 };
		return [{ ...lineView(line, reading), shown: { amount: amountShown(line, of), portion } }];
	});
}

function amountShown({ count, measure_ml, weigh_g }: PlanLine, of: string): Shown {
	if (count !== null) return { what: "lineCount", of, value: count };
	if (measure_ml !== null) return { what: "lineLitres", of, value: measure_ml / 1000 };
	return { what: "lineKg", of, value: (weigh_g ?? 0) / 1000 };
}

/** Rounding further off than this is shown. */
const ROUNDING_SHOWN = 0.02;

/** @param known what may stand in its place is told beside it, by its name; left out where it is not given */
export function lineView(
	planned: PlanLine,
	reading: Reading,
	known?: ReadonlyMap<string, Ingredient>,
): LineView {
	const { ingredient, line } = planned;
	return {
		name: ingredient.name,
		preparation: [...clausesOf(line), ...(known ? insteadOf(planned, reading, known) : [])].join(", "),
		amount: amountWords(planned, reading),
		percentOfMain: planned.percentOfMain === null ? "" : perCent(planned.percentOfMain),
		perPortion: planned.perPortion_g === null ? "" : reading.mass(planned.perPortion_g / 1000),
		group: line.group,
		note: noteOf(planned, reading),
	};
}

/** "or 1.2 l perry": each substitute at the size of the batch. */
function insteadOf(
	{ line, ingredient, amount_g }: PlanLine,
	reading: Reading,
	known: ReadonlyMap<string, Ingredient>,
): string[] {
	const card_g = gramsOrNull(line, ingredient);
	return (line.substitutes ?? []).flatMap((instead) => {
		const other = ingredientOf(instead, known);
		const grams = gramsOrNull(instead, other);
		if (grams === null || card_g === null || amount_g === null || card_g === 0) return [];
		const now_g = (grams * amount_g) / card_g;
		const { density_g_per_ml } = other;
		const isPoured = isBoughtByVolume(other) && density_g_per_ml !== null;
		const amount = isPoured ? reading.volume(now_g / density_g_per_ml / 1000) : reading.mass(now_g / 1000);
		return [`or ${amount} ${other.name}`];
	});
}

function amountWords({ count, measure_ml, weigh_g }: PlanLine, reading: Reading): string {
	if (count !== null) return counted(count, "piece");
	if (measure_ml !== null) return reading.volume(measure_ml / 1000);
	return reading.mass((weigh_g ?? 0) / 1000);
}

function noteOf(
	{ count, straight, roundedBy, finerThanScales, measure_ml, line }: PlanLine,
	reading: Reading,
): string {
	const damped =
		straight === null
			? []
			: [`straight ${count === null ? reading.mass(straight / 1000) : counted(straight, "piece")}`];
	const rounded =
		measure_ml === null && Math.abs(roundedBy) > ROUNDING_SHOWN
			? [`rounded ${roundedBy > 0 ? "up" : "down"} ${perCent(Math.abs(roundedBy) * 100)}`]
			: [];
	const fished = count !== null && line.role === "potent" ? ["count them out"] : [];
	const finer = finerThanScales ? ["finer than the scales read"] : [];
	return [...damped, ...rounded, ...finer, ...fished].join(" · ");
}
