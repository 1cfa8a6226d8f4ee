import type { BraiseGiven } from "./BraiseGiven.ts";
import { LONGEST_MIN } from "./braise.ts";
import { reached } from "./Course.ts";
import { CALIBRATED } from "./calibrated.ts";
import { simulate } from "./simulate.ts";

/** Minutes from the oven door to fork-tender, likely, without its range; the longest where it never is. */
export function likelyMinutes(given: BraiseGiven): number {
	const until = CALIBRATED.marks.forkTender;
	const run = simulate(given, { minutes: LONGEST_MIN, until, every_min: Number.POSITIVE_INFINITY });
	return reached(run, until) ?? LONGEST_MIN;
}
