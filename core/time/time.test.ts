import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { backwardClock } from "../tasks/index.ts";
import {
	clockWords,
	dayWords,
	durationWords,
	fromWallClock,
	latestWorkingStart,
	wallClock,
} from "./index.ts";

const ZONE = "Europe/Lisbon";
const HOURS = { opens_min: 6 * 60, closes_min: 22 * 60 };
const WORK = {
	trim_min: 60,
	sear_min: 35,
	build_min: 40,
	panUp_min: 12,
	braise_min: { low: 125, likely: 155, high: 190 },
	allowed_min: 190,
	rest_min: 20,
	sauce_min: 30,
	plate_min: 7,
};

function at(date: string, time: string): number {
	const instant = fromWallClock(date, time, ZONE);
	if (instant === undefined) throw new Error(`${date} ${time} is no time`);
	return instant;
}
const day = (serviceAt: number) => ({ serviceAt, timeZone: ZONE, hours: HOURS, orderLead_days: 3 });

describe("the clock put backwards", () => {
	const clock = backwardClock(WORK, day(at("2026-11-28", "19:30")));

	it("every start is before the next, and on five minutes", () => {
		const starts = [
			clock.buy,
			clock.trim,
			clock.sear,
			clock.build,
			clock.panUp,
			clock.in,
			clock.rest,
			clock.sauce,
			clock.plate,
			clock.serve,
		];
		for (const [index, start] of starts.entries()) {
			expect(start % (5 * 60_000)).toBe(0);
			if (index > 0) expect(start).toBeGreaterThanOrEqual(starts[index - 1] ?? 0);
		}
	});

	it("is tender by the slow end of the range when it has to be lifted", () => {
		expect(clock.tender.high).toBeLessThanOrEqual(clock.rest);
		expect(clock.tender.low).toBe(clock.in + 125 * 60_000);
	});

	it("orders when the kitchen opens, days before", () => {
		expect(wallClock(clock.buy, ZONE)).toEqual({ date: "2026-11-25", time: "06:00" });
	});

	it("a later service moves everything later, never earlier", () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 600 }), (minutes) => {
				const later = backwardClock(WORK, day(at("2026-11-28", "12:00") + minutes * 60_000));
				const noon = backwardClock(WORK, day(at("2026-11-28", "12:00")));
				expect(later.in).toBeGreaterThanOrEqual(noon.in);
				expect(later.trim).toBeGreaterThanOrEqual(noon.trim);
			}),
		);
	});

	it("a slower cut goes in earlier", () => {
		const slow = backwardClock(
			{ ...WORK, braise_min: { low: 160, likely: 195, high: 235 }, allowed_min: 235 },
			day(clock.serve),
		);
		expect(slow.in).toBeLessThan(clock.in);
	});

	it("trims the evening before rather than at night", () => {
		const early = backwardClock(WORK, day(at("2026-11-28", "11:00")));
		expect(wallClock(early.trim, ZONE)).toEqual({ date: "2026-11-27", time: "21:00" });
	});

	it("a marinade starts in working hours and lasts at least as long as it should", () => {
		const clock = backwardClock({ ...WORK, marinate_min: 840 }, day(at("2026-11-28", "19:30")));
		expect(clock.drain).toBe(clock.sear);
		expect((clock.sear - (clock.marinate ?? 0)) / 60_000).toBeGreaterThanOrEqual(840);
		expect(clock.trim).toBeLessThan(clock.marinate ?? 0);
	});

	it("minutes stay minutes over the night the clocks change", () => {
		const spring = backwardClock(
			{ ...WORK, braise_min: { low: 400, likely: 440, high: 480 }, allowed_min: 480 },
			day(at("2026-03-29", "08:00")),
		);
		expect(spring.rest - spring.in).toBeGreaterThanOrEqual(480 * 60_000);
		expect(wallClock(spring.serve, ZONE).time).toBe("08:00");
	});
});

describe("working hours", () => {
	it("work that fits no day starts when it must", () => {
		const end = at("2026-11-28", "12:00");
		expect(latestWorkingStart(end, 20 * 60, ZONE, HOURS)).toBe(end - 20 * 60 * 60_000);
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
