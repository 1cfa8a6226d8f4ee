import { FOOD_KG_PER_M3, SET_W_PER_MK } from "../heat/index.ts";
import type { Range } from "../quantity/index.ts";
import { FILM_W_PER_M2K, ICE_J_PER_KG } from "./constants.ts";

/** Three quarters of a stew are water, and not all of it was frozen. General practice. */
const FROZEN_SHARE = 0.7;
/** To warm it from the freezer to where it thaws, and a little beyond, on top of what melts. */
const AND_WARMED = 1.2;
/** Where it thaws: its salt and gelatin lower it a little, °C. */
const THAWS_C = -1;
const MINUTE_S = 60;

/**
 * Minutes in which food of one depth thaws in still cold air from both faces, after Plank:
 * t = ρ L / (T − T_f) · (d / 2h + d² / 8k), with the films of still air at both ends.
 *
 * @param depth_mm of the food
 * @param air_C    of the cold room
 * @returns null where it never thaws in there
 */
export function thawMinutes(depth_mm: number, air_C: number): Range | null {
	const above_K = air_C - THAWS_C;
	if (above_K <= 0) return null;
	const depth_m = depth_mm / 1000;
	const heat_J_per_m3 = FOOD_KG_PER_M3 * FROZEN_SHARE * ICE_J_PER_KG * AND_WARMED;
	const minutes = (film: number, k: number) =>
		((heat_J_per_m3 / above_K) * (depth_m / (2 * film) + depth_m ** 2 / (8 * k))) / MINUTE_S;
	const { walkIn } = FILM_W_PER_M2K;
	const { stew } = SET_W_PER_MK;
	return {
		low: minutes(walkIn.high, stew.high),
		likely: minutes(walkIn.likely, stew.likely),
		high: minutes(walkIn.low, stew.low),
	};
}
