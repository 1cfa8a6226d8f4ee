/** Every figure of the cooling model, with its unit and where it comes from. @see model, section H */

export interface Between {
	readonly low: number;
	readonly likely: number;
	readonly high: number;
}

/** What food is cooled in. */
export const MEDIA = ["walkIn", "blast", "iceWater"] as const;
export type Medium = (typeof MEDIA)[number];

/** From the surface of the food into what it is cooled in, W/m²K: still air, a chiller's wind, stirred ice and water. */
export const FILM_W_PER_M2K: Readonly<Record<Medium, Between>> = {
	walkIn: { low: 6, likely: 8, high: 10 },
	blast: { low: 25, likely: 32, high: 40 },
	iceWater: { low: 150, likely: 250, high: 400 },
};

/** How food is: whether it moves while it cools. */
export const CONSISTENCIES = ["liquid", "stew", "solid"] as const;
export type Consistency = (typeof CONSISTENCIES)[number];

/** Heat through food that has set, W/mK: gelled stew 0.5 to 0.6, solid meat a little less, stock a little more. */
export const SET_W_PER_MK: Readonly<Record<Consistency, Between>> = {
	liquid: { low: 0.55, likely: 0.6, high: 0.65 },
	stew: { low: 0.5, likely: 0.55, high: 0.6 },
	solid: { low: 0.48, likely: 0.53, high: 0.58 },
};

/**
 * How many times as well heat goes through food that is hot and still moves: stock turns over by
 * itself, the liquid between pieces does so a little, a solid block does not.
 */
export const MOVES_TIMES: Readonly<Record<Consistency, number>> = { liquid: 3, stew: 1.6, solid: 1 };

/** Below the first gelatin has set and nothing moves; above the second everything does, °C. General practice. */
export const SETS_C = 20;
export const MOVES_C = 45;

/** Stew: kg/m³ and J/kgK; nearly that of its water. */
export const FOOD_KG_PER_M3 = 1050;
export const FOOD_J_PER_KGK = 3600;

/** A lid and the air under it keep this much from the top, m²K/W: a hand's breadth of still air and a sheet of steel. */
export const UNDER_LID_M2K_PER_W = 0.14;

/** To melt a kilo of ice, J. */
export const ICE_J_PER_KG = 334_000;
/** A kilo of water by a degree, J. */
export const WATER_J_PER_KGK = 4180;
