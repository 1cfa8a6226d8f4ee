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
}

export function scratchFor({ C }: MeatHeat): Scratch {
	return { ratio: new Float64Array(C.length), carried: new Float64Array(C.length) };
}

/**
 * First half of a step: eliminates the layers from the middle out, until the surface layer is
 * known but for the liquid: T_surface = carried + ratio × T_liquid (the last entries).
 */
export function eliminate(meat: MeatHeat, seconds: number, { ratio, carried }: Scratch): void {
	const { C, capacity_JK, link_WK } = meat;
	for (let layer = 0; layer < C.length; layer += 1) {
		const hold = (capacity_JK[layer] as number) / seconds;
		const inner = layer === 0 ? 0 : (link_WK[layer - 1] as number);
		const outer = link_WK[layer] as number;
		const innerRatio = layer === 0 ? 0 : (ratio[layer - 1] as number);
		const innerCarried = layer === 0 ? 0 : (carried[layer - 1] as number);
		const pivot = hold + outer + inner * (1 - innerRatio);
		ratio[layer] = outer / pivot;
		carried[layer] = (hold * (C[layer] as number) + inner * innerCarried) / pivot;
	}
}

/** Second half: with the liquid's new temperature, every layer's from the surface in. */
export function substitute(meat: MeatHeat, liquid_C: number, { ratio, carried }: Scratch): void {
	let outside = liquid_C;
	for (let layer = meat.C.length - 1; layer >= 0; layer -= 1) {
		outside = (carried[layer] as number) + (ratio[layer] as number) * outside;
		meat.C[layer] = outside;
	}
}
