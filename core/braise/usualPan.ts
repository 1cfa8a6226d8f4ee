import { sidesOf } from "../heat/index.ts";
import type { Piece } from "../pans/index.ts";
import type { Cut } from "../trade/index.ts";
import type { BraiseGiven } from "./BraiseGiven.ts";
import { likelyMinutes } from "./likelyMinutes.ts";

/** Power of a ten-rung oven that reaches its pans, kW. General practice. */
export const USUAL_OVEN_KW = 14;

/** A hotel pan as it is usually filled, for a dish that has no pan of its own yet. */
export function usualPan(cut: Cut, piece: Piece, boneShare = 0): BraiseGiven {
	return {
		cut,
		sides: sidesOf(piece),
		boneShare,
		meat_kg: 4.5,
		liquid_l: 5,
		pan: { gn: "1/1", depth_mm: 100 },
		lid: "lid",
		heat: { kind: "fanOven", set_C: 150 },
		start: { meat_C: 15, liquid_C: 95 },
	};
}

/** Minutes that a piece of this cut is likely to take in a usual pan. */
export function usualMinutes(cut: Cut, piece: Piece, boneShare = 0): number {
	return likelyMinutes(usualPan(cut, piece, boneShare));
}
