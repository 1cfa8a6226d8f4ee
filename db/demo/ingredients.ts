import { readFileSync } from "node:fs";
import { type Ingredient, ingredient } from "#core/recipe";

/** What Skerry House buys: typical kitchen figures, and prices of its own, in euro cents a kilo. */
export const INGREDIENTS: readonly Ingredient[] = JSON.parse(
	readFileSync(new URL("./ingredients.json", import.meta.url), "utf8"),
).map(ingredient);
