import { type Static, Type } from "@sinclair/typebox";
import { Celsius } from "../check/index.ts";
import { minutesOf, type Reach } from "../safety/index.ts";

/** Food in an insulated box. */
export const Carried = Type.Object({
	mass_kg: Type.Number({
		exclusiveMinimum: 0,
		maximum: 2000,
		allowed: "a weight above 0 and up to 2,000 kg",
	}),
	UA_W_per_K: Type.Number({ exclusiveMinimum: 0, maximum: 100, allowed: "a loss above 0 and up to 100 W/K" }),
	start_C: Celsius,
	air_C: Celsius,
	to_C: Celsius,
	/** How often it is opened on the way. */
	openings: Type.Optional(
		Type.Integer({ minimum: 0, maximum: 100, allowed: "a whole number of openings from 0 to 100" }),
	),
});
export type Carried = Static<typeof Carried>;

/** Hot food with its liquid, J/kgK. @see model, section M */
export const CARRIED_J_PER_KGK = 3700;

/** A box of three GN 1/1-100 loses so much, until it is measured, W/K. @see model, section M */
export const USUAL_UA_W_PER_K = 0.8;

/**
 * What each opening of a box takes of the difference between food and air: its air is exchanged and
 * the wet surface lies open for half a minute, some 60 kJ of the 4,000 kJ that 20 kg hold over a cool day.
 */
export const LOST_AN_OPENING = 0.015;

/** What is left of the difference after so many openings. */
function keptAfter(openings = 0): number {
	return (1 - LOST_AN_OPENING) ** openings;
}

/** What is packed so warm is carried hot, and has to stay above its limit, °C. */
const HOT_FROM_C = 40;

/** Whether food is packed outside its limit: hot food below it, cold food above it. */
function isOutside({ start_C, to_C }: Carried): boolean {
	return start_C >= HOT_FROM_C ? start_C <= to_C : start_C >= to_C;
}

/**
 * When what is carried in an insulated box comes to a temperature on its way to the air's:
 * T(t) = T_air + (T₀ − T_air) e^(−UA t / m c), less what each opening takes; all of them are taken
 * to be over by then.
 *
 * @returns already where it is packed at it, or outside of it: hot food colder, cold food warmer; never for
 * what lies beyond the air, or where it goes away from it
 * @see model, section M
 */
export function carriedReach(carried: Carried): Reach {
	const { mass_kg, UA_W_per_K, start_C, air_C, to_C, openings } = carried;
	if (to_C === start_C) return "already";
	if (start_C === air_C) return "never";
	const share = (to_C - air_C) / (start_C - air_C);
	if (share <= 0) return "never";
	if (share >= 1) return isOutside(carried) ? "already" : "never";
	const left = share / keptAfter(openings);
	return left >= 1 ? 0 : (-Math.log(left) * mass_kg * CARRIED_J_PER_KGK) / UA_W_per_K / 60;
}

/** The same as minutes: 0 where it is there already, null where it never comes to it. */
export function carriedMinutes(carried: Carried): number | null {
	return minutesOf(carriedReach(carried));
}

/** How warm it is after so many minutes and openings, °C. */
export function carriedTo(box: Omit<Carried, "to_C">, minutes: number): number {
	const { mass_kg, UA_W_per_K, start_C, air_C, openings } = box;
	return (
		air_C +
		(start_C - air_C) *
			keptAfter(openings) *
			Math.exp((-UA_W_per_K * minutes * 60) / (mass_kg * CARRIED_J_PER_KGK))
	);
}

/** A box's loss from one measured stretch: how warm it was, and is. W/K */
export function measuredLoss(
	mass_kg: number,
	air_C: number,
	was_C: number,
	is_C: number,
	minutes: number,
): number | null {
	const share = (is_C - air_C) / (was_C - air_C);
	if (!(share > 0 && share < 1) || minutes <= 0) return null;
	return (-Math.log(share) * mass_kg * CARRIED_J_PER_KGK) / (minutes * 60);
}
