import { and, desc, eq } from "drizzle-orm";
import { checked } from "#core/check";
import { Draft } from "#core/recipe";
import { Missing, Stale } from "./Stale.ts";
import type { Reader, Store } from "./Store.ts";
import { recipeDraft } from "./schema.ts";

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
