import type { RuleDegrees } from "../safety/index.ts";
import { type CodeLimits, type Course, countsFrom, isHeld, type Limit, limitsOf } from "./courses.ts";

/** A limit whose first crossing decides how a watch comes out. */
export interface Asked extends RuleDegrees, Pick<Limit, "wanted"> {
	/** Reached: the first reading on the wanted side; broken: the first that is not. */
	readonly when: "reached" | "broken";
}

/** What has to be asked of the readings of a course: where its code's clock begins, then each limit. */
export function askedFor(course: Course, code: CodeLimits): Asked[] {
	const when = isHeld(course) ? "broken" : "reached";
	const limits = limitsOf(course, code).map(({ within_min: _, ...limit }): Asked => ({ ...limit, when }));
	const from = countsFrom(code);
	return course === "cool" && from !== null
		? [{ ...from, wanted: "atMost", when: "reached" }, ...limits]
		: limits;
}
