import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
	ALLERGEN_NAMES,
	boughtIn,
	type Carried,
	carriedBy,
	carriedIn,
	declaredIn,
	fallsBetween,
	type Ingredient,
	ingredient,
	type Preparation,
	presenceOf,
	unionOf,
} from "./index.ts";

const lines: fc.Arbitrary<Ingredient[]> = fc.array(
	fc
		.record({
			id: fc.constantFrom("a", "b", "c", "d"),
			allergens: fc.subarray(ALLERGEN_NAMES, { maxLength: 4 }),
			mayContain: fc.subarray(ALLERGEN_NAMES, { maxLength: 4 }),
			described: fc.boolean(),
		})
		.map((given) => ingredient({ ...given, name: given.id })),
	{ maxLength: 4 },
);
const RANK = ["contains", "mayContain", "notKnown", null];
const rank = (carried: Carried, allergen: (typeof ALLERGEN_NAMES)[number]) =>
	RANK.indexOf(presenceOf(carried, allergen));

describe("what falls between two declarations", () => {
	it("is every allergen of which less is said, and no other", () => {
		fc.assert(
			fc.property(lines, lines, (one, other) => {
				const [before, after] = [carriedBy(one), carriedBy(other)];
				const fallen = fallsBetween(before, after).map(({ allergen }) => allergen);
				const less = ALLERGEN_NAMES.filter((allergen) => rank(after, allergen) > rank(before, allergen));
				expect(fallen).toEqual(less);
			}),
		);
	});

	it("is nothing where lines are only added, and the same however they are counted", () => {
		fc.assert(
			fc.property(lines, lines, (some, more) => {
				expect(fallsBetween(carriedBy(some), carriedBy([...some, ...more]))).toEqual([]);
				const distinct = [...new Map(some.map((one) => [one.id, one])).values()];
				expect(carriedIn(declaredIn(distinct))).toEqual(carriedBy(distinct));
			}),
		);
	});

	it("is nothing from any part to the union of all", () => {
		fc.assert(
			fc.property(fc.array(lines, { maxLength: 4 }), (parts) => {
				const declared = parts.map((part) => declaredIn(part));
				const union = carriedIn(unionOf(declared));
				for (const part of declared) expect(fallsBetween(carriedIn(part), union)).toEqual([]);
			}),
		);
	});
});

it("what is bought is found through what is made, each once, also where that goes round in a circle", () => {
	const made = (...inside: string[]): Preparation => ({
		...{ format: "wide-table/preparation", formatVersion: 1, name: "x", summary: "", category: "stock" },
		...{ makes: { amount: 1, unit: "kg" }, steps: [] },
		lines: inside.map((id) => ({ ingredient: id, amount: 1, unit: "kg", role: "vegetable", group: "base" })),
	});
	const preparations = new Map([
		["glaze", made("stock", "sugar")],
		["stock", made("bones", "leek", "glaze")],
	]);
	expect(boughtIn([{ ingredient: "glaze" }, { ingredient: "leek" }], preparations)).toEqual([
		"bones",
		"leek",
		"sugar",
	]);
});
