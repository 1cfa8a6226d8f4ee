import { wholeUp } from "../quantity/index.ts";
import { figure, reckoned } from "../workings/index.ts";
import { isByPiece, type Losses, type Portion, type YieldChain } from "./yieldChain.ts";
import { cookedFrom, purchasedFor, trimmedFor, trimmedFrom, weighing } from "./yieldSums.ts";

/**
 * What to buy for a number of portions: the chain walked from the plate back to the purchase.
 *
 * By weight the portion is cooked grams; by piece it is whole pieces as purchased,
 * so trim does not change the order, only what is left of it.
 *
 * @param portions whole portions
 * @param pack_kg  weight of a pack, when it is sold by the pack
 * @see model, section A
 */
export function yieldForPortions(
	portions: number,
	portion: Portion,
	losses: Losses,
	pack_kg?: number,
): YieldChain {
	const chain = isByPiece(portion)
		? byPiece(portions, portion.piecesPerPortion, portion.piece_g, losses)
		: byWeight(portions, portion.portion_g, losses);
	if (pack_kg === undefined) return chain;
	const packs = wholeUp(chain.asPurchased_kg / pack_kg);
	return { ...chain, packs, order_kg: packs * pack_kg };
}

function byWeight(portions: number, portion_g: number, losses: Losses): YieldChain {
	const cooked = weighing(figure(portions, "count"), portion_g, "aPortionCooked");
	const trimmed = trimmedFor(cooked, losses);
	return {
		portions,
		cooked_kg: reckoned(cooked),
		trimmed_kg: reckoned(trimmed),
		asPurchased_kg: reckoned(purchasedFor(trimmed, losses)),
	};
}

function byPiece(portions: number, piecesPerPortion: number, piece_g: number, losses: Losses): YieldChain {
	const pieces = wholeUp(portions * piecesPerPortion);
	const asPurchased = weighing(figure(pieces, "count"), piece_g, "aPiece");
	const trimmed = trimmedFrom(asPurchased, losses);
	return {
		portions,
		pieces,
		asPurchased_kg: reckoned(asPurchased),
		trimmed_kg: reckoned(trimmed),
		cooked_kg: reckoned(cookedFrom(trimmed, losses)),
	};
}
