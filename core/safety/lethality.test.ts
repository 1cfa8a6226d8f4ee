import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { equivalentMinutes, type Lethality } from "./index.ts";

const REF = { ref_C: 70, z_C: 7.5 };
const anySeries = fc
	.array(
		fc.tuple(fc.double({ min: 0.1, max: 60, noNaN: true }), fc.double({ min: 20, max: 95, noNaN: true })),
		{
			minLength: 2,
			maxLength: 20,
		},
	)
	.map((steps) => {
		let minute = 0;
		return steps.map(([more, C]): [number, number] => {
			minute += more;
			return [minute, C];
		});
	});

describe("minutes that kill as much", () => {
	it("are the minutes themselves at the reference", () => {
		expect(
			equivalentMinutes({
				...REF,
				series: [
					[0, 70],
					[12, 70],
				],
			}),
		).toBe(12);
		expect(equivalentMinutes({ ...REF, series: [[5, 99]] })).toBe(0);
	});

	it("add up over any split of a straight line", () => {
		fc.assert(
			fc.property(
				anySeries,
				fc.nat(),
				fc.double({ min: 0.01, max: 0.99, noNaN: true }),
				(series, at, share) => {
					const index = at % (series.length - 1);
					const [from, from_C] = series[index] as [number, number];
					const [to, to_C] = series[index + 1] as [number, number];
					const between: [number, number] = [from + share * (to - from), from_C + share * (to_C - from_C)];
					const split: Lethality["series"] = [
						...series.slice(0, index + 1),
						between,
						...series.slice(index + 1),
					];
					const whole = equivalentMinutes({ ...REF, series });
					expect(equivalentMinutes({ ...REF, series: split })).toBeCloseTo(
						whole,
						6 - Math.ceil(Math.log10(whole + 1)),
					);
				},
			),
		);
	});

	it("are more the hotter it is, and never negative", () => {
		fc.assert(
			fc.property(anySeries, fc.double({ min: 0, max: 5, noNaN: true }), (series, more) => {
				const hotter = series.map(([minute, C]): [number, number] => [minute, C + more]);
				const cool = equivalentMinutes({ ...REF, series });
				expect(cool).toBeGreaterThanOrEqual(0);
				expect(equivalentMinutes({ ...REF, series: hotter })).toBeGreaterThanOrEqual(cool * (1 - 1e-9));
			}),
		);
	});

	it("refuse a series that goes back in time, by its place", () => {
		expect(() =>
			equivalentMinutes({
				...REF,
				series: [
					[5, 60],
					[4, 60],
				],
			}),
		).toThrow("series[1]");
	});
});
