import { memoise } from "../../memoise/index.ts";
import { type Floor, footprint, insideAt, type PanShape, type Piece } from "../shape/index.ts";
import { HAIR_MM, type Placed } from "./layer.ts";
import { packBlocks } from "./packBlocks.ts";
import { packRoundsInBox, packRoundsInRound } from "./packRounds.ts";
import { packRows } from "./packRows.ts";

/**
 * One layer of equal pieces on a floor, each turned whichever way fits more.
 *
 * Each piece keeps half the gap free on every side, so two pieces lie a whole gap
 * apart and a piece half a gap from the wall. A single piece may touch the walls, and
 * gives in a rounded corner.
 * More gap never takes more pieces, and a larger floor never fewer.
 *
 * @returns the places, from the middle of the pan; empty when the piece fits no way
 */
export function packLayer(floor: Floor, piece: Piece, gap_mm: number): readonly Placed[] {
	return layerMemo(keyOf(floor, piece, gap_mm), () => pack(floor, piece, gap_mm));
}

/** The same few layers are asked for over and over while a plan is tried. */
const layerMemo = memoise<string, readonly Placed[]>(4000);

function keyOf(floor: Floor, piece: Piece, gap_mm: number): string {
	const { length_mm, width_mm } = footprint(piece);
	const inside =
		floor.kind === "circle"
			? `o${floor.diameter_mm}`
			: `${floor.length_mm}x${floor.width_mm}r${floor.corner_mm ?? 0}`;
	return `${inside} ${piece.shape === "ball" ? "o" : ""}${length_mm}x${width_mm} ${gap_mm}`;
}

function pack(floor: Floor, piece: Piece, gap_mm: number): Placed[] {
	const { length_mm, width_mm } = footprint(piece);
	const laid = cells(floor, piece, gap_mm).map((placed) => ({
		x_mm: placed.x_mm,
		y_mm: placed.y_mm,
		length_mm: placed.length_mm - gap_mm,
		width_mm: placed.width_mm - gap_mm,
	}));
	if (laid.length > 0) return laid;
	const turned = [
		{ length_mm, width_mm },
		{ length_mm: width_mm, width_mm: length_mm },
	];
	const way = turned.find((sides) => fitsAlone(floor, sides, piece.shape === "ball"));
	return way ? [{ x_mm: 0, y_mm: 0, ...way }] : [];
}

/** The places with half the gap round each, from the middle of the floor. */
function cells(floor: Floor, piece: Piece, gap_mm: number): Placed[] {
	const { length_mm, width_mm } = footprint(piece);
	const cell = { length: length_mm + gap_mm, width: width_mm + gap_mm };
	const isRound = piece.shape === "ball";
	if (floor.kind === "circle") {
		return isRound ? packRoundsInRound(floor.diameter_mm, cell.length) : packRows(floor.diameter_mm, cell);
	}
	const inset = cornerInset(floor, gap_mm);
	const length = floor.length_mm - 2 * inset;
	const width = floor.width_mm - 2 * inset;
	const laid = isRound ? packRoundsInBox(length, width, cell.length) : packBlocks(length, width, cell);
	return toMiddle(laid);
}

/**
 * How far a square corner stays from the walls so that it lies inside the rounded one, beyond
 * the half gap that is kept anyway, mm.
 */
export function cornerInset({ corner_mm = 0 }: { readonly corner_mm?: number }, gap_mm: number): number {
	return Math.max(0, corner_mm * (1 - Math.SQRT1_2) - gap_mm / 2);
}

/** What is left free is shared out to both sides. */
function toMiddle(laid: readonly Placed[]): Placed[] {
	const right = Math.max(...laid.map((placed) => placed.x_mm + placed.length_mm / 2));
	const top = Math.max(...laid.map((placed) => placed.y_mm + placed.width_mm / 2));
	return laid.map((placed) => ({ ...placed, x_mm: placed.x_mm - right / 2, y_mm: placed.y_mm - top / 2 }));
}

function fitsAlone(
	floor: Floor,
	{ length_mm, width_mm }: { readonly length_mm: number; readonly width_mm: number },
	isRound: boolean,
): boolean {
	if (floor.kind === "circle") {
		const across = isRound ? length_mm : Math.hypot(length_mm, width_mm);
		return across <= floor.diameter_mm + HAIR_MM;
	}
	return length_mm <= floor.length_mm + HAIR_MM && width_mm <= floor.width_mm + HAIR_MM;
}

/** Pieces that one pan takes in one layer. */
export function piecesPerPan(shape: PanShape, piece: Piece, gap_mm: number): number {
	return packLayer(insideAt(shape, 0), piece, gap_mm).length;
}
