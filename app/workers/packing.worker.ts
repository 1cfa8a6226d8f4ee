import { expose } from "comlink";
import { deliveryOf, insideAt, type MixedPacking, type PanShape, type Piece, packMixed } from "#core/pans";

export interface PackingAsked {
	readonly shape: PanShape;
	readonly piece: Piece;
	readonly pieces: number;
	readonly gap_mm: number;
	/** Standard deviation of the weights over their mean. */
	readonly spread: number;
	readonly seed: number;
	readonly rounds: number;
}

/** Told after every round how far it is, from 0 to 1, and the pans of the best so far. */
export type OnPacking = (share: number, pans: number) => void;

const packing = {
	/** Lays a delivery that varies; the page may end the worker at any time. */
	pack(asked: PackingAsked, onPacking: OnPacking): MixedPacking {
		const delivery = deliveryOf(asked.piece, asked.pieces, asked.spread, asked.seed);
		return packMixed(insideAt(asked.shape, 0), delivery, {
			gap_mm: asked.gap_mm,
			seed: asked.seed,
			rounds: asked.rounds,
			onRound: (round, best) => onPacking(round / asked.rounds, best.pans.length),
		});
	},
};

export type PackingWorker = typeof packing;

expose(packing);
