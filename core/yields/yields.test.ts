import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { portionsWanted, yieldForPortions, yieldFromStock } from "./index.ts";

const losses = fc.record({
	trimLoss: fc.double({ min: 0, max: 0.6, noNaN: true }),
	boneShare: fc.double({ min: 0, max: 0.6, noNaN: true }),
	cookingLoss: fc.double({ min: 0, max: 0.6, noNaN: true }),
});
const portions = fc.integer({ min: 1, max: 5000 });
const portion_g = fc.integer({ min: 20, max: 900 });

describe("from covers to the purchase", () => {
	it("rounds portions up, but not for a hair of floating point", () => {
		expect(portionsWanted({ covers: 100, uptake: 0.2, spare: 0.05 })).toBe(21);
		expect(portionsWanted({ covers: 140, uptake: 0.62, spare: 0.05 })).toBe(92);
		expect(portionsWanted({ covers: 1 })).toBe(1);
	});

	it("buys whole packs", () => {
		const chain = yieldForPortions(118, { portion_g: 165 }, { trimLoss: 0.11, cookingLoss: 0.37 }, 4.5);
		expect(chain).toMatchObject({ packs: 8, order_kg: 36 });
		expect(chain.asPurchased_kg).toBeCloseTo(34.724, 3);
	});

	it("by the piece, trim changes what is left and not what is ordered", () => {
		const littleTrim = yieldForPortions(
			47,
			{ piecesPerPortion: 1, piece_g: 260 },
			{ trimLoss: 0.05, cookingLoss: 0.3 },
		);
		const muchTrim = yieldForPortions(
			47,
			{ piecesPerPortion: 1, piece_g: 260 },
			{ trimLoss: 0.2, cookingLoss: 0.3 },
		);
		expect(littleTrim.asPurchased_kg).toBe(muchTrim.asPurchased_kg);
		expect(littleTrim.trimmed_kg).toBeGreaterThan(muchTrim.trimmed_kg);
	});
});

describe("both ways", () => {
	it("what was bought for so many portions feeds that many", () => {
		fc.assert(
			fc.property(portions, portion_g, losses, (wanted, grams, lost) => {
				const { asPurchased_kg } = yieldForPortions(wanted, { portion_g: grams }, lost);
				expect(yieldFromStock(asPurchased_kg, { portion_g: grams }, lost).portions).toBe(wanted);
			}),
		);
	});

	it("a heavier delivery feeds more, never fewer", () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.1, max: 900, noNaN: true }),
				fc.double({ min: 1, max: 2, noNaN: true }),
				portion_g,
				losses,
				(kg, more, grams, lost) => {
					const light = yieldFromStock(kg, { portion_g: grams }, lost).portions;
					expect(yieldFromStock(kg * more, { portion_g: grams }, lost).portions).toBeGreaterThanOrEqual(
						light,
					);
				},
			),
		);
	});

	it("a larger loss never feeds more", () => {
		fc.assert(
			fc.property(
				portions,
				portion_g,
				losses,
				fc.double({ min: 0, max: 0.3, noNaN: true }),
				(wanted, grams, lost, more) => {
					const worse = { ...lost, cookingLoss: lost.cookingLoss + more };
					const bought = yieldForPortions(wanted, { portion_g: grams }, lost).asPurchased_kg;
					expect(yieldForPortions(wanted, { portion_g: grams }, worse).asPurchased_kg).toBeGreaterThanOrEqual(
						bought,
					);
				},
			),
		);
	});

	it("pieces on hand are never served in shares", () => {
		const chain = yieldFromStock(
			5.1,
			{ piecesPerPortion: 2, piece_g: 260 },
			{ trimLoss: 0, cookingLoss: 0.3 },
		);
		expect(chain).toMatchObject({ pieces: 19, portions: 9 });
	});
});
