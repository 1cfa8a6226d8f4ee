import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
	formatQuantity,
	gramsOf,
	MEASURES,
	millilitresOf,
	parseQuantity,
	readable,
	takeQuantity,
	threeDigits,
	toBase,
	UNITS,
	type UnitName,
} from "./index.ts";

const UNIT_NAMES = Object.keys(UNITS) as UnitName[];

describe("what cooks type", () => {
	it.each([
		["1 1/2 lb", 1.5, "lb"],
		["750ml", 750, "ml"],
		["2 tbsp", 2, "tbsp"],
		["2 Tbsp.", 2, "tbsp"],
		["1 T", 1, "tbsp"],
		["1 t", 1, "tsp"],
		["0,5 kg", 0.5, "kg"],
		["½ l", 0.5, "l"],
		["1½ kg", 1.5, "kg"],
		["0,250 kg", 0.25, "kg"],
		["1,234,567 g", 1_234_567, "g"],
		["1.25 kg", 1.25, "kg"],
		["3", 3, "piece"],
		["2 fl oz", 2, "floz"],
		["180 °C", 180, "celsius"],
		["350F", 350, "fahrenheit"],
		["-18 C", -18, "celsius"],
		['2"', 2, "in"],
		["1 lb 4 oz", 1.25, "lb"],
		["2 dozen", 2, "dozen"],
	] as const)("%s is read", (text, amount, unit) => {
		const read = parseQuantity(text);
		expect(read.unit).toBe(unit);
		expect(read.amount).toBeCloseTo(amount, 12);
	});

	it("leaves what follows the quantity alone", () => {
		expect(takeQuantity("3 bay leaves")).toEqual({
			quantity: { amount: 3, unit: "piece" },
			rest: " bay leaves",
			unclear: [],
		});
		expect(takeQuantity("2 1/2 kg pork collar, trimmed")?.rest).toBe(" pork collar, trimmed");
	});

	it.each(["", "some", "1/0 kg", "kg 2", "2 kg of meat", "--3 g"])("“%s” is no quantity", (text) => {
		expect(() => parseQuantity(text, "amount")).toThrow(/amount: /);
	});

	it("refuses a volume where a weight is wanted, naming the field", () => {
		expect(() => parseQuantity("2 l", "onHand", "mass")).toThrow(
			"onHand: “2 l” is a volume; a mass is allowed",
		);
	});

	it("never breaks on anything typed", () => {
		fc.assert(
			fc.property(fc.string({ unit: "grapheme" }), (text) => {
				const taken = takeQuantity(text);
				return taken === undefined || Number.isFinite(taken.quantity.amount);
			}),
		);
	});
});

describe("written back", () => {
	it("reading what was written gives the same, in every unit", () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...UNIT_NAMES),
				fc.double({ min: 0.001, max: 999_999, noNaN: true }),
				(unit, amount) => {
					const again = parseQuantity(formatQuantity({ amount, unit }));
					expect(again).toEqual({ amount, unit });
				},
			),
		);
	});

	it("keeps three digits, in the unit of its size", () => {
		expect(readable(21_412, "mass", "metric")).toBe("21.4 kg");
		expect(readable(21_412, "mass", "us")).toBe("47.2 lb");
		expect(readable(950, "volume", "metric")).toBe("950 ml");
		expect(readable(950, "volume", "us")).toBe("1 qt");
		expect(readable(150, "temperature", "us")).toBe("302 °F");
		expect(readable(43.9, "length", "metric")).toBe("44 mm");
		expect(readable(0, "mass", "metric")).toBe("0 g");
		expect(threeDigits(1284.6)).toBe("1,280");
		expect(threeDigits(-0.5)).toBe("−0.5");
	});

	it("a reading is never more than half a percent off, or half a millimetre or degree", () => {
		fc.assert(
			fc.property(fc.double({ min: 1, max: 5e6, noNaN: true }), (grams) => {
				const read = parseQuantity(readable(grams, "mass", "metric").replaceAll(",", ""));
				expect(Math.abs(toBase(read.amount, read.unit) / grams - 1)).toBeLessThanOrEqual(0.00501);
			}),
		);
	});
});

describe("weight and volume", () => {
	it("a litre of oil is lighter than a litre of water", () => {
		expect(gramsOf({ amount: 1, unit: "l" }, 0.915)).toBeCloseTo(915);
		expect(millilitresOf({ amount: 915, unit: "g" }, 0.915)).toBeCloseTo(1000);
		expect(gramsOf({ amount: 3, unit: "piece" }, undefined, 110)).toBe(330);
	});

	it("says what is missing rather than guess a density", () => {
		expect(() => gramsOf({ amount: 1, unit: "l" })).toThrow("density: is not known");
		expect(() => gramsOf({ amount: 2, unit: "cm" })).toThrow("a length was given");
	});
});

describe("measures that two countries call by one name", () => {
	it("are those of the reader's country, and say which", () => {
		const bare = (measures: "us" | "uk") => takeQuantity("2 pints", measures)?.quantity;
		expect(bare("us")).toEqual({ amount: 2, unit: "pt" });
		expect(bare("uk")).toEqual({ amount: 2, unit: "ukPt" });
		expect(toBase(1, "ukPt")).toBeCloseTo(568.26125, 6);
		expect(toBase(1, "pt")).toBeCloseTo(473.176473, 6);
		expect(formatQuantity({ amount: 2, unit: "pt" })).toBe("2 US pt");
		expect(formatQuantity({ amount: 2, unit: "ukPt" })).toBe("2 UK pt");
	});

	it.each([
		["1 US pint of stock", "pt"],
		["1 imperial pint of stock", "ukPt"],
		["3 UK fl oz stock", "ukFloz"],
		["3 us fl. oz stock", "floz"],
		["2 imp gallons", "ukGal"],
	] as const)("%s is its own whoever reads it", (text, unit) => {
		for (const measures of MEASURES) expect(takeQuantity(text, measures)?.quantity.unit).toBe(unit);
	});
});
