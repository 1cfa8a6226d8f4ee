import { refuse } from "../check/index.ts";
import {
	Block,
	boilingPoint,
	type Consistency,
	ceilingOf,
	type FaceMeets,
	type FacesMeet,
	FOOD_J_PER_KGK,
	FOOD_KG_PER_M3,
	filmAround,
	type Heat,
	type HeatCase,
	type HeatKind,
	HOB_W,
	heatedConductivityOf,
	isAround,
	LID_HANDS_BACK,
	type OvenPower,
	STEAM_J_PER_KG,
	simmerAt,
	steamFlow,
	steamFrom,
	usualHumidity,
} from "../heat/index.ts";
import { depthOf, type PanShape, rimSpan } from "../pans/index.ts";
import type { Lid } from "../trade/index.ts";

/** Cold food in one pan that is made hot again. */
export interface Reheating {
	readonly pan: PanShape;
	/** Of the food in it, mm. */
	readonly depth_mm: number;
	readonly consistency: Consistency;
	readonly lid: Lid;
	readonly heat: Heat;
	readonly start_C: number;
	/** Stirred every so many minutes; never where it is absent. */
	readonly stirEvery_min?: number | undefined;
	readonly oven?: OvenPower | undefined;
	/** What reaches its floor, kW, on a flame; a burner's usual where nothing is said. */
	readonly flame_kW?: number | undefined;
	readonly altitude_m?: number | undefined;
	/** How much better or worse than usual the heat gets in, a factor. */
	readonly coupling?: number | undefined;
}

/** How warm it is where it is coldest, and what has steamed off, at a minute. */
export interface ReheatPoint {
	readonly minute: number;
	readonly coldest_C: number;
	readonly steamed_l: number;
	/** What its faces met until then; null where it moves and is as warm everywhere. */
	readonly meets: FacesMeet | null;
}

/** Steps lengthen with the time that has gone by. */
const FIRST_STEP_S = 20;
const STEP_SHARE = 0.02;
/** Longer than this nobody heats anything, minutes. */
const LONGEST_MIN = 24 * 60;

/** A floor that stands on a flame is as hot as what boils on it; from it into food that does not move, W/m²K. */
const FLOOR_W_PER_M2K = 500;
/** Stirred at least so often, food on a flame is as warm everywhere. General practice: every few minutes, or it catches. */
const WELL_STIRRED_MIN = 10;

const NOTHING: FaceMeets = { film_W_per_M2K: 0, C: 0 };

/** Heat that comes through a floor: food on it has to be stirred, or it catches before it is hot. */
export function needsStirring({ kind }: Pick<Heat, "kind">): boolean {
	return kind === "hob";
}

/**
 * How cold food in a pan becomes hot: as a block of its own depth, by conduction, the better once it
 * flows. An oven and a bath heat its top, its floor and the walls as far as food touches them, the lid
 * keeps its share out; a flame heats its floor. Food that is stirred often on a flame takes all of its
 * power.
 *
 * @param until_C how hot it has to become where it is coldest, °C
 * @throws {Refusal} where it is to be reheated in what heats too slowly for cold food
 * @see model, section H
 */
export function* reheating(
	given: Reheating,
	until_C: number,
	which: HeatCase = "likely",
): Generator<ReheatPoint> {
	refuseSlow(given.heat.kind);
	const rim_mm = depthOf(given.pan);
	if (given.depth_mm > rim_mm)
		throw refuse("depth_mm", `${given.depth_mm} was given; the pan is ${rim_mm} mm deep`);
	if (isWellStirred(given)) yield* stirredOnFlame(given, until_C);
	else yield* asBlock(given, until_C, which);
}

function refuseSlow(kind: HeatKind): void {
	if (kind === "slowCooker") {
		throw refuse(
			"heat",
			"slow cookers and warmers hold hot food and do not reheat: use an oven, a hob or a bath",
		);
	}
	if (kind === "pressure")
		throw refuse("heat", "reheat in an oven, on a hob or in a bath, not under pressure");
}

function isWellStirred({ heat, stirEvery_min }: Reheating): boolean {
	return needsStirring(heat) && stirEvery_min !== undefined && stirEvery_min <= WELL_STIRRED_MIN;
}

/** The floor of the pan at its rim, m: food is held to reach as far all the way up. */
function floorOf(pan: PanShape): { length_m: number; width_m: number; area_m2: number } {
	const { length_mm, width_mm } = rimSpan(pan);
	return { length_m: length_mm / 1000, width_m: width_mm / 1000, area_m2: (length_mm * width_mm) / 1e6 };
}

function* stirredOnFlame(
	{ pan, depth_mm, heat, start_C, altitude_m, coupling = 1, flame_kW = HOB_W / 1000 }: Reheating,
	until_C: number,
): Generator<ReheatPoint> {
	const { area_m2 } = floorOf(pan);
	const holds_JK = area_m2 * (depth_mm / 1000) * FOOD_KG_PER_M3 * FOOD_J_PER_KGK;
	const most_C =
		heat.kind === "hob" && heat.simmer ? simmerAt(altitude_m, heat.off_K) : boilingPoint(altitude_m);
	const rise_K_per_min = (flame_kW * 1000 * coupling * 60) / holds_JK;
	const at = (minute: number): ReheatPoint => ({
		minute,
		coldest_C: Math.min(most_C, start_C + rise_K_per_min * minute),
		steamed_l: 0,
		meets: null,
	});
	yield at(0);
	const end_C = Math.min(until_C, most_C);
	const step_min = Math.max(1, (end_C - start_C) / rise_K_per_min / STIRRED_POINTS);
	for (let minute = step_min; minute <= LONGEST_MIN; minute += step_min) {
		const point = at(minute);
		yield point;
		if (point.coldest_C >= end_C) return;
	}
}

const STIRRED_POINTS = 40;

function* asBlock(given: Reheating, until_C: number, which: HeatCase): Generator<ReheatPoint> {
	const { pan, depth_mm, consistency, start_C, lid, heat, altitude_m, stirEvery_min } = given;
	const { length_m, width_m, area_m2 } = floorOf(pan);
	const block = new Block({
		depth_mm,
		length_mm: length_m * 1000,
		width_mm: width_m * 1000,
		start_C,
		heat_J_per_M3K: FOOD_KG_PER_M3 * FOOD_J_PER_KGK,
		conductivity: heatedConductivityOf(consistency, which),
		boils_C: ceilingOf(heat, altitude_m),
	});
	const faces = facesOf(given);
	const steams = steamOf(given);
	let seconds = 0;
	let stirs = 1;
	let steamed_J_per_M2 = 0;
	let meets: FacesMeet = faces;
	const point = (): ReheatPoint => ({
		minute: seconds / 60,
		coldest_C: block.coldest_C(),
		steamed_l: (steamed_J_per_M2 * area_m2) / STEAM_J_PER_KG,
		meets,
	});
	let now = point();
	yield now;
	while (now.coldest_C < until_C && now.minute < LONGEST_MIN) {
		const step = Math.max(FIRST_STEP_S, seconds * STEP_SHARE);
		const top_C = block.top_C();
		const { now_W, slope_WK } = steams(top_C);
		meets = withinPower(block, { ...faces, top: steaming(faces.top, top_C, now_W, slope_WK) }, given);
		steamed_J_per_M2 += now_W * step + block.step(step, meets) * (1 - LID_HANDS_BACK[lid]);
		seconds += step;
		if (stirEvery_min !== undefined && seconds >= stirs * stirEvery_min * 60) {
			block.stir();
			stirs = Math.floor(seconds / (stirEvery_min * 60)) + 1;
		}
		now = point();
		yield now;
	}
}

/** What the food meets on its faces, without its steam. */
function facesOf({ heat, lid, altitude_m, coupling = 1 }: Reheating): FacesMeet {
	if (!isAround(heat)) {
		const foot = { film_W_per_M2K: FLOOR_W_PER_M2K * coupling, C: boilingPoint(altitude_m) };
		return { foot, top: NOTHING, sides: NOTHING };
	}
	const film_W_per_M2K = coupling * filmAround(heat.kind, lid);
	const all = { film_W_per_M2K, C: heat.set_C };
	return { foot: all, top: all, sides: all };
}

/** Heat that leaves the top as steam at a temperature, for a square metre. */
function steamOf({ heat, lid, altitude_m = 0 }: Reheating) {
	const flow = steamFlow(usualHumidity(heat.kind), altitude_m);
	return (C: number) => steamFrom(flow, C, 1, heat.kind, lid);
}

/** A face that loses heat as steam beside what it takes up. */
function steaming(top: FaceMeets, top_C: number, now_W: number, slope_WK: number): FaceMeets {
	const film_W_per_M2K = top.film_W_per_M2K + slope_WK;
	if (film_W_per_M2K === 0) return NOTHING;
	return { film_W_per_M2K, C: (top.film_W_per_M2K * top.C + slope_WK * top_C - now_W) / film_W_per_M2K };
}

/** Pans that would take more than their share of the oven's power stand in cooler air. */
function withinPower(block: Block, faces: FacesMeet, { oven, pan }: Reheating): FacesMeet {
	if (!oven) return faces;
	const most_W_per_M2 = (oven.power_kW * 1000) / oven.pans / floorOf(pan).area_m2;
	const takes = block.takes_W_per_M2(faces);
	if (takes <= most_W_per_M2) return faces;
	const slope = takes - block.takes_W_per_M2(cooler(faces, 1));
	return cooler(faces, (takes - most_W_per_M2) / slope);
}

function cooler({ foot, top, sides = NOTHING }: FacesMeet, kelvin: number): FacesMeet {
	const by = (face: FaceMeets) => ({ ...face, C: face.C - kelvin });
	return { foot: by(foot), top: by(top), sides: by(sides) };
}
