import { type Static, Type } from "@sinclair/typebox";
import { BraiseAsked } from "../braise/index.ts";
import { Celsius, oneOf } from "../check/index.ts";
import { boilingPoint, CONSISTENCIES, type FacesMeet, type PieceSides } from "../heat/index.ts";
import { type Growth, growthAfter, meanRate, meanShare } from "../safety/index.ts";
import { blockFood, type Food, pieceFood } from "./Food.ts";
import { isHeated, type Stage } from "./stages.ts";

export type { Stage, StageKind } from "./stages.ts";

/** Food with the stages of its way, as it is asked beside its piece. */
export const JourneyGiven = Type.Object({
	depth_mm: Type.Optional(Type.Number({ minimum: 5, maximum: 600, allowed: "a depth from 5 to 600 mm" })),
	piece: BraiseAsked.properties.piece,
	boneShare: BraiseAsked.properties.boneShare,
	consistency: Type.Optional(oneOf(CONSISTENCIES)),
	start_C: Celsius,
	/** What kills is counted as minutes at it, and by how many degrees it kills ten times as quickly. */
	ref_C: Type.Optional(Celsius),
	z_C: Type.Optional(Type.Number({ minimum: 1, maximum: 50, allowed: "a z from 1 to 50 °C" })),
});
export type JourneyGiven = Static<typeof JourneyGiven>;

/** What goes on its way. */
export type Travels =
	| { readonly sides: PieceSides; readonly boneShare: number }
	| {
			readonly depth_mm: number;
			readonly length_mm?: number;
			readonly width_mm?: number;
			readonly consistency: JourneyGiven["consistency"];
	  };

/** Counted as minutes at 70 °C with a z of 7.5 °C, where nothing else is said. */
export const KILL_REF_C = 70;
export const KILL_Z_C = 7.5;

export interface JourneyWalked {
	/** At the end of each stage. */
	readonly warmest_C: readonly number[];
	readonly coldest_C: readonly number[];
	/** Of the usual spore-former, at the point where it is most. */
	readonly growth_log10: number;
	/** The same with its range. */
	readonly growth: Growth;
	/** Minutes at the reference temperature, at the point where they are least. */
	readonly lethality_min: number;
	/** How it goes: minutes from the start, warmest and coldest, °C. */
	readonly course: readonly JourneyPoint[];
}

export interface JourneyPoint {
	readonly minute: number;
	readonly stage: number;
	readonly warmest_C: number;
	readonly coldest_C: number;
}

/** Steps of a stage lengthen with the time that it has taken. */
const FIRST_STEP_S = 15;
const STEP_SHARE = 0.02;

/** Stages that food goes through as one body: a piece, or a layer in a vessel. */
export interface Leg {
	readonly travels: Travels;
	readonly stages: readonly Stage[];
}

/**
 * One body along its whole way: every point of it carries its own sums of growth and of kill through all
 * stages. Where it is turned into another vessel its points are mixed: it goes on as warm as it was in the
 * mean, and each point with the sums of the worst.
 *
 * @see model, section H
 */
export function journey(
	legs: readonly Leg[],
	start_C: number,
	{ ref_C = KILL_REF_C, z_C = KILL_Z_C }: Pick<JourneyGiven, "ref_C" | "z_C"> = {},
): JourneyWalked {
	const [warmest_C, coldest_C]: [number[], number[]] = [[], []];
	const course: JourneyPoint[] = [];
	let sums: Sums = { atBest_min: 0, kill_min: 0 };
	let began_min = 0;
	let now_C = start_C;
	for (const { travels, stages } of legs) {
		const food = foodOf(travels, now_C);
		const points = new PointSums(food, ref_C, z_C, sums);
		if (course.length === 0) course.push({ minute: 0, stage: 0, ...endsOf(food) });
		for (const stage of stages) {
			for (const minute of walk(food, stage, points)) {
				course.push({ minute: began_min + minute, stage: warmest_C.length, ...endsOf(food) });
			}
			began_min += stage.minutes;
			const ends = endsOf(food);
			warmest_C.push(ends.warmest_C);
			coldest_C.push(ends.coldest_C);
		}
		now_C = meanOf(food);
		sums = points.worst();
	}
	const growth = growthAfter(sums.atBest_min);
	return {
		...{ warmest_C, coldest_C, growth, course },
		growth_log10: growth.likely,
		lethality_min: sums.kill_min,
	};
}

function foodOf(travels: Travels, start_C: number): Food {
	if ("sides" in travels) return pieceFood(travels.sides, travels.boneShare, start_C);
	const { consistency = "stew", ...sides } = travels;
	return blockFood(sides, consistency, start_C, boilingPoint());
}

function endsOf({ C }: Food): { warmest_C: number; coldest_C: number } {
	let [warmest_C, coldest_C] = [C[0] as number, C[0] as number];
	for (const one of C) {
		warmest_C = Math.max(warmest_C, one);
		coldest_C = Math.min(coldest_C, one);
	}
	return { warmest_C, coldest_C };
}

/** Walks the food through one stage; tells each minute that it has come to. */
function* walk(food: Food, stage: Stage, points: PointSums): Generator<number> {
	const { minutes, stirEvery_min = Number.POSITIVE_INFINITY } = stage;
	food.conducts(isHeated(stage.kind));
	const end_s = minutes * 60;
	let seconds = 0;
	let stirs = 1;
	while (seconds < end_s) {
		const step = Math.min(end_s - seconds, Math.max(FIRST_STEP_S, seconds * STEP_SHARE));
		food.step(step, meetsAt(food, stage, seconds / 60));
		if (stage.mixed) food.stir();
		seconds += step;
		if (seconds >= stirs * stirEvery_min * 60) {
			food.stir();
			stirs = Math.floor(seconds / (stirEvery_min * 60)) + 1;
		}
		points.count(step);
		yield seconds / 60;
	}
}

function meetsAt(food: Food, { meets, box }: Stage, minute: number): FacesMeet {
	const now = meets(minute, meanOf(food));
	if (!box) return now;
	const film_W_per_M2K = food.film(box.UA_W_per_K, box.mass_kg);
	return { foot: { ...now.foot, film_W_per_M2K }, top: { ...now.top, film_W_per_M2K } };
}

function meanOf({ C }: Food): number {
	return C.reduce((sum, one) => sum + one, 0) / C.length;
}

/** Of one point: minutes as at the best temperature of growth, and as at the reference of the kill. */
interface Sums {
	readonly atBest_min: number;
	readonly kill_min: number;
}

/** Growth and kill at every point of the food, by the mean of each step. */
class PointSums {
	readonly #before: Float64Array;
	readonly #atBest_min: Float64Array;
	readonly #kill_min: Float64Array;

	/** @param begun what each point has had when this begins */
	constructor(
		private readonly food: Food,
		private readonly ref_C: number,
		private readonly z_C: number,
		begun: Sums,
	) {
		this.#before = Float64Array.from(food.C);
		this.#atBest_min = new Float64Array(food.C.length).fill(begun.atBest_min);
		this.#kill_min = new Float64Array(food.C.length).fill(begun.kill_min);
	}

	count(seconds: number): void {
		const { food, ref_C, z_C } = this;
		const minutes = seconds / 60;
		for (let point = 0; point < food.C.length; point += 1) {
			const [was, is] = [this.#before[point] as number, food.C[point] as number];
			const kills = meanRate((was - ref_C) / z_C, (is - ref_C) / z_C);
			this.#atBest_min[point] = (this.#atBest_min[point] as number) + minutes * meanShare(was, is);
			this.#kill_min[point] = (this.#kill_min[point] as number) + minutes * kills;
			this.#before[point] = is;
		}
	}

	/** Growth of the point where it is most, kill of the point where it is least. */
	worst(): Sums {
		return {
			atBest_min: this.#atBest_min.reduce((most, one) => Math.max(most, one)),
			kill_min: this.#kill_min.reduce((least, one) => Math.min(least, one)),
		};
	}
}
