import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { together } from "./CutChart.tsx";

const cut = (number: number, minutes: number, portion_minor: number, own = false) => ({
	number,
	name: `cut ${number}`,
	own,
	minutes,
	portion_minor,
});
const ACROSS = [60, 120, 180, 240];
const UP = [0, 100, 200, 300, 400];

describe("cuts on the chart", () => {
	it("that lie on one another are one point with all their numbers", () => {
		expect(together([cut(1, 100, 200), cut(3, 104, 210, true), cut(2, 200, 200)], ACROSS, UP)).toEqual([
			{ numbers: [1, 3], own: true, minutes: 102, portion_minor: 205 },
			{ numbers: [2], own: false, minutes: 200, portion_minor: 200 },
		]);
	});

	it("each stand on it once, and nowhere two on one another unread", () => {
		const points = fc.array(fc.tuple(fc.integer({ min: 60, max: 240 }), fc.integer({ min: 0, max: 400 })), {
			maxLength: 12,
		});
		fc.assert(
			fc.property(points, (given) => {
				const cuts = given.map(([minutes, minor], index) => cut(index + 1, minutes, minor));
				const groups = together(cuts, ACROSS, UP);
				const numbers = groups.flatMap((group) => group.numbers).sort((a, b) => a - b);
				expect(numbers).toEqual(cuts.map(({ number }) => number));
				for (const one of groups.filter((group) => group.numbers.length === 1)) {
					for (const other of cuts.filter(({ number }) => !one.numbers.includes(number))) {
						const apart =
							Math.abs(other.minutes - one.minutes) >= 0.055 * 180 ||
							Math.abs(other.portion_minor - one.portion_minor) >= 0.1 * 400;
						expect(apart).toBe(true);
					}
				}
			}),
		);
	});
});
