import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { spreadMarks } from "./spreadMarks.ts";

const PLOT = { width: 600, height: 300 };
const APART = 28;

describe("the marks of cuts on their chart", () => {
	it("stay on their points while they stand free", () => {
		const points = [
			{ x: 10, y: 10 },
			{ x: 60, y: 10 },
			{ x: 200, y: 150 },
		];
		expect(spreadMarks(points, APART, PLOT)).toEqual(points);
	});

	it("that lie on one another each get room", () => {
		const [one, other] = spreadMarks(
			[
				{ x: 100, y: 100 },
				{ x: 100, y: 100 },
			],
			APART,
			PLOT,
		);
		expect(Math.hypot((one?.x ?? 0) - (other?.x ?? 0), (one?.y ?? 0) - (other?.y ?? 0))).toBeGreaterThan(
			27.9,
		);
	});

	it("never touch, and never leave the chart, however many fall together", () => {
		const point = fc.record({
			x: fc.double({ min: 0, max: PLOT.width, noNaN: true }),
			y: fc.double({ min: 0, max: PLOT.height, noNaN: true }),
		});
		fc.assert(
			fc.property(fc.array(point, { maxLength: 20 }), (points) => {
				const marks = spreadMarks(points, APART, PLOT);
				for (const [index, one] of marks.entries()) {
					expect(one.x >= 0 && one.x <= PLOT.width && one.y >= 0 && one.y <= PLOT.height).toBe(true);
					for (const other of marks.slice(index + 1))
						expect(Math.hypot(one.x - other.x, one.y - other.y)).toBeGreaterThan(APART - 2);
				}
			}),
		);
	});
});
