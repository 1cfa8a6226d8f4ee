import { describe, expect, it } from "vitest";
import { braise, braiseCurve, endOfCurve, usualPan } from "./index.ts";

const given = usualPan("porkShoulder", { shape: "cylinder", diameter_mm: 50, length_mm: 110, weight_g: 220 });

describe("the drawn course of a braise", () => {
	const braised = braise(given, { layers: true });
	const curve = braiseCurve(braised);

	it("runs from the oven door to where it falls apart, in even steps", () => {
		expect(curve.core_C[0]).toBe(15);
		expect(curve.end_min).toBeGreaterThan(braised.marks.fallingApart?.high ?? 0);
		const last_min = (curve.core_C.length - 1) * curve.every_min;
		expect(last_min).toBeLessThanOrEqual(curve.end_min);
		expect(last_min).toBeGreaterThan((braised.marks.fallingApart?.likely ?? 0) - curve.every_min);
		expect(curve.liquid_l).toHaveLength(curve.core_C.length);
	});

	it("shows the marks in their order and every layer no hotter than the one outside it", () => {
		expect(curve.bands.map(({ mark }) => mark)).toEqual([
			"sliceable",
			"forkTender",
			"shredding",
			"fallingApart",
		]);
		for (const layers of curve.layers_C ?? []) {
			const sorted = [...layers].sort((a, b) => a - b);
			for (const [layer, celsius] of layers.entries()) expect(celsius).toBeCloseTo(sorted[layer] ?? 0, 1);
		}
	});

	it("of a pan that is never tender ends all the same", () => {
		const warm = braise({ ...given, heat: { kind: "waterBath", set_C: 45 } });
		expect(endOfCurve(warm)).toBe(720);
		expect(braiseCurve(warm).bands).toEqual([]);
	});
});
