import { wholeUp } from "../quantity/index.ts";
import { cookedShare, isByPiece, type Losses, type Portion, type YieldChain } from "./yieldChain.ts";

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
	const cooked_kg = (portions * portion_g) / 1000;
	const trimmed_kg = cooked_kg / cookedShare(losses);
	return { portions, cooked_kg, trimmed_kg, asPurchased_kg: trimmed_kg / (1 - losses.trimLoss) };
}

function byPiece(portions: number, piecesPerPortion: number, piece_g: number, losses: Losses): YieldChain {
	const pieces = wholeUp(portions * piecesPerPortion);
	const asPurchased_kg = (pieces * piece_g) / 1000;
	const trimmed_kg = asPurchased_kg * (1 - losses.trimLoss);
	return { portions, pieces, asPurchased_kg, trimmed_kg, cooked_kg: trimmed_kg * cookedShare(losses) };
}
