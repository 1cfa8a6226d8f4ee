/** Food that has been cooked: a stew, a stock, a joint. @see model, section H */

/** A figure that is not known for certain: a likely case and its two ends. */
export interface Between {
	readonly low: number;
	readonly likely: number;
	readonly high: number;
}

/** How well heat goes: as badly as it may, as it likely does, as well as it may. */
export type HeatCase = keyof Between;

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

/**
 * Heated from its floor and walls, food that flows turns over more than while it cools: so many times as
 * well as set at the second temperature, W/mK against W/mK. Set by trays of stew in a fan oven: GN 1/1,
 * covered with foil, 46, 76, 118 and 159 mm deep. @see model, section H
 */
export const TURNS_TIMES: Readonly<Record<Consistency, number>> = { liquid: 5, stew: 2.5, solid: 1 };
export const TURNS_C = 65;

/** Heat through food by its temperature: better while it is hot and moves, W/mK. */
export function conductivityOf(consistency: Consistency, which: HeatCase = "likely"): (C: number) => number {
	const set = SET_W_PER_MK[consistency][which];
	const more = set * (MOVES_TIMES[consistency] - 1);
	return (C) => set + more * shareOf(C, SETS_C, MOVES_C);
}

/** The same while it is heated from below and from its sides. */
export function heatedConductivityOf(
	consistency: Consistency,
	which: HeatCase = "likely",
): (C: number) => number {
	const cooled = conductivityOf(consistency, which);
	const more = SET_W_PER_MK[consistency][which] * (TURNS_TIMES[consistency] - MOVES_TIMES[consistency]);
	return (C) => cooled(C) + more * shareOf(C, MOVES_C, TURNS_C);
}

function shareOf(C: number, from: number, to: number): number {
	return Math.min(1, Math.max(0, (C - from) / (to - from)));
}
