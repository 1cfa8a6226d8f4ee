import type { Range } from "../quantity/index.ts";

/**
 * When food comes to a temperature: so many minutes after its clock began, before that already, never,
 * or nobody can say.
 */
export type Reach = number | "already" | "never" | "notKnown";

/**
 * How food stands to a limit: met however it goes; close where it is likely met and its range is not,
 * which plans alone can say; missed; or not known. A missing number is never a verdict.
 */
export const VERDICTS = ["met", "close", "missed", "notKnown"] as const;
export type Verdict = (typeof VERDICTS)[number];

/** Minutes to it: 0 where it is there already, null where it never is or nobody can say. */
export function minutesOf(reach: Reach): number | null {
	if (reach === "already") return 0;
	return typeof reach === "number" ? reach : null;
}

/** A reach with how far it may be off; a minute on time is met, a second later is not. */
export interface ReachRange {
	readonly likely: Reach;
	/** The latest that it may be. */
	readonly latest: Reach;
}

/** How food that has to come to a temperature in so many minutes stands to that. */
export function verdictOfReach({ likely, latest }: ReachRange, within_min: number): Verdict {
	const isIn = (reach: Reach) => reach === "already" || (typeof reach === "number" && reach <= within_min);
	if (likely === "notKnown") return "notKnown";
	if (!isIn(likely)) return "missed";
	return isIn(latest) ? "met" : "close";
}

/** The same for minutes that are known with their range. */
export function verdictWithin({ likely, high }: Pick<Range, "likely" | "high">, within_min: number): Verdict {
	return verdictOfReach({ likely, latest: high }, within_min);
}

/** Temperatures that food may have at a moment, °C. */
export interface TemperatureThen {
	readonly likely: number;
	readonly low: number;
	readonly high: number;
}

/**
 * How food stands to a limit that it has to keep until a moment, by how warm it is then: hot food at or
 * above it, cold food at or below it.
 */
export function verdictKept({ likely, low, high }: TemperatureThen, limit_C: number, hot: boolean): Verdict {
	const keeps = (C: number) => (hot ? C >= limit_C : C <= limit_C);
	if (!keeps(likely)) return "missed";
	return keeps(hot ? low : high) ? "met" : "close";
}
