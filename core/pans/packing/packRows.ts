import { type Cell, HAIR_MM, type Placed, timesIn } from "./layer.ts";

/** A row across the round: cells of this length side by side, so high. */
interface Row {
	readonly length: number;
	readonly height: number;
}

/** A row where it lies: its lower edge from the middle, mm, and how many cells it takes. */
interface Laid extends Row {
	readonly y: number;
	readonly count: number;
}

interface Stack {
	readonly count: number;
	readonly rows: readonly Laid[];
}

const NOTHING: Stack = { count: 0, rows: [] };

/** From so many rows across the round, they are laid from the middle only. */
const MANY_ROWS = 60;

/**
 * Equal cells in a round: rows across it, each with its cells one way round, laid outwards
 * from the one that the middle falls in. Every height of that one at which any row gains or
 * loses a cell is tried, so a wider round or a smaller cell never takes fewer.
 *
 * @returns the cells from the middle of the round, mm
 */
export function packRows(diameter: number, cell: Cell): Placed[] {
	const radius = diameter / 2;
	const kinds: Row[] = [{ length: cell.length, height: cell.width }];
	if (cell.length !== cell.width) kinds.push({ length: cell.width, height: cell.length });
	const turns = turningHeights(radius, kinds);
	let best = NOTHING;
	for (const row of kinds) {
		for (const above of startsFor(row, turns)) {
			const stack = around(radius, kinds, row, above);
			if (stack.count > best.count) best = stack;
		}
	}
	return best.rows.flatMap(placeRow);
}

/** Free length across the round for a row whose far edge lies so far from the middle. */
function chord(radius: number, edge: number): number {
	return edge > radius + HAIR_MM ? 0 : 2 * Math.sqrt(Math.max(0, radius * radius - edge * edge));
}

/** The row the middle falls in, reaching so far above it, and the best rows on both sides of it. */
function around(radius: number, kinds: readonly Row[], row: Row, above: number): Stack {
	const below = row.height - above;
	const count = timesIn(chord(radius, Math.max(above, below)), row.length);
	const up = outwards(radius, kinds, above);
	const down = outwards(radius, kinds, below);
	const flipped = down.rows.map((laid) => ({ ...laid, y: -laid.y - laid.height }));
	return {
		count: count + up.count + down.count,
		rows: [{ ...row, y: -below, count }, ...up.rows, ...flipped],
	};
}

/** The best rows from a height outwards, by trying each kind next, each height once. */
function outwards(radius: number, kinds: readonly Row[], start: number): Stack {
	const known = new Map<number, Stack>();
	const from = (y: number): Stack => {
		const key = Math.round(y * 1e6);
		const found = known.get(key);
		if (found) return found;
		let best = NOTHING;
		for (const row of kinds) {
			const count = timesIn(chord(radius, y + row.height), row.length);
			if (count === 0) continue;
			const rest = from(y + row.height);
			if (count + rest.count > best.count) {
				best = { count: count + rest.count, rows: [{ ...row, y, count }, ...rest.rows] };
			}
		}
		known.set(key, best);
		return best;
	};
	return from(start);
}

/** Heights from the middle at which a row begins that can only just hold its cells. */
function turningHeights(radius: number, kinds: readonly Row[]): number[] {
	const [row, other = row] = kinds as [Row, Row?];
	if (radius / Math.min(row.height, other.height) > MANY_ROWS) return [];
	const edges = kinds.flatMap(({ length }) =>
		Array.from({ length: timesIn(2 * radius, length) }, (_, index) =>
			Math.sqrt(Math.max(0, radius ** 2 - (((index + 1) * length) / 2) ** 2)),
		),
	);
	const found = new Set<number>();
	for (const edge of edges) {
		for (let i = 0; i * row.height <= edge; i += 1) {
			for (let j = 0; i * row.height + j * other.height <= edge; j += 1) {
				found.add(edge - i * row.height - j * other.height);
				if (other === row) break;
			}
		}
	}
	return [...found];
}

/** How far the middle row may reach above the middle, for a turn on either side of it. */
function startsFor({ height }: Row, turns: readonly number[]): number[] {
	const within = turns.filter((turn) => turn <= height);
	return [height / 2, 0, height, ...within, ...within.map((turn) => height - turn)];
}

function placeRow({ y, count, length, height }: Laid): Placed[] {
	return Array.from({ length: count }, (_, index) => ({
		x_mm: (index - (count - 1) / 2) * length,
		y_mm: y + height / 2,
		length_mm: length,
		width_mm: height,
	}));
}
