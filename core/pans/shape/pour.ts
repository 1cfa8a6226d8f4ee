import { crossing } from "../../quantity/index.ts";
import { type LiquidLine, lineAbovePiece } from "./liquidLine.ts";
import type { Piece } from "./Piece.ts";
import { type Layers, stackHeight } from "./pile.ts";

/** The least a braise is poured: a third up the piece, so that steam and juice keep it moist. @see model, section B */
export const LEAST_LINE: LiquidLine = { share: 1 / 3 };

/** How near a line is found, mm. */
const LINE_FOUND_MM = 1e-4;

/**
 * The line at which so many litres stand: at least a third up the piece, at most the card's line.
 *
 * @param litresAt what has to be poured for a line, litres; more for a higher one
 * @param wanted_l litres that are wanted
 * @param most     the highest line that may be poured
 * @param layers   how many pieces lie on one another
 */
export function lineForLitres(
	litresAt: (line: LiquidLine) => number,
	wanted_l: number,
	piece: Piece,
	most: LiquidLine,
	layers: Layers = 1,
): LiquidLine {
	const high = lineAbovePiece(piece, most, layers);
	const low = Math.min(high, lineAbovePiece(piece, LEAST_LINE, layers));
	const at = (above_mm: number) => lineAtHeight(above_mm, piece, layers);
	if (litresAt(most) <= wanted_l) return most;
	if (litresAt(at(low)) >= wanted_l) return high === low ? most : at(low);
	return at(crossing((above_mm) => litresAt(at(above_mm)), wanted_l, low, high, LINE_FOUND_MM));
}

/** The line that stands so high above the foot of the pieces. */
export function lineAtHeight(above_mm: number, piece: Piece, layers: Layers = 1): LiquidLine {
	const height = stackHeight(piece, layers);
	return above_mm > height ? { over_mm: above_mm - height } : { share: above_mm / height };
}
