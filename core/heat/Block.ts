/** What one face of food meets: how well heat goes through it, W/m²K, and how warm it is there, °C. */
export interface FaceMeets {
	readonly film_W_per_M2K: number;
	readonly C: number;
}

/** What the faces meet; the sides are all alike, and have nothing to meet where the food has no end. */
export interface FacesMeet {
	readonly foot: FaceMeets;
	readonly top: FaceMeets;
	readonly sides?: FaceMeets;
}

export interface BlockOfFood {
	/** From foot to top, mm. */
	readonly depth_mm: number;
	/** Across, mm; without end where they are absent: a layer. */
	readonly length_mm?: number;
	readonly width_mm?: number;
	readonly start_C: number;
	/** What a cubic metre holds for a degree, J. */
	readonly heat_J_per_M3K: number;
	/** Heat through it at a temperature, W/mK. */
	readonly conductivity: (C: number) => number;
	/** No part of it becomes hotter: there it boils. */
	readonly boils_C?: number;
}

/** Cells from foot to top, and from the middle to a side. */
const HIGH = 12;
const ACROSS = 5;

/** Conductivities are looked up between whole degrees. */
const COLDEST_C = -60;
const HOTTEST_C = 240;

const NO_HEAT: FaceMeets = { film_W_per_M2K: 0, C: 0 };

/**
 * Food that does not move, in three dimensions: heat goes from cell to cell by conduction and in or out
 * through its faces. Its length and its width have a middle that is the same on both sides, so a quarter
 * of it is reckoned. A step is solved backwards in time, along one direction after the other, so that no
 * length of step makes it unstable.
 *
 * @see model, section H
 */
export class Block {
	/** Cells, °C: rows from foot to top within columns within slices from the middle out. */
	readonly C: Float64Array;
	readonly #cells: readonly [high: number, wide: number, long: number];
	readonly #cell_m: readonly [high: number, wide: number, long: number];
	readonly #heat_J_per_M3K: number;
	/** W/mK by whole degrees. */
	readonly #conductivity = new Float64Array(HOTTEST_C - COLDEST_C + 2);
	readonly #boils_C: number;
	readonly #conducts: Float64Array;
	readonly #ratio = new Float64Array(Math.max(HIGH, ACROSS));

	constructor(food: BlockOfFood) {
		const { depth_mm, length_mm, width_mm, start_C, boils_C = Number.POSITIVE_INFINITY } = food;
		const across = (side_mm: number | undefined) => (side_mm === undefined ? 1 : ACROSS);
		const half_m = (side_mm: number | undefined) => (side_mm ?? 1000) / 2000;
		this.#cells = [HIGH, across(width_mm), across(length_mm)];
		this.#cell_m = [
			depth_mm / 1000 / HIGH,
			half_m(width_mm) / this.#cells[1],
			half_m(length_mm) / this.#cells[2],
		];
		this.#heat_J_per_M3K = food.heat_J_per_M3K;
		this.conducts(food.conductivity);
		this.#boils_C = boils_C;
		this.C = new Float64Array(this.#cells[0] * this.#cells[1] * this.#cells[2]).fill(start_C);
		this.#conducts = new Float64Array(this.C.length);
	}

	/** From here on heat goes through it so: W/mK at a temperature. */
	conducts(conductivity: (C: number) => number): void {
		for (let degree = 0; degree < this.#conductivity.length; degree += 1) {
			this.#conductivity[degree] = conductivity(COLDEST_C + degree);
		}
	}

	/** Where it is coldest, where it is warmest, and of all of it, °C. */
	coldest_C(): number {
		const { C } = this;
		let coldest = C[0] as number;
		for (let cell = 1; cell < C.length; cell += 1) coldest = Math.min(coldest, C[cell] as number);
		return coldest;
	}

	warmest_C(): number {
		const { C } = this;
		let warmest = C[0] as number;
		for (let cell = 1; cell < C.length; cell += 1) warmest = Math.max(warmest, C[cell] as number);
		return warmest;
	}

	mean_C(): number {
		const { C } = this;
		let sum = 0;
		for (let cell = 0; cell < C.length; cell += 1) sum += C[cell] as number;
		return sum / C.length;
	}

	/** At its top face, in the mean, °C. */
	top_C(): number {
		let sum = 0;
		for (let cell = HIGH - 1; cell < this.C.length; cell += HIGH) sum += this.C[cell] as number;
		return (sum * HIGH) / this.C.length;
	}

	/** Stirred: as warm everywhere. */
	stir(): void {
		this.C.fill(this.mean_C());
	}

	/** Heat that comes in through all faces now, W for a square metre of its floor. */
	takes_W_per_M2({ foot, top, sides = NO_HEAT }: FacesMeet): number {
		const [high, wide, long] = this.#cells;
		const floor = wide * long;
		let sum = 0;
		for (let column = 0; column < floor; column += 1) {
			sum += this.#through(column * high, 0, foot) + this.#through(column * high + high - 1, 0, top);
		}
		const share = (direction: 1 | 2) => this.#cell_m[0] / this.#cell_m[direction];
		for (let up = 0; up < high; up += 1) {
			for (let at = 0; at < long && wide > 1; at += 1) {
				sum += this.#through((at * wide + wide - 1) * high + up, 1, sides) * share(1);
			}
			for (let at = 0; at < wide && long > 1; at += 1) {
				sum += this.#through(((long - 1) * wide + at) * high + up, 2, sides) * share(2);
			}
		}
		return sum / floor;
	}

	#through(cell: number, direction: 0 | 1 | 2, { film_W_per_M2K, C }: FaceMeets): number {
		const inside = this.C[cell] as number;
		const resists = this.#cell_m[direction] / 2 / this.#conductsAt(inside);
		return (C - inside) / (resists + 1 / film_W_per_M2K);
	}

	#conductsAt(C: number): number {
		const at = Math.min(HOTTEST_C, Math.max(COLDEST_C, C)) - COLDEST_C;
		const below = Math.floor(at);
		const low = this.#conductivity[below] as number;
		return low + (at - below) * ((this.#conductivity[below + 1] as number) - low);
	}

	/** So many seconds on. @returns heat that boiled off, J for a square metre of its floor */
	step(seconds: number, { foot, top, sides = NO_HEAT }: FacesMeet): number {
		const [high, wide, long] = this.#cells;
		const { C } = this;
		for (let cell = 0; cell < C.length; cell += 1) {
			this.#conducts[cell] = this.#conductsAt(C[cell] as number);
		}
		for (let column = 0; column < wide * long; column += 1)
			this.#line(column * high, 1, 0, seconds, foot, top);
		for (let slice = 0; slice < long && wide > 1; slice += 1) {
			for (let up = 0; up < high; up += 1) {
				this.#line(slice * wide * high + up, high, 1, seconds, NO_HEAT, sides);
			}
		}
		for (let at = 0; at < wide * high && long > 1; at += 1) {
			this.#line(at, wide * high, 2, seconds, NO_HEAT, sides);
		}
		return this.#boiled();
	}

	#boiled(): number {
		const { C } = this;
		let over_K = 0;
		for (let cell = 0; cell < C.length; cell += 1) {
			const over = (C[cell] as number) - this.#boils_C;
			if (over <= 0) continue;
			over_K += over;
			C[cell] = this.#boils_C;
		}
		return (over_K / C.length) * this.#heat_J_per_M3K * this.#cell_m[0] * this.#cells[0];
	}

	/** One line of cells from one face to the other, solved at once. */
	#line(
		from: number,
		stride: number,
		direction: 0 | 1 | 2,
		seconds: number,
		first: FaceMeets,
		last: FaceMeets,
	): void {
		const { C } = this;
		const conducts = this.#conducts;
		const ratios = this.#ratio;
		const count = this.#cells[direction];
		const half_m = this.#cell_m[direction] / 2;
		const hold = (this.#heat_J_per_M3K * 2 * half_m) / seconds;
		let k = conducts[from] as number;
		let inner_WK = 1 / (half_m / k + 1 / first.film_W_per_M2K);
		let carried = first.C;
		let ratio = 0;
		for (let at = 0, cell = from; at < count; at += 1, cell += stride) {
			const next_k = at < count - 1 ? (conducts[cell + stride] as number) : 0;
			const outer_WK =
				at < count - 1 ? (k * next_k) / (half_m * (k + next_k)) : 1 / (half_m / k + 1 / last.film_W_per_M2K);
			// Known but for the next cell: C = carried + ratio × next.
			const share = 1 / (hold + outer_WK + inner_WK * (1 - ratio));
			carried = (hold * (C[cell] as number) + inner_WK * carried) * share;
			ratio = outer_WK * share;
			C[cell] = carried;
			ratios[at] = ratio;
			inner_WK = outer_WK;
			k = next_k;
		}
		let after = last.C;
		for (let at = count - 1, cell = from + (count - 1) * stride; at >= 0; at -= 1, cell -= stride) {
			after = (C[cell] as number) + (ratios[at] as number) * after;
			C[cell] = after;
		}
	}
}
