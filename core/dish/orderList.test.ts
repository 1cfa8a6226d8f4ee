import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Ingredient, ingredient, type Preparation, type Recipe } from "../recipe/index.ts";
import { type OrderedDish, orderList, type Plan } from "./index.ts";

const COLLAR = ingredient({ id: "collar", name: "pork collar", category: "meat", pricePerKg_minor: 640 });
const ONION = ingredient({ id: "onion", name: "onions", trimLoss: 0.1, pack_g: 5000, pricePerKg_minor: 100 });
const BAY = ingredient({ id: "bay", name: "bay leaves", category: "spice" });
const WATER = ingredient({ id: "water", name: "water", category: "water", density_g_per_ml: 1 });
const BONES = ingredient({ id: "bones", name: "bones", category: "poultry", pack_g: 10_000 });
const STOCK = ingredient({ id: "stock", name: "stock", category: "stock", density_g_per_ml: 1 });
const KNOWN = new Map(
	[COLLAR, ONION, BAY, WATER, BONES, STOCK].map((ingredient) => [ingredient.id, ingredient]),
);

const MADE: Preparation = {
	format: "wide-table/preparation",
	formatVersion: 1,
	name: "stock",
	summary: "",
	category: "stock",
	makes: { amount: 10, unit: "l" },
	lines: [
		{ ingredient: "bones", amount: 6, unit: "kg", role: "vegetable", group: "base" },
		{ ingredient: "onion", amount: 500, unit: "g", role: "vegetable", group: "base" },
		{ ingredient: "water", amount: 12, unit: "l", role: "liquid", group: "base" },
		{ ingredient: "bay", amount: 2, unit: "piece", role: "potent", group: "base" },
	],
	steps: [],
};
const PREPARATIONS = new Map([["stock", MADE]]);

function dish(name: string, lines: readonly (readonly [Ingredient, number, boolean?])[]): OrderedDish {
	return {
		name,
		recipe: { losses: { trimLoss: 0.2, cookingLoss: 0.3 }, pack_kg: 5 } as Recipe,
		plan: {
			order: { basis: { from: "covers" } },
			chain: { asPurchased_kg: (lines.find(([item]) => item === COLLAR)?.[1] ?? 0) / 1000 / (1 - 0.2) },
			lines: lines.map(([item, amount, counted]) => ({
				ingredient: item,
				line: { role: item === COLLAR ? "main" : "vegetable" },
				amount_g: counted ? null : amount,
				count: counted ? amount : null,
			})),
		} as unknown as Plan,
	};
}
const rowsOf = (...dishes: OrderedDish[]) => orderList(dishes, PREPARATIONS, KNOWN);
const rowOf = (name: string, ...dishes: OrderedDish[]) =>
	rowsOf(...dishes).find(({ ingredient: item }) => item.name === name);

/** The same dish with so much of its main weighed on hand. */
const withHere = (given: OrderedDish, onHand_kg: number): OrderedDish => ({
	...given,
	plan: { ...given.plan, order: { ...given.plan.order, basis: { from: "onHand", onHand_kg } } },
});

describe("what is weighed on hand", () => {
	const collar = dish("Collar", [[COLLAR, 16_000]]);

	it("is needed and not ordered again", () => {
		expect(rowOf("pork collar", withHere(collar, 20))).toMatchObject({
			from: "here",
			asPurchased_kg: 20,
			here_kg: 20,
			packs: null,
			order_kg: 0,
			cost_minor: 0,
		});
	});

	it("leaves to be ordered what another dish needs besides", () => {
		const other = dish("Collar too", [[COLLAR, 8000]]);
		expect(rowOf("pork collar", withHere(collar, 20), other)).toMatchObject({
			from: "order",
			here_kg: 20,
			packs: 2,
			order_kg: 10,
		});
	});
});

describe("what has to be bought", () => {
	it("is the weight before trimming, in whole packs of the recipe or the ingredient", () => {
		const collar = dish("Collar", [
			[COLLAR, 16_000],
			[ONION, 4600],
		]);
		expect(rowOf("pork collar", collar)).toMatchObject({ packs: 4, order_kg: 20, cost_minor: 12_800 });
		expect(rowOf("onions", collar)?.asPurchased_kg).toBeCloseTo(4.6 / 0.9, 9);
		expect(rowOf("onions", collar)).toMatchObject({ packs: 2, order_kg: 10, pack_kg: 5 });
	});

	it("one ingredient of several dishes is ordered once, for all of them", () => {
		const row = rowOf("onions", dish("A", [[ONION, 1000]]), dish("B", [[ONION, 1000]]));
		expect(row).toMatchObject({ packs: 1, dishes: ["A", "B"] });
	});

	it("what is made in the house is taken apart; water is not ordered", () => {
		const rows = rowsOf(dish("A", [[STOCK, 5000]]));
		expect(rows.map(({ ingredient: item }) => item.name)).toEqual(["bay leaves", "bones", "onions"]);
		expect(rows[1]?.asPurchased_kg).toBeCloseTo(3, 9);
		expect(rows[2]?.asPurchased_kg).toBeCloseTo(0.25 / 0.9, 9);
	});

	it("a dozen inside what is made in the house is twelve", () => {
		const inDozens: Preparation = {
			...MADE,
			lines: MADE.lines.map((line) =>
				line.ingredient === "bay" ? { ...line, amount: 1, unit: "dozen" } : line,
			),
		};
		const byPiece: Preparation = {
			...MADE,
			lines: MADE.lines.map((line) => (line.ingredient === "bay" ? { ...line, amount: 12 } : line)),
		};
		const piecesOf = (made: Preparation) =>
			orderList([dish("A", [[STOCK, 7000]])], new Map([["stock", made]]), KNOWN).find(
				({ ingredient: item }) => item.name === "bay leaves",
			)?.pieces;
		expect(piecesOf(inDozens)).toBe(piecesOf(byPiece));
		// Seven of the ten litres: 8.4 leaves, and leaves are whole.
		expect(piecesOf(inDozens)).toBe(9);
	});

	it("counted things without a weight are ordered by the piece, whole", () => {
		expect(rowOf("bay leaves", dish("A", [[STOCK, 7000]]), dish("B", [[BAY, 3, true]]))).toMatchObject({
			pieces: 5,
			asPurchased_kg: 0,
			packs: null,
			cost_minor: null,
		});
	});

	it("a missing price is no cost, never nothing", () => {
		expect(rowOf("bones", dish("A", [[BONES, 1000]]))?.cost_minor).toBeNull();
	});

	it("never orders less than is needed, nor a whole pack more", () => {
		fc.assert(
			fc.property(fc.array(fc.double({ min: 1, max: 60_000, noNaN: true }), { minLength: 1 }), (amounts) => {
				const row = rowOf("onions", ...amounts.map((grams, index) => dish(String(index), [[ONION, grams]])));
				expect(row?.order_kg).toBeGreaterThanOrEqual((row?.asPurchased_kg ?? 0) - 1e-6);
				expect(row?.order_kg).toBeLessThan((row?.asPurchased_kg ?? 0) + 5);
			}),
		);
	});
});
