/**
 * Growth of the usual spore-former of cooked meat while it cools, as a caution figure with its range
 * and never as a permission. The form is the cardinal temperature model with inflection (Rosso,
 * Lobry & Flandrois 1993); the cardinal temperatures and generation times are those usually given
 * for Clostridium perfringens in cooked meat.
 */

/** Below the first and above the last it does not grow; it grows quickest at the one between, °C. */
const LEAST_C = 12;
const BEST_C = 44;
const MOST_C = 51;

/** Minutes in which it doubles at its best: seven to thirteen, likely ten. */
const DOUBLES_MIN = { low: 13, likely: 10, high: 7 } as const;
/** Minutes at its best that spores take to germinate before any of them divides. */
const GERMINATES_MIN = { low: 60, likely: 30, high: 0 } as const;

type Case = keyof typeof DOUBLES_MIN;

/** How quickly it grows at a temperature, as a share of its quickest. */
export function growthShare(C: number): number {
	if (C <= LEAST_C || C >= MOST_C) return 0;
	const above = (C - MOST_C) * (C - LEAST_C) ** 2;
	const below =
		(BEST_C - LEAST_C) * ((BEST_C - LEAST_C) * (C - BEST_C) - (BEST_C - MOST_C) * (BEST_C + LEAST_C - 2 * C));
	return Math.max(0, above / below);
}

/** Growth in powers of ten, with its range. */
export interface Growth {
	readonly low: number;
	readonly likely: number;
	readonly high: number;
}

/**
 * How much it may grow along a course of temperatures, straight lines between them.
 *
 * @param series minutes and °C at the warmest point, in order
 */
export function growthAlong(series: readonly (readonly [number, number])[]): Growth {
	// Time counts as so many minutes at its best.
	let atBest_min = 0;
	for (let index = 1; index < series.length; index += 1) {
		const [from, from_C] = series[index - 1] as readonly [number, number];
		const [to, to_C] = series[index] as readonly [number, number];
		atBest_min += (to - from) * meanShare(from_C, to_C);
	}
	const grown = (which: Case) =>
		(Math.max(0, atBest_min - GERMINATES_MIN[which]) / DOUBLES_MIN[which]) * Math.log10(2);
	return { low: grown("low"), likely: grown("likely"), high: grown("high") };
}

/** The mean along a straight line, by Simpson's rule: lines are short. */
function meanShare(from_C: number, to_C: number): number {
	return (growthShare(from_C) + 4 * growthShare((from_C + to_C) / 2) + growthShare(to_C)) / 6;
}
