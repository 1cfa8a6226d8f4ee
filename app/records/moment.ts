import { refuse } from "#core/check";
import { DAY_MS, dayTyped, fromWallClock, readDay, readMoment, readTime, wallClock } from "#core/time";
import type { Typed } from "../ui/forms/form.ts";

/** A clock of the desk may be ahead by so much, ms. */
const AHEAD_MS = 120_000;

/**
 * When something was, as it was typed into `date` and `time`: now where nothing was.
 *
 * @param least nothing was before it
 * @throws {Refusal} where it is no time, later than now, or too early
 */
export function momentTyped(typed: Typed, timeZone: string, now: number, least = 0): number {
	const today = wallClock(now, timeZone).date;
	const { date, time } = dayAndTime(typed, today);
	if (time === "" && date === "") return keptAt(typed, now, least);
	const day = date === "" ? today : pastDay(date, today);
	if (typeof day !== "string") throw refuse("date", `“${date}” is no day; one such as 28 Nov is allowed`);
	const at = fromWallClock(day, readTime(time) ?? "", timeZone);
	if (at === undefined) throw refuse("time", `“${time}” is no time; one such as 19:30 is allowed`);
	if (at > now + AHEAD_MS) throw refuse("time", "is later than now; what has happened is written down");
	if (at < least)
		throw refuse("time", `is before it began (${clock(least, timeZone)}); a later time is allowed`);
	return at;
}

/** A day that was typed before the time counts; it is the last such day there was. */
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

/** The day that was typed; without its year the last one there was. */
function pastDay(text: string, today: string): ReturnType<typeof readDay> {
	const day = readDay(text, today);
	if (typeof day !== "string" || day <= today || /\d{4}/.test(text)) return day;
	return `${Number(day.slice(0, 4)) - 1}${day.slice(4)}`;
}

function clock(at: number, timeZone: string): string {
	const { date, time } = wallClock(at, timeZone);
	return `${dayTyped(date)} ${time}`;
}
