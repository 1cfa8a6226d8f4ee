import { and, asc, desc, eq, inArray, isNull, ne, or, type SQL, sql } from "drizzle-orm";
import { chunk, groupBy } from "es-toolkit";
import {
	ALLERGENS,
	type Allergen,
	carriedBy,
	type Ingredient,
	isPreparation,
	namedIn,
	type Preparation,
	plainName,
	type Recipe,
	type RecipeState,
	versionInUse,
} from "#core/recipe";
import { type Cut, cutWords } from "#core/trade";
import { readIngredients } from "./knownIngredients.ts";
import type { Reader, Store, Transaction } from "./Store.ts";
import { recipe, recipeListing, recipeState, recipeUses, recipeVersion } from "./schema.ts";

export type ListingRow = typeof recipeListing.$inferSelect;

/** What is looked for in the book. */
export interface Sought {
	/** Words, or beginnings of words, that all have to be somewhere. */
	readonly find?: string;
	readonly kind?: "dish" | "preparation";
	readonly state?: RecipeState;
	readonly cut?: Cut;
	/** Without any of these. */
	readonly without?: readonly Allergen[];
	readonly tag?: string;
	/** At its best in that month, 1 to 12, or all year. */
	readonly month?: number;
	readonly sort?: "name" | "newest";
	readonly offset?: number;
	readonly limit?: number;
}

export interface Found {
	readonly rows: readonly ListingRow[];
	/** How many there are in all. */
	readonly count: number;
}

const PAGE = 50;

/** Recipes that are looked for, a page of them. Retired ones show only when they are asked for. */
export async function findRecipes(db: Reader, sought: Sought): Promise<Found> {
	const wanted = and(...conditionsOf(sought));
	const order = sought.sort === "newest" ? [desc(recipeListing.at)] : BY_FAMILY;
	const [rows, [total]] = await Promise.all([
		db
			.select()
			.from(recipeListing)
			.where(wanted)
			.orderBy(...order)
			.limit(sought.limit ?? PAGE)
			.offset(sought.offset ?? 0),
		db.select({ count: sql<number>`count(*)` }).from(recipeListing).where(wanted),
	]);
	return { rows, count: total?.count ?? 0 };
}

/** More cards than this are not chosen from a list. */
const MOST_BASES = 300;

/** Dishes that another can be a variant of, by name: none that is a variant itself, and not that one. */
export function findBases(
	db: Reader,
	besides: string,
): Promise<{ readonly id: string; readonly name: string; readonly number: number }[]> {
	return db
		.select({ id: recipeListing.recipeId, name: recipeListing.name, number: recipeListing.number })
		.from(recipeListing)
		.where(
			and(
				eq(recipeListing.kind, "dish"),
				isNull(recipeListing.variantOf),
				ne(recipeListing.recipeId, besides),
				sql`${recipeListing.state} <> 'retired'`,
			),
		)
		.orderBy(asc(recipeListing.sortName))
		.limit(MOST_BASES);
}

/** A base and its variants, or a dish alone: everything that is one family with a dish, the base first. */
export async function readFamily(db: Reader, id: string): Promise<ListingRow[]> {
	const [own] = await db.select().from(recipeListing).where(eq(recipeListing.recipeId, id));
	const base = own?.variantOf ?? id;
	const rows = await db
		.select()
		.from(recipeListing)
		.where(or(eq(recipeListing.recipeId, base), eq(recipeListing.variantOf, base)))
		.orderBy(asc(recipeListing.sortName));
	const isBase = ({ recipeId }: ListingRow) => recipeId === base;
	return [...rows.filter(isBase), ...rows.filter((row) => !isBase(row) && row.state !== "retired")];
}

/** By name, a variant after its base. */
const BY_FAMILY: readonly SQL[] = [
	sql`coalesce((select base.sort_name from ${recipeListing} base where base.recipe_id = ${recipeListing.variantOf}), ${recipeListing.sortName})`,
	sql`${recipeListing.variantOf} is not null`,
	asc(recipeListing.sortName),
];

function conditionsOf({ find = "", kind, state, cut, without = [], tag, month }: Sought): SQL[] {
	const match = matching(find);
	return [
		...(match
			? [
					sql`${recipeListing.recipeId} in (select recipe_id from recipe_search where recipe_search match ${match})`,
				]
			: []),
		...(kind ? [eq(recipeListing.kind, kind)] : []),
		state ? eq(recipeListing.state, state) : sql`${recipeListing.state} <> 'retired'`,
		...(cut ? [eq(recipeListing.cut, cut)] : []),
		// Free of it is only what neither contains it, nor may contain it, nor might for all that is known.
		...without.flatMap((allergen) =>
			[recipeListing.allergens, recipeListing.mayContain, recipeListing.notKnown].map(
				(column) => sql`not exists (select 1 from json_each(${column}) where value = ${allergen})`,
			),
		),
		...(month
			? [
					sql`(${recipeListing.season} = '[]' or exists (select 1 from json_each(${recipeListing.season}) where value = ${month}))`,
				]
			: []),
		...(tag ? [sql`exists (select 1 from json_each(${recipeListing.tags}) where value = ${tag})`] : []),
	];
}

/** Typed words as a full-text query: every word, as the beginning of one. */
function matching(find: string): string {
	const words = find.match(/[\p{L}\p{N}]+/gu) ?? [];
	return words
		.slice(0, 12)
		.map((word) => `"${word}"*`)
		.join(" ");
}

/** Tags in use with how many recipes have each, most used first. */
export async function readTags(db: Reader): Promise<{ tag: string; count: number }[]> {
	return db.all<{ tag: string; count: number }>(
		sql`select value as tag, count(*) as count from ${recipeListing}, json_each(${recipeListing.tags}) group by value order by count desc, value limit 40`,
	);
}

interface CurrentVersion {
	readonly recipeId: string;
	readonly number: number;
	readonly doc: Recipe | Preparation;
	readonly state: RecipeState;
	readonly at: number;
}

/** The version of each recipe that holds now. */
async function readCurrent(db: Reader, ids: readonly string[]): Promise<CurrentVersion[]> {
	const current: CurrentVersion[] = [];
	for (const some of chunk(ids, AT_ONCE)) {
		const rows = await db
			.select({
				recipeId: recipeVersion.recipeId,
				number: recipeVersion.number,
				doc: recipeVersion.doc,
				state: recipeState.state,
				at: recipeVersion.createdAt,
			})
			.from(recipeVersion)
			.innerJoin(recipeState, eq(recipeState.recipeVersionId, recipeVersion.id))
			.where(inArray(recipeVersion.recipeId, some))
			.orderBy(asc(recipeState.id));
		const states = new Map(rows.map((row) => [`${row.recipeId} ${row.number}`, row]));
		const byRecipe = groupBy([...states.values()], ({ recipeId }) => recipeId);
		current.push(...Object.values(byRecipe).flatMap((versions) => versionInUse(versions) ?? []));
	}
	return current;
}

/** Most values one statement is given. */
export const AT_ONCE = 100;

/**
 * Writes what lists and searches say anew, in the transaction of the change, of all that is made
 * with something: what is in a preparation is in every dish of it.
 *
 * @param ids recipes that changed, and ingredients
 */
export async function reindex(tx: Transaction, ids: readonly string[]): Promise<void> {
	if (ids.length === 0) return;
	const versions = await readCurrent(tx, [...new Set([...ids, ...(await usersOf(tx, ids))])]);
	// What is made has to be listed before those that use it are described.
	await writeListing(
		tx,
		versions.filter(({ doc }) => isPreparation(doc)),
		new Map(),
	);
	const known = await readIngredients(tx);
	await writeListing(tx, versions, known);
	await writeSearch(tx, versions, known);
}

/** Recipes that name any of some ingredients themselves or through what is made from them. */
export async function usersOf(tx: Reader, ids: readonly string[]): Promise<string[]> {
	const found = new Set<string>();
	let names = [...ids];
	while (names.length > 0) {
		const rows: { recipeId: string }[] = [];
		for (const some of chunk(names, AT_ONCE)) {
			rows.push(
				...(await tx
					.select({ recipeId: recipeUses.recipeId })
					.from(recipeUses)
					.where(inArray(recipeUses.ingredientId, some))),
			);
		}
		names = rows.map(({ recipeId }) => recipeId).filter((recipeId) => !found.has(recipeId));
		for (const name of names) found.add(name);
	}
	return [...found];
}

async function writeListing(
	tx: Transaction,
	versions: readonly CurrentVersion[],
	known: ReadonlyMap<string, Ingredient>,
): Promise<void> {
	for (const some of chunk(versions, AT_ONCE)) {
		const ids = some.map(({ recipeId }) => recipeId);
		await tx.delete(recipeUses).where(inArray(recipeUses.recipeId, ids));
		await tx.delete(recipeListing).where(inArray(recipeListing.recipeId, ids));
		await tx.insert(recipeListing).values(some.map((version) => listed(version, known)));
		const uses = some.flatMap(({ recipeId, doc }) =>
			namedIn(doc.lines).map((ingredientId) => ({
				recipeId,
				ingredientId,
			})),
		);
		for (const part of chunk(uses, AT_ONCE)) await tx.insert(recipeUses).values(part);
	}
}

function listed(
	{ recipeId, number, doc, state, at }: CurrentVersion,
	known: ReadonlyMap<string, Ingredient>,
): ListingRow {
	const inside = doc.lines.flatMap((line) => known.get(line.ingredient) ?? []);
	return {
		recipeId,
		number,
		state,
		at,
		kind: isPreparation(doc) ? "preparation" : "dish",
		name: doc.name,
		sortName: plainName(doc.name),
		summary: doc.summary,
		cut: isPreparation(doc) ? null : doc.cut,
		...carriedBy(inside),
		tags: doc.tags ?? [],
		variantOf: isPreparation(doc) ? null : (doc.variantOf?.recipe ?? null),
		season: isPreparation(doc) ? [] : (doc.season ?? []),
	};
}

async function writeSearch(
	tx: Transaction,
	versions: readonly CurrentVersion[],
	known: ReadonlyMap<string, Ingredient>,
): Promise<void> {
	for (const some of chunk(versions, AT_ONCE)) {
		const ids = some.map(({ recipeId }) => recipeId);
		await tx.run(sql`delete from recipe_search where recipe_id in ${ids}`);
		const rows = some.map((version) => {
			const { doc, recipeId } = version;
			const row = listed(version, known);
			const names = doc.lines.map((line) => known.get(line.ingredient)?.name ?? line.ingredient);
			const allergens = row.allergens.map((allergen) => ALLERGENS[allergen]);
			const cut = row.cut ? cutWords(row.cut) : "";
			return sql`(${recipeId}, ${doc.name}, ${names.join(" ")}, ${cut}, ${allergens.join(" ")}, ${row.tags.join(" ")}, ${doc.summary})`;
		});
		await tx.run(
			sql`insert into recipe_search (recipe_id, name, ingredients, cut, allergens, tags, summary) values ${sql.join(rows, sql`, `)}`,
		);
	}
}

/** Lists every recipe anew when some are not listed, as after a change of the store's own shape. */
export function ensureListed(store: Store): Promise<void> {
	return store.write(async (tx) => {
		const all = await tx.select({ id: recipe.id }).from(recipe);
		const listedIds = await tx.select({ id: recipeListing.recipeId }).from(recipeListing);
		if (all.length === listedIds.length) return;
		await reindex(
			tx,
			all.map(({ id }) => id),
		);
	});
}
