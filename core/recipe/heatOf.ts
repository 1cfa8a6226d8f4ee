import type { Layers } from "../pans/index.ts";
import type { HeatWay } from "../trade/index.ts";
import type { Recipe } from "./Recipe.ts";

/** Where a dish is made tender. */
export function heatOf({ braise }: Pick<Recipe, "braise">): HeatWay {
	return braise.heat ?? "oven";
}

export function isInOven(recipe: Pick<Recipe, "braise">): boolean {
	return heatOf(recipe) === "oven";
}

/** How its pieces lie on one another: bags fill a bath as they fall. */
export function layersOf(recipe: Pick<Recipe, "braise" | "layers">): Layers {
	return heatOf(recipe) === "bath" ? "poured" : (recipe.layers ?? 1);
}
