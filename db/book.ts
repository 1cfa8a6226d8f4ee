import { and, asc, desc, eq, inArray, or } from "drizzle-orm";
import { groupBy } from "es-toolkit";
import isEqual from "fast-deep-equal";
import { refuse } from "#core/check";
import {
	checkPreparation,
	checkRecipe,
	givingWayTo,
	type Ingredient,
	isPreparation,
	nextStates,
	type Preparation,
	type Recipe,
	type RecipeState,
	stateOf,
	withMade,
} from "#core/recipe";
import { type Confirmed, guarding } from "./declarations.ts";
import { record } from "./events.ts";
import { readIngredients, readPreparations } from "./knownIngredients.ts";
import { reindex } from "./listing.ts";
import { newId } from "./newId.ts";
import { Missing } from "./Stale.ts";
import type { Reader, Store, Transaction } from "./Store.ts";
import { recipe, recipeListing, recipeState, recipeVersion } from "./schema.ts";

export type RecipeRow = typeof recipe.$inferSelect;
export type RecipeVersionRow = typeof recipeVersion.$inferSelect;
export type RecipeStateRow = typeof recipeState.$inferSelect;

/** A numbered version with its life so far, oldest first. */
export interface VersionWithLife extends RecipeVersionRow {
	readonly state: RecipeState;
	readonly life: readonly RecipeStateRow[];
}

/** The current version of every dish that is not retired, by name. */
export async function readBook(
	db: Reader,
): Promise<(RecipeVersionRow & { readonly doc: Recipe; readonly state: RecipeState })[]> {
	const rows = await db
		.select({ version: recipeVersion, state: recipeListing.state })
		.from(recipeListing)
		.innerJoin(
			recipeVersion,
			and(eq(recipeVersion.recipeId, recipeListing.recipeId), eq(recipeVersion.number, recipeListing.number)),
		)
		.where(and(eq(recipeListing.kind, "dish"), inArray(recipeListing.state, ["standard", "tested"])))
		.orderBy(asc(recipeListing.sortName));
	return rows.map(({ version, state }) => ({ ...version, state, doc: version.doc as Recipe }));
}

/** One version of a recipe; the current one when no number is given. @throws {Missing} */
export async function readRecipe(db: Reader, recipeId: string, number?: number): Promise<VersionWithLife> {
	const wanted = number ?? (await currentNumber(db, recipeId));
	const [row] = await db
		.select()
		.from(recipeVersion)
		.where(and(eq(recipeVersion.recipeId, recipeId), eq(recipeVersion.number, wanted)));
	if (!row) throw new Missing("recipe", recipeId);
	const [version] = await withLife(db, [row]);
	if (!version) throw new Missing("recipe", recipeId);
	return version;
}

/** The same of a dish; a preparation is not one. @throws {Missing} */
export async function readDish(
	db: Reader,
	recipeId: string,
	number?: number,
): Promise<VersionWithLife & { readonly doc: Recipe }> {
	const version = await readRecipe(db, recipeId, number);
	if (isPreparation(version.doc)) throw new Missing("dish", recipeId);
	return { ...version, doc: version.doc };
}

async function currentNumber(db: Reader, recipeId: string): Promise<number> {
	const [row] = await db
		.select({ number: recipeListing.number })
		.from(recipeListing)
		.where(eq(recipeListing.recipeId, recipeId));
	if (!row) throw new Missing("recipe", recipeId);
	return row.number;
}

/** All versions of a recipe, the newest first. */
export async function readVersions(db: Reader, recipeId: string): Promise<VersionWithLife[]> {
	const rows = await db
		.select()
		.from(recipeVersion)
		.where(eq(recipeVersion.recipeId, recipeId))
		.orderBy(desc(recipeVersion.number));
	return withLife(db, rows);
}

/** What versions of recipes are called, by the id of the version. */
export async function namesOfVersions(
	db: Reader,
	ids: readonly string[],
): Promise<ReadonlyMap<string, { readonly name: string; readonly number: number }>> {
	if (ids.length === 0) return new Map();
	const rows = await db
		.select()
		.from(recipeVersion)
		.where(inArray(recipeVersion.id, [...ids]));
	return new Map(rows.map(({ id, number, doc }) => [id, { name: doc.name, number }]));
}

/** What stands in some numbers of recipes, by recipe. */
export async function readDocs(
	db: Reader,
	rows: readonly { readonly recipeId: string; readonly number: number }[],
): Promise<ReadonlyMap<string, RecipeVersionRow["doc"]>> {
	if (rows.length === 0) return new Map();
	const found = await db
		.select({ recipeId: recipeVersion.recipeId, doc: recipeVersion.doc })
		.from(recipeVersion)
		.where(
			or(
				...rows.map(({ recipeId, number }) =>
					and(eq(recipeVersion.recipeId, recipeId), eq(recipeVersion.number, number)),
				),
			),
		);
	return new Map(found.map(({ recipeId, doc }) => [recipeId, doc]));
}

/** Versions with their lives, in the order they were given. */
export async function withLife(db: Reader, rows: readonly RecipeVersionRow[]): Promise<VersionWithLife[]> {
	if (rows.length === 0) return [];
	const states = await db
		.select()
		.from(recipeState)
		.where(
			inArray(
				recipeState.recipeVersionId,
				rows.map(({ id }) => id),
			),
		)
		.orderBy(asc(recipeState.id));
	const lives = groupBy(states, ({ recipeVersionId }) => recipeVersionId);
	return rows.map((row) => {
		const life = lives[row.id] ?? [];
		return { ...row, life, state: stateOf(life) };
	});
}

/** What is known of a recipe besides its versions. @throws {Missing} */
export async function readRecipeRow(db: Reader, recipeId: string): Promise<RecipeRow> {
	const [row] = await db.select().from(recipe).where(eq(recipe.id, recipeId));
	if (!row) throw new Missing("recipe", recipeId);
	return row;
}

/** How a version comes into the book. */
export interface Entry {
	readonly who: string;
	readonly state?: RecipeState;
	readonly reason?: string;
	/** Less is declared of something with it, and somebody put a name under that. */
	readonly confirmed?: Confirmed | undefined;
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
	entry: Entry,
): Promise<{ number: number; added: boolean }> {
	return store.write((tx) => enterRecipe(tx, id, given, entry));
}

/** The same inside a change that does more. */
export async function enterRecipe(
	tx: Transaction,
	id: string,
	given: unknown,
	entry: Entry,
): Promise<{ number: number; added: boolean }> {
	const known = await readIngredients(tx);
	const doc = checkDoc(given, known);
	await refuseCircle(tx, id, doc, known);
	const [newest] = await tx
		.select()
		.from(recipeVersion)
		.where(eq(recipeVersion.recipeId, id))
		.orderBy(desc(recipeVersion.number))
		.limit(1);
	if (newest && sameRecipe(newest.doc, doc)) return { number: newest.number, added: false };
	if (newest && isPreparation(newest.doc) !== isPreparation(doc)) {
		throw refuse("format", "a dish stays a dish and a preparation a preparation; another name is allowed");
	}
	const number = (newest?.number ?? 0) + 1;
	const told = { who: entry.who, what: `${doc.name}, no. ${number}`, confirmed: entry.confirmed };
	const inUse = newest ? await currentNumber(tx, id) : null;
	await guarding(tx, { ids: [id] }, told, async () => {
		await writeVersion(tx, id, number, doc, entry);
		await reindex(tx, [id]);
		return { result: undefined, before: { versions: [{ recipe: id, before: inUse, after: number }] } };
	});
	return { number, added: true };
}

/** A dish or a preparation from outside. @throws {Refusal} with one problem a field */
export function checkDoc(given: unknown, known: ReadonlyMap<string, Ingredient>): Recipe | Preparation {
	const format = (given as { format?: unknown } | null)?.format;
	return format === "wide-table/preparation" ? checkPreparation(given, known) : checkRecipe(given, known);
}

/** @throws {Refusal} when a preparation would need itself through others */
async function refuseCircle(
	tx: Transaction,
	id: string,
	doc: Recipe | Preparation,
	known: ReadonlyMap<string, Ingredient>,
): Promise<void> {
	if (!isPreparation(doc)) return;
	const all = new Map(await readPreparations(tx));
	withMade(all.set(id, doc), known);
}

async function writeVersion(
	tx: Transaction,
	id: string,
	number: number,
	doc: Recipe | Preparation,
	{ who, state = "standard", reason = "" }: Entry,
): Promise<void> {
	const now = Date.now();
	if (number === 1) {
		const kind = isPreparation(doc) ? "preparation" : "dish";
		await tx.insert(recipe).values({ id, kind, createdAt: now }).onConflictDoNothing();
	}
	const versionId = newId();
	await tx
		.insert(recipeVersion)
		.values({ id: versionId, recipeId: id, number, doc, createdAt: now, createdBy: who, reason });
	if (state === "standard") await retireOthers(tx, id, number, who);
	await tx.insert(recipeState).values({ recipeVersionId: versionId, state, at: now, who, reason });
	await record(tx, {
		who,
		subject: "recipe",
		subjectId: id,
		what: number === 1 ? "added" : "changed",
		version: number,
		changes: [
			{ field: "version", from: number === 1 ? null : number - 1, to: number },
			{ field: "state", from: null, to: state },
		],
	});
}

/** The standards that a new one takes the place of. */
export async function retireOthers(tx: Transaction, id: string, number: number, who: string): Promise<void> {
	const rows = await tx.select().from(recipeVersion).where(eq(recipeVersion.recipeId, id));
	for (const version of givingWayTo(number, await withLife(tx, rows))) {
		await tx.insert(recipeState).values({
			recipeVersionId: version.id,
			state: "retired",
			at: Date.now(),
			who,
			reason: `No. ${number} is the standard now.`,
		});
	}
}

/**
 * Gives a version its next state, with who and why. A new standard retires the one
 * before it.
 *
 * @throws {Refusal} when that does not follow, or a reason is missing
 */
export function setRecipeState(
	store: Store,
	id: string,
	number: number,
	state: RecipeState,
	{ who, reason, confirmed }: Required<Pick<Entry, "who" | "reason">> & Pick<Entry, "confirmed">,
): Promise<void> {
	return store.write(async (tx) => {
		const version = await readRecipe(tx, id, number);
		if (!nextStates(version.state).includes(state)) {
			throw refuse(
				"state",
				`no. ${number} is ${version.state}; ${nextStates(version.state).join(" or ")} is allowed`,
			);
		}
		if (reason.trim() === "") throw refuse("reason", "is missing; a sentence that says why is needed");
		const inUse = await currentNumber(tx, id);
		const told = { who, what: `${version.doc.name}, no. ${number}: ${state}`, confirmed };
		await guarding(tx, { ids: [id] }, told, async () => {
			if (state === "standard") await retireOthers(tx, id, number, who);
			await tx
				.insert(recipeState)
				.values({ recipeVersionId: version.id, state, at: Date.now(), who, reason });
			await record(tx, {
				...{ who, subject: "recipe", subjectId: id, what: "changed", version: number },
				changes: [{ field: "state", from: version.state, to: state }],
			});
			await reindex(tx, [id]);
			return { result: undefined, before: { versions: [{ recipe: id, before: inUse, after: number }] } };
		});
	});
}

/** Writes down what the dish costs on the menu; null when that is not known. */
export function setMenuPrice(
	store: Store,
	id: string,
	price_minor: number | null,
	who: string,
): Promise<void> {
	return store.write(async (tx) => {
		const before = await readRecipeRow(tx, id);
		if (before.menuPrice_minor === price_minor) return;
		const version = before.version + 1;
		await tx.update(recipe).set({ menuPrice_minor: price_minor, version }).where(eq(recipe.id, id));
		await record(tx, {
			who,
			subject: "recipe",
			subjectId: id,
			what: "changed",
			version,
			changes: [{ field: "menuPrice", from: before.menuPrice_minor, to: price_minor }],
		});
	});
}

/** Whether two versions say the same. */
export function sameRecipe(doc: Recipe | Preparation, other: Recipe | Preparation): boolean {
	return isEqual(doc, other);
}
