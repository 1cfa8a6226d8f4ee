import type { PanChoice } from "../pans/index.ts";
import { millilitresOf, UNITS, WATER_G_PER_ML, wholeUp } from "../quantity/index.ts";
import { asScaleLine, type Ingredient, ingredientOf, type Recipe, type RecipeLine } from "../recipe/index.ts";
import { isFinerThan, type ScaleTo, scaleLines, weighAsCook } from "../scaling/index.ts";

import { figure, multiply, type Working, working } from "../workings/index.ts";

/** One line of the card at the size of the batch. Masses g, volumes ml. */
export interface PlanLine {
	readonly ingredient: Ingredient;
	readonly line: RecipeLine;
	/** Before rounding; null for what is counted. */
	readonly amount_g: number | null;
	/** As a cook weighs it; null for what is counted. */
	readonly weigh_g: number | null;
	/** Whether the kitchen's scales do not read so finely. */
	readonly finerThanScales: boolean;
	/** Millilitres, where the card measures it by volume. */
	readonly measure_ml: number | null;
	readonly count: number | null;
	readonly percentOfMain: number | null;
	readonly perPortion_g: number | null;
	/** What the card's own ratio would have asked for, ml; for braising liquid only. */
	readonly card_ml: number | null;
	/** What it would be scaled straight, g or a count; for damped lines only. */
	readonly straight: number | null;
	/** Share by which the weighed amount is off the computed one. */
	readonly roundedBy: number;
	/** How a braising liquid's litres came about: what fills the pans, or what boiling down leaves; else null. */
	readonly sum: Working | null;
}

/**
 * Every line of the card at the size of the batch. Braising liquid is what the pans
 * need: liquids that are boiled down first keep their share of the meat and bring what
 * is left of them, the others fill the rest in the card's own proportions. Searing fat
 * is the film of the kitchen's own pan; the card's weight stands where there is none.
 *
 * @param searFat_g   fat for all loads; null when there is no searing pan
 * @param scaleStep_g what the kitchen's scales read to
 * @see model, section B
 */
export function planLines(
	recipe: Recipe,
	to: ScaleTo,
	pans: PanChoice,
	known: ReadonlyMap<string, Ingredient>,
	searFat_g: number | null,
	scaleStep_g: number,
): PlanLine[] {
	const ingredients = recipe.lines.map((line) => ingredientOf(line, known));
	const scaled = scaleLines(
		recipe.lines.map((line, index) => asScaleLine(line, ingredients[index] as Ingredient)),
		to,
	);
	const straight = recipe.lines.map((line, index) => {
		const ingredient = ingredients[index] as Ingredient;
		const { count = null, amount_g: byCard = null } = scaled[index] ?? {};
		const amount_g =
			line.role === "searFat"
				? (searFat_g ?? byCard)
				: line.role === "second"
					? inPieces(byCard, recipe)
					: byCard;
		const ml = amount_g === null || !measuredByVolume(line) ? null : volumeOf(amount_g, ingredient);
		return { line, ingredient, amount_g, count, ml };
	});
	const fill = pans.pans.length === 0 ? 1 : fillFactor(straight, pans.liquid_l * 1000);
	return straight.map((planned) => {
		const fills = planned.line.role === "liquid" && planned.line.reducedTo === undefined;
		const line = asPlanLine(planned, fills ? fill : 1, to, scaleStep_g);
		const sum = fills ? fillsUp(planned, fill) : boiledDown({ ...planned, measure_ml: planned.ml });
		const measure_ml = fills && sum ? sum.result.value * 1000 : line.measure_ml;
		return { ...line, measure_ml, straight: straightOf(planned.line, planned.ingredient, to), sum };
	});
}

interface Sized extends Straight {
	readonly ingredient: Ingredient;
	readonly amount_g: number | null;
	readonly count: number | null;
}

/** A second main in whole pieces: all that is bought, salted and paid for. */
function inPieces(grams: number | null, { second }: Recipe): number | null {
	if (grams === null || !second) return grams;
	const { weight_g } = second.piece;
	return wholeUp(grams / weight_g) * weight_g;
}

/** One line with its share of what the pans need taken into it. */
function asPlanLine(
	{ line, ingredient, amount_g, count, ml }: Sized,
	share: number,
	to: ScaleTo,
	scaleStep_g: number,
): Omit<PlanLine, "straight" | "sum"> {
	const card_ml = line.role === "liquid" ? ml : null;
	if (amount_g === null) {
		const none = {
			amount_g,
			finerThanScales: false,
			weigh_g: null,
			measure_ml: null,
			percentOfMain: null,
			perPortion_g: null,
		};
		return { ingredient, line, count, card_ml, roundedBy: 0, ...none };
	}
	const grams = amount_g * share;
	const weigh_g = weighAsCook(grams, line.role, scaleStep_g);
	return {
		ingredient,
		line,
		amount_g: grams,
		weigh_g,
		finerThanScales: ml === null && isFinerThan(weigh_g, scaleStep_g),
		measure_ml: ml === null ? null : ml * share,
		count,
		percentOfMain: grams / (to.main_kg * 10),
		perPortion_g: grams / to.portions,
		card_ml,
		roundedBy: grams === 0 ? 0 : weigh_g / grams - 1,
	};
}

/** The card's litres, by what fills the pans to their line. */
function fillsUp({ ml, ingredient }: Sized, fill: number): Working | null {
	if (!ml) return null;
	const sum = multiply(figure(ml / 1000, "l", "byTheCard"), figure(fill, "number", "toFillThePans"));
	return working("fillsUp", sum, "l", { name: ingredient.name });
}

/** What boiling down leaves of a liquid; null where it is not boiled down. */
export function boiledDown({
	line,
	ingredient,
	measure_ml,
}: Pick<PlanLine, "line" | "ingredient" | "measure_ml">): Working | null {
	if (line.role !== "liquid" || line.reducedTo === undefined) return null;
	const left = multiply(
		figure((measure_ml ?? 0) / 1000, "l", "in"),
		figure(line.reducedTo, "share", "leftOfIt"),
	);
	return working("boiledDown", left, "l", { name: ingredient.name });
}

/** A damped line as it would be without the damping. */
function straightOf(line: RecipeLine, ingredient: Ingredient, to: ScaleTo): number | null {
	if (line.exponent === undefined || line.exponent === 1) return null;
	const { exponent: _, ...undamped } = line;
	const [scaled] = scaleLines([asScaleLine(undamped, ingredient)], to);
	return scaled?.amount_g ?? scaled?.count ?? null;
}

function measuredByVolume(line: RecipeLine): boolean {
	return line.role === "liquid" || UNITS[line.unit].dimension === "volume";
}

function volumeOf(grams: number, ingredient: Ingredient): number {
	return millilitresOf({ amount: grams, unit: "g" }, ingredient.density_g_per_ml ?? WATER_G_PER_ML);
}

interface Straight {
	readonly line: RecipeLine;
	readonly ml: number | null;
}

/** What the liquids that fill up are multiplied by to bring the pans to their line. */
function fillFactor(lines: readonly Straight[], needed_ml: number): number {
	let reduced = 0;
	let filling = 0;
	for (const { line, ml } of lines) {
		if (line.role !== "liquid" || ml === null) continue;
		if (line.reducedTo === undefined) filling += ml;
		else reduced += ml * line.reducedTo;
	}
	return filling === 0 ? 1 : Math.max(0, needed_ml - reduced) / filling;
}
