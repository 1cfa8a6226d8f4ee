import type { BraiseGiven } from "#core/braise";

/** A pan as it stands in its placed oven: an oven that starts hot is set down to it. */
export function minutesOf(given: BraiseGiven, set_C: number): BraiseGiven {
	if (!("set_C" in given.heat)) return given;
	if (given.resets && given.resets.length > 0) {
		return { ...given, resets: given.resets.map((reset) => ({ ...reset, set_C })) };
	}
	return { ...given, heat: { ...given.heat, set_C } };
}
