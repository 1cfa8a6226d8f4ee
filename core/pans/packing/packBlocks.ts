import { type Area, fiveInFive } from "./fiveInFive.ts";
import { type Cell, HAIR_MM, type Placed, timesIn } from "./layer.ts";

/** From so many cells on an area, cuts are tried one way only: the pattern no longer matters. */
const MANY_CELLS = 1500;

/**
 * Equal cells in a rectangle, each either way round: the most that five blocks give, one in each
 * corner and one between them, every block of cells turned one way; and where that is less than the
 * area would take, each of the five in five again. All places at which a block can end are tried, so a larger area
 * or a smaller cell never takes fewer.
 *
 * @returns the cells from the lower left corner of the area, mm
 */
export function packBlocks(length: number, width: number, cell: Cell): Placed[] {
	const bound = Math.floor((length * width) / (cell.length * cell.width) + HAIR_MM);
	const plain = [{ x: 0, y: 0, length, width }];
	if (bound === 0 || countIn(length, width, cell) >= bound) return placeAll(plain, cell);
	const five = blocksOf(length, width, cell);
	if (heldBy(five, cell) >= bound) return placeAll(five, cell);
	const whole = (x: number, y: number) => heldBy(blocksOf(x, y, cell), cell);
	const again = fiveInFive(length, width, cell, whole)?.flatMap((part) =>
		blocksOf(part.length, part.width, cell).map((area) => ({
			...area,
			x: area.x + part.x,
			y: area.y + part.y,
		})),
	);
	return placeAll(again && heldBy(again, cell) > heldBy(five, cell) ? again : five, cell);
}

/** The rectangle in five blocks, or whole where those hold no more. */
function blocksOf(length: number, width: number, cell: Cell): Area[] {
	const bound = Math.floor((length * width) / (cell.length * cell.width) + HAIR_MM);
	const plain = [{ x: 0, y: 0, length, width }];
	if (bound === 0 || countIn(length, width, cell) >= bound) return plain;
	const better = bestCuts(length, width, cell, bound);
	return better ? fiveBlocks(length, width, better) : plain;
}

function heldBy(areas: readonly Area[], cell: Cell): number {
	return areas.reduce((sum, { length, width }) => sum + countIn(length, width, cell), 0);
}

/** Most cells of one way round. */
function countIn(length: number, width: number, cell: Cell): number {
	return Math.max(
		timesIn(length, cell.length) * timesIn(width, cell.width),
		timesIn(length, cell.width) * timesIn(width, cell.length),
	);
}

/** Where the corner blocks end: the lower left block at x1, y1; the upper left at x2; the lower right at y2. */
interface Cuts {
	readonly x1: number;
	readonly x2: number;
	readonly y1: number;
	readonly y2: number;
}

function fiveBlocks(length: number, width: number, { x1, x2, y1, y2 }: Cuts): Area[] {
	return [
		{ x: 0, y: 0, length: x1, width: y1 },
		{ x: x1, y: 0, length: length - x1, width: y2 },
		{ x: x2, y: y2, length: length - x2, width: width - y2 },
		{ x: 0, y: y1, length: x2, width: width - y1 },
		{
			x: Math.min(x1, x2),
			y: Math.min(y1, y2),
			length: Math.abs(x1 - x2),
			width: Math.abs(y1 - y2),
		},
	];
}

/** Cuts that beat cells of one way round; undefined when none do. */
function bestCuts(length: number, width: number, cell: Cell, bound: number): Cuts | undefined {
	const xs = ends(length, cell);
	const ys = ends(width, cell);
	const corners = cornerCounts(length, width, xs, ys, cell);
	const upper = mostAbove(xs, ys, corners);
	let most = countIn(length, width, cell);
	let best: Cuts | undefined;
	for (const [i, x1] of xs.entries()) {
		for (const [j, y1] of ys.entries()) {
			const found = bestUpperCuts(i, j, { xs, ys, corners, upper, cell, most, bound });
			if (!found) continue;
			most = found.count;
			best = { x1, y1, ...found.cuts };
			if (most >= bound) return best;
		}
	}
	return best;
}

interface Search {
	readonly xs: readonly number[];
	readonly ys: readonly number[];
	readonly corners: ReturnType<typeof cornerCounts>;
	readonly upper: ReturnType<typeof mostAbove>;
	readonly cell: Cell;
	/** What has to be beaten. */
	readonly most: number;
	readonly bound: number;
}

/** The lower left block ends at the i-th and j-th place: where the other two end to hold more than before. */
function bestUpperCuts(i: number, j: number, search: Search) {
	const { xs, ys, corners, upper, cell, bound } = search;
	const x1 = xs[i] as number;
	const y1 = ys[j] as number;
	let most = search.most;
	let cuts: Pick<Cuts, "x2" | "y2"> | undefined;
	const tallest = Math.max(y1, (ys.at(-1) ?? 0) - y1);
	for (const [k, x2] of xs.entries()) {
		// What lies between the corners holds no more than its area, wherever the upper two end.
		const between = (Math.abs(x1 - x2) * tallest) / (cell.length * cell.width) + HAIR_MM;
		if (corners.one(i, j) + corners.four(k, j) + upper(i, k) + between < most + 1) continue;
		for (const [m, y2] of ys.entries()) {
			if (!areCutsSound(x1 - x2, y1 - y2, bound)) continue;
			const four = corners.one(i, j) + corners.two(i, m) + corners.three(k, m) + corners.four(k, j);
			const count = four + countIn(Math.abs(x1 - x2), Math.abs(y1 - y2), cell);
			if (count <= most) continue;
			most = count;
			cuts = { x2, y2 };
		}
	}
	return cuts && { count: most, cuts };
}

/** The most that both upper blocks hold together, wherever they meet, for each two places along the length. */
function mostAbove(
	xs: readonly number[],
	ys: readonly number[],
	corners: ReturnType<typeof cornerCounts>,
): (i: number, k: number) => number {
	const most = new Uint32Array(xs.length * xs.length);
	for (let i = 0; i < xs.length; i += 1) {
		for (let k = 0; k < xs.length; k += 1) {
			let found = 0;
			for (let m = 0; m < ys.length; m += 1) found = Math.max(found, corners.two(i, m) + corners.three(k, m));
			most[i * xs.length + k] = found;
		}
	}
	return (i, k) => most[i * xs.length + k] ?? 0;
}

/** No two corner blocks reach over each other. */
function areCutsSound(dx: number, dy: number, bound: number): boolean {
	if (bound > MANY_CELLS && dx !== 0 && dy !== 0) return false;
	return !(dx > 0 && dy > 0) && !(dx < 0 && dy < 0);
}

/** Whole numbers of cells, either way round, from one edge. */
function ends(side: number, { length, width }: Cell): number[] {
	const found = new Set([0]);
	for (const step of [length, width]) {
		for (let end = step; end <= side + HAIR_MM; end += step) found.add(end);
	}
	return [...found].sort((a, b) => a - b);
}

/** What each corner block holds for each place where it can end, counted once. */
function cornerCounts(
	length: number,
	width: number,
	xs: readonly number[],
	ys: readonly number[],
	cell: Cell,
) {
	const table = (right: boolean, top: boolean) => {
		const counts = new Uint32Array(xs.length * ys.length);
		for (const [i, x] of xs.entries()) {
			for (const [j, y] of ys.entries()) {
				counts[i * ys.length + j] = countIn(right ? length - x : x, top ? width - y : y, cell);
			}
		}
		return (i: number, j: number) => counts[i * ys.length + j] as number;
	};
	return {
		one: table(false, false),
		two: table(true, false),
		three: table(true, true),
		four: table(false, true),
	};
}

function placeAll(areas: readonly Area[], cell: Cell): Placed[] {
	return areas.flatMap((area) => placeIn(area, cell));
}

function placeIn(area: Area, { length, width }: Cell): Placed[] {
	const along = timesIn(area.length, length) * timesIn(area.width, width);
	const across = timesIn(area.length, width) * timesIn(area.width, length);
	const [dx, dy] = across > along ? [width, length] : [length, width];
	const columns = timesIn(area.length, dx);
	return Array.from({ length: columns * timesIn(area.width, dy) }, (_, index) => ({
		x_mm: area.x + ((index % columns) + 0.5) * dx,
		y_mm: area.y + (Math.floor(index / columns) + 0.5) * dy,
		length_mm: dx,
		width_mm: dy,
	}));
}
