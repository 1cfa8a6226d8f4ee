import { areaOf, depthOf, insideAt } from "../pans/index.ts";
import type { BraiseGiven } from "./BraiseGiven.ts";
import { pointAt } from "./braiseCurve.ts";
import { likelyMinutes } from "./likelyMinutes.ts";
import type { PanThrough } from "./panThrough.ts";

/** What the model says to three old claims, for one pan. */
export interface OldClaims {
	/** Share of the meat that has run out as juice by fork-tender, seared or not. */
	readonly juiceShare: number;
	/** The centre, when two thirds of the time have gone and when it is tender, °C. */
	readonly core: { readonly at_min: number; readonly then_C: number; readonly tender_C: number };
	/** Twice the portions: in twice the pans, and in one pan of twice the floor, minutes. */
	readonly doubled: {
		readonly now_min: number;
		readonly morePans_min: number;
		readonly widerPan_min: number;
	};
}

const TWO_THIRDS = 2 / 3;

/** @returns null for a pan that is never tender */
export function oldClaimsOf({ given, curve, tender_min, story }: PanThrough): OldClaims | null {
	if (!tender_min || !story) return null;
	const now_min = tender_min.likely;
	const at_min = now_min * TWO_THIRDS;
	const then_C = curve.core_C[pointAt(curve, at_min)];
	return {
		juiceShare: story.juice_l / given.meat_kg,
		core: { at_min, then_C: then_C ?? story.atTender_C, tender_C: story.atTender_C },
		doubled: {
			now_min,
			morePans_min: likelyMinutes(inTwicePans(given)),
			widerPan_min: likelyMinutes(inTwiceTheFloor(given)),
		},
	};
}

function inTwicePans(given: BraiseGiven): BraiseGiven {
	const { oven } = given;
	return oven ? { ...given, oven: { ...oven, pans: oven.pans * 2 } } : given;
}

/** Twice of everything in a square-sided pan of twice the floor. */
function inTwiceTheFloor(given: BraiseGiven): BraiseGiven {
	const { pan, vegetables_kg = 0 } = given;
	const side_mm = Math.sqrt(areaOf(insideAt(pan, depthOf(pan) / 2)));
	return {
		...given,
		meat_kg: given.meat_kg * 2,
		liquid_l: given.liquid_l * 2,
		vegetables_kg: vegetables_kg * 2,
		pan: { box: { length_mm: side_mm * 2, width_mm: side_mm, depth_mm: depthOf(pan) } },
	};
}
