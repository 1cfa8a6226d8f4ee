import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { createClient } from "@libsql/client";
import { type BookFile, emptyBook, planImport, readBookText } from "#core/exchange";
import { isPreparation, type Recipe } from "#core/recipe";
import { applyImport, findRecipes, readBookFile, readKitchen, readRecipe, type Store } from "#db";
import { dishCard } from "../app/book/dishCard.ts";
import { readingIn } from "../app/ui/words/reading.ts";
import { demoDish } from "../core/recipe/demoBook.testing.ts";
import { INGREDIENTS } from "../db/demo/ingredients.ts";
import { freshStore } from "../db/freshStore.testing.ts";
import { median, report } from "./table.ts";

const RECIPES = 5000;
const LINES_EACH = 12;
const IMPORTED = 1000;
const LOOKS = 40;
/** What people type: beginnings, two words, an allergen with a cut, something that is nowhere. */
const TYPED = ["da", "dams", "goat celery", "saffron", "mustard pork", "zzz", "onion carrot", "dish 41"];

/** The book at 5,000 recipes and 60,000 lines: finding, opening a card, taking in 1,000 more. */
export async function benchBook(): Promise<void> {
	const store = await freshStore();
	const template = demoDish("goat-shoulder");
	const start = process.memoryUsage().rss;
	await takeIn(store, bookOf(template, RECIPES, 0));
	console.log(`\nThe book: ${RECIPES} recipes of ${LINES_EACH} lines (median of ${LOOKS} looks)`);
	report("memory after taking them in", `${megabytes(process.memoryUsage().rss - start)} MB`);

	const finding = await each(LOOKS, (index) =>
		findRecipes(store.db, { find: TYPED[index % TYPED.length] ?? "" }),
	);
	report(
		"finding while typing",
		`${median(finding).toFixed(1)} ms`,
		`slowest ${Math.max(...finding).toFixed(1)} ms`,
	);
	const narrowed = await each(LOOKS, () =>
		findRecipes(store.db, { find: "onion", cut: "goatShoulder", without: ["celery"], tag: "tag 3" }),
	);
	report("the same with every filter", `${median(narrowed).toFixed(1)} ms`);
	const opening = await each(LOOKS, (index) => openCard(store, `dish-${(index * 97) % RECIPES}`));
	report("opening a card, read and planned", `${median(opening).toFixed(1)} ms`);
	report("memory while looking", `${megabytes(process.memoryUsage().rss)} MB in all`);
	await store.close();
	await benchImport(template);
}

/** Taking in 1,000 recipes, rows a second, against the same rows put in bare. */
async function benchImport(template: Recipe): Promise<void> {
	const store = await freshStore();
	const book = bookOf(template, IMPORTED, 0);
	await takeIn(store, { ...book, recipes: [] });
	const before = await rowsIn(store);
	const started = performance.now();
	const text = JSON.stringify(book);
	await takeIn(store, book, text);
	const ms = performance.now() - started;
	const rows = (await rowsIn(store)) - before;
	await store.close();
	const bare = await bareInserts(rows, Math.round(text.length / rows));
	const [ours, theirs] = [(rows / ms) * 1000, (rows / bare) * 1000];
	report(`taking in ${IMPORTED} recipes, read to written`, `${Math.round(ms)} ms`, `${rows} rows`);
	report("rows a second", Math.round(ours).toLocaleString("en-GB"));
	report("rows a second, bare libSQL inserts of the same size", Math.round(theirs).toLocaleString("en-GB"));
	report("ratio", (ours / theirs).toFixed(2), "at least 0.33");
}

/** The same number of rows of the same size, one prepared insert each in one transaction. */
async function bareInserts(rows: number, size: number): Promise<number> {
	const client = createClient({ url: `file:${mkdtempSync(join(tmpdir(), "wide-table-bare-"))}/bare.db` });
	await client.execute("PRAGMA journal_mode = WAL");
	await client.execute("CREATE TABLE bare (id INTEGER PRIMARY KEY, text TEXT NOT NULL)");
	const text = "x".repeat(size);
	const started = performance.now();
	const tx = await client.transaction("write");
	for (let row = 0; row < rows; row += 1) {
		await tx.execute({ sql: "INSERT INTO bare (id, text) VALUES (?, ?)", args: [row, text] });
	}
	await tx.commit();
	const ms = performance.now() - started;
	client.close();
	return ms;
}

async function takeIn(store: Store, book: BookFile, text = JSON.stringify(book)): Promise<void> {
	const as = { who: "bench", at: 1, id: "bench" };
	const plan = await applyImport(
		store,
		async (tx) => planImport(readBookText(text, as), await readBookFile(tx)),
		"bench",
	);
	if (plan.refused.length > 0) throw new Error(plan.refused[0]?.why);
}

async function openCard(store: Store, id: string): Promise<void> {
	const [{ doc }, kitchen] = await Promise.all([readRecipe(store.db, id), readKitchen(store.db)]);
	if (isPreparation(doc)) throw new Error("no dish");
	const reading = readingIn("metric", "UTC", 0);
	dishCard(doc, { basis: "factor", factor: 1 }, { kitchen, reading, currency: "EUR", menuPrice_minor: null });
}

/** Rows of every table that a book fills. */
async function rowsIn(store: Store): Promise<number> {
	const tables = ["recipe", "recipe_version", "recipe_state", "recipe_listing", "recipe_uses", "event"];
	const sum = tables.map((table) => `(SELECT count(*) FROM ${table})`).join(" + ");
	const [row] = await store.db.all<{ rows: number }>(`SELECT ${sum} AS rows`);
	return row?.rows ?? 0;
}

/** Dishes like one, each with other vegetables, spices and words. */
function bookOf(template: Recipe, count: number, from: number): BookFile {
	const bought = INGREDIENTS.filter(({ category }) => category === "vegetable" || category === "fruit");
	const main = template.lines.find(({ role }) => role === "main");
	if (!main) throw new Error("no main");
	const recipes = Array.from({ length: count }, (_, index) => {
		const number = from + index;
		const others = Array.from({ length: LINES_EACH - 1 }, (__, line) => ({
			ingredient: bought[(number * 7 + line * 5) % bought.length]?.id ?? "onion",
			amount: 100 + ((number + line) % 400),
			unit: "g" as const,
			role: "vegetable" as const,
			group: "base" as const,
		}));
		const doc: Recipe = {
			...template,
			name: `Dish ${number} with ${bought[number % bought.length]?.name}`,
			tags: [`tag ${number % 9}`],
			lines: [main, ...others],
		};
		const life = [{ state: "standard" as const, at: 1, who: "bench", reason: "" }];
		return {
			id: `dish-${number}`,
			versions: [{ number: 1, doc, createdAt: 1, createdBy: "bench", reason: "", life }],
		};
	});
	const ingredients = INGREDIENTS.map((entry) => ({
		id: entry.id,
		name: entry.name,
		category: entry.category,
		origins: [],
		trimLoss: entry.trimLoss,
		allergens: [...entry.allergens],
		mayContain: [...entry.mayContain],
		...(entry.density_g_per_ml === null ? {} : { density_g_per_ml: entry.density_g_per_ml }),
		...(entry.each_g === null ? {} : { each_g: entry.each_g }),
		prices: [],
	}));
	return { ...emptyBook("EUR"), ingredients, recipes };
}

async function each(runs: number, look: (index: number) => Promise<unknown>): Promise<number[]> {
	const times: number[] = [];
	for (let index = 0; index < runs; index += 1) {
		const start = performance.now();
		await look(index);
		times.push(performance.now() - start);
	}
	return times;
}

const megabytes = (bytes: number) => Math.round(bytes / 1024 / 1024);
