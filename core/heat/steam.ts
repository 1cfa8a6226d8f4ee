import { memoise } from "../memoise/index.ts";
import type { Lid } from "../trade/index.ts";
import {
	AIR_HUMIDITY,
	AIR_J_PER_M3K,
	AIR_W_PER_M2K,
	airPressure,
	GAS_J_PER_MOLK,
	KELVIN,
	LID_LETS_OUT,
	STEAM_J_PER_KG,
	vapourPressure,
	WATER_KG_PER_MOL,
} from "./constants.ts";
import type { HeatKind } from "./Heat.ts";

/** Curves are looked up between tenths of a degree. */
const STEP_C = 0.1;
const HOTTEST_C = 100;
/** The flow grows without end towards the boil; so near to it, it boils. */
const LEAST_PA = 250;

/** Heat that steam carries from an open surface, for each W/m²K of the air over it; by temperature. */
export interface SteamFlow {
	/** W for each m² and W/m²K, at tenths of a degree from 0 °C. */
	readonly table: Float64Array;
}

/** A house has one altitude and a few kinds of heat. */
const tables = memoise<string, SteamFlow>(100);

/**
 * Evaporation by diffusion with Stefan flow: the steam that leaves pushes more along, so that
 * the flow grows beyond all bounds towards the boil.
 * `flux = (h / ρc) (M P / RT) ln[(P − p_air) / (P − p)]`, never negative: what would condense is
 * left out.
 *
 * @param humidity share of steam in the air over the pan
 * @see model, section E
 */
export function steamFlow(humidity: number, altitude_m: number): SteamFlow {
	return tables(`${humidity} ${altitude_m}`, () => flowTable(humidity, altitude_m));
}

function flowTable(humidity: number, altitude_m: number): SteamFlow {
	const air_Pa = airPressure(altitude_m);
	const far = Math.log(air_Pa * (1 - Math.min(0.99, humidity)));
	const table = Float64Array.from({ length: HOTTEST_C / STEP_C + 2 }, (_, index) => {
		const celsius = index * STEP_C;
		const near = Math.log(Math.max(LEAST_PA, air_Pa - vapourPressure(celsius)));
		const perVolume = (WATER_KG_PER_MOL * air_Pa) / (GAS_J_PER_MOLK * (celsius + KELVIN));
		return (Math.max(0, far - near) * perVolume * STEAM_J_PER_KG) / AIR_J_PER_M3K;
	});
	return { table };
}

/** Share of steam in the air where nothing else is said. */
export function usualHumidity(kind: HeatKind): number {
	return AIR_HUMIDITY[kind];
}

/** Heat that leaves as steam through a surface under a lid: now, W, and how it grows, W/K. */
export function steamFrom(
	flow: SteamFlow,
	celsius: number,
	surface_m2: number,
	kind: HeatKind,
	lid: Lid,
	leak = 1,
): { now_W: number; slope_WK: number } {
	const perFlow = AIR_W_PER_M2K[kind] * surface_m2 * Math.min(1, LID_LETS_OUT[lid] * leak);
	const at = Math.min(Math.max(celsius, 0), HOTTEST_C) / STEP_C;
	const below = Math.floor(at);
	const low = flow.table[below] as number;
	const rise = (flow.table[below + 1] as number) - low;
	return { now_W: perFlow * (low + (at - below) * rise), slope_WK: (perFlow * rise) / STEP_C };
}
