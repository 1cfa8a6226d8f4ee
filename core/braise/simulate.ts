import { areaOf, depthOf, emptyPanWeight, heightOf, insideAt, type PanShape } from "../pans/index.ts";
import type { Lid } from "../trade/index.ts";
import type { BraiseGiven, BraiseLedger, BraisePoint, Heat } from "./BraiseGiven.ts";
import { cutFactor } from "./cutFactors.ts";
import {
	AIR_J_PER_M3K,
	AIR_W_PER_M2K,
	BATH_W_PER_M2K,
	BOIL_C,
	GAS_J_PER_MOLK,
	HOB_W,
	LID_GIVES_BACK,
	LID_LETS_OUT,
	LIQUID_J_PER_KGK,
	OVEN_W_PER_M2K,
	PRESSURE_W,
	SIMMER_C,
	SLOW_COOKER_W,
	STEAM_J_PER_KG,
	STEEL_J_PER_KGK,
	vapourPressure,
	WATER_KG_PER_MOL,
	WEEP_FROM_C,
	WEEP_TO_C,
} from "./heatConstants.ts";
import { eliminate, type MeatHeat, meatHeat, type Scratch, scratchFor, substitute } from "./MeatHeat.ts";
import { softeningRate } from "./tenderness.ts";

/** Seconds of one step. */
export const STEP_S = 20;
/** Minutes after which an oven is hot again when its door was opened. */
const RECOVERY_MIN = 5;
/** Room humidity carried by the oven's air hardly matters beside boiling liquid; taken as this, Pa. */
const AIR_PA = 3000;
const MM2_PER_M2 = 1e6;
const KELVIN = 273.15;

/** Where heat comes from: from surroundings of a temperature, or by a power up to a temperature. */
interface Source {
	readonly around_C: number;
	readonly coupling_WK: number;
	readonly most_W: number;
	/** The liquid is held at this and no more heat is taken. */
	readonly hold_C: number;
}

/** What the pan stands in and what lies on it. */
interface Surroundings {
	readonly source: Source;
	readonly lid: Lid;
}

function surroundingsAt(given: BraiseGiven, minute: number): Surroundings {
	return { source: sourceAt(given, minute), lid: lidAt(given, minute) };
}

interface State {
	readonly meat: MeatHeat;
	readonly scratch: Scratch;
	/** The warmest that each layer has been, for the juice it has let go, °C. */
	readonly warmest: Float64Array;
	liquid_C: number;
	/** Softening of the middle so far. */
	softened: number;
	/** Water in the pan that can steam away, kg: poured and juice. */
	water_kg: number;
	/** Heat of liquid, vegetables and steel for a degree, J/K. */
	capacity_JK: number;
	juice_kg: number;
	heatIn_J: number;
	steam_kg: number;
	heatSteam_J: number;
	addedHeat_J: number;
	addedWater_kg: number;
	/** The free surface, and at how much water it was measured. */
	surface_m2: number;
	measuredAt_kg: number;
}

export interface Simulated {
	readonly points: readonly BraisePoint[];
	readonly dryAt_min: number | null;
	readonly peakLiquid_C: number;
	readonly ledger: BraiseLedger;
	/** Minute at which so much softening was reached; null when it was not. */
	reached(softening: number): number | null;
	/** Litres left, and litres that have steamed away, at a minute. */
	leftAt(minute: number): number;
	steamAt(minute: number): number;
	/** Heat that has come in from outside, kJ, at a minute. */
	heatAt(minute: number): number;
}

export interface SimulateOptions {
	readonly minutes: number;
	readonly step_s?: number;
	/** Softening after which nothing more is asked. */
	readonly until?: number;
	/** Minutes between the points that are kept. */
	readonly every_min?: number;
	/** Whether the points tell every layer of the meat. */
	readonly layers?: boolean;
}

/**
 * One pan through time: heat from its source into liquid and steel, from there through a film
 * into the layers of the meat, out again as steam. Each step is solved backwards in time for
 * liquid and meat together, so the balance of heat and water closes and no step is unstable.
 *
 * @see model, section E
 */
export function simulate(given: BraiseGiven, options: SimulateOptions): Simulated {
	const step_s = options.step_s ?? STEP_S;
	const every_min = options.every_min ?? 1;
	const state = startOf(given);
	const stored_J = storedHeat(state);
	const water_kg = state.water_kg;
	const factor = cutFactor(given.cut);
	const steps = Math.ceil((options.minutes * 60) / step_s);
	const { layers = false } = options;
	const points: BraisePoint[] = [pointOf(given, state, 0, layers)];
	let curve = curveOf(steps, step_s / 60, state.water_kg);
	// Without a door, a reset or a new lid the surroundings are the same at every step.
	const changes = (given.doors ?? given.resets ?? given.lids) !== undefined;
	let around = surroundingsAt(given, 0);
	let dryAt_min: number | null = null;
	let peak = state.liquid_C;
	let kept_min = 0;
	for (let step = 1; step <= steps; step += 1) {
		const minute = (step * step_s) / 60;
		addLate(given, state, minute - step_s / 60, minute);
		if (changes) around = surroundingsAt(given, minute);
		stepOnce(given, state, around, step_s);
		const softened = soften(state, factor, step_s);
		peak = Math.max(peak, state.liquid_C);
		curve.softened[step] = softened;
		curve.water_kg[step] = state.water_kg;
		curve.steam_kg[step] = state.steam_kg;
		curve.heat_J[step] = state.heatIn_J;
		curve.last = step;
		if (dryAt_min === null && isDry(given.pan, state)) dryAt_min = minute;
		if (minute - kept_min >= every_min - 1e-9) {
			points.push(pointOf(given, state, minute, layers));
			kept_min = minute;
		}
		if (options.until !== undefined && softened >= options.until) break;
	}
	curve = untilLast(curve);
	return {
		points,
		dryAt_min,
		peakLiquid_C: peak,
		ledger: {
			heatIn_kJ: (state.heatIn_J + state.addedHeat_J) / 1000,
			heatSteam_kJ: state.heatSteam_J / 1000,
			heatStored_kJ: (storedHeat(state) - stored_J) / 1000,
			waterIn_kg: water_kg + state.juice_kg + state.addedWater_kg,
			waterSteam_kg: state.steam_kg,
			waterLeft_kg: state.water_kg,
		},
		reached: (softening) => crossing(curve, softening),
		leftAt: (minute) => curve.water_kg[stepAt(curve, minute)] ?? 0,
		steamAt: (minute) => curve.steam_kg[stepAt(curve, minute)] ?? 0,
		heatAt: (minute) => (curve.heat_J[stepAt(curve, minute)] ?? 0) / 1000,
	};
}

function startOf(given: BraiseGiven): State {
	const meat = meatHeat(given.shape, given.thickness_mm, given.meat_kg, given.start.meat_C);
	const { liquid_l, vegetables_kg = 0, pan } = given;
	return {
		meat,
		scratch: scratchFor(meat),
		softened: 0,
		warmest: new Float64Array(meat.C.length).fill(given.start.meat_C),
		liquid_C: given.start.liquid_C,
		water_kg: liquid_l,
		capacity_JK: (liquid_l + vegetables_kg) * LIQUID_J_PER_KGK + emptyPanWeight(pan) * STEEL_J_PER_KGK,
		juice_kg: 0,
		heatIn_J: 0,
		steam_kg: 0,
		heatSteam_J: 0,
		addedHeat_J: 0,
		addedWater_kg: 0,
		surface_m2: 0,
		measuredAt_kg: Number.NEGATIVE_INFINITY,
	};
}

/** Heat above 0 °C in liquid, steel and meat, J. */
function storedHeat({ meat, capacity_JK, liquid_C }: State): number {
	let sum = capacity_JK * liquid_C;
	for (const [layer, C] of meat.C.entries()) sum += C * (meat.capacity_JK[layer] as number);
	return sum;
}

/** One step of liquid and meat together, and what steams away in it. */
function stepOnce(given: BraiseGiven, state: State, around: Surroundings, seconds: number): void {
	const { source, lid } = around;
	// A pan that is dry boils no more: what is left in it grows as hot as the oven.
	const ceiling_C = isDry(given.pan, state) ? Number.POSITIVE_INFINITY : ceilingOf(given.heat);
	const { meat, scratch } = state;
	eliminate(meat, seconds, scratch);
	const last = meat.C.length - 1;
	const link = meat.link_WK[last] as number;
	// The surface layer as the liquid sees it: a pull towards `carried`, weakened by `ratio`.
	const pull_WK = link * (1 - (scratch.ratio[last] as number));
	const towards_W = link * (scratch.carried[last] as number);
	const hold_WK = state.capacity_JK / seconds;
	const steam = evaporation(given, state, lid);
	const free_C =
		(hold_WK * state.liquid_C +
			source.coupling_WK * source.around_C +
			towards_W -
			steam.now_W +
			steam.slope_WK * state.liquid_C) /
		(hold_WK + source.coupling_WK + pull_WK + steam.slope_WK);
	const limited = limitedByPower(source, free_C);
	const unlimited_C = limited
		? (hold_WK * state.liquid_C + source.most_W + towards_W - steam.now_W + steam.slope_WK * state.liquid_C) /
			(hold_WK + pull_WK + steam.slope_WK)
		: free_C;
	const before_C = state.liquid_C;
	const liquid_C = Math.min(unlimited_C, ceiling_C, source.hold_C);
	const given_W = limited ? source.most_W : source.coupling_WK * (source.around_C - liquid_C);
	const meat_W = pull_WK * liquid_C - towards_W;
	const surfaceSteam_W = Math.max(0, steam.now_W + steam.slope_WK * (liquid_C - before_C));
	const stored_W = hold_WK * (liquid_C - before_C);
	// What is left over at the ceiling boils off, less what the lid gives back; a held source gives no more than is needed.
	const surplus_W = Math.max(0, given_W - meat_W - surfaceSteam_W - stored_W);
	const isHeld = liquid_C >= source.hold_C - 1e-9;
	const most_W = (Math.max(0, state.water_kg) * STEAM_J_PER_KG) / seconds;
	const boil_W = isHeld ? 0 : Math.min(most_W, surplus_W * (1 - LID_GIVES_BACK[lid]));
	substitute(meat, liquid_C, scratch);
	state.liquid_C = liquid_C;
	state.heatIn_J += (meat_W + stored_W + surfaceSteam_W + boil_W) * seconds;
	steamOff(state, ((surfaceSteam_W + boil_W) * seconds) / STEAM_J_PER_KG);
	weep(given, state);
}

/** Water leaves at the liquid's temperature and takes its heat along. */
function steamOff(state: State, kg: number): void {
	const gone = Math.min(kg, Math.max(0, state.water_kg));
	state.water_kg -= gone;
	state.steam_kg += gone;
	state.heatSteam_J += kg * STEAM_J_PER_KG + gone * LIQUID_J_PER_KGK * state.liquid_C;
	state.capacity_JK -= gone * LIQUID_J_PER_KGK;
}

/** Juice runs out of each layer as it is heated, and takes the heat it has with it into the liquid. */
function weep(given: BraiseGiven, state: State): void {
	const most_kg = (given.cookingLoss ?? USUAL_LOSS) * given.meat_kg;
	const { meat, warmest, scratch } = state;
	// The middle is the last to warm up: when it has let go of its juice, all have.
	if ((warmest[0] as number) >= WEEP_TO_C) return;
	for (let layer = 0; layer < warmest.length; layer += 1) {
		const C = meat.C[layer] as number;
		const before = warmest[layer] as number;
		if (C <= before) continue;
		warmest[layer] = C;
		const juice_kg = most_kg * (meat.share[layer] as number) * (runAt(C) - runAt(before));
		if (juice_kg === 0) continue;
		const moved_JK = juice_kg * LIQUID_J_PER_KGK;
		meat.capacity_JK[layer] = (meat.capacity_JK[layer] as number) - moved_JK;
		scratch.seconds = 0;
		mixIn(state, moved_JK, C);
		state.water_kg += juice_kg;
		state.juice_kg += juice_kg;
	}
}

/** Share of its juice that meat has let go when it has been this warm. */
function runAt(celsius: number): number {
	return Math.min(1, Math.max(0, (celsius - WEEP_FROM_C) / (WEEP_TO_C - WEEP_FROM_C)));
}

/** Something of another temperature joins the liquid. */
function mixIn(state: State, more_JK: number, temp_C: number): void {
	const whole_JK = state.capacity_JK + more_JK;
	state.liquid_C = (state.liquid_C * state.capacity_JK + temp_C * more_JK) / whole_JK;
	state.capacity_JK = whole_JK;
}

/** Cooking loss where none is given: the middle of braised cuts. */
const USUAL_LOSS = 0.36;

interface Steam {
	/** Heat that steams away at the liquid's present temperature, W, and by how much more for each degree. */
	readonly now_W: number;
	readonly slope_WK: number;
}

const NO_STEAM: Steam = { now_W: 0, slope_WK: 0 };

function evaporation(given: BraiseGiven, state: State, lid: Lid): Steam {
	const open = LID_LETS_OUT[lid];
	if (open === 0 || state.water_kg <= 0) return NO_STEAM;
	const area_m2 = surfaceOf(given.pan, state, (given.vegetables_kg ?? 0) + given.meat_kg);
	// What no longer covers the floor wets only part of it.
	const wet = Math.min(1, state.water_kg / filmOf(given.pan));
	const perFlux = open * wet * area_m2 * AIR_W_PER_M2K[given.heat.kind];
	const at = Math.min(Math.max(0, state.liquid_C), HOTTEST_C - 1) / TABLE_STEP_C;
	const below = Math.floor(at);
	const low = FLUXES[below] as number;
	const rise = (FLUXES[below + 1] as number) - low;
	return { now_W: perFlux * (low + (at - below) * rise), slope_WK: (perFlux * rise) / TABLE_STEP_C };
}

/** Heat that steam carries from a square metre, for each W/m²K of the air over it. */
function steamFlux(celsius: number): number {
	const pressure = Math.max(0, vapourPressure(celsius) - AIR_PA);
	const perPa = WATER_KG_PER_MOL / (GAS_J_PER_MOLK * (celsius + KELVIN)) / AIR_J_PER_M3K;
	return perPa * pressure * STEAM_J_PER_KG;
}

/** Water that only just covers the floor, mm: with less the pan is dry. */
const DRY_FILM_MM = 0.5;

function filmOf(pan: PanShape): number {
	return (areaOf(insideAt(pan, 0)) * DRY_FILM_MM) / MM2_PER_M2;
}

function isDry(pan: PanShape, { water_kg }: State): boolean {
	return water_kg <= filmOf(pan);
}

/** The surface is measured anew when the water has changed by so much, kg. */
const REMEASURE_KG = 0.05;

/** Free surface at the height to which the contents stand, m². */
function surfaceOf(pan: PanShape, state: State, solid_l: number): number {
	if (Math.abs(state.water_kg - state.measuredAt_kg) > REMEASURE_KG) {
		state.measuredAt_kg = state.water_kg;
		state.surface_m2 = areaOf(insideAt(pan, heightOf(pan, state.water_kg + solid_l))) / MM2_PER_M2;
	}
	return state.surface_m2;
}

/** Floor, walls and top of a pan, through which the oven's heat comes, m². */
export function outsideOf(pan: PanShape): number {
	const floor = insideAt(pan, 0);
	const around_mm =
		floor.kind === "circle" ? Math.PI * floor.diameter_mm : 2 * (floor.length_mm + floor.width_mm);
	return (2 * areaOf(insideAt(pan, depthOf(pan))) + around_mm * depthOf(pan)) / MM2_PER_M2;
}

function limitedByPower(source: Source, liquid_C: number): boolean {
	return source.coupling_WK * (source.around_C - liquid_C) > source.most_W;
}

/** Far enough above any set temperature that only the power limits. */
const FLAME_C = 1000;

function sourceAt(given: BraiseGiven, minute: number): Source {
	const { heat, pan } = given;
	switch (heat.kind) {
		case "stillOven":
		case "fanOven":
			return {
				around_C: ovenAt(given, minute),
				coupling_WK: OVEN_W_PER_M2K[heat.kind] * outsideOf(pan),
				most_W: given.oven ? (given.oven.power_kW * 1000) / given.oven.pans : Number.POSITIVE_INFINITY,
				hold_C: Number.POSITIVE_INFINITY,
			};
		case "waterBath":
			return {
				around_C: setAt(given, minute),
				coupling_WK: BATH_W_PER_M2K * outsideOf(pan),
				most_W: Number.POSITIVE_INFINITY,
				hold_C: Number.POSITIVE_INFINITY,
			};
		case "hob":
			return flame(HOB_W, heat.simmer ? SIMMER_C : BOIL_C);
		case "pressure":
			return flame(PRESSURE_W, setAt(given, minute));
		case "slowCooker":
			return flame(SLOW_COOKER_W, setAt(given, minute));
	}
}

function flame(most_W: number, hold_C: number): Source {
	return { around_C: FLAME_C, coupling_WK: most_W, most_W, hold_C };
}

function setAt({ heat, resets = [] }: BraiseGiven, minute: number): number {
	const first = "set_C" in heat ? heat.set_C : SIMMER_C;
	return resets.reduce((set, reset) => (reset.at_min <= minute ? reset.set_C : set), first);
}

/** The oven's air: what it is set to, less what is left of the doors' draughts. */
export function ovenAt(given: BraiseGiven, minute: number): number {
	const { doors = [] } = given;
	return doors.reduce(
		(C, { at_min, drop_C }) => {
			if (at_min > minute) return C;
			return C - drop_C * Math.exp(-(minute - at_min) / RECOVERY_MIN);
		},
		setAt(given, minute),
	);
}

function lidAt({ lid, lids = [] }: BraiseGiven, minute: number): Lid {
	return lids.reduce((now, change) => (change.at_min <= minute ? change.lid : now), lid);
}

/** The hottest that the liquid becomes: it boils; under pressure, at what that is set to. */
function ceilingOf(heat: Heat): number {
	return heat.kind === "pressure" ? heat.set_C : BOIL_C;
}

/** What joins between two minutes mixes with the liquid. */
function addLate({ additions = [] }: BraiseGiven, state: State, from: number, to: number): void {
	for (const { at_min, kg, temp_C } of additions) {
		if (at_min <= from || at_min > to) continue;
		const more_JK = kg * LIQUID_J_PER_KGK;
		mixIn(state, more_JK, temp_C);
		state.addedHeat_J += more_JK * temp_C;
	}
}

/** Softening goes on by the temperature; a probe finds the middle, which is last to soften. */
function soften(state: State, factor: number, seconds: number): number {
	state.softened += ((factor * seconds) / 60) * tabulatedRate(state.meat.C[0] as number);
	return state.softened;
}

/** Curves are looked up between tenths of a degree; the error is below one in ten thousand. */
const TABLE_STEP_C = 0.1;
const HOTTEST_C = 400;
const table = (of: (celsius: number) => number) =>
	Float64Array.from({ length: HOTTEST_C / TABLE_STEP_C + 1 }, (_, index) => of(index * TABLE_STEP_C));
const RATES = table((celsius) => softeningRate(celsius));
const FLUXES = table(steamFlux);

function tabulatedRate(celsius: number): number {
	const at = Math.min(Math.max(celsius, 0), HOTTEST_C - 1) / TABLE_STEP_C;
	const below = Math.floor(at);
	const low = RATES[below] as number;
	return low + (at - below) * ((RATES[below + 1] as number) - low);
}

function pointOf(given: BraiseGiven, state: State, minute: number, layers: boolean): BraisePoint {
	return {
		minute,
		liquid_C: state.liquid_C,
		core_C: state.meat.C[0] ?? Number.NaN,
		surface_C: state.meat.C.at(-1) ?? Number.NaN,
		oven_C: given.heat.kind === "hob" ? state.liquid_C : ovenAt(given, minute),
		liquid_l: Math.max(0, state.water_kg),
		softened: state.softened,
		...(layers ? { layers_C: [...state.meat.C] } : {}),
	};
}

interface Curve {
	readonly step_min: number;
	readonly softened: Float64Array;
	readonly water_kg: Float64Array;
	readonly steam_kg: Float64Array;
	readonly heat_J: Float64Array;
	/** The last step that was made. */
	last: number;
}

function curveOf(steps: number, step_min: number, water_kg: number): Curve {
	const curve = {
		step_min,
		softened: new Float64Array(steps + 1),
		water_kg: new Float64Array(steps + 1),
		steam_kg: new Float64Array(steps + 1),
		heat_J: new Float64Array(steps + 1),
		last: 0,
	};
	curve.water_kg[0] = water_kg;
	return curve;
}

/** Room was made for the longest; what is kept is only as long as it was. */
function untilLast(curve: Curve): Curve {
	const { last } = curve;
	const trimmed = (values: Float64Array) => values.slice(0, last + 1);
	return {
		...curve,
		softened: trimmed(curve.softened),
		water_kg: trimmed(curve.water_kg),
		steam_kg: trimmed(curve.steam_kg),
		heat_J: trimmed(curve.heat_J),
	};
}

function stepAt({ last, step_min }: Curve, minute: number): number {
	return Math.min(last, Math.round(minute / step_min));
}

/** Minute at which the softening passes a value; it only grows, so it is found by halving. */
function crossing({ softened, step_min, last }: Curve, wanted: number): number | null {
	if ((softened[last] as number) < wanted) return null;
	let low = 0;
	let high = last;
	while (high - low > 1) {
		const middle = (low + high) >> 1;
		if ((softened[middle] as number) >= wanted) high = middle;
		else low = middle;
	}
	const before = softened[low] as number;
	const share = (wanted - before) / ((softened[high] as number) - before);
	return (low + share * (high - low)) * step_min;
}
