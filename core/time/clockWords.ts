import { TZDate } from "@date-fns/tz";
import { differenceInCalendarDays, format } from "date-fns";
import type { Range } from "../quantity/index.ts";
import { wallClock } from "./houseTime.ts";

/** A weekday alone names a day that is nearer than this. */
const NEAR_DAYS = 6;

/** How a clock is read: "19:30", or "7:30 pm". */
export type ClockHours = "24" | "12";

/** The clock on the wall of the house, as one reader reads it: of 24 hours where nothing is said. */
export interface WallRead {
	readonly timeZone: string;
	readonly clockHours?: ClockHours;
}

/** An instant as its clock time alone: "19:30", "7:30 pm". */
export function clockTime(at: number, { timeZone, clockHours = "24" }: WallRead): string {
	return timeRead(wallClock(at, timeZone).time, clockHours);
}

/** A clock time, "19:30", as a reader reads it. */
export function timeRead(time: string, clockHours: ClockHours): string {
	if (clockHours === "24") return time;
	const [hour = "0", minute = "00"] = time.split(":");
	return `${((Number(hour) + 11) % 12) + 1}:${minute} ${Number(hour) < 12 ? "am" : "pm"}`;
}

/** How a day that is not today is named: "Sat" within the week, "Sat 5 Dec" beyond it. */
export type DayNames = "weekday" | "date";

/** The names that leave no doubt of a day as far off as `at`. */
export function dayNamesFor(at: number, timeZone: string, now: number): DayNames {
	return Math.abs(daysBetween(now, at, timeZone)) < NEAR_DAYS ? "weekday" : "date";
}

/**
 * An instant as a clock time, with its day when that is not today: "19:30",
 * "Sat 19:30", "Sat 5 Dec 19:30".
 *
 * @param wall of the house: its zone, and how the reader reads a clock
 */
export function clockWords(at: number, wall: string | WallRead, now: number, given?: DayNames): string {
	const read = typeof wall === "string" ? { timeZone: wall } : wall;
	const { timeZone } = read;
	const names = given ?? dayNamesFor(at, timeZone, now);
	const { date } = wallClock(at, timeZone);
	const time = clockTime(at, read);
	if (date === wallClock(now, timeZone).date) return time;
	return `${names === "weekday" ? weekday(at, timeZone) : dayWords(at, timeZone)} ${time}`;
}

/** Calendar days from one instant to another on the wall of the house. */
function daysBetween(from: number, to: number, timeZone: string): number {
	return differenceInCalendarDays(new TZDate(to, timeZone), new TZDate(from, timeZone));
}

/** "Sat 28 Nov" */
export function dayWords(at: number, timeZone: string): string {
	return format(new TZDate(at, timeZone), "EEE d MMM");
}

function weekday(at: number, timeZone: string): string {
	return format(new TZDate(at, timeZone), "EEE");
}

/** Minutes as a cook says them: "45 min", "2 h 20". */
export function durationWords(minutes: number): string {
	const whole = Math.round(minutes);
	return whole < 100 && whole !== 60 ? `${whole} min` : inHours(whole);
}

/** Several that are held against each other, in one form: "45 min" and "95 min", or "1 h 30" and "2 h 10". */
export function durationsWords(...minutes: readonly number[]): string[] {
	const whole = minutes.map(Math.round);
	const short = whole.every((each) => each < 100);
	return whole.map((each) => (short ? `${each} min` : inHours(each)));
}

/** "35 to 95 min", "1 h 30 to 2 h 10" */
export function durationRange(low_min: number, high_min: number): string {
	const [low, high] = durationsWords(low_min, high_min);
	return `${low?.endsWith(" min") ? low.slice(0, -4) : low} to ${high}`;
}

/** "2 h 05, from 1 h 46 to 2 h 27" */
export function likelyDuration({ low, likely, high }: Range): string {
	const [said, from, to] = durationsWords(likely, low, high);
	return `${said}, from ${from} to ${to}`;
}

/** As it is said across a kitchen: "a quarter of an hour", "35 minutes", "an hour", "1 h 20". */
export function spokenDuration(minutes: number): string {
	const whole = Math.round(minutes);
	const known: Readonly<Record<number, string>> = {
		15: "a quarter of an hour",
		30: "half an hour",
		45: "three quarters of an hour",
		60: "an hour",
	};
	return known[whole] ?? (whole < 100 ? `${whole} minutes` : inHours(whole));
}

function inHours(whole: number): string {
	const [hours, rest] = [Math.floor(whole / 60), whole % 60];
	return rest === 0 ? `${hours} h` : `${hours} h ${String(rest).padStart(2, "0")}`;
}
