import { normal, seeded } from "../../random/index.ts";
import type { Piece } from "../shape/index.ts";

/** Spread of the weights of cut pieces about their mean, as a share: hand-cut, general practice. */
export const USUAL_SPREAD = 0.12;

/**
 * Pieces as a delivery really brings them: weights spread about the mean (log-normal, so none
 * is below nothing), each as much longer, wider and higher as its weight asks for, all
 * together as heavy as so many mean ones. The same seed gives the same pieces.
 *
 * @param spread standard deviation over mean, a share from 0
 */
export function deliveryOf(piece: Piece, pieces: number, spread: number, seed: number): Piece[] {
	const random = seeded(seed);
	const sigma = Math.sqrt(Math.log(1 + spread * spread));
	const weights = Array.from({ length: pieces }, () => Math.exp(sigma * normal(random)));
	const mean = weights.reduce((sum, weight) => sum + weight, 0) / pieces;
	return weights.map((weight) => scaledPiece(piece, weight / mean));
}

/** A piece so many times as heavy, of the same form. */
export function scaledPiece(piece: Piece, times: number): Piece {
	const side = Math.cbrt(times);
	const weight_g = piece.weight_g * times;
	if (piece.shape === "block") {
		return {
			...piece,
			weight_g,
			length_mm: piece.length_mm * side,
			width_mm: piece.width_mm * side,
			height_mm: piece.height_mm * side,
		};
	}
	const diameter_mm = piece.diameter_mm * side;
	return piece.shape === "ball"
		? { ...piece, weight_g, diameter_mm }
		: { ...piece, weight_g, diameter_mm, length_mm: piece.length_mm * side };
}
