import { sumBy } from "es-toolkit";
import {
	type BraiseGiven,
	heatThrough,
	minutesToBeSure,
	minutesUntil,
	simulate,
	steamAt,
} from "../braise/index.ts";
import type { Kitchen } from "../kitchen/index.ts";
import { memoise } from "../memoise/index.ts";
import type { OvenKind, OvenLoad } from "../ovens/index.ts";
import { type ChosenPan, floorArea } from "../pans/index.ts";
import type { Range } from "../quantity/index.ts";
import { heatOf, isInOven, type Recipe } from "../recipe/index.ts";
import type { MinutesIn } from "../tasks/index.ts";
import type { PlanBraise } from "./planBraise.ts";
import { reheatedIn, reheatingLoads, type Standing } from "./standing.ts";

/** How a dish is made hot again that was made ahead. */
export interface PlanReheat {
	/** What the house code wants in the middle of the pieces, °C, and in how long; null where only "without delay". */
	readonly core_C: number;
	readonly within_min: number | null;
	/** From the oven door until the middle is so hot; where it stands, or at the card's own temperature. */
	readonly set_C: number;
	readonly minutes: Range;
	/** How warm the middle likely is from the oven door on, past the time that it is planned: minutes and °C. */
	readonly course: readonly (readonly [minute: number, core_C: number])[];
	/** The same at each temperature that suits the dish, in the kind of oven it stands in. */
	readonly minutesAt: readonly MinutesIn[];
	/** The ovens it is made hot in, where it has been placed. */
	readonly loads: readonly OvenLoad[];
	/** And in every kind that the kitchen has. */
	readonly minutesIn: readonly MinutesIn[];
	/** What is planned for it, as surely as the house wants, whole minutes. */
	readonly planned_min: number;
	/** Water that all pans give off until they are likely hot, under their lids, litres. */
	readonly steams_l: number;
	/** Met however it goes, met if it goes as is likely, missed; null where the code names no minutes. */
	readonly verdict: "met" | "close" | "missed" | null;
}

/** Out of the fridge, °C. */
const COLD_C = 4;
/** Ovens are set to tens of degrees. */
const STEP_C = 10;

const likelyMemo = memoise<string, { readonly likely: number | null }>(800);
const memo = memoise<string, Heated>(400);

/** One pan made hot: how long it takes, what steams off it meanwhile, litres, and its course. */
interface Heated extends Pick<PlanReheat, "course"> {
	readonly minutes: Range | null;
	readonly steams_l: number;
}

/** The course is told at about so many points. */
const POINTS = 60;
/** And so far past the slowest that it may be. */
const PAST = 1.1;

/**
 * From cold to hot through in the oven, in its own liquid and under its lid: the pans that were
 * braised, cold, by the same model.
 *
 * @returns null where there is no pan, or no temperature of the card makes it hot enough
 * @see model, section H
 */
export function planReheat(
	recipe: Recipe,
	braise: PlanBraise | null,
	{ policy, equipment }: Pick<Kitchen, "policy" | "equipment">,
	standing: Standing,
): PlanReheat | null {
	if (!braise) return null;
	const { core_C, within_min } = policy.code.reheat;
	const { low, high } = recipe.braise.oven_C;
	const stands = reheatedIn(standing);
	const set = stands?.set_C ?? recipe.braise.oven_C.set;
	const pan = coldPan(braise.slowest.given);
	const own = stands?.oven?.kind ?? ovenOf(pan);
	const at = (set_C: number, oven = own): BraiseGiven => ({
		...pan,
		heat: heatAgain(recipe, oven, set_C, core_C),
	});
	const { minutes, steams_l, course } = memo(JSON.stringify([at(set), core_C]), () =>
		heated(at(set), core_C),
	);
	if (!minutes) return null;
	const steps = new Set([set]);
	const isSet = isInOven(recipe);
	for (let C = Math.ceil(low / STEP_C) * STEP_C; isSet && C <= high; C += STEP_C) steps.add(C);
	/** Other temperatures in the proportions of the card's own. */
	const scaled = (set_C: number, oven: OvenKind): MinutesIn[] => {
		if (set_C === set && oven === own) return [{ set_C, minutes }];
		const { likely } = likelyMemo(JSON.stringify([at(set_C, oven), core_C]), () => ({
			likely: minutesUntil(at(set_C, oven), core_C),
		}));
		if (likely === null) return [];
		const ratio = likely / minutes.likely;
		return [{ set_C, minutes: { low: minutes.low * ratio, likely, high: minutes.high * ratio } }];
	};
	const inKind = (kind: OvenKind) => [...steps].sort((a, b) => a - b).flatMap((set_C) => scaled(set_C, kind));
	const minutesAt = inKind(own);
	const kinds = [...new Set(equipment.ovens.map(({ kind }) => kind))];
	const minutesIn = isSet
		? kinds.flatMap((kind) => {
				const ovens = equipment.ovens.filter((oven) => oven.kind === kind).map(({ id }) => id);
				return inKind(kind).map((one): MinutesIn => ({ ...one, ovens }));
			})
		: minutesAt;
	return {
		core_C,
		within_min,
		set_C: set,
		minutes,
		course,
		minutesAt,
		minutesIn,
		loads: reheatingLoads(standing),
		planned_min: Math.ceil(minutesToBeSure(minutes, policy.confidence)),
		steams_l:
			(steams_l * floors(braise.groups.flatMap(({ pans }) => pans))) /
			floors(braise.slowest.pans.slice(0, 1)),
		verdict: within_min === null ? null : verdictOf(minutes, within_min),
	};
}

function heated(given: BraiseGiven, core_C: number): Heated {
	const minutes = heatThrough(given, core_C);
	if (!minutes) return { minutes, steams_l: 0, course: [] };
	const { likely, high } = minutes;
	// Were it as quick as it may be, it would be where the likely one is later on.
	const end_min = high * PAST * (likely / minutes.low);
	const made = simulate(given, {
		minutes: end_min,
		until: Number.POSITIVE_INFINITY,
		every_min: Math.max(1, Math.ceil(end_min / POINTS)),
	});
	return {
		minutes,
		steams_l: steamAt(made, likely),
		course: made.points.map(({ minute, core_C: C }): readonly [number, number] => [minute, C]),
	};
}

/** Floors of some pans, mm²: each steams by its own. */
function floors(pans: readonly ChosenPan[]): number {
	return sumBy(pans, ({ type }) => floorArea(type.shape));
}

function verdictOf({ likely, high }: Range, within_min: number): "met" | "close" | "missed" {
	if (high <= within_min) return "met";
	return likely <= within_min ? "close" : "missed";
}

/** The pan as it comes out of the fridge: all of it cold, and the meat has given its juice already. */
function coldPan({ additions: _, resets: __, lids: ___, ...given }: BraiseGiven): BraiseGiven {
	return { ...given, start: { meat_C: COLD_C, liquid_C: COLD_C }, cookingLoss: 0 };
}

/**
 * In the oven it was braised in; bags in their bath where that is hot enough; all else on the hob at
 * a simmer: slow cookers and pressure pots heat nothing gently from cold.
 */
function heatAgain(recipe: Recipe, oven: OvenKind, set_C: number, core_C: number): BraiseGiven["heat"] {
	if (isInOven(recipe)) return { kind: oven, set_C };
	if (heatOf(recipe) === "bath" && set_C >= core_C + BATH_OVER_CORE_C) return { kind: "waterBath", set_C };
	return { kind: "hob", simmer: true };
}

/** A bath makes hot in a sensible time what is to be so much cooler than it, °C. */
const BATH_OVER_CORE_C = 3;

function ovenOf({ heat }: BraiseGiven): OvenKind {
	return heat.kind === "stillOven" ? "stillOven" : "fanOven";
}
