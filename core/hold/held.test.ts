import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { CALIBRATED } from "../braise/index.ts";
import { dryness_l_per_h, sensibleMinutes } from "./index.ts";

const warm = fc.integer({ min: 58, max: 90 });
const soft = fc.double({ min: 0.9, max: 1.3, noNaN: true });
const factor = fc.double({ min: 0.6, max: 6, noNaN: true });

describe("what is held hot", () => {
	it("may wait longer the cooler it is held, the firmer it was lifted and the slower its cut", () => {
		fc.assert(
			fc.property(warm, soft, factor, (held_C, lifted, times) => {
				const { likely } = sensibleMinutes(lifted, times, held_C);
				expect(sensibleMinutes(lifted, times, held_C - 3).likely).toBeGreaterThanOrEqual(likely);
				expect(sensibleMinutes(lifted - 0.05, times, held_C).likely).toBeGreaterThanOrEqual(likely);
				expect(sensibleMinutes(lifted, times * 0.9, held_C).likely).toBeGreaterThanOrEqual(likely);
			}),
		);
	});

	it("adds up: held for half the time it may wait for the other half", () => {
		const { likely } = sensibleMinutes(1.1, 1, 75);
		const half = 1.1 + (CALIBRATED.marks.shredding - 1.1) / 2;
		expect(sensibleMinutes(half, 1, 75).likely).toBeCloseTo(likely / 2, 6);
	});

	it("waits no more where it shreds already, and never longer than a day", () => {
		expect(sensibleMinutes(CALIBRATED.marks.shredding + 0.1, 1, 70).likely).toBe(0);
		expect(sensibleMinutes(0.9, 0.6, 58).high).toBe(1440);
	});

	it("has its range round the likely", () => {
		fc.assert(
			fc.property(warm, soft, factor, (held_C, lifted, times) => {
				const { low, likely, high } = sensibleMinutes(lifted, times, held_C);
				expect(low).toBeLessThanOrEqual(likely);
				expect(likely).toBeLessThanOrEqual(high);
			}),
		);
	});

	it("dries more the hotter it is held, and least under a tight lid", () => {
		expect(dryness_l_per_h(80, 0.16, "lid")).toBeGreaterThan(dryness_l_per_h(65, 0.16, "lid"));
		expect(dryness_l_per_h(70, 0.16, "open")).toBeGreaterThan(dryness_l_per_h(70, 0.16, "lid"));
		expect(dryness_l_per_h(70, 0.32, "lid")).toBeCloseTo(2 * dryness_l_per_h(70, 0.16, "lid"), 9);
	});
});
