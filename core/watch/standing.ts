import type { ChillGiven } from "../chill/index.ts";
import type { Range } from "../quantity/index.ts";
import { limitFor, type RuleDegrees } from "../safety/index.ts";
import { minutesAhead, type Point } from "./ahead.ts";
import {
	type CodeLimits,
	type Course,
	countsFrom,
	isHeld,
	isWithin,
	type Limit,
	limitsOf,
} from "./courses.ts";

/** Food that is watched. Minutes are counted from when the watch began. */
export interface Watched {
	readonly course: Course;
	readonly code: CodeLimits;
	/** How it is cooled, as far as is known. */
	readonly cooling: ChillGiven | null;
	/** When it was lifted, or began to be heated or kept: before the watch, or as it began. Not above 0. */
	readonly lifted_min: number;
	/** When it went to where it is cooled; not above 0, and not before it was lifted. */
	readonly into_min: number;
	/** All that counts of what was read, in order. */
	readonly points: readonly Point[];
	readonly now_min: number;
	/** Nothing more comes: its standing is that of its end. */
	readonly isEnded: boolean;
}

export interface LimitStanding extends Limit {
	/**
	 * The minute by which it is to be reached; likely, while the code's clock has not begun. Null where
	 * no time is named, or nobody can say yet.
	 */
	readonly by_min: number | null;
	/** When it was reached, for limits that are held when it was first broken; null where it was not. */
	readonly at_min: number | null;
	/** When it will be, by the readings so far; null where that is not known. */
	readonly ahead: Range | null;
	/** Whether it never will be, as it is cooled. */
	readonly isNever: boolean;
	/**
	 * Met in time; missed; on course however it goes; tight: only if it goes as is likely; late: not
	 * as it goes now; open: nobody can say yet; not known: its time is over, and nothing was read that counts.
	 */
	readonly verdict: "met" | "missed" | "notKnown" | "onCourse" | "tight" | "late" | "open";
}

/** How a whole watch stands or came out. Met needs every limit met, by readings that are not doubted. */
export type Outcome = "met" | "missed" | "notKnown" | "open";

/** The worst of its limits: missed before not known, not known before what is still open. */
export function outcomeOf(standing: readonly Pick<LimitStanding, "verdict">[]): Outcome {
	if (standing.length === 0) return "notKnown";
	return worstOutcome(standing.map(({ verdict }) => OUTCOME_OF[verdict] ?? "open"));
}

const OUTCOME_OF: { readonly [V in LimitStanding["verdict"]]?: Outcome } = {
	met: "met",
	missed: "missed",
	notKnown: "notKnown",
};

/** From the worst on. */
const OUTCOMES: readonly Outcome[] = ["missed", "notKnown", "open", "met"];

/** The worst of several; not known where there is none. */
export function worstOutcome(outcomes: readonly Outcome[]): Outcome {
	return OUTCOMES.find((one) => outcomes.includes(one)) ?? "notKnown";
}

/** How long food stood between its lift and the cold, where a code limits that. */
export interface Stood {
	readonly within_min: number;
	readonly minutes: number;
	readonly verdict: "met" | "missed";
}

/** @returns null where the code names no limit for it, or it is not cooled */
export function stoodBefore({
	course,
	code,
	lifted_min,
	into_min,
}: Pick<Watched, "course" | "code" | "lifted_min" | "into_min">): Stood | null {
	const { standing_min: within_min } = code.cooling;
	if (course !== "cool" || within_min === 0) return null;
	const minutes = into_min - lifted_min;
	return { within_min, minutes, verdict: minutes <= within_min ? "met" : "missed" };
}

/**
 * How what was read so far stands to the limits of a house code, and how it will by the way it goes.
 *
 * @see model, section H
 */
export function standingOf(watched: Watched): LimitStanding[] {
	const { course, code } = watched;
	const limits = limitsOf(course, code);
	return isHeld(course)
		? limits.map((limit) => held(limit, watched))
		: limits.map((limit) => reached(limit, watched));
}

function held(limit: Limit, { points, isEnded }: Watched): LimitStanding {
	const broken = points.find((point) => !isWithin(limit, point));
	const verdict = broken ? "missed" : unbroken(points.length > 0, isEnded);
	return { ...limit, by_min: null, at_min: broken?.[0] ?? null, ahead: null, isNever: false, verdict };
}

function unbroken(isRead: boolean, isEnded: boolean): LimitStanding["verdict"] {
	if (isEnded) return isRead ? "met" : "notKnown";
	return isRead ? "onCourse" : "open";
}

function reached(limit: Limit, watched: Watched): LimitStanding {
	const { points, now_min, isEnded } = watched;
	const began = clockBegan(watched);
	const by_min = limit.within_min === null || began === null ? null : began + limit.within_min;
	const at_min = crossingOf(points, limit);
	const ahead = at_min === null && !isEnded ? aheadOf(limit, watched) : null;
	const isNever = at_min === null && !isEnded && neverComesTo(limit, watched);
	const isOver = isEnded || (by_min !== null && now_min > by_min);
	const verdict = isOver && points.length === 0 ? "notKnown" : verdictOf(at_min, by_min, ahead, isOver);
	return {
		...limit,
		by_min,
		at_min,
		ahead,
		isNever,
		verdict: isNever && verdict === "open" ? "late" : verdict,
	};
}

/** What stands in something warmer is never so cold. */
function neverComesTo({ C }: Limit, { course, cooling, points }: Watched): boolean {
	if (course !== "cool" || !cooling || points.length === 0) return false;
	return C <= Math.min(cooling.medium_C, cooling.foot?.C ?? cooling.medium_C);
}

function verdictOf(
	at_min: number | null,
	by_min: number | null,
	ahead: Range | null,
	isOver: boolean,
): LimitStanding["verdict"] {
	if (at_min !== null) return by_min === null || at_min <= by_min ? "met" : "missed";
	if (isOver) return "missed";
	if (!ahead || by_min === null) return "open";
	if (ahead.high <= by_min) return "onCourse";
	return ahead.likely <= by_min ? "tight" : "late";
}

/**
 * When the code's clock began: as the food passed the temperature it is counted from, else as it went
 * in. What was colder already when it was first read has been so since it was lifted, for all anybody
 * knows.
 */
function clockBegan({ course, code, cooling, points, lifted_min, into_min }: Watched): number | null {
	const from = countsFrom(code);
	if (course !== "cool" || from === null) return into_min;
	const [first] = points;
	if (!first) return null;
	const counts = { ...from, wanted: "atMost" as const };
	if (isWithin(counts, first)) return lifted_min;
	const began = crossingOf(points, counts);
	return began ?? (cooling ? (minutesAhead(cooling, asItCoolsNow(points), from.C)?.likely ?? null) : null);
}

/** When a course first came to the wanted side of a limit, along straight lines. */
function crossingOf(points: readonly Point[], limit: RuleDegrees & Pick<Limit, "wanted">): number | null {
	const index = points.findIndex((point) => isWithin(limit, point));
	const [crossed, before] = [points[index], points[index - 1]];
	if (!crossed) return null;
	const [minute, C, unit] = crossed;
	if (!before || before[1] === C) return minute;
	// What is within by its tenth alone lies a little beyond the limit: it is there as it is read.
	const share = Math.min(1, (before[1] - limitFor(limit, unit)) / (before[1] - C));
	return before[0] + share * (minute - before[0]);
}

/** Readings since it is cooled as it is now, with the last before: it was cooled otherwise until then. */
function asItCoolsNow(points: readonly Point[]): readonly Point[] {
	const last = points.findLastIndex(([minute]) => minute < 0);
	return last <= 0 ? points : points.slice(last);
}

/** How the way just gone is read on where no model is at hand, minutes; and how far off that may be. */
const NEWEST_MIN = 15;
const LEAST_MIN = 4;
const OFF_SHARE = 0.3;

function aheadOf(limit: Limit, { course, cooling, points }: Watched): Range | null {
	if (course === "cool" && cooling) return minutesAhead(cooling, asItCoolsNow(points), limit.C);
	const last = points.at(-1);
	const before = last && points.find(([minute]) => minute >= last[0] - NEWEST_MIN);
	if (!last || !before || last[0] - before[0] < LEAST_MIN) return null;
	const left_min = ((limit.C - last[1]) * (last[0] - before[0])) / (last[1] - before[1]);
	if (!(left_min > 0 && Number.isFinite(left_min))) return null;
	return {
		low: last[0] + left_min * (1 - OFF_SHARE),
		likely: last[0] + left_min,
		high: last[0] + left_min * (1 + OFF_SHARE),
	};
}
