import { MOST_STEAM_KG_PER_M2_H, markAt, reduceIn, STEAM_KJ_PER_KG, thicken } from "../sauce/index.ts";
import {
	add,
	divide,
	type Figure,
	figure,
	least,
	lessShare,
	most,
	multiply,
	reckoned,
	type Sum,
	subtract,
	type Working,
	working,
} from "../workings/index.ts";
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
	/** How the litres came to what they are. */
	readonly sum: Working;
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
	/** How figures of it came to what they are; null where there is no sauce to make. */
	readonly sums: {
		readonly taken: Working;
		readonly salt: Working | null;
		readonly mark: Working | null;
		readonly toReduce: Working | null;
		/** What is left to boil away after the lift, where some boils before it. */
		readonly boilsAfter: Working | null;
		readonly thickeners: readonly Working[];
	};
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
	const asked = divide(figure(wanted_l, "l", "sauce"), lessShare(finish.reduceBy, "boiledAway"));
	const { taken: takenSum, limitedBy } = takenFor(account, wanted_l, asked, pots, finish);
	const take_l = takenSum.result.value;
	const area_m2 = pots.count * pots.goes * pots.floor_m2;
	const boils_min = (take_l - Math.min(wanted_l, take_l)) / litresAMinute(pots);
	const drawn = drawnOff(boils_min, there_l, pots, finish);
	const over_l = Math.max(0, there_l - take_l);
	const salt = saltOfSauce(account, { take_l, wanted_l, finishSalt_g: finish.finishSalt_g });
	const salt_pct = salt ? salt.result.value * 100 : account.salt_pct;
	const reduced = wanted_l > 0 && take_l >= wanted_l ? reducing(take_l, wanted_l, pots) : null;
	const thickened = wanted_l > 0 ? thickenedWith(wanted_l, dredged_g) : null;
	const sauce = { account, wanted_l, take_l, dredged_g, salt_pct };
	const taken = there_l > 0 ? take_l / there_l : 0;
	return {
		there_l,
		wanted_l,
		take_l,
		asked_l: reckoned(asked),
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
		remedies: thickened ? remediesFor(sauce, reduced, thickened) : [],
		sums: {
			taken: takenSum,
			salt,
			mark:
				wanted_l > 0 ? (reduced?.mark ?? markAt(wanted_l / (pots.count * pots.goes), pots.floor_m2)) : null,
			toReduce: reduced?.toReduce ?? null,
			boilsAfter: drawn ? boilsAfter(take_l - wanted_l, drawn) : null,
			thickeners: thickened
				? [thickened.starch, thickened.roux, thickened.kneadedButter].map(({ sum }) => sum)
				: [],
		},
	};
}

function boilsAfter(all_l: number, { boilsAway_l }: DrawnOff): Working {
	return working(
		"boilsAfter",
		subtract(figure(all_l, "l", "boilsAway"), figure(boilsAway_l, "l", "boilsBefore")),
		"l",
	);
}

/** Reduction multiplies the salt of what is taken, and the finish brings its own; null where there is no sauce. */
function saltOfSauce(
	{ salt_pct }: LiquidAccount,
	{
		take_l,
		wanted_l,
		finishSalt_g,
	}: { readonly take_l: number; readonly wanted_l: number; readonly finishSalt_g: number },
): Working | null {
	if (wanted_l <= 0) return null;
	const sauce = figure(wanted_l, "l", "sauce");
	const reduced = divide(
		multiply(figure(salt_pct / 100, "share", "saltWhenLifted"), figure(take_l, "l", "taken")),
		sauce,
	);
	const finish = divide(figure(finishSalt_g / 1000, "kg", "saltOfFinish"), sauce);
	return working("saltOfSauce", finishSalt_g > 0 ? add(reduced, finish) : reduced, "share");
}

function thickenedWith(sauce_l: number, dredged_g: number) {
	const by = (method: "starch" | "roux" | "kneadedButter") => thicken({ sauce_l, method, dredged_g });
	return { starch: by("starch"), roux: by("roux"), kneadedButter: by("kneadedButter") };
}

/** Less by this share is no limit that a cook would notice. */
const HARDLY_LESS = 0.02;

/** What is taken: what the card's finish asks, unless salt, time or the liquid there is says less. */
function takenFor(
	{ forSauce_l: left_l, salt_pct }: LiquidAccount,
	wanted_l: number,
	asked: Sum,
	pots: SaucePots,
	{ mostSalt_pct, finishSalt_g, most_min, before_min }: SauceFinish,
): Pick<SaucePlan, "limitedBy"> & { readonly taken: Working } {
	const wanted = figure(wanted_l, "l", "sauce");
	const left = figure(left_l, "l", "thereIs");
	const before_l = Math.min(before_min * litresAMinute(pots), mostDrawn(left_l) * DRAWN_BOILS_BY);
	const inTime_l = most_min * litresAMinute(pots) + before_l;
	const limits: readonly (readonly [NonNullable<SaucePlan["limitedBy"]>, Sum])[] = [
		...(mostSalt_pct === null || salt_pct === 0
			? []
			: [["salt", most(bySalt(wanted, mostSalt_pct, finishSalt_g, salt_pct), wanted)] as const]),
		["time", add(wanted, figure(inTime_l, "l", "boilsAwayInTime"))],
		["liquid", left],
	];
	const [limitedBy, limit] = limits.reduce((least, other) =>
		reckoned(other[1]) < reckoned(least[1]) ? other : least,
	);
	const taken = (litres: Sum) => working("taken", least(litres, left), "l");
	if (reckoned(limit) >= reckoned(asked) * (1 - HARDLY_LESS)) return { taken: taken(asked), limitedBy: null };
	return { taken: taken(limitedBy === "liquid" ? asked : limit), limitedBy };
}

/** What may be taken until the sauce has the most salt that the house allows. */
function bySalt(wanted: Figure, mostSalt_pct: number, finishSalt_g: number, salt_pct: number): Sum {
	const most_kg = multiply(wanted, figure(mostSalt_pct / 100, "share", "mostSalt"));
	const left_kg =
		finishSalt_g > 0 ? subtract(most_kg, figure(finishSalt_g / 1000, "kg", "saltOfFinish")) : most_kg;
	return divide(left_kg, figure(salt_pct / 100, "share", "saltWhenLifted"));
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
	const sum = working(
		"drawnOff",
		least(
			divide(figure(boilsAway_l, "l", "boilsBefore"), figure(DRAWN_BOILS_BY, "share", "ofItBoilsAway")),
			figure(mostDrawn(left_l), "l", "mayBeDrawn"),
		),
		"l",
	);
	return { litres: sum.result.value, boilsAway_l, minutes, sum };
}

/** Rounding. */
const HARDLY_A_MINUTE = 1e-6;

interface Sauce {
	readonly account: LiquidAccount;
	readonly wanted_l: number;
	readonly take_l: number;
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

function remediesFor(
	{ account, wanted_l, take_l, dredged_g, salt_pct }: Sauce,
	reduced: ReturnType<typeof reducing> | null,
	thickened: ReturnType<typeof thickenedWith>,
): Remedy[] {
	const glutenFree = dredged_g === 0;
	const volume: Remedy = reduced
		? {
				...{ kind: "reduce", to_l: wanted_l, salt_pct, glutenFree },
				...{ minutes: reduced.minutes, mark_mm: reduced.mark_mm, limitedBy: reduced.limitedBy },
			}
		: { kind: "thin", stock_l: wanted_l - take_l, salt_pct, glutenFree };
	const floured = (["roux", "kneadedButter"] as const).map((method): Remedy => {
		const { flour_g = 0, fat_g = 0 } = thickened[method];
		return { kind: method, flour_g, fat_g, glutenFree: false };
	});
	const { starch_g = 0, water_g = 0 } = thickened.starch;
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
	const { mark_mm, limitedBy, sums } = reduceIn({
		start_l: take_l / fillings,
		target_l: wanted_l / fillings,
		floor_m2: pots.floor_m2,
		power_kW: pots.power_kW,
	});
	// One filling after another.
	const toReduce =
		pots.goes > 1
			? working("toReduce", multiply(sums.minutes.sum, figure(pots.goes, "count", "goes")), "min")
			: sums.minutes;
	return { minutes: toReduce.result.value, mark_mm, limitedBy, mark: sums.mark, toReduce };
}
