import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { NORTH, SOUTH } from "../kitchen/kitchen.testing.ts";
import { fitOvens } from "./index.ts";

const OVEN_C = { low: 140, set: 150, high: 165 };
const pan = (count: number, gn: "1/1" | "1/2" | "2/1" = "1/1", depth_mm = 100) => [
	{ type: { id: gn, name: gn, shape: { gn, depth_mm }, stock: count }, count },
];

describe("pans into ovens", () => {
	it("a deep pan takes the rung above it too", () => {
		const fit = fitOvens(pan(5), [NORTH], OVEN_C);
		expect(fit.loads[0]?.rungsTaken).toBe(10);
		expect(fitOvens(pan(6), [NORTH], OVEN_C).without).toBe(1);
	});

	it("two half pans share a rung", () => {
		expect(fitOvens(pan(4, "1/2"), [NORTH], OVEN_C).loads[0]?.rungsTaken).toBe(4);
	});

	it("a half pan stands beside another dish's half pan, where the level is as high", () => {
		const [first] = fitOvens(pan(1, "1/2"), [NORTH], OVEN_C).loads;
		const after = { ...NORTH, rungs: 0, partFree: first?.partFree ?? [] };
		expect(fitOvens(pan(1, "1/2"), [after], OVEN_C)).toMatchObject({
			without: 0,
			loads: [{ rungsTaken: 0 }],
		});
		expect(fitOvens(pan(2, "1/2"), [after], OVEN_C).without).toBe(1);
		expect(fitOvens(pan(1, "1/2", 200), [after], OVEN_C).without).toBe(1);
		expect(fitOvens(pan(1, "1/1"), [after], OVEN_C).without).toBe(1);
	});

	it("an oven that cannot reach the temperature is not used", () => {
		expect(fitOvens(pan(1), [{ ...NORTH, max_C: 120 }], OVEN_C)).toEqual({ loads: [], without: 1, held: [] });
		expect(fitOvens(pan(1), [{ ...NORTH, min_C: 160, max_C: 160 }], OVEN_C).loads[0]?.set_C).toBe(160);
	});

	it("no pan is lost and no oven over-filled", () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 40 }), fc.constantFrom(65, 100, 150), (count, depth) => {
				const fit = fitOvens(pan(count, "1/1", depth), [NORTH, SOUTH], OVEN_C);
				const inside = fit.loads.flatMap((load) => load.pans).reduce((sum, alike) => sum + alike.count, 0);
				expect(inside + fit.without).toBe(count);
				for (const load of fit.loads) expect(load.rungsTaken).toBeLessThanOrEqual(load.oven.rungs);
			}),
		);
	});
});
