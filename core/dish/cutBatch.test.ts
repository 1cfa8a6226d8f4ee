import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Recipe } from "../recipe/index.ts";
import { cutForPans, cutForPortions, cutFromStock } from "./cutBatch.ts";
import { KITCHEN, ORDER, RECIPE } from "./dish.testing.ts";
import { orderList, plan } from "./index.ts";

/** A piece of 288 g that cooks to 213 g, one on each plate, where the portion is 150 g. */
const HEAVY: Recipe = {
	...RECIPE,
	portion: { portion_g: 150 },
	losses: { trimLoss: 0.08, cookingLoss: 0.26 },
	piece: { shape: "cylinder", length_mm: 140, diameter_mm: 50, weight_g: 288 },
	pack_kg: 4,
};

const recipes: fc.Arbitrary<Recipe> = fc
	.record({
		weight_g: fc.integer({ min: 20, max: 2500 }),
		portion_g: fc.integer({ min: 80, max: 300 }),
		byPiece: fc.boolean(),
		trimLoss: fc.integer({ min: 0, max: 40 }).map((percent) => percent / 100),
		boneShare: fc.constantFrom(0, 0.3),
		cookingLoss: fc.integer({ min: 5, max: 50 }).map((percent) => percent / 100),
	})
	.map(({ weight_g, portion_g, byPiece, ...losses }) => ({
		...RECIPE,
		losses,
		portion: byPiece ? { piecesPerPortion: 1, piece_g: weight_g / (1 - losses.trimLoss) } : { portion_g },
		piece: { shape: "ball" as const, diameter_mm: 20 * Math.cbrt(weight_g), weight_g },
		pack_kg: 5,
	}));

describe("what is bought and cut", () => {
	it("weighs what its pieces weigh, and is ordered, salted and paid for by that", () => {
		const cut = cutForPortions(HEAVY, 105);
		expect(cut.pieces).toBe(105);
		expect(cut.chain.trimmed_kg).toBeCloseTo(30.24, 9);
		expect(cut.chain.asPurchased_kg).toBeCloseTo(30.24 / 0.92, 9);
		expect(cut.chain).toMatchObject({ packs: 9, order_kg: 36 });
		const whole = plan(HEAVY, { ...ORDER, covers: 105, uptake: 1, spare: 0 }, KITCHEN);
		const main = whole.lines.find(({ line }) => line.role === "main");
		expect(main?.amount_g).toBeCloseTo(30_240, 6);
		const [row] = orderList(
			[{ name: "Heavy", recipe: HEAVY, plan: whole }],
			new Map(),
			KITCHEN.known.byId,
		).filter(({ ingredient }) => ingredient.id === main?.ingredient.id);
		expect(row).toMatchObject({ packs: 9, order_kg: 36 });
		const salt = (made: typeof whole) => made.lines.find(({ line }) => line.role === "salt")?.amount_g ?? 0;
		const light = plan({ ...HEAVY, piece: { ...HEAVY.piece, weight_g: 203 } }, whole.order, KITCHEN);
		expect(salt(whole) / salt(light)).toBeCloseTo(288 / 203, 6);
	});

	it("a joint for several is bought whole: ten portions take two of 2 kg", () => {
		const joint = { ...RECIPE, piece: { ...RECIPE.piece, weight_g: 2000 } };
		const cut = cutForPortions(joint, 10);
		expect(cut).toMatchObject({ pieces: 2, chain: { portions: 10, trimmed_kg: 4 } });
	});

	it("all of a weight on hand goes in, in even pieces near to the card's", () => {
		const cut = cutFromStock(
			{ ...RECIPE, piece: { ...RECIPE.piece, weight_g: 2000 }, losses: { trimLoss: 0, cookingLoss: 0.36 } },
			5.3,
		);
		expect(cut.pieces).toBe(3);
		expect(cut.piece.weight_g).toBeCloseTo(5300 / 3, 9);
		expect(cut.chain).toMatchObject({ asPurchased_kg: 5.3, trimmed_kg: 5.3 });
	});

	it("pieces × weight is weight, whatever sets the size", () => {
		fc.assert(
			fc.property(
				recipes,
				fc.integer({ min: 1, max: 1200 }),
				fc.double({ min: 3, max: 400, noNaN: true }),
				(recipe, count, kg) => {
					const byPiece = "piece_g" in recipe.portion;
					for (const cut of [
						cutForPortions(recipe, count),
						cutForPans(recipe, count),
						cutFromStock(recipe, kg),
					]) {
						const { pieces, piece, chain } = cut;
						expect((pieces * piece.weight_g) / 1000).toBeCloseTo(chain.trimmed_kg, 6);
						const left = chain.asPurchased_kg * (1 - recipe.losses.trimLoss);
						if (byPiece) expect(chain.trimmed_kg).toBeLessThanOrEqual(left + 1e-6);
						else expect(chain.trimmed_kg).toBeCloseTo(left, 6);
						if (chain.order_kg !== undefined) {
							expect(chain.order_kg).toBeGreaterThanOrEqual(chain.asPurchased_kg - 1e-6);
						}
					}
				},
			),
		);
	});

	it("what is ordered for so many feeds as many", () => {
		fc.assert(
			fc.property(recipes, fc.integer({ min: 1, max: 1200 }), (recipe, portions) => {
				const { chain } = cutForPortions(recipe, portions);
				expect(cutFromStock(recipe, chain.asPurchased_kg).chain.portions).toBeGreaterThanOrEqual(portions);
			}),
		);
	});

	it("a heavier delivery feeds more, never fewer", () => {
		fc.assert(
			fc.property(
				recipes,
				fc.double({ min: 0.1, max: 900, noNaN: true }),
				fc.double({ min: 1, max: 2, noNaN: true }),
				(recipe, kg, more) => {
					const made = (of: number) => cutFromStock(recipe, of).chain.portions;
					expect(made(kg * more)).toBeGreaterThanOrEqual(made(kg));
				},
			),
		);
	});
});
