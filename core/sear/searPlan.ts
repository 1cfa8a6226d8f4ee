import { refuse } from "../check/Refusal.ts";
import { insideAt, type PanShape, type Piece, packLayer, panWords } from "../pans/index.ts";

/** Film of fat under one load, mm, and the density of cooking fat, kg/l. @see model, section D */
export const FILM_MM = 1;
export const FAT_KG_PER_L = 0.92;
/** Gap that lets the steam out, mm. @see model, section D */
export const SEAR_GAP_MM = 15;

export interface SearWay {
	readonly sides: number;
	readonly minutesPerSide: number;
	readonly gap_mm: number;
	/** Minutes until the pan is as hot again after a load. */
	readonly recovery_min: number;
	readonly burners: number;
	readonly film_mm: number;
}

export interface SearPlan {
	readonly perLoad: number;
	readonly loads: number;
	/** Wall minutes from the first piece in to the last recovery. */
	readonly minutes: number;
	/** Fat for all loads, g. */
	readonly fat_g: number;
}

/**
 * Searing in loads on the hob.
 *
 * @param pieces whole pieces to colour
 * @throws {Refusal} naming `piece` when not even one lies in the pan
 * @see model, section D
 */
export function searPlan(pan: PanShape, piece: Piece, pieces: number, way: SearWay): SearPlan {
	const floor = insideAt(pan, 0);
	const perLoad = packLayer(floor, piece, way.gap_mm).length;
	if (perLoad === 0) {
		throw refuse("piece", `lies no way round in the searing pan (${panWords(pan)})`);
	}
	const loads = Math.ceil(pieces / perLoad);
	const rounds = Math.ceil(loads / way.burners);
	const area_mm2 =
		floor.kind === "circle" ? (Math.PI / 4) * floor.diameter_mm ** 2 : floor.length_mm * floor.width_mm;
	return {
		perLoad,
		loads,
		minutes: rounds * (way.sides * way.minutesPerSide + way.recovery_min),
		fat_g: (loads * way.film_mm * area_mm2 * FAT_KG_PER_L) / 1000,
	};
}
