import type { Piece } from "./schemas.ts";

export type { Piece };

/** Density of raw meat, kg/l. @see model, section C */
export const MEAT_KG_PER_L = 1.05;

/** Length and width the piece takes on the floor of the pan, mm. */
export function footprint(piece: Piece): { length_mm: number; width_mm: number } {
	if (piece.shape === "block") return piece;
	if (piece.shape === "ball" || piece.standing) {
		return { length_mm: piece.diameter_mm, width_mm: piece.diameter_mm };
	}
	return { length_mm: piece.length_mm, width_mm: piece.diameter_mm };
}

/** Whether it takes a round on the floor of the pan: a ball, or a cylinder on its end. */
export function liesRound(piece: Piece): boolean {
	return piece.shape === "ball" || isStanding(piece);
}

function isStanding(piece: Piece): boolean {
	return piece.shape === "cylinder" && piece.standing === true;
}

export function pieceHeight(piece: Piece): number {
	if (piece.shape === "block") return piece.height_mm;
	return piece.shape === "cylinder" && piece.standing ? piece.length_mm : piece.diameter_mm;
}

/** Thickness that heat has to cross: the shortest way through the piece, mm. */
export function pieceThickness(piece: Piece): number {
	const { length_mm, width_mm } = footprint(piece);
	return Math.min(length_mm, width_mm, pieceHeight(piece));
}

/** Litres inside the sides of a piece. */
export function pieceVolume(piece: Piece): number {
	const { length_mm, width_mm } = footprint(piece);
	const height = pieceHeight(piece);
	const box_l = (length_mm * width_mm * height) / 1e6;
	if (piece.shape === "block") return box_l;
	return piece.shape === "ball" ? (box_l * Math.PI) / 6 : (box_l * Math.PI) / 4;
}

/**
 * Litres of one piece below a height above its own foot. The whole is its weight at
 * the density of meat; the share below comes from its shape.
 */
export function pieceBelow(piece: Piece, height_mm: number): number {
	const share = Math.min(Math.max(height_mm / pieceHeight(piece), 0), 1);
	return (
		(piece.weight_g / 1000 / MEAT_KG_PER_L) * (isStanding(piece) ? share : shareBelow(piece.shape, share))
	);
}

/** Litres of one piece below a height above the floor, on the average of the layers it may lie in. */
export function layeredBelow(piece: Piece, height_mm: number, layers: number): number {
	if (layers === 1) return pieceBelow(piece, height_mm);
	const below = Array.from({ length: layers }, (_, layer) =>
		pieceBelow(piece, height_mm - layer * pieceHeight(piece)),
	);
	return below.reduce((sum, litres) => sum + litres, 0) / layers;
}

/** Share of the volume under a share of the height: slab, lying cylinder, ball. */
function shareBelow(shape: Piece["shape"], share: number): number {
	if (shape === "block") return share;
	if (shape === "ball") return share * share * (3 - 2 * share);
	const cut = 1 - 2 * share;
	return (Math.acos(cut) - cut * Math.sqrt(Math.max(0, 1 - cut * cut))) / Math.PI;
}
