import type { PanChoice } from "../pans/index.ts";
import { gramsOf, millilitresOf, UNITS, WATER_G_PER_ML } from "../quantity/index.ts";
import type { Allergen, Ingredient, Recipe, RecipeLine } from "../recipe/index.ts";
import { type ScaleLine, type ScaleTo, scaleLines, weighAsCook } from "../scaling/index.ts";

/** One line of the card at the size of the batch. Masses g, volumes ml. */
export interface PlanLine {
	readonly ingredient: Ingredient;
	readonly line: RecipeLine;
	/** Before rounding; null for what is counted. */
	readonly amount_g: number | null;
	/** As a cook weighs it; null for what is counted. */
	readonly weigh_g: number | null;
	/** Millilitres, where the card measures it by volume. */
	readonly measure_ml: number | null;
	readonly count: number | null;
	readonly percentOfMain: number | null;
	readonly perPortion_g: number | null;
	/** What the card's own ratio would have asked for, ml; for braising liquid only. */
	readonly card_ml: number | null;
}

const NO_INGREDIENT: Omit<Ingredient, "id" | "name"> = {
	density_g_per_ml: WATER_G_PER_ML,
	each_g: null,
	allergens: [],
};

export function ingredientOf(line: RecipeLine, known: ReadonlyMap<string, Ingredient>): Ingredient {
	const found = known.get(line.ingredient);
	return found ?? { id: line.ingredient, name: line.ingredient.replaceAll("-", " "), ...NO_INGREDIENT };
}

/** Whether a line is given as a number of things rather than a weight. */
function isCounted(line: RecipeLine): boolean {
	return UNITS[line.unit].dimension === "count" && line.role === "potent";
}

/** A recipe line as the scaling laws take it. */
export function asScaleLine(line: RecipeLine, ingredient: Ingredient): ScaleLine {
	const { role, exponent, amount, unit } = line;
	const base = { name: ingredient.name, role, ...(exponent === undefined ? {} : { exponent }) };
	if (isCounted(line)) return { ...base, count: amount * UNITS[unit].factor };
	return {
		...base,
		amount_g: gramsOf(
			{ amount, unit },
			ingredient.density_g_per_ml ?? undefined,
			ingredient.each_g ?? undefined,
		),
	};
}

/** Vegetables that lie under the meat at this size: litres and kg, for the pans. */
export function bedUnder(
	recipe: Recipe,
	factor: number,
	known: ReadonlyMap<string, Ingredient>,
): { volume_l: number; weight_kg: number } {
	const grams = recipe.lines
		.filter((line) => line.role === "vegetable" && !line.apart)
		.reduce((sum, line) => sum + (asScaleLine(line, ingredientOf(line, known)).amount_g ?? 0), 0);
	const weight_kg = (grams * factor) / 1000;
	return { weight_kg, volume_l: weight_kg / VEGETABLE_KG_PER_L };
}

/** Density of cut roots and onions, kg/l: a shade under water. */
const VEGETABLE_KG_PER_L = 0.98;

/**
 * Every line of the card at the size of the batch. Braising liquid is what the pans
 * need: liquids that are boiled down first keep their share of the meat and bring what
 * is left of them, the others fill the rest in the card's own proportions. Searing fat
 * is the film of the kitchen's own pan; the card's weight stands where there is none.
 *
 * @param searFat_g fat for all loads; null when there is no searing pan
 * @see model, section B
 */
export function planLines(
	recipe: Recipe,
	to: ScaleTo,
	pans: PanChoice,
	known: ReadonlyMap<string, Ingredient>,
	searFat_g: number | null,
): PlanLine[] {
	const ingredients = recipe.lines.map((line) => ingredientOf(line, known));
	const scaled = scaleLines(
		recipe.lines.map((line, index) => asScaleLine(line, ingredients[index] as Ingredient)),
		to,
	);
	const straight = recipe.lines.map((line, index) => {
		const ingredient = ingredients[index] as Ingredient;
		const { count = null, amount_g: byCard = null } = scaled[index] ?? {};
		const amount_g = line.role === "searFat" ? (searFat_g ?? byCard) : byCard;
		const ml = amount_g === null || !measuredByVolume(line) ? null : volumeOf(amount_g, ingredient);
		return { line, ingredient, amount_g, count, ml };
	});
	const fill = fillFactor(straight, pans.liquid_l * 1000);
	return straight.map(({ line, ingredient, amount_g, count, ml }) => {
		const share = line.role === "liquid" && line.reducedTo === undefined ? fill : 1;
		const grams = amount_g === null ? null : amount_g * share;
		return {
			ingredient,
			line,
			amount_g: grams,
			weigh_g: grams === null ? null : weighAsCook(grams, line.role),
			measure_ml: ml === null ? null : ml * share,
			count,
			percentOfMain: grams === null ? null : grams / (to.main_kg * 10),
			perPortion_g: grams === null ? null : grams / to.portions,
			card_ml: line.role === "liquid" ? ml : null,
		};
	});
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

/** Allergens of the dish with the ingredients that bring each. */
export function allergensOf(lines: readonly PlanLine[]): { allergen: Allergen; from: string[] }[] {
	const found = new Map<Allergen, string[]>();
	for (const { ingredient } of lines) {
		for (const allergen of ingredient.allergens) {
			const from = found.get(allergen) ?? [];
			if (!from.includes(ingredient.name)) from.push(ingredient.name);
			found.set(allergen, from);
		}
	}
	return [...found].map(([allergen, from]) => ({ allergen, from }));
}
