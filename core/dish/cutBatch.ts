import { type Piece, scaledPiece } from "../pans/index.ts";
import { wholeDown as down } from "../quantity/index.ts";
import { pieceOff, piecesOnPlate, type Recipe } from "../recipe/index.ts";
import {
	divide,
	type Figure,
	figure,
	least,
	most,
	multiply,
	type Sum,
	subtract,
	type Working,
	wholeDown,
	wholeUp,
	working,
} from "../workings/index.ts";
import {
	cookedFrom,
	isByPiece,
	type PortionByPiece,
	type PortionByWeight,
	purchasedFor,
	trimmedFrom,
	weighing,
	type YieldChain,
} from "../yields/index.ts";

/** What is cut: whole pieces, each so heavy, that weigh `chain.trimmed_kg` together. */
export interface CutBatch {
	readonly chain: YieldChain;
	/** Trimmed pieces that go into the pans. */
	readonly pieces: number;
	/** One of them as it is cut: the card's, or a little lighter or heavier where a weight on hand is cut up. */
	readonly piece: Piece;
	/** How it came to that, by figure. */
	readonly sums: CutSums;
}

/** The sums behind a batch; null where a figure is given and not worked out. */
export interface CutSums {
	/** Portions that it makes, where something else than the covers sets the size. */
	readonly made: Working | null;
	/** Cooked weight that the portions take. */
	readonly taken: Working | null;
	readonly pieces: Working | null;
	readonly asPurchased: Working | null;
	readonly trimmed: Working;
	/** What trimming takes off. */
	readonly trim: Working;
	readonly cooked: Working;
	/** In whole packs. */
	readonly packs: Working | null;
	readonly order: Working | null;
}

/**
 * What is bought and cut for so many portions. Pieces are whole, and all weights are those of whole
 * pieces: where the last one is more than its portion takes, it is bought, salted and paid for too.
 *
 * @see model, section A
 */
export function cutForPortions(recipe: Recipe, portions: number): CutBatch {
	const { portion, piece, losses } = recipe;
	const all = figure(portions, "count", "portions");
	if (isByPiece(portion)) {
		const aPortion = figure(portion.piecesPerPortion, "number", "aPortion");
		const pieces = working("pieces", wholeUp(multiply(all, aPortion)), "count");
		return weighed(recipe, { portions, pieces, asPurchased: boughtAs(pieces, portion) });
	}
	const taken = working("portionsTake", weighing(all, portion.portion_g, "aPortionCooked"), "kg");
	const byWeight = wholeUp(
		divide(taken.result, cookedFrom(figure(piece.weight_g / 1000, "kg", "aPiece"), losses)),
	);
	const onPlate = piecesOnPlate(recipe);
	if (onPlate === 0) {
		const pieces = working("pieces", most(byWeight, figure(1, "count")), "count");
		return weighed(recipe, { portions, pieces, taken });
	}
	// So many whole pieces are a portion, and more of them are cut only where they are too light for one.
	const whole = multiply(all, figure(onPlate, "count", "aPlate"));
	if (pieceOff(recipe) === null)
		return weighed(recipe, { portions, pieces: working("pieces", whole, "count") });
	return weighed(recipe, { portions, taken, pieces: working("pieces", most(byWeight, whole), "count") });
}

/** What is bought for pans that are full, by so many pieces. */
export function cutForPans(recipe: Recipe, inPans: number): CutBatch {
	const { portion, piece, losses } = recipe;
	const pieces = figure(inPans, "count", "piecesInPans");
	const one = figure(1, "count");
	if (isByPiece(portion)) {
		const made = working("portionsMade", most(byPortion(pieces, portion), one), "count");
		return weighed(recipe, {
			...{ portions: made.result.value, pieces, made },
			asPurchased: boughtAs(pieces, portion),
		});
	}
	const cooked = cookedFrom(weighing(pieces, piece.weight_g, "aPiece"), losses);
	const makes = portionsOf(recipe, portion, cooked, pieces);
	const made = working("portionsMade", most(makes, one), "count");
	return weighed(recipe, { portions: made.result.value, pieces, made });
}

/**
 * What a weight as purchased is cut into, and how many portions it makes. All of it goes in: where
 * plates get whole pieces none is lighter than the card's, otherwise as near to it as can be; what is
 * bought as pieces stays as it is.
 */
export function cutFromStock({ pack_kg: _, ...recipe }: Recipe, onHand_kg: number): CutBatch {
	const { portion, losses, piece } = recipe;
	const onHand = figure(onHand_kg, "kg", "onHand");
	if (isByPiece(portion)) {
		const pieces = working(
			"pieces",
			wholeDown(divide(onHand, figure(portion.piece_g / 1000, "kg", "aPiece"))),
			"count",
		);
		const made = working("portionsMade", byPortion(pieces.result, portion), "count");
		return weighed(recipe, { portions: made.result.value, pieces, made, asPurchased: onHand });
	}
	const trimmed = working("trimmed", trimmedFrom(onHand, losses));
	const count = (trimmed.result.value * 1000) / piece.weight_g;
	const whole = piecesOnPlate(recipe) > 0 ? down(count) : Math.max(1, Math.round(count));
	const pieces = Math.max(1, whole);
	const cooked = cookedFrom(trimmed.result, losses);
	const makes = portionsOf(recipe, portion, cooked, figure(whole, "count", "pieces"));
	const made = working("portionsMade", makes, "count");
	const times = (trimmed.result.value * 1000) / pieces / piece.weight_g;
	return weighed(
		{ ...recipe, piece: times === 1 ? piece : scaledPiece(piece, times) },
		{
			...{ portions: made.result.value, made, trimmed, asPurchased: onHand },
			pieces: figure(pieces, "count", "pieces"),
		},
	);
}

function boughtAs(pieces: Given, { piece_g }: PortionByPiece): Working {
	return working("asPurchased", weighing(figureOf(pieces), piece_g, "aPiece"), "kg");
}

/** Portions that whole pieces make. */
function byPortion(pieces: Figure, { piecesPerPortion }: PortionByPiece): Sum {
	return wholeDown(divide(pieces, figure(piecesPerPortion, "number", "aPortion")));
}

/** Portions that a cooked weight makes: never more than there are whole pieces for. */
function portionsOf(recipe: Recipe, { portion_g }: PortionByWeight, cooked: Sum, pieces: Figure): Sum {
	const byWeight = wholeDown(divide(cooked, figure(portion_g / 1000, "kg", "aPortionCooked")));
	const onPlate = piecesOnPlate(recipe);
	if (onPlate === 0) return byWeight;
	const whole = onPlate === 1 ? pieces : wholeDown(divide(pieces, figure(onPlate, "count", "aPlate")));
	return pieceOff(recipe) === null ? whole : least(byWeight, whole);
}

/** A figure that is given, or worked out. */
type Given = Figure | Working;

interface Counted {
	readonly portions: number;
	readonly pieces: Given;
	readonly made?: Working;
	readonly taken?: Working;
	/** Where it is not what all the pieces weigh. */
	readonly trimmed?: Working;
	/** Where it does not follow from the trimmed weight. */
	readonly asPurchased?: Given;
}

/** All weights of so many pieces. */
function weighed({ losses, piece, pack_kg }: Recipe, counted: Counted): CutBatch {
	const { portions, made = null, taken = null } = counted;
	const pieces = figureOf(counted.pieces);
	const trimmed = counted.trimmed ?? working("trimmed", weighing(pieces, piece.weight_g, "aPiece"), "kg");
	const asPurchased = counted.asPurchased ?? working("asPurchased", purchasedFor(trimmed.result, losses));
	const trim = working("trimToStock", subtract(figureOf(asPurchased), trimmed.result));
	const cooked = working("cooked", cookedFrom(trimmed.result, losses));
	const packs =
		pack_kg === undefined
			? null
			: working("packs", wholeUp(divide(figureOf(asPurchased), figure(pack_kg, "kg", "aPack"))), "count");
	const order =
		packs && pack_kg !== undefined
			? working("order", weighing(packs.result, pack_kg * 1000, "aPack"), "kg")
			: null;
	return {
		chain: {
			portions,
			asPurchased_kg: figureOf(asPurchased).value,
			trimmed_kg: trimmed.result.value,
			cooked_kg: cooked.result.value,
			...(packs && order ? { packs: packs.result.value, order_kg: order.result.value } : {}),
		},
		pieces: pieces.value,
		piece,
		sums: {
			...{ made, taken, trimmed, trim, cooked, packs, order },
			pieces: sumOf(counted.pieces),
			asPurchased: sumOf(asPurchased),
		},
	};
}

function figureOf(given: Given): Figure {
	return "result" in given ? given.result : given;
}

/** Nothing where it was given. */
function sumOf(given: Given): Working | null {
	return "result" in given ? given : null;
}
