import type { FanSpeed, Oven } from "./fitOvens.ts";

/** What of an oven decides how it heats at a setting. */
export type OvenAir = Pick<Oven, "kind" | "runsHot_K" | "fan" | "opened_h">;

/** How often an oven is opened to look, times an hour, where nobody says; what is usual is in the practice that times are fitted to. */
const USUALLY_OPENED_H = 1;
/** What a look of a quarter of a minute takes of the air's warmth, K, and in how many minutes it comes back to a third of that. General practice. */
const LOOK_DROPS_K = 50;
const COMES_BACK_MIN = 5;

/** Heat into a pan by the fan's wind, against its usual: films go with the wind's speed, 20 to 35 W/m²K. @see model, section E */
const BLOWS: Readonly<Record<FanSpeed, number>> = { slow: 0.78, usual: 1, fast: 1.3 };

/**
 * How warm the air of an oven is in the mean when it is set to a temperature: hotter or colder than it
 * says, and colder by every look beyond the usual.
 *
 * @returns °C
 */
export function airOf({ runsHot_K = 0, opened_h }: OvenAir, set_C: number): number {
	const looks_h = (opened_h ?? USUALLY_OPENED_H) - USUALLY_OPENED_H;
	return set_C + runsHot_K - (looks_h * LOOK_DROPS_K * COMES_BACK_MIN) / 60;
}

/** How much better or worse than usual its wind takes heat into a pan, a factor. */
export function windOf({ kind, fan = "usual" }: OvenAir): number {
	return kind === "fanOven" ? BLOWS[fan] : 1;
}

/** Whether ovens heat alike at any setting. */
export function airKey({ kind, runsHot_K = 0, fan = "usual", opened_h }: OvenAir): string {
	return [kind, runsHot_K, fan, opened_h ?? USUALLY_OPENED_H].join(" ");
}
