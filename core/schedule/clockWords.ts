import { wallClock } from "./houseTime.ts";

const DAY_MS = 24 * 60 * 60_000;

/**
 * An instant as a clock time, with its day when that is not today: "19:30",
 * "Sat 19:30" within the week, "Sat 5 Dec 19:30" beyond it.
 */
export function clockWords(at: number, timeZone: string, now: number): string {
	const { date, time } = wallClock(at, timeZone);
	if (date === wallClock(now, timeZone).date) return time;
	const near = Math.abs(at - now) < 6 * DAY_MS;
	return `${near ? weekday(at, timeZone) : dayWords(at, timeZone)} ${time}`;
}

/** "Sat 28 Nov" */
export function dayWords(at: number, timeZone: string): string {
	const parts = new Intl.DateTimeFormat("en-GB", {
		timeZone,
		weekday: "short",
		day: "numeric",
		month: "short",
	}).formatToParts(at);
	const part = (type: Intl.DateTimeFormatPartTypes) =>
		(parts.find((one) => one.type === type)?.value ?? "").slice(0, 3);
	return `${part("weekday")} ${part("day")} ${part("month")}`;
}

function weekday(at: number, timeZone: string): string {
	return new Intl.DateTimeFormat("en-GB", { timeZone, weekday: "short" }).format(at).slice(0, 3);
}

/** Minutes as a cook says them: "45 min", "2 h 20". */
export function durationWords(minutes: number): string {
	const whole = Math.round(minutes);
	if (whole < 100 && whole !== 60) return `${whole} min`;
	const [hours, rest] = [Math.floor(whole / 60), whole % 60];
	return rest === 0 ? `${hours} h` : `${hours} h ${String(rest).padStart(2, "0")}`;
}
