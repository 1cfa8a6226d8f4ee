import { resolve } from "node:path";
import { sql } from "drizzle-orm";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { newDish } from "#core/sitting";
import { demoDish } from "../core/recipe/demoBook.testing.ts";
import { seedSkerryHouse } from "./demo/index.ts";
import { freshStore } from "./freshStore.testing.ts";
import {
	addRecipe,
	addSitting,
	changeSitting,
	readBookFile,
	readRecipe,
	readSitting,
	type Sitting,
	type Store,
	withRecipes,
} from "./index.ts";

const NOW = Date.UTC(2026, 10, 24);
const SUPPER = { name: "Supper", room: "Hall", serviceAt: NOW + 90_000_000, covers: 80, hands: 2, note: "" };

let store: Store;
beforeEach(async () => {
	store = await freshStore();
	await seedSkerryHouse(store, NOW, resolve("db/demo/book"));
});
afterEach(() => store.close());

/** The newest version of the goat as it lies in the database, whatever wrote it. */
const storedAs = (doc: object) =>
	store.db.run(
		sql`INSERT INTO recipe_version (id, recipe_id, number, doc, created_at, created_by)
			VALUES ('odd', 'goat-shoulder', 99, ${JSON.stringify(doc)}, ${NOW}, 'elsewhere')`,
	);

describe("a stored document", () => {
	it("comes back as it was written", async () => {
		const { doc } = await readRecipe(store.db, "goat-shoulder");
		expect(doc).toEqual(demoDish("goat-shoulder"));
	});

	it("of a newer format is refused in words wherever it is read, and nothing is lost", async () => {
		await storedAs({ ...demoDish("goat-shoulder"), formatVersion: 7 });
		const words = "formatVersion: 7 was given, which a newer version of this program wrote";
		await expect(readRecipe(store.db, "goat-shoulder", 99)).rejects.toThrow(words);
		await expect(readBookFile(store.db)).rejects.toThrow(words);
		const [row] = await store.db.all<{ doc: string }>(sql`SELECT doc FROM recipe_version WHERE id = 'odd'`);
		expect(JSON.parse(row?.doc ?? "")).toMatchObject({
			formatVersion: 7,
			name: demoDish("goat-shoulder").name,
		});
		expect((await readRecipe(store.db, "pork-collar")).number).toBe(1);
	});

	it("from a file of a newer format is refused by its field before anything is written", async () => {
		const newer = { ...demoDish("goat-shoulder"), formatVersion: 7 };
		await expect(
			addRecipe(store, "goat-two", newer, { who: "Ada", reason: "Tried.", state: "tested" }),
		).rejects.toThrow(/formatVersion/);
		await expect(readRecipe(store.db, "goat-two")).rejects.toThrow();
	});
});

describe("two sittings", () => {
	const dishOf = async (recipeId: string, number: number) => {
		const { id } = await readRecipe(store.db, recipeId, number);
		return newDish(`${recipeId}-dish`, id, 0.6, 0.05);
	};

	it("keep their own dishes when one of them is changed", async () => {
		const goat = { ...(await dishOf("goat-shoulder", 1)), id: "first" };
		const other = { ...(await dishOf("pork-collar", 1)), id: "second" };
		const supper = await addSitting(store, "Ada", SUPPER, [goat]);
		const lunch = await addSitting(store, "Ada", { ...SUPPER, name: "Lunch" }, [other]);
		const before = await readSitting(store.db, lunch);
		await changeSitting(store, supper, 1, "Bo", (now): Sitting => ({ ...now, dishes: [] }));
		expect((await readSitting(store.db, supper)).dishes).toEqual([]);
		expect(await readSitting(store.db, lunch)).toEqual(before);
	});

	it("keep a dish's own row when its order or its figures change", async () => {
		const goat = { ...(await dishOf("goat-shoulder", 1)), id: "first" };
		const collar = { ...(await dishOf("pork-collar", 1)), id: "second" };
		const supper = await addSitting(store, "Ada", SUPPER, [goat, collar]);
		await changeSitting(store, supper, 1, "Bo", (now) => ({
			...now,
			dishes: [...now.dishes].reverse().map((dish) => ({ ...dish, uptake: 0.4 })),
		}));
		const { dishes } = await readSitting(store.db, supper);
		expect(dishes.map(({ id, uptake }) => [id, uptake])).toEqual([
			["second", 0.4],
			["first", 0.4],
		]);
		const named = await withRecipes(store.db, dishes);
		expect(named.map(({ recipeId }) => recipeId)).toEqual(["pork-collar", "goat-shoulder"]);
	});
});
