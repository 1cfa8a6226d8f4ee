import {
	type Addition,
	bodyOf,
	LIQUID_J_PER_KGK,
	MEAT_WATER,
	type PieceHeat,
	pieceHeat,
	type Scratch,
	SOLIDS_J_PER_KGK,
	STEAM_J_PER_KG,
	STEEL_J_PER_KGK,
	scratchFor,
	WEEP_FROM_C,
	WEEP_TO_C,
} from "../heat/index.ts";
import { areaOf, emptyPanWeight, floorArea, heightOf, insideAt, type PanShape } from "../pans/index.ts";
import type { BraiseGiven } from "./BraiseGiven.ts";

/** What a pan holds at one moment: liquid, vegetables and steel as one body, meat as layers. */
export interface PanState {
	readonly meat: PieceHeat;
	readonly scratch: Scratch;
	/** The warmest that each layer has been, for the juice it has let go, °C. */
	readonly warmest: Float64Array;
	/** What is left of each layer's resistance to a probe, 1 when raw. */
	readonly resists: Float64Array;
	liquid_C: number;
	/** Water in the pan that can steam away, kg: poured and juice. */
	water_kg: number;
	/** Vegetables in the liquid, kg. */
	vegetables_kg: number;
	/** Heat of liquid, vegetables and steel for a degree, J/K. */
	capacity_JK: number;
	juice_kg: number;
	heatIn_J: number;
	steam_kg: number;
	heatSteam_J: number;
	addedHeat_J: number;
	addedWater_kg: number;
	/** The free surface, and at how much of contents it was measured. */
	surface_m2: number;
	measuredAt_l: number;
}

const MM2_PER_M2 = 1e6;

export function startOf(given: BraiseGiven): PanState {
	const { liquid_l, vegetables_kg = 0, pan, sides, meat_kg, boneShare = 0 } = given;
	const meat = pieceHeat({
		body: bodyOf(sides),
		weight_kg: meat_kg,
		boneShare,
		start_C: given.start.meat_C,
	});
	return {
		meat,
		scratch: scratchFor(meat),
		warmest: new Float64Array(meat.C.length).fill(given.start.meat_C),
		resists: new Float64Array(meat.C.length).fill(1),
		liquid_C: given.start.liquid_C,
		water_kg: liquid_l,
		vegetables_kg,
		capacity_JK: (liquid_l + vegetables_kg) * LIQUID_J_PER_KGK + emptyPanWeight(pan) * STEEL_J_PER_KGK,
		juice_kg: 0,
		heatIn_J: 0,
		steam_kg: 0,
		heatSteam_J: 0,
		addedHeat_J: 0,
		addedWater_kg: 0,
		surface_m2: 0,
		measuredAt_l: Number.NEGATIVE_INFINITY,
	};
}

/** Heat above 0 °C in liquid, steel and meat, J. */
export function storedHeat({ meat, capacity_JK, liquid_C }: PanState): number {
	let sum = capacity_JK * liquid_C;
	for (const [layer, C] of meat.C.entries()) sum += C * (meat.capacity_JK[layer] as number);
	return sum;
}

/** Water leaves at the liquid's temperature and takes its heat along. @returns kg that left */
export function steamOff(state: PanState, kg: number): number {
	const gone = Math.min(kg, Math.max(0, state.water_kg));
	state.water_kg -= gone;
	state.steam_kg += gone;
	state.heatSteam_J += gone * (STEAM_J_PER_KG + LIQUID_J_PER_KGK * state.liquid_C);
	state.capacity_JK -= gone * LIQUID_J_PER_KGK;
	return gone;
}

const USUAL_LOSS = 0.36;

/**
 * Heat that a kilo of juice takes along, J/kgK: water first, and when there is no more of that,
 * what solids have. So a piece that loses nine tenths still holds heat of its own.
 */
function juiceHeat(loss: number): number {
	if (loss <= 0) return LIQUID_J_PER_KGK;
	const water = Math.min(loss, MEAT_WATER);
	return (water * LIQUID_J_PER_KGK + (loss - water) * SOLIDS_J_PER_KGK) / loss;
}

/** Juice runs out of each layer as it is heated, and takes the heat it has with it into the liquid. */
export function weep(given: BraiseGiven, state: PanState): void {
	const { meat, warmest, scratch } = state;
	// The middle is the last to warm up: when it has let go of its juice, all have.
	if ((warmest[meat.meatFrom] as number) >= WEEP_TO_C) return;
	const loss = given.cookingLoss ?? USUAL_LOSS;
	const most_kg = loss * given.meat_kg * (1 - (given.boneShare ?? 0));
	const perKg_JK = juiceHeat(loss);
	for (let layer = meat.meatFrom; layer < warmest.length; layer += 1) {
		const C = meat.C[layer] as number;
		const before = warmest[layer] as number;
		if (C <= before) continue;
		warmest[layer] = C;
		const juice_kg = most_kg * (meat.share[layer] as number) * (runAt(C) - runAt(before));
		if (juice_kg === 0) continue;
		const moved_JK = juice_kg * perKg_JK;
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
function mixIn(state: PanState, more_JK: number, temp_C: number): void {
	const whole_JK = state.capacity_JK + more_JK;
	state.liquid_C = (state.capacity_JK * state.liquid_C + more_JK * temp_C) / whole_JK;
	state.capacity_JK = whole_JK;
}

/** What joins late mixes with the liquid and brings its water. */
export function join(state: PanState, { kg, temp_C, water, gives }: Addition): void {
	const more_JK = kg * (water * LIQUID_J_PER_KGK + (1 - water) * SOLIDS_J_PER_KGK);
	mixIn(state, more_JK, temp_C);
	state.addedHeat_J += more_JK * temp_C;
	state.water_kg += kg * gives;
	state.addedWater_kg += kg * gives;
	state.vegetables_kg += kg * (1 - gives);
	state.measuredAt_l = Number.NEGATIVE_INFINITY;
}

/** Water that only just covers the floor, mm: with less the pan is dry. */
const DRY_FILM_MM = 0.5;

/** Water below which a pan is dry, kg. */
export function dryBelow(pan: PanShape): number {
	return (floorArea(pan) * DRY_FILM_MM) / MM2_PER_M2;
}

/** The surface is measured anew when the contents have changed by so much, l. */
const REMEASURE_L = 0.05;

/** Free surface at the height to which the contents stand, m². */
export function surfaceOf(pan: PanShape, state: PanState, meat_l: number): number {
	const contents_l = state.water_kg + state.vegetables_kg + meat_l;
	if (Math.abs(contents_l - state.measuredAt_l) > REMEASURE_L) {
		state.measuredAt_l = contents_l;
		state.surface_m2 = areaOf(insideAt(pan, heightOf(pan, contents_l))) / MM2_PER_M2;
	}
	return state.surface_m2;
}
