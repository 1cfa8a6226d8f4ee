import { and, asc, eq, inArray, lte } from "drizzle-orm";
import { chunk } from "es-toolkit";
import type { KnownIngredients } from "#core/kitchen";
import {
	CATEGORIES,
	type Ingredient,
	type Naming,
	namedIn,
	type Preparation,
	ingredient as usual,
	withMade,
} from "#core/recipe";
import type { Reader } from "./Store.ts";
import { ingredient, ingredientPrice, recipeListing, recipeVersion } from "./schema.ts";

type IngredientRow = typeof ingredient.$inferSelect;

/** Whatever is made of lines. */
export interface Made {
	readonly lines: readonly Naming[];
}

/**
 * What things are: everything a line can name, and what of it is made in the house.
 *
 * @param at      the instant whose prices hold
 * @param recipes where they are given, only what they name is read, through preparations and merges
 */
export async function readKnown(
	db: Reader,
	at = Date.now(),
	recipes?: readonly Made[],
): Promise<KnownIngredients> {
	const preparations = await readPreparations(db);
	if (!recipes) return { byId: await readBought(db, preparations, at), preparations };
	const rows = new Map<string, IngredientRow>();
	const needed = new Map<string, Preparation>();
	const asked = new Set<string>();
	let next = namedBy(recipes);
	while (next.length > 0) {
		for (const id of next) asked.add(id);
		const made = next.flatMap((id) => {
			const preparation = preparations.get(id);
			return preparation ? [[id, preparation] as const] : [];
		});
		for (const [id, preparation] of made) needed.set(id, preparation);
		const found = await readRows(db, next);
		for (const row of found) rows.set(row.id, row);
		const meant = found.flatMap(({ mergedInto }) => mergedInto ?? []);
		const inside = namedBy(made.map(([, preparation]) => preparation));
		next = [...new Set([...meant, ...inside])].filter((id) => !asked.has(id));
	}
	const prices = await readPricesPerKg(db, at, [...rows.keys()]);
	return { byId: knownOf([...rows.values()], prices, needed), preparations: needed };
}

/** What is bought of some short names; what was merged away is what it was merged into. */
export async function readBoughtOnly(
	db: Reader,
	ids: readonly string[],
): Promise<ReadonlyMap<string, Ingredient>> {
	const rows = new Map<string, IngredientRow>();
	let next = [...ids];
	while (next.length > 0) {
		const found = await readRows(db, next);
		for (const row of found) rows.set(row.id, row);
		next = [...new Set(found.flatMap(({ mergedInto }) => mergedInto ?? []))].filter((id) => !rows.has(id));
	}
	return knownOf([...rows.values()], new Map(), new Map());
}

function namedBy(recipes: readonly Made[]): string[] {
	return namedIn(recipes.flatMap(({ lines }) => lines));
}

/** Short names that one statement asks for. */
const ASKED_AT_ONCE = 500;

async function readRows(db: Reader, ids: readonly string[]): Promise<IngredientRow[]> {
	const found: IngredientRow[] = [];
	for (const some of chunk([...ids], ASKED_AT_ONCE)) {
		found.push(...(await db.select().from(ingredient).where(inArray(ingredient.id, some))));
	}
	return found;
}

/**
 * Everything a line can name, by short name: what is bought, and what is made in the
 * house from its current version. The name of an ingredient that was merged away gives
 * the one it was merged into.
 *
 * @param at the instant whose prices hold
 */
export async function readIngredients(db: Reader, at = Date.now()): Promise<Map<string, Ingredient>> {
	return readBought(db, await readPreparations(db), at);
}

async function readBought(
	db: Reader,
	preparations: ReadonlyMap<string, Preparation>,
	at: number,
): Promise<Map<string, Ingredient>> {
	const [rows, prices] = await Promise.all([
		db.select().from(ingredient).orderBy(asc(ingredient.name)),
		readPricesPerKg(db, at),
	]);
	return knownOf(rows, prices, preparations);
}

function knownOf(
	rows: readonly IngredientRow[],
	prices: ReadonlyMap<string, number>,
	preparations: ReadonlyMap<string, Preparation>,
): Map<string, Ingredient> {
	const bought = new Map(rows.map((row) => [row.id, asIngredient(row, prices.get(row.id) ?? null)]));
	const merged = new Map(
		rows.flatMap(({ id, mergedInto }) => (mergedInto === null ? [] : [[id, mergedInto]])),
	);
	return withMade(preparations, bought, merged, true);
}

function asIngredient(row: IngredientRow, pricePerKg_minor: number | null): Ingredient {
	const { mergedInto: _, version: __, origins, supplier, ...fields } = row;
	return {
		...usual(fields),
		origins: origins.length > 0 ? origins : [CATEGORIES[row.category].origin],
		supplier: supplier ?? CATEGORIES[row.category].supplier,
		pricePerKg_minor,
	};
}

/** Price of a kilo of each ingredient at an instant, minor units: the newest pack price that has begun. */
async function readPricesPerKg(
	db: Reader,
	at: number,
	ids?: readonly string[],
): Promise<Map<string, number>> {
	const begun = lte(ingredientPrice.from, at);
	const read = (some?: string[]) =>
		db
			.select()
			.from(ingredientPrice)
			.where(some ? and(begun, inArray(ingredientPrice.ingredientId, some)) : begun)
			.orderBy(asc(ingredientPrice.from), asc(ingredientPrice.id));
	const rows = ids
		? (await Promise.all(chunk([...ids], ASKED_AT_ONCE).map((some) => read(some)))).flat()
		: await read();
	return new Map(rows.map((row) => [row.ingredientId, (row.price_minor / row.pack_g) * 1000]));
}

/** What is made in the house, each in its current version, by short name. */
export async function readPreparations(db: Reader): Promise<Map<string, Preparation>> {
	const rows = await db
		.select({ id: recipeListing.recipeId, doc: recipeVersion.doc })
		.from(recipeListing)
		.innerJoin(
			recipeVersion,
			and(eq(recipeVersion.recipeId, recipeListing.recipeId), eq(recipeVersion.number, recipeListing.number)),
		)
		.where(eq(recipeListing.kind, "preparation"));
	return new Map(rows.map(({ id, doc }) => [id, doc as Preparation]));
}
