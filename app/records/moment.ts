import { refuse } from "#core/check";
import {
	DAY_MS,
	dayTyped,
	HOUR_MS,
	instantsShowing,
	laterDay,
	readDay,
	readMoment,
	readTime,
	wallClock,
} from "#core/time";
import type { Typed } from "../ui/forms/form.ts";

/** A clock of the desk may be ahead by so much, ms. */
const AHEAD_MS = 120_000;
/** A time of last night is that of yesterday so long after, ms; what is later in the day is a slip. */
const OVERNIGHT_MS = 12 * HOUR_MS;

/**
 * When something was, as it was typed into `date` and `time`: now where nothing was. A time alone is
 * that of today, or of yesterday where today has not come so far; a day without its year is the one
 * just gone. In the night in which clocks are put back a time may be "01:30 first" or "01:30 second".
 *
 * @param least nothing was before it
 * @throws {Refusal} where it is no time, later than now, too early, or one of two
 */
export function momentTyped(typed: Typed, timeZone: string, now: number, least = 0): number {
	const today = wallClock(now, timeZone).date;
	const { text, which } = withoutWhich((typed.time ?? "").trim());
	const { date, time } = dayAndTime({ ...typed, time: text }, today);
	if (time === "" && date === "") return keptAt(typed, now, least);
	const hour = readTime(time);
	if (hour === undefined) throw refuse("time", `“${time}” is no time; one such as 19:30 is allowed`);
	const day = date === "" ? today : pastDay(date, today);
	if (typeof day !== "string") throw refuse("date", `“${date}” is no day; one such as 28 Nov is allowed`);
	const shown = instantsShowing(day, hour, timeZone);
	// Ten to midnight, typed at ten past, was yesterday.
	const isAhead = date === "" && shown.every((at) => at > now + AHEAD_MS);
	const before = isAhead ? instantsShowing(laterDay(today, -1), hour, timeZone) : [];
	const instants = before.some((at) => at >= now - OVERNIGHT_MS) ? before : shown;
	const at = oneOf(instants, which, { hour, least, now });
	if (at > now + AHEAD_MS) throw refuse("time", "is later than now; what has happened is written down");
	if (at < least)
		throw refuse("time", `is before it began (${clock(least, timeZone)}); a later time is allowed`);
	return at;
}

type Which = "first" | "second";

function withoutWhich(text: string): { readonly text: string; readonly which: Which | null } {
	const found = /^(.*\S)\s+(first|second)$/i.exec(text);
	return found
		? { text: found[1] ?? "", which: (found[2] ?? "").toLowerCase() as Which }
		: { text, which: null };
}

/** The one that is meant, where the wall showed a time twice: the one that was said, or that alone can be. */
function oneOf(
	instants: readonly number[],
	which: Which | null,
	{ hour, least, now }: { readonly hour: string; readonly least: number; readonly now: number },
): number {
	const [first, second] = instants;
	if (first === undefined) throw refuse("time", `“${hour}” is no time of that day`);
	if (second === undefined) return first;
	if (which !== null) return which === "first" ? first : second;
	const possible = instants.filter((at) => at >= least && at <= now + AHEAD_MS);
	if (possible.length > 1) {
		throw refuse(
			"time",
			`the clocks showed ${hour} twice that night; “${hour} first” or “${hour} second” is allowed`,
		);
	}
	return possible[0] ?? first;
}

/** A day that was typed before the time counts. */
function dayAndTime(typed: Typed, today: string): { readonly date: string; readonly time: string } {
	const [date, time] = [(typed.date ?? "").trim(), (typed.time ?? "").trim()];
	const moment = readMoment(time, today, pastDay);
	if (moment === undefined) return { date, time };
	if ("either" in moment) throw refuse("time", "could be two days; write the month as a word");
	return moment;
}

/** Kept on a device while the server was out of reach, for so long at the most, ms: a week. */
const LONGEST_KEPT_MS = 7 * DAY_MS;

/** When something was written that waited on a device; now where it did not wait. */
function keptAt({ keptAt: written = "" }: Typed, now: number, least: number): number {
	if (written === "") return now;
	const at = Number(written);
	const holds = /^\d{1,16}$/.test(written) && at <= now + AHEAD_MS && at >= now - LONGEST_KEPT_MS;
	if (!holds) throw refuse("time", "is no moment of the last week; write it with its time");
	return Math.min(now, Math.max(least, at));
}

/** The day that was typed; one that has not come yet is asked for with its year. */
function pastDay(text: string, today: string): ReturnType<typeof readDay> {
	const day = readDay(text, today);
	if (typeof day !== "string" || day <= today || /\d{4}/.test(text)) return day;
	throw refuse("date", `${dayTyped(day)} has not come yet; an earlier day is allowed, with its year`);
}

function clock(at: number, timeZone: string): string {
	const { date, time } = wallClock(at, timeZone);
	return `${dayTyped(date)} ${time}`;
}
