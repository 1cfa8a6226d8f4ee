import { areaOf, depthOf, insideAt, type PanShape, perimeterOf } from "../pans/index.ts";
import type { Lid } from "../trade/index.ts";
import {
	BATH_W_PER_M2K,
	boilingPoint,
	HOB_W,
	LID_LETS_IN,
	OVEN_W_PER_M2K,
	PRESSURE_W,
	SIMMER_BELOW_BOIL_K,
	SLOW_COOKER_W,
} from "./constants.ts";
import type { Door, Heat, OvenPower, Reset } from "./Heat.ts";

/** Where heat comes from: from surroundings of a temperature, or by a power up to a temperature. */
export interface Source {
	readonly around_C: number;
	readonly coupling_WK: number;
	readonly most_W: number;
	/** The liquid is held at this and no more heat is taken. */
	readonly hold_C: number;
}

export interface SourceGiven {
	readonly heat: Heat;
	readonly pan: PanShape;
	readonly lid: Lid;
	/** Where the oven really is, or the bath, °C. */
	readonly around_C: number;
	readonly oven?: OvenPower | undefined;
	/** What reaches the floor of a pot or a cooker, kW; the usual of its kind where nothing is said. */
	readonly flame_kW?: number | undefined;
	readonly altitude_m?: number | undefined;
	/** How much better or worse than usual the heat gets in, a factor. */
	readonly coupling?: number | undefined;
}

/** Far enough above any set temperature that only the power limits. */
const FLAME_C = 1000;

/**
 * What heats a pan at one moment. A lid keeps a part of the oven's heat out; in a bath and over
 * a flame it does not matter, for the heat comes through the floor.
 *
 * @see model, section E
 */
export function sourceOf(given: SourceGiven): Source {
	const { heat, pan, lid, around_C, oven, flame_kW, altitude_m, coupling = 1 } = given;
	const flame_W = (usual_W: number) => (flame_kW === undefined ? usual_W : flame_kW * 1000);
	const unlimited = { most_W: Number.POSITIVE_INFINITY, hold_C: Number.POSITIVE_INFINITY };
	switch (heat.kind) {
		case "stillOven":
		case "fanOven": {
			const coupling_WK = filmAround(heat.kind, lid) * outsideOf(pan) * coupling;
			const most_W = oven ? (oven.power_kW * 1000) / oven.pans : Number.POSITIVE_INFINITY;
			return { ...unlimited, around_C, coupling_WK, most_W };
		}
		case "waterBath":
			return { ...unlimited, around_C, coupling_WK: filmAround(heat.kind, lid) * outsideOf(pan) * coupling };
		case "hob":
			return flame(flame_W(HOB_W), heat.simmer ? simmerAt(altitude_m, heat.off_K) : Number.POSITIVE_INFINITY);
		case "pressure":
			return flame(flame_W(PRESSURE_W), around_C);
		case "slowCooker":
			return flame(flame_W(SLOW_COOKER_W), around_C);
	}
}

/** Heat that stands all round a pan, at a temperature: an oven's air, or a bath. */
export interface HeatAround {
	readonly kind: "stillOven" | "fanOven" | "waterBath";
	readonly set_C: number;
}

/** Whether heat stands all round the pan, and does not come through its floor. */
export function isAround(heat: Heat): heat is HeatAround {
	return heat.kind === "stillOven" || heat.kind === "fanOven" || heat.kind === "waterBath";
}

/** Into a pan from what stands round it, W/m²K: from an oven's air, less what the lid keeps out, or from a bath. */
export function filmAround(kind: HeatAround["kind"], lid: Lid): number {
	return kind === "waterBath" ? BATH_W_PER_M2K : OVEN_W_PER_M2K[kind] * LID_LETS_IN[lid];
}

function flame(most_W: number, hold_C: number): Source {
	return { around_C: FLAME_C, coupling_WK: most_W, most_W, hold_C };
}

/** The bare simmer that a cook holds on the hob, °C. */
export function simmerAt(altitude_m = 0, off_K = 0): number {
	return boilingPoint(altitude_m) - Math.max(0, SIMMER_BELOW_BOIL_K - off_K);
}

/** The hottest that the liquid becomes: it boils; under pressure, at what that is set to. */
export function ceilingOf(heat: Heat, altitude_m = 0): number {
	return heat.kind === "pressure" ? heat.set_C : boilingPoint(altitude_m);
}

/** Minutes after which an oven is hot again when its door was opened. */
const RECOVERY_MIN = 5;

/** What it is set to, less what is left of the doors' draughts, °C. */
export function airAt(
	heat: Heat,
	resets: readonly Reset[],
	doors: readonly Door[],
	minute: number,
	simmer_C: number,
): number {
	let C = "set_C" in heat ? heat.set_C : simmer_C;
	for (const { at_min, set_C } of resets) if (at_min <= minute) C = set_C;
	for (const { at_min, drop_C } of doors) {
		if (at_min <= minute) C -= drop_C * Math.exp(-(minute - at_min) / RECOVERY_MIN);
	}
	return C;
}

const MM2_PER_M2 = 1e6;

/** Floor, walls and top of a pan, through which the oven's heat comes, m². */
export function outsideOf(pan: PanShape): number {
	const floor = insideAt(pan, 0);
	return (2 * areaOf(insideAt(pan, depthOf(pan))) + perimeterOf(floor) * depthOf(pan)) / MM2_PER_M2;
}
