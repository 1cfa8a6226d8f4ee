import { CALIBRATED, cutFactor } from "../braise/index.ts";
import { dryness_l_per_h, sensibleMinutes } from "../hold/index.ts";
import type { HousePolicy } from "../kitchen/index.ts";
import { areaOf, insideAt, type PanChoice } from "../pans/index.ts";
import type { Range } from "../quantity/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { coveredBy } from "../trade/index.ts";
import type { PlanBraise } from "./planBraise.ts";

/** How a dish keeps while it is held hot. */
export interface PlanHold {
	/** How warm it is held: above the house code's least, °C. */
	readonly held_C: number;
	/** Minutes from when it is lifted tender until it shreds: no plate is sensible later. */
	readonly sensible_min: Range;
	/** Water that all its pans lose, covered, litres an hour. */
	readonly dries_l_per_h: number;
	/** One pan is opened after the other, so that the last plate is like the first: every so many minutes. */
	readonly everyPan_min: number;
}

/** Held so much above the house code's least, and no cooler than this, °C: a lid is opened now and then. General practice. */
const ABOVE_C = 5;
const LEAST_C = 68;

/**
 * How long a dish may sensibly wait hot between its lift and the last plate, and what it loses. Pans
 * are looked at and lifted when they are tender, so that is where it begins.
 *
 * @returns null where it has no pan
 */
export function planHold(
	recipe: Recipe,
	braise: PlanBraise | null,
	pans: PanChoice,
	policy: HousePolicy,
	plating_min: number,
): PlanHold | null {
	const last = pans.pans.filter(({ go }) => go === pans.goes);
	if (!braise || last.length === 0) return null;
	const held_C = Math.max(LEAST_C, policy.code.holdHot_C + ABOVE_C);
	const surface_m2 = last.reduce((sum, pan) => sum + areaOf(insideAt(pan.type.shape, pan.line_mm)) / 1e6, 0);
	return {
		held_C,
		sensible_min: sensibleMinutes(CALIBRATED.marks.forkTender, cutFactor(recipe.cut), held_C),
		dries_l_per_h: dryness_l_per_h(held_C, surface_m2, coveredBy(recipe.braise.lid), policy.altitude_m),
		everyPan_min: plating_min / last.length,
	};
}
