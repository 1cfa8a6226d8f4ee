import type { Floor } from "./PanShape.ts";
import { footprint, type Piece } from "./Piece.ts";

/** One piece on the floor of the pan: its middle from the pan's middle, and its sides, mm. */
export interface Placed {
	readonly x_mm: number;
	readonly y_mm: number;
	readonly length_mm: number;
	readonly width_mm: number;
}

/** Slack for sizes that fit to the millimetre, mm. */
const HAIR_MM = 1e-6;

/**
 * One layer of equal pieces on a floor, in straight rows, the better of both ways round.
 *
 * Each piece keeps half the gap free on every side, so two pieces lie a whole gap
 * apart and a piece half a gap from the wall. A single piece may touch the walls.
 *
 * @returns the places, from the middle of the pan; empty when the piece fits no way
 */
export function packLayer(floor: Floor, piece: Piece, gap_mm: number): Placed[] {
	const { length_mm, width_mm } = footprint(piece);
	const along = rows(floor, length_mm, width_mm, gap_mm);
	const across = rows(floor, width_mm, length_mm, gap_mm);
	const best = across.length > along.length ? across : along;
	if (best.length > 0) return best;
	const alone = { x_mm: 0, y_mm: 0 };
	if (fits(floor, length_mm, width_mm)) return [{ ...alone, length_mm, width_mm }];
	if (fits(floor, width_mm, length_mm)) {
		return [{ ...alone, length_mm: width_mm, width_mm: length_mm }];
	}
	return [];
}

function rows(floor: Floor, length_mm: number, width_mm: number, gap_mm: number): Placed[] {
	const across = floor.kind === "circle" ? floor.diameter_mm : floor.width_mm;
	const pitch = width_mm + gap_mm;
	const most = Math.floor((across + HAIR_MM) / pitch);
	if (floor.kind === "rectangle") return inRows(floor, most, length_mm, width_mm, gap_mm);
	let best: Placed[] = [];
	for (let count = 1; count <= most; count += 1) {
		const tried = inRows(floor, count, length_mm, width_mm, gap_mm);
		if (tried.length > best.length) best = tried;
	}
	return best;
}

function inRows(floor: Floor, count: number, length_mm: number, width_mm: number, gap_mm: number): Placed[] {
	const pitch = width_mm + gap_mm;
	return Array.from({ length: count }, (_, row) => (row - (count - 1) / 2) * pitch).flatMap((y_mm) => {
		const inRow = Math.floor((chord(floor, Math.abs(y_mm) + pitch / 2) + HAIR_MM) / (length_mm + gap_mm));
		return Array.from({ length: inRow }, (_, column) => ({
			x_mm: (column - (inRow - 1) / 2) * (length_mm + gap_mm),
			y_mm,
			length_mm,
			width_mm,
		}));
	});
}

/** Free length of a row whose far edge lies this far from the middle. */
function chord(floor: Floor, edge_mm: number): number {
	if (floor.kind === "rectangle") return floor.length_mm;
	const radius = floor.diameter_mm / 2;
	return edge_mm > radius ? 0 : 2 * Math.sqrt(radius * radius - edge_mm * edge_mm);
}

function fits(floor: Floor, length_mm: number, width_mm: number): boolean {
	if (floor.kind === "circle") return Math.hypot(length_mm, width_mm) <= floor.diameter_mm + HAIR_MM;
	return length_mm <= floor.length_mm + HAIR_MM && width_mm <= floor.width_mm + HAIR_MM;
}
