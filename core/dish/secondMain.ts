import { MEAT_KG_PER_L } from "../pans/index.ts";
import type { Range } from "../quantity/index.ts";
import type { Ingredient, Recipe, RecipeLine } from "../recipe/index.ts";
import type { Cut } from "../trade/index.ts";
import { cookedShare } from "../yields/index.ts";

/** Meat of one cut in a dish, without its bone, kg: as it goes in, and as it comes out. */
export interface Meat {
	readonly cut: Cut;
	readonly raw_kg: number;
	readonly cooked_kg: number;
}

/** The second main of a dish. Masses kg. */
export interface PlanSecond {
	readonly ingredient: Ingredient;
	readonly asPurchased_kg: number;
	readonly trimmed_kg: number;
	readonly cooked_kg: number;
	readonly pieces: number;
	/** Cooked, on each portion, g; and pieces of it there. */
	readonly perPortion_g: number;
	readonly perPortion_pieces: number;
	/** From when it joins to fork-tender; null where there is no pan. */
	readonly tender_min: Range | null;
	/** So many whole minutes before the lift it goes in: as sure to be tender as the house wants. */
	readonly joins_min: number | null;
	/** Whether it takes longer than the first main, and says how long the pans are in. */
	readonly slower: boolean;
}

interface SecondLine {
	readonly line: RecipeLine;
	readonly ingredient: Ingredient;
	readonly amount_g: number | null;
}

/** The line of the second main; undefined where the dish has one main. */
export function secondLine<L extends Pick<SecondLine, "line">>(lines: readonly L[]): L | undefined {
	return lines.find(({ line }) => line.role === "second");
}

/** The second main's meat, as its line and the card's losses say; none where the dish has one main. */
export function secondMeat(
	{ second }: Pick<Recipe, "second">,
	lines: readonly Pick<SecondLine, "line" | "amount_g">[],
): Meat[] {
	if (!second) return [];
	const trimmed_kg = (secondLine(lines)?.amount_g ?? 0) / 1000;
	const { cut, losses } = second;
	return [
		{
			cut,
			raw_kg: trimmed_kg * (1 - (losses.boneShare ?? 0)),
			cooked_kg: trimmed_kg * cookedShare(losses),
		},
	];
}

/** Room that a second main takes when it joins the pans, and what it weighs. */
export function joiningRoom(trimmed_kg: number): { volume_l: number; weight_kg: number } {
	return { volume_l: trimmed_kg / MEAT_KG_PER_L, weight_kg: trimmed_kg };
}

/**
 * What a dish has of its second main.
 *
 * @param cooked how long it takes in the pans, where there are any
 * @see model, section L
 */
export function planSecond(
	recipe: Recipe,
	lines: readonly SecondLine[],
	portions: number,
	cooked: Pick<PlanSecond, "tender_min" | "joins_min" | "slower">,
): PlanSecond | null {
	const { second } = recipe;
	const own = secondLine(lines);
	if (!second || !own) return null;
	const trimmed_kg = (own.amount_g ?? 0) / 1000;
	const cooked_kg = trimmed_kg * cookedShare(second.losses);
	const pieces = Math.round((trimmed_kg * 1000) / second.piece.weight_g);
	return {
		ingredient: own.ingredient,
		asPurchased_kg: trimmed_kg / (1 - second.losses.trimLoss),
		trimmed_kg,
		cooked_kg,
		pieces,
		perPortion_g: (cooked_kg * 1000) / portions,
		perPortion_pieces: pieces / portions,
		...cooked,
	};
}
