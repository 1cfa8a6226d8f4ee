import type { HouseCode } from "../safety/index.ts";

/** What is watched of food with a probe: that it cools, that it is heated, that it stays hot or cold. */
export const COURSES = ["cool", "reheat", "holdHot", "keepCold"] as const;
export type Course = (typeof COURSES)[number];

/** One limit of a house code, as it is held against what a probe reads. */
export interface Limit {
	readonly C: number;
	/** Which side of it is wanted. */
	readonly wanted: "atMost" | "atLeast";
	/**
	 * Minutes on the code's clock by which it is to be reached: from where the code counts, else from when
	 * it went in. Null where it is to hold all the time, or names none.
	 */
	readonly within_min: number | null;
}

/** What of a code judges what is watched. */
export type CodeLimits = Pick<HouseCode, "cooling" | "reheat" | "holdHot_C" | "keepCold_C">;

/** What a house code asks of a course. @see model, section H */
export function limitsOf(course: Course, { cooling, reheat, holdHot_C, keepCold_C }: CodeLimits): Limit[] {
	switch (course) {
		case "cool":
			return cooling.to.map(({ to_C, within_min }) => ({
				C: to_C,
				wanted: "atMost",
				within_min,
			}));
		case "reheat":
			return [{ C: reheat.core_C, wanted: "atLeast", within_min: reheat.within_min }];
		case "holdHot":
			return [{ C: holdHot_C, wanted: "atLeast", within_min: null }];
		case "keepCold":
			return [{ C: keepCold_C, wanted: "atMost", within_min: null }];
	}
}

/** Whether it is to hold from its first reading on, and not to be come to. */
export function isHeld(course: Course): boolean {
	return course === "holdHot" || course === "keepCold";
}

/** The colder side of a limit, or the hotter: as is wanted. */
export function isWithin({ C, wanted }: Pick<Limit, "C" | "wanted">, read_C: number): boolean {
	return wanted === "atMost" ? read_C <= C : read_C >= C;
}
