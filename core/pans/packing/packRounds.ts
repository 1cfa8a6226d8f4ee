import { type Placed, timesIn } from "./layer.ts";
import { packRows } from "./packRows.ts";

/**
 * Equal rounds in a rectangle: square rows, or rows that lie in each other's gaps, drawn out
 * as far as the rectangle lets them so that they close up. The most of both ways round.
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
	return most([squareRows(length, width, across), lying, standing]);
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

/** Every second row shifted by half a pitch; the pitch is the widest that keeps the number in a row. */
function staggered(length: number, width: number, across: number): Placed[] {
	let best: Placed[] = [];
	for (let inRow = 1; inRow <= timesIn(length, across); inRow += 1) {
		const room = length - across;
		// The second row holds one fewer, or as many where the first leaves half a pitch.
		const pitches = [
			{ pitch: inRow > 1 ? room / (inRow - 1) : room, second: inRow > 1 ? inRow - 1 : 1 },
			{ pitch: room / (inRow - 0.5), second: inRow },
		];
		for (const { pitch, second } of pitches) {
			if (pitch < across - 1e-9 && inRow > 1) continue;
			const laid = rowsOf(inRow, second, pitch, width, across);
			if (laid.length > best.length && laid.every(({ x_mm }) => x_mm + across / 2 <= length + 1e-6)) {
				best = laid;
			}
		}
	}
	return best;
}

function rowsOf(first: number, second: number, pitch: number, width: number, across: number): Placed[] {
	const half = pitch / 2;
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
	return most([
		rings(diameter / 2, across),
		...LATTICE_MIDDLES.map((middle) => lattice(diameter / 2, across, middle)),
		packRows(diameter, { length: across, width: across }),
	]);
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
