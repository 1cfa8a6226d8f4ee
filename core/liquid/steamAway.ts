import type { Lid } from "../recipe/index.ts";

/**
 * What steams away from a pan in a moderate oven (140 to 160 °C), kg for each square metre of
 * surface and hour, by what covers it. General practice, about a third of a litre an hour from
 * an open gastronorm 1/1.
 */
export const STEAM_KG_PER_M2_H: Readonly<Record<Lid, number>> = {
	open: 2.6,
	paper: 1.2,
	foil: 0.35,
	lid: 0.25,
	sealed: 0.02,
};

/** Litres that a surface gives off in so many minutes under a lid. */
export function steamAway(surface_m2: number, lid: Lid, minutes: number): number {
	return (STEAM_KG_PER_M2_H[lid] * surface_m2 * minutes) / 60;
}
