import { COUPLING_SPREAD, HEAT_SPREAD_C, thicker } from "../heat/index.ts";
import { crossedAt, type Range } from "../quantity/index.ts";
import type { BraiseGiven } from "./BraiseGiven.ts";
import { THICKNESS_SPREAD, warmer } from "./braise.ts";
import { simulate } from "./simulate.ts";

/** Longer than this nobody heats a pan through, minutes. */
const LONGEST_MIN = 8 * 60;

/**
 * How long a pan takes until the middle of its pieces is so hot: cold liquid and cold meat with it.
 * What is not known for certain is tried at both ends, and the effects added as independent ones.
 *
 * @returns null where it is never so hot
 * @see model, sections E and H
 */
export function heatThrough(given: BraiseGiven, core_C: number): Range | null {
	const likely = minutesUntil(given, core_C);
	if (likely === null) return null;
	const { sides, coupling = 1, heat } = given;
	const spread_C = HEAT_SPREAD_C[heat.kind];
	const ends: readonly (readonly [Partial<BraiseGiven>, Partial<BraiseGiven>])[] = [
		[{ sides: thicker(sides, 1 - THICKNESS_SPREAD) }, { sides: thicker(sides, 1 + THICKNESS_SPREAD) }],
		[warmer(given, spread_C), warmer(given, -spread_C)],
		[{ coupling: coupling * (1 + COUPLING_SPREAD) }, { coupling: coupling / (1 + COUPLING_SPREAD) }],
	];
	const off = (end: 0 | 1) =>
		Math.hypot(
			...ends.map((both) =>
				Math.log((minutesUntil({ ...given, ...both[end] }, core_C) ?? LONGEST_MIN) / likely),
			),
		);
	return { low: likely * Math.exp(-off(0)), likely, high: likely * Math.exp(off(1)) };
}

/** The likely minutes alone; null where it is never so hot. */
export function minutesUntil(given: BraiseGiven, core_C: number): number | null {
	const { points } = simulate(given, { minutes: LONGEST_MIN, until: Number.POSITIVE_INFINITY, every_min: 1 });
	const index = points.findIndex((point) => point.core_C >= core_C);
	const [after, before] = [points[index], points[index - 1]];
	if (!after) return null;
	if (!before) return after.minute;
	const { minute, core_C: C } = before;
	return crossedAt({ minute, C }, { minute: after.minute, C: after.core_C }, core_C);
}
