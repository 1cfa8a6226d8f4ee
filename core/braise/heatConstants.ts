/** Every figure of the heat model, with its unit and where it comes from. */

/** Meat: conductivity W/mK, density kg/m³, heat kJ/kgK. @see model, section E */
export const MEAT_W_PER_MK = 0.48;
export const MEAT_KG_PER_M3 = 1050;
export const MEAT_J_PER_KGK = 3500;

/** Liquid as water: heat J/kgK; heat of evaporation J/kg (steam tables, 1 atm). */
export const LIQUID_J_PER_KGK = 4180;
export const STEAM_J_PER_KG = 2_257_000;

/** Stainless steel, J/kgK. */
export const STEEL_J_PER_KGK = 500;

/** Film between the liquid and the meat, W/m²K: a lazy blip, pieces close together; the lower part of 200 to 600. @see model, section E */
export const LIQUID_FILM_W_PER_M2K = 250;

/** From the oven's air through the pan into the liquid, W/m²K: still 12 to 18, fan 20 to 35. @see model, section E */
export const OVEN_W_PER_M2K = { stillOven: 15, fanOven: 27 } as const;

/** Convection alone from the oven's air over an open surface, W/m²K; it carries the steam away. */
export const AIR_W_PER_M2K = {
	stillOven: 8,
	fanOven: 18,
	hob: 5,
	slowCooker: 4,
	waterBath: 5,
	pressure: 0,
} as const;

/** Molar masses and the gas constant turn a vapour pressure into a flow of steam. */
export const WATER_KG_PER_MOL = 0.018015;
export const GAS_J_PER_MOLK = 8.314;
/** Heat of air, J/m³K at about 100 °C. */
export const AIR_J_PER_M3K = 955;

/** Share of the steam that a lid lets out below the boil, against an open pan. General practice. */
export const LID_LETS_OUT = { open: 1, paper: 0.15, foil: 0.02, lid: 0.015, sealed: 0 } as const;
/** Share of the boiling surplus that the lid gives back before it leaves. General practice. */
export const LID_GIVES_BACK = { open: 0, paper: 0.3, foil: 0.72, lid: 0.78, sealed: 1 } as const;

/** Boiling point at one atmosphere, °C, and the bare simmer that a cook holds on the hob. */
export const BOIL_C = 100;
export const SIMMER_C = 97;

/** Power that brings a pot or a cooker up, W, net. General practice. */
export const HOB_W = 2500;
export const PRESSURE_W = 1500;
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
