import { figure, most, multiply, subtract, type Working, working } from "../workings/index.ts";
import type { Thickening } from "./schemas.ts";

/**
 * Grams for a litre of light nappé: the middle of what kitchens use. Starch 18 to 25 g,
 * roux 50 to 60 g of flour, kneaded butter 35 g of flour, each with as much fat.
 * @see model, section G
 */
export const STARCH_G_PER_L = 21.5;
export const ROUX_FLOUR_G_PER_L = 55;
export const KNEADED_FLOUR_G_PER_L = 35;

/** Water a starch is slaked in, by weight. */
export const SLURRY_WATER = 2;

export interface Thickened {
	readonly starch_g?: number;
	/** Cold water for the slurry, g. */
	readonly water_g?: number;
	readonly flour_g?: number;
	readonly fat_g?: number;
	/** Whether no wheat flour is in the sauce, from the thickener or from dredging. */
	readonly glutenFree: boolean;
	/** How the starch or the flour came to what it is. */
	readonly sum: Working;
}

/**
 * What gives a sauce light body, less what dredging has brought already. Flour binds
 * less than starch by weight, so flour on the meat stands for its share of starch.
 *
 * @see model, section G
 */
export function thicken({ sauce_l, method, dredged_g = 0 }: Thickening): Thickened {
	if (method === "starch") {
		const stands_g = dredged_g * (STARCH_G_PER_L / ROUX_FLOUR_G_PER_L);
		const sum = thickener("orStarch", sauce_l, STARCH_G_PER_L, stands_g);
		const starch_g = sum.result.value * 1000;
		return { starch_g, water_g: starch_g * SLURRY_WATER, glutenFree: dredged_g === 0, sum };
	}
	const isRoux = method === "roux";
	const perLitre = isRoux ? ROUX_FLOUR_G_PER_L : KNEADED_FLOUR_G_PER_L;
	const sum = thickener(isRoux ? "orRoux" : "orKneaded", sauce_l, perLitre, dredged_g);
	const flour_g = sum.result.value * 1000;
	return { flour_g, fat_g: flour_g, glutenFree: false, sum };
}

/** So much a litre, less what is in it already. */
function thickener(key: string, sauce_l: number, perLitre_g: number, there_g: number): Working {
	const all = multiply(figure(sauce_l, "l", "sauce"), figure(perLitre_g / 1000, "kg/l", "aLitre"));
	const less = most(subtract(all, figure(there_g / 1000, "kg", "flourInIt")), figure(0, "kg"));
	return working(key, there_g > 0 ? less : all, "kg");
}
