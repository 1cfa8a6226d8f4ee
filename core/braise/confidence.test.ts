import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { minutesToBeSure, stillToGo, USUAL_CONFIDENCE } from "./index.ts";

const RANGE = { low: 120, likely: 140, high: 165 };
const anyRange = fc
	.tuple(
		fc.double({ min: 20, max: 600, noNaN: true }),
		fc.double({ min: 1.02, max: 1.6, noNaN: true }),
		fc.double({ min: 1.02, max: 1.6, noNaN: true }),
	)
	.map(([likely, down, up]) => ({ low: likely / down, likely, high: likely * up }));

describe("being sure that it is tender in time", () => {
	it("nine days in ten is the end of the range, every other day is the likely time", () => {
		expect(minutesToBeSure(RANGE, USUAL_CONFIDENCE)).toBeCloseTo(165, 6);
		expect(minutesToBeSure(RANGE, 0.5)).toBeCloseTo(140, 6);
	});

	it("to be surer it is given longer, never less", () => {
		const sure = fc.double({ min: 0.5, max: 0.99, noNaN: true });
		fc.assert(
			fc.property(anyRange, sure, sure, (range, first, second) => {
				const [less, more] = [Math.min(first, second), Math.max(first, second)];
				expect(minutesToBeSure(range, more)).toBeGreaterThanOrEqual(minutesToBeSure(range, less) - 1e-9);
			}),
		);
	});
});

describe("a pan that still pulls", () => {
	it("felt early it is likely to take what it was planned to", () => {
		const { likely_min, high_min } = stillToGo(RANGE, 60);
		expect(60 + likely_min).toBeCloseTo(140, 0);
		expect(60 + high_min).toBeCloseTo(165, 0);
	});

	it("the later it is felt the later it comes, and always with something still to go", () => {
		fc.assert(
			fc.property(anyRange, fc.double({ min: 0.5, max: 1.3, noNaN: true }), (range, share) => {
				const felt = range.likely * share;
				const now = stillToGo(range, felt);
				const after = stillToGo(range, felt + 5);
				expect(now.likely_min).toBeGreaterThanOrEqual(0);
				expect(now.high_min).toBeGreaterThanOrEqual(now.likely_min);
				expect(felt + 5 + after.likely_min).toBeGreaterThanOrEqual(felt + now.likely_min - 1e-6);
			}),
		);
	});
});
