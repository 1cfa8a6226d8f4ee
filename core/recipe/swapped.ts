import type { Recipe } from "./Recipe.ts";

/** What a line is made with on a day, in place of what its card says. */
export interface Swap {
	/** Short names of ingredients. */
	readonly from: string;
	readonly to: string;
}

/**
 * The recipe with some lines made with what may stand in their place. A swap that the card does not
 * know, as one of an older version, changes nothing.
 */
export function swapped(recipe: Recipe, swaps: readonly Swap[]): Recipe {
	if (swaps.length === 0) return recipe;
	return {
		...recipe,
		lines: recipe.lines.map((line) => {
			const swap = swaps.find(({ from }) => from === line.ingredient);
			const instead = line.substitutes?.find(({ ingredient }) => ingredient === swap?.to);
			return instead ? { ...line, ...instead } : line;
		}),
	};
}
