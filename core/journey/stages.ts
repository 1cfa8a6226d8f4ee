import { type BraiseGiven, simulate } from "../braise/index.ts";
import { CHILL_FILM_W_PER_M2K, type ChillGiven, chilling, type Medium } from "../chill/index.ts";
import {
	type FacesMeet,
	filmAround,
	type Heat,
	isAround,
	LIQUID_FILM_W_PER_M2K,
	simmerAt,
	sourceOf,
} from "../heat/index.ts";
import { areaOf, insideAt, type PanShape } from "../pans/index.ts";
import { type Reheating, reheating } from "../reheat/index.ts";
import type { Lid } from "../trade/index.ts";

/** What happens to food, in the order in which it does. */
export const STAGE_KINDS = ["stand", "heat", "chill", "store", "carry", "reheat", "hold"] as const;
export type StageKind = (typeof STAGE_KINDS)[number];

/** When a stage is, instants. */
export interface StageSpan {
	readonly kind: StageKind;
	readonly from: number;
	readonly to: number;
}

/** What a stage does to food. */
export interface Stage {
	readonly kind: StageKind;
	readonly minutes: number;
	/** What its faces meet at a minute of it, while it is so warm in the mean; a box's film depends on the food. */
	readonly meets: (minute: number, mean_C: number) => FacesMeet;
	/** It moves all the while and is as warm everywhere: on a flame. */
	readonly mixed?: boolean;
	readonly box?: { readonly UA_W_per_K: number; readonly mass_kg: number };
	readonly stirEvery_min?: number;
}

/** Kinds in which the food is heated: it moves better than while it cools. */
export function isHeated(kind: StageKind): boolean {
	return kind === "heat" || kind === "reheat";
}

type OfStage = Pick<Stage, "kind" | "minutes">;

const NOTHING = { film_W_per_M2K: 0, C: 0 };
const MM2_PER_M2 = 1e6;

function all(film_W_per_M2K: number, C: number): FacesMeet {
	const face = { film_W_per_M2K, C };
	return { foot: face, top: face };
}

/** Stands in air of a temperature, or in what holds it so; in still air where nothing is said. */
export function stands(of: OfStage, C: number, film_W_per_M2K = CHILL_FILM_W_PER_M2K.walkIn.likely): Stage {
	return { ...of, meets: () => all(film_W_per_M2K, C) };
}

/** Is cooled in a medium. */
export function cools(of: OfStage, medium: Medium, medium_C: number): Stage {
	return stands(of, medium_C, CHILL_FILM_W_PER_M2K[medium].likely);
}

/** Is cooled as a plan cools it: by its machine, with its power and all that shares it. */
export function chilledAs(of: OfStage, given: ChillGiven): Stage {
	return asSimulated(of, [...upTo(chilling(given, Number.NEGATIVE_INFINITY), of.minutes)]);
}

/** Is made hot again as a plan does it. */
export function reheatedAs(of: OfStage, given: Reheating): Stage {
	const points = [...upTo(reheating(given, Number.POSITIVE_INFINITY), of.minutes)];
	return { ...asSimulated(of, points), mixed: points.some(({ meets }) => meets === null) };
}

/** A point of a course that was worked out elsewhere. */
interface CoursePoint {
	readonly minute: number;
	readonly coldest_C: number;
	/** Null where all of it is as warm. */
	readonly meets: FacesMeet | null;
}

/** Is stirred all the while, and as warm everywhere as a course says: minutes and °C. */
export function follows(of: OfStage, course: readonly (readonly [minute: number, C: number])[]): Stage {
	const points = course.map(([minute, coldest_C]): CoursePoint => ({ minute, coldest_C, meets: null }));
	return { ...asSimulated(of, points), mixed: true };
}

/** Faces meet at each minute what they met in a course. */
function asSimulated(of: OfStage, points: readonly CoursePoint[]): Stage {
	let next = 0;
	return {
		...of,
		meets: (minute) => {
			const last = points[next - 1];
			if (last && minute < last.minute) next = 0;
			while (next < points.length - 1 && minute >= minuteOf(points[next])) next += 1;
			const point = points[next];
			return point?.meets ?? all(MIXED_W_PER_M2K, point?.coldest_C ?? 0);
		},
	};
}

function minuteOf(point: CoursePoint | undefined): number {
	return point?.minute ?? Number.POSITIVE_INFINITY;
}

function* upTo<Point extends { readonly minute: number }>(
	points: Iterable<Point>,
	end_min: number,
): Generator<Point> {
	for (const point of points) {
		yield point;
		if (point.minute > end_min) return;
	}
}

/** What is stirred all the while is as warm as its course says. */
const MIXED_W_PER_M2K = 1e6;

/** Is carried in an insulated box. */
export function travelsIn(of: OfStage, box: NonNullable<Stage["box"]>, air_C: number): Stage {
	return { ...of, meets: () => all(0, air_C), box };
}

/** A piece in liquid that is as hot as its heat holds it all the while. */
export function simmers(of: OfStage, heat: Heat): Stage {
	return stands(of, heldBy(heat), LIQUID_FILM_W_PER_M2K);
}

/** A piece in a pan that is braised: it meets the pan's liquid, which comes up, simmers and is held. */
export function braises(of: OfStage, given: BraiseGiven): Stage {
	const { points } = simulate(given, { minutes: of.minutes, until: Number.POSITIVE_INFINITY, every_min: 1 });
	const liquid_C = (minute: number) =>
		points[Math.min(points.length - 1, Math.round(minute))]?.liquid_C ?? given.start.liquid_C;
	return { ...of, meets: (minute) => all(LIQUID_FILM_W_PER_M2K, liquid_C(minute)) };
}

/** A vessel of food in an oven or a bath, heated on all sides; a flame heats its floor. */
export function heats(of: OfStage, heat: Heat, lid: Lid, pan: PanShape): Stage {
	return isAround(heat) ? around(of, filmAround(heat.kind, lid), heat.set_C) : onFlame(of, heat, pan);
}

function around(of: OfStage, film_W_per_M2K: number, C: number): Stage {
	const meets = { ...all(film_W_per_M2K, C), sides: { film_W_per_M2K, C } };
	return { ...of, meets: () => meets };
}

/** So hot that only the power counts, °C. */
const FLAME_C = 10_000;

/** A flame gives its power through the floor, until the food is as hot as it is held. */
function onFlame(of: OfStage, heat: Heat, pan: PanShape): Stage {
	const held_C = heldBy(heat);
	const { most_W } = sourceOf({ heat, pan, lid: "lid", around_C: held_C });
	const film_W_per_M2K = (most_W * MM2_PER_M2) / FLAME_C / areaOf(insideAt(pan, 0));
	const lit = { foot: { film_W_per_M2K, C: FLAME_C }, top: NOTHING };
	const out = { foot: NOTHING, top: NOTHING };
	return { ...of, mixed: true, meets: (_, mean_C) => (mean_C < held_C ? lit : out) };
}

/** How hot liquid becomes: no hotter than it simmers. */
function heldBy(heat: Heat): number {
	if (heat.kind === "hob") return simmerAt();
	return heat.kind === "pressure" ? heat.set_C : Math.min(heat.set_C, simmerAt());
}
