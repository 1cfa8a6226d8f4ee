import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { spreadOut } from "./spreadOut.ts";

describe("names one under another", () => {
	it("stay where they want to stand when there is room", () => {
		expect(spreadOut([10, 90, 50], 20, [0, 100])).toEqual([10, 90, 50]);
	});

	it("move down where two would meet, and back up at the end", () => {
		expect(spreadOut([10, 12], 20, [0, 100])).toEqual([10, 30]);
		expect(spreadOut([98, 99], 20, [0, 100])).toEqual([80, 100]);
	});

	it("never cover each other, keep their order and stay within the ends", () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 0, max: 200 }), { minLength: 1, maxLength: 10 }), (wanted) => {
				const placed = spreadOut(wanted, 20, [0, 200]);
				const order = wanted.map((_, index) => index).sort((a, b) => (wanted[a] ?? 0) - (wanted[b] ?? 0));
				const inOrder = order.map((index) => placed[index] ?? Number.NaN);
				for (const [index, at] of inOrder.entries()) {
					expect(at).toBeGreaterThanOrEqual(0);
					expect(at).toBeLessThanOrEqual(200);
					if (index > 0) expect(at - (inOrder[index - 1] ?? 0)).toBeGreaterThanOrEqual(20);
				}
			}),
		);
	});
});
