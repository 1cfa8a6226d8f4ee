import { type Static, Type } from "@sinclair/typebox";
import { Celsius, oneOf } from "../check/index.ts";
import {
	CONSISTENCIES,
	conductivityOf,
	type FacesMeet,
	FOOD_J_PER_KGK,
	FOOD_KG_PER_M3,
	type HeatCase,
} from "../heat/index.ts";
import { crossedAt } from "../quantity/index.ts";
import { FILM_W_PER_M2K, MEDIA, type Medium, underLid_W_per_M2K } from "./constants.ts";
import { type Face, Slab } from "./slab.ts";

/** Deeper than this nothing is cooled in a kitchen, mm. */
const DEEPEST_MM = 600;

/** Food of one depth that is cooled. */
export const ChillGiven = Type.Object({
	depth_mm: Type.Number({ minimum: 5, maximum: DEEPEST_MM, allowed: `a depth from 5 to ${DEEPEST_MM} mm` }),
	start_C: Celsius,
	medium: oneOf(MEDIA),
	medium_C: Celsius,
	consistency: oneOf(CONSISTENCIES),
});

export interface ChillGiven extends Static<typeof ChillGiven> {
	/** Covered: the air under the lid keeps its top warm. */
	readonly lid?: boolean;
	/** Stirred every so many minutes; never where it is absent. */
	readonly stirEvery_min?: number;
	/** Into what it is cooled in, by the machine's own plate, W/m²K; the medium's where it is absent. */
	readonly film_W_per_M2K?: number;
	/** The chiller's power and the food's area in it, foot only; without it there is always power enough. */
	readonly chiller?: { readonly power_W: number; readonly area_m2: number };
	/** What its foot stands in or on, where that is another than the air over it. */
	readonly foot?: { readonly medium: Medium; readonly C: number };
	/** What else stands in the same chiller while it does: all of it pays out of one power. */
	readonly beside?: readonly ChillBeside[];
}

/** Food as a chiller has to cool it. */
export interface ChillLoad
	extends Pick<ChillGiven, "depth_mm" | "start_C" | "consistency" | "lid" | "foot" | "stirEvery_min"> {
	/** Of all its pans, foot only. */
	readonly area_m2: number;
}

/** Other food in the chiller, from when to when: minutes after the food that is asked about goes in. */
export interface ChillBeside {
	readonly load: ChillLoad;
	readonly from_min: number;
	readonly to_min: number;
}

/** How well heat goes through it and out of it: a likely case and the two ends. */
export type ChillCase = HeatCase;

/** How warm it is at its warmest, at its coldest and in the mean, at a minute. */
export interface ChillPoint {
	readonly minute: number;
	readonly warmest_C: number;
	readonly coldest_C: number;
	readonly mean_C: number;
	/** What its faces met until then. */
	readonly meets: FacesMeet;
}

/** Steps lengthen with the time that has gone by: short while it is hot, a two-hundred-and-fiftieth later on. */
const FIRST_STEP_S = 10;
const STEP_SHARE = 0.004;
/** Longer than this nothing is waited for, s: a week. */
const LONGEST_S = 7 * 86_400;
/** So near to what it is cooled in it is as cold as it gets, K. */
const AS_COLD_K = 0.01;

/**
 * How food of one depth cools: a slab with convection at its foot and its top, whose heat moves
 * better while it is liquid. Walked through until it is as cold as is asked, or as it gets. What
 * stands beside it in its chiller is walked through with it.
 *
 * @param until_C how cold it has to become at its warmest, °C
 * @param which   heat moves as it likely does, or as badly or as well as it may
 * @see model, section H
 */
export function* chilling(
	given: ChillGiven,
	until_C: number,
	which: ChillCase = "likely",
): Generator<ChillPoint> {
	const own = new Cooled(given, given, which);
	const others = (given.beside ?? []).map(({ load, from_min, to_min }) => ({
		cooled: new Cooled(load, given, which),
		area_m2: load.area_m2,
		from_s: from_min * 60,
		to_s: to_min * 60,
	}));
	const begins_s = Math.min(0, ...others.map(({ from_s }) => from_s));
	const stepAll = (at_s: number, step: number, withOwn: boolean) => {
		const there = others.filter(({ from_s, to_s }) => from_s <= at_s && to_s > at_s);
		const all = withOwn ? [...there, { cooled: own, area_m2: given.chiller?.area_m2 ?? 0 }] : there;
		const warmer_K = given.chiller ? warmerAir(all, given.chiller.power_W) : 0;
		for (const { cooled } of all) cooled.step(step, warmer_K);
	};
	for (let at_s = begins_s; at_s < 0; ) {
		const step = Math.min(-at_s, Math.max(FIRST_STEP_S, (at_s - begins_s) * STEP_SHARE));
		stepAll(at_s, step, false);
		at_s += step;
	}
	const coldest_C = Math.min(given.medium_C, given.foot?.C ?? given.medium_C);
	const end_C = Math.max(until_C, coldest_C + AS_COLD_K);
	let seconds = 0;
	const { start_C: C } = given;
	yield { minute: 0, warmest_C: C, coldest_C: C, mean_C: C, meets: own.met };
	while (own.slab.warmest_C() > end_C && seconds < LONGEST_S) {
		const step = Math.max(FIRST_STEP_S, seconds * STEP_SHARE);
		stepAll(seconds, step, true);
		seconds += step;
		const [warmest_C, coldest_C] = [own.slab.warmest_C(), own.slab.coldest_C()];
		yield { minute: seconds / 60, warmest_C, coldest_C, mean_C: own.slab.mean_C(), meets: own.met };
	}
}

/** Food in a cooler: its layers, and what its two faces give their heat to. */
class Cooled {
	readonly slab: Slab;
	/** What its faces met in its last step. */
	met: FacesMeet;
	readonly #foot: Face;
	readonly #top: Face;
	/** Its foot gives its heat to something of its own: ice, and not the air. */
	readonly #standsApart: boolean;
	readonly #stirEvery_s: number;
	#seconds = 0;
	#stirred = 0;

	constructor(
		load: Omit<ChillLoad, "area_m2">,
		{ medium, medium_C, film_W_per_M2K }: Pick<ChillGiven, "medium" | "medium_C" | "film_W_per_M2K">,
		which: ChillCase,
	) {
		const { depth_mm, start_C, consistency, lid, foot, stirEvery_min } = load;
		const film = film_W_per_M2K ?? FILM_W_PER_M2K[medium][which];
		this.slab = new Slab(
			depth_mm / 1000,
			start_C,
			FOOD_KG_PER_M3 * FOOD_J_PER_KGK,
			conductivityOf(consistency, which),
		);
		this.#foot = {
			film_W_per_M2K: foot ? FILM_W_PER_M2K[foot.medium][which] : film,
			C: foot?.C ?? medium_C,
		};
		this.#top = { film_W_per_M2K: lid ? underLid_W_per_M2K(film) : film, C: medium_C };
		this.met = { foot: this.#foot, top: this.#top };
		this.#standsApart = foot !== undefined;
		this.#stirEvery_s = stirEvery_min === undefined ? Number.POSITIVE_INFINITY : stirEvery_min * 60;
	}

	/** Heat that it gives to air so much warmer than it was set, W a square metre. */
	gives_W_per_m2(warmer_K: number): number {
		const top = warmer(this.#top, warmer_K);
		if (this.#standsApart) return this.slab.givesAbove_W_per_m2(top);
		return this.slab.gives_W_per_m2(warmer(this.#foot, warmer_K), top);
	}

	step(seconds: number, warmer_K: number): void {
		const foot = this.#standsApart ? this.#foot : warmer(this.#foot, warmer_K);
		this.met = { foot, top: warmer(this.#top, warmer_K) };
		this.slab.step(seconds, foot, this.met.top);
		this.#seconds += seconds;
		if (this.#seconds < (this.#stirred + 1) * this.#stirEvery_s) return;
		this.#stirred = Math.floor(this.#seconds / this.#stirEvery_s);
		this.slab.stir();
	}
}

/** All that stands in a chiller gives off more than it can take away: its air is warmer by so much, K. */
function warmerAir(
	all: readonly { readonly cooled: Cooled; readonly area_m2: number }[],
	power_W: number,
): number {
	const gives_W = (warmer_K: number) =>
		all.reduce((sum, { cooled, area_m2 }) => sum + cooled.gives_W_per_m2(warmer_K) * area_m2, 0);
	const given_W = gives_W(0);
	return given_W <= power_W ? 0 : (given_W - power_W) / (given_W - gives_W(1));
}

function warmer({ film_W_per_M2K, C }: Face, kelvin: number): Face {
	return { film_W_per_M2K, C: C + kelvin };
}

/**
 * Minutes until it is so cold at its warmest.
 *
 * @param most_min nobody asks what comes later
 * @returns null for what it never becomes, or not by then
 */
export function minutesTo(
	given: ChillGiven,
	to_C: readonly number[],
	which: ChillCase = "likely",
	most_min = Number.POSITIVE_INFINITY,
): (number | null)[] {
	const found = new Map<number, number>();
	let before: ChillPoint | null = null;
	for (const point of chilling(given, Math.min(...to_C), which)) {
		for (const C of to_C) {
			if (found.has(C) || point.warmest_C > C) continue;
			found.set(C, before ? warmestCrosses(before, point, C) : 0);
		}
		if (point.minute > most_min) break;
		before = point;
	}
	return to_C.map((C) => found.get(C) ?? null);
}

/**
 * Minutes until the first point of it is so cold.
 *
 * @returns null where none ever is
 */
export function firstPointAt(given: ChillGiven, C: number, which: ChillCase = "likely"): number | null {
	let before = { minute: 0, coldest_C: given.start_C };
	for (const point of chilling(given, C, which)) {
		if (point.coldest_C <= C) {
			const { minute, coldest_C } = before;
			return crossedAt({ minute, C: coldest_C }, { minute: point.minute, C: point.coldest_C }, C);
		}
		before = point;
	}
	return null;
}

function warmestCrosses(before: ChillPoint, after: ChillPoint, at_C: number): number {
	const { minute, warmest_C: C } = before;
	return crossedAt({ minute, C }, { minute: after.minute, C: after.warmest_C }, at_C);
}

/** Minutes to each of some temperatures with how far they may be off: null where it may never come to it. */
export interface ChillTimes {
	readonly low: number | null;
	readonly likely: number | null;
	readonly high: number | null;
}

export function chillTimes(given: ChillGiven, to_C: readonly number[]): ChillTimes[] {
	// Where heat moves best it is cold soonest.
	const [low, likely, high] = (["high", "likely", "low"] as const).map((which) =>
		minutesTo(given, to_C, which),
	);
	return to_C.map((_, index) => ({
		low: low?.[index] ?? null,
		likely: likely?.[index] ?? null,
		high: high?.[index] ?? null,
	}));
}

/** What begins the clock of a code: food so cold at its first point, or at its warmest. */
export interface ChillClockOf {
	readonly C: number;
	readonly point: "firstPoint" | "warmest";
}

/** Minutes until a clock begins; null where it never does. */
export function clockBegins(given: ChillGiven, { C, point }: ChillClockOf, which: ChillCase): number | null {
	return point === "firstPoint" ? firstPointAt(given, C, which) : (minutesTo(given, [C], which)[0] ?? null);
}

/** The deepest that is sought, and how finely, mm. */
const SHALLOWEST_MM = 10;
const DEPTH_STEP_MM = 1;

/**
 * The greatest depth at which all of some temperatures are reached in their minutes.
 *
 * @param limits minutes since the clock began, for each of the temperatures
 * @param clock  begins when the first point of the food, or its warmest, is so cold; at the start where it is null
 * @returns null where even the shallowest is too slow
 */
export function deepestFor(
	given: Omit<ChillGiven, "depth_mm">,
	limits: readonly { readonly to_C: number; readonly within_min: number }[],
	which: ChillCase = "likely",
	clock: ChillClockOf | null = null,
): number | null {
	const to_C = limits.map((limit) => limit.to_C);
	const last_min = Math.max(...limits.map(({ within_min }) => within_min));
	const meets = (depth_mm: number) => {
		const deep = { ...given, depth_mm };
		const began_min = clock ? (clockBegins(deep, clock, which) ?? 0) : 0;
		const minutes = minutesTo(deep, to_C, which, began_min + last_min);
		return limits.every(
			({ within_min }, index) => (minutes[index] ?? Number.POSITIVE_INFINITY) - began_min <= within_min,
		);
	};
	if (!meets(SHALLOWEST_MM)) return null;
	let [fits, fails] = [SHALLOWEST_MM, DEEPEST_MM];
	if (meets(fails)) return fails;
	while (fails - fits > DEPTH_STEP_MM) {
		const middle = Math.round((fits + fails) / 2);
		if (meets(middle)) fits = middle;
		else fails = middle;
	}
	return fits;
}
