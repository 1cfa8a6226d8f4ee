import { quantileSorted } from "simple-statistics";
import type { Range } from "../quantity/index.ts";
import { normal, seeded } from "../random/index.ts";
import type { BraiseGiven } from "./BraiseGiven.ts";
import { CUT_SPREAD, HEAT_SPREAD_C, LONGEST_MIN, THICKNESS_SPREAD } from "./braise.ts";
import { CALIBRATED } from "./calibrated.ts";
import { RANGE_END } from "./confidence.ts";
import { simulate } from "./simulate.ts";

/**
 * The range to fork-tender by drawing thickness, oven and animal at random many times: slower
 * than by sensitivities, and what those are checked against.
 *
 * @param samples how many are drawn
 * @param seed    the same range for the same seed
 */
export function sampledRange(given: BraiseGiven, samples: number, seed: number): Range {
	const random = seeded(seed);
	const draw = () => normal(random) / RANGE_END;
	const minutes = Array.from({ length: samples }, () => {
		const thickness_mm = given.thickness_mm * (1 + THICKNESS_SPREAD) ** draw();
		const toughness = (1 + CUT_SPREAD) ** draw();
		return minutesOf({ ...given, thickness_mm, heat: strayed(given.heat, draw()) }, toughness);
	}).sort((a, b) => a - b);
	return {
		low: quantileSorted(minutes, 0.1),
		likely: quantileSorted(minutes, 0.5),
		high: quantileSorted(minutes, 0.9),
	};
}

function strayed(heat: BraiseGiven["heat"], by: number): BraiseGiven["heat"] {
	return "set_C" in heat ? { ...heat, set_C: heat.set_C + HEAT_SPREAD_C[heat.kind] * by } : heat;
}

function minutesOf(given: BraiseGiven, toughness: number): number {
	const until = CALIBRATED.marks.forkTender * toughness;
	const run = simulate(given, { minutes: LONGEST_MIN, until, every_min: Number.POSITIVE_INFINITY });
	return run.reached(until) ?? LONGEST_MIN;
}
