import fc from "fast-check";
import { beforeAll, describe, expect, it } from "vitest";
import type { Ingredient, Recipe } from "#core/recipe";
import type { Role } from "#core/scaling";
import { readBook, readIngredients } from "#db";
import { openDemoHouse } from "../ui/demoTables.testing.ts";
import { readingIn } from "../ui/reading.ts";
import { cardView } from "./cardView.ts";

const READING = readingIn("metric", "UTC", Date.UTC(2026, 10, 24));

let book: Recipe[];
let known: ReadonlyMap<string, Ingredient>;

beforeAll(async () => {
	const store = await openDemoHouse(Date.UTC(2026, 10, 24));
	book = (await readBook(store.db)).map(({ doc }) => doc);
	known = await readIngredients(store.db);
	await store.close();
});

const named = (name: string) => {
	const found = book.find((recipe) => recipe.name.startsWith(name));
	if (!found) throw new Error(`no ${name}`);
	return found;
};
const rowsAt = (recipe: Recipe, portions: number) =>
	cardView(recipe, portions, known, READING).groups.flatMap(({ rows }) => rows);
/** How much of the line of a role is read at a number of portions. */
const amountAt = (recipe: Recipe, role: Role, portions: number) => {
	const line = recipe.lines.find((one) => one.role === role);
	const name = known.get(line?.ingredient ?? "")?.name;
	return rowsAt(recipe, portions).find((row) => row.name === name)?.amount ?? "";
};
const grams = (words: string) => {
	const [amount = "0", unit] = words.replaceAll(",", "").split(" ");
	return Number(amount) * (unit === "kg" || unit === "l" ? 1000 : 1);
};

describe("a card", () => {
	it("at its own size reads as it was written", () => {
		for (const recipe of book) {
			const written = recipe.lines.find(({ role }) => role === "main")?.amount ?? 0;
			expect(grams(amountAt(recipe, "main", recipe.portions)) / written).toBeCloseTo(1, 2);
		}
	});

	it("shows every line once, in the groups of the card", () => {
		for (const recipe of book) {
			const { groups } = cardView(recipe, 40, known, READING);
			expect(groups.flatMap(({ rows }) => rows)).toHaveLength(recipe.lines.length);
			expect(new Set(groups.map(({ group }) => group)).size).toBe(groups.length);
		}
	});

	it("twice the portions is twice the meat; searing fat stays as it is for a load", () => {
		const recipe = named("Pork collar");
		fc.assert(
			fc.property(fc.integer({ min: 5, max: 400 }), (portions) => {
				const [one, two] = [portions, portions * 2].map((size) => grams(amountAt(recipe, "main", size)));
				expect(Math.abs((two ?? 0) / (one ?? 1) - 2)).toBeLessThan(0.06);
				expect(amountAt(recipe, "searFat", portions)).toBe("18 g a load");
			}),
			{ numRuns: 30 },
		);
	});

	it("traces each allergen to the ingredients that bring it", () => {
		const { allergens } = cardView(named("Squid"), 10, known, READING);
		for (const { name, from } of allergens) {
			for (const one of from.split(", ")) {
				const ingredient = [...known.values()].find((each) => each.name === one);
				expect(ingredient?.allergens, `${one} brings ${name}`).toContain(name);
			}
		}
		expect(allergens.map(({ name }) => name)).toContain("molluscs");
	});

	it("steps grow with the weight only where the card says so", () => {
		const recipe = named("Pork collar");
		const [small, large] = [10, 100].map((portions) => cardView(recipe, portions, known, READING).steps);
		recipe.steps.forEach((step, index) => {
			const grows = step.grows === "withWeight" && step.handsOn_min > 0;
			expect(small?.[index]?.minutes === large?.[index]?.minutes).toBe(!grows);
		});
	});

	it("a US reader is told pounds, quarts and Fahrenheit", () => {
		const us = cardView(named("Pork collar"), 40, known, readingIn("us", "UTC", 0));
		const said = JSON.stringify([us.facts, us.groups.map(({ rows }) => rows.map(({ amount }) => amount))]);
		expect(said).toMatch(/\d lb/);
		expect(said).toMatch(/°F/);
		expect(said).not.toMatch(/\d (kg|g|l|ml|°C)\b/);
	});
});
