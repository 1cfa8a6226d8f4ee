import { refuse } from "../check/index.ts";
import { type Kitchen, vesselsFor } from "../kitchen/index.ts";
import { capacityOf, type PanType } from "../pans/index.ts";
import { heatOf, layersOf, type Recipe } from "../recipe/index.ts";
import { portionsWanted } from "../yields/index.ts";
import { cardMain_kg } from "./cardMain.ts";
import { type CutBatch, cutForPans, cutForPortions, cutFromStock } from "./cutBatch.ts";
import type { DishOrder } from "./DishOrder.ts";
import { bedUnder, laidOver } from "./panLines.ts";

export interface BatchSize extends Omit<CutBatch, "piece"> {
	/** Portions the sitting asks for. */
	readonly wanted: number;
	/** What sets the size: the covers, the meat on hand, or the pans. */
	readonly setBy: "covers" | "meat" | "pans";
	/** What finds no pan, and is in no figure; null where all of it does. */
	readonly short: Short | null;
}

/** What of a batch finds no pan, and how many more pans of one kind would take it. */
export interface Short {
	readonly pieces: number;
	readonly portions: number;
	readonly pans: { readonly typeId: string; readonly count: number } | null;
}

/**
 * How big the batch is, from covers, from the weight on hand or from a number of pans.
 *
 * @throws {Refusal} naming `pans` when the pieces lie in none of the kitchen's pans
 * @see model, section A
 */
export function sizeOfBatch(recipe: Recipe, order: DishOrder, kitchen: Kitchen): BatchSize & CutBatch {
	const wanted = portionsWanted(order);
	const { basis } = order;
	switch (basis.from) {
		case "covers":
			return { wanted, short: null, setBy: "covers", ...cutForPortions(recipe, wanted) };
		case "onHand": {
			const cut = cutFromStock(recipe, basis.onHand_kg);
			if (cut.chain.portions < 1) {
				throw refuse("onHand_kg", `${basis.onHand_kg} kg does not make one portion; more is needed`);
			}
			return { wanted, short: null, setBy: "meat", ...cut };
		}
		case "pans": {
			const inPans = basis.pans * fullestPan(recipe, order, kitchen);
			return { wanted, short: null, setBy: "pans", ...cutForPans(recipe, inPans) };
		}
	}
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
