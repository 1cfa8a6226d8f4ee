import { and, asc, eq, lte } from "drizzle-orm";
import type { KnownIngredients } from "#core/kitchen";
import { CATEGORIES, type Ingredient, type Preparation, ingredient as usual, withMade } from "#core/recipe";
import type { Reader } from "./Store.ts";
import { ingredient, ingredientPrice, recipeListing, recipeVersion } from "./schema.ts";

type IngredientRow = typeof ingredient.$inferSelect;

/** What things are: everything a line can name, and what of it is made in the house. */
export async function readKnown(db: Reader, at = Date.now()): Promise<KnownIngredients> {
	const preparations = await readPreparations(db);
	return { byId: await readBought(db, preparations, at), preparations };
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
	const bought = new Map(rows.map((row) => [row.id, asIngredient(row, prices.get(row.id) ?? null)]));
	const merged = new Map(
		rows.flatMap(({ id, mergedInto }) => (mergedInto === null ? [] : [[id, mergedInto]])),
	);
	return withMade(preparations, bought, merged);
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
async function readPricesPerKg(db: Reader, at: number): Promise<Map<string, number>> {
	const rows = await db
		.select()
		.from(ingredientPrice)
		.where(lte(ingredientPrice.from, at))
		.orderBy(asc(ingredientPrice.from), asc(ingredientPrice.id));
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
