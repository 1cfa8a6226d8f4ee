import { and, desc, eq } from "drizzle-orm";
import { nanoid } from "nanoid";
import { checkRecipe, type Recipe } from "#core/recipe";
import { record } from "./events.ts";
import { readIngredients } from "./kitchen.ts";
import { Missing } from "./Stale.ts";
import type { Reader, Store } from "./Store.ts";
import { recipe, recipeVersion } from "./schema.ts";

export type RecipeVersionRow = typeof recipeVersion.$inferSelect;

/** The newest version of every recipe, by name. */
export async function readBook(db: Reader): Promise<RecipeVersionRow[]> {
	const rows = await db.select().from(recipeVersion).orderBy(desc(recipeVersion.number));
	const newest = new Map<string, RecipeVersionRow>();
	for (const row of rows) if (!newest.has(row.recipeId)) newest.set(row.recipeId, row);
	return [...newest.values()].sort((a, b) => a.doc.name.localeCompare(b.doc.name, "en"));
}

/** One version of a recipe; the newest when no number is given. @throws {Missing} */
export async function readRecipe(db: Reader, recipeId: string, number?: number): Promise<RecipeVersionRow> {
	const wanted =
		number === undefined
			? eq(recipeVersion.recipeId, recipeId)
			: and(eq(recipeVersion.recipeId, recipeId), eq(recipeVersion.number, number));
	const [row] = await db
		.select()
		.from(recipeVersion)
		.where(wanted)
		.orderBy(desc(recipeVersion.number))
		.limit(1);
	if (!row) throw new Missing("recipe", recipeId);
	return row;
}

/**
 * Adds a recipe, or the next version of one that is there. The same recipe again
 * changes nothing.
 *
 * @param id slug of the recipe
 * @throws {Refusal} naming the field that does not hold
 */
export function addRecipe(
	store: Store,
	id: string,
	given: unknown,
	who: string,
): Promise<{ number: number; added: boolean }> {
	return store.write(async (tx) => {
		const doc = checkRecipe(given, await readIngredients(tx));
		const [newest] = await tx
			.select()
			.from(recipeVersion)
			.where(eq(recipeVersion.recipeId, id))
			.orderBy(desc(recipeVersion.number))
			.limit(1);
		if (newest && sameRecipe(newest.doc, doc)) return { number: newest.number, added: false };
		const number = (newest?.number ?? 0) + 1;
		const now = Date.now();
		if (!newest) await tx.insert(recipe).values({ id, createdAt: now });
		await tx
			.insert(recipeVersion)
			.values({ id: nanoid(10), recipeId: id, number, doc, createdAt: now, createdBy: who });
		await record(tx, {
			who,
			subject: "recipe",
			subjectId: id,
			what: newest ? "changed" : "added",
			version: number,
			changes: [{ field: "version", from: newest?.number ?? null, to: number }],
		});
		return { number, added: true };
	});
}

function sameRecipe(one: Recipe, other: Recipe): boolean {
	return JSON.stringify(one) === JSON.stringify(other);
}
