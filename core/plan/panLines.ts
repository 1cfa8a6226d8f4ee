import {
	asScaleLine,
	type Ingredient,
	ingredientOf,
	inPan,
	type Recipe,
	type RecipeLine,
} from "../recipe/index.ts";

interface LineOf {
	readonly line: RecipeLine;
	readonly ingredient: Ingredient;
}

/** Whether a line goes into the braising pan at all: not the meat, not what is cooked apart or added at the end. */
export function goesIntoPan({ line }: LineOf): boolean {
	if (line.apart || line.role === "main" || line.role === "searFat") return false;
	return line.group === "base" || line.group === "liquid";
}

/** Whether it lies under the meat from the start and takes room there. */
export function liesUnderMeat({ line, ingredient }: LineOf): boolean {
	return goesIntoPan({ line, ingredient }) && line.late_min === undefined && takesRoom(ingredient);
}

/** Whether it joins the pan before the end. */
export function joinsLate({ line, ingredient }: LineOf): boolean {
	return line.late_min !== undefined && goesIntoPan({ line, ingredient });
}

export function takesRoom(ingredient: Ingredient): boolean {
	return inPan(ingredient).takesRoom && ingredient.category !== "water" && ingredient.category !== "stock";
}

/** Density of cut roots and onions, kg/l: a shade under water. */
export const VEGETABLE_KG_PER_L = 0.98;

/** What lies under the meat at this size: litres and kg, for the pans. */
export function bedUnder(
	recipe: Recipe,
	factor: number,
	known: ReadonlyMap<string, Ingredient>,
): { volume_l: number; weight_kg: number } {
	const grams = recipe.lines
		.map((line) => ({ line, ingredient: ingredientOf(line, known) }))
		.filter(liesUnderMeat)
		.reduce((sum, { line, ingredient }) => sum + (asScaleLine(line, ingredient).amount_g ?? 0), 0);
	const weight_kg = (grams * factor) / 1000;
	return { weight_kg, volume_l: weight_kg / VEGETABLE_KG_PER_L };
}
