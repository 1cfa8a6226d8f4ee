import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { numbersIn, parseQuantity, readNumber, takeQuantity, Unclear, written } from "./index.ts";

describe("a written number", () => {
	it.each([
		["12", [12]],
		["-3", [-3]],
		["−3", [-3]],
		["12.", [12]],
		["1.5", [1.5]],
		["1,5", [1.5]],
		[".5", [0.5]],
		["0,250", [0.25]],
		["0.250", [0.25]],
		["1234.567", [1234.567]],
		["1,2345", [1.2345]],
		["1 200", [1200]],
		["1 200,5", [1200.5]],
		["1’200", [1200]],
		["1,234,567", [1_234_567]],
		["1.234.567", [1_234_567]],
		["1,234.5", [1234.5]],
		["1.234,5", [1234.5]],
		["1,234.567", [1234.567]],
		["1,000", [1000, 1]],
		["5.000", [5000, 5]],
		["1,250", [1250, 1.25]],
		["-1,250", [-1250, -1.25]],
		["", []],
		["x", []],
		["1,2,3", []],
		["1e3", []],
		["12,34.5", []],
	] as const)("“%s” can be %o", (text, numbers) => {
		expect(numbersIn(text)).toEqual(numbers);
	});

	it("that is written by us reads back as the same, and as nothing else", () => {
		fc.assert(
			fc.property(fc.double({ min: -1e9, max: 1e9, noNaN: true }), (value) => {
				const numbers = numbersIn(written(value));
				expect(numbers).toHaveLength(1);
				expect(Math.abs((numbers[0] ?? Number.NaN) - value)).toBeLessThanOrEqual(
					1e-15 + Math.abs(value) * 1e-12,
				);
			}),
		);
		expect(written(1.125)).toBe("1.1250");
	});

	it("of thousands is never read as thousandths, nor the other way, without being asked for", () => {
		fc.assert(
			fc.property(fc.integer({ min: 1000, max: 999_999 }), fc.constantFrom(",", "."), (value, mark) => {
				const text = `${Math.floor(value / 1000)}${mark}${String(value % 1000).padStart(3, "0")}`;
				expect(numbersIn(text)).toEqual([value, value / 1000]);
			}),
		);
	});
});

describe("a number where something is allowed", () => {
	it("is the one of two that can stand there", () => {
		expect(readNumber("1.035", "density", (value) => value <= 5)).toBe(1.035);
		expect(readNumber("1,200", "altitude", (value) => Number.isInteger(value) && value > 100)).toBe(1200);
	});

	it("is asked for where both can", () => {
		expect(() => readNumber("1,000", "covers", (value) => value >= 1)).toThrow(
			"covers: “1,000” could be 1000 or 1; write it one of these ways",
		);
		expect(() => readNumber("1,000", "covers")).toThrow(Unclear);
	});

	it("that is none is told as none", () => {
		expect(readNumber("lots", "covers")).toBeUndefined();
		expect(readNumber("", "covers")).toBeUndefined();
	});
});

describe("a quantity", () => {
	it.each(["1.000 g", "1,250 kg", "2,500 ml stock"])("“%s” is not read one way silently", (text) => {
		expect(takeQuantity(text)?.unclear).toHaveLength(2);
	});

	it("that could be two things is asked for by its field", () => {
		expect(() => parseQuantity("1,250 kg", "portion")).toThrow("portion: “1,250 kg” could be 1250 or 1.25");
		expect(parseQuantity("1,25 kg")).toEqual({ amount: 1.25, unit: "kg" });
		expect(parseQuantity("0,250 kg")).toEqual({ amount: 0.25, unit: "kg" });
		expect(parseQuantity(".5 l")).toEqual({ amount: 0.5, unit: "l" });
	});
});
