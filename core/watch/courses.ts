import { type HouseCode, isOnSide, type RuleDegrees } from "../safety/index.ts";
import type { Point } from "./ahead.ts";

/** What is watched of food with a probe: that it cools, that it is heated, that it stays hot or cold. */
export const COURSES = ["cool", "reheat", "holdHot", "keepCold"] as const;
export type Course = (typeof COURSES)[number];

/** One limit of a house code, as it is held against what a probe reads. */
export interface Limit extends RuleDegrees {
	/** Which side of it is wanted. */
	readonly wanted: "atMost" | "atLeast";
	/**
	 * Minutes on the code's clock by which it is to be reached: from where the code counts, else from when
	 * it went in. Null where it is to hold all the time, or names none.
	 */
	readonly within_min: number | null;
}

/** What of a code judges what is watched. */
export type CodeLimits = Pick<HouseCode, "cooling" | "reheat" | "holdHot_C" | "keepCold_C"> &
	Partial<Pick<HouseCode, "limits_F" | "onlyF">>;

/** What a house code asks of a course, in the units its rule is written in. @see model, section H */
export function limitsOf(course: Course, code: CodeLimits): Limit[] {
	const { cooling, reheat, holdHot_C, keepCold_C, limits_F } = code;
	const as = (C: number, F: number | undefined) => degreesOf(code, C, F);
	switch (course) {
		case "cool":
			return cooling.to.map(({ to_C, within_min }, index) => ({
				...as(to_C, limits_F?.to[index]),
				wanted: "atMost",
				within_min,
			}));
		case "reheat":
			return [{ ...as(reheat.core_C, limits_F?.reheat), wanted: "atLeast", within_min: reheat.within_min }];
		case "holdHot":
			return [{ ...as(holdHot_C, limits_F?.holdHot), wanted: "atLeast", within_min: null }];
		case "keepCold":
			return [{ ...as(keepCold_C, limits_F?.keepCold), wanted: "atMost", within_min: null }];
	}
}

/** From where a code's clock of cooling counts; null where it counts from going in. */
export function countsFrom(code: CodeLimits): RuleDegrees | null {
	const { from_C } = code.cooling;
	return from_C === null ? null : degreesOf(code, from_C, code.limits_F?.from ?? undefined);
}

function degreesOf({ onlyF = false }: CodeLimits, C: number, F: number | undefined): RuleDegrees {
	return F === undefined ? { C } : { C, F, onlyF };
}

/** Whether it is to hold from its first reading on, and not to be come to. */
export function isHeld(course: Course): boolean {
	return course === "holdHot" || course === "keepCold";
}

/** Whether a reading is on the wanted side of a limit, or on it, at a tenth of a degree of its rule. */
export function isWithin(limit: RuleDegrees & Pick<Limit, "wanted">, [, C, unit]: Point): boolean {
	return isOnSide(limit, limit.wanted, C, unit);
}
