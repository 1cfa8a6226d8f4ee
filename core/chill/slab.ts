/** Layers of food from its foot to its top. */
const LAYERS = 30;

/** One face of the food: how well it gives its heat away, and to what. */
export interface Face {
	readonly film_W_per_M2K: number;
	readonly C: number;
}

/**
 * Food of one depth, cooled at its foot and its top. A step is solved backwards in time, so that
 * no length of step makes it unstable; each layer conducts as well as its own temperature lets it.
 */
export class Slab {
	readonly C = new Float64Array(LAYERS);
	readonly #layer_m: number;
	readonly #heat_J_per_m3K: number;
	readonly #conductivity: (C: number) => number;
	readonly #ratio = new Float64Array(LAYERS);

	/**
	 * @param depth_m       of the food
	 * @param start_C       all through
	 * @param heat_J_per_m3K that a cubic metre holds for a degree
	 * @param conductivity  W/mK at a temperature
	 */
	constructor(depth_m: number, start_C: number, heat_J_per_m3K: number, conductivity: (C: number) => number) {
		this.#layer_m = depth_m / LAYERS;
		this.#heat_J_per_m3K = heat_J_per_m3K;
		this.#conductivity = conductivity;
		this.C.fill(start_C);
	}

	/** Where it is warmest, °C. */
	warmest_C(): number {
		const { C } = this;
		let warmest = C[0] as number;
		for (let layer = 1; layer < LAYERS; layer += 1) warmest = Math.max(warmest, C[layer] as number);
		return warmest;
	}

	/** Where it is coldest, °C. */
	coldest_C(): number {
		const { C } = this;
		let coldest = C[0] as number;
		for (let layer = 1; layer < LAYERS; layer += 1) coldest = Math.min(coldest, C[layer] as number);
		return coldest;
	}

	/** Stirred: as warm everywhere. @returns how warm, °C */
	mean_C(): number {
		const { C } = this;
		let sum = 0;
		for (let layer = 0; layer < LAYERS; layer += 1) sum += C[layer] as number;
		return sum / LAYERS;
	}

	stir(): void {
		this.C.fill(this.mean_C());
	}

	/** Heat that it gives away through its faces now, W a square metre. */
	gives_W_per_m2(foot: Face, top: Face): number {
		return this.#gives(0, foot) + this.#gives(LAYERS - 1, top);
	}

	/** The same through its top alone: its foot stands in something of its own. */
	givesAbove_W_per_m2(top: Face): number {
		return this.#gives(LAYERS - 1, top);
	}

	#gives(layer: number, { film_W_per_M2K, C }: Face): number {
		return ((this.C[layer] as number) - C) / (this.#resists(layer) + 1 / film_W_per_M2K);
	}

	/** From the middle of a layer to its edge, m²K/W. */
	#resists(layer: number): number {
		return this.#layer_m / 2 / this.#conductivity(this.C[layer] as number);
	}

	/** So many seconds on. */
	step(seconds: number, foot: Face, top: Face): void {
		const { C } = this;
		const ratios = this.#ratio;
		const hold = (this.#heat_J_per_m3K * this.#layer_m) / seconds;
		let resists = this.#resists(0);
		let inner_WK = 1 / (resists + 1 / foot.film_W_per_M2K);
		let inner_C = foot.C;
		for (let layer = 0; layer < LAYERS; layer += 1) {
			const next = layer < LAYERS - 1 ? this.#resists(layer + 1) : 1 / top.film_W_per_M2K;
			const outer = 1 / (resists + next);
			const pivot = hold + inner_WK + outer;
			// Known but for the next layer up: C = carried + ratio × next.
			const carried = (hold * (C[layer] as number) + inner_WK * inner_C) / pivot;
			const ratio = outer / pivot;
			C[layer] = carried;
			ratios[layer] = ratio;
			// What the next layer sees below it, with this one's own temperature folded in.
			inner_WK = outer * (1 - ratio);
			inner_C = carried / (1 - ratio);
			resists = next;
		}
		let above = top.C;
		for (let layer = LAYERS - 1; layer >= 0; layer -= 1) {
			above = (C[layer] as number) + (ratios[layer] as number) * above;
			C[layer] = above;
		}
	}
}
