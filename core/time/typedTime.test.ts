import { format } from "date-fns";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { dayTyped, momentTyped, readDay, readMoment, readTime } from "./index.ts";

const TODAY = "2026-11-24";

describe("a day as people type it", () => {
	it.each([
		["2026-11-28", "2026-11-28"],
		["28 Nov", "2026-11-28"],
		["28 november 2026", "2026-11-28"],
		["Sat 28 Nov 2026", "2026-11-28"],
		["Sat, 28th Nov.", "2026-11-28"],
		["Nov 28", "2026-11-28"],
		["Saturday November 28, 2026", "2026-11-28"],
		["28.11.", "2026-11-28"],
		["28.11.2026", "2026-11-28"],
		["5.12.", "2026-12-05"],
		["28/11/2026", "2026-11-28"],
		["11/28/2026", "2026-11-28"],
		["24 Nov", "2026-11-24"],
		["23 Nov", "2026-11-23"],
		["25 Aug", "2026-08-25"],
		["24 Aug", "2027-08-24"],
		["1 Jan", "2027-01-01"],
		["12/12", "2026-12-12"],
	])("%s is %s", (text, day) => {
		expect(readDay(text, TODAY)).toBe(day);
	});

	it("is asked for where it could be two", () => {
		expect(readDay("5/12/2026", TODAY)).toEqual({ either: ["2026-12-05", "2026-05-12"] });
	});

	it.each([
		"",
		"31 Feb 2026",
		"2026-02-30",
		"28",
		"Nov",
		"28 Foo",
		"32.1.",
		"0.0.",
		"28-11/2026",
		"tomorrow",
	])("%s is none", (text) => {
		expect(readDay(text, TODAY)).toBeUndefined();
	});

	it("is read again as it is shown, and shown again as it is read", () => {
		fc.assert(
			fc.property(fc.date({ min: new Date(0), max: new Date(4e12), noInvalidDate: true }), (date) => {
				const day = format(date, "yyyy-MM-dd");
				expect(readDay(dayTyped(day), TODAY)).toBe(day);
				expect(dayTyped(dayTyped(day))).toBe(dayTyped(day));
			}),
		);
	});
});

describe("a time as people type it", () => {
	it.each([
		["19:30", "19:30"],
		["1930", "19:30"],
		["930", "09:30"],
		["19.30", "19:30"],
		["19h30", "19:30"],
		["7", "07:00"],
		["19 h", "19:00"],
		["7:30 pm", "19:30"],
		["7pm", "19:00"],
		["12 am", "00:00"],
		["12:15 p.m.", "12:15"],
		["0:05", "00:05"],
	])("%s is %s", (text, time) => {
		expect(readTime(text)).toBe(time);
	});

	it.each(["", "24:00", "19:60", "13 pm", "0 am", "half seven", "19:3", "19:30:00", "99999"])(
		"%s is none",
		(text) => {
			expect(readTime(text)).toBeUndefined();
		},
	);
});

describe("a moment as people type it", () => {
	it.each([
		["5 dec 1930", "2026-12-05", "19:30"],
		["Sat 5 Dec 19:30", "2026-12-05", "19:30"],
		["sat 5 december, 7:30 pm", "2026-12-05", "19:30"],
		["Sat 5 Dec 2026 19:30", "2026-12-05", "19:30"],
		["5.12. 7pm", "2026-12-05", "19:00"],
		["2026-12-05 19:30", "2026-12-05", "19:30"],
		["2026-12-05T19:30", "2026-12-05", "19:30"],
		["5 Dec 2027 9", "2027-12-05", "09:00"],
	])("%s is %s %s", (text, date, time) => {
		expect(readMoment(text, TODAY)).toEqual({ date, time });
	});

	it("is asked for where its day could be two", () => {
		expect(readMoment("5/12/2026 19:30", TODAY)).toEqual({ either: ["2026-12-05", "2026-05-12"] });
	});

	it.each(["", "5 dec", "5 dec 2026", "19:30", "1930", "31 feb 19:30", "soon 19:30"])(
		"%s is none",
		(text) => {
			expect(readMoment(text, TODAY)).toBeUndefined();
		},
	);

	it("is read back with its weekday, and with its year only where it is needed", () => {
		expect(momentTyped({ date: "2026-12-05", time: "19:30" }, TODAY)).toBe("Sat 5 Dec 19:30");
		expect(momentTyped({ date: "2028-12-05", time: "19:30" }, TODAY)).toBe("Tue 5 Dec 2028 19:30");
		expect(momentTyped({ date: "2026-11-20", time: "08:00" }, TODAY)).toBe("Fri 20 Nov 08:00");
	});

	it("is read again as it is shown", () => {
		const day = fc.date({ min: new Date(0), max: new Date(4e12), noInvalidDate: true });
		fc.assert(
			fc.property(day, (at) => {
				const moment = { date: format(at, "yyyy-MM-dd"), time: format(at, "HH:mm") };
				expect(readMoment(momentTyped(moment, TODAY), TODAY)).toEqual(moment);
			}),
		);
	});
});
