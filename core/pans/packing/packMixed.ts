import { type Random, seeded } from "../../random/index.ts";
import { areaOf, type Floor, footprint, type Piece } from "../shape/index.ts";
import { HAIR_MM, type Placed } from "./layer.ts";
import { cornerInset, packLayer } from "./packLayer.ts";

/** A piece of the delivery where it lies. */
export interface PlacedPiece extends Placed {
	/** Its number in the delivery, from 0. */
	readonly piece: number;
}

export interface MixedPacking {
	readonly pans: readonly (readonly PlacedPiece[])[];
	/** Pieces that lie in this pan no way round. */
	readonly without: readonly number[];
	/** Fewest pans that the area of the pieces with their gaps could ever do with. */
	readonly bound: number;
	/** Rounds of improvement that were made. */
	readonly rounds: number;
}

export interface MixedWay {
	readonly gap_mm: number;
	readonly seed: number;
	/** Orders tried after the first; fewer are made once the bound is met. */
	readonly rounds: number;
	/** Called after every round with the best so far; for progress. */
	readonly onRound?: (round: number, best: MixedPacking) => void;
}

interface Cell {
	readonly piece: number;
	readonly length: number;
	readonly width: number;
}

/** A cell where it lies: its edges from the middle of the floor, mm. */
interface Laid {
	readonly cell: Cell;
	readonly left: number;
	readonly low: number;
	readonly right: number;
	readonly high: number;
}

/** A lower left corner at which a cell may be tried. */
interface Corner {
	readonly x: number;
	readonly y: number;
}

/** The free room inside a floor, in which cells lie: a rectangle round the middle, or a round. */
type Room =
	| {
			readonly kind: "rectangle";
			readonly halfLength: number;
			readonly halfWidth: number;
			readonly area: number;
	  }
	| { readonly kind: "circle"; readonly radius: number; readonly area: number };

/**
 * Pieces of different sizes in one layer, in as few pans of one kind as can be found.
 *
 * Two ways to begin: like with like, each pan laid out for the largest piece in it; and largest
 * first, each where it touches most of its neighbours and the wall, in the first pan that takes
 * it. Then other orders near that one are tried and the best is kept. The same input gives the
 * same answer. Rounds are given the square they stand on.
 *
 * @returns pieces from the middle of each pan, each pan's gap kept as in `packLayer`
 */
export function packMixed(floor: Floor, pieces: readonly Piece[], way: MixedWay): MixedPacking {
	const room = roomOf(floor, way.gap_mm);
	const cells = pieces.map((piece, index) => cellOf(piece, index, way.gap_mm));
	const fitting = cells.filter((cell) => place(room, newPan(room), cell) !== undefined);
	const without = cells.filter((cell) => !fitting.includes(cell)).map(({ piece }) => piece);
	const bound = Math.ceil(
		fitting.reduce((sum, { length, width }) => sum + length * width, 0) / areaOf(floor) - HAIR_MM,
	);
	const found = (pans: readonly Laid[][], rounds: number): MixedPacking => ({
		pans: pans.map((pan) => pan.map((laid) => asPlaced(laid, way.gap_mm))),
		without,
		bound,
		rounds,
	});
	const sorted = [...fitting].sort((a, b) => b.length * b.width - a.length * a.width || a.piece - b.piece);
	const random = seeded(way.seed);
	let order = sorted;
	let best = [bySize(floor, sorted, way.gap_mm), firstFit(room, order)].reduce((one, other) =>
		isNoWorse(one, other) ? one : other,
	);
	let rounds = 0;
	while (rounds < way.rounds && best.length > bound) {
		const tried = nudged(order, random);
		const packed = firstFit(room, tried);
		rounds += 1;
		if (isNoWorse(packed, best)) {
			best = packed;
			order = tried;
		}
		way.onRound?.(rounds, found(best, rounds));
	}
	return found(best, rounds);
}

/** Pieces of about one size together, each pan in the layout that its largest would have. */
function bySize(floor: Floor, sorted: readonly Cell[], gap_mm: number): Laid[][] {
	const pans: Laid[][] = [];
	for (let from = 0; from < sorted.length; ) {
		const places = placesForNext(floor, sorted, from, gap_mm);
		const held = sorted.slice(from, from + places.length);
		pans.push(held.map((cell, index) => laidAt(cell, places[index] as Placed)));
		from += held.length;
	}
	return pans;
}

/** The layout for the next pieces in the order, each place large enough for any of those it takes. */
function placesForNext(
	floor: Floor,
	sorted: readonly Cell[],
	from: number,
	gap_mm: number,
): readonly Placed[] {
	let taken = 1;
	let places = layoutFor(floor, sorted.slice(from, from + 1), gap_mm);
	while (places.length > taken && from + taken < sorted.length) {
		const held = sorted.slice(from, from + taken + 1);
		const next = layoutFor(floor, held, gap_mm);
		if (next.length <= taken) break;
		places = next;
		taken += 1;
	}
	return places.slice(0, taken);
}

function layoutFor(floor: Floor, held: readonly Cell[], gap_mm: number): readonly Placed[] {
	const length_mm = Math.max(...held.map(({ length, width }) => Math.max(length, width))) - gap_mm;
	const width_mm = Math.max(...held.map(({ length, width }) => Math.min(length, width))) - gap_mm;
	return packLayer(floor, { shape: "block", length_mm, width_mm, height_mm: 1, weight_g: 1 }, gap_mm);
}

/** In the middle of its place, turned as the place is; the gap round it stays at least what it was. */
function laidAt(cell: Cell, at: Placed): Laid {
	const long = Math.max(cell.length, cell.width);
	const short = Math.min(cell.length, cell.width);
	const [length, width] = at.length_mm >= at.width_mm ? [long, short] : [short, long];
	return {
		cell,
		left: at.x_mm - length / 2,
		right: at.x_mm + length / 2,
		low: at.y_mm - width / 2,
		high: at.y_mm + width / 2,
	};
}

function cellOf(piece: Piece, index: number, gap_mm: number): Cell {
	const { length_mm, width_mm } = footprint(piece);
	return { piece: index, length: length_mm + gap_mm, width: width_mm + gap_mm };
}

function roomOf(floor: Floor, gap_mm: number): Room {
	if (floor.kind === "circle") return { kind: "circle", radius: floor.diameter_mm / 2, area: areaOf(floor) };
	const inset = cornerInset(floor, gap_mm);
	return {
		kind: "rectangle",
		halfLength: floor.length_mm / 2 - inset,
		halfWidth: floor.width_mm / 2 - inset,
		area: areaOf(floor),
	};
}

/** Fewer pans; or as many, with less left in the emptiest, so that it may empty altogether. */
function isNoWorse(tried: readonly Laid[][], best: readonly Laid[][]): boolean {
	if (tried.length !== best.length) return tried.length < best.length;
	return emptiest(tried) <= emptiest(best);
}

function emptiest(pans: readonly Laid[][]): number {
	return Math.min(...pans.map((pan) => pan.reduce((sum, { cell }) => sum + cell.length * cell.width, 0)));
}

/** A few pieces moved to other places in the order. */
function nudged(order: readonly Cell[], random: Random): Cell[] {
	const next = [...order];
	const moves = 1 + Math.floor(random() * 4);
	for (let move = 0; move < moves; move += 1) {
		const [taken] = next.splice(Math.floor(random() * next.length), 1);
		if (taken) next.splice(Math.floor(random() * (next.length + 1)), 0, taken);
	}
	return next;
}

interface Open {
	readonly laid: Laid[];
	/** Corners that cells already laid have made; those that are covered are dropped. */
	corners: Corner[];
	free: number;
}

function newPan(room: Room): Open {
	const corners = room.kind === "rectangle" ? [{ x: -room.halfLength, y: -room.halfWidth }] : [];
	return { laid: [], corners, free: room.area };
}

function firstFit(room: Room, order: readonly Cell[]): Laid[][] {
	const pans: Open[] = [];
	for (const cell of order) {
		const area = cell.length * cell.width;
		if (pans.some((pan) => area <= pan.free && put(room, pan, cell))) continue;
		const opened = newPan(room);
		put(room, opened, cell);
		pans.push(opened);
	}
	return pans.map(({ laid }) => laid);
}

function put(room: Room, pan: Open, cell: Cell): boolean {
	const laid = place(room, pan, cell);
	if (!laid) return false;
	pan.free -= cell.length * cell.width;
	pan.corners = [...pan.corners, ...newCorners(room, pan.laid, laid)].filter(
		({ x, y }) => !covers(laid, x, y),
	);
	pan.laid.push(laid);
	return true;
}

function covers({ left, low, right, high }: Laid, x: number, y: number): boolean {
	return x > left - HAIR_MM && x < right - HAIR_MM && y > low - HAIR_MM && y < high - HAIR_MM;
}

/** Right of the new cell and above it, there and slid down or left until something is met. */
function newCorners(room: Room, laid: readonly Laid[], { left, low, right, high }: Laid): Corner[] {
	let floor = room.kind === "rectangle" ? -room.halfWidth : -room.radius;
	let side = room.kind === "rectangle" ? -room.halfLength : -room.radius;
	for (const other of laid) {
		if (other.left < right + HAIR_MM && other.right > right + HAIR_MM && other.high < low + HAIR_MM) {
			floor = Math.max(floor, other.high);
		}
		if (other.low < high + HAIR_MM && other.high > high + HAIR_MM && other.right < left + HAIR_MM) {
			side = Math.max(side, other.right);
		}
	}
	return [
		{ x: right, y: low },
		{ x: left, y: high },
		{ x: right, y: floor },
		{ x: side, y: high },
	];
}

/** Where a cell touches most, the lowest and leftmost of such places; undefined when it fits nowhere. */
function place(room: Room, pan: Open, cell: Cell): Laid | undefined {
	let best: Laid | undefined;
	let most = -1;
	for (const { length, width } of turnsOf(cell)) {
		for (const { x, y } of cornersFor(room, pan, length, width)) {
			const tried = { cell, left: x, low: y, right: x + length, high: y + width };
			if (!isInside(room, tried) || meets(pan.laid, tried)) continue;
			const touched = contact(room, pan.laid, tried);
			if (touched > most + HAIR_MM || (touched > most - HAIR_MM && best && isLower(tried, best))) {
				best = tried;
				most = touched;
			}
		}
	}
	return best;
}

function turnsOf({ length, width }: Cell): { length: number; width: number }[] {
	if (length === width) return [{ length, width }];
	return [
		{ length, width },
		{ length: width, width: length },
	];
}

function meets(laid: readonly Laid[], one: Laid): boolean {
	for (const other of laid) if (overlaps(one, other)) return true;
	return false;
}

function isLower(one: Laid, other: Laid): boolean {
	return one.low < other.low - HAIR_MM || (one.low < other.low + HAIR_MM && one.left < other.left - HAIR_MM);
}

/** Lower left corners worth trying: those the cells have made, and in a round also against its wall. */
function cornersFor(room: Room, pan: Open, length: number, width: number): readonly Corner[] {
	return room.kind === "circle" ? cornersInRound(room.radius, pan, length, width) : pan.corners;
}

/** The lowest row may begin where so many of the same lie side by side. */
const FOOT_ROWS = 5;

function cornersInRound(radius: number, pan: Open, length: number, width: number): Corner[] {
	const foot: Corner[] = [];
	for (let count = 1; count <= FOOT_ROWS && (count * length) / 2 <= radius; count += 1) {
		const half = (count * length) / 2;
		foot.push({ x: -half, y: -Math.sqrt(radius * radius - half * half) });
	}
	const wall = pan.laid.flatMap(({ right, high }) => [
		{ x: -reach(radius, high, high + width), y: high },
		{ x: right, y: -reach(radius, right, right + length) },
	]);
	return [...foot, ...pan.corners, ...wall];
}

/** How far the round reaches along one way for all between two heights of the other. */
function reach(radius: number, from: number, to: number): number {
	const far = Math.max(Math.abs(from), Math.abs(to));
	return Math.sqrt(Math.max(0, radius * radius - far * far));
}

function isInside(room: Room, { left, low, right, high }: Laid): boolean {
	if (room.kind === "circle") {
		const x = Math.max(Math.abs(left), Math.abs(right));
		const y = Math.max(Math.abs(low), Math.abs(high));
		return Math.hypot(x, y) <= room.radius + HAIR_MM;
	}
	return (
		left >= -room.halfLength - HAIR_MM &&
		right <= room.halfLength + HAIR_MM &&
		low >= -room.halfWidth - HAIR_MM &&
		high <= room.halfWidth + HAIR_MM
	);
}

function overlaps(one: Laid, other: Laid): boolean {
	return (
		one.left < other.right - HAIR_MM &&
		other.left < one.right - HAIR_MM &&
		one.low < other.high - HAIR_MM &&
		other.low < one.high - HAIR_MM
	);
}

/** Length of edge that touches a neighbour or the wall, mm. */
function contact(room: Room, laid: readonly Laid[], one: Laid): number {
	let touched = room.kind === "rectangle" ? wallContact(room, one) : 0;
	for (const other of laid) {
		if (one.left === other.right || other.left === one.right) {
			touched += shared(one.low, one.high, other.low, other.high);
		}
		if (one.low === other.high || other.low === one.high) {
			touched += shared(one.left, one.right, other.left, other.right);
		}
	}
	return touched;
}

function wallContact(room: Extract<Room, { kind: "rectangle" }>, one: Laid): number {
	const high = one.high - one.low;
	const wide = one.right - one.left;
	return (
		(one.left <= -room.halfLength + HAIR_MM ? high : 0) +
		(one.right >= room.halfLength - HAIR_MM ? high : 0) +
		(one.low <= -room.halfWidth + HAIR_MM ? wide : 0) +
		(one.high >= room.halfWidth - HAIR_MM ? wide : 0)
	);
}

function shared(from: number, to: number, otherFrom: number, otherTo: number): number {
	return Math.max(0, Math.min(to, otherTo) - Math.max(from, otherFrom));
}

function asPlaced({ cell, left, low, right, high }: Laid, gap_mm: number): PlacedPiece {
	return {
		piece: cell.piece,
		x_mm: (left + right) / 2,
		y_mm: (low + high) / 2,
		length_mm: right - left - gap_mm,
		width_mm: high - low - gap_mm,
	};
}
