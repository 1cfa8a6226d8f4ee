import {
	depthOf,
	insideAt,
	liesRound,
	type PanShape,
	type Piece,
	packLayer,
	panWords,
	pieceHeight,
	rimOf,
} from "#core/pans";
import type { Measures } from "../words/measures.ts";
import { counted } from "../words/reading.ts";
import type { PanDrawing } from "./drawings.ts";

/** A pan drawn to scale: empty, or with one layer of pieces laid out in it. */
export function panDrawing(
	shape: PanShape,
	reading: Measures,
	laid?: { readonly piece: Piece; readonly gap_mm: number },
): PanDrawing {
	const placed = laid ? packLayer(insideAt(shape, 0), laid.piece, laid.gap_mm) : [];
	return {
		rim: rimOf(shape),
		top: insideAt(shape, depthOf(shape)),
		floor: insideAt(shape, 0),
		depth_mm: depthOf(shape),
		placed,
		round: laid !== undefined && liesRound(laid.piece),
		ball: laid?.piece.shape === "ball",
		pieceHeight_mm: laid ? pieceHeight(laid.piece) : 0,
		across: reading.length(rimOf(shape).length_mm),
		words: `${panWords(shape)} from above, ${laid ? `with ${counted(placed.length, "piece")}` : "empty"}.`,
	};
}
