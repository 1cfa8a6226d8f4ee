import { quantileSorted } from "simple-statistics";
import { COUPLING_SPREAD, HEAT_SPREAD_C, thicker } from "../heat/index.ts";
import type { Range } from "../quantity/index.ts";
import { normal, seeded } from "../random/index.ts";
import type { BraiseGiven } from "./BraiseGiven.ts";
import { CUT_SPREAD, LEAK_SPREAD, LONGEST_MIN, modelSpreadOf, THICKNESS_SPREAD } from "./braise.ts";
import { reached } from "./Course.ts";
import { CALIBRATED } from "./calibrated.ts";
import { RANGE_END } from "./confidence.ts";
import { simulate } from "./simulate.ts";

/**
 * The range to fork-tender by drawing thickness, oven, animal, pan, lid and the model's own error
 * at random many times: slower than by sensitivities, and what those are checked against.
 *
 * @param samples how many are drawn
 * @param seed    the same range for the same seed
 */
export function sampledRange(given: BraiseGiven, samples: number, seed: number): Range {
	const random = seeded(seed);
	const draw = () => normal(random) / RANGE_END;
	const model = modelSpreadOf(given);
	const minutes = Array.from({ length: samples }, () => {
		const sides = thicker(given.sides, (1 + THICKNESS_SPREAD) ** draw());
		const toughness = (1 + CUT_SPREAD) ** draw();
		const heat = strayed(given.heat, draw());
		const coupling = (given.coupling ?? 1) * (1 + COUPLING_SPREAD) ** draw();
		const leak = (given.leak ?? 1) * LEAK_SPREAD ** draw();
		return minutesOf({ ...given, sides, heat, coupling, leak }, toughness) * Math.exp(model * normal(random));
	}).sort((a, b) => a - b);
	return {
		low: quantileSorted(minutes, 0.1),
		likely: quantileSorted(minutes, 0.5),
		high: quantileSorted(minutes, 0.9),
	};
}

function strayed(heat: BraiseGiven["heat"], by: number): BraiseGiven["heat"] {
	const more_K = HEAT_SPREAD_C[heat.kind] * by;
	return heat.kind === "hob" ? { ...heat, off_K: more_K } : { ...heat, set_C: heat.set_C + more_K };
}

function minutesOf(given: BraiseGiven, toughness: number): number {
	const until = CALIBRATED.marks.forkTender * toughness;
	const run = simulate(given, { minutes: LONGEST_MIN, until, every_min: Number.POSITIVE_INFINITY });
	return reached(run, until) ?? LONGEST_MIN;
}
