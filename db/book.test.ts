import { resolve } from "node:path";
import { beforeEach, describe, expect, it } from "vitest";
import { draftOf, emptyDraft, type Recipe, slugFor } from "#core/recipe";
import { demoDish } from "../core/recipe/demoBook.testing.ts";
import { seedSkerryHouse } from "./demo/index.ts";
import { freshStore } from "./freshStore.testing.ts";
import {
	addIngredient,
	addPrice,
	addRecipe,
	changeIngredient,
	discardDraft,
	findRecipes,
	freeRecipeId,
	Missing,
	mergeIngredients,
	numberDraft,
	readDish,
	readDraftOf,
	readIngredients,
	readPrices,
	readRecipe,
	readVersions,
	readWhereUsed,
	Stale,
	type Store,
	saveDraft,
	setRecipeState,
} from "./index.ts";

const NOW = Date.UTC(2026, 10, 24);
const BOOK = resolve("db/demo/book");
const ADA = { who: "Ada", reason: "Tried for forty." };
const goat = (): Recipe => structuredClone(demoDish("goat-shoulder"));

let store: Store;
beforeEach(async () => {
	store = await freshStore();
	await seedSkerryHouse(store, NOW, BOOK);
});

const found = async (find: string) =>
	(await findRecipes(store.db, { find })).rows.map(({ recipeId }) => recipeId);

describe("the life of a version", () => {
	it("is tested, then the standard, and retires the one before, each with who and why", async () => {
		await addRecipe(store, "goat-shoulder", { ...goat(), rest_min: 30 }, { ...ADA, state: "tested" });
		expect(await readRecipe(store.db, "goat-shoulder")).toMatchObject({ number: 1, state: "standard" });
		await setRecipeState(store, "goat-shoulder", 2, "standard", { who: "Ben", reason: "Better." });
		expect(await readDish(store.db, "goat-shoulder")).toMatchObject({ number: 2, doc: { rest_min: 30 } });
		const [second, first] = await readVersions(store.db, "goat-shoulder");
		expect(second?.life.map(({ state, who, reason }) => [state, who, reason])).toEqual([
			["tested", "Ada", "Tried for forty."],
			["standard", "Ben", "Better."],
		]);
		expect(first?.life.at(-1)).toMatchObject({ state: "retired", reason: "No. 2 is the standard now." });
	});

	it("goes only where it may, and never without a reason", async () => {
		const approve = setRecipeState(store, "goat-shoulder", 1, "tested", ADA);
		await expect(approve).rejects.toThrow(/no\. 1 is standard; retired is allowed/);
		const silent = setRecipeState(store, "goat-shoulder", 1, "retired", { who: "Ada", reason: " " });
		await expect(silent).rejects.toThrow(/reason: is missing/);
		await expect(setRecipeState(store, "goat-shoulder", 9, "retired", ADA)).rejects.toThrow(Missing);
	});

	it("a retired recipe is found only when it is looked for as such, and comes back", async () => {
		await setRecipeState(store, "goat-shoulder", 1, "retired", ADA);
		expect(await found("goat beans")).toEqual([]);
		expect((await findRecipes(store.db, { state: "retired" })).rows).toHaveLength(1);
		await setRecipeState(store, "goat-shoulder", 1, "standard", ADA);
		expect(await found("goat beans")).toEqual(["goat-shoulder"]);
	});
});

describe("finding", () => {
	it.each([
		["dam", ["duck-legs"]],
		["CELERIAC lent", ["celeriac-lentil"]],
		["puree", ["celeriac-puree"]],
		["molluscs", ["squid-ink-fennel"]],
		["mutton neck", ["mutton-neck"]],
		["ferry", ["mutton-oat-pies", "pork-collar", "pork-collar-apple", "pork-collar-beer"]],
		['"; drop', []],
		["nothing-like-it", []],
	])("“%s”", async (find, ids) => {
		expect(await found(find)).toEqual(ids);
	});

	it("narrows by kind, cut, tag and what must not be in it, and counts all of it", async () => {
		const { rows, count } = await findRecipes(store.db, { kind: "dish", limit: 3 });
		expect([rows.length, count]).toEqual([3, 17]);
		expect((await findRecipes(store.db, { cut: "duckLeg" })).count).toBe(1);
		expect((await findRecipes(store.db, { tag: "festival" })).count).toBe(5);
		const without = await findRecipes(store.db, { kind: "dish", without: ["celery"] });
		expect(without.rows.every(({ allergens }) => !allergens.includes("celery"))).toBe(true);
	});

	it("orders by name as people spell it, or by what came last", async () => {
		const { rows } = await findRecipes(store.db, {});
		const names = rows.filter(({ variantOf }) => variantOf === null).map(({ sortName }) => sortName);
		expect(names).toEqual([...names].sort());
		// A variant stands with its base, whatever it is called.
		const at = (id: string) => rows.findIndex(({ recipeId }) => recipeId === id);
		expect([at("pork-collar-apple"), at("pork-collar-beer")]).toEqual([
			at("pork-collar") + 1,
			at("pork-collar") + 2,
		]);
		await addRecipe(store, "goat-shoulder", { ...goat(), rest_min: 31 }, ADA);
		expect((await findRecipes(store.db, { sort: "newest" })).rows[0]?.recipeId).toBe("goat-shoulder");
	});
});

describe("ingredients", () => {
	const KELP = {
		name: "sugar kelp",
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
		allergens: [],
		mayContain: [],
	} as const;
	const fields = () => ({ ...KELP, origins: [], described: true, allergens: [], mayContain: [] });

	it("a new one gets a short name, and no second of its name", async () => {
		expect(await addIngredient(store, "Ada", fields())).toBe("sugar-kelp");
		await expect(addIngredient(store, "Ada", { ...fields(), name: "Sugar  KELP" })).rejects.toThrow(
			/in the book already/,
		);
	});

	it("a change of allergens reaches every dish, through what is made in the house", async () => {
		const before = await findRecipes(store.db, { find: "goat beans", without: ["sesame"] });
		expect(before.count).toBe(1);
		await changeIngredient(store, "chicken-bones", 1, "Ada", { allergens: ["sesame"] });
		expect((await findRecipes(store.db, { find: "goat beans", without: ["sesame"] })).count).toBe(0);
		expect(await found("sesame")).toContain("goat-shoulder");
	});

	it("the second of two who change one is told", async () => {
		await changeIngredient(store, "salt", 1, "Ada", { trimLoss: 0.1 });
		await expect(changeIngredient(store, "salt", 1, "Ben", { trimLoss: 0.2 })).rejects.toThrow(Stale);
	});

	it("has the newest price that has begun, and keeps the others", async () => {
		const at = Date.now();
		await addPrice(store, "salt", "Ada", { pack_g: 2000, price_minor: 300, from: at - 1000 });
		await addPrice(store, "salt", "Ada", { pack_g: 2000, price_minor: 900, from: at + 86_400_000 });
		expect((await readIngredients(store.db)).get("salt")?.pricePerKg_minor).toBeCloseTo(150, 9);
		expect((await readIngredients(store.db, at + 2 * 86_400_000)).get("salt")?.pricePerKg_minor).toBeCloseTo(
			450,
			9,
		);
		expect(await readPrices(store.db, "salt")).toHaveLength(4);
	});

	it("two of the same are merged: recipes that name the first mean the second, their versions unchanged", async () => {
		const users = (await readWhereUsed(store.db, "onion")).map(({ id }) => id);
		await mergeIngredients(store, "onion", "red-onion", "Ada");
		expect((await readIngredients(store.db)).get("onion")?.name).toBe("red onions");
		expect((await readWhereUsed(store.db, "red-onion")).map(({ id }) => id)).toEqual(
			expect.arrayContaining(users),
		);
		expect((await readDish(store.db, "goat-shoulder")).doc).toEqual(goat());
		expect(await found("red onions goat")).toEqual(["goat-shoulder"]);
		await expect(mergeIngredients(store, "salt", "salt", "Ada")).rejects.toThrow(/same ingredient/);
		await expect(mergeIngredients(store, "salt", "onion", "Ada")).rejects.toThrow(/merged away already/);
	});
});

describe("drafts", () => {
	const write = (version: number, name: string) => {
		const draft = emptyDraft("dish");
		const typed = { ...draft, fields: { ...draft.fields, name } };
		return saveDraft(store, "new-dish", version, typed, { who: "Ada", basedOn: null });
	};

	it("are kept as they were typed, and the second of two who write is told", async () => {
		expect(await write(0, "Neck")).toBe(1);
		expect(await write(1, "Neck, slow")).toBe(2);
		await expect(write(1, "Mine")).rejects.toThrow(Stale);
		expect((await readDraftOf(store.db, "new-dish"))?.doc.fields.name).toBe("Neck, slow");
	});

	it("become the next number only when they hold and a reason is given", async () => {
		await write(0, "Neck");
		const number = (reason: string) =>
			numberDraft(store, "new-dish", { who: "Ada", state: "tested", reason });
		await expect(number("")).rejects.toThrow(/reason/);
		await expect(number("First")).rejects.toThrow(/lines/);
		expect(await readDraftOf(store.db, "new-dish")).toBeDefined();

		const known = await readIngredients(store.db);
		const draft = draftOf({ ...goat(), rest_min: 35 }, known);
		await saveDraft(store, "goat-shoulder", 0, draft, { who: "Ada", basedOn: 1 });
		const entry = { who: "Ada", state: "tested" as const, reason: "Longer rest." };
		expect(await numberDraft(store, "goat-shoulder", entry)).toBe(2);
		expect(await readDraftOf(store.db, "goat-shoulder")).toBeUndefined();
		expect(await readRecipe(store.db, "goat-shoulder", 2)).toMatchObject({
			state: "tested",
			reason: "Longer rest.",
		});
	});

	it("that say what a number says already are refused, and kept", async () => {
		const draft = draftOf(goat(), await readIngredients(store.db));
		await saveDraft(store, "goat-shoulder", 0, draft, { who: "Ada", basedOn: 1 });
		const entry = { who: "Ada", state: "tested" as const, reason: "Again." };
		await expect(numberDraft(store, "goat-shoulder", entry)).rejects.toThrow(/says what no\. 1 says/);
		expect(await readDraftOf(store.db, "goat-shoulder")).toBeDefined();
	});

	it("are thrown away as they were read, not as somebody else left them", async () => {
		await write(0, "Neck");
		await write(1, "Neck, slow");
		await expect(discardDraft(store, "new-dish", 1)).rejects.toThrow(Missing);
		await discardDraft(store, "new-dish", 2);
		expect(await readDraftOf(store.db, "new-dish")).toBeUndefined();
	});
});

describe("short names", () => {
	it.each([
		["Crème fraîche", "creme-fraiche"],
		["  Duck & damsons!  ", "duck-damsons"],
		["猪颈", "unnamed"],
		["x".repeat(200), "x".repeat(56)],
	])("“%s”", (name, slug) => {
		expect(slugFor(name, new Set())).toBe(slug);
		expect(slugFor(name, new Set([slug]))).toBe(`${slug}-2`);
	});

	it("of a new recipe is not the name of a page, an ingredient or another recipe", async () => {
		expect(await freeRecipeId(store.db, "Ingredients")).toBe("ingredients-2");
		expect(await freeRecipeId(store.db, "Salt")).toBe("salt-2");
		expect(await freeRecipeId(store.db, "Goat shoulder")).toBe("goat-shoulder-2");
	});
});
