import { FOOD_KG_PER_M3 } from "../heat/index.ts";
import { memoise } from "../memoise/index.ts";
import { crossing } from "../quantity/index.ts";
import { minutesTo } from "./chill.ts";

/** What the plate of a blast chiller is measured with: so many kilos in open pans, from hot to cold in its minutes. */
const PLATE = { depth_mm: 50, from_C: 90, to_C: 3, within_min: 90 } as const;

/** No wind cools better, W/m²K; one that would have to is not as its plate says. */
const LEAST_W_PER_M2K = 20;
const MOST_W_PER_M2K = 400;
const FOUND_W_PER_M2K = 0.1;

/** A chiller as its plate says. */
export interface RatedChiller {
	/** Into its air, W/m²K. */
	readonly film_W_per_M2K: number;
	/** That it takes away at the most, W. */
	readonly power_W: number;
}

const films = memoise<number, { readonly film: number | null }>(50);

/**
 * A blast chiller by its plate: the wind in which its own load is cold in time even where heat moves badly
 * through the food, and the power that this load needs.
 *
 * @param air_C    how cold its air is
 * @param rated_kg that it cools in 90 min from 90 to 3 °C, 50 mm deep in open pans
 * @returns null where no wind of such air could
 */
export function ratedChiller(air_C: number, rated_kg: number): RatedChiller | null {
	const { film } = films(air_C, () => ({ film: filmFor(air_C) }));
	if (film === null) return null;
	const area_m2 = rated_kg / FOOD_KG_PER_M3 / (PLATE.depth_mm / 1000);
	return { film_W_per_M2K: film, power_W: powerFor(film, air_C, area_m2) };
}

/**
 * A machine takes away so much of what its load would give off in its first moment, into air as cold as it is
 * set: for its first minutes its air is warmer. General practice.
 */
const OF_FIRST_MOMENT = 0.4;

function powerFor(film_W_per_M2K: number, air_C: number, area_m2: number): number {
	return OF_FIRST_MOMENT * 2 * film_W_per_M2K * (PLATE.from_C - air_C) * area_m2;
}

function filmFor(air_C: number): number | null {
	const minutes = (film_W_per_M2K: number) => {
		const { depth_mm, from_C: start_C, to_C } = PLATE;
		const load = { depth_mm, start_C, medium: "blast", medium_C: air_C, consistency: "stew" } as const;
		const chiller = { power_W: powerFor(film_W_per_M2K, air_C, 1), area_m2: 1 };
		return minutesTo({ ...load, film_W_per_M2K, chiller }, [to_C], "low")[0] ?? Number.POSITIVE_INFINITY;
	};
	// Half a minute in hand: steps are that long.
	const early_min = (film: number) => PLATE.within_min - IN_HAND_MIN - minutes(film);
	if (early_min(MOST_W_PER_M2K) < 0) return null;
	if (early_min(LEAST_W_PER_M2K) >= 0) return LEAST_W_PER_M2K;
	return crossing(early_min, 0, LEAST_W_PER_M2K, MOST_W_PER_M2K, FOUND_W_PER_M2K);
}

const IN_HAND_MIN = 0.5;
