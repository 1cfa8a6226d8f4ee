import { cpSync, mkdtempSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { createClient } from "@libsql/client";
import { nanoid } from "nanoid";
import { beforeEach, describe, expect, it } from "vitest";
import { gramsOf } from "#core/quantity";
import { newDish } from "#core/sitting";
import { seedSkerryHouse } from "./demo/index.ts";
import {
	addEquipment,
	addRecipe,
	addSitting,
	changeEquipment,
	changeSitting,
	ensureHouse,
	ensureListed,
	eventsSince,
	findRecipes,
	Missing,
	readBook,
	readDish,
	readHouse,
	readKitchen,
	readPanTypes,
	readRecipe,
	readSitting,
	readSittings,
	readVersions,
	Stale,
	Store,
	withRecipes,
} from "./index.ts";
import { SUPPER } from "./supper.testing.ts";

const MIGRATIONS = resolve("db/migrations");
const BOOK = resolve("db/demo/book");
const ADA = { who: "Ada" };
let folder: string;
let store: Store;

function open(migrations = MIGRATIONS): Promise<Store> {
	return Store.open({ url: `file:${folder}/house.db`, backups: join(folder, "backups"), migrations });
}

beforeEach(async () => {
	folder = mkdtempSync(join(tmpdir(), "wide-table-"));
	store = await open();
	await ensureHouse(store);
});

describe("the store", () => {
	it("keeps what was written when it is opened again", async () => {
		const id = await addSitting(store, "Ada", SUPPER);
		await store.close();
		store = await open();
		expect(await readSitting(store.db, id)).toMatchObject({ ...SUPPER, version: 1, dishes: [] });
	});

	it("saves a copy before its shape changes, and only then", async () => {
		await store.close();
		store = await open();
		expect(() => readdirSync(join(folder, "backups"))).toThrow();
		await store.close();
		store = await open(migrationsWith("ALTER TABLE `sitting` ADD `extra` text;"));
		const [copy] = readdirSync(join(folder, "backups"));
		const old = createClient({ url: `file:${join(folder, "backups", copy ?? "")}` });
		expect((await old.execute("SELECT count(*) AS rows FROM house")).rows[0]?.rows).toBe(1);
	});

	it("a migration that breaks leaves the database as it was", async () => {
		const id = await addSitting(store, "Ada", SUPPER);
		await store.close();
		await expect(
			open(migrationsWith("ALTER TABLE `sitting` ADD `extra` text;--> statement-breakpoint\nNONSENSE;")),
		).rejects.toThrow();
		store = await open();
		expect((await readSitting(store.db, id)).covers).toBe(140);
	});

	it("a book of the first shape comes along: its newest versions are the standards, older ones retired", async () => {
		await store.close();
		folder = mkdtempSync(join(tmpdir(), "wide-table-"));
		store = await open(firstMigrations(2));
		await store.close();
		const client = createClient({ url: `file:${folder}/house.db` });
		const doc = readFileSync(join(BOOK, "goat-shoulder.json"), "utf8");
		await client.execute("INSERT INTO recipe (id, created_at) VALUES ('goat', 1)");
		for (const number of [1, 2]) {
			await client.execute({
				sql: "INSERT INTO recipe_version (id, recipe_id, number, doc, created_at, created_by) VALUES (?, 'goat', ?, ?, 1, 'Ada')",
				args: [`v${number}`, number, doc],
			});
		}
		client.close();
		store = await open();
		await ensureListed(store);
		expect((await readVersions(store.db, "goat")).map(({ number, state }) => [number, state])).toEqual([
			[2, "standard"],
			[1, "retired"],
		]);
		expect((await findRecipes(store.db, { find: "goat" })).rows).toMatchObject([
			{ number: 2, state: "standard" },
		]);
		expect(readdirSync(join(folder, "backups"))).toHaveLength(1);
	});

	it("lists that are lost are made again from the facts", async () => {
		await ensureHouse(store);
		await seedSkerryHouse(store, Date.now(), BOOK);
		const before = await findRecipes(store.db, {});
		await store.write(async (tx) => {
			await tx.run("DELETE FROM recipe_uses");
			await tx.run("DELETE FROM recipe_search");
			await tx.run("DELETE FROM recipe_listing");
		});
		expect((await findRecipes(store.db, {})).count).toBe(0);
		await ensureListed(store);
		expect(await findRecipes(store.db, {})).toEqual(before);
		expect((await findRecipes(store.db, { find: "damson" })).count).toBe(1);
	});

	it("a write that fails half way writes nothing", async () => {
		const broken = store.write(async (tx) => {
			await tx.run("UPDATE house SET name = 'half'");
			throw new Error("power cut");
		});
		await expect(broken).rejects.toThrow("power cut");
		expect((await readHouse(store.db)).name).not.toBe("half");
	});

	it("refuses to change or remove an event or a numbered version", async () => {
		await seedSkerryHouse(store, Date.now(), BOOK);
		for (const statement of [
			"UPDATE event SET who = 'x'",
			"DELETE FROM event",
			"UPDATE recipe_version SET number = 9",
			"DELETE FROM recipe_version",
		]) {
			await expect(store.write((tx) => tx.run(statement))).rejects.toThrow();
		}
		await expect(store.write((tx) => tx.run("DELETE FROM recipe"))).rejects.toThrow();
	});
});

describe("a sitting", () => {
	it("writes down who changed what, from what to what", async () => {
		const id = await addSitting(store, "Ada", SUPPER);
		await changeSitting(store, id, 1, "Bo", (now) => ({ ...now, covers: 160 }));
		const events = await eventsSince(store.db, "sitting", id, 1);
		expect(events).toMatchObject([
			{ who: "Bo", what: "changed", version: 2, changes: [{ field: "covers", from: 140, to: 160 }] },
		]);
		expect(Date.now() - (events[0]?.at ?? 0)).toBeLessThan(60_000);
	});

	it("the second of two who edit is told what the first did, and nothing is written", async () => {
		const id = await addSitting(store, "Ada", SUPPER);
		await changeSitting(store, id, 1, "Bo", (now) => ({ ...now, covers: 160 }));
		const late = changeSitting(store, id, 1, "Cy", (now) => ({ ...now, room: "Barn" }));
		const stale = await late.catch((error: unknown) => error);
		expect(stale).toBeInstanceOf(Stale);
		expect(stale).toMatchObject({ version: 2, events: [{ who: "Bo" }] });
		expect(await readSitting(store.db, id)).toMatchObject({ covers: 160, room: "Hall", version: 2 });
	});

	it("of twenty at once one is taken and nineteen are told", async () => {
		const id = await addSitting(store, "Ada", SUPPER);
		const saves = Array.from({ length: 20 }, (_, covers) =>
			changeSitting(store, id, 1, `cook ${covers}`, (now) => ({ ...now, covers: covers + 1 })),
		);
		const ends = await Promise.allSettled(saves);
		expect(ends.filter(({ status }) => status === "fulfilled")).toHaveLength(1);
		expect((await readSitting(store.db, id)).version).toBe(2);
	});

	it("saving what is there already changes nothing", async () => {
		const id = await addSitting(store, "Ada", SUPPER);
		await changeSitting(store, id, 1, "Bo", (now) => now);
		expect((await readSitting(store.db, id)).version).toBe(1);
	});

	it("keeps its dishes in order, and every change of one is told by field", async () => {
		await seedSkerryHouse(store, Date.now(), BOOK);
		const goat = newDish(nanoid(10), (await readRecipe(store.db, "goat-shoulder")).id, 0.6, 0.05);
		const duck = newDish(nanoid(10), (await readRecipe(store.db, "duck-legs")).id, 0.4, 0);
		const id = await addSitting(store, "Ada", SUPPER, [goat, duck]);
		await changeSitting(store, id, 1, "Bo", (now) => ({
			...now,
			dishes: now.dishes.map((dish) =>
				dish.id === duck.id ? { ...dish, uptake: 0.5, basis: "onHand", onHand_g: 9000 } : dish,
			),
		}));
		const { dishes } = await readSitting(store.db, id);
		expect(dishes.map((dish) => dish.id)).toEqual([goat.id, duck.id]);
		const [event] = await eventsSince(store.db, "sitting", id, 1);
		expect(event?.changes.map(({ field }) => field)).toEqual(
			["uptake", "basis", "onHand_g"].map((field) => `dishes.${duck.id}.${field}`),
		);
		expect((await withRecipes(store.db, dishes)).map((dish) => dish.recipeId)).toEqual([
			"goat-shoulder",
			"duck-legs",
		]);
	});

	it("a dish of a recipe that is not there is refused", async () => {
		await expect(addSitting(store, "Ada", SUPPER, [newDish(nanoid(10), "nothing", 1, 0)])).rejects.toThrow();
		expect(await readSittings(store.db, 0, 9e15)).toEqual([]);
	});

	it("one that is not there is said to be missing", async () => {
		await expect(readSitting(store.db, "nowhere")).rejects.toBeInstanceOf(Missing);
		await expect(changeSitting(store, "nowhere", 1, "Bo", (now) => now)).rejects.toBeInstanceOf(Missing);
	});
});

describe("the kitchen", () => {
	it("a pan that is taken out of use is kept, and shown no more", async () => {
		const id = await addEquipment(store, "panType", "Ada", {
			name: "GN 1/1-100",
			kind: "gn",
			gn: "1/1",
			depth_mm: 100,
			stock: 4,
			use: "braise",
		});
		await changeEquipment(store, "panType", id, 1, "Ada", { stock: 6 });
		await expect(changeEquipment(store, "panType", id, 1, "Bo", { stock: 2 })).rejects.toBeInstanceOf(Stale);
		expect((await readPanTypes(store.db))[0]).toMatchObject({ stock: 6, version: 2 });
		await changeEquipment(store, "panType", id, 2, "Ada", { retired: true });
		expect(await readPanTypes(store.db)).toEqual([]);
		const what = (await eventsSince(store.db, "panType", id, 0)).map((event) => event.what);
		expect(what).toEqual(["added", "changed", "removed"]);
	});
});

describe("the demo house", () => {
	it("has seventeen complete standards, five sittings ahead, pans, two unequal ovens", async () => {
		await seedSkerryHouse(store, Date.now(), BOOK);
		const book = await readBook(store.db);
		expect(book).toHaveLength(17);
		for (const { doc } of book) {
			expect(doc.steps.length).toBeGreaterThanOrEqual(7);
			expect(new Set(doc.lines.map((line) => line.role)).size).toBeGreaterThanOrEqual(5);
		}
		expect(await readSittings(store.db, Date.now(), Date.now() + 25 * 86_400_000)).toHaveLength(5);
		const kitchen = await readKitchen(store.db);
		expect(kitchen.equipment.ovens).toHaveLength(2);
		expect(kitchen.equipment.searPans[0]?.name).toBe("Wide pan 360");
	});

	it("every card weighs what its own yields ask for", async () => {
		await seedSkerryHouse(store, Date.now(), BOOK);
		for (const { doc } of await readBook(store.db)) {
			const main = doc.lines.find((line) => line.role === "main");
			const main_g = main ? gramsOf(main) : 0;
			const { boneShare = 0, cookingLoss, trimLoss } = doc.losses;
			const wanted =
				"portion_g" in doc.portion
					? (doc.portions * doc.portion.portion_g) / (1 - boneShare) / (1 - cookingLoss)
					: doc.portions * doc.portion.piecesPerPortion * doc.portion.piece_g * (1 - trimLoss);
			expect(main_g / wanted, doc.name).toBeCloseTo(1, 2);
		}
	});
});

describe("the book", () => {
	it("the same recipe again changes nothing; another is the next version", async () => {
		await seedSkerryHouse(store, Date.now(), BOOK);
		const doc = JSON.parse(readFileSync(join(BOOK, "goat-shoulder.json"), "utf8"));
		const { name, ...rest } = doc;
		expect(await addRecipe(store, "goat-shoulder", { ...rest, name }, ADA)).toEqual({
			number: 1,
			added: false,
		});
		expect(await addRecipe(store, "goat-shoulder", { ...doc, rest_min: 25 }, ADA)).toEqual({
			number: 2,
			added: true,
		});
		expect((await readDish(store.db, "goat-shoulder")).doc.rest_min).toBe(25);
		expect((await readDish(store.db, "goat-shoulder", 1)).doc.rest_min).toBe(20);
	});

	it("a recipe that does not hold is refused, naming each field", async () => {
		await seedSkerryHouse(store, Date.now(), BOOK);
		const doc = JSON.parse(readFileSync(join(BOOK, "goat-shoulder.json"), "utf8"));
		doc.lines[1].ingredient = "dragon";
		doc.lines.push({ ...doc.lines[0] });
		doc.braise.oven_C.low = 300;
		await expect(addRecipe(store, "goat", doc, ADA)).rejects.toThrow(
			/lines\[1\]\.ingredient: .*lines: which one is the main\? 2 lines are.*braise\.oven_C/,
		);
	});
});

/** The real migrations and one more step. */
function migrationsWith(step: string): string {
	const copy = mkdtempSync(join(tmpdir(), "wide-table-migrations-"));
	cpSync(MIGRATIONS, copy, { recursive: true });
	const journal = join(copy, "meta/_journal.json");
	const { entries, ...rest } = JSON.parse(readFileSync(journal, "utf8"));
	const tag = "9999_next";
	entries.push({ idx: entries.length, version: "6", when: Date.now(), tag, breakpoints: true });
	writeFileSync(journal, JSON.stringify({ ...rest, entries }));
	writeFileSync(join(copy, `${tag}.sql`), step);
	return copy;
}

/** The real migrations, only the first of them. */
function firstMigrations(count: number): string {
	const copy = mkdtempSync(join(tmpdir(), "wide-table-migrations-"));
	cpSync(MIGRATIONS, copy, { recursive: true });
	const journal = join(copy, "meta/_journal.json");
	const { entries, ...rest } = JSON.parse(readFileSync(journal, "utf8"));
	writeFileSync(journal, JSON.stringify({ ...rest, entries: entries.slice(0, count) }));
	return copy;
}
