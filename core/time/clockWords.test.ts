import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { clockWords, dayNamesFor, dayWords, durationWords, fromWallClock, likelyDuration } from "./index.ts";

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
