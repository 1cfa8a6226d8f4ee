import { cumulativeStdNormalProbability, probit } from "simple-statistics";
import type { Range } from "../quantity/index.ts";

/** Share of days on which a dish has to be tender by the time it is lifted. House setting. */
export const USUAL_CONFIDENCE = 0.9;

/** A range is what eight days in ten fall into: one in ten comes after its end. */
export const RANGE_END = probit(0.9);

/**
 * Minutes after which it is tender on so many days out of all. The slow side of the range is
 * taken as log-normal, so its own end answers nine in ten.
 *
 * @param confidence above 0.5 and below 1
 * @see model, section E
 */
export function minutesToBeSure({ likely, high }: Range, confidence: number): number {
	return likely * (high / likely) ** (probit(confidence) / RANGE_END);
}

/** What is still to come when it is not tender yet. */
export interface StillToGo {
	/** Minutes more after which half of such days, and nine in ten of them, are there. */
	readonly likely_min: number;
	readonly high_min: number;
}

/**
 * A pan that was felt and still pulls: what that says of the rest of the day.
 *
 * @param felt_min minutes since the oven door at which it was felt
 */
export function stillToGo({ likely, high }: Range, felt_min: number): StillToGo {
	const spread = Math.log(high / likely) / RANGE_END;
	if (spread <= 0)
		return { likely_min: Math.max(0, likely - felt_min), high_min: Math.max(0, likely - felt_min) };
	const gone = cumulativeStdNormalProbability(Math.log(felt_min / likely) / spread);
	const at = (share: number) => likely * Math.exp(spread * probit(gone + (1 - gone) * share)) - felt_min;
	return { likely_min: Math.max(0, at(0.5)), high_min: Math.max(0, at(0.9)) };
}
