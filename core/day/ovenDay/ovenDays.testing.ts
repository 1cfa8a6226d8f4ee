import fc from "fast-check";
import type { OvenDay } from "./index.ts";

const temperature = fc.constantFrom(130, 140, 150, 160);
const way = fc
	.record({ minutes: fc.integer({ min: 1, max: 20 }), low_C: temperature, wide: fc.constantFrom(0, 10, 20) })
	.map(({ minutes, low_C, wide }) => ({ minutes: minutes * 10, low_C, high_C: low_C + wide }));

/** Days of up to so many batches and ovens. */
export function days(most: number, ovens: number): fc.Arbitrary<OvenDay> {
	return fc.record({
		step_min: fc.constantFrom(10, 15, 30),
		ovens: fc
			.array(fc.record({ shelves: fc.integer({ min: 3, max: 6 }), min_C: fc.constantFrom(60, 80) }), {
				minLength: 1,
				maxLength: ovens,
			})
			.map((some) => some.map((oven, index) => ({ ...oven, id: `oven ${index}`, max_C: 250 }))),
		batches: fc
			.array(
				fc.record({
					shelves: fc.integer({ min: 1, max: 3 }),
					ways: fc.array(way, { minLength: 1, maxLength: 2 }),
					readyBy_min: fc.constantFrom(180, 240, 300, 480),
					notBefore_min: fc.constantFrom(0, 0, 60, 105),
				}),
				{ minLength: 1, maxLength: most },
			)
			.map((some) => some.map((batch, index) => ({ ...batch, id: `batch ${index}` }))),
	});
}
