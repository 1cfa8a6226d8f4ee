import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readChill } from "../../ui/forms/settled.ts";
import type { ChillCutView } from "./chill.view.ts";
import { depthAt, depthState, steppedTo, typedFor } from "./depthModel.ts";

const VIEW = {
	units: "metric",
	name: "GN 1/1-100",
	depth_mm: 80,
	whole_mm: 80,
	least_mm: 27,
	deepest_mm: 50,
	coolerId: "blast",
	ice: false,
} as ChillCutView;

describe("the depth on the cut", () => {
	it("stays between the food as it is and as shallow as it can be spread", () => {
		fc.assert(
			fc.property(fc.double({ min: -50, max: 400, noNaN: true }), (mm) => {
				const depth = depthAt(mm, VIEW);
				expect(depth).toBeGreaterThanOrEqual(VIEW.least_mm);
				expect(depth).toBeLessThanOrEqual(VIEW.whole_mm);
			}),
		);
	});

	it("is taken by the plan as far spread as it needs, and no deeper than it was let go", () => {
		fc.assert(
			fc.property(fc.integer({ min: VIEW.least_mm, max: VIEW.whole_mm }), (depth_mm) => {
				const taken = readChill(typedFor(VIEW, depthState(VIEW, depth_mm)));
				expect(VIEW.whole_mm / (taken?.parts ?? 0)).toBeLessThanOrEqual(depth_mm + 1e-9);
				expect(taken).toMatchObject({ coolerId: "blast", ice: false });
			}),
		);
	});

	it("says by how much it is too deep, and where no depth does", () => {
		expect(depthState(VIEW, 60)).toMatchObject({
			isOver: true,
			words: expect.stringContaining("too deep by about 10 mm"),
		});
		expect(depthState(VIEW, 50)).toMatchObject({
			isOver: false,
			words: expect.stringContaining("meets every limit"),
		});
		expect(depthState({ ...VIEW, deepest_mm: null }, 30).words).toContain("no depth meets it");
	});

	it("goes with the page keys to the depth that meets the limits", () => {
		expect(steppedTo("PageDown", VIEW, 80)).toBe(50);
		expect(steppedTo("PageDown", VIEW, 50)).toBe(27);
		expect(steppedTo("ArrowUp", VIEW, 50)).toBe(51);
		expect(steppedTo("Tab", VIEW, 50)).toBeUndefined();
	});
});
