import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { KITCHEN, ORDER, RECIPE } from "./dish.testing.ts";
import { plan, shortfallOf } from "./index.ts";

const planned = plan(RECIPE, ORDER, KITCHEN);
const { asPurchased_kg } = planned.chain;

describe("less came than was ordered", () => {
	it("is no shortfall while it makes the portions that are wanted", () => {
		expect(shortfallOf(planned, asPurchased_kg)).toBeNull();
		expect(shortfallOf(planned, asPurchased_kg * 1.2)).toBeNull();
	});

	it("is met by the spare where it is no larger, and by nothing of it where it is", () => {
		const little = shortfallOf(planned, asPurchased_kg * 0.97);
		expect(little).toMatchObject({ wanted: 63, withoutSpare: 60, spareDoes: true });
		expect(shortfallOf(planned, asPurchased_kg * 0.7)?.spareDoes).toBe(false);
	});

	it("says a portion that feeds all, and what to buy in whole packs", () => {
		fc.assert(
			fc.property(fc.double({ min: 0.3, max: 0.99, noNaN: true }), (share) => {
				const short = shortfallOf(planned, asPurchased_kg * share);
				if (!short) return;
				expect(short.short).toBe(short.wanted - short.makes);
				expect(short.portion).toBeLessThanOrEqual(share + 1e-9);
				expect(short.portion).toBeGreaterThan(share - 0.011);
				expect((short.packs ?? 0) * 3.5).toBeGreaterThanOrEqual(short.buy_kg - 1e-9);
				expect(short.came_kg + short.buy_kg).toBeCloseTo(asPurchased_kg, 9);
			}),
		);
	});
});
