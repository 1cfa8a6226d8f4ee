import type { BraiseGiven } from "./BraiseGiven.ts";
import type { Braised } from "./braise.ts";
import { leftAt, steamAt } from "./Course.ts";
import { CALIBRATED } from "./calibrated.ts";

/** What happened in the pan, in figures that can be said. */
export interface BraiseStory {
	/** When the liquid came within two degrees of its hottest, minutes. */
	readonly liquidUp_min: number;
	readonly liquidTop_C: number;
	/** A round temperature near its hottest that the middle of the piece passed, °C, and when. */
	readonly core_C: number;
	readonly coreAt_min: number;
	/** Share of the softening that came after that. */
	readonly softenedAfter: number;
	/** What the middle was half way to tender, in time. */
	readonly halfWay_C: number;
	readonly atTender_C: number;
	/** Juice that has run out of the meat by then, litres. */
	readonly juice_l: number;
	readonly steam_l: number;
}

/** The nearest round figure below the hottest of the middle that counts for softening. */
const ROUND_C = 5;
const NEAR_C = 2;

/**
 * The course of one braise from its curve.
 *
 * @returns null when it is never tender
 */
export function storyOf(given: BraiseGiven, { likely, marks }: Braised): BraiseStory | null {
	const tender_min = marks.forkTender?.likely;
	if (tender_min === undefined) return null;
	const until = likely.points.filter(({ minute }) => minute <= tender_min);
	const at = (minute: number) => until.findLast((point) => point.minute <= minute) ?? until[0];
	const last = at(tender_min);
	const first = until[0];
	if (!last || !first) return null;
	const liquidTop_C = Math.max(...until.map(({ liquid_C }) => liquid_C));
	const hottest_C = Math.max(...until.map(({ core_C }) => core_C));
	const core_C = Math.floor((hottest_C - NEAR_C) / ROUND_C) * ROUND_C;
	const reached = until.find((point) => point.core_C >= core_C) ?? first;
	const steam_l = steamAt(likely, tender_min);
	return {
		liquidUp_min: (until.find(({ liquid_C }) => liquid_C >= liquidTop_C - NEAR_C) ?? first).minute,
		liquidTop_C,
		core_C,
		coreAt_min: reached.minute,
		softenedAfter: 1 - reached.softened / CALIBRATED.marks.forkTender,
		halfWay_C: (at(tender_min / 2) ?? first).core_C,
		atTender_C: last.core_C,
		juice_l: Math.max(0, leftAt(likely, tender_min) + steam_l - given.liquid_l),
		steam_l,
	};
}
