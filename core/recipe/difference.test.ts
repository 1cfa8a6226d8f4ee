import { describe, expect, it } from "vitest";
import { DEMO_DOCS, demoDish } from "./demoBook.testing.ts";
import { difference, isSame, type Recipe } from "./index.ts";

const DOCS = DEMO_DOCS.map(({ doc }) => doc);
const NONE = new Map();
const goat = demoDish("goat-shoulder");

describe("the difference of two versions", () => {
	it.each(DOCS.map((doc) => [doc.name, doc] as const))("of %s and itself is none", (_, doc) => {
		expect(isSame(difference(doc, structuredClone(doc), NONE))).toBe(true);
	});

	it("names an amount, a line that is new, and one that is gone", () => {
		const [main, onion, carrot, ...rest] = goat.lines;
		if (!main || !onion || !carrot) throw new Error("no lines");
		const leek = { ...carrot, ingredient: "leek" };
		const to = { ...goat, lines: [main, { ...onion, amount: 650 }, leek, ...rest] };
		expect(difference(goat, to, NONE).lines).toEqual([
			{ what: "onion", from: "500 g, large dice", to: "650 g, large dice" },
			{ what: "carrot", from: "250 g, large dice, vegetable, in base", to: "" },
			{ what: "leek", from: "", to: "250 g, large dice, vegetable, in base" },
		]);
	});

	it("tells a line that keeps its amount and changes its role, damping or group", () => {
		const lines = goat.lines.map((line) =>
			line.ingredient === "smoked-paprika"
				? { ...line, exponent: 0.8, group: "finish" as const }
				: line.ingredient === "garlic"
					? { ...line, role: "side" as const }
					: line,
		);
		expect(difference(goat, { ...goat, lines }, NONE).lines).toEqual([
			{ what: "garlic", from: "40 g, crushed, vegetable", to: "40 g, crushed, side" },
			{
				what: "smoked paprika",
				from: "24 g, to the power 0.9, in base",
				to: "24 g, to the power 0.8, in finish",
			},
		]);
	});

	it("names yields and oven by their fields, and turns round with its sides", () => {
		const to = {
			...goat,
			losses: { ...goat.losses, cookingLoss: 0.38 },
			braise: { ...goat.braise, lid: "lid" as const },
		};
		const there = difference(goat, to, NONE);
		expect(there.fields.map(({ field, from, to: other }) => [field, from, other])).toEqual([
			["cookingLoss", "36", "38"],
			["lid", "foil", "lid"],
		]);
		const back = difference(to, goat, NONE);
		expect(back.fields).toEqual(there.fields.map((pair) => ({ ...pair, from: pair.to, to: pair.from })));
	});

	it("tells two steps at one place apart", () => {
		const [first, second, ...rest] = goat.steps;
		if (!first || !second) throw new Error("no steps");
		const to = { ...goat, steps: [first, { ...second, text: "Salt and dry them." }, ...rest] };
		expect(difference(goat, to, NONE).steps).toMatchObject([
			{ what: "trim (2)", to: expect.stringContaining("Salt and dry them.") },
		]);
	});

	it("tells a choice between schools", () => {
		const to: Recipe = { ...goat, schools: { flour: "starch" } };
		expect(difference(goat, to, NONE).schools).toEqual([{ what: "flour", from: "", to: "starch" }]);
	});
});
