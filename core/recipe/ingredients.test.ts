import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
	ALLERGEN_LISTS,
	ALLERGEN_NAMES,
	type Allergen,
	allergensIn,
	DEEPEST_MADE,
	DIET_KEYS,
	DIETS,
	dietsAnswered,
	type Ingredient,
	ingredient,
	inTheWayOf,
	type Preparation,
	withMade,
} from "./index.ts";

const FLOUR = ingredient({ id: "flour", name: "wheat flour", category: "thickener", allergens: ["wheat"] });
const CELERY = ingredient({ id: "celery", name: "celery", allergens: ["celery"], pricePerKg_minor: 200 });
const BONES = ingredient({ id: "bones", name: "bones", category: "poultry", pricePerKg_minor: 100 });
const WATER = ingredient({ id: "water", name: "water", category: "water", density_g_per_ml: 1 });
const LENTILS = ingredient({ id: "lentils", name: "lentils", category: "pulse", mayContain: ["gluten"] });
const WINE = ingredient({ id: "wine", name: "wine", category: "wine", allergens: ["sulphites"] });

const asMap = (...all: Ingredient[]) => new Map(all.map((ingredient) => [ingredient.id, ingredient]));

function preparation(
	name: string,
	lines: readonly (readonly [string, number])[],
	makes_g = 1000,
): Preparation {
	return {
		format: "wide-table/preparation",
		formatVersion: 1,
		name,
		summary: "",
		category: "stock",
		makes: { amount: makes_g, unit: "g" },
		lines: lines.map(([id, amount]) => ({
			ingredient: id,
			amount,
			unit: "g",
			role: "vegetable",
			group: "base",
		})),
		steps: [],
	};
}

describe("the lists of allergens", () => {
	it("the European one has fourteen, the American nine", () => {
		expect(ALLERGEN_LISTS.eu14.of).toHaveLength(14);
		expect(ALLERGEN_LISTS.us9.of).toHaveLength(9);
	});

	it("wheat flour is gluten on the one and wheat on the other; celery is nothing on the American", () => {
		const told = (list: "eu14" | "us9", ...allergens: Allergen[]) =>
			allergensIn([ingredient({ id: "x", name: "x", allergens })], list).map(({ allergen, presence }) => [
				allergen,
				presence,
			]);
		expect(told("eu14", "wheat")).toEqual([["gluten", "contains"]]);
		expect(told("us9", "wheat")).toEqual([["wheat", "contains"]]);
		expect(told("us9", "celery", "sulphites")).toEqual([]);
		// Gluten whose cereal nobody has named may be wheat.
		expect(told("us9", "gluten")).toEqual([["wheat", "mayContain"]]);
	});
});

describe("what a dish declares", () => {
	it("traces each to its lines, and tells traces from what is in it", () => {
		expect(allergensIn([FLOUR, CELERY, LENTILS, CELERY], "eu14")).toEqual([
			{ allergen: "gluten", presence: "contains", from: ["wheat flour"] },
			{ allergen: "celery", presence: "contains", from: ["celery"] },
		]);
		expect(allergensIn([LENTILS], "eu14")).toEqual([
			{ allergen: "gluten", presence: "mayContain", from: ["lentils"] },
		]);
	});

	it("adding a line never takes one away", () => {
		const anyAllergens = fc.subarray([...ALLERGEN_NAMES]);
		const anyIngredients = fc
			.array(fc.tuple(anyAllergens, anyAllergens), { minLength: 1 })
			.map((all) =>
				all.map(([allergens, mayContain], index) =>
					ingredient({ id: String(index), name: String(index), allergens, mayContain }),
				),
			);
		fc.assert(
			fc.property(anyIngredients, fc.constantFrom("eu14" as const, "us9" as const), (lines, list) => {
				const before = allergensIn(lines.slice(1), list).map(({ allergen }) => allergen);
				const after = allergensIn(lines, list).map(({ allergen }) => allergen);
				expect(after).toEqual(expect.arrayContaining(before));
			}),
		);
	});
});

describe("what is made in the house", () => {
	const stock = preparation("light stock", [
		["bones", 600],
		["celery", 50],
		["water", 900],
	]);
	const glaze = preparation("glaze", [["stock", 1000]], 100);
	const known = withMade(
		new Map([
			["glaze", glaze],
			["stock", stock],
		]),
		asMap(BONES, CELERY, WATER),
	);

	it("carries what is inside it, through preparations of preparations, with the way there", () => {
		const made = known.get("glaze");
		expect(made?.allergens).toEqual(["celery"]);
		expect(allergensIn(made ? [made] : [], "eu14")[0]?.from).toEqual(["glaze (celery)"]);
		expect(made?.origins).toEqual(expect.arrayContaining(["meat", "plant"]));
	});

	it("costs what its lines cost over what it makes; water costs nothing", () => {
		expect(known.get("stock")?.pricePerKg_minor).toBeCloseTo(70, 9);
		expect(known.get("glaze")?.pricePerKg_minor).toBeCloseTo(700, 9);
	});

	it("has no price while one inside has none, and says which", () => {
		const { pricePerKg_minor: _, ...bare } = CELERY;
		const unpriced = asMap(BONES, ingredient(bare), WATER);
		const made = withMade(
			new Map([
				["stock", stock],
				["glaze", glaze],
			]),
			unpriced,
		).get("glaze");
		expect(made?.pricePerKg_minor).toBeNull();
		expect(made?.made?.withoutPrice).toEqual(["celery"]);
	});

	it("rolls up the same in any order", () => {
		fc.assert(
			fc.property(fc.shuffledSubarray(stock.lines, { minLength: 3 }), fc.boolean(), (lines, turned) => {
				const both: [string, Preparation][] = [
					["stock", { ...stock, lines }],
					["glaze", glaze],
				];
				const rolled = withMade(new Map(turned ? both.reverse() : both), asMap(BONES, CELERY, WATER));
				expect(rolled.get("glaze")?.pricePerKg_minor).toBeCloseTo(700, 9);
			}),
		);
	});

	it("cannot need itself, however far round, and the circle is named", () => {
		const round = new Map([
			["a", preparation("base", [["b", 10]])],
			["b", preparation("essence", [["c", 10]])],
			["c", preparation("glaze", [["a", 10]])],
		]);
		expect(() => withMade(round, new Map())).toThrow("base needs essence needs glaze needs base");
	});

	it("is free of nothing where the book already holds such a circle, or one too deep", () => {
		const round = new Map([
			["a", preparation("base", [["b", 10]])],
			["b", preparation("essence", [["a", 10]])],
			["apart", preparation("apart", [["celery", 10]])],
		]);
		const known = withMade(round, asMap(CELERY), new Map(), true);
		expect([known.get("a")?.described, known.get("b")?.described]).toEqual([false, false]);
		expect(known.get("apart")?.allergens).toContain("celery");

		const deep = new Map(
			Array.from({ length: DEEPEST_MADE + 2 }, (_, depth) => [
				`p${depth}`,
				preparation(`p${depth}`, [[depth === 0 ? "celery" : `p${depth - 1}`, 10]]),
			]),
		);
		expect(() => withMade(deep, asMap(CELERY))).toThrow(`more than ${DEEPEST_MADE} preparations`);
		const turned = withMade(new Map([...deep].reverse()), asMap(CELERY), new Map(), true);
		for (const [id, { described, allergens }] of withMade(deep, asMap(CELERY), new Map(), true)) {
			expect({ described, allergens }).toEqual({
				described: turned.get(id)?.described,
				allergens: turned.get(id)?.allergens,
			});
		}
		expect(turned.get(`p${DEEPEST_MADE - 1}`)?.allergens).toEqual(["celery"]);
		expect(turned.get(`p${DEEPEST_MADE + 1}`)?.described).toBe(false);
	});
});

describe("the diets of a sitting", () => {
	const MEAT = ingredient({ id: "goat", name: "goat shoulder", category: "meat" });
	const goat = { name: "Goat", portions: 80, ingredients: [MEAT, WINE] };
	const celeriac = { name: "Celeriac", portions: 10, ingredients: [CELERY, LENTILS] };

	it("says which dishes suit, what is in the way in the others, and who is short", () => {
		const [vegetarian] = dietsAnswered([{ diet: "vegetarian", covers: 12 }], [goat, celeriac]);
		expect(vegetarian).toEqual({
			diet: "vegetarian",
			covers: 12,
			suits: [{ dish: "Celeriac", portions: 10 }],
			not: [{ dish: "Goat", because: ["goat shoulder"] }],
			short: 2,
		});
	});

	it("traces are in the way of an allergy too", () => {
		expect(inTheWayOf("glutenFree", [LENTILS])).toEqual(["lentils"]);
		expect(inTheWayOf("glutenFree", [CELERY])).toEqual([]);
		expect(inTheWayOf("noAlcohol", [WINE])).toEqual(["wine"]);
	});

	it.each(DIET_KEYS)("%s is barred by everything it names, and by nothing on an empty plate", (diet) => {
		expect(inTheWayOf(diet, [])).toEqual([]);
		for (const allergen of DIETS[diet].allergens) {
			expect(inTheWayOf(diet, [ingredient({ id: "x", name: "x", allergens: [allergen] })])).toEqual(["x"]);
		}
		for (const origin of DIETS[diet].origins) {
			expect(inTheWayOf(diet, [ingredient({ id: "x", name: "x", origins: [origin] })])).toEqual(["x"]);
		}
	});
});
