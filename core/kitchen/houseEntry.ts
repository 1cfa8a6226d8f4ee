import { type Static, Type } from "@sinclair/typebox";
import { Name, oneOf, refuse, TimeOfDay, TimeZone } from "../check/index.ts";
import { ALLERGEN_LIST_KEYS } from "../recipe/index.ts";
import { HOUSE_CODE_KEYS } from "../safety/index.ts";
import { SCALE_READINGS_G } from "../scaling/index.ts";

/** The zones the machine lists, and the house's own: an area may have a newer name than the list. */
export function timeZonesWith(own: string): string[] {
	return [...new Set([own, "UTC", ...Intl.supportedValuesOf("timeZone")])].sort();
}

/** ISO 4217. */
export const CURRENCIES = Intl.supportedValuesOf("currency");

/** What kitchen scales read to, g. */
export const SCALE_READINGS = SCALE_READINGS_G.map(String);

/** The house as it is typed: times as on a clock, weights in kg, powers in kW. */
export const HouseEntry = Type.Object({
	name: Name,
	timeZone: TimeZone,
	units: oneOf(["metric", "us"] as const),
	opens: TimeOfDay,
	closes: TimeOfDay,
	headspace_mm: Type.Integer({ minimum: 5, maximum: 100, allowed: "a headspace from 5 to 100 mm" }),
	lift_kg: Type.Number({ minimum: 3, maximum: 50, allowed: "a weight from 3 to 50 kg" }),
	houseCode: oneOf(HOUSE_CODE_KEYS),
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
	burners: Type.Integer({ minimum: 1, maximum: 40, allowed: "a whole number of burners from 1 to 40" }),
	hobPower_kW: Type.Number({ minimum: 0.5, maximum: 30, allowed: "a power from 0.5 to 30 kW" }),
});
export type HouseEntry = Static<typeof HouseEntry>;

/**
 * The house as it is kept: minutes after midnight, grams and watts.
 *
 * @param pans the pans there are, by id
 * @throws {Refusal} when it closes as it opens, the salt's band is upside down, or the searing pan is gone
 */
export function houseFields(typed: HouseEntry, pans: readonly string[]) {
	const { name, timeZone, units, headspace_mm, houseCode, burners, searPanId } = typed;
	const opens_min = minutesOf(typed.opens);
	const closing_min = minutesOf(typed.closes);
	if (closing_min === opens_min)
		throw refuse("closes", `${typed.closes} was given; another time than ${typed.opens} is allowed`);
	// A time before the opening is one after midnight.
	const closes_min = closing_min < opens_min ? closing_min + DAY_MIN : closing_min;
	if (typed.saltHigh < typed.saltLow)
		throw refuse("saltHigh", `${typed.saltHigh} was given; ${typed.saltLow} or more is allowed`);
	if (searPanId && !pans.includes(searPanId))
		throw refuse("searPanId", "is no pan of this kitchen any more; choose another");
	return {
		name,
		timeZone,
		units,
		opens_min,
		closes_min,
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
	};
}

const DAY_MIN = 1440;

function minutesOf(clock: string): number {
	const [hours, minutes] = clock.split(":").map(Number);
	return (hours ?? 0) * 60 + (minutes ?? 0);
}
