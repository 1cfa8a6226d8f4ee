import { wholeDown } from "../quantity/index.ts";
import { figure, reckoned } from "../workings/index.ts";
import { isByPiece, type Losses, type Portion, type YieldChain } from "./yieldChain.ts";
import { cookedFrom, trimmedFrom } from "./yieldSums.ts";

/**
 * What a weight on hand feeds: the chain walked from the purchase to the plate.
 *
 * @param onHand_kg weight as purchased, kg
 * @returns whole portions (rounded down: nobody is served a share of one)
 * @see model, section A
 */
export function yieldFromStock(onHand_kg: number, portion: Portion, losses: Losses): YieldChain {
	const trimmed = trimmedFrom(figure(onHand_kg, "kg", "onHand"), losses);
	const cooked_kg = reckoned(cookedFrom(trimmed, losses));
	const weights = { asPurchased_kg: onHand_kg, trimmed_kg: reckoned(trimmed), cooked_kg };
	if (!isByPiece(portion)) {
		return { portions: wholeDown((cooked_kg * 1000) / portion.portion_g), ...weights };
	}
	const pieces = wholeDown((onHand_kg * 1000) / portion.piece_g);
	return { portions: wholeDown(pieces / portion.piecesPerPortion), pieces, ...weights };
}
