import { NO_BED, type Over } from "../pans/index.ts";
import {
	asScaleLine,
	type Ingredient,
	ingredientOf,
	inPan,
	type Recipe,
	type RecipeLine,
} from "../recipe/index.ts";
import { joiningRoom } from "./secondMain.ts";

interface LineOf {
	readonly line: RecipeLine;
	readonly ingredient: Ingredient;
}

/** What is no part of what the meat lies in: meat, a topping over it, fat of the searing. */
const NOT_IN_LIQUID: ReadonlySet<RecipeLine["role"]> = new Set(["main", "second", "topping", "searFat"]);

/** Whether a line goes into the braising pan at all: not the meat, not what is cooked apart or added at the end. */
export function goesIntoPan({ line }: LineOf): boolean {
	if (line.apart || NOT_IN_LIQUID.has(line.role)) return false;
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
	const weight_kg = weightOnCard(recipe, known, liesUnderMeat) * factor;
	return { weight_kg, volume_l: weight_kg / VEGETABLE_KG_PER_L };
}

/** What joins the pans later at this size, and what lies over them; undefined where nothing does. */
export function laidOver(
	recipe: Recipe,
	factor: number,
	known: ReadonlyMap<string, Ingredient>,
): Over | undefined {
	const { second, topping } = recipe;
	if (!second && !topping) return undefined;
	const isOf = (role: RecipeLine["role"]) => weightOnCard(recipe, known, ({ line }) => line.role === role);
	return {
		joins: second ? joiningRoom(isOf("second") * factor) : NO_BED,
		topping_mm: topping?.thickness_mm ?? 0,
		topping_kg: topping ? isOf("topping") * factor : 0,
	};
}

/** Kilos of some lines as they stand on the card. */
function weightOnCard(
	{ lines }: Recipe,
	known: ReadonlyMap<string, Ingredient>,
	isWanted: (of: LineOf) => boolean,
): number {
	const grams = lines
		.map((line) => ({ line, ingredient: ingredientOf(line, known) }))
		.filter(isWanted)
		.reduce((sum, { line, ingredient }) => sum + (asScaleLine(line, ingredient).amount_g ?? 0), 0);
	return grams / 1000;
}

/** Kinds of ingredients that are sour: they take up bare aluminium and iron, and pit foil. */
export const ACID: ReadonlySet<Ingredient["category"]> = new Set(["wine", "acid", "fruit"]);

/** Whether an ingredient is sour: wine, vinegar, fruit, tomatoes. */
export function isSour({ category, name }: Pick<Ingredient, "category" | "name">): boolean {
	return ACID.has(category) || /\btomato/i.test(name);
}

/** Whether something sour goes into the pans, as the card has it. */
export function hasAcid({ lines }: Recipe, known: ReadonlyMap<string, Ingredient>): boolean {
	return lines
		.map((line) => ({ line, ingredient: ingredientOf(line, known) }))
		.some((each) => goesIntoPan(each) && isSour(each.ingredient));
}
