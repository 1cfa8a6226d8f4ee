import { refuse } from "../check/index.ts";
import type { Kitchen } from "../kitchen/index.ts";
import { type PanType, piecesPerPan } from "../pans/index.ts";
import { wholeDown, wholeUp } from "../quantity/index.ts";
import type { Recipe } from "../recipe/index.ts";
import {
	cookedShare,
	isByPiece,
	portionsWanted,
	type YieldChain,
	yieldForPortions,
	yieldFromStock,
} from "../yields/index.ts";
import type { DishOrder } from "./DishOrder.ts";

export interface BatchSize {
	/** Portions the sitting asks for. */
	readonly wanted: number;
	readonly chain: YieldChain;
	/** Trimmed pieces that go into the pans. */
	readonly pieces: number;
	/** What sets the size: the covers, the meat on hand, or the pans. */
	readonly setBy: "covers" | "meat" | "pans";
}

/**
 * How big the batch is, from covers, from the weight on hand or from a number of pans.
 *
 * @throws {Refusal} naming `pans` when the pieces lie in none of the kitchen's pans
 * @see model, section A
 */
export function sizeOfBatch(recipe: Recipe, order: DishOrder, kitchen: Kitchen): BatchSize {
	const wanted = portionsWanted(order);
	const { portion, losses } = recipe;
	switch (order.basis.from) {
		case "covers": {
			const chain = yieldForPortions(wanted, portion, losses, recipe.pack_kg);
			return { wanted, chain, pieces: piecesOf(recipe, chain), setBy: "covers" };
		}
		case "onHand": {
			const chain = yieldFromStock(order.basis.onHand_kg, portion, losses);
			if (chain.portions < 1) {
				throw refuse("onHand_kg", `${order.basis.onHand_kg} kg does not make one portion; more is needed`);
			}
			return { wanted, chain, pieces: piecesOf(recipe, chain), setBy: "meat" };
		}
		case "pans": {
			const pieces = order.basis.pans * fullestPan(recipe, order, kitchen);
			const portions = Math.max(1, portionsFrom(recipe, pieces));
			const chain = yieldForPortions(portions, portion, losses, recipe.pack_kg);
			return { wanted, chain, pieces, setBy: "pans" };
		}
	}
}

/** Where one piece is a portion there is never a portion more than there are pieces. */
function piecesOf(recipe: Recipe, chain: YieldChain): number {
	if (chain.pieces !== undefined) return chain.pieces;
	const byWeight = Math.max(1, wholeUp((chain.trimmed_kg * 1000) / recipe.piece.weight_g));
	return isPieceAPortion(recipe) ? Math.max(byWeight, chain.portions) : byWeight;
}

/** A piece that cooks down to about a portion is one: from three quarters of it to half as much again. */
export function isPieceAPortion({ portion, piece, losses }: Recipe): boolean {
	if (isByPiece(portion)) return false;
	const share = (piece.weight_g * cookedShare(losses)) / portion.portion_g;
	return share >= 0.75 && share < 1.5;
}

function portionsFrom({ portion, piece, losses }: Recipe, pieces: number): number {
	if (isByPiece(portion)) return wholeDown(pieces / portion.piecesPerPortion);
	return wholeDown((pieces * piece.weight_g * cookedShare(losses)) / portion.portion_g);
}

/** Pieces in one pan of the kind chosen, or of the largest kind in stock. */
function fullestPan(recipe: Recipe, order: DishOrder, kitchen: Kitchen): number {
	const capacity = (type: PanType) => piecesPerPan(type.shape, recipe.piece, recipe.gap_mm);
	const kinds = stockFor(order, kitchen);
	const most = Math.max(0, ...kinds.map(capacity));
	if (most === 0) {
		throw refuse("pans", "the pieces lie in none of the kitchen's pans; add a larger pan or cut smaller");
	}
	return most;
}

/** The kinds of pan this dish may use. */
function stockFor(order: DishOrder, kitchen: Kitchen): readonly PanType[] {
	const ruledOut = new Set(order.panWishes.filter(({ count }) => count === 0).map(({ typeId }) => typeId));
	const free = kitchen.equipment.pans.filter((type) => !ruledOut.has(type.id));
	return order.panTypeId === null ? free : free.filter((type) => type.id === order.panTypeId);
}
