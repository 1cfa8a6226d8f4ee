import { FOOD_J_PER_KGK } from "../heat/index.ts";
import { ICE_J_PER_KG, WATER_J_PER_KGK } from "./constants.ts";

/**
 * How warm food is when a part of its stock goes in as ice.
 *
 * @param hot_kg food without the ice
 * @param ice_kg at 0 °C
 * @returns °C once it is melted and stirred; 0 where some of it stays ice
 */
export function withIce(hot_kg: number, hot_C: number, ice_kg: number): number {
	const heat_J = hot_kg * FOOD_J_PER_KGK * hot_C - ice_kg * ICE_J_PER_KG;
	return Math.max(0, heat_J / (hot_kg * FOOD_J_PER_KGK + ice_kg * WATER_J_PER_KGK));
}

/** How much ice brings food down to a temperature, kg. */
export function iceFor(hot_kg: number, hot_C: number, to_C: number): number {
	if (to_C >= hot_C) return 0;
	return (hot_kg * FOOD_J_PER_KGK * (hot_C - to_C)) / (ICE_J_PER_KG + WATER_J_PER_KGK * to_C);
}
