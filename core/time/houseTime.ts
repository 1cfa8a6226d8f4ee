import { TZDate } from "@date-fns/tz";
import { addDays, format, isValid, parse, set } from "date-fns";
import { memoise } from "../memoise/index.ts";

/** A kitchen's working day, minutes after the midnight before it by its own clock. */
export interface WorkingHours {
	readonly opens_min: number;
	/** More than a day where the kitchen closes after midnight. */
	readonly closes_min: number;
}

export const MINUTE_MS = 60_000;
export const HOUR_MS = 3_600_000;
const DAY_MIN = 1440;

/** The instant so many minutes earlier; a clock change in between does not matter. */
export function minutesBefore(at: number, minutes: number): number {
	return at - minutes * MINUTE_MS;
}

/** Starts are given to the five minutes, the earlier: nobody works to 15:19. */
const STEP_MS = 5 * MINUTE_MS;

/** The latest start on the five minutes that leaves so many minutes until `end`. */
export function startBefore(end: number, minutes: number): number {
	return toFiveMinutes(minutesBefore(end, minutes), Math.floor);
}

/** An instant to the five minutes. */
export function toFiveMinutes(at: number, round: (steps: number) => number = Math.round): number {
	return round(at / STEP_MS) * STEP_MS;
}

/** A plan asks for the same opening and closing times again and again. */
const instants = memoise<string, number>(2000);

/** The instant of a wall-clock minute on the day of `at`, some days later (or earlier). */
export function onDay(at: number, timeZone: string, minuteOfDay: number, days = 0): number {
	return instants(`${at} ${minuteOfDay} ${days} ${timeZone}`, () =>
		instantOf(at, timeZone, minuteOfDay, days),
	);
}

function instantOf(at: number, timeZone: string, minuteOfDay: number, days: number): number {
	const day = addDays(new TZDate(at, timeZone), days);
	const [hours, minutes] = [Math.floor(minuteOfDay / 60), minuteOfDay % 60];
	return set(day, { hours, minutes, seconds: 0, milliseconds: 0 }).getTime();
}

/** Clocks change at a quarter of an hour. */
const QUARTER_MS = 15 * MINUTE_MS;
const quarters = memoise<string, number>(5000);

/** Minutes after midnight on the house's wall clock. */
export function minuteOfDay(at: number, timeZone: string): number {
	const quarter = Math.floor(at / QUARTER_MS);
	const ofQuarter = quarters(`${quarter} ${timeZone}`, () => {
		const local = new TZDate(quarter * QUARTER_MS, timeZone);
		return local.getHours() * 60 + local.getMinutes();
	});
	return ofQuarter + Math.floor((at - quarter * QUARTER_MS) / MINUTE_MS);
}

/** Whether somebody is there: on the day itself, or still from the day before. */
export function isOpen(at: number, timeZone: string, { opens_min, closes_min }: WorkingHours): boolean {
	const minute = minuteOfDay(at, timeZone);
	return (minute >= opens_min && minute < closes_min) || minute + DAY_MIN < closes_min;
}

/** `2026-11-28` and `19:30` in the house's time zone, for forms. */
export function wallClock(at: number, timeZone: string): { date: string; time: string } {
	const local = new TZDate(at, timeZone);
	return { date: format(local, "yyyy-MM-dd"), time: format(local, "HH:mm") };
}

/**
 * The instant of a wall-clock date and time. A time that a clock change skips is read
 * an hour later, as the clocks do.
 *
 * @returns undefined when it is no such day or minute
 */
export function fromWallClock(date: string, time: string, timeZone: string): number | undefined {
	if (!/^\d{4}-\d{2}-\d{2}$/.test(date) || !/^\d{2}:\d{2}$/.test(time)) return undefined;
	const local = parse(`${date} ${time}`, "yyyy-MM-dd HH:mm", new TZDate(0, timeZone));
	return isValid(local) ? local.getTime() : undefined;
}

/** The first instant of a day of the calendar on the wall of the house. @returns undefined when it is no such day */
export function startOfDay(date: string, timeZone: string): number | undefined {
	const noon = fromWallClock(date, "12:00", timeZone);
	return noon === undefined ? undefined : onDay(noon, timeZone, 0);
}

/** Clocks are put back by so much: an hour, or half of one. */
const PUT_BACK_MS = [HOUR_MS / 2, HOUR_MS] as const;

/**
 * The instants at which the house's wall showed a date and time: two in the night in which clocks are
 * put back, none when it is no such day or minute.
 */
export function instantsShowing(date: string, time: string, timeZone: string): readonly number[] {
	const at = fromWallClock(date, time, timeZone);
	if (at === undefined) return [];
	const others = PUT_BACK_MS.flatMap((by) => [at - by, at + by]).filter((other) => {
		const shown = wallClock(other, timeZone);
		return shown.date === date && shown.time === time;
	});
	return [at, ...others].sort((a, b) => a - b);
}

/**
 * Minutes from the last time the house's clock showed so much until an instant: a clock change in
 * between is counted as the minutes that pass.
 *
 * @param time as it is typed, "14:30"
 * @returns NaN when it is no time
 */
export function minutesUntil(at: number, time: string, timeZone: string): number {
	for (const daysBack of [0, -1]) {
		const { date } = wallClock(onDay(at, timeZone, 0, daysBack), timeZone);
		const then = fromWallClock(date, time, timeZone);
		if (then === undefined) return Number.NaN;
		if (then < at) return (at - then) / MINUTE_MS;
	}
	return Number.NaN;
}

/**
 * The latest start of work that ends by an instant and lies whole inside one working
 * day: the same day, or the end of the day before.
 */
export function latestWorkingStart(
	endBy: number,
	minutes: number,
	timeZone: string,
	hours: WorkingHours,
): number {
	for (let daysBack = 0; daysBack <= 7; daysBack += 1) {
		const opens = onDay(endBy, timeZone, hours.opens_min, -daysBack);
		const closes = onDay(endBy, timeZone, hours.closes_min, -daysBack);
		const start = minutesBefore(Math.min(endBy, closes), minutes);
		if (start >= opens) return start;
	}
	return minutesBefore(endBy, minutes);
}

/** A day of 24 hours; the day of the clock change has another length. */
export const DAY_MS = 86_400_000;

/** A day of the calendar so many days later: "2026-12-05" and 2 give "2026-12-07". */
export function laterDay(date: string, days: number): string {
	return new Date(Date.parse(`${date}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);
}

/** Days of the calendar from one day to another: "2026-12-05" and "2026-12-07" give 2. */
export function daysBetween(from: string, to: string): number {
	return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY_MS);
}
