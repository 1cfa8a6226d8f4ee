import { type Equipment, heatsItself, saucePotsOf, type Vessel } from "../kitchen/index.ts";
import { litresAMinute } from "../liquid/index.ts";
import { depthOf, floorArea, volumeBelow } from "../pans/index.ts";
import { wholeUp } from "../quantity/index.ts";
import { BURNERS_A_COOK } from "../sear/index.ts";

/** How full a pot may be in which something boils down, as a share of its depth. General practice. */
export const POT_FULL = 0.75;
/** Finished sauce that stands lower than this in its pot catches, mm. @see model, section G */
export const LEAST_DEPTH_MM = 25;

/** The pots a sauce is finished in: so many alike side by side, filled so often. */
export interface PotsTaken {
	readonly vessel: Vessel;
	readonly count: number;
	readonly goes: number;
	readonly floor_m2: number;
	readonly power_kW: number;
	/** How high the finished sauce stands, mm. */
	readonly depth_mm: number;
}

/**
 * The kitchen's own pots for a sauce: deep enough that it does not catch, in the fewest fillings,
 * quick enough that the meat does not wait, the fewest pots, then the quickest. Where none is
 * narrow enough, the one in which it stands highest.
 *
 * @param from_l   what is taken
 * @param wanted_l what it is to come to
 * @param most_min the longest it should take
 * @returns null when the kitchen has nothing to put it in
 */
export function saucePot(
	from_l: number,
	wanted_l: number,
	most_min: number,
	equipment: Equipment,
	hands: number,
): PotsTaken | null {
	const ways = saucePotsOf(equipment).flatMap((vessel) =>
		waysWith(vessel, from_l, wanted_l, equipment, hands),
	);
	const deep = ways.filter(({ depth_mm }) => depth_mm >= LEAST_DEPTH_MM);
	if (deep.length === 0) return ways.sort((a, b) => b.depth_mm - a.depth_mm)[0] ?? null;
	const minutes = (way: PotsTaken) => (from_l - wanted_l) / litresAMinute(way);
	const tooLong = (way: PotsTaken) => (minutes(way) > most_min ? 1 : 0);
	return (
		deep.sort(
			(a, b) => a.goes - b.goes || tooLong(a) - tooLong(b) || a.count - b.count || minutes(a) - minutes(b),
		)[0] ?? null
	);
}

function waysWith(
	vessel: Vessel,
	from_l: number,
	wanted_l: number,
	{ burners, hobPower_kW }: Equipment,
	hands: number,
): PotsTaken[] {
	const { shape, stock } = vessel;
	const own = heatsItself(vessel);
	const floor_m2 = floorArea(shape) / 1e6;
	const holds_l = volumeBelow(shape, depthOf(shape) * POT_FULL);
	const most = own ? stock : Math.min(stock, burners, hands * BURNERS_A_COOK);
	return Array.from({ length: most }, (_, index) => {
		const count = index + 1;
		const goes = Math.max(1, wholeUp(Math.max(from_l, wanted_l) / (holds_l * count)));
		const depth_mm = wanted_l / (floor_m2 * count * goes);
		return { vessel, count, goes, floor_m2, power_kW: own ? vessel.heat_kW : hobPower_kW, depth_mm };
	});
}
