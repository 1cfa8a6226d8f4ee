import { asc, desc, eq, inArray, lt, sql } from "drizzle-orm";
import { chunk, groupBy } from "es-toolkit";
import {
	type BookFile,
	emptyBook,
	type ImportPlan,
	type IngredientEntry,
	type RecipeEntry,
	type VersionEntry,
} from "#core/exchange";
import { isPreparation, namedIn, stateOf } from "#core/recipe";
import { retireOthers } from "./book.ts";
import { type Confirmed, type DeclaredBefore, guarding } from "./declarations.ts";
import { AT_ONCE, reindex } from "./listing.ts";
import { newId } from "./newId.ts";
import { Missing } from "./Stale.ts";
import type { Reader, Store, Transaction } from "./Store.ts";
import {
	event,
	house,
	importStage,
	ingredient,
	ingredientPrice,
	recipe,
	recipeListing,
	recipeState,
	recipeVersion,
} from "./schema.ts";

type IngredientRow = typeof ingredient.$inferSelect;

/**
 * The whole book as a file: every ingredient with its prices, every recipe with all its
 * versions and their lives.
 *
 * @param only short name of one recipe; then it comes with the preparations and ingredients it needs
 * @throws {Missing} when there is no such recipe
 */
export async function readBookFile(db: Reader, only?: string): Promise<BookFile> {
	const [found] = await db.select({ currency: house.currency }).from(house).limit(1);
	const wanted = only === undefined ? undefined : await neededFor(db, only);
	const [ingredients, recipes] = await Promise.all([
		readIngredientEntries(db),
		readRecipeEntries(db, wanted),
	]);
	const named = new Set(recipes.flatMap(({ versions }) => versions.flatMap(({ doc }) => namedIn(doc.lines))));
	return {
		...emptyBook(found?.currency ?? "EUR"),
		ingredients: wanted ? ingredients.filter(({ id }) => named.has(id)) : ingredients,
		recipes,
	};
}

/** A recipe and every preparation it needs, through all of them. */
async function neededFor(db: Reader, id: string): Promise<string[]> {
	const preparations = new Set(
		(
			await db
				.select({ id: recipeListing.recipeId })
				.from(recipeListing)
				.where(eq(recipeListing.kind, "preparation"))
		).map((row) => row.id),
	);
	const needed = new Set<string>();
	let next = [id];
	while (next.length > 0) {
		for (const used of next) needed.add(used);
		const rows = await db
			.select({ doc: recipeVersion.doc })
			.from(recipeVersion)
			.where(inArray(recipeVersion.recipeId, next));
		if (rows.length === 0) throw new Missing("recipe", id);
		const named = rows.flatMap(({ doc }) => namedIn(doc.lines));
		next = [...new Set(named)].filter((used) => preparations.has(used) && !needed.has(used));
	}
	return [...needed];
}

/** Every ingredient with its prices, as a file has them. */
export async function readIngredientEntries(db: Reader): Promise<IngredientEntry[]> {
	const [rows, prices] = await Promise.all([
		db.select().from(ingredient).orderBy(asc(ingredient.id)),
		db.select().from(ingredientPrice).orderBy(asc(ingredientPrice.from), asc(ingredientPrice.id)),
	]);
	const byIngredient = groupBy(prices, ({ ingredientId }) => ingredientId);
	return rows.map((row) => entryOf(row, byIngredient[row.id] ?? []));
}

function entryOf(
	row: IngredientRow,
	prices: readonly (typeof ingredientPrice.$inferSelect)[],
): IngredientEntry {
	const given = <K extends string, V>(key: K, value: V | null) => (value === null ? {} : { [key]: value });
	return {
		id: row.id,
		name: row.name,
		category: row.category,
		...given("cut", row.cut),
		origins: row.origins,
		...given("supplier", row.supplier),
		...given("density_g_per_ml", row.density_g_per_ml),
		...given("each_g", row.each_g),
		...given("givesWater", row.givesWater),
		...given("takesRoom", row.takesRoom),
		...given("salt_pct", row.salt_pct),
		trimLoss: row.trimLoss,
		...(row.described ? {} : { described: false }),
		allergens: row.allergens,
		mayContain: row.mayContain,
		...given("pack_g", row.pack_g),
		...given("mergedInto", row.mergedInto),
		prices: prices.map(({ pack_g, price_minor, from }) => ({ pack_g, price_minor, from })),
	};
}

async function readRecipeEntries(db: Reader, only?: readonly string[]): Promise<RecipeEntry[]> {
	const [rows, versions, states] = await Promise.all([
		db
			.select()
			.from(recipe)
			.where(only ? inArray(recipe.id, [...only]) : undefined)
			.orderBy(asc(recipe.id)),
		db
			.select()
			.from(recipeVersion)
			.where(only ? inArray(recipeVersion.recipeId, [...only]) : undefined)
			.orderBy(asc(recipeVersion.recipeId), asc(recipeVersion.number)),
		db.select().from(recipeState).orderBy(asc(recipeState.id)),
	]);
	const lives = groupBy(states, ({ recipeVersionId }) => recipeVersionId);
	const written = groupBy(versions, ({ recipeId }) => recipeId);
	return rows.map(({ id, menuPrice_minor }) => ({
		id,
		...(menuPrice_minor === null ? {} : { menuPrice_minor }),
		versions: (written[id] ?? []).map((version) => versionEntryOf(version, lives[version.id] ?? [])),
	}));
}

function versionEntryOf(
	{ number, doc, createdAt, createdBy, reason }: typeof recipeVersion.$inferSelect,
	life: readonly (typeof recipeState.$inferSelect)[],
): VersionEntry {
	return {
		number,
		doc,
		createdAt,
		createdBy,
		reason,
		life: life.map(({ state, at, who, reason: why }) => ({ state, at, who, reason: why })),
	};
}

/**
 * Carries out a planned import, in one transaction: all of it or nothing.
 *
 * @param told      is called with how many of how many entries are written
 * @param confirmed what falls with it, by name
 * @throws {AllergensFall} where less would be declared of something, and nobody confirmed it
 */
export function applyImport(
	store: Store,
	planOf: (tx: Transaction) => Promise<ImportPlan>,
	who: string,
	told: (done: number, all: number) => void = () => undefined,
	confirmed?: Confirmed,
): Promise<ImportPlan> {
	return store.write(async (tx) => {
		const plan = await planOf(tx);
		const taken: Taken = {
			ingredients: plan.ingredients.filter(({ verdict }) => verdict !== "same"),
			recipes: plan.recipes.filter(({ verdict }) => verdict !== "same"),
		};
		const ids = [...taken.recipes, ...taken.ingredients].map(({ entry }) => entry.id);
		const what = `a file taken in, ${taken.ingredients.length} of its ingredients and ${taken.recipes.length} of its recipes new or changed`;
		return guarding(tx, { ids }, { who, what, confirmed, isKept: ids.length > 0 }, async () => {
			const was = await readRows(tx, taken);
			await writeTaken(tx, taken, who, told);
			await writeEvents(tx, plan, who);
			await reindex(tx, ids);
			return { result: plan, before: beforeOf(was, await readRows(tx, taken)) };
		});
	});
}

/** What of a plan is new or changed. */
type Taken = Pick<ImportPlan, "ingredients" | "recipes">;

async function writeTaken(
	tx: Transaction,
	{ ingredients, recipes }: Taken,
	who: string,
	told: (done: number, all: number) => void,
): Promise<void> {
	const all = ingredients.length + recipes.length;
	for (const [index, some] of chunk(ingredients, AT_ONCE).entries()) {
		told(index * AT_ONCE, all);
		const entries = some.map(({ entry }) => entry);
		await writeIngredients(tx, entries, who);
	}
	for (const [index, some] of chunk(recipes, AT_ONCE).entries()) {
		told(ingredients.length + index * AT_ONCE, all);
		const entries = some.map(({ entry }) => entry);
		await writeRecipes(tx, entries);
	}
	told(all, all);
	for (const { entry } of recipes.filter(({ verdict }) => verdict === "changed")) {
		const standard = entry.versions.findLast(({ life }) => stateOf(life) === "standard");
		if (standard) await retireOthers(tx, entry.id, standard.number, who);
	}
}

interface RowsOfTaken {
	readonly ingredients: ReadonlyMap<string, IngredientRow>;
	/** Numbers in use. */
	readonly recipes: ReadonlyMap<string, number>;
}

async function readRows(tx: Transaction, { ingredients, recipes }: Taken): Promise<RowsOfTaken> {
	const rows: IngredientRow[] = [];
	for (const some of chunk(
		ingredients.map(({ entry }) => entry.id),
		AT_ONCE,
	))
		rows.push(...(await tx.select().from(ingredient).where(inArray(ingredient.id, some))));
	const listed: { id: string; number: number }[] = [];
	for (const some of chunk(
		recipes.map(({ entry }) => entry.id),
		AT_ONCE,
	))
		listed.push(
			...(await tx
				.select({ id: recipeListing.recipeId, number: recipeListing.number })
				.from(recipeListing)
				.where(inArray(recipeListing.recipeId, some))),
		);
	return {
		ingredients: new Map(rows.map((row) => [row.id, row])),
		recipes: new Map(listed.map(({ id, number }) => [id, number])),
	};
}

function beforeOf(was: RowsOfTaken, is: RowsOfTaken): Pick<DeclaredBefore, "ingredients" | "versions"> {
	return {
		ingredients: [...was.ingredients].flatMap(([id, before]) => {
			const after = is.ingredients.get(id);
			return after ? [{ before, after }] : [];
		}),
		versions: [...is.recipes].flatMap(([recipeId, after]) => {
			const before = was.recipes.get(recipeId) ?? null;
			return before === after ? [] : [{ recipe: recipeId, before, after }];
		}),
	};
}

async function writeIngredients(
	tx: Transaction,
	entries: readonly IngredientEntry[],
	who: string,
): Promise<void> {
	await tx
		.insert(ingredient)
		.values(entries.map(rowOf))
		.onConflictDoUpdate({ target: ingredient.id, set: EXCLUDED });
	const prices = entries.flatMap(({ id, prices: own }) =>
		own.map((price) => ({ ...price, ingredientId: id, who })),
	);
	for (const some of chunk(prices, AT_ONCE)) await tx.insert(ingredientPrice).values(some);
}

/** Every field of an ingredient that is there already takes the file's. */
const EXCLUDED = {
	name: sql`excluded.name`,
	category: sql`excluded.category`,
	cut: sql`excluded.cut`,
	origins: sql`excluded.origins`,
	supplier: sql`excluded.supplier`,
	density_g_per_ml: sql`excluded.density_g_per_ml`,
	each_g: sql`excluded.each_g`,
	givesWater: sql`excluded.gives_water`,
	takesRoom: sql`excluded.takes_room`,
	salt_pct: sql`excluded.salt_pct`,
	trimLoss: sql`excluded.trim_loss`,
	described: sql`excluded.described`,
	allergens: sql`excluded.allergens`,
	mayContain: sql`excluded.may_contain`,
	pack_g: sql`excluded.pack_g`,
	mergedInto: sql`excluded.merged_into`,
	version: sql`${ingredient.version} + 1`,
};

function rowOf({ prices: _, ...entry }: IngredientEntry): typeof ingredient.$inferInsert {
	return {
		...entry,
		cut: entry.cut ?? null,
		described: entry.described ?? true,
		supplier: entry.supplier ?? null,
		density_g_per_ml: entry.density_g_per_ml ?? null,
		each_g: entry.each_g ?? null,
		givesWater: entry.givesWater ?? null,
		takesRoom: entry.takesRoom ?? null,
		salt_pct: entry.salt_pct ?? null,
		pack_g: entry.pack_g ?? null,
		mergedInto: entry.mergedInto ?? null,
	};
}

async function writeRecipes(tx: Transaction, entries: readonly RecipeEntry[]): Promise<void> {
	for (const some of chunk(entries, AT_ONCE)) {
		const heads = some.map(({ id, menuPrice_minor, versions }) => ({
			id,
			menuPrice_minor: menuPrice_minor ?? null,
			kind: versions.some(({ doc }) => isPreparation(doc)) ? ("preparation" as const) : ("dish" as const),
			createdAt: Math.min(Date.now(), ...versions.map(({ createdAt }) => createdAt)),
		}));
		await tx
			.insert(recipe)
			.values(heads)
			.onConflictDoUpdate({
				target: recipe.id,
				set: { menuPrice_minor: sql`coalesce(excluded.menu_price_minor, ${recipe.menuPrice_minor})` },
			});
	}
	const versions = entries.flatMap(({ id, versions: own }) =>
		own.map(({ life, ...version }) => ({ life, row: { ...version, id: newId(), recipeId: id } })),
	);
	for (const some of chunk(versions, AT_ONCE))
		await tx.insert(recipeVersion).values(some.map(({ row }) => row));
	const lives = versions.flatMap(({ life, row }) =>
		life.map((state) => ({ ...state, recipeVersionId: row.id })),
	);
	for (const some of chunk(lives, AT_ONCE)) await tx.insert(recipeState).values(some);
}

async function writeEvents(tx: Transaction, plan: ImportPlan, who: string): Promise<void> {
	const at = Date.now();
	const rows = [
		...plan.ingredients.map((step) => ({ ...step, subject: "ingredient" as const, version: 0 })),
		...plan.recipes.map((step) => ({
			...step,
			subject: "recipe" as const,
			version: step.entry.versions.at(-1)?.number ?? 0,
		})),
	]
		.filter(({ verdict }) => verdict !== "same")
		.map(({ subject, entry, verdict, version, says }) => ({
			at,
			who,
			subject,
			subjectId: entry.id,
			what: verdict === "new" ? ("added" as const) : ("changed" as const),
			version,
			changes: [{ field: "import", from: null, to: says }],
		}));
	for (const some of chunk(rows, AT_ONCE)) await tx.insert(event).values(some);
}

export type StageRow = typeof importStage.$inferSelect;

/** How long a file that was shown and not taken is held, ms. */
const HELD_MS = 24 * 3600_000;

/** Files that wait to be looked at: how many are held, and of how many characters together. */
export const MOST_HELD = 20;
export const MOST_HELD_LENGTH = 40_000_000;

/** Lets the files go that have waited too long, and the oldest ones that are too many for a newer one. */
async function makeRoom(tx: Transaction, at: number, length: number): Promise<void> {
	await tx.delete(importStage).where(lt(importStage.at, at - HELD_MS));
	const held = await tx
		.select({ id: importStage.id, length: sql<number>`length(${importStage.text})` })
		.from(importStage)
		.orderBy(desc(importStage.at));
	let together = length;
	const room = held.findIndex((file, index) => {
		together += file.length;
		return index + 1 >= MOST_HELD || together > MOST_HELD_LENGTH;
	});
	const gone = room === -1 ? [] : held.slice(room).map(({ id }) => id);
	if (gone.length > 0) await tx.delete(importStage).where(inArray(importStage.id, gone));
}

/** Holds a file that is to be looked at before it is taken in. @returns its id */
export function stageImport(store: Store, name: string, text: string, who: string): Promise<string> {
	const id = newId(16);
	const at = Date.now();
	return store.write(async (tx) => {
		await makeRoom(tx, at, text.length);
		await tx.insert(importStage).values({ id, name, text, at, who });
		return id;
	});
}

/** @throws {Missing} when it is not held, or no longer */
export async function readStage(db: Reader, id: string): Promise<StageRow> {
	const [row] = await db.select().from(importStage).where(eq(importStage.id, id));
	if (!row) throw new Missing("file", id);
	return row;
}

/** Lets a held file go. */
export function dropStage(store: Store, id: string): Promise<void> {
	return store.write(async (tx) => {
		await tx.delete(importStage).where(eq(importStage.id, id));
	});
}
