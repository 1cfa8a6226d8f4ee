import fc from "fast-check";
import { beforeAll, describe, expect, it } from "vitest";
import { isPreparation, type Preparation, type Recipe } from "#core/recipe";
import { readBookFile, readKitchen } from "#db";
import { openDemoHouse } from "../ui/server/demoTables.testing.ts";
import { readingIn } from "../ui/words/reading.ts";
import { compareView } from "./compareView.ts";
import { type CardHouse, dishCard, lineNote, planCard } from "./dishCard.ts";
import { preparationCard } from "./preparationCard.ts";

const NOW = Date.UTC(2026, 10, 24);

let house: CardHouse;
let dishes: Recipe[];
let made: Preparation[];

beforeAll(async () => {
	const store = await openDemoHouse(NOW);
	const kitchen = await readKitchen(store.db);
	const docs = (await readBookFile(store.db)).recipes.flatMap(({ versions }) =>
		versions.map(({ doc }) => doc),
	);
	await store.close();
	house = { kitchen, reading: readingIn("metric", "UTC", NOW), currency: "EUR", menuPrice_minor: 2400 };
	dishes = docs.filter((doc): doc is Recipe => !isPreparation(doc));
	made = docs.filter(isPreparation);
});

const dish = (name: string) => {
	const found = dishes.find((recipe) => recipe.name.startsWith(name));
	if (!found) throw new Error(`no ${name}`);
	return found;
};
const rowsOf = (card: {
	groups: readonly { rows: readonly { name: string; amount: string; note: string }[] }[];
}) => card.groups.flatMap(({ rows }) => rows);
const rowOf = (card: Parameters<typeof rowsOf>[0], name: string) => {
	const found = rowsOf(card).find((row) => row.name === name);
	if (!found) throw new Error(`no line ${name}`);
	return found;
};

describe("a dish's card", () => {
	it("at its own size weighs what is written, for every dish of the house", () => {
		for (const recipe of dishes) {
			const plan = planCard(recipe, { basis: "factor", factor: 1 }, house);
			expect(plan.chain.portions, recipe.name).toBe(recipe.portions);
			expect(plan.factor, recipe.name).toBeCloseTo(1, 1);
			expect(rowsOf(dishCard(recipe, { basis: "factor", factor: 1 }, house))).toHaveLength(
				recipe.lines.length,
			);
		}
	});

	it("four ways to the same size say the same", () => {
		const recipe = dish("Goat");
		const byCovers = planCard(recipe, { basis: "covers", portions: 60 }, house);
		const byFactor = planCard(recipe, { basis: "factor", factor: 6 }, house);
		const onHand_kg = byCovers.chain.asPurchased_kg;
		const byWeight = planCard(recipe, { basis: "onHand", onHand_kg }, house);
		expect(byFactor.chain).toEqual(byCovers.chain);
		expect(byWeight.chain.portions).toBe(60);
		expect(dishCard(recipe, { basis: "onHand", onHand_kg: 17.4 }, house).heading).toBe(
			"17.4 kg makes 60 portions",
		);
		expect(dishCard(recipe, { basis: "pans", pans: 2, panTypeId: null }, house).heading).toMatch(
			/^2 pans of \d+ pieces makes \d+ portions$/,
		);
	});

	it("shows a damped line with what it would be straight, and counts out what is counted", () => {
		const card = dishCard(dish("Goat"), { basis: "covers", portions: 100 }, house);
		expect(rowOf(card, "smoked paprika").note).toContain("straight 240 g");
		expect(rowOf(card, "bay leaves").note).toMatch(/straight 30 pieces/);
	});

	it("says while it is written that its line gives more than twice its sauce", () => {
		const deep = { ...dish("Goat"), braise: { ...dish("Goat").braise, line: { over_mm: 15 } } };
		expect(lineNote(deep, house)).toMatch(/well covered, leaves [\d.]+ l for 700 ml of sauce/);
		expect(lineNote({ ...deep, sauce_ml: 900 }, house)).toBeNull();
	});

	it("says rounding only where it is more than two percent", () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 300 }), (portions) => {
				const plan = planCard(dish("Pork"), { basis: "covers", portions }, house);
				const card = dishCard(dish("Pork"), { basis: "covers", portions }, house);
				for (const line of plan.lines) {
					const said = rowOf(card, line.ingredient.name).note.includes("rounded");
					if (line.measure_ml === null) expect(said).toBe(Math.abs(line.roundedBy) > 0.02);
				}
			}),
			{ numRuns: 15 },
		);
	});

	it("costs a portion, a cooked kilo and a share of the menu price, or says what has no price", () => {
		const { cost } = dishCard(dish("Goat"), { basis: "factor", factor: 1 }, house);
		expect(cost.perPortion).toMatch(/^€\d\.\d\d$/);
		expect(cost.shareOfMenu).toMatch(/^\d+(\.\d)? %$/);
		const ingredients = new Map(house.kitchen.known.byId);
		const wine = ingredients.get("white-wine");
		if (!wine) throw new Error("no wine");
		ingredients.set("white-wine", { ...wine, pricePerKg_minor: null });
		const bare = dishCard(
			dish("Goat"),
			{ basis: "factor", factor: 1 },
			{
				...house,
				kitchen: { ...house.kitchen, known: { ...house.kitchen.known, byId: ingredients } },
			},
		);
		expect(bare.cost).toMatchObject({ perPortion: null, shareOfMenu: null, missing: ["dry white wine"] });
	});

	it("declares by the house's own list, traced through what is made in the house", () => {
		const { allergens } = dishCard(dish("Goat"), { basis: "factor", factor: 1 }, house);
		expect(allergens.found).toContainEqual({
			name: "celery",
			presence: "contains",
			from: "celery, light chicken stock (celery)",
		});
		expect(allergens.found.length + allergens.freeOf.length).toBe(14);
		const american = {
			...house,
			kitchen: { ...house.kitchen, policy: { ...house.kitchen.policy, allergenList: "us9" as const } },
		};
		const us = dishCard(dish("Goat"), { basis: "factor", factor: 1 }, american).allergens;
		expect(us.found).toEqual([]);
		expect(us.freeOf).toHaveLength(9);
	});

	it("is in pounds, quarts and Fahrenheit for a US reader", () => {
		const reading = readingIn("us", "UTC", NOW);
		const card = dishCard(dish("Pork"), { basis: "factor", factor: 4 }, { ...house, reading });
		const said = JSON.stringify([card.facts, rowsOf(card).map(({ amount }) => amount)]);
		expect(said).toMatch(/\d lb/);
		expect(said).not.toMatch(/\d (kg|g|l|ml|°C)\b/);
	});

	it("never warns of hours or of portions wanted: it is nobody's sitting", () => {
		for (const recipe of dishes) {
			const says = dishCard(recipe, { basis: "onHand", onHand_kg: 8 }, house).warnings.map(
				(warning) => warning.says,
			);
			expect(says.join()).not.toMatch(/are wanted, \d+ short|outside the kitchen's hours/);
		}
	});
});

describe("a preparation's card", () => {
	it("scales straight with what it makes, and counts whole", () => {
		const [stock] = made.filter(({ name }) => name === "light chicken stock");
		if (!stock) throw new Error("no stock");
		const card = preparationCard(stock, 2.5, house);
		expect(card.makes).toBe("25 l");
		expect(rowOf(card, "chicken bones").amount).toBe("15 kg");
		expect(rowOf(card, "bay leaves").amount).toBe("5 pieces");
		expect(card.cost.perPortion).toMatch(/^€/);
	});

	it("has every line, a method and a cost, for all of the house", () => {
		for (const draft of made) {
			const card = preparationCard(draft, 1, house);
			expect(rowsOf(card)).toHaveLength(draft.lines.length);
			expect(card.cost.missing).toEqual([]);
		}
	});
});

describe("two versions side by side", () => {
	it("say nothing where they are the same", () => {
		for (const doc of [...dishes, ...made]) expect(compareView(doc, structuredClone(doc), house)).toEqual([]);
	});

	it("say lines, figures, allergens and cost in a cook's words", () => {
		const goat = dish("Goat");
		const butter = {
			ingredient: "butter",
			amount: 40,
			unit: "g" as const,
			role: "finishing" as const,
			group: "finish" as const,
		};
		const to: Recipe = { ...goat, rest_min: 25, lines: [...goat.lines, butter], schools: { flour: "roux" } };
		const parts = compareView(goat, to, house);
		expect(parts.map(({ heading }) => heading)).toEqual([
			"Lines",
			"Figures",
			"Between schools",
			"Allergens",
			"Cost",
		]);
		const pairs = Object.fromEntries(parts.map(({ heading, pairs: [first] }) => [heading, first]));
		expect(pairs.Figures).toMatchObject({ what: "Rest, min", from: "20", to: "25" });
		expect(pairs["Between schools"]).toMatchObject({ what: "Flour and body", to: "roux at the end" });
		expect(pairs.Allergens).toMatchObject({ what: "milk", from: "", to: "contains (butter)" });
		expect(pairs.Cost?.from).not.toBe(pairs.Cost?.to);
	});
});
