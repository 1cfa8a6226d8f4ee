import { smallerPiece } from "../pans/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { HEAT_RANGES, type HeatWay, type Lid } from "../trade/index.ts";

/** How a dish is made tender on one sitting, where that is another way than its card's; null leaves it to the card. */
export interface CookChoice {
	readonly heat: HeatWay | null;
	readonly set_C: number | null;
	readonly lid: Lid | null;
	/** The butcher cuts each piece into so many alike. */
	readonly parts: (typeof PARTS)[number];
}

/** Into so many a piece can be cut: whole, halved, in four. */
export const PARTS = [1, 2, 4] as const;

/** The recipe cooked that way. */
export function cookedThatWay(recipe: Recipe, choice: CookChoice | null): Recipe {
	if (choice === null) return recipe;
	const { heat, set_C, lid, parts } = choice;
	const other = heat === null || heat === (recipe.braise.heat ?? "oven") ? recipe : onHeat(recipe, heat);
	const heated = set_C === null ? other : heatedAt(other, set_C);
	const braise = lid === null ? heated.braise : { ...heated.braise, lid };
	return { ...heated, braise, piece: smallerPiece(recipe.piece, Math.log2(parts)) };
}

/** A recipe that may also be braised at another temperature: it is planned at that one. */
export function heatedAt(recipe: Recipe, set_C: number): Recipe {
	const { low, high } = recipe.braise.oven_C;
	const oven_C = { low: Math.min(low, set_C), set: set_C, high: Math.max(high, set_C) };
	return { ...recipe, braise: { ...recipe.braise, oven_C } };
}

/** The recipe on another heat than its card's, at what that is usually set to: an oven's hot start goes with it. */
function onHeat(recipe: Recipe, heat: HeatWay): Recipe {
	const { hotStart: _, ...braise } = recipe.braise;
	const oven_C = heat === "hob" ? braise.oven_C : HEAT_RANGES[heat];
	return { ...recipe, braise: { ...braise, heat, oven_C } };
}
