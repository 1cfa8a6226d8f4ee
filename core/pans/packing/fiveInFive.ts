import { type Cell, HAIR_MM } from "./layer.ts";

/** A rectangle to be filled: its lower left corner and its sides, mm. */
export interface Area {
	readonly x: number;
	readonly y: number;
	readonly length: number;
	readonly width: number;
}

/** Cuts of the whole before the search is held to be too large to be worth it. */
const MOST_CUTS = 250_000;

/**
 * A rectangle in five blocks, one in each corner and one between them, and each of those in five
 * again, as often as that holds more. Blocks end where rows of cells can end, either way round.
 *
 * @param whole how many a rectangle holds in blocks that are not cut again
 * @returns the rectangles that are left whole; undefined where there are too many places to try, or
 *          no more is found
 */
export function fiveInFive(
	length: number,
	width: number,
	cell: Cell,
	whole: (length: number, width: number) => number,
): Area[] | undefined {
	const xs = rowEnds(length, cell);
	const ys = rowEnds(width, cell);
	if ((xs.length * ys.length) ** 2 > MOST_CUTS) return undefined;
	const search = new Search(xs, ys, cell, whole);
	const [i, j] = [xs.length - 1, ys.length - 1];
	return search.best(i, j).cuts ? search.laidOut(i, j, 0, 0) : undefined;
}

interface Best {
	readonly count: number;
	/** Where the blocks end, as places in the rows of ends: the pinwheel of four with a fifth between them. */
	readonly cuts: readonly [x1: number, x2: number, y1: number, y2: number] | null;
}

/** A block by the places it ends at, and where it begins, mm. */
interface Block {
	readonly x: number;
	readonly y: number;
	readonly across: number;
	readonly up: number;
}

/** Every rectangle is answered once; tables say what is left of a side beside a part of it. */
class Search {
	readonly #known: (Best | undefined)[];
	/** What each rectangle could hold by its area alone. */
	readonly #bounds: Uint16Array;
	/** The place up to which a side reaches when a part is taken off it. */
	readonly #besideX: Uint16Array;
	readonly #besideY: Uint16Array;
	readonly #xs: readonly number[];
	readonly #ys: readonly number[];
	readonly #whole: (length: number, width: number) => number;

	constructor(xs: readonly number[], ys: readonly number[], cell: Cell, whole: Search["whole"]) {
		this.#xs = xs;
		this.#ys = ys;
		this.#whole = whole;
		this.#known = new Array(xs.length * ys.length);
		this.#besideX = beside(xs);
		this.#besideY = beside(ys);
		this.#bounds = new Uint16Array(xs.length * ys.length);
		for (const [i, x] of xs.entries()) {
			for (const [j, y] of ys.entries()) {
				this.#bounds[i * ys.length + j] = Math.floor((x * y) / (cell.length * cell.width) + HAIR_MM);
			}
		}
	}

	whole(length: number, width: number): number {
		return this.#whole(length, width);
	}

	/** The most in the rectangle that ends at these places. */
	best(i: number, j: number): Best {
		const rows = this.#ys.length;
		const key = i * rows + j;
		const found = this.#known[key];
		if (found) return found;
		let answer: Best = { count: this.whole(this.#xs[i] as number, this.#ys[j] as number), cuts: null };
		this.#known[key] = answer;
		const bound = this.#bounds[key] as number;
		for (let x1 = 0; x1 <= i; x1 += 1) {
			for (let x2 = x1; x2 <= i && answer.count < bound; x2 += 1)
				answer = this.#betterAt(i, j, x1, x2, answer);
		}
		return this.#keep(key, answer);
	}

	/** The best so far, or better where the lower left block ends at x1 and the upper left at x2. */
	#betterAt(i: number, j: number, x1: number, x2: number, before: Best): Best {
		const [bx, by] = [this.#besideX, this.#besideY];
		const [columns, rows] = [this.#xs.length, this.#ys.length];
		const right1 = (bx[i * columns + x1] as number) * rows;
		const right2 = (bx[i * columns + x2] as number) * rows;
		const middle = (bx[x2 * columns + x1] as number) * rows;
		let answer = before;
		for (let y2 = 0; y2 <= j; y2 += 1) {
			const over2 = by[j * rows + y2] as number;
			for (let y1 = y2; y1 <= j; y1 += 1) {
				const over1 = by[j * rows + y1] as number;
				const between = by[y1 * rows + y2] as number;
				const keys = [
					x1 * rows + y1,
					right1 + y2,
					right2 + over2,
					x2 * rows + over1,
					middle + between,
				] as const;
				const count = this.#more(keys, i * rows + j, answer.count);
				if (count > answer.count) answer = { count, cuts: [x1, x2, y1, y2] };
			}
		}
		return answer;
	}

	#keep(key: number, answer: Best): Best {
		this.#known[key] = answer;
		return answer;
	}

	/** What these blocks hold, or less than is needed as soon as that is certain. */
	#more(keys: readonly [number, number, number, number, number], all: number, needed: number): number {
		let most = 0;
		for (const key of keys) {
			// The whole rectangle as one of its own blocks says nothing new.
			if (key === all) return 0;
			most += this.#bounds[key] as number;
		}
		const rows = this.#ys.length;
		for (const key of keys) {
			if (most <= needed) return 0;
			const bound = this.#bounds[key] as number;
			if (bound > 0) most += this.best(Math.floor(key / rows), key % rows).count - bound;
		}
		return most;
	}

	laidOut(i: number, j: number, x: number, y: number): Area[] {
		const { cuts } = this.best(i, j);
		const [length, width] = [this.#xs[i] as number, this.#ys[j] as number];
		if (!cuts) return [{ x, y, length, width }];
		return this.#blocks(i, j, cuts).flatMap((block) =>
			block.across > 0 && block.up > 0 ? this.laidOut(block.across, block.up, x + block.x, y + block.y) : [],
		);
	}

	#blocks(i: number, j: number, [x1, x2, y1, y2]: NonNullable<Best["cuts"]>): Block[] {
		const [bx, by] = [this.#besideX, this.#besideY];
		const [columns, rows] = [this.#xs.length, this.#ys.length];
		const at = (ends: readonly number[], place: number) => ends[place] as number;
		const [left, right, high, low] = [at(this.#xs, x1), at(this.#xs, x2), at(this.#ys, y1), at(this.#ys, y2)];
		const besideX = (side: number, part: number) => bx[side * columns + part] as number;
		const besideY = (side: number, part: number) => by[side * rows + part] as number;
		return [
			{ x: 0, y: 0, across: x1, up: y1 },
			{ x: left, y: 0, across: besideX(i, x1), up: y2 },
			{ x: right, y: low, across: besideX(i, x2), up: besideY(j, y2) },
			{ x: 0, y: high, across: x2, up: besideY(j, y1) },
			{ x: left, y: low, across: besideX(x2, x1), up: besideY(y1, y2) },
		];
	}
}

/** For each side and each part of it that ends at a place: the last place that the rest reaches. */
function beside(ends: readonly number[]): Uint16Array {
	const table = new Uint16Array(ends.length ** 2);
	for (const [side, length] of ends.entries()) {
		for (const [part, taken] of ends.entries()) {
			table[side * ends.length + part] = part > side ? 0 : placeOf(ends, length - taken);
		}
	}
	return table;
}

/** Every place at which a row of cells, each either way round, can end; the first is the edge. */
function rowEnds(most: number, { length, width }: Cell): number[] {
	const found = new Set<number>([0]);
	for (let along = 0; along * length <= most + HAIR_MM; along += 1) {
		for (let across = 0; along * length + across * width <= most + HAIR_MM; across += 1) {
			found.add(Number((along * length + across * width).toFixed(6)));
		}
	}
	return [...found].sort((a, b) => a - b);
}

/** The last place that is not beyond a length. */
function placeOf(ends: readonly number[], length: number): number {
	let [low, high] = [0, ends.length - 1];
	while (low < high) {
		const middle = Math.ceil((low + high) / 2);
		if ((ends[middle] as number) <= length + HAIR_MM) low = middle;
		else high = middle - 1;
	}
	return low;
}
