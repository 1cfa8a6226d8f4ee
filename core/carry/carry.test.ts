import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { carriedMinutes, carriedReach, carriedTo, measuredLoss } from "./index.ts";

const HOT = { mass_kg: 20, UA_W_per_K: 0.8, start_C: 80, air_C: 18 };
const anyBox = fc.record({
	mass_kg: fc.double({ min: 1, max: 60, noNaN: true }),
	UA_W_per_K: fc.double({ min: 0.2, max: 5, noNaN: true }),
	start_C: fc.double({ min: -2, max: 95, noNaN: true }),
	air_C: fc.double({ min: 10, max: 40, noNaN: true }),
});

describe("what is carried in a box", () => {
	it("is at the limit when it is said to be", () => {
		fc.assert(
			fc.property(anyBox, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (box, share) => {
				fc.pre(Math.abs(box.start_C - box.air_C) > 1);
				const to_C = box.air_C + share * (box.start_C - box.air_C);
				const minutes = carriedMinutes({ ...box, to_C });
				expect(carriedTo(box, minutes ?? 0)).toBeCloseTo(to_C, 6);
			}),
		);
	});

	it("stays hot longer the more there is in it, and shorter the worse the box", () => {
		const minutes = (more: Partial<typeof HOT>) => carriedMinutes({ ...HOT, ...more, to_C: 63 }) ?? 0;
		expect(minutes({ mass_kg: 30 })).toBeCloseTo(minutes({}) * 1.5, 6);
		expect(minutes({ UA_W_per_K: 1.6 })).toBeCloseTo(minutes({}) / 2, 6);
	});

	it("never becomes what lies beyond the air, and is already past what it is packed beyond", () => {
		expect(carriedMinutes({ ...HOT, to_C: 10 })).toBeNull();
		expect(carriedMinutes({ ...HOT, to_C: 90 })).toBe(0);
		expect(carriedMinutes({ ...HOT, to_C: 80 })).toBe(0);
		expect(carriedMinutes({ ...HOT, start_C: 3, to_C: 8 })).toBeGreaterThan(0);
	});

	it("is at its limit sooner the oftener it is opened, and as warm as that says", () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 6 }), (openings) => {
				const opened = { ...HOT, openings };
				const minutes = carriedMinutes({ ...opened, to_C: 63 }) ?? 0;
				expect(carriedTo(opened, minutes)).toBeCloseTo(63, 6);
				expect(minutes).toBeGreaterThan(carriedMinutes({ ...opened, openings: openings + 1, to_C: 63 }) ?? 0);
			}),
		);
		expect(carriedMinutes({ ...HOT, openings: 100, to_C: 79 })).toBe(0);
	});

	it("tells its loss from one measured hour", () => {
		const is_C = carriedTo(HOT, 60);
		expect(measuredLoss(HOT.mass_kg, HOT.air_C, HOT.start_C, is_C, 60)).toBeCloseTo(HOT.UA_W_per_K, 9);
		expect(measuredLoss(20, 18, 80, 81, 60)).toBeNull();
		expect(measuredLoss(20, 18, 80, 70, 0)).toBeNull();
	});
});

describe("when a limit is reached", () => {
	const box = { mass_kg: 20, UA_W_per_K: 0.8, start_C: 80, air_C: 10, to_C: 63 };
	it("is already where it is packed past it, and never where the air is not so cold", () => {
		expect(carriedReach({ ...box, to_C: 82 })).toBe("already");
		expect(carriedReach({ ...box, to_C: 80 })).toBe("already");
		expect(carriedReach({ ...box, to_C: 10 })).toBe("never");
		expect(carriedReach({ ...box, to_C: 5 })).toBe("never");
		expect(carriedReach({ ...box, start_C: 3, air_C: 20, to_C: 2 })).toBe("already");
		expect(carriedReach({ ...box, start_C: 3, air_C: 20, to_C: 25 })).toBe("never");
		expect(carriedReach({ ...box, start_C: 3, air_C: -5, to_C: 8 })).toBe("never");
		expect(carriedReach({ ...box, start_C: 70, air_C: 90, to_C: 63 })).toBe("never");
		expect(carriedReach(box)).toBeCloseTo(428.9, 0);
		expect([carriedMinutes({ ...box, to_C: 82 }), carriedMinutes({ ...box, to_C: 5 })]).toEqual([0, null]);
	});
});
