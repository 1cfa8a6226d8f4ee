import { memoise } from "../../memoise/index.ts";
import { type Floor, footprint, insideAt, liesRound, type PanShape, type Piece } from "../shape/index.ts";
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
	return `${inside} ${liesRound(piece) ? "o" : ""}${length_mm}x${width_mm} ${gap_mm}`;
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
	const way = turned.find((sides) => fitsAlone(floor, sides, liesRound(piece)));
	return way ? [{ x_mm: 0, y_mm: 0, ...way }] : [];
}

/** The places with half the gap round each, from the middle of the floor. */
function cells(floor: Floor, piece: Piece, gap_mm: number): Placed[] {
	const { length_mm, width_mm } = footprint(piece);
	const cell = { length: length_mm + gap_mm, width: width_mm + gap_mm };
	const isRound = liesRound(piece);
	if (floor.kind === "circle") {
		return isRound ? packRoundsInRound(floor.diameter_mm, cell.length) : packRows(floor.diameter_mm, cell);
	}
	return inCorners(floor, gap_mm, isRound, (length, width, gap) => {
		const across = { length: length_mm + gap, width: width_mm + gap };
		return isRound ? packRoundsInBox(length, width, across.length) : packBlocks(length, width, across);
	});
}

type LaysOut = (length: number, width: number, gap_mm: number) => readonly Placed[];

/**
 * The most that lie on a floor whose corners are rounded: in the middle of the whole floor, where
 * none stands in a corner; or a little away from the walls, each way that clears the corners; or
 * further apart; or without those that stand in a corner.
 */
function inCorners(floor: Rectangle, gap_mm: number, isRound: boolean, layOut: LaysOut): Placed[] {
	const { length_mm, width_mm } = floor;
	const free = (insetX: number, insetY: number, gap: number) => {
		const laid = layOut(length_mm - 2 * insetX, width_mm - 2 * insetY, gap).map((placed) =>
			narrowed(placed, gap - gap_mm),
		);
		return toMiddle(laid).filter((placed) => !standsInCorner(floor, placed, gap_mm, isRound));
	};
	const whole = layOut(length_mm, width_mm, gap_mm);
	const best = free(0, 0, gap_mm);
	if (best.length === whole.length) return best;
	const wider = WIDER_GAPS_MM.filter((gap) => gap > gap_mm).map((gap) => () => free(0, 0, gap));
	const inset = insetsFor(floor, gap_mm).map(
		([x, y]) =>
			() =>
				free(x, y, gap_mm),
	);
	return [...inset, ...wider].reduce((most, lay) => {
		if (most.length === whole.length) return most;
		const laid = lay();
		return laid.length > most.length ? laid : most;
	}, best);
}

type Rectangle = Extract<Floor, { readonly kind: "rectangle" }>;

/** Gaps at which what lies further apart may clear a corner, mm; from the last on every corner is clear. */
const WIDER_GAPS_MM = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

/** A place for a wider gap as one for the gap that is kept. */
function narrowed(placed: Placed, by_mm: number): Placed {
	return { ...placed, length_mm: placed.length_mm - by_mm, width_mm: placed.width_mm - by_mm };
}

/** Whether a piece, without its half gaps, reaches into a rounded corner. */
function standsInCorner(floor: Rectangle, placed: Placed, gap_mm: number, isRound: boolean): boolean {
	const { corner_mm = 0 } = floor;
	const grip = isRound ? (placed.length_mm - gap_mm) / 2 : 0;
	const reach = (middle: number, side: number, wall: number) =>
		Math.abs(middle) + (side - gap_mm) / 2 - grip - (wall / 2 - corner_mm);
	const x = reach(placed.x_mm, placed.length_mm, floor.length_mm);
	const y = reach(placed.y_mm, placed.width_mm, floor.width_mm);
	return x > 0 && y > 0 && Math.hypot(x, y) + grip > corner_mm + HAIR_MM;
}

/** How far a rectangle may stay from the walls, along and across, so that its corners lie inside the rounded ones, mm. */
function insetsFor({ corner_mm = 0 }: Rectangle, gap_mm: number): [number, number][] {
	const steps = 6;
	return Array.from({ length: steps + 1 }, (_, step): [number, number] => {
		const angle = (Math.PI / 2) * (step / steps);
		const away = (part: number) => Math.max(0, corner_mm * (1 - part) - gap_mm / 2);
		return [away(Math.cos(angle)), away(Math.sin(angle))];
	});
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
