import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { crossing } from "./index.ts";

describe("where an amount reaches a value", () => {
	it("is found on a straight line and on a curve", () => {
		expect(crossing((x) => 3 * x + 1, 7, 0, 100, 1e-6)).toBeCloseTo(2, 5);
		expect(crossing((x) => x * x, 2, 0, 2, 1e-6)).toBeCloseTo(Math.SQRT2, 5);
	});

	it("is found behind a flat start and at a step", () => {
		expect(crossing((x) => Math.max(0, x - 60), 0.001, 0, 65, 1e-6)).toBeCloseTo(60.001, 5);
		expect(crossing((x) => (x < 12.3 ? 0 : 50), 10, 0, 65, 1e-4)).toBeCloseTo(12.3, 3);
	});

	it("is within its tolerance in few steps, whatever the curve", () => {
		const power = fc.double({ min: 0.2, max: 6, noNaN: true });
		const share = fc.double({ min: 0.01, max: 0.99, noNaN: true });
		fc.assert(
			fc.property(power, share, (exponent, at) => {
				let asked = 0;
				const found = crossing(
					(x) => {
						asked += 1;
						return x ** exponent;
					},
					at ** exponent,
					0,
					1,
					1e-5,
				);
				expect(Math.abs(found - at)).toBeLessThan(1e-5);
				expect(asked).toBeLessThan(60);
			}),
			{ seed: 20_261_201 },
		);
	});
});
