import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Ingredient, ingredient, type Recipe } from "../recipe/index.ts";
import { compareCuts, costOf } from "./index.ts";

const priced = (id: string, pricePerKg_minor: number | null, more: Partial<Ingredient> = {}) =>
	ingredient({ id, name: id, pricePerKg_minor, ...more });
const FOR_TEN = { portions: 10, cooked_kg: 1.6, menuPrice_minor: 2400 };

const anyItem = fc
	.tuple(
		fc.string({ minLength: 1 }),
		fc.double({ min: 0, max: 5000, noNaN: true }),
		fc.double({ min: 0.001, max: 50, noNaN: true }),
		fc.double({ min: 0, max: 0.9, noNaN: true }),
	)
	.map(([id, price, edible_kg, trimLoss]) => ({ ingredient: priced(id, price), edible_kg, trimLoss }));

describe("what a dish costs", () => {
	it("is the purchase price over what trimming leaves", () => {
		const { lines, total_minor, perPortion_minor, perCookedKg_minor, shareOfMenu } = costOf(
			[{ ingredient: priced("goat", 1180), edible_kg: 2.58, trimLoss: 0.11 }],
			FOR_TEN,
		);
		expect(lines[0]?.asPurchased_kg).toBeCloseTo(2.899, 3);
		expect(lines[0]?.ediblePerKg_minor).toBeCloseTo(1325.8, 1);
		expect(total_minor).toBeCloseTo(3420.7, 1);
		expect(perPortion_minor).toBeCloseTo(342.07, 2);
		expect(perCookedKg_minor).toBeCloseTo(2137.9, 1);
		expect(shareOfMenu).toBeCloseTo(0.1425, 4);
	});

	it("a price that is missing is named, and nothing is summed over it", () => {
		const cost = costOf(
			[
				{ ingredient: priced("goat", 1000), edible_kg: 1, trimLoss: 0 },
				{ ingredient: priced("kelp", null), edible_kg: 0.1, trimLoss: 0 },
			],
			FOR_TEN,
		);
		expect(cost).toMatchObject({ missing: ["kelp"], known_minor: 1000 });
		expect([cost.total_minor, cost.perPortion_minor, cost.shareOfMenu]).toEqual([null, null, null]);
	});

	it("water has no price and needs none", () => {
		const water = ingredient({ id: "water", name: "water", category: "water" });
		const cost = costOf([{ ingredient: water, edible_kg: 5, trimLoss: 0 }], FOR_TEN);
		expect([cost.total_minor, cost.missing]).toEqual([0, []]);
	});

	it("is the same in any order, and twice as much costs twice", () => {
		fc.assert(
			fc.property(fc.array(anyItem, { minLength: 1 }), (items) => {
				const total = costOf(items, FOR_TEN).total_minor ?? Number.NaN;
				expect(costOf([...items].reverse(), FOR_TEN).total_minor).toBeCloseTo(total, 4);
				const doubled = items.map((item) => ({ ...item, edible_kg: item.edible_kg * 2 }));
				expect((costOf(doubled, FOR_TEN).total_minor ?? 0) / 2).toBeCloseTo(total, 4);
			}),
		);
	});

	it("never falls when a price rises or more is trimmed off", () => {
		fc.assert(
			fc.property(anyItem, fc.double({ min: 1, max: 3, noNaN: true }), (item, times) => {
				const cost = costOf([item], FOR_TEN).known_minor;
				const dearer = priced("x", (item.ingredient.pricePerKg_minor ?? 0) * times);
				expect(costOf([{ ...item, ingredient: dearer }], FOR_TEN).known_minor).toBeGreaterThanOrEqual(
					cost * (1 - 1e-12),
				);
				const trimLoss = Math.min(0.9, item.trimLoss * times);
				expect(costOf([{ ...item, trimLoss }], FOR_TEN).known_minor).toBeGreaterThanOrEqual(
					cost * (1 - 1e-12),
				);
			}),
		);
	});
});

describe("cuts compared for one dish", () => {
	const recipe = {
		portion: { portion_g: 165 },
		piece: { shape: "block", length_mm: 120, width_mm: 60, height_mm: 50, weight_g: 290 },
		losses: { trimLoss: 0.11, cookingLoss: 0.36 },
		lines: [{ ingredient: "goat", amount: 2580, unit: "g", role: "main", group: "base" }],
	} as unknown as Recipe;
	const known = new Map(
		[
			priced("goat", 1180, { cut: "goatShoulder", category: "meat" }),
			priced("collar", 640, { cut: "porkShoulder", category: "meat" }),
			priced("neck", 820, { cut: "muttonNeck", category: "meat" }),
			priced("venison", null, { cut: "venisonShoulder", category: "meat" }),
			priced("onion", 95),
		].map((entry) => [entry.id, entry]),
	);

	it("cheapest portion first, those without a price or a cut left out", () => {
		const cuts = compareCuts(recipe, known);
		expect(cuts.map(({ name }) => name)).toEqual(["collar", "goat", "neck"]);
		expect(cuts.map(({ own }) => own)).toEqual([false, true, false]);
	});

	it("the dish's own cut loses what its card says; a cheap cut on the bone is not a cheap portion", () => {
		const [collar, goat, neck] = compareCuts(recipe, known);
		expect(goat?.yield).toBeCloseTo(0.89 * 0.64, 9);
		expect(goat?.perPortion_minor).toBeCloseTo((1180 / (0.89 * 0.64)) * 0.165, 6);
		expect(neck?.asPurchasedPerKg_minor).toBeLessThan(goat?.asPurchasedPerKg_minor ?? 0);
		expect(neck?.perPortion_minor).toBeGreaterThan(goat?.perPortion_minor ?? 0);
		expect(collar?.tender_min).toBeGreaterThan(0);
	});
});
