import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
	clockWords,
	daysBetween,
	dayWords,
	durationWords,
	fromWallClock,
	instantsShowing,
	isOpen,
	latestWorkingStart,
	minutesUntil,
	startOfDay,
	wallClock,
} from "./index.ts";

const ZONE = "Europe/Lisbon";
const HOURS = { opens_min: 6 * 60, closes_min: 22 * 60 };
function at(date: string, time: string): number {
	const instant = fromWallClock(date, time, ZONE);
	if (instant === undefined) throw new Error(`${date} ${time} is no time`);
	return instant;
}
describe("working hours", () => {
	it("work that fits no day starts when it must", () => {
		const end = at("2026-11-28", "12:00");
		expect(latestWorkingStart(end, 20 * 60, ZONE, HOURS)).toBe(end - 20 * 60 * 60_000);
	});

	describe("of a kitchen that closes after midnight", () => {
		const LATE = { opens_min: 10 * 60, closes_min: 25 * 60 };

		it.each([
			["09:59", false],
			["10:00", true],
			["23:59", true],
			["00:30", true],
			["00:59", true],
			["01:00", false],
			["04:00", false],
		])("somebody is there at %s: %s", (time, open) => {
			expect(isOpen(at("2026-11-28", time), ZONE, LATE)).toBe(open);
		});

		it("work that ends after midnight starts in the same evening", () => {
			const end = at("2026-11-28", "00:45");
			expect(latestWorkingStart(end, 90, ZONE, LATE)).toBe(at("2026-11-27", "23:15"));
		});

		it("work for the morning is done by the night's closing", () => {
			const end = at("2026-11-28", "10:30");
			expect(latestWorkingStart(end, 60, ZONE, LATE)).toBe(at("2026-11-28", "00:00"));
		});

		it("work lies within hours, whenever it has to be done by", () => {
			fc.assert(
				fc.property(
					fc.integer({ min: 0, max: 20_000 }),
					fc.integer({ min: 5, max: 600 }),
					(later_min, minutes) => {
						const end = at("2026-11-20", "00:00") + later_min * 60_000;
						const start = latestWorkingStart(end, minutes, ZONE, LATE);
						expect(start + minutes * 60_000).toBeLessThanOrEqual(end);
						expect(isOpen(start, ZONE, LATE)).toBe(true);
					},
				),
			);
		});
	});
});

describe("minutes until", () => {
	it("counts to the last time the clock showed it, the evening before where that is later in the day", () => {
		expect(minutesUntil(at("2026-11-28", "19:30"), "14:30", ZONE)).toBe(300);
		expect(minutesUntil(at("2026-11-28", "11:00"), "22:00", ZONE)).toBe(13 * 60);
		expect(minutesUntil(at("2026-11-28", "11:00"), "", ZONE)).toBeNaN();
	});

	it("counts what passes over the night the clocks change", () => {
		expect(minutesUntil(at("2026-03-29", "08:00"), "23:00", ZONE)).toBe(8 * 60);
		expect(minutesUntil(at("2026-10-25", "08:00"), "23:00", ZONE)).toBe(10 * 60);
	});
});

describe("times in words", () => {
	const now = at("2026-11-24", "09:00");
	it("names the day when it is not today, and the date when it is far", () => {
		expect(clockWords(at("2026-11-24", "19:30"), ZONE, now)).toBe("19:30");
		expect(clockWords(at("2026-11-28", "19:30"), ZONE, now)).toBe("Sat 19:30");
		expect(clockWords(at("2026-12-05", "19:30"), ZONE, now)).toBe("Sat 5 Dec 19:30");
		expect(dayWords(now, ZONE)).toBe("Tue 24 Nov");
		expect([45, 60, 99, 140, 120].map(durationWords)).toEqual(["45 min", "1 h", "99 min", "2 h 20", "2 h"]);
	});

	it("reads back what it wrote", () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 5_000_000 }), (minutes) => {
				const instant = Date.UTC(2026, 0, 1) + minutes * 60_000;
				const { date, time } = wallClock(instant, ZONE);
				const again = fromWallClock(date, time, ZONE) ?? 0;
				expect([0, 3_600_000]).toContain(Math.abs(again - instant));
			}),
		);
	});

	it.each([
		["2026-02-30", "10:00"],
		["2026-11-28", "24:00"],
		["tomorrow", "10:00"],
		["2026-11-28", ""],
	])("%s %s is no time", (date, time) => {
		expect(fromWallClock(date, time, ZONE)).toBeUndefined();
	});
});

describe("a day of the calendar", () => {
	it("begins at its own midnight, wherever the house is", () => {
		expect(startOfDay("2026-12-08", "Pacific/Auckland")).toBe(Date.UTC(2026, 11, 7, 11));
		expect(startOfDay("2026-12-08", "Pacific/Kiritimati")).toBe(Date.UTC(2026, 11, 7, 10));
		expect(startOfDay("2026-12-08", "Pacific/Pago_Pago")).toBe(Date.UTC(2026, 11, 8, 11));
		// Where the clocks go forward at midnight it begins at one.
		expect(startOfDay("2026-09-06", "America/Santiago")).toBe(Date.UTC(2026, 8, 6, 4));
		expect(startOfDay("2026-02-30", "UTC")).toBeUndefined();
	});

	it("is so many days from another, however long they are", () => {
		expect(daysBetween("2026-10-24", "2026-10-26")).toBe(2);
		expect(daysBetween("2027-03-01", "2027-02-28")).toBe(-1);
	});
});

describe("a time on the wall", () => {
	it("was shown twice in the night the clocks went back, by an hour or by half of one", () => {
		expect(instantsShowing("2026-10-25", "01:30", "Europe/London")).toEqual([
			Date.UTC(2026, 9, 25, 0, 30),
			Date.UTC(2026, 9, 25, 1, 30),
		]);
		expect(instantsShowing("2026-04-05", "01:45", "Australia/Lord_Howe")).toHaveLength(2);
		expect(instantsShowing("2026-10-25", "02:30", "Europe/London")).toHaveLength(1);
		expect(instantsShowing("2026-10-25", "25:30", "Europe/London")).toEqual([]);
	});
});
