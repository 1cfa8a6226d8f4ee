import type { Between } from "../heat/index.ts";

/** Every figure of the cooling model, with its unit and where it comes from. @see model, section H */

/** What food is cooled in. */
export const MEDIA = ["walkIn", "blast", "iceWater"] as const;
export type Medium = (typeof MEDIA)[number];

/** From the surface of the food into what it is cooled in, W/m²K: still air, a chiller's wind, stirred ice and water. */
export const FILM_W_PER_M2K: Readonly<Record<Medium, Between>> = {
	walkIn: { low: 6, likely: 8, high: 10 },
	blast: { low: 25, likely: 32, high: 40 },
	iceWater: { low: 150, likely: 250, high: 400 },
};

/** A lid and the air under it keep this much from the top, m²K/W: a hand's breadth of still air and a sheet of steel. */
const UNDER_LID_M2K_PER_W = 0.14;

/** From the top of covered food into what stands round it, W/m²K. */
export function underLid_W_per_M2K(film_W_per_M2K: number): number {
	return 1 / (1 / film_W_per_M2K + UNDER_LID_M2K_PER_W);
}

/** Water with ice in it, where it meets a vessel, °C. */
export const ICED_WATER_C = 1;

/** To melt a kilo of ice, J. */
export const ICE_J_PER_KG = 334_000;
/** A kilo of water by a degree, J. */
export const WATER_J_PER_KGK = 4180;
