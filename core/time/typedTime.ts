import { format, isValid, parse } from "date-fns";
import { daysBetween } from "./houseTime.ts";

/** Days and times as people type them, for forms; what they mean is written in one way. */

const MONTHS = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];

/** A day that could be two: the two, as `2026-12-05`. */
export interface TwoDays {
	readonly either: readonly [string, string];
}

/**
 * The day that was typed: "2026-11-28", "28 Nov", "Sat 28 November 2026", "28.11.", "28/11/2026".
 * Without a year it is the one just gone, where that is no more than three months ago; else the next.
 *
 * @param today the day it is, as `2026-11-24`
 * @returns as `2026-11-28`; two days where "5/12" may be either; undefined when it is none
 */
export function readDay(text: string, today: string): string | TwoDays | undefined {
	const plain = text.trim().toLowerCase().slice(0, LONGEST);
	if (/^\d{4}-\d{2}-\d{2}$/.test(plain)) return dayOf(plain.slice(0, 4), plain.slice(5, 7), plain.slice(8));
	const named =
		/^(?:[a-z]{2,9}\.?,?\s+)?(\d{1,2})(?:st|nd|rd|th)?\.?\s*([a-z]{3,9})\.?,?(?:\s*(\d{4}))?$/.exec(plain);
	if (named) return inYear(named[1] ?? "", monthOf(named[2] ?? ""), named[3], today);
	const turned = /^(?:[a-z]{2,9}\.?,?\s+)?([a-z]{3,9})\.?\s+(\d{1,2})(?:st|nd|rd|th)?(?:,?\s*(\d{4}))?$/.exec(
		plain,
	);
	if (turned) return inYear(turned[2] ?? "", monthOf(turned[1] ?? ""), turned[3], today);
	const figures = /^(\d{1,2})\s*([./-])\s*(\d{1,2})(?:\s*\2\s*(\d{4})?)?$/.exec(plain);
	if (!figures) return undefined;
	const [, first = "", mark, second = "", year] = figures;
	const dayFirst = inYear(first, second, year, today);
	const monthFirst = mark === "." ? undefined : inYear(second, first, year, today);
	if (dayFirst === undefined || monthFirst === undefined || dayFirst === monthFirst)
		return dayFirst ?? monthFirst;
	return { either: [dayFirst, monthFirst] };
}

const LONGEST = 40;

function monthOf(name: string): string {
	const index = MONTHS.findIndex((month) => name.startsWith(month));
	return index === -1 ? "" : String(index + 1);
}

function inYear(day: string, month: string, year: string | undefined, today: string): string | undefined {
	if (year !== undefined) return dayOf(year, month, day);
	const thisYear = Number(today.slice(0, 4));
	return [thisYear - 1, thisYear, thisYear + 1]
		.flatMap((one) => dayOf(String(one).padStart(4, "0"), month, day) ?? [])
		.find((one) => daysBetween(one, today) <= JUST_GONE_DAYS);
}

const JUST_GONE_DAYS = 91;

const DAY = "yyyy-MM-dd";

function dayOf(year: string, month: string, day: string): string | undefined {
	const written = `${year}-${month.padStart(2, "0")}-${day.padStart(2, "0")}`;
	return isValid(parse(written, DAY, new Date(0))) ? written : undefined;
}

/** A day as it stands in a field: "Sat 28 Nov 2026"; anything else as it is. */
export function dayTyped(date: string): string {
	const read = /^\d{4}-\d{2}-\d{2}$/.test(date) ? parse(date, DAY, new Date(0)) : null;
	return read && isValid(read) ? format(read, "EEE d MMM yyyy") : date;
}

/** A minute of a day on the house's clock: `2026-12-05` and `19:30`. */
export interface ClockMoment {
	readonly date: string;
	readonly time: string;
}

/**
 * The moment that was typed: "5 dec 1930", "Sat 5 Dec 2026 19:30", "28.11. 7pm", "2026-12-05 19:30".
 *
 * @param today the day it is, as `2026-11-24`
 * @param dayOfText how its day is read, unless as in `readDay`
 * @returns two days where it may be either; undefined when it names no day, or no time
 */
export function readMoment(
	text: string,
	today: string,
	dayOfText: typeof readDay = readDay,
): ClockMoment | TwoDays | undefined {
	const parts = text
		.trim()
		.slice(0, LONGEST)
		.replace(/^(\d{4}-\d{2}-\d{2})t/i, "$1 ")
		.split(/,?\s+/);
	for (let words = parts.length - 1; words >= 1; words -= 1) {
		const last = parts.slice(words).join(" ");
		const time = readTime(last);
		if (time === undefined || isYearNear(last, today)) continue;
		const day = dayOfText(parts.slice(0, words).join(" "), today);
		if (day !== undefined) return typeof day === "string" ? { date: day, time } : day;
	}
	return undefined;
}

/** "2026" at the end of a day is its year, not 20:26. */
function isYearNear(text: string, today: string): boolean {
	const year = Number(today.slice(0, 4));
	return [year - 1, year, year + 1].includes(Number(text));
}

/** A moment as it stands in a field: "Sat 5 Dec 19:30"; with its year where it would be read as another. */
export function momentTyped({ date, time }: ClockMoment, today: string): string {
	const full = dayTyped(date);
	const short = full.replace(/ \d{4}$/, "");
	return `${readDay(short, today) === date ? short : full} ${time}`;
}

/**
 * The time that was typed: "19:30", "1930", "19.30", "7", "7:30 pm", "7pm".
 *
 * @returns as `19:30`; undefined when it is none
 */
export function readTime(text: string): string | undefined {
	const plain = text.trim().toLowerCase().slice(0, LONGEST);
	const parts = /^(\d{1,2})(?:\s*[:.h]\s*(\d{2})|(\d{2}))?(?:\s*([ap])\.?m\.?|\s*h)?$/.exec(plain);
	if (!parts) return undefined;
	const [, hours = "", apart, together, half] = parts;
	const minute = Number(apart ?? together ?? 0);
	let hour = Number(hours);
	if (half && (hour < 1 || hour > 12)) return undefined;
	if (half) hour = (hour % 12) + (half === "p" ? 12 : 0);
	if (hour > 23 || minute > 59) return undefined;
	return `${String(hour).padStart(2, "0")}:${String(minute).padStart(2, "0")}`;
}
