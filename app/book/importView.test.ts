import { beforeAll, describe, expect, it } from "vitest";
import { planImport, readCsv } from "#core/exchange";
import { readBookFile, type StageRow, type Store } from "#db";
import { demoDish } from "../../core/recipe/demoBook.testing.ts";
import { openDemoHouse } from "../ui/server/demoTables.testing.ts";
import { planView, signatureOf, type Understood, understand } from "./importView.ts";

let store: Store;
beforeAll(async () => {
	store = await openDemoHouse(Date.UTC(2026, 10, 24));
});

const staged = (name: string, text: string): StageRow => ({ id: "s", name, text, at: 5, who: "Ada" });
const understood = (name: string, text: string) => understand(store.db, staged(name, text));

function bookPlan(result: Understood) {
	if (result.kind !== "book") throw new Error(`understood as ${result.kind}`);
	return result.plan;
}

describe("a file that is held", () => {
	it("of the house's own book would change nothing, and says so", async () => {
		const text = JSON.stringify(await readBookFile(store.db));
		const view = planView(bookPlan(await understood("book.json", text)));
		expect(view).toMatchObject({ idle: true, refusedCount: 0, steps: [] });
		expect(view.counts.same).toBeGreaterThan(150);
	});

	it("of a bare recipe takes its name from the file, in test", async () => {
		const doc = demoDish("pork-collar");
		const text = JSON.stringify({ ...doc, name: "Collar of the day" });
		const plan = bookPlan(await understood("Collar of the Day (2).json", text));
		expect(plan.recipes[0]?.entry).toMatchObject({
			id: "collar-of-the-day-2",
			versions: [{ createdBy: "Ada", life: [{ state: "tested" }] }],
		});
	});

	it("of a table says fields and refusals in a person's words", async () => {
		const csv = "id,name,category,trimLoss,allergens\ncarrot,carrots,vegetable,0.15,\nrye,rye,grain,0,rye\n";
		const view = planView(bookPlan(await understood("x.csv", csv)));
		expect(view.steps).toEqual([
			{ line: 2, what: "ingredient", name: "carrots", verdict: "changed", says: "trim" },
		]);
		expect(view.refused[0]?.why).toMatch(/^allergens: “rye” was given; one of gluten/);
	});

	it("with schema.org in it is drafts, whatever else is in it", async () => {
		const recipe = { "@type": "Recipe", name: "Neck", recipeIngredient: ["1 kg mutton neck"] };
		const result = await understood(
			"x.json",
			JSON.stringify({ "@graph": [recipe, { "@type": "Recipe", name: "" }] }),
		);
		if (result.kind !== "drafts") throw new Error(result.kind);
		expect(result.drafts.map(({ name }) => name)).toEqual(["Neck"]);
		expect(result.refused).toHaveLength(1);
	});

	it("that is nothing is said to be nothing, with why", async () => {
		expect(await understood("x.json", "{")).toMatchObject({
			kind: "none",
			why: expect.stringMatching(/line 1/),
		});
		expect(await understood("x.txt", "Dear chef")).toMatchObject({ kind: "none" });
	});

	it("that would now do something else is told apart by its signature", async () => {
		const importPlan = bookPlan(await understood("x.csv", "id,name,category\nkohlrabi,kohlrabi,vegetable\n"));
		const same = bookPlan(await understood("y.csv", "id,name,category\nkohlrabi,kohlrabi,vegetable\n"));
		const other = bookPlan(await understood("x.csv", "id,name,category\ncarrot,carrot,fruit\n"));
		expect(signatureOf(importPlan)).toBe(signatureOf(same));
		expect(signatureOf(importPlan)).not.toBe(signatureOf(other));
	});

	it("is told apart when a value that it writes over was changed meanwhile", async () => {
		const text = "id,name,category,trimLoss\ncarrot,carrot,vegetable,0.3\n";
		const looked = signatureOf(bookPlan(await understood("x.csv", text)));
		const { db } = store;
		const book = await readBookFile(db);
		const changedSince = {
			...book,
			ingredients: book.ingredients.map((entry) =>
				entry.id === "carrot" ? { ...entry, density_g_ml: 1.04 } : entry,
			),
		};
		expect(signatureOf(planImport(readCsv(text, book.ingredients), book))).toBe(looked);
		expect(signatureOf(planImport(readCsv(text, book.ingredients), changedSince))).not.toBe(looked);
	});
});
