import { wholeUp } from "../quantity/index.ts";
import type { Demand } from "./yieldChain.ts";

/**
 * Portions to cook for a sitting.
 *
 * @param perGuest portions that a guest takes on average
 * @returns whole portions, covers × uptake × portions a guest × (1 + spare), rounded up
 * @example portionsWanted({ covers: 180, uptake: 0.62, spare: 0.05 }) // 118
 * @see model, section A
 */
export function portionsWanted({
	covers,
	uptake = 1,
	spare = 0,
	perGuest = 1,
}: Demand & { readonly perGuest?: number }): number {
	return wholeUp(covers * uptake * perGuest * (1 + spare));
}
