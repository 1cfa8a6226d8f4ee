import { heightOf, type PanShape, volumeBelow } from "./PanShape.ts";
import { layeredBelow, MEAT_KG_PER_L, type Piece, pieceHeight } from "./Piece.ts";

/** How many pieces lie on one another; "poured" where small ones fill their vessel as they fall. */
export type Layers = number | "poured";

/** Share of the space they stand in that poured cubes fill, with the vegetables among them: 0.55 to 0.62. @see model, section L */
export const POURED_FILL = 0.585;

/** A pile of poured pieces, where its vessel is not known yet, mm. */
const USUAL_PILE_MM = 100;

/** Share of its own bulk that a bed of cut vegetables fills; the rest is gaps. Loose diced roots. */
export const BED_FILL = 0.6;

/** Vegetables that lie under the pieces of one pan, or among them. */
export interface Bed {
	readonly volume_l: number;
	readonly weight_kg: number;
}

export const NO_BED: Bed = { volume_l: 0, weight_kg: 0 };

/** How high pieces stand on one another, mm, whatever their vessel; a usual height where they are poured. */
export function stackHeight(piece: Piece, layers: Layers): number {
	return layers === "poured" ? Math.max(USUAL_PILE_MM, pieceHeight(piece)) : pieceHeight(piece) * layers;
}

/** Pieces and vegetables as they stand in one vessel. */
export interface Pile {
	/** Top of the vegetables that lie under the pieces, above the floor, mm. */
	readonly bed_mm: number;
	/** From there to the top of the pieces, mm. */
	readonly height_mm: number;
	/** Litres of one piece, on their average, and of the vegetables below a height above the floor. */
	readonly pieceBelow_l: (height_mm: number) => number;
	readonly bedBelow_l: (height_mm: number) => number;
}

/**
 * Laid pieces stand over their vegetables, so many on one another; poured ones fill the vessel
 * with the vegetables among them.
 *
 * @see model, sections C and L
 */
export function pileIn(pan: PanShape, piece: Piece, pieces: number, bed: Bed, layers: Layers): Pile {
	if (layers === "poured") return pouredIn(pan, piece, pieces, bed);
	const bed_mm = bedHeight(pan, bed);
	return {
		bed_mm,
		height_mm: pieceHeight(piece) * layers,
		pieceBelow_l: (up_mm) => layeredBelow(piece, up_mm - bed_mm, layers),
		bedBelow_l: () => bed.volume_l,
	};
}

function pouredIn(pan: PanShape, piece: Piece, pieces: number, bed: Bed): Pile {
	const solid_l = pieces * meatVolume(piece) + bed.volume_l;
	const bulk_l = solid_l / POURED_FILL;
	// One layer stands as high as its pieces, however few they are.
	const height_mm = Math.max(heightOf(pan, bulk_l), pieces > 0 ? pieceHeight(piece) : 0);
	const shareBelow = (up_mm: number) =>
		up_mm >= height_mm ? 1 : volumeBelow(pan, Math.max(0, up_mm)) / volumeBelow(pan, height_mm);
	return {
		bed_mm: 0,
		height_mm,
		pieceBelow_l: (up_mm) => meatVolume(piece) * shareBelow(up_mm),
		bedBelow_l: (up_mm) => bed.volume_l * shareBelow(up_mm),
	};
}

/** Litres of meat in one piece. */
export function meatVolume({ weight_g }: Piece): number {
	return weight_g / 1000 / MEAT_KG_PER_L;
}

/** Height of the bed in one pan, mm: its bulk with the gaps between the cuts. */
export function bedHeight(pan: PanShape, bed: Bed): number {
	return heightOf(pan, bed.volume_l / BED_FILL);
}
