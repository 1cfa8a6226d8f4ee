import { boneVolume, type HeatBody } from "./body.ts";
import {
	BONE_J_PER_KGK,
	BONE_W_PER_MK,
	LIQUID_FILM_W_PER_M2K,
	MEAT_J_PER_KGK,
	MEAT_KG_PER_M3,
	MEAT_W_PER_MK,
} from "./constants.ts";

/** Layers of meat from the bone, or the middle, to the surface. */
export const LAYERS = 16;

/** Layers of a bone that is large enough to be told apart. */
const BONE_LAYERS = 4;

/** A bone thinner than this share of the way to the middle is not told apart. */
const LEAST_CORE = 0.02;

/**
 * All pieces of a pan as one: layers from the middle out, each with its temperature. Heat moves
 * by conduction between layers and through a film at the surface; a step is solved backwards in
 * time together with the liquid, so that no length of step makes it unstable.
 */
export interface PieceHeat {
	/** Temperature of each layer, the middle first, °C. */
	readonly C: Float64Array;
	/** Heat that each layer takes for a degree, J/K, all pieces together. */
	readonly capacity_JK: Float64Array;
	/** From each layer to the next one out, W/K; the last one to the liquid. */
	readonly link_WK: Float64Array;
	/** Share of the meat in each layer; none in those of bone. */
	readonly share: Float64Array;
	/** The first layer that is meat. */
	readonly meatFrom: number;
}

export interface PieceOfMeat {
	readonly body: HeatBody;
	/** Meat with its bone, kg, all pieces together. */
	readonly weight_kg: number;
	/** Bone as a share of the weight. */
	readonly boneShare?: number;
	readonly start_C: number;
}

/**
 * Meat at rest. Bone lies in the middle of a bar or a ball; in a slice it lies beside the meat
 * and only takes up heat with it, and between the two it is shared out by the exponent.
 *
 * @param film_W_per_M2K at the surface
 * @param layers         of the meat
 * @see model, section E
 */
export function pieceHeat(
	{ body, weight_kg, boneShare = 0, start_C }: PieceOfMeat,
	film_W_per_M2K = LIQUID_FILM_W_PER_M2K,
	layers = LAYERS,
): PieceHeat {
	const { exponent } = body;
	const reach_m = body.thickness_mm / 2000;
	const core = (boneVolume(boneShare) * Math.min(1, exponent)) ** (1 / (exponent + 1));
	const hasCore = core >= LEAST_CORE;
	const bounds = hasCore
		? [...evenly(0, core, BONE_LAYERS), ...evenly(core, 1, layers).slice(1)]
		: evenly(0, 1, layers);
	const meatFrom = hasCore ? BONE_LAYERS : 0;
	const inside = bounds.slice(1).map((outer, layer) => {
		const inner = bounds[layer] as number;
		return outer ** (exponent + 1) - inner ** (exponent + 1);
	});
	const inCore = hasCore ? core ** (exponent + 1) : 0;
	const meatVolume = 1 - inCore;
	// Heat of bone and of meat, with the bone that lies beside the meat shared out over it.
	const bone_JK = weight_kg * boneShare * BONE_J_PER_KGK;
	const meat_JK = weight_kg * (1 - boneShare) * MEAT_J_PER_KGK;
	const beside = inCore > 0 ? 1 - inCore / boneVolume(boneShare) : 1;
	const volume_m3 = volumeOf(weight_kg, boneShare);
	const surface_m2 = ((exponent + 1) * volume_m3) / reach_m;
	const faceAt = (radius: number) => surface_m2 * radius ** exponent;
	const conductivity = (layer: number) => (layer < meatFrom ? BONE_W_PER_MK : MEAT_W_PER_MK);
	const half_m = (layer: number) =>
		(((bounds[layer + 1] as number) - (bounds[layer] as number)) * reach_m) / 2;
	const resistance = (layer: number) => half_m(layer) / conductivity(layer);
	const last = inside.length - 1;
	return {
		C: new Float64Array(inside.length).fill(start_C),
		capacity_JK: Float64Array.from(inside, (volume, layer) =>
			layer < meatFrom
				? (bone_JK * (1 - beside) * volume) / inCore
				: ((meat_JK + bone_JK * beside) * volume) / meatVolume,
		),
		link_WK: Float64Array.from(inside, (_, layer) => {
			const face_m2 = faceAt(bounds[layer + 1] as number);
			const outside = layer < last ? resistance(layer + 1) : 1 / film_W_per_M2K;
			return face_m2 / (resistance(layer) + outside);
		}),
		share: Float64Array.from(inside, (volume, layer) => (layer < meatFrom ? 0 : volume / meatVolume)),
		meatFrom,
	};
}

/** Volume of meat and bone together, m³. */
function volumeOf(weight_kg: number, boneShare: number): number {
	const meat_m3 = (weight_kg * (1 - boneShare)) / MEAT_KG_PER_M3;
	return boneShare === 0 ? meat_m3 : meat_m3 / (1 - boneVolume(boneShare));
}

/** Bounds of so many equal steps, both ends included. */
function evenly(from: number, to: number, steps: number): number[] {
	return Array.from({ length: steps + 1 }, (_, step) => from + ((to - from) * step) / steps);
}

/** Room for a step's elimination, reused from step to step. */
export interface Scratch {
	readonly ratio: Float64Array;
	readonly carried: Float64Array;
	/** One over each layer's pivot, and heat it holds for a step, W/K. */
	readonly inverse: Float64Array;
	readonly hold_WK: Float64Array;
	/** Seconds of the step that they are for; 0 when a capacity has changed since. */
	seconds: number;
}

export function scratchFor({ C }: Pick<PieceHeat, "C">): Scratch {
	const empty = () => new Float64Array(C.length);
	return { ratio: empty(), carried: empty(), inverse: empty(), hold_WK: empty(), seconds: 0 };
}

/**
 * First half of a step: eliminates the layers from the middle out, until the surface layer is
 * known but for the liquid: T_surface = carried + ratio × T_liquid (the last entries).
 */
export function eliminate(piece: PieceHeat, seconds: number, scratch: Scratch): void {
	if (scratch.seconds !== seconds) pivots(piece, seconds, scratch);
	const { C, link_WK } = piece;
	const { carried, inverse, hold_WK } = scratch;
	let inner_W = 0;
	for (let layer = 0; layer < C.length; layer += 1) {
		const now = ((hold_WK[layer] as number) * (C[layer] as number) + inner_W) * (inverse[layer] as number);
		carried[layer] = now;
		inner_W = (link_WK[layer] as number) * now;
	}
}

/** What the elimination divides by: the same from step to step while no layer's capacity changes. */
function pivots({ capacity_JK, link_WK }: PieceHeat, seconds: number, scratch: Scratch): void {
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
export function substitute(piece: PieceHeat, liquid_C: number, { ratio, carried }: Scratch): void {
	let outside = liquid_C;
	for (let layer = piece.C.length - 1; layer >= 0; layer -= 1) {
		outside = (carried[layer] as number) + (ratio[layer] as number) * outside;
		piece.C[layer] = outside;
	}
}
