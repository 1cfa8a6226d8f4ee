import { CALIBRATED, cutFactor } from "../braise/index.ts";
import { carriedReach } from "../carry/index.ts";
import { CHILL_FILM_W_PER_M2K, underLid_W_per_M2K } from "../chill/index.ts";
import { dryness_l_per_h, sensibleMinutes } from "../hold/index.ts";
import type { HousePolicy } from "../kitchen/index.ts";
import {
	areaOf,
	type ChosenPan,
	depthOf,
	floorArea,
	insideAt,
	type PanChoice,
	perimeterOf,
} from "../pans/index.ts";
import type { Range } from "../quantity/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { minutesOf, type Reach, type Verdict, verdictKept } from "../safety/index.ts";
import { coveredBy } from "../trade/index.ts";
import type { PlanBraise } from "./planBraise.ts";
import { KITCHEN_C, LIFTED_C } from "./planChill.ts";
import { isMadeAhead } from "./planLiquid.ts";

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
	/** What the house code keeps hot food at, °C. */
	readonly limit_C: number;
	/** Minutes from the lift, or from hot again, until a pan that only stands under its lid is below that. */
	readonly unheated: Readonly<Record<"likely" | "soonest", Reach>>;
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
	const hot_C = isMadeAhead(recipe)
		? policy.code.reheat.core_C
		: Math.min(LIFTED_C, braise.slowest.braised.peakLiquid_C);
	const limit_C = policy.code.holdHot_C;
	const unheated = (film: "likely" | "high"): Reach =>
		// Reheated no hotter than the limit it is warmer round its coldest: how warm in the mean nobody knows.
		isMadeAhead(recipe) && hot_C <= limit_C
			? "notKnown"
			: last.map((pan) => coolsTo(limit_C, hot_C, pan, CHILL_FILM_W_PER_M2K.walkIn[film])).reduce(sooner);
	return {
		held_C,
		limit_C,
		unheated: { likely: unheated("likely"), soonest: unheated("high") },
		sensible_min: sensibleMinutes(CALIBRATED.marks.forkTender, cutFactor(recipe.cut), held_C),
		dries_l_per_h: dryness_l_per_h(held_C, surface_m2, coveredBy(recipe.braise.lid), policy.altitude_m),
		everyPan_min: plating_min / last.length,
	};
}

/** When a pan that stands under its lid in the kitchen comes down to a temperature, in the mean of its food. */
function coolsTo(
	to_C: number,
	start_C: number,
	{ type: { shape }, contents_kg, dip_mm }: ChosenPan,
	film: number,
): Reach {
	const floor = insideAt(shape, 0);
	const wall_mm2 = perimeterOf(floor) * Math.max(0, depthOf(shape) - dip_mm);
	const lid = underLid_W_per_M2K(film);
	const UA_W_per_K = (film * (floorArea(shape) + wall_mm2) + lid * floorArea(shape)) / MM2_PER_M2;
	return carriedReach({ mass_kg: contents_kg, UA_W_per_K, start_C, air_C: KITCHEN_C, to_C });
}

const MM2_PER_M2 = 1e6;

function sooner(a: Reach, b: Reach): Reach {
	return minutesTo(a) <= minutesTo(b) ? a : b;
}

/** Minutes until it is reached; no end where it never is. */
function minutesTo(reach: Reach): number {
	return reach === "never" ? Number.POSITIVE_INFINITY : (minutesOf(reach) ?? 0);
}

/**
 * How food stands to the hot hold of its code until the last plate: held in what keeps it hot by how warm
 * that is, left under its lid by when it is too cold.
 *
 * @param waits_min from the lift to the last plate
 */
export function heldVerdict(
	{ held_C, limit_C, unheated }: PlanHold,
	isHeld: boolean,
	waits_min: number,
): Verdict {
	if (isHeld) return verdictKept({ likely: held_C, low: held_C, high: held_C }, limit_C, true);
	if (unheated.likely === "notKnown") return "notKnown";
	if (minutesTo(unheated.likely) < waits_min) return "missed";
	return minutesTo(unheated.soonest) < waits_min ? "close" : "met";
}
