import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
	clockTime,
	clockWords,
	dayNamesFor,
	dayWords,
	durationWords,
	fromWallClock,
	likelyDuration,
	readTime,
	timeRead,
} from "./index.ts";

const ZONE = "Atlantic/Faroe";
const at = (date: string, time: string) => fromWallClock(date, time, ZONE) ?? Number.NaN;
const NOW = at("2026-11-24", "09:00");

describe("a clock time", () => {
	it.each([
		["2026-11-24", "19:30", "19:30"],
		["2026-11-24", "06:00", "06:00"],
		["2026-11-25", "00:05", "Wed 00:05"],
		["2026-11-29", "23:55", "Sun 23:55"],
		["2026-11-30", "07:55", "Mon 30 Nov 07:55"],
		["2026-11-23", "19:30", "Mon 19:30"],
		["2026-11-10", "19:30", "Tue 10 Nov 19:30"],
	])("%s %s is read as “%s”", (date, time, words) => {
		expect(clockWords(at(date, time), ZONE, NOW)).toBe(words);
	});

	it("a weekday alone never stands for two days", () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 0, max: 40 * 24 }),
				fc.integer({ min: 0, max: 40 * 24 }),
				(first, second) => {
					const [a, b] = [NOW + first * 3_600_000, NOW + second * 3_600_000];
					if (clockWords(a, ZONE, NOW) === clockWords(b, ZONE, NOW)) expect(a).toBe(b);
				},
			),
		);
	});

	it("names the days of one sitting in one way, whatever the hour", () => {
		const names = dayNamesFor(at("2026-11-30", "11:30"), ZONE, NOW);
		expect(clockWords(at("2026-11-29", "21:00"), ZONE, NOW, names)).toBe("Sun 29 Nov 21:00");
		expect(clockWords(at("2026-11-30", "07:55"), ZONE, NOW, names)).toBe("Mon 30 Nov 07:55");
		expect(dayNamesFor(at("2026-11-29", "00:05"), ZONE, NOW)).toBe(
			dayNamesFor(at("2026-11-29", "23:55"), ZONE, NOW),
		);
	});

	it("is the house's, not the reader's", () => {
		const midnight = Date.UTC(2026, 6, 4, 23, 30);
		expect(dayWords(midnight, "UTC")).toBe("Sat 4 Jul");
		expect(dayWords(midnight, ZONE)).toBe("Sun 5 Jul");
	});
});

describe("a length of time", () => {
	it.each([
		[0, "0 min"],
		[45, "45 min"],
		[60, "1 h"],
		[99.4, "99 min"],
		[100, "1 h 40"],
		[125, "2 h 05"],
		[1440, "24 h"],
	])("%d minutes are “%s”", (minutes, words) => {
		expect(durationWords(minutes)).toBe(words);
	});

	it("are said in one form where they are held against each other", () => {
		expect(likelyDuration({ low: 45.2, likely: 60, high: 95 })).toBe("60 min, from 45 min to 95 min");
		expect(likelyDuration({ low: 78, likely: 91, high: 110 })).toBe("1 h 31, from 1 h 18 to 1 h 50");
	});
});

describe("a clock of twelve hours", () => {
	it.each([
		["00:00", "12:00 am"],
		["00:05", "12:05 am"],
		["11:59", "11:59 am"],
		["12:00", "12:00 pm"],
		["13:30", "1:30 pm"],
		["23:59", "11:59 pm"],
	])("%s is %s", (time, words) => {
		expect(timeRead(time, "12")).toBe(words);
		expect(timeRead(time, "24")).toBe(time);
	});

	it("is read again as it was, at every minute of the day", () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 1439 }), (minute) => {
				const [hours, minutes] = [Math.floor(minute / 60), minute % 60];
				const time = `${String(hours).padStart(2, "0")}:${String(minutes).padStart(2, "0")}`;
				expect(readTime(timeRead(time, "12"))).toBe(time);
			}),
		);
	});

	it("names its day as the other does", () => {
		const wall = { timeZone: ZONE, clockHours: "12" } as const;
		expect(clockWords(at("2026-11-28", "19:30"), wall, NOW)).toMatch(/7:30 pm$/);
		expect(clockTime(at("2026-11-28", "19:30"), { timeZone: ZONE })).toBe("19:30");
	});
});
