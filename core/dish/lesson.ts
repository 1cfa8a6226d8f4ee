import { likelyMinutes, storyOf } from "../braise/index.ts";
import { thicker } from "../heat/index.ts";
import type { Plan } from "./Plan.ts";
import { searTaken } from "./planColour.ts";

/** A usual mistake with this dish, in the dish's own figures. */
export type LessonMistake =
	/** So many more in a load than let the steam out. */
	| { readonly code: "crowded"; readonly perLoad: number; readonly loads: number }
	/** Salted to taste before it is boiled down, %: then, and after it. */
	| { readonly code: "saltedEarly"; readonly before_pct: number; readonly after_pct: number }
	/** A piece half as thick again as the others: minutes of these, and of that one. */
	| { readonly code: "unequal"; readonly minutes: number; readonly thicker_min: number }
	/** Taken for done by its temperature: what the middle is half way and when it is tender, °C, and what is softened then. */
	| {
			readonly code: "byTemperature";
			readonly halfWay_min: number;
			readonly halfWay_C: number;
			readonly tender_C: number;
			readonly softenedAfter: number;
			readonly core_C: number;
	  }
	/** Left in: minutes from tender until it falls apart. */
	| { readonly code: "leftIn"; readonly window_min: number }
	/** Poured by eye to the top of the pieces: litres then, and what the dish wants. */
	| { readonly code: "tooMuchLiquid"; readonly most_l: number; readonly wanted_l: number }
	/** Raw weight taken for cooked weight: portions short. */
	| {
			readonly code: "rawForCooked";
			readonly raw_kg: number;
			readonly cooked_kg: number;
			readonly short: number;
	  };

/** Half as thick again: seen at once beside the others, and missed in a heap. */
const THICKER = 1.5;
/** What takes so little longer is no mistake, minutes. */
const HARDLY_LONGER_MIN = 5;
/** Poured to so much more than is wanted it is worth a word, a share. */
const MUCH_MORE = 1.25;
/** Fewer loads than this crowd nothing. */
const FEW_LOADS = 2;

/** What goes wrong with this dish, the first in the order of work first; each in the plan's own figures. */
export function mistakesOf(plan: Plan): LessonMistake[] {
	return [...weighed(plan), ...seared(plan), ...poured(plan), ...braised(plan), ...salted(plan)];
}

function weighed({ chain, recipe }: Plan): LessonMistake[] {
	if (!("portion_g" in recipe.portion)) return [];
	const wanted_kg = chain.cooked_kg;
	const made_kg = wanted_kg * (chain.cooked_kg / chain.asPurchased_kg);
	const short = chain.portions - Math.floor((made_kg * 1000) / recipe.portion.portion_g);
	return [{ code: "rawForCooked", raw_kg: chain.asPurchased_kg, cooked_kg: chain.cooked_kg, short }];
}

function seared({ colour }: Plan): LessonMistake[] {
	const pan = colour && searTaken(colour);
	return pan && pan.loads >= FEW_LOADS ? [{ code: "crowded", perLoad: pan.perLoad, loads: pan.loads }] : [];
}

function poured({ pour }: Plan): LessonMistake[] {
	if (!pour || pour.most_l <= pour.poured_l * MUCH_MORE) return [];
	return [{ code: "tooMuchLiquid", most_l: pour.most_l, wanted_l: pour.poured_l }];
}

function braised({ braise }: Plan): LessonMistake[] {
	if (!braise) return [];
	const { given, braised: found } = braise.slowest;
	const minutes = likelyMinutes(given);
	const thicker_min = likelyMinutes({ ...given, sides: thicker(given.sides, THICKER) });
	const story = storyOf(given, found);
	const { forkTender, fallingApart } = found.marks;
	return [
		...(thicker_min - minutes > HARDLY_LONGER_MIN
			? [{ code: "unequal" as const, minutes, thicker_min }]
			: []),
		...(story
			? [
					{
						code: "byTemperature" as const,
						halfWay_min: minutes / 2,
						halfWay_C: story.halfWay_C,
						tender_C: story.atTender_C,
						softenedAfter: story.softenedAfter,
						core_C: story.core_C,
					},
				]
			: []),
		...(forkTender && fallingApart
			? [{ code: "leftIn" as const, window_min: fallingApart.likely - forkTender.likely }]
			: []),
	];
}

function salted({ sauce, salt_pct }: Plan): LessonMistake[] {
	if (!sauce || salt_pct === null || sauce.reduceBy <= 0) return [];
	return [{ code: "saltedEarly", before_pct: salt_pct, after_pct: salt_pct / (1 - sauce.reduceBy) }];
}
