import { gramsOf, type Quantity, UNITS, WATER_G_PER_ML } from "../quantity/index.ts";
import type { ScaleLine } from "../scaling/index.ts";
import { type Ingredient, ingredient } from "./Ingredient.ts";
import type { Recipe, RecipeLine } from "./Recipe.ts";

/** The ingredient of a line; one that is not in the book is taken as water by volume, and is not described. */
export function ingredientOf(
	line: Pick<RecipeLine, "ingredient">,
	known: ReadonlyMap<string, Ingredient>,
): Ingredient {
	return (
		known.get(line.ingredient) ??
		ingredient({
			id: line.ingredient,
			name: line.ingredient.replaceAll("-", " "),
			density_g_per_ml: WATER_G_PER_ML,
			described: false,
		})
	);
}

/** A line as far as it names things. */
export interface Naming {
	readonly ingredient: string;
	readonly substitutes?: readonly { readonly ingredient: string }[];
}

/** Everything that some lines name, each once: what they are made with, and what may stand in its place. */
export function namedIn(lines: readonly Naming[]): string[] {
	const named = lines.flatMap((line) => [line, ...(line.substitutes ?? [])]);
	return [...new Set(named.map(({ ingredient }) => ingredient))];
}

/** What cleaning or trimming takes off a line, a share of what is bought: meat by the card's own losses. */
export function trimLossOf(
	{ losses, second }: Pick<Recipe, "losses" | "second">,
	line: RecipeLine,
	ingredient: Ingredient,
): number {
	if (line.role === "main") return losses.trimLoss;
	if (line.role === "second" && second) return second.losses.trimLoss;
	return line.trimLoss ?? ingredient.trimLoss;
}

/** Whether a line is given as a number of things rather than a weight. */
export function isCounted(line: RecipeLine): boolean {
	return UNITS[line.unit].dimension === "count" && line.role === "potent";
}

/** How many things a counted line is: a dozen is twelve. */
export function countOf({ amount, unit }: Pick<RecipeLine, "amount" | "unit">): number {
	return amount * UNITS[unit].factor;
}

/**
 * Grams of a line as it stands on its card, ready to use.
 *
 * @throws {Refusal} when a volume has no density or a count no weight of one
 */
export function lineGrams({ amount, unit }: RecipeLine, ingredient: Ingredient): number {
	return gramsOf({ amount, unit }, ingredient.density_g_per_ml ?? undefined, ingredient.each_g ?? undefined);
}

/** A recipe line as the scaling laws take it. */
export function asScaleLine(line: RecipeLine, ingredient: Ingredient): ScaleLine {
	const { role, exponent } = line;
	const base = { name: ingredient.name, role, ...(exponent === undefined ? {} : { exponent }) };
	if (isCounted(line)) return { ...base, count: countOf(line) };
	return { ...base, amount_g: lineGrams(line, ingredient) };
}

/** Grams of a quantity of an ingredient, or null when it cannot be weighed. */
export function gramsOrNull(quantity: Quantity, ingredient: Ingredient): number | null {
	const { dimension } = UNITS[quantity.unit];
	if (dimension === "volume" && ingredient.density_g_per_ml === null) return null;
	if (dimension === "count" && ingredient.each_g === null) return null;
	if (dimension === "length" || dimension === "temperature") return null;
	return gramsOf(quantity, ingredient.density_g_per_ml ?? undefined, ingredient.each_g ?? undefined);
}
