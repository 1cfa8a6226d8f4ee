import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoDish } from "./demoBook.testing.ts";
import { type Recipe, readSeason, seasonWords, swapped, takeBaseChange } from "./index.ts";

const pork = demoDish("pork-collar");
const base = { recipe: "pork-collar", number: 3 };

describe("a season", () => {
	it("reads back as it is told, whatever the months", () => {
		const months = fc.uniqueArray(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 11 });
		fc.assert(
			fc.property(months, (some) => {
				expect(readSeason(seasonWords(some))).toEqual([...some].sort((a, b) => a - b));
			}),
		);
	});

	it("goes over the turn of the year, and no other word is a month", () => {
		expect(seasonWords([12, 1, 11, 5])).toBe("May, Nov–Jan");
		expect(readSeason("october to december; 3")).toEqual([3, 10, 11, 12]);
		for (const text of ["", "winter", "13", "0", "Ma", "Jan–Feb–Mar", "Jan–"]) {
			expect(readSeason(text), text).toBeNull();
		}
	});
});

describe("what stands in place of a line", () => {
	const line = pork.lines.find(({ role }) => role === "liquid");
	const from = line?.ingredient ?? "";
	const card: Recipe = {
		...pork,
		lines: pork.lines.map((each) =>
			each === line ? { ...each, substitutes: [{ ingredient: "perry", amount: 2, unit: "l" }] } : each,
		),
	};

	it("comes in its own amount, and undone the card is the same", () => {
		const other = swapped(card, [{ from, to: "perry" }]);
		expect(other.lines.find(({ ingredient }) => ingredient === "perry")).toMatchObject({
			amount: 2,
			unit: "l",
			role: "liquid",
		});
		expect(swapped(card, [])).toBe(card);
	});

	it("changes nothing where the card does not know it", () => {
		expect(swapped(card, [{ from, to: "sea-water" }])).toEqual(card);
		expect(swapped(pork, [{ from, to: "perry" }])).toEqual(pork);
	});
});

describe("a change of the base", () => {
	it("reaches a variant where it says what the base said, and leaves its own ways", () => {
		const variant: Recipe = { ...pork, name: "Pork with perry", sauce_ml: 90 };
		const now: Recipe = { ...pork, rest_min: 35, sauce_ml: 50 };
		const { recipe, left } = takeBaseChange(variant, pork, now, base);
		expect(recipe).toMatchObject({
			name: "Pork with perry",
			rest_min: 35,
			sauce_ml: 90,
			variantOf: { recipe: "pork-collar", number: 3 },
		});
		expect(left).toEqual(["sauce_ml"]);
	});

	it("brings new lines after what they followed, and takes gone ones out", () => {
		const [first, second, third, ...rest] = pork.lines;
		if (!first || !second || !third) throw new Error("the card has three lines");
		const fresh = { ...second, ingredient: "juniper-berries" };
		const now: Recipe = { ...pork, lines: [first, fresh, third, ...rest] };
		const { recipe } = takeBaseChange({ ...pork, name: "Other" }, pork, now, base);
		expect(recipe.lines).toEqual(now.lines);
	});

	it("leaves a variant that is the base as the base is now, whatever changed", () => {
		const picked = fc.subarray(pork.lines, { minLength: 1 });
		fc.assert(
			fc.property(picked, fc.integer({ min: 0, max: 200 }), (lines, sauce_ml) => {
				const now: Recipe = { ...pork, lines, sauce_ml };
				const { recipe, left } = takeBaseChange(pork, pork, now, base);
				expect(recipe).toEqual({ ...now, variantOf: base });
				expect(left).toEqual([]);
			}),
		);
	});
});
