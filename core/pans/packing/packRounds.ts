import { type Placed, timesIn } from "./layer.ts";
import { oneMore } from "./oneMore.ts";
import { packRows } from "./packRows.ts";

/**
 * Equal rounds in a rectangle: square rows, or rows that lie in each other's gaps, drawn out or
 * shifted as far as the rectangle lets them so that they close up, the most of both ways round;
 * and then one more as long as one can be pushed in.
 *
 * @param across diameter of one with its gap, mm
 * @returns the rounds from the lower left corner, mm
 */
export function packRoundsInBox(length: number, width: number, across: number): Placed[] {
	const lying = staggered(length, width, across);
	const standing = staggered(width, length, across).map((placed) => ({
		...placed,
		x_mm: placed.y_mm,
		y_mm: placed.x_mm,
	}));
	const rows = most([squareRows(length, width, across), lying, standing]);
	if (rows.length === 0) return rows;
	const [halfX, halfY] = [length / 2, width / 2];
	const fromMiddle = rows.map((placed) => ({
		...placed,
		x_mm: placed.x_mm - halfX,
		y_mm: placed.y_mm - halfY,
	}));
	const inside = { kind: "box", halfLength: halfX - across / 2, halfWidth: halfY - across / 2 } as const;
	const bound = Math.floor((length * width * DENSEST) / discArea(across));
	return oneMore(fromMiddle, inside, across, bound).map((placed) => ({
		...placed,
		x_mm: placed.x_mm + halfX,
		y_mm: placed.y_mm + halfY,
	}));
}

/** No rounds of one size fill more of a plane than this: six round each. */
const DENSEST = Math.PI / Math.sqrt(12);

function discArea(across: number): number {
	return (Math.PI / 4) * across ** 2;
}

function most(tried: readonly Placed[][]): Placed[] {
	return tried.reduce((best, attempt) => (attempt.length > best.length ? attempt : best));
}

function round(x_mm: number, y_mm: number, across: number): Placed {
	return { x_mm, y_mm, length_mm: across, width_mm: across };
}

function squareRows(length: number, width: number, across: number): Placed[] {
	const columns = timesIn(length, across);
	return Array.from({ length: columns * timesIn(width, across) }, (_, index) =>
		round(((index % columns) + 0.5) * across, (Math.floor(index / columns) + 0.5) * across, across),
	);
}

/** Rows in each other's gaps, as many in a row and as far apart as takes most. */
function staggered(length: number, width: number, across: number): Placed[] {
	let best: Placed[] = [];
	for (let inRow = 1; inRow <= timesIn(length, across); inRow += 1) {
		for (const { pitch, second, shift } of pitchesFor(inRow, length - across, across)) {
			const laid = rowsOf(inRow, second, pitch, width, across, shift);
			const fits = laid.every(({ x_mm }) => x_mm + across / 2 <= length + 1e-6);
			if (fits && laid.length > best.length) best = laid;
		}
	}
	return best;
}

/**
 * How far apart the rounds of a row may lie, how many the second row has, and by what it is shifted:
 * one fewer, drawn out as far as there is room; as many, where half a pitch is left; as many,
 * shifted by what there is, where that is less.
 */
function pitchesFor(inRow: number, room: number, across: number) {
	const drawn = inRow > 1 ? room / (inRow - 1) : room;
	const half = room / (inRow - 0.5);
	const ways = [
		{ pitch: drawn, second: inRow > 1 ? inRow - 1 : 1, shift: drawn / 2 },
		{ pitch: half, second: inRow, shift: half / 2 },
		{ pitch: across, second: inRow, shift: Math.min(across / 2, room - (inRow - 1) * across) },
	];
	return ways.filter(({ pitch, shift }) => shift >= 0 && (inRow === 1 || pitch >= across - 1e-9));
}

function rowsOf(
	first: number,
	second: number,
	pitch: number,
	width: number,
	across: number,
	half: number,
): Placed[] {
	// A shift of half a pitch lets a row sink between two; a smaller one is held up by the nearer of them.
	const rise = Math.max(across / 2, Math.sqrt(Math.max(0, across * across - half * half)));
	const rows = 1 + timesIn(width - across, rise);
	if (width < across - 1e-6) return [];
	return Array.from({ length: rows }, (_, row) =>
		Array.from({ length: row % 2 === 0 ? first : second }, (__, column) =>
			round(across / 2 + column * pitch + (row % 2) * half, across / 2 + row * rise, across),
		),
	).flat();
}

/**
 * Equal rounds in a round: rings within rings, rows in each other's gaps, or square rows.
 *
 * @param across diameter of one with its gap, mm
 * @returns the rounds from the middle, mm
 */
export function packRoundsInRound(diameter: number, across: number): Placed[] {
	const rows = most([
		rings(diameter / 2, across),
		...LATTICE_MIDDLES.map((middle) => lattice(diameter / 2, across, middle)),
		packRows(diameter, { length: across, width: across }),
	]);
	const bound = Math.floor(((Math.PI / 4) * diameter ** 2 * DENSEST) / discArea(across));
	return [...oneMore(rows, { kind: "round", radius: (diameter - across) / 2 }, across, bound)];
}

function rings(radius: number, across: number): Placed[] {
	const ring = radius - across / 2;
	if (ring < -1e-6) return [];
	if (ring < across / 2 - 1e-9) return [round(0, 0, across)];
	const count = timesIn(Math.PI, Math.asin(Math.min(1, across / (2 * ring))));
	const outer = Array.from({ length: count }, (_, index) => {
		const angle = (2 * Math.PI * index) / count;
		return round(ring * Math.cos(angle), ring * Math.sin(angle), across);
	});
	return [...outer, ...rings(radius - across, across)];
}

/** Where the middle of the round may fall in the pattern: on a piece, between two, between three. */
const LATTICE_MIDDLES = [
	[0, 0],
	[0.5, 0],
	[0.5, Math.sqrt(3) / 6],
] as const;

function lattice(radius: number, across: number, [dx, dy]: readonly [number, number]): Placed[] {
	const reach = radius - across / 2;
	const rise = (Math.sqrt(3) / 2) * across;
	const rows = Math.ceil(radius / rise) + 1;
	const columns = Math.ceil(radius / across) + 1;
	const found: Placed[] = [];
	for (let row = -rows; row <= rows; row += 1) {
		for (let column = -columns; column <= columns; column += 1) {
			const x = (column + (row & 1) / 2 - dx) * across;
			const y = row * rise - dy * across;
			if (Math.hypot(x, y) <= reach + 1e-6) found.push(round(x, y, across));
		}
	}
	return found;
}
