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

/**
 * Minutes in which it doubles at its best, in meat that cools. Set by slow coolings of cooked beef: from
 * 54.4 to 7.2 °C in 15 h it grew by about one power of ten at most, and by one at most from 54.4 to
 * 26.7 °C in an hour and a half and to 4.4 in five more. What is said is never much less, and may be more.
 */
const DOUBLES_MIN = { low: 18, likely: 14, high: 10 } as const;
/** Minutes at its best that spores take before they grow as quickly as they can: they begin gradually. */
const LAGS_MIN = { low: 90, likely: 50, high: 30 } as const;
/** It grows by so many powers of ten at the most: then it has used up what it lives on. */
const MOST_POWERS = 6;

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
 * @param series minutes and °C at one point of the food, in order
 */
export function growthAlong(series: readonly (readonly [number, number])[]): Growth {
	// Time counts as so many minutes at its best.
	let atBest_min = 0;
	for (let index = 1; index < series.length; index += 1) {
		const [from, from_C] = series[index - 1] as readonly [number, number];
		const [to, to_C] = series[index] as readonly [number, number];
		atBest_min += (to - from) * shareAlong(from_C, to_C);
	}
	return growthAfter(atBest_min);
}

/** Readings may lie hours apart: their line is walked in steps of so much, K. */
const STEP_K = 1;

function shareAlong(from_C: number, to_C: number): number {
	const steps = Math.max(1, Math.ceil(Math.abs(to_C - from_C) / STEP_K));
	const step_K = (to_C - from_C) / steps;
	let sum = 0;
	for (let step = 0; step < steps; step += 1)
		sum += meanShare(from_C + step * step_K, from_C + (step + 1) * step_K);
	return sum / steps;
}

/** How much it may grow in so many minutes at its best: hardly at first, then steadily, then no more. */
export function growthAfter(atBest_min: number): Growth {
	return {
		low: grown("low", atBest_min),
		likely: grown("likely", atBest_min),
		high: grown("high", atBest_min),
	};
}

/** Growth with a gradual lag and a plateau (Baranyi & Roberts 1994). */
function grown(which: Case, atBest_min: number): number {
	const rate = Math.LN2 / DOUBLES_MIN[which];
	const begun = Math.exp(-rate * LAGS_MIN[which]);
	const growing = Math.exp(-rate * atBest_min);
	const grows_min = atBest_min + Math.log(growing + begun - growing * begun) / rate;
	const free = (rate * Math.max(0, grows_min)) / Math.LN10;
	return free - Math.log10(1 + (10 ** free - 1) / 10 ** MOST_POWERS);
}

/** The mean of `growthShare` along a straight line, by Simpson's rule: lines are short. */
export function meanShare(from_C: number, to_C: number): number {
	return (growthShare(from_C) + 4 * growthShare((from_C + to_C) / 2) + growthShare(to_C)) / 6;
}
