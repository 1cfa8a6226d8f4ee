import { refuse } from "../check/index.ts";

/** Two stocks with their gelatin, g a litre, and what is wanted of them. */
export interface StockBlend {
	readonly strong_g_per_l: number;
	readonly light_g_per_l: number;
	readonly wanted_g_per_l: number;
	readonly litres: number;
}

/**
 * A strong and a light stock mixed to a wanted gelatin: a single strong one can smother a dish.
 *
 * @returns litres of each
 * @throws {Refusal} naming `wanted_g_per_l` when it is not between the two
 */
export function blendStock({ strong_g_per_l, light_g_per_l, wanted_g_per_l, litres }: StockBlend): {
	strong_l: number;
	light_l: number;
} {
	const low = Math.min(strong_g_per_l, light_g_per_l);
	const high = Math.max(strong_g_per_l, light_g_per_l);
	if (wanted_g_per_l < low || wanted_g_per_l > high) {
		throw refuse(
			"wanted_g_per_l",
			`${wanted_g_per_l} was given; from ${low} to ${high} g a litre, what the two stocks have, is allowed`,
		);
	}
	if (high === low) return { strong_l: 0, light_l: litres };
	const strong_l = (litres * (wanted_g_per_l - light_g_per_l)) / (strong_g_per_l - light_g_per_l);
	return { strong_l, light_l: litres - strong_l };
}
