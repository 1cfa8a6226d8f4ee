import { type CodeLimits, type Course, isHeld, type Limit, limitsOf } from "./courses.ts";

/** A limit whose first crossing decides how a watch comes out. */
export interface Asked extends Pick<Limit, "C" | "wanted"> {
	/** Reached: the first reading on the wanted side; broken: the first that is not. */
	readonly when: "reached" | "broken";
}

/** What has to be asked of the readings of a course: where its code's clock begins, then each limit. */
export function askedFor(course: Course, code: CodeLimits): Asked[] {
	const when = isHeld(course) ? "broken" : "reached";
	const limits = limitsOf(course, code).map(({ C, wanted }): Asked => ({ C, wanted, when }));
	const { from_C } = code.cooling;
	return course === "cool" && from_C !== null
		? [{ C: from_C, wanted: "atMost", when: "reached" }, ...limits]
		: limits;
}
