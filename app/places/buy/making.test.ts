import { beforeAll, describe, expect, it } from "vitest";
import { cookedRecipe, orderOf } from "#core/sitting";
import { workedIn } from "../../../core/day/days.testing.ts";
import { readSwaps, readUses } from "../../ui/forms/settled.ts";
import { type DemoTables, demoTables, tableOf } from "../../ui/server/demoTables.testing.ts";
import { readingIn } from "../../ui/words/reading.ts";
import type { TableGiven } from "../Place.ts";
import { makingView } from "./making.view.ts";

const NOW = Date.UTC(2026, 10, 24, 9, 0);
let demo: DemoTables;
beforeAll(async () => {
	demo = await demoTables(NOW);
});

/** What the buy place of a dish is given, with some of it settled otherwise. */
function givenFor(name: string, came = "", swaps = ""): TableGiven {
	const { row, sitting } = tableOf(demo, name);
	const { kitchen } = demo;
	const { card } = row;
	const dish = { ...row.dish, recipe: card, swaps: readSwaps(swaps) };
	const tried: NonNullable<TableGiven["making"]>["tried"] = (other) => {
		const settled = { ...dish, ...other };
		return workedIn(cookedRecipe(settled), orderOf(sitting, settled), kitchen);
	};
	const planned = workedIn(cookedRecipe(dish), orderOf(sitting, dish), kitchen);
	return {
		plan: planned,
		kitchen,
		reading: readingIn("metric", "Atlantic/Faroe", NOW).towards(sitting.serviceAt),
		cardLine: null,
		making: {
			card,
			swaps: dish.swaps,
			byProducts: row.dish.byProducts,
			cook: null,
			came,
			tried,
			rule: { timeZone: "Atlantic/Faroe", keeps_days: 4 },
			worth: { trim: 90 },
			currency: "EUR",
		},
	};
}

describe("what a dish is made of", () => {
	it("offers each substitute with what it changes, and its own again where one is taken", () => {
		const view = makingView(givenFor("Pork shoulder and chicken"));
		const words = view?.instead.map(({ words: said }) => said) ?? [];
		expect(words).toContain("dry breadcrumbs in place of almonds");
		const crumbs = view?.instead.find(({ words: said }) => said.startsWith("dry breadcrumbs"));
		expect(crumbs?.changes.join(" ")).toMatch(/brings .*gluten.*takes nuts out/);
		expect(readSwaps(crumbs?.swaps ?? "")).toEqual([{ from: "almond", to: "breadcrumbs" }]);
		const taken = makingView(givenFor("Pork shoulder and chicken", "", "almond>breadcrumbs"));
		const back = taken?.instead.find(({ words: said }) => said.startsWith("almonds again"));
		expect(back?.swaps).toBe("");
	});

	it("says what is left of it, what it is worth, and where it can go", () => {
		const view = makingView(givenFor("Lamb shoulder under potatoes"));
		const trim = view?.left.find(({ what }) => what === "raw trim");
		expect(trim).toMatchObject({ to: "house-broth", worth: expect.stringMatching(/^€\d/) });
		expect(trim?.when).toMatch(/use by/);
		const choice = trim?.choices.find(({ id }) => id === "house-broth");
		expect(readUses(choice?.uses ?? "")).toEqual({ trim: "house-broth" });
		expect(trim?.kept).toBe("");
	});
});

describe("what came, against what is wanted", () => {
	it("is enough, or it is said how many it makes", () => {
		expect(makingView(givenFor("Lamb shoulder under potatoes", "60 kg"))?.came.says).toMatch(/^Enough/);
		const { came } = makingView(givenFor("Lamb shoulder under potatoes", "8 kg")) ?? {};
		expect(came?.says).toMatch(/^8 kg make \d+ of \d+ portions\.$/);
	});

	it("has a way out for each size of the gap, with its figures", () => {
		const waysOf = (typed: string) =>
			makingView(givenFor("Lamb shoulder under potatoes", typed))?.came.ways.map(({ words }) => words);
		expect(waysOf("10.1 kg")).toContain("Use the spare");
		expect(waysOf("8 kg")).toEqual([
			expect.stringMatching(/^Portions of \d+ %$/),
			"Feed the others with another dish",
			"Buy more",
		]);
		expect(waysOf("2 kg")).toEqual(["Feed the others with another dish", "Buy more"]);
	});

	it("keeps what was typed where it is no weight", () => {
		const { came } = makingView(givenFor("Lamb shoulder under potatoes", "a box")) ?? {};
		expect(came).toMatchObject({ typed: "a box", says: null, ways: [] });
		expect(came?.wrong).toMatch(/a box/);
	});
});
