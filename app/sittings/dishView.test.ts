import { beforeAll, describe, expect, it } from "vitest";
import { startAt } from "#core/dish";
import { isInOven } from "#core/recipe";
import { type DemoTables, demoTables, tableOf } from "../ui/server/demoTables.testing.ts";
import { readingIn } from "../ui/words/reading.ts";
import { dishView } from "./dishView.ts";

const NOW = Date.UTC(2026, 10, 24, 9, 0);
const READING = readingIn("metric", "Atlantic/Faroe", NOW);

let demo: DemoTables;
beforeAll(async () => {
	demo = await demoTables(NOW);
});

const viewOf = (name: string, standards: ReadonlyMap<string, number> = new Map()) => {
	const { sitting, row } = tableOf(demo, name);
	return dishView(row, sitting.serviceAt, demo.kitchen, READING, standards);
};

describe("a dish on its sitting", () => {
	it("is told in five figures: portions, what to buy, pans, when work starts, when it goes in", () => {
		for (const { row, sitting } of demo.tables) {
			const view = dishView(row, sitting.serviceAt, demo.kitchen, READING, new Map());
			expect(view.refused).toBeNull();
			expect(view.figures?.map(({ label }) => label.replace(/^\w+ up from|^\w+ from/, "from"))).toEqual([
				"portions",
				"to buy",
				"pans",
				"from",
				isInOven(row.dish.recipe) ? "in the oven" : "on the hob",
			]);
			for (const { figure } of view.figures ?? []) expect(figure).not.toBe("");
		}
	});

	it("names the day only where it is another than that of service", () => {
		const { row, sitting } = tableOf(demo, "Goat shoulder");
		if (!row.plan) throw new Error("no plan");
		const view = viewOf("Goat shoulder");
		const inAt = view.figures?.find(({ label }) => label === "in the oven")?.figure;
		expect(inAt).toBe(READING.clockAfter(startAt(row.plan, "braise"), sitting.serviceAt));
		expect(inAt).toMatch(/^\d\d:\d\d$/);
	});

	it("says that a newer standard has come, and not that an older one was", () => {
		const { row } = tableOf(demo, "Goat shoulder");
		const { recipeId, number } = row.dish;
		expect(viewOf("Goat shoulder", new Map([[recipeId, number + 1]])).newer).toBe(number + 1);
		expect(viewOf("Goat shoulder", new Map([[recipeId, number]])).newer).toBeNull();
		expect(viewOf("Goat shoulder").newer).toBeNull();
	});

	it("without a plan says why, and shows no figure", () => {
		const { row, sitting } = tableOf(demo, "Goat shoulder");
		const view = dishView(
			{ dish: row.dish, card: row.card, refused: "no pan" },
			sitting.serviceAt,
			demo.kitchen,
			READING,
			new Map(),
		);
		expect(view).toMatchObject({ refused: "no pan", figures: null, warnings: [] });
	});
});
