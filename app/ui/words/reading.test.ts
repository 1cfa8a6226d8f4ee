import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
	counted,
	isSoon,
	minorUnitsOf,
	minuteClock,
	money,
	perCent,
	percent,
	percentTyped,
	pricePerWeight,
	readingIn,
} from "./reading.ts";

describe("money", () => {
	it.each([
		[2400, "EUR", "€24.00"],
		[437.4, "EUR", "€4.37"],
		[1250, "GBP", "£12.50"],
		[980, "JPY", "JP¥980"],
		[12_345, "KWD", "KWD 12.345"],
	])("%d of %s is read as “%s”", (minor, currency, words) => {
		expect(money(minor, currency).replace(/\u00a0/g, " ")).toBe(words);
	});

	it("has as many minor units as its currency", () => {
		expect([minorUnitsOf("EUR"), minorUnitsOf("JPY"), minorUnitsOf("KWD")]).toEqual([100, 1, 1000]);
	});

	it("of a kilo is of a pound for who weighs in pounds", () => {
		expect(pricePerWeight(1180, "EUR", "metric")).toBe("€11.80 a kg");
		expect(pricePerWeight(1180, "EUR", "us")).toBe("€5.35 a lb");
	});
});

describe("shares and counts", () => {
	it("a share typed back is the share", () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 1000 }), (thousandths) => {
				expect(Number(percentTyped(thousandths / 1000)) / 100).toBeCloseTo(thousandths / 1000, 9);
			}),
		);
	});

	it("are read with their unit, and one is one", () => {
		expect(percent(0.0525)).toBe("5.3 %");
		expect([counted(1, "pan"), counted(1200, "cover"), counted(0, "leaf", "leaves")]).toEqual([
			"1 pan",
			"1,200 covers",
			"0 leaves",
		]);
		expect([minuteClock(0), minuteClock(605)]).toEqual(["00:00", "10:05"]);
	});
});

describe("a reader", () => {
	const NOW = Date.UTC(2026, 10, 24, 9, 0);
	const SERVICE = Date.UTC(2026, 10, 28, 19, 30);

	it("of US units is told pounds, quarts, inches and Fahrenheit", () => {
		const us = readingIn("us", "UTC", NOW);
		expect([us.mass(27), us.volume(2), us.length(50), us.temperature(150)]).toEqual([
			"59.5 lb",
			"2.11 qt",
			"1.97 in",
			"302 °F",
		]);
	});

	it("is told the day once where a day was named already", () => {
		const reading = readingIn("metric", "UTC", NOW);
		expect(reading.clock(SERVICE)).toBe("Sat 19:30");
		expect(reading.clockAfter(SERVICE - 3_600_000, SERVICE)).toBe("18:30");
		expect(reading.clockAfter(SERVICE - 86_400_000, SERVICE)).toBe("Fri 19:30");
		expect(reading.time(SERVICE)).toBe("19:30");
	});

	it("of a far sitting is told every day of it with its date", () => {
		const far = readingIn("metric", "UTC", NOW).towards(SERVICE + 7 * 86_400_000);
		expect(far.clock(SERVICE)).toBe("Sat 28 Nov 19:30");
	});
});

describe("a per cent", () => {
	it.each([
		[0.745, "0.75 %"],
		[0.864, "0.86 %"],
		[1.204, "1.2 %"],
		[19.43, "19.4 %"],
		[0.004, "0.004 %"],
		[100, "100 %"],
		[0, "0 %"],
	])("%d is read as “%s”", (value, words) => {
		expect(perCent(value)).toBe(words);
	});
});

describe("what is to do next", () => {
	it.each([
		[119, true],
		[120, true],
		[121, false],
		[-30, true],
	])("in %d minutes: %s", (minutes, soon) => {
		expect(isSoon(minutes * 60_000, { now: 0 })).toBe(soon);
	});
});
