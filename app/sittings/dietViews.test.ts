import { beforeAll, describe, expect, it } from "vitest";
import { DIET_KEYS } from "#core/recipe";
import { type DemoTables, demoTables } from "../ui/server/demoTables.testing.ts";
import { dietViews } from "./dietViews.ts";

const NOW = Date.UTC(2026, 10, 24, 9, 0);

let demo: DemoTables;
beforeAll(async () => {
	demo = await demoTables(NOW);
});

const supper = () =>
	demo.tables.filter(({ sitting }) => sitting.name === "Festival supper").map(({ row }) => row);

describe("guests by diet on the festival supper", () => {
	it("are fed by the dishes that suit, and the others say what is in the way", () => {
		const [vegetarian] = dietViews([{ diet: "vegetarian", covers: 16 }], supper());
		expect(vegetarian).toMatchObject({ words: "16 vegetarian", short: 0, suits: "Celeriac, black lentils" });
		expect(vegetarian?.not).toHaveLength(2);
		expect(vegetarian?.not.join()).toMatch(/Goat shoulder.*: not with goat shoulder, light chicken stock/);
	});

	it("more of them than portions are short, with how many", () => {
		const [vegetarian] = dietViews([{ diet: "vegetarian", covers: 60 }], supper());
		expect(vegetarian?.short).toBe(32);
		expect(vegetarian?.shortWords).toBe("32 without a portion; Celeriac, black lentils makes 28");
	});

	it("no dish at all is said plainly", () => {
		const [none] = dietViews([{ diet: "celeryFree", covers: 2 }], supper());
		expect(none).toMatchObject({ short: 2, shortWords: "no dish suits", suits: "" });
	});

	it("every dish either suits or says why not, for every diet", () => {
		const rows = supper();
		for (const view of dietViews(
			DIET_KEYS.map((diet) => ({ diet, covers: 1 })),
			rows,
		)) {
			const suiting = rows.filter(({ dish }) => view.suits.includes(dish.recipe.name));
			expect(suiting.length + view.not.length, view.words).toBe(rows.length);
		}
	});

	it("a dish without a plan feeds nobody", () => {
		const rows = supper().map(({ dish, card }) => ({ dish, card, refused: "no pan" }));
		expect(dietViews([{ diet: "noPork", covers: 3 }], rows)[0]?.short).toBe(3);
	});
});
