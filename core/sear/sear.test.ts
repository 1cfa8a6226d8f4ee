import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { searPlan } from "./index.ts";

const PAN = { round: { diameter_mm: 360, height_mm: 60 } };
const PIECE = { shape: "block", length_mm: 100, width_mm: 60, height_mm: 50, weight_g: 315 } as const;
const WAY = { sides: 4, minutesPerSide: 2, recovery_min: 2, burners: 2, gap_mm: 15, film_mm: 1 };

describe("searing in loads", () => {
	it("fat goes by the load, not by the kilo", () => {
		const light = searPlan(PAN, PIECE, 40, WAY);
		const heavy = searPlan(PAN, { ...PIECE, weight_g: 900 }, 40, WAY);
		expect(light.fat_g).toBe(heavy.fat_g);
		expect(light.fat_g / light.loads).toBeCloseTo((Math.PI / 4) * 360 ** 2 * 0.92e-3, 6);
	});

	it("another burner never takes longer, and a wider gap never fewer loads", () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 400 }),
				fc.integer({ min: 1, max: 6 }),
				fc.integer({ min: 0, max: 20 }),
				(count, burners, gap_mm) => {
					const plan = searPlan(PAN, PIECE, count, { ...WAY, burners, gap_mm });
					expect(
						searPlan(PAN, PIECE, count, { ...WAY, burners: burners + 1, gap_mm }).minutes,
					).toBeLessThanOrEqual(plan.minutes);
					expect(
						searPlan(PAN, PIECE, count, { ...WAY, burners, gap_mm: gap_mm + 5 }).loads,
					).toBeGreaterThanOrEqual(plan.loads);
					expect(plan.loads * plan.perLoad).toBeGreaterThanOrEqual(count);
				},
			),
		);
	});

	it("refuses a joint wider than the pan", () => {
		expect(() => searPlan(PAN, { ...PIECE, length_mm: 500 }, 1, WAY)).toThrow("piece: ");
	});
});
