import { groupBy, maxBy, sumBy } from "es-toolkit";
import {
	type BraiseGiven,
	heatThrough,
	minutesToBeSure,
	minutesUntil,
	simulate,
	steamAt,
} from "../braise/index.ts";
import type { HeatKind } from "../heat/index.ts";
import type { Kitchen } from "../kitchen/index.ts";
import { memoise } from "../memoise/index.ts";
import { airKey, airOf, type OvenAir, type OvenKind, type OvenLoad, windOf } from "../ovens/index.ts";
import { type ChosenPan, floorArea, type PanChoice } from "../pans/index.ts";
import type { Range } from "../quantity/index.ts";
import { heatOf, isInOven, type Recipe } from "../recipe/index.ts";
import { needsStirring, type Reheating, reheating, reheatMinutes, reheatRange } from "../reheat/index.ts";
import { type Verdict, verdictWithin } from "../safety/index.ts";
import type { MinutesIn } from "../tasks/index.ts";
import { coveredBy } from "../trade/index.ts";
import { type PlanBraise, sharedPower } from "./planBraise.ts";
import { depthOfFood, spreadDepth, spreadOver } from "./planChill.ts";
import { reheatedIn, reheatingLoads, type Standing } from "./standing.ts";

/** How a dish is made hot again that was made ahead. */
export interface PlanReheat {
	/** What the house code wants where the food is coldest, °C, and in how long; null where only "without delay". */
	readonly core_C: number;
	readonly within_min: number | null;
	/** What makes it hot. */
	readonly heat: HeatKind;
	/** Of the food in the deepest pan, mm; it is what decides. Null where it is stirred or bagged. */
	readonly depth_mm: number | null;
	/** The same food spread over more of the kitchen's pans, as shallow as its pieces let it; null where there are none. */
	readonly spread: SpreadOut | null;
	/** What is heated, as its course is drawn from it; null where it is stirred or bagged. */
	readonly block: Reheating | null;
	/** Minutes between two stirrings, without which the minutes do not hold; null where it is left alone. */
	readonly stirEvery_min: number | null;
	/** From the oven door until the coldest of it is so hot; where it stands, or at the card's own temperature. */
	readonly set_C: number;
	readonly minutes: Range;
	/** How warm the coldest of it likely is from the oven door on, past the time that it is planned: minutes and °C. */
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
	/** How it stands to the code's minutes; null where the code names none. */
	readonly verdict: Verdict | null;
}

/** Food spread over so many times as many pans. */
export interface SpreadOut {
	readonly parts: number;
	readonly depth_mm: number;
	/** Likely, at the same heat. */
	readonly minutes: number;
}

/** Out of the fridge, °C. */
const COLD_C = 4;
/** Ovens are set to tens of degrees. */
const STEP_C = 10;
/** On a flame set food is stirred so often until it is hot. General practice. */
const STIRRED_EVERY_MIN = 5;

/** What is made hot: a block of its own depth in an oven; on a flame stirred, or bagged in a bath, piece by piece. */
type Again = { readonly block: Reheating } | { readonly stirred: BraiseGiven };

/** One pan made hot: how long it takes, what steams off it meanwhile, litres, and its course. */
interface Heated extends Pick<PlanReheat, "course"> {
	readonly minutes: Range | null;
	readonly steams_l: number;
}

const likelyMemo = memoise<string, { readonly likely: number | null }>(800);
const memo = memoise<string, Heated>(400);

/** The course is told at about so many points. */
const POINTS = 60;
/** And so far past the slowest that it may be. */
const PAST = 1.1;

/** What a dish is reheated with. */
export interface ReheatedDish {
	readonly recipe: Recipe;
	readonly pans: PanChoice;
	readonly braise: PlanBraise | null;
	readonly kitchen: Pick<Kitchen, "policy" | "equipment">;
	readonly standing: Standing;
}

/**
 * From cold to hot through, covered, in the pans it was braised in.
 *
 * @returns null where there is no pan, or no temperature of the card makes it hot enough
 * @see model, section H
 */
export function planReheat(dish: ReheatedDish): PlanReheat | null {
	const { recipe, braise, kitchen, standing } = dish;
	if (!braise) return null;
	const { policy, equipment } = kitchen;
	const { core_C, within_min } = policy.code.reheat;
	const stands = reheatedIn(standing);
	const set = stands?.set_C ?? recipe.braise.oven_C.set;
	const own: OvenAir = stands?.oven ?? { kind: ovenOf(braise.slowest.given) };
	const again = againOf(dish, braise, core_C);
	const here = again(set, own);
	const { minutes, steams_l, course } = memo(JSON.stringify([here, core_C]), () => heated(here, core_C));
	if (!minutes) return null;
	/** Other temperatures in the proportions of the card's own. */
	const scaled = (set_C: number, oven: OvenAir): MinutesIn[] => {
		if (set_C === set && airKey(oven) === airKey(own)) return [{ set_C, minutes }];
		const likely = likelyOf(again(set_C, oven), core_C);
		if (likely === null) return [];
		const ratio = likely / minutes.likely;
		return [{ set_C, minutes: { low: minutes.low * ratio, likely, high: minutes.high * ratio } }];
	};
	const inOven = (oven: OvenAir) => stepsOf(recipe, set).flatMap((set_C) => scaled(set_C, oven));
	const minutesAt = inOven(own);
	const minutesIn = isInOven(recipe)
		? Object.values(groupBy(equipment.ovens, airKey)).flatMap((alike) => {
				const ovens = alike.map(({ id }) => id);
				return alike.slice(0, 1).flatMap((oven) => inOven(oven).map((one): MinutesIn => ({ ...one, ovens })));
			})
		: minutesAt;
	const block = "block" in here ? here.block : null;
	const { heat } = "block" in here ? here.block : here.stirred;
	return {
		core_C,
		within_min,
		heat: heat.kind,
		depth_mm: block?.depth_mm ?? null,
		block,
		spread: block ? spreadOut(dish, block, core_C) : null,
		stirEvery_min: needsStirring(heat) ? STIRRED_EVERY_MIN : null,
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
		verdict: within_min === null ? null : verdictWithin(minutes, within_min),
	};
}

/** The card's own temperature and all tens between its ends; that alone where it is in no oven. */
function stepsOf(recipe: Recipe, set: number): number[] {
	const { low, high } = recipe.braise.oven_C;
	const steps = new Set([set]);
	for (let C = Math.ceil(low / STEP_C) * STEP_C; isInOven(recipe) && C <= high; C += STEP_C) steps.add(C);
	return [...steps].sort((a, b) => a - b);
}

/** What is made hot at a temperature in a kind of oven. */
function againOf(
	{ recipe, pans, standing }: ReheatedDish,
	{ slowest: { given } }: PlanBraise,
	core_C: number,
): (set_C: number, oven: OvenAir) => Again {
	const { additions: _, resets: __, lids: ___, ...pan } = given;
	const cold: BraiseGiven = { ...pan, start: { meat_C: COLD_C, liquid_C: COLD_C }, cookingLoss: 0 };
	if (!isInOven(recipe)) {
		const isBath = heatOf(recipe) === "bath";
		return (set_C) => ({
			stirred: {
				...cold,
				heat:
					isBath && set_C >= core_C + BATH_OVER_CORE_C
						? { kind: "waterBath", set_C }
						: { kind: "hob", simmer: true },
			},
		});
	}
	const stands = reheatedIn(standing);
	const power = stands?.oven ? sharedPower(stands.oven, stands.inside).oven : given.oven;
	const deepest = maxBy(pans.pans, (one) => depthOfFood(one)) as ChosenPan;
	return (set_C, inside) => ({
		block: {
			pan: deepest.type.shape,
			depth_mm: spreadDepth(depthOfFood(deepest), 1, recipe),
			consistency: "stew",
			lid: coveredBy(given.lid),
			heat: { kind: inside.kind, set_C: airOf(inside, set_C) },
			start_C: COLD_C,
			oven: power,
			altitude_m: given.altitude_m,
			coupling: windOf(inside),
		},
	});
}

/** A bath makes hot in a sensible time what is to be so much cooler than it, °C. */
const BATH_OVER_CORE_C = 3;

/** So many times as many pans at the most. */
const MOST_PARTS = 3;

/** The same food over more pans: as shallow as the pieces let it, with no more pans than that takes. */
function spreadOut(
	{ recipe, pans, kitchen: { equipment } }: ReheatedDish,
	block: Reheating,
	core_C: number,
): SpreadOut | null {
	const deep_mm = (parts: number) => spreadDepth(block.depth_mm, parts, recipe);
	for (let parts = MOST_PARTS; parts > 1; parts -= 1) {
		const depth_mm = deep_mm(parts);
		const isWorthIt = depth_mm < block.depth_mm * WORTH_SPREADING && depth_mm < deep_mm(parts - 1);
		if (!isWorthIt || !spreadOver(pans, equipment.pans, parts)) continue;
		const minutes = likelyOf({ block: { ...block, depth_mm } }, core_C);
		if (minutes !== null) return { parts, depth_mm, minutes };
	}
	return null;
}

/** Spreading is worth pans that make it shallower than this share of its depth. */
const WORTH_SPREADING = 0.8;

function likelyOf(again: Again, core_C: number): number | null {
	return likelyMemo(JSON.stringify([again, core_C]), () => ({
		likely: "block" in again ? reheatMinutes(again.block, core_C) : minutesUntil(again.stirred, core_C),
	})).likely;
}

function heated(again: Again, core_C: number): Heated {
	const minutes = "block" in again ? reheatRange(again.block, core_C) : heatThrough(again.stirred, core_C);
	if (!minutes) return { minutes, steams_l: 0, course: [] };
	const { low, likely, high } = minutes;
	// Were it as quick as it may be, it would be where the likely one is later on.
	const end_min = high * PAST * (likely / low);
	return {
		minutes,
		...("block" in again
			? blockCourse(again.block, likely, end_min)
			: stirredCourse(again.stirred, likely, end_min)),
	};
}

function blockCourse(block: Reheating, likely: number, end_min: number): Omit<Heated, "minutes"> {
	const course: (readonly [number, number])[] = [];
	let steams_l = 0;
	for (const { minute, coldest_C, steamed_l } of reheating(block, Number.POSITIVE_INFINITY)) {
		if (minute >= (course.at(-1)?.[0] ?? -end_min) + end_min / POINTS) course.push([minute, coldest_C]);
		if (minute <= likely) steams_l = steamed_l;
		if (minute > end_min) break;
	}
	return { course, steams_l };
}

function stirredCourse(given: BraiseGiven, likely: number, end_min: number): Omit<Heated, "minutes"> {
	const made = simulate(given, {
		minutes: end_min,
		until: Number.POSITIVE_INFINITY,
		every_min: Math.max(1, Math.ceil(end_min / POINTS)),
	});
	return {
		steams_l: steamAt(made, likely),
		course: made.points.map(({ minute, core_C: C }): readonly [number, number] => [minute, C]),
	};
}

/** Floors of some pans, mm²: each steams by its own. */
function floors(pans: readonly ChosenPan[]): number {
	return sumBy(pans, ({ type }) => floorArea(type.shape));
}

function ovenOf({ heat }: BraiseGiven): OvenKind {
	return heat.kind === "stillOven" ? "stillOven" : "fanOven";
}
