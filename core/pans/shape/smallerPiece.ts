import type { Piece } from "./schemas.ts";

/**
 * A piece cut into so many alike: each cut halves the longest side of what there is.
 *
 * @param halvings 0 leaves it whole, 1 makes two, 2 make four
 */
export function smallerPiece(piece: Piece, halvings: number): Piece {
	if (halvings === 0) return piece;
	return smallerPiece(halved(piece), halvings - 1);
}

function halved(piece: Piece): Piece {
	const weight_g = piece.weight_g / 2;
	// Half a ball lies as a ball of half its weight.
	if (piece.shape === "ball") return { ...piece, diameter_mm: piece.diameter_mm / Math.cbrt(2), weight_g };
	if (piece.shape !== "block") return { ...piece, length_mm: piece.length_mm / 2, weight_g };
	const { length_mm, width_mm, height_mm } = piece;
	const longest = Math.max(length_mm, width_mm, height_mm);
	if (length_mm === longest) return { ...piece, length_mm: length_mm / 2, weight_g };
	if (width_mm === longest) return { ...piece, width_mm: width_mm / 2, weight_g };
	return { ...piece, height_mm: height_mm / 2, weight_g };
}
