/** Every figure of the heat model, with its unit and where it comes from. */

import type { HeatKind } from "./Heat.ts";

/** Meat: conductivity W/mK, density kg/m³, heat J/kgK. @see model, section E */
export const MEAT_W_PER_MK = 0.48;
export const MEAT_KG_PER_M3 = 1050;
export const MEAT_J_PER_KGK = 3500;
/** Water in meat as a share of its weight, and the heat of its solids, J/kgK (usual tables of foods). */
export const MEAT_WATER = 0.74;
export const SOLIDS_J_PER_KGK = 1600;

/** Bone: density kg/m³ and heat J/kgK (model, section E); conductivity W/mK, between dense and spongy bone. */
export const BONE_KG_PER_M3 = 1400;
export const BONE_J_PER_KGK = 1900;
export const BONE_W_PER_MK = 0.5;

/** Liquid as water: heat J/kgK; heat of evaporation J/kg (steam tables, 1 atm). */
export const LIQUID_J_PER_KGK = 4180;
export const STEAM_J_PER_KG = 2_257_000;

/** Stainless steel, J/kgK. */
export const STEEL_J_PER_KGK = 500;

/**
 * Film between the liquid and the meat, W/m²K: a lazy blip, pieces close together; the lower
 * part of 200 to 600. @see model, section E
 */
export const LIQUID_FILM_W_PER_M2K = 250;

/**
 * From the oven's air through an open pan into the liquid, W/m²K: still 12 to 18, fan 20 to 35.
 * @see model, section E
 */
export const OVEN_W_PER_M2K = { stillOven: 18, fanOven: 28 } as const;

/**
 * What a cover leaves of the heat that comes from the oven: it keeps a layer of still air or
 * steam between the oven and the liquid, and stands off from the walls. General practice.
 */
export const LID_LETS_IN = { open: 1, paper: 0.9, foil: 0.65, lid: 0.62, sealed: 0.62 } as const;

/**
 * Share of the surplus at the boil that a lid hands back to the oven, so that the pan takes up
 * less: set so that a covered pan of GN 1/1 steams away 0.15 to 0.25 l an hour in a still oven at
 * 150 °C, as kitchens see it.
 */
export const LID_HANDS_BACK = { open: 0, paper: 0.2, foil: 0.6, lid: 0.65, sealed: 1 } as const;

/** Share of the steam that a lid lets out below the boil, against an open pan. General practice. */
export const LID_LETS_OUT = { open: 1, paper: 0.15, foil: 0.02, lid: 0.015, sealed: 0 } as const;

/** Convection alone from the oven's air over an open surface, W/m²K; it carries the steam away. */
export const AIR_W_PER_M2K = {
	stillOven: 6,
	fanOven: 16,
	hob: 5,
	slowCooker: 4,
	waterBath: 5,
	pressure: 0,
} as const;

/**
 * Share of steam in the air over the pan. A closed oven keeps much of what its pans give off, a
 * fan oven vents more of it, a kitchen is nearly dry. Set together with the heat that comes in,
 * so that an open pan in a still oven at 150 °C settles at 80 to 90 °C.
 */
export const AIR_HUMIDITY = {
	stillOven: 0.52,
	fanOven: 0.5,
	hob: 0.03,
	slowCooker: 0.03,
	waterBath: 0.03,
	pressure: 1,
} as const;

/** Molar masses and the gas constant turn a vapour pressure into a flow of steam. */
export const WATER_KG_PER_MOL = 0.018015;
export const GAS_J_PER_MOLK = 8.314;
/** Heat of air, J/m³K at about 100 °C. */
export const AIR_J_PER_M3K = 955;
export const KELVIN = 273.15;

/** Pressure at the sea, Pa. */
export const SEA_PA = 101_325;

/** A bare simmer stands so far below the boil, K, and wanders by so much. General practice. */
export const SIMMER_BELOW_BOIL_K = 2;

/** Power that brings a pot or a cooker up, W, net. General practice. */
export const HOB_W = 2500;
export const PRESSURE_W = 1200;
export const SLOW_COOKER_W = 280;
/** A stirred bath into a bag or a pan, W/m²K. */
export const BATH_W_PER_M2K = 250;

/** Juice leaves the meat while it heats, from the first to the last of these, °C: proteins shrink. */
export const WEEP_FROM_C = 45;
export const WEEP_TO_C = 85;

/** Vapour pressure of water, Pa, at °C (Antoine, 1 to 100 °C and above, to 1 %). */
export function vapourPressure(celsius: number): number {
	const mmHg = 10 ** (8.07131 - 1730.63 / (233.426 + celsius));
	return mmHg * 133.322;
}

/** Pressure of the air so many metres above the sea, Pa (international standard atmosphere). */
export function airPressure(altitude_m: number): number {
	return SEA_PA * (1 - 2.25577e-5 * altitude_m) ** 5.25588;
}

/** Where water boils so many metres above the sea, °C: the Antoine equation the other way round. */
export function boilingPoint(altitude_m = 0): number {
	const atSea = antoine(SEA_PA);
	// The equation is a hair off at the sea, where it is known best.
	return 100 + antoine(airPressure(altitude_m)) - atSea;
}

function antoine(pascal: number): number {
	return 1730.63 / (8.07131 - Math.log10(pascal / 133.322)) - 233.426;
}

/** Heat that gets into a pan: where it stands, how its floor lies. A factor. */
export const COUPLING_SPREAD = 0.2;
/** °C, by how well the temperature is held. */
export const HEAT_SPREAD_C: Readonly<Record<HeatKind, number>> = {
	stillOven: 8,
	fanOven: 8,
	hob: 2,
	waterBath: 1,
	pressure: 2,
	slowCooker: 4,
};
