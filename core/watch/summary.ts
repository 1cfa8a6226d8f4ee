import { MINUTE_MS } from "../time/index.ts";
import { type CodeLimits, type Course, isHeld, type Limit, limitsOf } from "./courses.ts";

/** A whole watch in a few figures, as a sheet tells it. Moments are instants. */
export interface WatchSummary {
	readonly limits: readonly (Limit & {
		readonly by: number | null;
		/** When it was reached; when it was broken, for what is held. */
		readonly at: number | null;
		readonly verdict: "met" | "missed" | "open";
	})[];
	readonly verdict: "met" | "missed" | "open";
}

/** A temperature whose first crossing has to be known for a summary. */
export interface Asked {
	readonly C: number;
	readonly wanted: "atMost" | "atLeast";
}

/** Readings are kept to a hundredth: just beyond a limit is so far from it, K. */
const JUST_BEYOND_K = 0.01;

/** What has to be asked of the readings of a course: where its code's clock begins, then each limit. */
export function askedFor(course: Course, code: CodeLimits): Asked[] {
	const limits = limitsOf(course, code).map(({ C, wanted }): Asked => {
		if (!isHeld(course)) return { C, wanted };
		// What is held is asked for its first reading on the wrong side.
		return wanted === "atLeast"
			? { C: C - JUST_BEYOND_K, wanted: "atMost" }
			: { C: C + JUST_BEYOND_K, wanted: "atLeast" };
	});
	const { from_C } = code.cooling;
	return course === "cool" && from_C !== null ? [{ C: from_C, wanted: "atMost" }, ...limits] : limits;
}

/**
 * How a watch came out, from the first crossings of what was asked for.
 *
 * @param crossings instants in the order of `askedFor`
 * @param first_C   what was read first; null where nothing was read
 */
export function summaryOf(given: {
	readonly course: Course;
	readonly code: CodeLimits;
	readonly clockFrom: number;
	readonly first_C: number | null;
	readonly crossings: readonly (number | null)[];
	readonly isEnded: boolean;
	readonly now: number;
}): WatchSummary {
	const { course, code, clockFrom, first_C, crossings } = given;
	const { from_C } = code.cooling;
	const counted = course === "cool" && from_C !== null;
	const began = counted && first_C !== null && first_C > from_C ? (crossings[0] ?? null) : clockFrom;
	const reached = counted ? crossings.slice(1) : crossings;
	const limits = limitsOf(course, code).map((limit, index) => {
		const at = reached[index] ?? null;
		if (isHeld(course)) return { ...limit, by: null, at, verdict: heldVerdict(at, given) };
		const by = limit.within_min === null || began === null ? null : began + limit.within_min * MINUTE_MS;
		return { ...limit, by, at, verdict: reachedVerdict(at, by, given) };
	});
	const worst = (["missed", "open"] as const).find((one) => limits.some(({ verdict }) => verdict === one));
	return { limits, verdict: worst ?? "met" };
}

type Ended = Pick<Parameters<typeof summaryOf>[0], "first_C" | "isEnded" | "now">;

function heldVerdict(at: number | null, { first_C, isEnded }: Ended): WatchSummary["verdict"] {
	if (at !== null) return "missed";
	return first_C === null || !isEnded ? "open" : "met";
}

function reachedVerdict(
	at: number | null,
	by: number | null,
	{ first_C, isEnded, now }: Ended,
): WatchSummary["verdict"] {
	if (at !== null) return by === null || at <= by ? "met" : "missed";
	return first_C !== null && (isEnded || (by !== null && now > by)) ? "missed" : "open";
}
