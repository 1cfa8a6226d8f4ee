import { refuse } from "../check/index.ts";
import { type Kitchen, vesselsFor } from "../kitchen/index.ts";
import { capacityOf, type PanType } from "../pans/index.ts";
import { wholeDown, wholeUp } from "../quantity/index.ts";
import { heatOf, layersOf, type Recipe } from "../recipe/index.ts";
import {
	cookedShare,
	isByPiece,
	portionsWanted,
	type YieldChain,
	yieldForPortions,
	yieldFromStock,
} from "../yields/index.ts";
import { cardMain_kg } from "./cardMain.ts";
import type { DishOrder } from "./DishOrder.ts";
import { bedUnder, laidOver } from "./panLines.ts";

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
	return Math.max(byWeight, chain.portions * piecesAPortion(recipe));
}

/**
 * Whole pieces on a plate: one that cooks down to about a portion, from three quarters of it to
 * half as much again, is one; smaller ones are two or three where so many come near.
 *
 * @returns 0 where a piece is cut for several, or many small ones make a portion
 */
export function piecesAPortion({ portion, piece, losses }: Recipe): number {
	if (isByPiece(portion)) return 0;
	const share = (piece.weight_g * cookedShare(losses)) / portion.portion_g;
	if (share >= 0.75) return share < 1.5 ? 1 : 0;
	const whole = Math.round(1 / share);
	return whole <= MOST_ON_PLATE && Math.abs(whole * share - 1) <= NEARLY_WHOLE ? whole : 0;
}

/** More than so many pieces on a plate are not counted but weighed. */
const MOST_ON_PLATE = 3;
/** How far the pieces of a plate may be from its portion, a share. */
const NEARLY_WHOLE = 0.15;

/** Whether a plate gets whole pieces, or an even cut of a joint, or so many small ones that it does not matter. */
export function isWholeOnPlate(recipe: Recipe): boolean {
	if (isByPiece(recipe.portion)) return true;
	if (piecesAPortion(recipe) > 0) return true;
	const share = (recipe.piece.weight_g * cookedShare(recipe.losses)) / recipe.portion.portion_g;
	const cutFor = Math.round(share);
	if (share > 1) return cutFor > MOST_CUT_FOR || Math.abs(share / cutFor - 1) <= NEARLY_WHOLE;
	return 1 / share > MOST_ON_PLATE + 0.5;
}

/** A joint for more than so many is sliced as it comes. */
const MOST_CUT_FOR = 4;

function portionsFrom({ portion, piece, losses }: Recipe, pieces: number): number {
	if (isByPiece(portion)) return wholeDown(pieces / portion.piecesPerPortion);
	return wholeDown((pieces * piece.weight_g * cookedShare(losses)) / portion.portion_g);
}

/** Pieces in one pan of the kind chosen, or of the largest kind in stock. */
function fullestPan(recipe: Recipe, order: DishOrder, kitchen: Kitchen): number {
	const bed = bedUnder(recipe, 1, kitchen.known.byId);
	const over = laidOver(recipe, 1, kitchen.known.byId);
	const pieces = (cardMain_kg(recipe, kitchen) * 1000) / recipe.piece.weight_g;
	const capacity = (type: PanType) =>
		capacityOf(type, { ...recipe, layers: layersOf(recipe), bed, pieces, ...(over ? { over } : {}) });
	const kinds = stockFor(recipe, order, kitchen);
	const most = Math.max(0, ...kinds.map(capacity));
	if (most === 0) {
		throw refuse("pans", "the pieces lie in none of the kitchen's pans; add a larger pan or cut smaller");
	}
	return most;
}

/** The kinds of pan this dish may use. */
function stockFor(recipe: Recipe, order: DishOrder, kitchen: Kitchen): readonly PanType[] {
	const ruledOut = new Set(order.panWishes.filter(({ count }) => count === 0).map(({ typeId }) => typeId));
	const free = vesselsFor(heatOf(recipe), kitchen.equipment).filter((type) => !ruledOut.has(type.id));
	return order.panTypeId === null ? free : free.filter((type) => type.id === order.panTypeId);
}
