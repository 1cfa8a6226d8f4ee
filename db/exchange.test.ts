import { resolve } from "node:path";
import fc from "fast-check";
import { beforeEach, describe, expect, it } from "vitest";
import { type BookFile, emptyBook, isIdle, planImport, readBookText } from "#core/exchange";
import { ALLERGEN_NAMES, CATEGORY_KEYS, ORIGINS, plainName } from "#core/recipe";
import { seedSkerryHouse } from "./demo/index.ts";
import { freshStore } from "./freshStore.testing.ts";
import {
	applyImport,
	findRecipes,
	MOST_HELD,
	MOST_HELD_LENGTH,
	readBookFile,
	readRecipe,
	readStage,
	type Store,
	stageImport,
} from "./index.ts";
import { importStage } from "./schema.ts";

const AS = { who: "Ada", at: 5, id: "a-file" };

const takeIn = (store: Store, text: string) =>
	applyImport(store, async (tx) => planImport(readBookText(text, AS), await readBookFile(tx)), "Ada");

let store: Store;
beforeEach(async () => {
	store = await freshStore();
});

describe("the book of the demo house", () => {
	it("goes out and into an empty house exactly, and a second time changes nothing", async () => {
		await seedSkerryHouse(store, Date.UTC(2026, 10, 24), resolve("db/demo/book"));
		const out = JSON.stringify(await readBookFile(store.db));
		const other = await freshStore();
		const plan = await takeIn(other, out);
		expect(plan.refused).toEqual([]);
		expect(await readBookFile(other.db)).toEqual(JSON.parse(out));
		expect(isIdle(await takeIn(other, out))).toBe(true);
		expect(await readBookFile(other.db)).toEqual(JSON.parse(out));
		await other.close();
	});

	it("one dish goes out with the preparations and ingredients it needs, and no more", async () => {
		await seedSkerryHouse(store, Date.UTC(2026, 10, 24), resolve("db/demo/book"));
		const file = await readBookFile(store.db, "goat-shoulder");
		expect(file.recipes.map(({ id }) => id)).toEqual(["goat-shoulder", "light-stock"]);
		const other = await freshStore();
		expect((await takeIn(other, JSON.stringify(file))).refused).toEqual([]);
		expect(
			(await findRecipes(other.db, { find: "goat celery" })).rows.map(({ recipeId }) => recipeId),
		).toEqual(["goat-shoulder"]);
		await other.close();
	});

	it("a standard that comes in later retires the one that is there", async () => {
		await seedSkerryHouse(store, Date.UTC(2026, 10, 24), resolve("db/demo/book"));
		const file = await readBookFile(store.db, "goat-shoulder");
		const [goat, stock] = file.recipes;
		const version = goat?.versions[0];
		if (!goat || !stock || !version) throw new Error("no goat");
		const next = { ...version, number: 2, doc: { ...version.doc, summary: "Longer." } };
		await takeIn(
			store,
			JSON.stringify({ ...file, recipes: [{ ...goat, versions: [version, next] }, stock] }),
		);
		expect(await readRecipe(store.db, "goat-shoulder")).toMatchObject({ number: 2, state: "standard" });
		expect(await readRecipe(store.db, "goat-shoulder", 1)).toMatchObject({ state: "retired" });
	});
});

const word = fc.stringMatching(/^[a-z]{3,9}$/);
const instant = fc.integer({ min: 0, max: 4_000_000_000_000 });
const text = fc.string({ unit: "grapheme", maxLength: 40 });
const price = fc.record({
	pack_g: fc.integer({ min: 1, max: 50_000 }),
	price_minor: fc.integer({ min: 0, max: 1_000_000 }),
	from: instant,
});

const anyIngredient = fc.record(
	{
		id: word,
		name: fc.tuple(word, text).map(([first, more]) => `${first} ${more}`),
		category: fc.constantFrom(...CATEGORY_KEYS),
		origins: fc.subarray([...ORIGINS]),
		density_g_per_ml: fc.double({ min: 0.05, max: 5, noNaN: true }),
		each_g: fc.double({ min: 0.01, max: 1000, noNaN: true }),
		trimLoss: fc.double({ min: 0, max: 0.9, noNaN: true }),
		allergens: fc.subarray([...ALLERGEN_NAMES]),
		mayContain: fc.subarray([...ALLERGEN_NAMES]),
		pack_g: fc.integer({ min: 1, max: 50_000 }),
		prices: fc
			.uniqueArray(price, { maxLength: 4, selector: ({ from }) => from })
			.map((all) => all.sort((a, b) => a.from - b.from)),
	},
	{ requiredKeys: ["id", "name", "category", "origins", "trimLoss", "allergens", "mayContain", "prices"] },
);

/** A book of ingredients and preparations, each of which names only what stands before it. */
const anyBook: fc.Arbitrary<BookFile> = fc
	.tuple(
		fc
			.uniqueArray(anyIngredient, { minLength: 2, maxLength: 6, selector: ({ id }) => id })
			.filter((all) => new Set(all.map(({ name }) => plainName(name))).size === all.length),
		fc.uniqueArray(fc.stringMatching(/^[a-z]{10,14}$/), { maxLength: 4 }),
		fc.infiniteStream(fc.nat(1000)),
		instant,
		text,
	)
	.map(([ingredients, ids, random, at, reason]) => {
		const pick = () => random.next().value ?? 0;
		const recipes = ids.map((id, index) => {
			const before = [...ingredients.map((entry) => entry.id), ...ids.slice(0, index)];
			const versions = Array.from({ length: 1 + (pick() % 3) }, (_, step) => ({
				number: step + 1,
				createdAt: at + step,
				createdBy: "Ada",
				reason: reason.slice(0, 100),
				life: [{ state: step === 0 ? ("standard" as const) : ("tested" as const), at, who: "Ben", reason }],
				doc: {
					format: "wide-table/preparation" as const,
					formatVersion: 1 as const,
					name: `${id} ${step}`,
					summary: reason,
					category: CATEGORY_KEYS[pick() % CATEGORY_KEYS.length] ?? "stock",
					makes: { amount: 1 + pick(), unit: "kg" as const },
					lines: Array.from({ length: 1 + (pick() % 4) }, () => ({
						ingredient: before[pick() % before.length] ?? "",
						amount: (pick() + 1) / 7,
						unit: "g" as const,
						role: "vegetable" as const,
						group: "base" as const,
					})),
					steps: [],
				},
			}));
			return { id, ...(pick() % 2 ? { menuPrice_minor: pick() } : {}), versions };
		});
		return {
			...emptyBook("EUR"),
			ingredients: [...ingredients].sort((a, b) => (a.id < b.id ? -1 : 1)),
			recipes: recipes.sort((a, b) => (a.id < b.id ? -1 : 1)),
		};
	});

describe("any book", () => {
	it("taken in and given out again is the same book", async () => {
		await fc.assert(
			fc.asyncProperty(anyBook, async (book) => {
				const house = await freshStore();
				const { refused } = await takeIn(house, JSON.stringify(book));
				expect(refused).toEqual([]);
				expect(await readBookFile(house.db)).toEqual(book);
				await house.close();
			}),
			{ numRuns: 12 },
		);
	});
});

describe("any two books", () => {
	it("taken in one after the other: the second a second time changes nothing, and nothing of the first is lost", async () => {
		await fc.assert(
			fc.asyncProperty(anyBook, anyBook, async (first, second) => {
				const house = await freshStore();
				await takeIn(house, JSON.stringify(first));
				const plan = await takeIn(house, JSON.stringify(second));
				const between = await readBookFile(house.db);
				const again = await takeIn(house, JSON.stringify(second));
				expect(isIdle(again)).toBe(true);
				expect(again.refused).toEqual(plan.refused);
				expect(await readBookFile(house.db)).toEqual(between);
				const ids = (book: BookFile) => [...book.ingredients, ...book.recipes].map(({ id }) => id);
				expect(ids(between)).toEqual(expect.arrayContaining(ids(first)));
				for (const { id, versions } of first.recipes) {
					const kept = between.recipes.find((recipe) => recipe.id === id)?.versions.map(({ doc }) => doc);
					expect(kept).toEqual(expect.arrayContaining(versions.map(({ doc }) => doc)));
				}
				await house.close();
			}),
			{ numRuns: 12 },
		);
	});

	it("the same ids with other figures: the file's figures hold, versions come in as the next numbers", async () => {
		await fc.assert(
			fc.asyncProperty(anyBook, text, async (book, summary) => {
				const house = await freshStore();
				await takeIn(house, JSON.stringify(book));
				const other: BookFile = {
					...book,
					ingredients: book.ingredients.map((ingredient) => ({ ...ingredient, trimLoss: 0.123 })),
					recipes: book.recipes.map((recipe) => ({
						...recipe,
						versions: recipe.versions.map((version) => ({
							...version,
							doc: { ...version.doc, summary: `${summary}!`.slice(0, 400) },
						})),
					})),
				};
				const plan = await takeIn(house, JSON.stringify(other));
				expect(plan.refused).toEqual([]);
				const after = await readBookFile(house.db);
				expect(after.ingredients.every(({ trimLoss }) => trimLoss === 0.123)).toBe(true);
				for (const { versions } of after.recipes) {
					expect(versions.map(({ number }) => number)).toEqual(versions.map((_, index) => index + 1));
					const standards = versions.filter(({ life }) => life.at(-1)?.state === "standard");
					expect(standards.length).toBeLessThanOrEqual(1);
				}
				expect(isIdle(await takeIn(house, JSON.stringify(other)))).toBe(true);
				await house.close();
			}),
			{ numRuns: 12 },
		);
	});
});

describe("files that wait to be looked at", () => {
	const held = async () => (await store.db.select({ name: importStage.name }).from(importStage)).length;

	it("are held so many at most, the newest", async () => {
		const ids: string[] = [];
		for (let file = 0; file < MOST_HELD + 5; file += 1) {
			ids.push(await stageImport(store, `file ${file}`, "{}", "Ada"));
		}
		expect(await held()).toBe(MOST_HELD);
		expect((await readStage(store.db, ids.at(-1) ?? "")).name).toBe(`file ${MOST_HELD + 4}`);
	});

	it("are held up to so many characters together, and the newest always", async () => {
		const text = "x".repeat(MOST_HELD_LENGTH / 4);
		for (let file = 0; file < 7; file += 1) await stageImport(store, `file ${file}`, text, "Ada");
		expect(await held()).toBe(4);
		const id = await stageImport(store, "all of it", "x".repeat(MOST_HELD_LENGTH), "Ada");
		expect(await held()).toBe(1);
		expect((await readStage(store.db, id)).name).toBe("all of it");
	});
});
