import { type Static, Type } from "@sinclair/typebox";
import { Covers, Grams, Kilograms, Loss, Spare, Uptake } from "../check/index.ts";

/** What a purchased weight loses on its way to the plate, as shares of what each step starts with. */
export const Losses = Type.Object({
	trimLoss: Loss,
	boneShare: Type.Optional(Loss),
	cookingLoss: Loss,
});
export type Losses = Static<typeof Losses>;

export const PortionByWeight = Type.Object({ portion_g: Grams });
export type PortionByWeight = Static<typeof PortionByWeight>;

export const PortionByPiece = Type.Object({
	piecesPerPortion: Type.Number({
		exclusiveMinimum: 0,
		maximum: 100,
		allowed: "a number of pieces above 0 and up to 100",
	}),
	piece_g: Grams,
});
export type PortionByPiece = Static<typeof PortionByPiece>;

export type Portion = PortionByWeight | PortionByPiece;

/** Guests, and the share of them that takes this dish. */
export const Demand = Type.Object({
	covers: Covers,
	uptake: Type.Optional(Uptake),
	spare: Type.Optional(Spare),
});
export type Demand = Static<typeof Demand>;

export const Purchase = Type.Object({ pack_kg: Type.Optional(Kilograms) });
export const OnHand = Type.Object({ onHand_kg: Kilograms });

/** One dish's weights from the purchase to the plate. All masses kg. */
export interface YieldChain {
	readonly portions: number;
	/** Whole pieces, when the dish is portioned by the piece. */
	readonly pieces?: number;
	readonly asPurchased_kg: number;
	readonly trimmed_kg: number;
	readonly cooked_kg: number;
	/** Whole packs and what they weigh, when it is sold by the pack. */
	readonly packs?: number;
	readonly order_kg?: number;
}

export function isByPiece(portion: Portion): portion is PortionByPiece {
	return "piecesPerPortion" in portion;
}
