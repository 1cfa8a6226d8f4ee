import { LIQUID_FILM_W_PER_M2K, MEAT_J_PER_KGK, MEAT_KG_PER_M3, MEAT_W_PER_MK } from "./heatConstants.ts";

/** How heat gets in: from two faces, from round about, or from all sides. */
export type MeatShape = "slab" | "cylinder" | "ball";

/** Layers from the middle to the surface. */
export const LAYERS = 16;

/** Exponent of the radius in the area a layer offers. */
const DIMENSION = { slab: 0, cylinder: 1, ball: 2 } as const;

/**
 * All pieces of a pan as one: layers from the middle out, each with its temperature. Heat moves
 * by conduction between layers and through a film at the surface; a step is solved backwards in
 * time together with the liquid, so that no length of step makes it unstable.
 */
export interface MeatHeat {
	/** Temperature of each layer, the middle first, °C. */
	readonly C: Float64Array;
	/** Heat that each layer takes for a degree, J/K, all pieces together. */
	readonly capacity_JK: Float64Array;
	/** From each layer to the next one out, W/K; the last one to the liquid. */
	readonly link_WK: Float64Array;
	/** Share of the volume in each layer. */
	readonly share: Float64Array;
}

/**
 * Meat at rest.
 *
 * @param thickness_mm through the slab; across the cylinder or ball
 * @param film_W_per_M2K at its surface
 */
export function meatHeat(
	shape: MeatShape,
	thickness_mm: number,
	meat_kg: number,
	start_C: number,
	film_W_per_M2K = LIQUID_FILM_W_PER_M2K,
	layers = LAYERS,
): MeatHeat {
	const reach_m = thickness_mm / 2000;
	const step_m = reach_m / layers;
	const power = DIMENSION[shape];
	const volume_m3 = meat_kg / MEAT_KG_PER_M3;
	// Area of the surface for this volume, and of a face inside it as a share of that.
	const surface_m2 = ((power + 1) * volume_m3) / reach_m;
	const faceAt = (radius_m: number) => surface_m2 * (radius_m / reach_m) ** power;
	const share = Float64Array.from({ length: layers }, (_, layer) => {
		const inner = (layer / layers) ** (power + 1);
		return ((layer + 1) / layers) ** (power + 1) - inner;
	});
	const link_WK = Float64Array.from({ length: layers }, (_, layer) => {
		const face_m2 = faceAt((layer + 1) * step_m);
		if (layer < layers - 1) return (MEAT_W_PER_MK * face_m2) / step_m;
		return face_m2 / (1 / film_W_per_M2K + step_m / 2 / MEAT_W_PER_MK);
	});
	return {
		C: new Float64Array(layers).fill(start_C),
		capacity_JK: share.map((one) => one * meat_kg * MEAT_J_PER_KGK),
		link_WK,
		share,
	};
}

/** Room for a step's elimination, kept from step to step. */
export interface Scratch {
	readonly ratio: Float64Array;
	readonly carried: Float64Array;
	/** One over each layer's pivot, and heat it holds for a step, W/K. */
	readonly inverse: Float64Array;
	readonly hold_WK: Float64Array;
	/** Seconds of the step that they are for; 0 when a capacity has changed since. */
	seconds: number;
}

export function scratchFor({ C }: MeatHeat): Scratch {
	const empty = () => new Float64Array(C.length);
	return { ratio: empty(), carried: empty(), inverse: empty(), hold_WK: empty(), seconds: 0 };
}

/**
 * First half of a step: eliminates the layers from the middle out, until the surface layer is
 * known but for the liquid: T_surface = carried + ratio × T_liquid (the last entries).
 */
export function eliminate(meat: MeatHeat, seconds: number, scratch: Scratch): void {
	if (scratch.seconds !== seconds) pivots(meat, seconds, scratch);
	const { C, link_WK } = meat;
	const { carried, inverse, hold_WK } = scratch;
	let inner_W = 0;
	for (let layer = 0; layer < C.length; layer += 1) {
		const now = ((hold_WK[layer] as number) * (C[layer] as number) + inner_W) * (inverse[layer] as number);
		carried[layer] = now;
		inner_W = (link_WK[layer] as number) * now;
	}
}

/** What the elimination divides by: the same from step to step while no layer's capacity changes. */
function pivots({ capacity_JK, link_WK }: MeatHeat, seconds: number, scratch: Scratch): void {
	const { ratio, inverse, hold_WK } = scratch;
	let inner_WK = 0;
	for (let layer = 0; layer < ratio.length; layer += 1) {
		const outer = link_WK[layer] as number;
		hold_WK[layer] = (capacity_JK[layer] as number) / seconds;
		inverse[layer] = 1 / ((hold_WK[layer] as number) + outer + inner_WK);
		ratio[layer] = outer * (inverse[layer] as number);
		inner_WK = outer * (1 - (ratio[layer] as number));
	}
	scratch.seconds = seconds;
}

/** Second half: with the liquid's new temperature, every layer's from the surface in. */
export function substitute(meat: MeatHeat, liquid_C: number, { ratio, carried }: Scratch): void {
	let outside = liquid_C;
	for (let layer = meat.C.length - 1; layer >= 0; layer -= 1) {
		outside = (carried[layer] as number) + (ratio[layer] as number) * outside;
		meat.C[layer] = outside;
	}
}
