import { scaledPiece, smallerPiece } from "../pans/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { HEAT_RANGES, type HeatWay, type Lid } from "../trade/index.ts";
import { isByPiece } from "../yields/index.ts";

/** How a dish is made tender on one sitting, where that is another way than its card's; null leaves it to the card. */
export interface CookChoice {
	readonly heat: HeatWay | null;
	readonly set_C: number | null;
	readonly lid: Lid | null;
	/** The butcher cuts each piece into so many alike. */
	readonly parts: (typeof PARTS)[number];
	/** A smaller portion, and pieces as much smaller: a share of the card's; the card's own where it is left out. */
	readonly portion?: number;
}

/** A portion is no smaller than this share of its card's, on a day that is short. */
export const LEAST_PORTION = 0.6;

/** Into so many a piece can be cut: whole, halved, in four. */
export const PARTS = [1, 2, 4] as const;

/** Nothing settled: all of it as the card has it. */
export const AS_ON_CARD: CookChoice = { heat: null, set_C: null, lid: null, parts: 1 };

/** The recipe cooked that way. */
export function cookedThatWay(recipe: Recipe, choice: CookChoice | null): Recipe {
	if (choice === null) return recipe;
	const { heat, set_C, lid, parts, portion = 1 } = choice;
	const other = heat === null || heat === (recipe.braise.heat ?? "oven") ? recipe : onHeat(recipe, heat);
	const heated = set_C === null ? other : settledAt(other, set_C);
	const braise = lid === null ? heated.braise : { ...heated.braise, lid };
	// What is bought and plated by the piece stays whole.
	const halvings = isByPiece(recipe.portion) ? 0 : Math.log2(parts);
	const cut = { ...heated, braise, piece: smallerPiece(recipe.piece, halvings) };
	return portion === 1 ? cut : withPortion(cut, portion);
}

/** The recipe with portions of so much, and pieces that are as much lighter and alike in shape. */
function withPortion(recipe: Recipe, share: number): Recipe {
	const { portion, piece } = recipe;
	return {
		...recipe,
		portion:
			"portion_g" in portion
				? { portion_g: portion.portion_g * share }
				: { ...portion, piece_g: portion.piece_g * share },
		piece: scaledPiece(piece, share),
	};
}

/** A recipe at the temperature that the chef has settled: at no other. */
function settledAt(recipe: Recipe, set_C: number): Recipe {
	return { ...recipe, braise: { ...recipe.braise, oven_C: { low: set_C, set: set_C, high: set_C } } };
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
