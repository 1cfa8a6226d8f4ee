import { reduce, thicken } from "../sauce/index.ts";
import type { LiquidAccount } from "./liquidAccount.ts";

/** Density of rendered fat, kg/l. */
export const RENDERED_FAT_KG_PER_L = 0.91;
/** Vinegar or juice to begin with where a sauce is too rich, ml a litre; then by taste. */
export const ACID_ML_PER_L = 5;
/** Puréed roots and onions that give a litre of thin sauce light body, kg. General practice. */
export const PUREE_KG_PER_L = 0.2;

/** The pot in which the sauce is finished, and the heat that reaches it. */
export interface SaucePot {
	readonly diameter_mm: number;
	readonly power_kW: number;
}

/** What can be done to bring the liquid there is to the sauce that is wanted. */
export type Remedy =
	| {
			readonly kind: "reduce";
			readonly to_l: number;
			readonly mark_mm: number;
			readonly minutes: number;
			readonly limitedBy: "power" | "surface";
			readonly salt_pct: number;
			readonly glutenFree: boolean;
	  }
	| {
			readonly kind: "thin";
			readonly stock_l: number;
			readonly salt_pct: number;
			readonly glutenFree: boolean;
	  }
	| {
			readonly kind: "starch";
			readonly starch_g: number;
			readonly water_g: number;
			readonly thirds_g: number;
			readonly glutenFree: boolean;
	  }
	| {
			readonly kind: "roux" | "kneadedButter";
			readonly flour_g: number;
			readonly fat_g: number;
			readonly glutenFree: boolean;
	  }
	| {
			readonly kind: "puree";
			readonly vegetables_kg: number;
			readonly enough: boolean;
			readonly glutenFree: boolean;
	  }
	| { readonly kind: "acid"; readonly ml: number; readonly glutenFree: boolean };

export interface SaucePlan {
	readonly there_l: number;
	readonly wanted_l: number;
	/** Salt of the sauce when it stands at what is wanted. */
	readonly salt_pct: number;
	readonly gelatin_g_per_l: number;
	/** How high it stands in the pot before, and when it is right, mm. */
	readonly from_mm: number;
	readonly mark_mm: number;
	/** Fat that floats on it in the pot. */
	readonly fat_mm: number;
	readonly fat_kg: number;
	readonly remedies: readonly Remedy[];
}

/**
 * The sauce that is wanted against the liquid there is, and every way from one to the other
 * with its amounts. Reduction multiplies the salt; stock brings none.
 *
 * @param dredged_g flour that is in it already, g
 * @see model, section G
 */
export function sauceFrom(
	account: LiquidAccount,
	wanted_l: number,
	pot: SaucePot,
	dredged_g: number,
): SaucePlan {
	const there_l = account.left_l;
	const area_m2 = (Math.PI / 4) * (pot.diameter_mm / 1000) ** 2;
	const salt_pct = wanted_l > 0 ? (account.salt_pct * there_l) / wanted_l : account.salt_pct;
	return {
		there_l,
		wanted_l,
		salt_pct,
		gelatin_g_per_l: gelatinOf(account, Math.min(there_l, wanted_l)),
		from_mm: there_l / area_m2,
		mark_mm: wanted_l / area_m2,
		fat_mm: account.fat_kg / RENDERED_FAT_KG_PER_L / area_m2,
		fat_kg: account.fat_kg,
		remedies: wanted_l > 0 ? remediesFor(account, wanted_l, pot, dredged_g, salt_pct) : [],
	};
}

/** Gelatin a litre: shared with the vegetables, gathered in what is left after reducing. */
function gelatinOf({ gelatin_g, left_l, vegetables_kg }: LiquidAccount, in_l: number): number {
	if (in_l <= 0 || left_l <= 0) return 0;
	return (gelatin_g * left_l) / (left_l + vegetables_kg) / in_l;
}

function remediesFor(
	account: LiquidAccount,
	wanted_l: number,
	pot: SaucePot,
	dredged_g: number,
	salt_pct: number,
): Remedy[] {
	const glutenFree = dredged_g === 0;
	const volume: Remedy =
		account.left_l >= wanted_l
			? reducing(account, wanted_l, pot, salt_pct, glutenFree)
			: { kind: "thin", stock_l: wanted_l - account.left_l, salt_pct, glutenFree };
	const starch = thicken({ sauce_l: wanted_l, method: "starch", dredged_g });
	const floured = (["roux", "kneadedButter"] as const).map((method): Remedy => {
		const { flour_g = 0, fat_g = 0 } = thicken({ sauce_l: wanted_l, method, dredged_g });
		return { kind: method, flour_g, fat_g, glutenFree: false };
	});
	const { starch_g = 0, water_g = 0 } = starch;
	return [
		volume,
		{ kind: "starch", starch_g, water_g, thirds_g: (starch_g + water_g) / 3, glutenFree },
		...floured,
		{
			kind: "puree",
			vegetables_kg: wanted_l * PUREE_KG_PER_L,
			enough: account.vegetables_kg >= wanted_l * PUREE_KG_PER_L,
			glutenFree,
		},
		{ kind: "acid", ml: wanted_l * ACID_ML_PER_L, glutenFree },
	];
}

function reducing(
	account: LiquidAccount,
	wanted_l: number,
	pot: SaucePot,
	salt_pct: number,
	glutenFree: boolean,
): Remedy {
	const { minutes, mark_mm, limitedBy } = reduce({
		start_l: account.left_l,
		target_l: wanted_l,
		pot: { diameter_mm: pot.diameter_mm },
		power_kW: pot.power_kW,
	});
	return { kind: "reduce", to_l: wanted_l, mark_mm, minutes, limitedBy, salt_pct, glutenFree };
}
