import type { Piece } from "#core/pans";
import type { Measures } from "../words/measures.ts";
import type { Face, PieceDrawing } from "./PieceFaces.tsx";

/** A piece with its sides; what is alike from above and from the side is drawn once. */
export function pieceDrawing(piece: Piece, { length, mass }: Measures): PieceDrawing {
	const faces = facesOf(piece, length);
	const sides = faces.map(({ name, wide, high }) => `${name} ${wide} by ${high}`);
	return { faces, words: `A piece of ${mass(piece.weight_g / 1000)}: ${sides.join(", ")}.` };
}

function facesOf(piece: Piece, length: Measures["length"]): Face[] {
	const face = (name: string, wide_mm: number, high_mm: number, round = false): Face => ({
		name,
		wide_mm,
		high_mm,
		wide: length(wide_mm),
		high: length(high_mm),
		round,
	});
	switch (piece.shape) {
		case "ball":
			return [face("across", piece.diameter_mm, piece.diameter_mm, true)];
		case "cylinder":
			return piece.standing
				? [
						face("from above", piece.diameter_mm, piece.diameter_mm, true),
						face("from the side", piece.diameter_mm, piece.length_mm),
					]
				: [
						face("from the side", piece.length_mm, piece.diameter_mm),
						face("from its end", piece.diameter_mm, piece.diameter_mm, true),
					];
		case "block":
			return [
				face("from above", piece.length_mm, piece.width_mm),
				face("from the side", piece.length_mm, piece.height_mm),
			];
	}
}
