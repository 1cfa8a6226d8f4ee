import { type Static, Type } from "@sinclair/typebox";
import { Name, oneOf, refuse, TimeOfDay, TimeZone } from "../check/index.ts";
import { ALLERGEN_LIST_KEYS } from "../recipe/index.ts";
import { SCALE_READINGS_G } from "../scaling/index.ts";
import { BY_PRODUCT_KINDS, type ByProductKind } from "../trade/index.ts";
import { workingDay } from "./workingDay.ts";

/** The zones the machine lists, and the house's own: an area may have a newer name than the list. */
export function timeZonesWith(own: string): string[] {
	return [...new Set([own, "UTC", ...Intl.supportedValuesOf("timeZone")])].sort();
}

/** ISO 4217. */
export const CURRENCIES = Intl.supportedValuesOf("currency");

/** What kitchen scales read to, g. */
export const SCALE_READINGS = SCALE_READINGS_G.map(String);

const Worth = Type.Optional(
	Type.Number({ minimum: 0, maximum: 1000, allowed: "a price of a kilo from 0 to 1,000, or nothing" }),
);

/** The house as it is typed: times as on a clock, weights in kg, powers in kW. */
export const HouseEntry = Type.Object({
	name: Name,
	timeZone: TimeZone,
	units: oneOf(["metric", "us"] as const),
	opens: TimeOfDay,
	closes: TimeOfDay,
	headspace_mm: Type.Integer({ minimum: 5, maximum: 100, allowed: "a headspace from 5 to 100 mm" }),
	lift_kg: Type.Number({ minimum: 3, maximum: 50, allowed: "a weight from 3 to 50 kg" }),
	/** A preset, or one of the house's own by its id. */
	houseCode: Type.String({ minLength: 1, maxLength: 40, allowed: "a house code from the list" }),
	searPanId: Type.String({ maxLength: 40 }),
	currency: oneOf(CURRENCIES, { allowed: "a currency from the list" }),
	allergenList: oneOf(ALLERGEN_LIST_KEYS),
	scaleStep_g: oneOf(SCALE_READINGS),
	saltLow: Type.Number({ minimum: 0, maximum: 3, allowed: "a percentage from 0 to 3" }),
	saltHigh: Type.Number({ minimum: 0, maximum: 3, allowed: "a percentage from 0 to 3" }),
	confidence: Type.Integer({ minimum: 50, maximum: 99, allowed: "a whole number of days from 50 to 99" }),
	altitude_m: Type.Integer({
		minimum: -430,
		maximum: 5000,
		allowed: "a whole number of metres from −430 to 5,000",
	}),
	/** Days that what was made ahead keeps, the first counted. */
	chilled_days: Type.Integer({ minimum: 1, maximum: 14, allowed: "whole days from 1 to 14" }),
	frozen_days: Type.Integer({ minimum: 1, maximum: 730, allowed: "whole days from 1 to 730" }),
	opened_days: Type.Integer({ minimum: 1, maximum: 7, allowed: "whole days from 1 to 7" }),
	/** What a kilo of what is left of a dish is worth, in the house's money; nothing where it puts no worth on it. */
	worth_trim: Worth,
	worth_bones: Worth,
	worth_fat: Worth,
	worth_liquid: Worth,
	burners: Type.Integer({ minimum: 1, maximum: 40, allowed: "a whole number of burners from 1 to 40" }),
	hobPower_kW: Type.Number({ minimum: 0.5, maximum: 30, allowed: "a power from 0.5 to 30 kW" }),
});
export type HouseEntry = Static<typeof HouseEntry>;

/**
 * The house as it is kept: minutes after midnight, grams and watts.
 *
 * @param pans  the pans there are, by id
 * @param codes the house codes there are, by key or id
 * @param minorUnits cents to the unit of its money
 * @throws {Refusal} when it closes as it opens, the salt's band is upside down, or the searing pan is gone
 */
export function houseFields(
	typed: HouseEntry,
	pans: readonly string[],
	codes: readonly string[],
	minorUnits: number,
) {
	const { name, timeZone, units, headspace_mm, houseCode, burners, searPanId } = typed;
	const hours = workingDay(typed.opens, typed.closes);
	if (!hours)
		throw refuse("closes", `${typed.closes} was given; another time than ${typed.opens} is allowed`);
	if (typed.saltHigh < typed.saltLow)
		throw refuse("saltHigh", `${typed.saltHigh} was given; ${typed.saltLow} or more is allowed`);
	if (!codes.includes(houseCode)) throw refuse("houseCode", "is no house code here any more; choose another");
	if (searPanId && !pans.includes(searPanId))
		throw refuse("searPanId", "is no pan of this kitchen any more; choose another");
	return {
		name,
		timeZone,
		units,
		...hours,
		headspace_mm,
		liftLimit_g: Math.round(typed.lift_kg * 1000),
		houseCode,
		burners,
		hobPower_w: Math.round(typed.hobPower_kW * 1000),
		searPanId: searPanId || null,
		currency: typed.currency,
		allergenList: typed.allergenList,
		scaleStep_g: Number(typed.scaleStep_g),
		saltLow_pct: typed.saltLow,
		saltHigh_pct: typed.saltHigh,
		confidence_pct: typed.confidence,
		altitude_m: typed.altitude_m,
		chilled_days: typed.chilled_days,
		frozen_days: typed.frozen_days,
		opened_days: typed.opened_days,
		byProductWorth: worthOf(typed, minorUnits),
	};
}

/** What is worth something, minor units a kilo. */
function worthOf(typed: HouseEntry, minorUnits: number): Partial<Record<ByProductKind, number>> {
	return Object.fromEntries(
		BY_PRODUCT_KINDS.flatMap((kind) => {
			const perKg = typed[`worth_${kind}`];
			return perKg ? [[kind, Math.round(perKg * minorUnits)]] : [];
		}),
	);
}
