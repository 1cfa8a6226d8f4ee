import type { Kitchen } from "../kitchen/index.ts";
import { asScaleLine, ingredientOf, type Recipe } from "../recipe/index.ts";

/** Trimmed main of the card, kg. */
export function cardMain_kg(recipe: Recipe, { known }: Pick<Kitchen, "known">): number {
	const main = recipe.lines.find((line) => line.role === "main");
	if (!main) throw new Error(`recipe “${recipe.name}” has no main line`);
	return (asScaleLine(main, ingredientOf(main, known.byId)).amount_g ?? 0) / 1000;
}
