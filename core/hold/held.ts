import { CALIBRATED, CUT_SPREAD, softeningRate } from "../braise/index.ts";
import { STEAM_J_PER_KG, steamFlow, steamFrom, usualHumidity } from "../heat/index.ts";
import type { Range } from "../quantity/index.ts";
import type { Lid } from "../trade/index.ts";

/** Nobody holds food hot for longer, minutes: a day. */
const LONGEST_MIN = 1440;

/**
 * Minutes that meat may be held hot before it is softer than a plate wants it: until it shreds. All
 * of it is as warm as it is held, so each layer softens alike and the probe feels their sum.
 *
 * @param soft   how soft it is when it is lifted; 1 is fork-tender
 * @param factor how fast its cut softens
 * @returns with the spread of animals and cuts; 0 where it shreds already
 * @see model, sections E and H
 */
export function sensibleMinutes(soft: number, factor: number, held_C: number): Range {
	const left = CALIBRATED.marks.shredding - soft;
	const minutes = (times: number) =>
		Math.min(LONGEST_MIN, Math.max(0, left / (factor * times * softeningRate(held_C))));
	return { low: minutes(1 + CUT_SPREAD), likely: minutes(1), high: minutes(1 / (1 + CUT_SPREAD)) };
}

/** Water that leaves a pan held hot under its cover into the dry air of a warmer, litres an hour. */
export function dryness_l_per_h(held_C: number, surface_m2: number, lid: Lid, altitude_m = 0): number {
	const flow = steamFlow(usualHumidity("hob"), altitude_m);
	return (steamFrom(flow, held_C, surface_m2, "stillOven", lid).now_W / STEAM_J_PER_KG) * 3600;
}
