import { resolve } from "node:path";
import { beforeEach, describe, expect, it } from "vitest";
import { planImport, readCsv } from "#core/exchange";
import type { Allergen, Preparation, Recipe } from "#core/recipe";
import { demoDish } from "../core/recipe/demoBook.testing.ts";
import { confirming } from "./confirming.testing.ts";
import { seedSkerryHouse } from "./demo/index.ts";
import { freshStore } from "./freshStore.testing.ts";
import {
	addIngredient,
	addRecipe,
	applyImport,
	changeIngredient,
	findRecipes,
	mergeIngredients,
	type Reader,
	readBookFile,
	readIngredient,
	readIngredients,
	type Store,
} from "./index.ts";

const NOW = Date.UTC(2026, 10, 24);
const ADA = { who: "Ada", reason: "Tried.", state: "standard" } as const;

let store: Store;
beforeEach(async () => {
	store = await freshStore();
	await seedSkerryHouse(store, NOW, resolve("db/demo/book"));
});

const leaf = async (name: string, allergens: Allergen[] = [], mayContain: Allergen[] = []) =>
	addIngredient(store, "Ada", {
		name,
		category: "vegetable",
		cut: null,
		supplier: null,
		density_g_per_ml: null,
		each_g: null,
		givesWater: null,
		takesRoom: null,
		salt_pct: null,
		trimLoss: 0,
		pack_g: null,
		origins: [],
		described: true,
		allergens,
		mayContain,
	});
const stockOf = (...lines: string[]): Preparation => ({
	format: "wide-table/preparation",
	formatVersion: 1,
	name: "Shore stock",
	summary: "",
	category: "stock",
	makes: { amount: 5, unit: "l" },
	lines: lines.map((id) => ({ ingredient: id, amount: 200, unit: "g", role: "vegetable", group: "base" })),
	steps: [],
});
const dishWith = (name: string, ...lines: string[]): Recipe => {
	const dish = demoDish("goat-shoulder");
	const [main] = dish.lines;
	if (!main) throw new Error("no main");
	const others = lines.map((id) => ({
		ingredient: id,
		amount: 300,
		unit: "g" as const,
		role: "vegetable" as const,
		group: "base" as const,
	}));
	return { ...dish, name, lines: [main, ...others] };
};
const without = async (allergen: Allergen) =>
	(await findRecipes(store.db, { without: [allergen], limit: 200 })).rows.map(({ recipeId }) => recipeId);

describe("what a dish is free of, as the book finds it", () => {
	it("follows a preparation's new number into every dish of it", async () => {
		const id = await leaf("sea herbs");
		await addRecipe(store, "shore-stock", stockOf(id), ADA);
		await addRecipe(store, "shore-dish", dishWith("Shore dish", "shore-stock"), ADA);
		expect(await without("celery")).toContain("shore-dish");
		await addRecipe(store, "shore-stock", stockOf(id, "celery"), ADA);
		expect(await without("celery")).not.toContain("shore-dish");
		await confirming((confirmed) => addRecipe(store, "shore-stock", stockOf(id), { ...ADA, confirmed }));
		expect(await without("celery")).toContain("shore-dish");
	});

	it("goes through preparations of preparations", async () => {
		const id = await leaf("sea herbs");
		await addRecipe(store, "shore-stock", stockOf(id), ADA);
		await addRecipe(store, "shore-glaze", { ...stockOf("shore-stock"), name: "Shore glaze" }, ADA);
		await addRecipe(store, "shore-dish", dishWith("Shore dish", "shore-glaze"), ADA);
		await addRecipe(store, "shore-stock", stockOf(id, "celery"), ADA);
		expect(await without("celery")).not.toContain("shore-dish");
		expect((await readIngredients(store.db)).get("shore-glaze")?.allergens).toContain("celery");
	});

	it("an ingredient merged away inside a preparation is the one it was merged into, with its price", async () => {
		const id = await leaf("leaf celery");
		await addRecipe(store, "shore-stock", stockOf(id), ADA);
		await addRecipe(store, "shore-dish", dishWith("Shore dish", "shore-stock"), ADA);
		const before = (await readIngredients(store.db)).get("shore-stock");
		expect(before?.allergens).toEqual([]);
		expect(before?.pricePerKg_minor).toBeNull();
		await mergeIngredients(store, id, "celery", "Ada");
		const after = (await readIngredients(store.db)).get("shore-stock");
		expect(after?.allergens).toEqual(["celery"]);
		expect(after?.pricePerKg_minor).toBeGreaterThan(0);
		expect(await without("celery")).not.toContain("shore-dish");
	});

	it("leaves out what may contain it, and what nobody has described", async () => {
		const traces = await leaf("dried leaves", [], ["mustard"]);
		const plain = await leaf("sea herbs");
		await addRecipe(store, "traces", dishWith("Traces", traces), ADA);
		await addRecipe(store, "plain", dishWith("Plain", plain), ADA);
		expect(await without("mustard")).toContain("plain");
		expect(await without("mustard")).not.toContain("traces");
		const { version } = await readIngredient(store.db, plain);
		await changeIngredient(store, plain, version, "Ada", { described: false });
		expect(await without("mustard")).not.toContain("plain");
		expect(await without("lupin")).not.toContain("plain");
	});
});

describe("a table of ingredients", () => {
	const takeIn = async (csv: string) => {
		const book = await readBookFile(store.db);
		const planOf = async (tx: Reader) => planImport(readCsv(csv, book.ingredients), await readBookFile(tx));
		await confirming((confirmed) => applyImport(store, planOf, "Ada", undefined, confirmed));
	};
	const celery = async () => readIngredient(store.db, "celery");

	it("that says nothing of allergens leaves what is known", async () => {
		await takeIn("id,name,category,trimLoss,allergens,mayContain\ncelery,celery,vegetable,0.2,,\n");
		expect(await celery()).toMatchObject({ trimLoss: 0.2, allergens: ["celery"], described: true });
		await takeIn("id,name,category\ncelery,celery sticks,vegetable\n");
		expect(await celery()).toMatchObject({ name: "celery sticks", allergens: ["celery"] });
	});

	it("takes them away only when it says that there are none", async () => {
		await takeIn("id,name,category,allergens\ncelery,celery,vegetable,none\n");
		expect(await celery()).toMatchObject({ allergens: [], described: true });
	});

	it("brings in a new ingredient as not described, unless it says what is in it", async () => {
		await takeIn(
			"id,name,category,allergens\nsamphire,samphire,vegetable,\nrye,rye flour,grain,gluten\nsorrel,sorrel,herb,none\n",
		);
		expect(await readIngredient(store.db, "samphire")).toMatchObject({ allergens: [], described: false });
		expect(await readIngredient(store.db, "rye")).toMatchObject({ allergens: ["gluten"], described: true });
		expect(await readIngredient(store.db, "sorrel")).toMatchObject({ allergens: [], described: true });
	});
});
