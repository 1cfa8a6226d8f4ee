import { and, desc, eq } from "drizzle-orm";
import { checked, Refusal, refuse } from "#core/check";
import { Draft, namesOf, readDraft, slugFor } from "#core/recipe";
import { type Entry, enterRecipe } from "./book.ts";
import { readIngredients } from "./knownIngredients.ts";
import { Missing, Stale } from "./Stale.ts";
import type { Reader, Store } from "./Store.ts";
import { ingredient, recipe, recipeDraft } from "./schema.ts";

export type DraftRow = typeof recipeDraft.$inferSelect;

/** The draft of a recipe; undefined when none is being written. */
export async function readDraftOf(db: Reader, recipeId: string): Promise<DraftRow | undefined> {
	const [row] = await db.select().from(recipeDraft).where(eq(recipeDraft.recipeId, recipeId));
	return row;
}

/** Drafts being written, the newest first. */
export function readDrafts(db: Reader): Promise<DraftRow[]> {
	return db.select().from(recipeDraft).orderBy(desc(recipeDraft.at));
}

/**
 * Keeps a draft as it stands.
 *
 * @param version the version that was read; 0 when there was none
 * @returns the version it has now
 * @throws {Stale} when somebody else has written in between
 * @throws {Refusal} when it is no draft at all
 */
export function saveDraft(
	store: Store,
	recipeId: string,
	version: number,
	given: unknown,
	{ who, basedOn }: { readonly who: string; readonly basedOn: number | null },
): Promise<number> {
	const doc = checked(Draft, given);
	return store.write(async (tx) => {
		const before = await readDraftOf(tx, recipeId);
		if ((before?.version ?? 0) !== version) throw new Stale(before?.version ?? 0, []);
		const row = { doc, at: Date.now(), who, version: version + 1 };
		if (before) await tx.update(recipeDraft).set(row).where(eq(recipeDraft.recipeId, recipeId));
		else await tx.insert(recipeDraft).values({ ...row, recipeId, basedOn });
		return version + 1;
	});
}

/** Throws a draft away, as it was read. @throws {Missing} when there is none of that version */
export function discardDraft(store: Store, recipeId: string, version: number): Promise<void> {
	return store.write(async (tx) => {
		const gone = await tx
			.delete(recipeDraft)
			.where(and(eq(recipeDraft.recipeId, recipeId), eq(recipeDraft.version, version)))
			.returning({ id: recipeDraft.recipeId });
		if (gone.length === 0) throw new Missing("draft", recipeId);
	});
}

/** Names of addresses that are pages of the book themselves. */
const PAGES = ["new", "ingredients", "exchange", "export", "book", "prices", "declarations"];

/** A short name for a new recipe that no recipe, draft, ingredient or page has. */
export async function freeRecipeId(db: Reader, name: string): Promise<string> {
	const [recipes, drafts, ingredients] = await Promise.all([
		db.select({ id: recipe.id }).from(recipe),
		db.select({ id: recipeDraft.recipeId }).from(recipeDraft),
		db.select({ id: ingredient.id }).from(ingredient),
	]);
	return slugFor(name, new Set([...PAGES, ...[...recipes, ...drafts, ...ingredients].map(({ id }) => id)]));
}

/**
 * Makes the next numbered version of a draft and throws the draft away, both or neither.
 *
 * @throws {Refusal} naming what does not hold, or a reason that is missing
 * @throws {Missing} when there is no draft
 */
export function numberDraft(
	store: Store,
	recipeId: string,
	entry: Required<Pick<Entry, "who" | "reason">> &
		Pick<Entry, "confirmed"> & { readonly state: "tested" | "standard" },
): Promise<number> {
	return store.write(async (tx) => {
		const row = await readDraftOf(tx, recipeId);
		if (!row) throw new Missing("draft", recipeId);
		if (entry.reason.trim() === "") throw refuse("reason", "is missing; a sentence that says why is needed");
		const known = await readIngredients(tx);
		const { doc, wrong } = readDraft(row.doc, known, namesOf(known.values()));
		if (!doc) {
			throw new Refusal(Object.entries(wrong).map(([field, message]) => ({ field, message })));
		}
		const { number, added } = await enterRecipe(tx, recipeId, doc, entry);
		if (!added) throw refuse("draft", `says what no. ${number} says; a change is needed for the next number`);
		await tx.delete(recipeDraft).where(eq(recipeDraft.recipeId, recipeId));
		return number;
	});
}
