import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Growth, growthAlong, growthShare } from "./index.ts";

/** Straight from one temperature to another, in steps of a minute. */
function straight(from_C: number, to_C: number, minutes: number, begin = 0): [number, number][] {
	return Array.from({ length: minutes + 1 }, (_, minute) => [
		begin + minute,
		from_C + ((to_C - from_C) * minute) / minutes,
	]);
}

describe("growth between readings far apart", () => {
	it("is that of all that lies between them", () => {
		const [hours, from_C, to_C] = [6, 82, 6];
		const between = Array.from({ length: 721 }, (_, half) => {
			const share = half / 720;
			return [share * hours * 60, from_C + share * (to_C - from_C)] as const;
		});
		const whole = growthAlong([
			[0, from_C],
			[hours * 60, to_C],
		]);
		expect(whole.likely).toBeGreaterThan(0.5);
		expect(whole.likely).toBeCloseTo(growthAlong(between).likely, 2);
	});
});

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

	it("doubles in fourteen minutes at its best, once it has begun", () => {
		const [two, three] = [120, 180].map((minutes) => growthAlong(straight(44, 44, minutes))) as [
			Growth,
			Growth,
		];
		expect(three.likely - two.likely).toBeCloseTo((60 / 14) * Math.log10(2), 1);
		expect(two.low).toBeLessThan(two.likely);
		expect(two.high).toBeGreaterThan(two.likely);
	});

	it("hardly begins in the first half hour, and ends where it has used up its food", () => {
		expect(growthAlong(straight(44, 44, 20)).likely).toBeLessThan(0.2);
		expect(growthAlong(straight(44, 44, 0)).likely).toBe(0);
		const days = growthAlong(straight(44, 44, 2880));
		for (const end of [days.low, days.likely, days.high]) expect(end).toBeCloseTo(6, 2);
	});

	it("is no more than half a power under slow coolings that were measured, and at most three over", () => {
		const exponential = (from_C: number, to_C: number, minutes: number, begin = 0): [number, number][] =>
			Array.from({ length: minutes + 1 }, (_, minute) => [
				begin + minute,
				from_C * (to_C / from_C) ** (minute / minutes),
			]);
		const measured = 1;
		const overnight = growthAlong(exponential(54.4, 7.2, 900)).likely;
		const twoStage = growthAlong([...exponential(54.4, 26.7, 90), ...exponential(26.7, 4.4, 300, 90)]).likely;
		for (const said of [overnight, twoStage]) {
			expect(said).toBeGreaterThan(measured - 0.5);
			expect(said).toBeLessThan(measured + 3);
		}
	});

	it("is never less the slower it cools, and in parts of a course no more than in the whole", () => {
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
					// A lag that is waited for once is waited for twice where the course is cut.
					expect(first.likely + second.likely).toBeLessThanOrEqual(quick.likely + 1e-9);
				},
			),
		);
	});
});
