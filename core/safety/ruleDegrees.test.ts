import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
	celsiusOf,
	DEGREE_UNITS,
	fahrenheitOf,
	isOnSide,
	lastHundredth,
	limitFor,
	type RuleDegrees,
} from "./index.ts";

const BOTH: RuleDegrees = { C: 74, F: 165 };
const CELSIUS: RuleDegrees = { C: 3 };
const FAHRENHEIT: RuleDegrees = { C: celsiusOf(165), F: 165, onlyF: true };

describe("a limit of a rule", () => {
	it("that is written in both units is met by a reading in its own", () => {
		expect(isOnSide(BOTH, "atLeast", celsiusOf(165), "F")).toBe(true);
		expect(isOnSide(BOTH, "atLeast", celsiusOf(164.9), "F")).toBe(false);
		// 165 °F is not 74 °C: whoever reads °C reads 74.
		expect(isOnSide(BOTH, "atLeast", celsiusOf(165))).toBe(false);
		expect(isOnSide(BOTH, "atLeast", 74)).toBe(true);
		for (const [C, F] of [
			[57, 135],
			[21, 70],
			[5, 41],
		] as const) {
			expect(isOnSide({ C, F }, "atMost", celsiusOf(F), "F")).toBe(true);
			expect(isOnSide({ C, F }, "atMost", celsiusOf(F + 0.1), "F")).toBe(false);
		}
	});

	it("that is written in one unit is held against any reading in that one, at a tenth", () => {
		expect(isOnSide(FAHRENHEIT, "atLeast", 73.9)).toBe(true);
		expect(isOnSide(FAHRENHEIT, "atLeast", 73.8)).toBe(false);
		expect(isOnSide(CELSIUS, "atMost", celsiusOf(37.4), "F")).toBe(true);
		expect(isOnSide(CELSIUS, "atMost", celsiusOf(37.5), "F")).toBe(false);
		expect(isOnSide(CELSIUS, "atMost", 3.04)).toBe(true);
		expect(isOnSide(CELSIUS, "atMost", 3.05)).toBe(false);
		// A whole degree on a display decides nothing.
		expect(isOnSide(CELSIUS, "atMost", 3.4)).toBe(false);
	});

	it("meets a line between readings where the reading's own unit has it", () => {
		expect(limitFor(BOTH, "F")).toBeCloseTo(73.889, 3);
		expect(limitFor(BOTH)).toBe(74);
		expect(limitFor(CELSIUS, "F")).toBe(3);
	});
});

describe("a reading", () => {
	it("is kept in hundredths of °C as it was read in tenths of °F", () => {
		for (let tenths = -760; tenths <= 7520; tenths += 1) {
			const kept = Math.round(celsiusOf(tenths / 10) * 100) / 100;
			expect(Math.round(fahrenheitOf(kept) * 10) - tenths).toBeCloseTo(0, 9);
			expect(isOnSide({ C: 0, F: tenths / 10 }, "atMost", kept, "F")).toBe(true);
			expect(isOnSide({ C: 0, F: tenths / 10 }, "atLeast", kept, "F")).toBe(true);
		}
	});

	it("is on both sides of no limit but one that it is on", () => {
		const limits = fc.record({
			C: fc.integer({ min: -200, max: 1000 }).map((tenths) => tenths / 10),
			F: fc.option(fc.integer({ min: -20, max: 212 }), { nil: undefined }),
			onlyF: fc.boolean(),
		});
		fc.assert(
			fc.property(
				limits,
				fc.integer({ min: -2000, max: 10_000 }),
				fc.constantFrom(...DEGREE_UNITS),
				({ C, F, onlyF }, hundredths, unit) => {
					const limit: RuleDegrees = F === undefined ? { C } : { C: onlyF ? celsiusOf(F) : C, F, onlyF };
					const read = hundredths / 100;
					const [below, above] = [
						isOnSide(limit, "atMost", read, unit),
						isOnSide(limit, "atLeast", read, unit),
					];
					expect(below || above).toBe(true);
					if (below && above) expect(Math.abs(read - limitFor(limit, unit))).toBeLessThan(0.06);
				},
			),
			{ numRuns: 300, seed: 28 },
		);
	});

	it("that is the last on a side is followed by one that is not", () => {
		fc.assert(
			fc.property(
				fc.integer({ min: -300, max: 2120 }),
				fc.boolean(),
				fc.constantFrom("atMost" as const, "atLeast" as const),
				(tenths, inF, wanted) => {
					const limit: RuleDegrees = inF
						? { C: celsiusOf(tenths / 10), F: tenths / 10, onlyF: true }
						: { C: tenths / 10 };
					const last = lastHundredth(limit, wanted);
					const next = wanted === "atMost" ? last + 1 : last - 1;
					expect(isOnSide(limit, wanted, last / 100)).toBe(true);
					expect(isOnSide(limit, wanted, next / 100)).toBe(false);
				},
			),
			{ numRuns: 300, seed: 28 },
		);
	});
});
