import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Recipe } from "#core/recipe";
import { readHouse, readKitchen, type Store } from "#db";
import { DEMO_DISHES, demoDish } from "../../core/recipe/demoBook.testing.ts";
import { openDemoHouse } from "../ui/server/demoTables.testing.ts";
import { readingIn } from "../ui/words/reading.ts";
import { compareView } from "./compareView.ts";
import type { CardHouse } from "./dishCard.ts";

const NOW = Date.UTC(2026, 10, 24);

let store: Store;
let house: CardHouse;
beforeAll(async () => {
	store = await openDemoHouse(NOW);
	const [row, kitchen] = await Promise.all([readHouse(store.db), readKitchen(store.db)]);
	house = {
		kitchen,
		reading: readingIn("metric", row.timeZone, NOW),
		currency: row.currency,
		menuPrice_minor: null,
	};
});
afterAll(() => store.close());

const goat = () => demoDish("goat-shoulder");
const withLine = (ingredient: string, change: Partial<Recipe["lines"][number]>): Recipe => {
	const dish = goat();
	return {
		...dish,
		lines: dish.lines.map((line) => (line.ingredient === ingredient ? { ...line, ...change } : line)),
	};
};
const partOf = (from: Recipe, to: Recipe, heading: string) =>
	compareView(from, to, house).find((part) => part.heading === heading)?.pairs ?? [];

describe("two versions side by side", () => {
	it("of every dish and itself say nothing", () => {
		for (const dish of DEMO_DISHES) expect(compareView(dish, structuredClone(dish), house)).toEqual([]);
	});

	it("name what has changed, and only that", () => {
		const changed = { ...goat(), rest_min: goat().rest_min + 10 };
		const parts = compareView(goat(), changed, house);
		expect(parts.map(({ heading }) => heading)).toEqual(["Figures"]);
		expect(parts[0]?.pairs).toHaveLength(1);
		expect(parts[0]?.pairs[0]?.what.toLowerCase()).toContain("rest");
	});

	it("tell a line that costs more by what a portion costs then", () => {
		const dearer = withLine("garlic", { amount: 2000, unit: "g" });
		const [portion] = partOf(goat(), dearer, "Cost");
		if (!portion) throw new Error("no cost");
		const euros = (words: string) => Number(words.replace(/[^\d.]/g, ""));
		expect(portion.what).toBe("A portion");
		expect(euros(portion.to)).toBeGreaterThan(euros(portion.from));
	});

	it("tell an allergen that comes in, with the line that brings it, and one that goes out", () => {
		const dish = goat();
		const flour = {
			ingredient: "wheat-flour",
			amount: 100,
			unit: "g",
			role: "thickener",
			group: "base",
		} as const;
		const floured: Recipe = { ...dish, lines: [...dish.lines, flour] };
		const [wheat] = partOf(dish, floured, "Allergens");
		expect(wheat).toMatchObject({ from: "", to: expect.stringMatching(/^contains \(.*flour/) });
		expect(partOf(floured, dish, "Allergens")[0]).toMatchObject({ to: "" });
	});

	it("say where a version cannot be costed, instead of a sum", () => {
		const [portion] = partOf(goat(), { ...goat(), portion: { portion_g: 90_000_000 } }, "Cost");
		expect(portion?.to).toMatch(/cannot be planned|€/);
		expect(portion?.to).not.toMatch(/NaN|Infinity/);
	});

	it("name places and schools in a cook's words", () => {
		const dish = goat();
		const [first] = dish.steps;
		if (!first) throw new Error("no step");
		const stepped: Recipe = {
			...dish,
			steps: [{ ...first, text: `${first.text} Slowly.` }, ...dish.steps.slice(1)],
		};
		const [step] = partOf(dish, stepped, "Method");
		expect(step?.what).toMatch(/^[A-Z]/);
		const ahead: Recipe = { ...dish, schools: { ...dish.schools, service: "madeAhead" } };
		for (const { what, from, to } of partOf(dish, ahead, "Between schools")) {
			expect(what).toMatch(/^[A-Z]/);
			expect(`${from}${to}`).not.toContain("madeAhead");
		}
	});
});
