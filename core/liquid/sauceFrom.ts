import { reduce, thicken } from "../sauce/index.ts";
import type { LiquidAccount } from "./liquidAccount.ts";

/** Density of rendered fat, kg/l. */
export const RENDERED_FAT_KG_PER_L = 0.91;
/** Vinegar or juice to begin with where a sauce is too rich, ml a litre; then by taste. */
export const ACID_ML_PER_L = 5;
/** Puréed roots and onions that give a litre of thin sauce light body, kg. General practice. */
export const PUREE_KG_PER_L = 0.2;

/** Where no line is salt, so much of the liquid is taken for a litre of sauce: it is reduced by half. */
export const USUAL_REDUCTION = 2;

/** The pots in which the sauce is finished, all alike, and the heat that reaches each. */
export interface SaucePots {
	readonly diameter_mm: number;
	readonly power_kW: number;
	readonly count: number;
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
	/** What of it is taken to be reduced; the rest is kept for the next stock. */
	readonly take_l: number;
	/** Salt of the sauce when it stands at what is wanted. */
	readonly salt_pct: number;
	readonly gelatin_g_per_l: number;
	/** How high it stands in each pot before, and when it is right, mm. */
	readonly from_mm: number;
	readonly mark_mm: number;
	/** Fat that floats on what is taken, in each pot, and all that is to be skimmed. */
	readonly fat_mm: number;
	readonly fat_kg: number;
	readonly remedies: readonly Remedy[];
}

/**
 * The sauce that is wanted against the liquid there is, and every way from one to the other
 * with its amounts. Reduction multiplies the salt, so only so much is taken as brings it to
 * what the house wants; stock brings none.
 *
 * @param dredged_g  flour that is in it already, g
 * @param salted_pct salt wanted in the sauce, %; null where no line is salt
 * @see model, section G
 */
export function sauceFrom(
	account: LiquidAccount,
	wanted_l: number,
	pots: SaucePots,
	dredged_g: number,
	salted_pct: number | null,
): SaucePlan {
	const there_l = account.left_l;
	const take_l = Math.min(there_l, wanted_l * reductionFor(account.salt_pct, salted_pct));
	const area_m2 = pots.count * (Math.PI / 4) * (pots.diameter_mm / 1000) ** 2;
	const salt_pct = wanted_l > 0 ? (account.salt_pct * take_l) / wanted_l : account.salt_pct;
	const sauce = { account, wanted_l, take_l, pots, dredged_g, salt_pct };
	const taken = there_l > 0 ? take_l / there_l : 0;
	return {
		there_l,
		wanted_l,
		take_l,
		salt_pct,
		gelatin_g_per_l: gelatinOf(account, take_l, Math.min(take_l, wanted_l)),
		from_mm: take_l / area_m2,
		mark_mm: wanted_l / area_m2,
		fat_mm: (taken * account.fat_kg) / RENDERED_FAT_KG_PER_L / area_m2,
		fat_kg: account.fat_kg,
		remedies: wanted_l > 0 ? remediesFor(sauce) : [],
	};
}

/** How many litres go into one of sauce; never fewer than one. */
function reductionFor(salt_pct: number, salted_pct: number | null): number {
	if (salted_pct === null || salt_pct === 0) return USUAL_REDUCTION;
	return Math.max(1, salted_pct / salt_pct);
}

interface Sauce {
	readonly account: LiquidAccount;
	readonly wanted_l: number;
	readonly take_l: number;
	readonly pots: SaucePots;
	readonly dredged_g: number;
	readonly salt_pct: number;
}

/** Gelatin a litre of sauce: shared with the vegetables, gathered in what is left after reducing. */
function gelatinOf(
	{ gelatin_g, left_l, vegetables_kg }: LiquidAccount,
	take_l: number,
	in_l: number,
): number {
	if (in_l <= 0 || left_l <= 0) return 0;
	return ((gelatin_g / (left_l + vegetables_kg)) * take_l) / in_l;
}

function remediesFor({ account, wanted_l, take_l, pots, dredged_g, salt_pct }: Sauce): Remedy[] {
	const glutenFree = dredged_g === 0;
	const volume: Remedy =
		take_l >= wanted_l
			? { ...reducing(take_l, wanted_l, pots), kind: "reduce", to_l: wanted_l, salt_pct, glutenFree }
			: { kind: "thin", stock_l: wanted_l - take_l, salt_pct, glutenFree };
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

function reducing(take_l: number, wanted_l: number, pots: SaucePots) {
	const { minutes, mark_mm, limitedBy } = reduce({
		start_l: take_l / pots.count,
		target_l: wanted_l / pots.count,
		pot: { diameter_mm: pots.diameter_mm },
		power_kW: pots.power_kW,
	});
	return { minutes, mark_mm, limitedBy };
}
