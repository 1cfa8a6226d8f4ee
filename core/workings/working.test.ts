import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { MINUTE_MS } from "../time/index.ts";
import {
	add,
	between,
	divide,
	figure,
	fiveDown,
	fiveNearest,
	fiveUp,
	least,
	lessShare,
	most,
	multiply,
	reckoned,
	type Sum,
	subtract,
	unitOf,
	wholeDown,
	wholeUp,
	working,
} from "./index.ts";

const SERVICE = Date.UTC(2026, 10, 28, 19, 30);
const at = figure(SERVICE, "instant", "service");
const minutes = (value: number) => figure(value, "min");
const number = (value: number) => figure(value, "number");
const values = fc.double({ min: -1e6, max: 1e6, noNaN: true });

/** Any sum of plain numbers, as deep as it comes. */
const { sum: sums } = fc.letrec<{ sum: Sum }>((tie) => ({
	sum: fc.oneof(
		{ depthSize: "small", withCrossShrink: true },
		values.map(number),
		fc.tuple(tie("sum"), tie("sum")).map(([a, b]) => add(a, b)),
		fc.tuple(tie("sum"), tie("sum")).map(([a, b]) => subtract(a, b)),
		fc.tuple(tie("sum"), tie("sum")).map(([a, b]) => most(a, b)),
		fc.tuple(tie("sum"), tie("sum")).map(([a, b]) => least(a, b)),
	),
}));

describe("what a sum comes to", () => {
	it("goes from the first figure on", () => {
		expect(reckoned(subtract(number(20), number(3), number(4)))).toBe(13);
		expect(reckoned(divide(number(60), number(3), number(4)))).toBe(5);
		expect(reckoned(multiply(number(2), add(number(3), number(4))))).toBe(14);
	});

	it("minutes beside an instant are minutes of its clock", () => {
		expect(reckoned(subtract(at, minutes(10), minutes(68)))).toBe(SERVICE - 78 * MINUTE_MS);
		expect(reckoned(add(at, minutes(15)))).toBe(SERVICE + 15 * MINUTE_MS);
		expect(reckoned(between(subtract(at, minutes(78)), at))).toBe(78);
		expect(reckoned(least(at, add(at, minutes(-5))))).toBe(SERVICE - 5 * MINUTE_MS);
	});

	it("an instant goes to the five minutes before it, nearest to it, after it", () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 10_000 }), (past_min) => {
				const then = add(at, minutes(past_min / 7));
				const exact = reckoned(then);
				const [down, near, up] = [fiveDown, fiveNearest, fiveUp].map((to) => reckoned(to(then)));
				for (const step of [down, near, up]) expect((step as number) % (5 * MINUTE_MS)).toBe(0);
				expect(down).toBeLessThanOrEqual(exact);
				expect(up).toBeGreaterThanOrEqual(exact);
				expect((up as number) - (down as number)).toBeLessThanOrEqual(5 * MINUTE_MS);
				expect(Math.abs((near as number) - exact)).toBeLessThanOrEqual(2.5 * MINUTE_MS);
			}),
		);
	});

	it("a hair of binary fractions makes no whole one more or less", () => {
		// 0.1 + 0.2 is a hair over 0.3, and 0.3 × 10 asks for three.
		expect(reckoned(wholeUp(multiply(add(number(0.1), number(0.2)), number(10))))).toBe(3);
		expect(reckoned(wholeDown(divide(number(0.3), number(0.1))))).toBe(3);
		expect(reckoned(wholeUp(number(3.0001)))).toBe(4);
		expect(reckoned(wholeDown(number(2.9999)))).toBe(2);
	});

	it("a share that is lost is taken from one", () => {
		expect(reckoned(lessShare(0.08, "trim"))).toBeCloseTo(0.92, 12);
	});

	it("is the same when a sum is added and taken away again", () => {
		fc.assert(
			fc.property(sums, sums, (sum, other) => {
				const back = reckoned(subtract(add(sum, other), other));
				const scale = 1 + Math.abs(reckoned(sum)) + Math.abs(reckoned(other));
				expect(Math.abs(back - reckoned(sum))).toBeLessThanOrEqual(1e-9 * scale);
				expect(reckoned(most(sum, other))).toBeGreaterThanOrEqual(reckoned(least(sum, other)));
			}),
		);
	});
});

describe("the unit of a sum", () => {
	it("is its first figure's, and minutes between two instants", () => {
		expect(unitOf(subtract(at, minutes(10)))).toBe("instant");
		expect(unitOf(multiply(figure(4, "kg"), figure(0.5, "share")))).toBe("kg");
		expect(unitOf(between(at, at))).toBe("min");
		expect(unitOf(fiveDown(subtract(at, minutes(3))))).toBe("instant");
	});
});

describe("a working", () => {
	it("has what its sum comes to as its result, in the unit it is told in", () => {
		const order = working("order", wholeUp(divide(figure(7.2, "kg"), figure(3.5, "kg"))), "count", {
			pack: "3.5 kg",
		});
		expect(order).toMatchObject({
			key: "order",
			result: { value: 3, unit: "count" },
			about: { pack: "3.5 kg" },
		});
		expect(working("start", subtract(at, minutes(10)))).not.toHaveProperty("about");
	});
});
