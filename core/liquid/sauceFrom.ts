import { MOST_STEAM_KG_PER_M2_H, reduceIn, STEAM_KJ_PER_KG, thicken } from "../sauce/index.ts";
import type { LiquidAccount } from "./liquidAccount.ts";

/** Density of rendered fat, kg/l. */
export const RENDERED_FAT_KG_PER_L = 0.91;
/** Vinegar or juice to begin with where a sauce is too rich, ml a litre; then by taste. */
export const ACID_ML_PER_L = 5;
/** Puréed roots and onions that give a litre of thin sauce light body, kg. General practice. */
export const PUREE_KG_PER_L = 0.2;

/** How a card finishes its sauce: how far it is boiled down, and what else gives it body. */
export interface SauceFinish {
	/** By how much what is taken is reduced, a share. */
	readonly reduceBy: number;
	/** The most salt the sauce may have, %; null where the house sets no limit. */
	readonly mostSalt_pct: number | null;
	/** The longest it may boil down while the meat waits, minutes. */
	readonly most_min: number;
	/** Salt that what finishes it brings, g. */
	readonly finishSalt_g: number;
	/** Minutes before the lift in which liquid that is drawn off may boil down. */
	readonly before_min: number;
}

/** The pots in which the sauce is finished, all alike, and the heat that reaches each. */
export interface SaucePots {
	readonly floor_m2: number;
	readonly power_kW: number;
	readonly count: number;
	/** How often they are filled, one filling after another. */
	readonly goes: number;
}

/** The share of the liquid that stays with the meat when some is drawn off. @see model, section G */
export const STAYS_WITH_MEAT = 1 / 3;
/** What is drawn off boils down by so much at the most: further it catches. General practice. */
const DRAWN_BOILS_BY = 0.6;

/** Liquid ladled off at the first check, which boils down while the meat stays covered. */
export interface DrawnOff {
	readonly litres: number;
	readonly boilsAway_l: number;
	readonly minutes: number;
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
	/** What of it is taken to be reduced. */
	readonly take_l: number;
	/** What the card's own finish would take. */
	readonly asked_l: number;
	/** By how much it is reduced in the end, a share. */
	readonly reduceBy: number;
	/** What is drawn off before the lift so that the meat does not wait; null where there is time after it. */
	readonly drawn: DrawnOff | null;
	/** Minutes at the boil after the lift. */
	readonly after_min: number;
	/** What is over when the sauce has been taken, and how much of it moistens the meat, litres. */
	readonly over_l: number;
	readonly moistens_l: number;
	/** What keeps it from the card's own finish; null when nothing does. */
	readonly limitedBy: "salt" | "time" | "liquid" | null;
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
 * with its amounts. The card's own finish says how far it is boiled down; reduction multiplies
 * the salt, so less is taken where it would be too salt, or where the meat would wait too long,
 * and that is said: the body then comes from something else.
 *
 * @param dredged_g flour that is in it already, g
 * @see model, section G
 */
export function sauceFrom(
	account: LiquidAccount,
	wanted_l: number,
	pots: SaucePots,
	dredged_g: number,
	finish: SauceFinish,
): SaucePlan {
	const there_l = account.forSauce_l;
	const asked_l = wanted_l / (1 - finish.reduceBy);
	const { take_l, limitedBy } = takenFor(account, wanted_l, asked_l, pots, finish);
	const area_m2 = pots.count * pots.goes * pots.floor_m2;
	const boils_min = (take_l - Math.min(wanted_l, take_l)) / litresAMinute(pots);
	const drawn = drawnOff(boils_min, there_l, pots, finish);
	const over_l = Math.max(0, there_l - take_l);
	const salt_pct =
		wanted_l > 0
			? (account.salt_pct * take_l) / wanted_l + finish.finishSalt_g / (wanted_l * 10)
			: account.salt_pct;
	const sauce = { account, wanted_l, take_l, pots, dredged_g, salt_pct };
	const taken = there_l > 0 ? take_l / there_l : 0;
	return {
		there_l,
		wanted_l,
		take_l,
		asked_l,
		reduceBy: take_l > 0 ? Math.max(0, 1 - wanted_l / take_l) : 0,
		limitedBy,
		drawn,
		after_min: boils_min - (drawn?.minutes ?? 0),
		over_l,
		moistens_l: Math.min(over_l, there_l * STAYS_WITH_MEAT),
		salt_pct,
		gelatin_g_per_l: gelatinOf(account, take_l, Math.min(take_l, wanted_l)),
		from_mm: take_l / area_m2,
		mark_mm: wanted_l / area_m2,
		fat_mm: (taken * account.fat_kg) / RENDERED_FAT_KG_PER_L / area_m2,
		fat_kg: account.fat_kg,
		remedies: wanted_l > 0 ? remediesFor(sauce) : [],
	};
}

/** Less by this share is no limit that a cook would notice. */
const HARDLY_LESS = 0.02;

/** What is taken: what the card's finish asks, unless salt, time or the liquid there is says less. */
function takenFor(
	{ forSauce_l: left_l, salt_pct }: LiquidAccount,
	wanted_l: number,
	asked_l: number,
	pots: SaucePots,
	{ mostSalt_pct, finishSalt_g, most_min, before_min }: SauceFinish,
): Pick<SaucePlan, "take_l" | "limitedBy"> {
	const bySalt_l =
		mostSalt_pct === null || salt_pct === 0
			? Number.POSITIVE_INFINITY
			: Math.max(wanted_l, (wanted_l * mostSalt_pct - finishSalt_g / 10) / salt_pct);
	const before_l = Math.min(before_min * litresAMinute(pots), mostDrawn(left_l) * DRAWN_BOILS_BY);
	const byTime_l = wanted_l + most_min * litresAMinute(pots) + before_l;
	const limits = [
		["salt", bySalt_l],
		["time", byTime_l],
		["liquid", left_l],
	] as const;
	const [limitedBy, least_l] = limits.reduce((limit, other) => (other[1] < limit[1] ? other : limit));
	if (least_l >= asked_l * (1 - HARDLY_LESS)) return { take_l: Math.min(asked_l, left_l), limitedBy: null };
	return { take_l: Math.min(least_l, left_l), limitedBy };
}

/** Litres that all pots together boil away in a minute, by their heat and by their surface. */
export function litresAMinute({ floor_m2, power_kW, count }: Omit<SaucePots, "goes">): number {
	const byPower = (60 * power_kW) / STEAM_KJ_PER_KG;
	return count * Math.min(byPower, (floor_m2 * MOST_STEAM_KG_PER_M2_H) / 60);
}

function mostDrawn(left_l: number): number {
	return left_l * (1 - STAYS_WITH_MEAT);
}

/** What has to boil away before the lift, because the meat would wait for it afterwards. */
function drawnOff(
	boils_min: number,
	left_l: number,
	pots: SaucePots,
	{ most_min }: SauceFinish,
): DrawnOff | null {
	const minutes = boils_min - most_min;
	if (minutes <= HARDLY_A_MINUTE) return null;
	const boilsAway_l = minutes * litresAMinute(pots);
	return { litres: Math.min(mostDrawn(left_l), boilsAway_l / DRAWN_BOILS_BY), boilsAway_l, minutes };
}

/** Rounding. */
const HARDLY_A_MINUTE = 1e-6;

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
	const fillings = pots.count * pots.goes;
	const { minutes, mark_mm, limitedBy } = reduceIn({
		start_l: take_l / fillings,
		target_l: wanted_l / fillings,
		floor_m2: pots.floor_m2,
		power_kW: pots.power_kW,
	});
	return { minutes: minutes * pots.goes, mark_mm, limitedBy };
}
