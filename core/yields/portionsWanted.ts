import { add, figure, multiply, type Working, wholeUp, working } from "../workings/index.ts";
import type { Demand } from "./yieldChain.ts";

type Wanted = Demand & { readonly perGuest?: number };

/**
 * Portions to cook for a sitting.
 *
 * @param perGuest portions that a guest takes on average
 * @returns whole portions, covers × uptake × portions a guest × (1 + spare), rounded up
 * @example portionsWanted({ covers: 180, uptake: 0.62, spare: 0.05 }) // 118
 * @see model, section A
 */
export function portionsWanted(demand: Wanted): number {
	return wantedWorking(demand).result.value;
}

/** The same with its sum. */
export function wantedWorking({ covers, uptake = 1, spare = 0, perGuest = 1 }: Wanted): Working {
	const sum = multiply(
		figure(covers, "count", "covers"),
		figure(uptake, "share", "takingIt"),
		...(perGuest === 1 ? [] : [figure(perGuest, "number", "portionsAGuest")]),
		add(figure(1, "number"), figure(spare, "share", "spare")),
	);
	return working("portionsWanted", wholeUp(sum), "count");
}
