import { wholeDown, wholeUp } from "../quantity/index.ts";
import { isByPiece } from "../yields/index.ts";
import { cutForPortions, cutFromStock } from "./cutBatch.ts";
import type { Plan } from "./Plan.ts";

/** What came, against what was ordered, and what each way to deal with it comes to. */
export interface Shortfall {
	readonly came_kg: number;
	readonly ordered_kg: number;
	/** Portions that what came makes, and that the covers want with their spare and without it. */
	readonly makes: number;
	readonly wanted: number;
	readonly withoutSpare: number;
	/** Whether giving the spare up is enough. */
	readonly spareDoes: boolean;
	/** A portion that feeds everybody with their spare, a share of the card's. */
	readonly portion: number;
	/** Portions that somebody else has to be fed by. */
	readonly short: number;
	/** What would have to be bought besides, kg, and in packs where it comes in them. */
	readonly buy_kg: number;
	readonly packs: number | null;
}

/**
 * What came too little is dealt with: by the spare, a smaller portion, another dish, or another order.
 *
 * @param came_kg as purchased, above 0
 * @returns null where enough came
 */
export function shortfallOf(plan: Plan, came_kg: number): Shortfall | null {
	const { recipe, order, wanted } = plan;
	const { portion, pack_kg } = recipe;
	const makes = cutFromStock(recipe, came_kg).chain.portions;
	if (makes >= wanted) return null;
	const withoutSpare = wholeUp(wanted / (1 + order.spare));
	const { asPurchased_kg: needed_kg, order_kg = needed_kg } = cutForPortions(recipe, wanted).chain;
	const buy_kg = needed_kg - came_kg;
	return {
		came_kg,
		ordered_kg: order_kg,
		makes,
		wanted,
		withoutSpare,
		spareDoes: makes >= withoutSpare,
		// To the hundredth below: a hair more would be a portion short again. A piece is not made smaller by wishing.
		portion: isByPiece(portion) ? 1 : wholeDown((came_kg / needed_kg) * 100) / 100,
		short: wanted - makes,
		buy_kg,
		packs: pack_kg === undefined ? null : wholeUp(buy_kg / pack_kg),
	};
}
