import { asc, desc, eq, inArray, isNotNull, isNull, sql } from "drizzle-orm";
import isEqual from "fast-deep-equal";
import { refuse } from "#core/check";
import { plainName, slugFor } from "#core/recipe";
import { changeRow } from "./changeRow.ts";
import { type Confirmed, guarding } from "./declarations.ts";
import { changesBetween, record } from "./events.ts";
import { reindex } from "./listing.ts";
import { Missing } from "./Stale.ts";
import type { Reader, Store, Transaction } from "./Store.ts";
import { ingredient, ingredientPrice, recipeListing, recipeUses } from "./schema.ts";

export type IngredientRow = typeof ingredient.$inferSelect;
export type PriceRow = typeof ingredientPrice.$inferSelect;

/** What a person can say of an ingredient. */
export type IngredientFields = Omit<IngredientRow, "id" | "version" | "mergedInto">;

/** What is bought, as it is stored, by name; merged ones are left out. */
export async function readIngredientRows(db: Reader): Promise<IngredientRow[]> {
	const rows = await db.select().from(ingredient).where(isNull(ingredient.mergedInto));
	return rows.sort((a, b) => a.name.localeCompare(b.name, "en"));
}

/** @throws {Missing} when there is no such ingredient */
export async function readIngredient(db: Reader, id: string): Promise<IngredientRow> {
	const [row] = await db.select().from(ingredient).where(eq(ingredient.id, id));
	if (!row) throw new Missing("ingredient", id);
	return row;
}

/** Prices of an ingredient, the newest first. */
export function readPrices(db: Reader, id: string): Promise<PriceRow[]> {
	return db
		.select()
		.from(ingredientPrice)
		.where(eq(ingredientPrice.ingredientId, id))
		.orderBy(desc(ingredientPrice.from), desc(ingredientPrice.id));
}

/** Recipes whose current version names an ingredient, or one that was merged into it. */
export async function readWhereUsed(db: Reader, id: string) {
	const merged = await db
		.select({ id: ingredient.id, into: ingredient.mergedInto })
		.from(ingredient)
		.where(isNotNull(ingredient.mergedInto));
	const names = [id, ...merged.filter(({ into }) => into === id).map((row) => row.id)];
	return db
		.selectDistinct({
			id: recipeListing.recipeId,
			name: recipeListing.name,
			number: recipeListing.number,
			sortName: recipeListing.sortName,
		})
		.from(recipeUses)
		.innerJoin(recipeListing, eq(recipeListing.recipeId, recipeUses.recipeId))
		.where(inArray(recipeUses.ingredientId, names))
		.orderBy(asc(recipeListing.sortName));
}

/** How many recipes name each ingredient. */
export async function countUses(db: Reader): Promise<Map<string, number>> {
	const rows = await db
		.select({ id: recipeUses.ingredientId, uses: sql<number>`count(*)` })
		.from(recipeUses)
		.groupBy(recipeUses.ingredientId);
	return new Map(rows.map(({ id, uses }) => [id, uses]));
}

/**
 * Adds an ingredient and gives its short name, made from its name.
 *
 * @throws {Refusal} when one of that name is there
 */
export function addIngredient(store: Store, who: string, fields: IngredientFields): Promise<string> {
	return store.write(async (tx) => {
		await requireFreeName(tx, fields.name);
		const taken = await tx.select({ id: ingredient.id }).from(ingredient);
		const id = slugFor(fields.name, new Set(taken.map((row) => row.id)));
		await tx.insert(ingredient).values({ ...fields, id });
		await record(tx, {
			who,
			subject: "ingredient",
			subjectId: id,
			what: "added",
			version: 1,
			changes: changesBetween({}, fields),
		});
		return id;
	});
}

async function requireFreeName(tx: Transaction, name: string, except?: string): Promise<void> {
	const rows = await tx.select({ id: ingredient.id, name: ingredient.name }).from(ingredient);
	const same = rows.find((row) => row.id !== except && plainName(row.name) === plainName(name));
	if (same) throw refuse("name", `“${name}” is in the book already; another name is allowed`);
}

/**
 * Changes an ingredient, and what the lists say of the recipes that use it.
 *
 * @throws {Stale} when somebody changed it in between
 * @throws {AllergensFall} where less would be declared of something, and nobody confirmed it
 */
export function changeIngredient(
	store: Store,
	id: string,
	version: number,
	who: string,
	fields: Partial<IngredientFields>,
	confirmed?: Confirmed,
): Promise<void> {
	let before: IngredientRow | undefined;
	return changeRow<IngredientRow>(who, store, {
		subject: "ingredient",
		id,
		version,
		read: (tx) => readIngredient(tx, id),
		change: async (now, tx) => {
			if (fields.name !== undefined) await requireFreeName(tx, fields.name, id);
			before = now;
			return { ...now, ...fields };
		},
		write: async (tx, after) => {
			const write = async () => {
				await tx.update(ingredient).set(after).where(eq(ingredient.id, id));
				await reindex(tx, [id]);
				return { result: undefined, before: before ? { ingredients: [{ before, after }] } : null };
			};
			const describes = before?.described === false && after.described;
			const told = { who, what: `${after.name} described anew`, confirmed, describes };
			if (before && declaresSame(before, after)) await write();
			else await guarding(tx, { ids: [id] }, told, write);
		},
	});
}

/** Whether two rows say the same of allergens. */
function declaresSame(one: IngredientRow, other: IngredientRow): boolean {
	const said = ({ allergens, mayContain, described }: IngredientRow) => [allergens, mayContain, described];
	return isEqual(said(one), said(other));
}

/** Adds what a pack costs from an instant on; the history is kept. */
export function addPrice(
	store: Store,
	id: string,
	who: string,
	price: Pick<PriceRow, "pack_g" | "price_minor" | "from">,
): Promise<void> {
	return store.write(async (tx) => {
		const before = await readIngredient(tx, id);
		await tx.insert(ingredientPrice).values({ ...price, ingredientId: id, who });
		const version = before.version + 1;
		await tx.update(ingredient).set({ version }).where(eq(ingredient.id, id));
		await record(tx, {
			who,
			subject: "ingredient",
			subjectId: id,
			what: "changed",
			version,
			changes: [{ field: "price", from: null, to: price }],
		});
	});
}

/**
 * Makes one ingredient of two: every recipe that names the first means the second from
 * now on. Versions stay as they are; the first keeps its row and its history.
 *
 * @throws {AllergensFall} where less would be declared of something, and nobody confirmed it
 * @throws {Refusal} when it is the same, or the second was merged away itself
 */
export function mergeIngredients(
	store: Store,
	id: string,
	into: string,
	who: string,
	confirmed?: Confirmed,
): Promise<void> {
	return store.write(async (tx) => {
		const [leaving, staying] = [await readIngredient(tx, id), await readIngredient(tx, into)];
		if (id === into) throw refuse("into", "the same ingredient was given; another one is allowed");
		if (staying.mergedInto !== null || leaving.mergedInto !== null) {
			throw refuse("into", "it was merged away already; one that is in the book is allowed");
		}
		const version = leaving.version + 1;
		const after = { ...leaving, mergedInto: into, version };
		const what = `${leaving.name} merged into ${staying.name}`;
		await guarding(tx, { ids: [id] }, { who, what, confirmed, isKept: true }, async () => {
			await tx.update(ingredient).set(after).where(eq(ingredient.id, id));
			await record(tx, {
				...{ who, subject: "ingredient", subjectId: id, what: "removed", version },
				changes: [{ field: "mergedInto", from: null, to: into }],
			});
			await reindex(tx, [id]);
			return { result: undefined, before: { ingredients: [{ before: leaving, after }] } };
		});
	});
}
