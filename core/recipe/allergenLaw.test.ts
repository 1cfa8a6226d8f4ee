import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
	ALLERGEN_LIST_KEYS,
	ALLERGEN_LISTS,
	ALLERGEN_NAMES,
	type Allergen,
	allergensIn,
	DIET_KEYS,
	DIETS,
	type Ingredient,
	ingredient,
	ingredientOf,
	inTheWayOf,
	type Preparation,
	presenceIn,
	withMade,
} from "./index.ts";

const IDS = ["a", "b", "c", "d", "e"] as const;
const MADE = ["p", "q", "r"] as const;

const some = fc.subarray([
	"gluten",
	"wheat",
	"celery",
	"milk",
	"fish",
	"molluscs",
] as const satisfies Allergen[]);
const bought: fc.Arbitrary<Ingredient> = fc
	.record({ allergens: some, mayContain: some, described: fc.boolean() })
	.map((declared) => ingredient({ id: "x", name: "x", ...declared }));

const preparation = (name: string, lines: readonly string[]): Preparation => ({
	format: "wide-table/preparation",
	formatVersion: 1,
	name,
	summary: "",
	category: "stock",
	makes: { amount: 1000, unit: "g" },
	lines: lines.map((id) => ({ ingredient: id, amount: 100, unit: "g", role: "vegetable", group: "base" })),
	steps: [],
});

/** Books with nested preparations and merges of merges; what is made needs only what comes before it. */
const books = fc
	.record({
		bought: fc.tuple(bought, bought, bought, bought, bought),
		merged: fc.subarray([
			["a", "b"],
			["b", "c"],
			["d", "e"],
		] as const),
		inside: fc.tuple(
			fc.subarray([...IDS], { minLength: 1 }),
			fc.subarray([...IDS, "p"], { minLength: 1 }),
			fc.subarray([...IDS, "p", "q"], { minLength: 1 }),
		),
		lines: fc.subarray([...IDS, ...MADE], { minLength: 1 }),
	})
	.map((book) => {
		const own = new Map<string, Ingredient>(
			IDS.map((id, index) => [id, { ...(book.bought[index] as Ingredient), id, name: id }]),
		);
		const merged = new Map<string, string>(book.merged.map(([from, to]) => [from, to]));
		const made = new Map(
			MADE.map((id, index) => [id as string, preparation(id, book.inside[index] as string[])]),
		);
		return { own, merged, made, lines: book.lines, known: withMade(made, own, merged) };
	});
type Book = typeof books extends fc.Arbitrary<infer T> ? T : never;

/** Everything bought that is in a line in the end, by walking down to it. */
function leavesOf({ own, merged, made }: Book, id: string): Ingredient[] {
	const doc = made.get(id);
	if (doc) return doc.lines.flatMap((line) => leavesOf({ own, merged, made } as Book, line.ingredient));
	const into = merged.get(id);
	if (into !== undefined) return leavesOf({ own, merged, made } as Book, into);
	return [own.get(id) as Ingredient];
}

/** Free of it: every leaf is described, and none names it or what it follows from. */
function isFree(leaves: readonly Ingredient[], allergen: Allergen): boolean {
	const bringing: readonly Allergen[] =
		allergen === "gluten" || allergen === "wheat" ? ["gluten", "wheat"] : [allergen];
	return leaves.every(
		({ allergens, mayContain, described }) =>
			described && ![...allergens, ...mayContain].some((named) => bringing.includes(named)),
	);
}

describe("what a dish is free of", () => {
	it("every line says so, down through what is made and what was merged", () => {
		fc.assert(
			fc.property(books, fc.constantFrom(...ALLERGEN_LIST_KEYS), (book, list) => {
				const leaves = book.lines.flatMap((id) => leavesOf(book, id));
				const found = allergensIn(
					book.lines.map((id) => book.known.get(id) as Ingredient),
					list,
				);
				for (const allergen of ALLERGEN_LISTS[list].of) {
					const isTold = found.some((told) => told.allergen === allergen);
					expect(isTold, allergen).toBe(!isFree(leaves, allergen));
				}
			}),
			{ numRuns: 500 },
		);
	});

	it("suits a guest only where nothing of the diet is told", () => {
		fc.assert(
			fc.property(books, fc.constantFrom(...DIET_KEYS), (book, diet) => {
				const inDish = book.lines.map((id) => book.known.get(id) as Ingredient);
				const leaves = book.lines.flatMap((id) => leavesOf(book, id));
				const suits = inTheWayOf(diet, inDish).length === 0;
				const allergens: readonly Allergen[] = DIETS[diet].allergens;
				if (suits) expect(allergens.every((allergen) => isFree(leaves, allergen))).toBe(true);
			}),
			{ numRuns: 500 },
		);
	});

	it("what one ingredient contains is contained by everything that is made with it", () => {
		fc.assert(
			fc.property(books, (book) => {
				const pairs = MADE.flatMap((id) =>
					leavesOf(book, id).map((leaf) => [leaf, book.known.get(id) as Ingredient] as const),
				);
				for (const [leaf, made] of pairs) {
					const contained = ALLERGEN_NAMES.filter((allergen) => presenceIn(leaf, allergen) === "contains");
					const named = ALLERGEN_NAMES.filter((allergen) => presenceIn(leaf, allergen) !== null);
					expect(contained.every((allergen) => presenceIn(made, allergen) === "contains")).toBe(true);
					expect(named.every((allergen) => presenceIn(made, allergen) !== null)).toBe(true);
				}
			}),
		);
	});
});

describe("gluten and wheat", () => {
	const declaring = (allergens: Allergen[], mayContain: Allergen[] = []) =>
		ingredient({ id: "x", name: "x", allergens, mayContain });

	it("wheat brings gluten, and gluten without its cereal may be wheat", () => {
		expect(presenceIn(declaring(["wheat"]), "gluten")).toBe("contains");
		expect(presenceIn(declaring(["gluten"]), "wheat")).toBe("mayContain");
		expect(presenceIn(declaring([], ["gluten"]), "wheat")).toBe("mayContain");
		expect(presenceIn(declaring(["celery"]), "wheat")).toBeNull();
	});

	it("by the American list a dish with unnamed gluten is not free of wheat", () => {
		expect(allergensIn([declaring(["gluten"])], "us9")).toEqual([
			{ allergen: "wheat", presence: "mayContain", from: ["x"] },
		]);
	});
});

describe("a line whose ingredient the book has not", () => {
	it("is free of nothing", () => {
		const line = { ingredient: "sea-beet", amount: 1, unit: "kg", role: "vegetable", group: "base" } as const;
		const [first] = allergensIn([ingredientOf(line, new Map())], "eu14");
		expect(first).toMatchObject({ presence: "notKnown", from: ["sea beet"] });
	});
});

describe("an ingredient that nobody has described", () => {
	it("is free of nothing, and a dish with it says whose fault that is", () => {
		const shallots = ingredient({ id: "s", name: "banana shallots", described: false });
		const told = allergensIn(
			[shallots, ingredient({ id: "c", name: "celery", allergens: ["celery"] })],
			"eu14",
		);
		expect(told).toHaveLength(ALLERGEN_LISTS.eu14.of.length);
		expect(told.find(({ allergen }) => allergen === "celery")?.presence).toBe("contains");
		expect(told.find(({ allergen }) => allergen === "milk")).toEqual({
			allergen: "milk",
			presence: "notKnown",
			from: ["banana shallots"],
		});
	});
});
