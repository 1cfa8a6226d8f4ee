import { type Action, actionsFor, plannedClock, type ReadPoint, type WatchNow } from "#core/records";
import { durationWords, MINUTE_MS } from "#core/time";
import {
	type Course,
	type Doubt,
	isHeld,
	type LimitStanding,
	type Outcome,
	type Remedy,
	remediesFor,
	type Stood,
} from "#core/watch";
import type { RecordDrawing } from "../ui/drawings/RecordCurve.tsx";
import type { Reading } from "../ui/words/reading.ts";
import { VERDICT_WORDS } from "../ui/words/verdictWords.ts";

/** How a whole watch stands or came out. */
export const OUTCOME_WORDS: Readonly<Record<Outcome, string>> = {
	met: VERDICT_WORDS.met,
	missed: VERDICT_WORDS.missed,
	notKnown: VERDICT_WORDS.notKnown,
	open: "open",
};

export const COURSE_WORDS: Readonly<Record<Course, { readonly name: string; readonly doing: string }>> = {
	cool: { name: "Cooling", doing: "Cooling" },
	reheat: { name: "Reheating", doing: "Reheating" },
	holdHot: { name: "Hot holding", doing: "Held hot" },
	keepCold: { name: "Kept cold", doing: "Kept cold" },
};

/** A pan that is watched, as it is shown. */
export interface WatchView {
	readonly watch: number;
	readonly lot: number;
	readonly tag: string;
	readonly course: Course;
	readonly doing: string;
	/** The one figure: "41 min left to 3 °C". */
	readonly figure: string;
	readonly verdict: LimitStanding["verdict"];
	/** Whether somebody has to decide something. */
	readonly isPressing: boolean;
	/** The newest reading: "34.2 °C at 20:14, probe P01". */
	readonly newest: string;
	readonly doubt: string | null;
	/** One sentence a limit. */
	readonly limits: readonly { readonly words: string; readonly isWell: boolean }[];
	readonly code: string;
	readonly probe: string | null;
	readonly isOpen: boolean;
	readonly began: string;
	readonly drawing: RecordDrawing;
	readonly remedies: readonly RemedyView[];
	readonly actions: readonly string[];
	/** What may be written of it. */
	readonly choices: readonly Action[];
	/** By hand, and the probe's newest: what can be corrected. */
	readonly readings: readonly { readonly number: number; readonly words: string; readonly typed: string }[];
}

export interface RemedyView {
	readonly action: Remedy["action"];
	readonly parts: number;
	readonly words: string;
	readonly says: string;
	readonly meets: boolean;
}

export interface Surroundings {
	readonly reading: Reading;
	/** Air of a chiller with wind, °C; null where there is none. */
	readonly blast_C: number | null;
}

/** Somebody has to decide, or to measure. */
const PRESSING: ReadonlySet<LimitStanding["verdict"]> = new Set(["missed", "late", "notKnown"]);

export function watchView(now: WatchNow, given: Surroundings, again = false): WatchView {
	const { entry, standing, doubt, endedAt, points } = now;
	const { reading } = given;
	const { doc } = entry;
	const pressing = standing.find(({ verdict }) => PRESSING.has(verdict));
	const tight = standing.find(({ verdict }) => verdict === "tight");
	const open = standing.find(({ at_min, verdict }) => at_min === null && verdict !== "missed");
	const told = pressing ?? tight ?? open ?? standing.at(-1);
	const isPressing =
		endedAt === null && (pressing !== undefined || (doubt !== null && now.actions.length === 0));
	const needsHelp = endedAt === null && (pressing !== undefined || tight !== undefined);
	return {
		watch: doc.watch,
		lot: doc.lot,
		tag: doc.tag,
		course: doc.course,
		doing: COURSE_WORDS[doc.course].doing,
		figure: told ? figureOf(told, now, reading) : "",
		verdict: now.goesOnIn.length > 0 ? now.outcome : (told?.verdict ?? "open"),
		isPressing,
		newest: newestWords(points.at(-1), now.probe, reading),
		doubt: doubt ? doubtWords(doubt, reading) : null,
		limits: limitsTold(now, reading),
		code: doc.code.name,
		probe: now.probe,
		isOpen: endedAt === null,
		began: reading.clock(entry.at),
		drawing: drawingOf(now, reading),
		remedies: needsHelp
			? remediesFor(now.watched, given.blast_C).map((one) => remedyView(one, now, reading))
			: [],
		actions: now.actions.map(
			({ at, who, doc: { action, note } }) =>
				`${reading.clock(at)}: ${ACTION_WORDS[action].done}${note ? ` (${note})` : ""}, ${who}`,
		),
		choices: actionsFor(now, { again }),
		readings: correctable(points).map(({ number, at, C, who }) => ({
			number,
			words: `${reading.probed(C)} at ${reading.clock(at)}, ${who ?? "probe"}`,
			typed: reading.probed(C).replace(/ .*/, ""),
		})),
	};
}

/** What is done about food outside its limits: as a choice, and as it was done. */
export const ACTION_WORDS = {
	spread: { choice: "Spread it shallower", done: "spread over more pans" },
	iceBath: { choice: "Stand it in iced water", done: "stood in iced water" },
	blast: { choice: "Move it to the blast chiller", done: "moved to the blast chiller" },
	stirred: { choice: "Stir it", done: "stirred" },
	hotter: { choice: "Turn the heat up", done: "heat turned up" },
	reheated: { choice: "Heat it through again", done: "heated through again" },
	measured: { choice: "Measure by hand", done: "measured by hand" },
	probeChanged: { choice: "Change the probe", done: "probe changed" },
	usedNow: { choice: "Use it now", done: "used at once" },
	discarded: { choice: "Throw it away", done: "thrown away" },
	asked: { choice: "Ask whoever decides", done: "asked whoever decides" },
} as const;

function figureOf(limit: LimitStanding, { entry, watched, goesOnIn }: WatchNow, reading: Reading): string {
	const degrees = reading.temperature(limit.C);
	const clock = (minute: number) => reading.time(entry.at + minute * MINUTE_MS);
	const { verdict, at_min, by_min, ahead } = limit;
	if (goesOnIn.length > 0) return `On in ${goesOnIn.join(", ")}`;
	if (isHeld(entry.doc.course)) return heldFigure(limit, degrees, clock);
	if (at_min !== null) return `${degrees} at ${clock(at_min)}`;
	if (verdict === "missed") return `${degrees} missed`;
	if (verdict === "notKnown") return `${degrees} not known`;
	if (by_min === null) return ahead ? `${degrees} about ${clock(ahead.likely)}` : `Until ${degrees}`;
	const left_min = Math.max(0, Math.round(by_min - watched.now_min));
	return `${durationWords(left_min)} left to ${degrees}`;
}

function heldFigure(limit: LimitStanding, degrees: string, clock: Clock): string {
	const { verdict, at_min } = limit;
	if (verdict === "missed") return `${wrongSide(limit)} ${degrees} at ${clock(at_min ?? 0)}`;
	if (verdict === "notKnown") return "Not known";
	return verdict === "open" ? "Not read yet" : `${rightSide(limit)} ${degrees}`;
}

/** "Its first point passed 57 °C at 05:04 by the plan. Counted from there: 21 °C by 07:04, 5 °C by 11:04." */
export function earlierWords(now: WatchNow, reading: Reading): string | null {
	const planned = plannedClock(now);
	const { at, doc } = now.entry;
	const due = now.standing.flatMap(({ C, by_min, within_min }) => {
		if (planned === null || within_min === null) return [];
		const by = planned + within_min * MINUTE_MS;
		const isEarlier = by_min !== null && by < at + by_min * MINUTE_MS;
		return isEarlier ? [`${reading.temperature(C)} by ${reading.time(by)}`] : [];
	});
	if (planned === null || due.length === 0) return null;
	const passed = `Its first point passed ${reading.temperature(doc.code.cooling.from_C ?? 0)} at ${reading.time(planned)} by the plan`;
	return `${passed}. Counted from there: ${due.join(", ")}.`;
}

/** All that its code asks of a watch, each with how it came out. */
export function limitsTold(
	now: WatchNow,
	reading: Reading,
): { readonly words: string; readonly isWell: boolean }[] {
	const { stood, standing } = now;
	return [
		...(stood ? [{ words: stoodWords(stood), isWell: stood.verdict === "met" }] : []),
		...standing.map((limit) => ({
			words: limitWords(limit, now, reading),
			isWell: limit.verdict === "met" || limit.verdict === "onCourse",
		})),
	];
}

/** "In the cold within 30 min: after 12 min, met by 18 min" */
function stoodWords({ within_min, minutes, verdict }: Stood): string {
	const off = offWords(Math.abs(within_min - minutes));
	return `In the cold within ${durationWords(within_min)}: after ${durationWords(Math.round(minutes))}, ${verdict} by ${off}`;
}

/** "21 °C by 22:05: reached at 21:40, met by 25 min" */
export function limitWords(limit: LimitStanding, now: WatchNow, reading: Reading): string {
	const clock = (minute: number) => reading.time(now.entry.at + minute * MINUTE_MS);
	if (isHeld(now.entry.doc.course)) return heldWords(limit, clock, reading);
	const { by_min } = limit;
	const degrees = reading.temperature(limit.C);
	const name = by_min === null ? degrees : `${degrees} by ${clock(by_min)}`;
	return `${name}: ${reachedWords(limit, now, clock)}`;
}

type Clock = (minute: number) => string;

function heldWords({ C, wanted, verdict, at_min }: LimitStanding, clock: Clock, reading: Reading): string {
	const name = `${reading.temperature(C)} or ${wanted === "atLeast" ? "above" : "below"}`;
	if (verdict === "open") return `${name}: nothing was read yet`;
	if (verdict === "notKnown") return `${name}: not known, nothing that counts was read`;
	return verdict === "missed" ? `${name}: broken at ${clock(at_min ?? 0)}` : `${name}: held in every reading`;
}

function reachedWords(limit: LimitStanding, { watched, goesOnIn }: WatchNow, clock: Clock): string {
	const { at_min, by_min, ahead, isNever, verdict } = limit;
	if (at_min !== null) {
		const off = by_min === null ? "" : `, ${verdict} by ${offWords(Math.abs(by_min - at_min))}`;
		return `reached at ${clock(at_min)}${off}`;
	}
	if (verdict === "notKnown") return "not known, nothing that counts was read";
	if (verdict === "missed") {
		const ago = Math.round(watched.now_min - (by_min ?? watched.now_min));
		return watched.isEnded ? "not reached" : `missed, ${durationWords(ago)} ago`;
	}
	if (goesOnIn.length > 0)
		return `went on in ${goesOnIn.length === 1 ? "pan" : "pans"} ${goesOnIn.join(", ")}`;
	if (isNever) return "never, in what it stands in";
	if (!ahead) return "nobody can say yet";
	const likely = `likely at ${clock(ahead.likely)}, ${clock(ahead.low)} to ${clock(ahead.high)}`;
	return `${likely}${AHEAD_WORDS[verdict as keyof typeof AHEAD_WORDS] ?? ""}`;
}

/** By how much: what is off by seconds is off all the same. */
function offWords(minutes: number): string {
	return minutes > 0 && minutes < 1 ? "less than 1 min" : durationWords(Math.round(minutes));
}

const AHEAD_WORDS = { onCourse: "; on course", tight: "; tight", late: "; too late as it goes" } as const;

function rightSide({ wanted }: LimitStanding): string {
	return wanted === "atLeast" ? "Above" : "Below";
}

function wrongSide({ wanted }: LimitStanding): string {
	return wanted === "atLeast" ? "Below" : "Above";
}

function newestWords(point: ReadPoint | undefined, probe: string | null, reading: Reading): string {
	if (!point) return probe === null ? "not measured yet" : `probe ${probe} has said nothing yet`;
	const by = point.who ?? (probe === null ? "probe" : `probe ${probe}`);
	return `${reading.probed(point.C)} at ${reading.clock(point.at)}, ${by}`;
}

export function doubtWords(doubt: Doubt, reading: Reading): string {
	switch (doubt.because) {
		case "silent":
			return `The probe has said nothing for ${durationWords(doubt.minutes)}. Measure by hand.`;
		case "impossible":
			return `The probe reads ${reading.probed(doubt.C)}, which cannot be. Measure by hand.`;
		case "apart": {
			const K = Math.abs(reading.units === "us" ? doubt.by_K * 1.8 : doubt.by_K).toFixed(1);
			const way = doubt.by_K > 0 ? "above" : "below";
			const from = doubt.from === "hand" ? "what was measured by hand" : "the other pans";
			return `The probe reads ${K} ${reading.degrees} ${way} ${from}${doubt.grows ? ", and drifts on" : ""}. Measure by hand; until then it does not count.`;
		}
	}
}

function remedyView(remedy: Remedy, { entry, standing }: WatchNow, reading: Reading): RemedyView {
	const { action, parts, given, reached_min, meets } = remedy;
	const clock = (minute: number | null) =>
		minute === null ? "never" : `at ${reading.time(entry.at + minute * MINUTE_MS)}`;
	const open = standing.flatMap(({ C, at_min }, index) =>
		at_min === null ? [`${reading.temperature(C)} ${clock(reached_min[index] ?? null)}`] : [],
	);
	const words =
		action === "spread"
			? `Spread it over ${parts === 2 ? "two pans" : "three pans"}, ${reading.length(given.depth_mm)} deep`
			: ACTION_WORDS[action].choice;
	return { action, parts, words, says: `${open.join(", ")}${meets ? ": met" : ": still too late"}`, meets };
}

/** So many of the newest hand readings can be corrected from here, and the probe's last. */
const MOST_CORRECTABLE = 12;

function correctable(points: readonly ReadPoint[]): ReadPoint[] {
	const hands = points.filter(({ who }) => who !== null).slice(-MOST_CORRECTABLE);
	const probe = points.filter(({ who }) => who === null).slice(-1);
	return [...hands, ...probe].reverse();
}

/** A probe that says nothing for so long leaves a gap in its line, minutes. */
const GAP_MIN = 4;
const LEAST_END_MIN = 60;
const PAST = 1.1;

function drawingOf(now: WatchNow, reading: Reading): RecordDrawing {
	const { entry, points, standing, watched, doubt } = now;
	const minuteOf = (at: number) => (at - entry.at) / MINUTE_MS;
	const clock = (minute: number) => reading.time(entry.at + minute * MINUTE_MS);
	const ends = standing.flatMap(({ by_min, ahead }) => [by_min ?? 0, ahead?.high ?? 0]);
	const end_min = Math.max(LEAST_END_MIN, Math.max(watched.now_min, ...ends) * PAST);
	const temperatures = [...points.map(({ C }) => C), ...standing.map(({ C }) => C)];
	const [least_C, top_C] = [
		Math.floor((Math.min(0, ...temperatures) - 2) / 5) * 5,
		Math.ceil((Math.max(...temperatures, entry.doc.course === "cool" ? 85 : 40) + 3) / 5) * 5,
	];
	const held = isHeld(entry.doc.course);
	const last = watched.points.at(-1);
	const aheads = standing.flatMap(({ C, ahead }) => (ahead ? [{ C, ahead }] : []));
	const step = [15, 30, 60, 120, 240, 480].find((minutes) => end_min / minutes <= 7) ?? 720;
	return {
		read: stretches(points, minuteOf),
		hands: points.flatMap(({ who, at, C }) =>
			who === null ? [] : [{ minute: minuteOf(at), C, words: reading.probed(C) }],
		),
		ahead:
			last && aheads.length > 0
				? [[last[0], last[1]], ...aheads.map(({ C, ahead }) => [ahead.likely, C] as const)]
				: [],
		ranges: aheads.map(({ C, ahead }) => ({ C, low_min: ahead.low, high_min: ahead.high })),
		ceilings: standing.flatMap(({ C, by_min }) => {
			if (held) return [{ C, by_min: end_min, words: reading.temperature(C) }];
			return by_min === null ? [] : [{ C, by_min, words: `${reading.temperature(C)} by ${clock(by_min)}` }];
		}),
		end_min,
		top_C,
		least_C,
		ticks: [0, 20, 40, 60, 80, 100]
			.filter((C) => C >= least_C && C <= top_C)
			.map((C) => ({ C, words: reading.temperature(C).replace(/ .*/, "") })),
		hours: Array.from({ length: Math.floor(end_min / step) + 1 }, (_, index) => ({
			minute: index * step,
			words: clock(index * step),
		})),
		words: `Core of pan ${entry.doc.tag} from ${clock(0)}: ${newestWords(points.at(-1), now.probe, reading)}. ${limitsTold(
			now,
			reading,
		)
			.map(({ words }) => words)
			.join("; ")}.${doubt ? ` ${doubtWords(doubt, reading)}` : ""}`,
	};
}

function stretches(
	points: readonly ReadPoint[],
	minuteOf: (at: number) => number,
): (readonly [number, number])[][] {
	const found: [number, number][][] = [];
	for (const { who, at, C } of points) {
		if (who !== null) continue;
		const minute = minuteOf(at);
		const open = found.at(-1);
		if (open && minute - (open.at(-1)?.[0] ?? 0) <= GAP_MIN) open.push([minute, C]);
		else found.push([[minute, C]]);
	}
	return found;
}
