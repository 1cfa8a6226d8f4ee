import { footprint, type Piece, pieceHeight } from "../pans/index.ts";
import type { MeatShape } from "./MeatHeat.ts";

/** A body that heats as a piece does: its form and the way through it, mm. */
export interface HeatBody {
	readonly shape: MeatShape;
	readonly thickness_mm: number;
}

/**
 * The slab, cylinder or ball that is nearest to a piece: by how much its other two sides let
 * heat in beside the shortest way through it. A cube heats like a ball of its width, a bar like
 * a cylinder, a slice like a slab.
 */
export function heatBody(piece: Piece): HeatBody {
	if (piece.shape === "ball") return { shape: "ball", thickness_mm: piece.diameter_mm };
	const { length_mm, width_mm } = footprint(piece);
	const sides = [length_mm, width_mm, pieceHeight(piece)].sort((a, b) => a - b);
	const [thickness_mm = 0, middle = 1, long = 1] = sides;
	const ways = 1 + (thickness_mm / middle) ** 2 + (thickness_mm / long) ** 2;
	const shape = ways < FROM_SLAB ? "slab" : ways < FROM_CYLINDER ? "cylinder" : "ball";
	return { shape, thickness_mm };
}

/** Heat comes in from one, two or three ways; half way between two forms the next begins. */
const FROM_SLAB = 1.5;
const FROM_CYLINDER = 2.5;
