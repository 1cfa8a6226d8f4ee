import {
	airAt,
	ceilingOf,
	type Events,
	eliminate,
	inOrder,
	LID_HANDS_BACK,
	minutesOf,
	type Source,
	STEAM_J_PER_KG,
	type SteamFlow,
	simmerAt,
	sourceOf,
	steamFlow,
	steamFrom,
	substitute,
	usualHumidity,
} from "../heat/index.ts";
import type { Lid } from "../trade/index.ts";
import type { BraiseGiven, BraiseLedger, BraisePoint } from "./BraiseGiven.ts";
import { Coldest, type ColdestAsked, type ColdestReached } from "./Coldest.ts";
import { type Course, CourseLog } from "./Course.ts";
import { CALIBRATED } from "./calibrated.ts";
import { cutFactor } from "./cutFactors.ts";
import { dryBelow, join, type PanState, startOf, steamOff, storedHeat, surfaceOf, weep } from "./PanState.ts";
import { soften, softened } from "./softening.ts";

/** Seconds of one step while things change quickly, and later on, when they hardly do. */
export const STEP_S = 20;
/** What was poured boiling steams hardest at once: so many minutes are gone through so much finer. */
const POURED_MIN = 1;
const FINER = 10;
const LATER_STEP_S = 60;
/** Once nothing has happened for hours, and nobody asks for its course minute by minute. */
const LONG_STEP_S = 180;
/** Minutes after the start, or after something happened, in which steps are short, and until they are longest. */
const QUICK_MIN = 40;
const CALM_MIN = 100;

export interface Simulated {
	readonly points: readonly BraisePoint[];
	readonly dryAt_min: number | null;
	readonly peakLiquid_C: number;
	readonly ledger: BraiseLedger;
	/** What was asked of its coldest point. */
	readonly coldest?: ColdestReached;
	/** All that happened, step by step; `reached`, `leftAt`, `steamAt` and `heatAt` read it. */
	readonly course: Course;
}

export interface SimulateOptions {
	readonly minutes: number;
	/** Length of the short steps; the long ones are three times as long. */
	readonly step_s?: number;
	/** Softening after which nothing more is asked. */
	readonly until?: number;
	/** Minutes between the points that are told. */
	readonly every_min?: number;
	/** Whether the points tell every layer of the meat. */
	readonly layers?: boolean;
	/** Followed where it is asked. */
	readonly coldest?: ColdestAsked;
}

/** What stays the same through the whole braise. */
interface Setting {
	readonly given: BraiseGiven;
	readonly events: Required<Events>;
	readonly flow: SteamFlow;
	readonly ceiling_C: number;
	readonly simmer_C: number;
	readonly dry_kg: number;
}

/**
 * One pan through time: heat from its source into liquid and steel, from there through a film
 * into the layers of the meat, out again as steam. Each step is solved backwards in time for
 * liquid and meat together, so the balance of heat and water closes and no step is unstable.
 *
 * @see model, section E
 */
export function simulate(given: BraiseGiven, options: SimulateOptions): Simulated {
	const setting = settingOf(given);
	const state = startOf(given);
	// What was poured boiling further down is no hotter than the boil up here.
	state.liquid_C = Math.min(state.liquid_C, setting.ceiling_C);
	const started_J = storedHeat(state);
	const poured_kg = state.water_kg;
	const factor = cutFactor(given.cut) * CALIBRATED.heats[given.heat.kind];
	const { every_min = 1, layers = false, step_s = STEP_S } = options;
	const tell = (minute: number) => pointOf(setting, state, minute, layers);
	joinDue(setting, state, -1, 0);
	const points: BraisePoint[] = [tell(0)];
	const log = new CourseLog(poured_kg);
	const coldest = options.coldest ? new Coldest(options.coldest, coldestOf(state)) : null;
	const steps = stepsOf(setting.events, options, step_s);
	let dryAt_min: number | null = null;
	let peak = state.liquid_C;
	let told_min = 0;
	let minute = 0;
	let around = surroundingsAt(setting, 0);
	const changes = isChanging(setting.events);
	for (const seconds of steps) {
		const from = minute;
		minute += seconds / 60;
		joinDue(setting, state, from, minute);
		if (changes) around = surroundingsAt(setting, minute, around);
		stepOnce(setting, state, around, seconds);
		soften(state, factor, seconds);
		const soft = softened(state);
		peak = Math.max(peak, state.liquid_C);
		log.add(minute, soft, state);
		coldest?.add(minute, coldestOf(state));
		if (dryAt_min === null && state.water_kg <= setting.dry_kg) dryAt_min = minute;
		if (minute - told_min >= every_min - 1e-9) {
			points.push(tell(minute));
			told_min = minute;
		}
		if (options.until !== undefined && soft >= options.until) break;
	}
	return {
		points,
		dryAt_min,
		peakLiquid_C: peak,
		ledger: {
			heatIn_kJ: (state.heatIn_J + state.addedHeat_J) / 1000,
			heatSteam_kJ: state.heatSteam_J / 1000,
			heatStored_kJ: (storedHeat(state) - started_J) / 1000,
			waterIn_kg: poured_kg + state.juice_kg + state.addedWater_kg,
			waterSteam_kg: state.steam_kg,
			waterLeft_kg: state.water_kg,
		},
		...(coldest ? { coldest: coldest.reached() } : {}),
		course: log.course(),
	};
}

/** The coldest of liquid and meat: meat has its coldest layer in the middle, or at the surface as it cools. */
function coldestOf({ liquid_C, meat: { C } }: PanState): number {
	return Math.min(liquid_C, C[0] as number, C[C.length - 1] as number);
}

function settingOf(given: BraiseGiven): Setting {
	const { heat, altitude_m = 0, humidity = usualHumidity(heat.kind) } = given;
	return {
		given,
		events: inOrder(given),
		flow: steamFlow(humidity, altitude_m),
		ceiling_C: ceilingOf(heat, altitude_m),
		simmer_C: simmerAt(altitude_m),
		dry_kg: dryBelow(given.pan),
	};
}

/** Seconds of each step: short at first and after whatever happens, long in between. */
function* stepsOf(
	events: Required<Events>,
	{ minutes, every_min = 1 }: SimulateOptions,
	step_s: number,
): Generator<number> {
	const happens = [0, ...minutesOf(events)];
	const within = (minute: number, after_min: number) =>
		happens.some((at) => minute >= at - 3 && minute < at + after_min);
	const times = step_s / STEP_S;
	const isAsked = Number.isFinite(every_min);
	for (let minute = 0; minute < POURED_MIN; minute += step_s / FINER / 60) yield step_s / FINER;
	for (let minute = POURED_MIN; minute < minutes - 1e-9; ) {
		const isCalm = !isAsked && !within(minute, CALM_MIN);
		const seconds = within(minute, QUICK_MIN) ? step_s : times * (isCalm ? LONG_STEP_S : LATER_STEP_S);
		minute += seconds / 60;
		yield seconds;
	}
}

function isChanging({ doors, resets, lids }: Required<Events>): boolean {
	return doors.length + resets.length + lids.length > 0;
}

/** What the pan stands in and what lies on it. */
interface Surroundings {
	readonly source: Source;
	readonly lid: Lid;
	readonly around_C: number;
}

/** @param before what it was a step ago: it stays where neither its cover nor its air is another */
function surroundingsAt(setting: Setting, minute: number, before?: Surroundings): Surroundings {
	const { given, events, simmer_C } = setting;
	const lid = events.lids.findLast(({ at_min }) => at_min <= minute)?.lid ?? given.lid;
	const around_C = airAt(given.heat, events.resets, events.doors, minute, simmer_C);
	if (before && before.lid === lid && before.around_C === around_C) return before;
	return { source: sourceOf({ ...given, lid, around_C }), lid, around_C };
}

/** What joins between two minutes; what joins at the start is in from the start. */
function joinDue({ events }: Setting, state: PanState, from: number, to: number): void {
	for (const addition of events.additions) {
		if (addition.at_min > from && addition.at_min <= to) join(state, addition);
	}
}

/** One step of liquid and meat together, and what steams away in it. */
function stepOnce(setting: Setting, state: PanState, { source, lid }: Surroundings, seconds: number): void {
	const { meat, scratch } = state;
	const isDry = state.water_kg <= setting.dry_kg;
	// A pan that is dry boils no more: what is left in it grows as hot as the oven.
	const ceiling_C = isDry ? Number.POSITIVE_INFINITY : setting.ceiling_C;
	eliminate(meat, seconds, scratch);
	const last = meat.C.length - 1;
	const link = meat.link_WK[last] as number;
	// The surface layer as the liquid sees it: a pull towards `carried`, weakened by `ratio`.
	const pull_WK = link * (1 - (scratch.ratio[last] as number));
	const towards_W = link * (scratch.carried[last] as number);
	const hold_WK = state.capacity_JK / seconds;
	const before_C = state.liquid_C;
	const parts = { hold_WK, pull_WK, towards_W, before_C, source, ceiling_C };
	let steam = evaporation(setting, state, lid);
	let { liquid_C, isLimited } = liquidAfter(parts, steam);
	if (steam.now_W + steam.slope_WK * (liquid_C - before_C) < 0) {
		// It cools so far within the step that nothing steams away.
		steam = NO_STEAM;
		({ liquid_C, isLimited } = liquidAfter(parts, steam));
	}
	const meat_W = pull_WK * liquid_C - towards_W;
	const stored_W = hold_WK * (liquid_C - before_C);
	const surface_W = steam.now_W + steam.slope_WK * (liquid_C - before_C);
	const isHeld = liquid_C >= source.hold_C - 1e-9;
	const asked_W = meat_W + stored_W + surface_W;
	const offered_W = isLimited ? source.most_W : source.coupling_WK * (source.around_C - liquid_C);
	// A held source gives no more than is asked. What another gives beyond it boils off, less what
	// the lid hands back to the oven and the pan never takes up.
	const boil_W = isHeld ? 0 : Math.max(0, offered_W - asked_W) * (1 - LID_HANDS_BACK[lid]);
	const atItsTop = isHeld || liquid_C >= ceiling_C;
	const in_W = atItsTop ? asked_W + boil_W : offered_W;
	substitute(meat, liquid_C, scratch);
	state.liquid_C = liquid_C;
	const wanted_kg = ((surface_W + boil_W) * seconds) / STEAM_J_PER_KG;
	const gone_kg = steamOff(state, wanted_kg);
	// Heat for water that was no longer there stays outside.
	state.heatIn_J += in_W * seconds - (wanted_kg - gone_kg) * STEAM_J_PER_KG;
	weep(setting.given, state);
}

/** What settles the temperature of the liquid in one step. */
interface Step {
	readonly hold_WK: number;
	readonly pull_WK: number;
	readonly towards_W: number;
	readonly before_C: number;
	readonly source: Source;
	readonly ceiling_C: number;
}

/** Where the liquid comes to in a step: between its source, the meat and its own steam. */
function liquidAfter(step: Step, steam: typeof NO_STEAM): { liquid_C: number; isLimited: boolean } {
	const { hold_WK, pull_WK, towards_W, before_C, source, ceiling_C } = step;
	const held_W = hold_WK * before_C + towards_W - steam.now_W + steam.slope_WK * before_C;
	const taken_WK = hold_WK + pull_WK + steam.slope_WK;
	const free_C = (held_W + source.coupling_WK * source.around_C) / (taken_WK + source.coupling_WK);
	const isLimited = source.coupling_WK * (source.around_C - free_C) > source.most_W;
	const unheld_C = isLimited ? (held_W + source.most_W) / taken_WK : free_C;
	return { liquid_C: Math.min(unheld_C, ceiling_C, source.hold_C), isLimited };
}

const NO_STEAM = { now_W: 0, slope_WK: 0 };

function evaporation(setting: Setting, state: PanState, lid: Lid) {
	if (state.water_kg <= 0) return NO_STEAM;
	const { given, flow, dry_kg } = setting;
	const area_m2 = surfaceOf(given.pan, state, given.meat_kg);
	// What no longer covers the floor wets only part of it.
	const wet = Math.min(1, state.water_kg / dry_kg);
	return steamFrom(flow, state.liquid_C, wet * area_m2, given.heat.kind, lid, given.leak);
}

function pointOf(setting: Setting, state: PanState, minute: number, layers: boolean): BraisePoint {
	const { given, events, simmer_C } = setting;
	const { heat } = given;
	return {
		minute,
		liquid_C: state.liquid_C,
		core_C: state.meat.C[0] ?? Number.NaN,
		surface_C: state.meat.C.at(-1) ?? Number.NaN,
		oven_C: heat.kind === "hob" ? state.liquid_C : airAt(heat, events.resets, events.doors, minute, simmer_C),
		liquid_l: Math.max(0, state.water_kg),
		softened: softened(state),
		...(layers ? { layers_C: [...state.meat.C] } : {}),
	};
}
