import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { growthAlong, growthShare } from "./index.ts";

/** Straight from one temperature to another, in steps of a minute. */
function straight(from_C: number, to_C: number, minutes: number, begin = 0): [number, number][] {
	return Array.from({ length: minutes + 1 }, (_, minute) => [
		begin + minute,
		from_C + ((to_C - from_C) * minute) / minutes,
	]);
}

describe("growth of the usual spore-former", () => {
	it("is nothing outside its temperatures, and quickest at its best", () => {
		for (const C of [-5, 3, 12, 51, 63, 90]) expect(growthShare(C)).toBe(0);
		expect(growthShare(44)).toBeCloseTo(1, 9);
		fc.assert(
			fc.property(fc.double({ min: 12, max: 51, noNaN: true }), (C) => {
				expect(growthShare(C)).toBeGreaterThanOrEqual(0);
				expect(growthShare(C)).toBeLessThanOrEqual(1 + 1e-9);
			}),
		);
	});

	it("doubles in ten minutes at its best, once it has germinated", () => {
		const { likely, low, high } = growthAlong(straight(44, 44, 130));
		expect(likely).toBeCloseTo(10 * Math.log10(2), 6);
		expect(low).toBeLessThan(likely);
		expect(high).toBeGreaterThan(likely);
	});

	it("is under one power of ten where food goes from 54 to 27 °C in an hour and a half, and more in six", () => {
		expect(growthAlong(straight(54, 27, 90)).likely).toBeLessThan(1);
		expect(growthAlong(straight(54, 27, 360)).likely).toBeGreaterThan(3);
	});

	it("is never less the slower it cools, and adds up over a course that is cut in two", () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 30, max: 600 }),
				fc.integer({ min: 1, max: 300 }),
				fc.integer({ min: 1, max: 29 }),
				(minutes, more, cut) => {
					const quick = growthAlong(straight(80, 4, minutes));
					const slow = growthAlong(straight(80, 4, minutes + more));
					expect(slow.high).toBeGreaterThanOrEqual(quick.high - 0.01);
					const course = straight(80, 4, minutes);
					const first = growthAlong(course.slice(0, cut + 1));
					const second = growthAlong(course.slice(cut));
					// Nothing germinates anew in the case that does not wait for it.
					expect(first.high + second.high).toBeCloseTo(quick.high, 9);
				},
			),
		);
	});
});
