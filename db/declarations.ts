import { createHash } from "node:crypto";
import { and, desc, eq, gte, inArray } from "drizzle-orm";
import { chunk } from "es-toolkit";
import isEqual from "fast-deep-equal";
import {
	type Allergen,
	type Carried,
	carriedBy,
	carriedIn,
	type Fall,
	fallsBetween,
	type Ingredient,
	ingredientOf,
	swapped,
} from "#core/recipe";
import { DAY_MS } from "#core/time";
import { changesBetween, record } from "./events.ts";
import { readInside } from "./inside.ts";
import { readIngredients } from "./knownIngredients.ts";
import { AT_ONCE, reindex, usersOf } from "./listing.ts";
import { readLotsLeft, readMade } from "./record.ts";
import { Missing } from "./Stale.ts";
import type { Reader, Store, Transaction } from "./Store.ts";
import {
	type DeclaredBefore,
	declarationChange,
	house,
	ingredient,
	type Lowered,
	recipeListing,
	recipeState,
	recipeVersion,
	sitting,
	sittingDish,
} from "./schema.ts";

export type { DeclaredBefore, Lowered } from "./schema.ts";

/** Somebody has seen what falls, and puts a name under it. */
export interface Confirmed {
	/** Of what was shown: where it is another by now, it is shown anew. */
	readonly mark: string;
	readonly by: string;
}

/** Less would be declared than before of something, and nobody has put a name under it. Nothing has been written. */
export class AllergensFall extends Error {
	readonly lowered: readonly Lowered[];
	readonly mark: string;

	constructor(lowered: readonly Lowered[], mark: string) {
		super("less would be declared than before");
		this.name = "AllergensFall";
		this.lowered = lowered;
		this.mark = mark;
	}
}

/** What a change touches. */
export interface Touched {
	/** Short names of ingredients and of recipes. */
	readonly ids?: readonly string[];
	/** A sitting whose dishes change. */
	readonly sitting?: string;
}

/** A change of what is declared, as it is told afterwards. */
export interface DeclarationTold {
	readonly who: string;
	/** "light stock merged into vegetable stock" */
	readonly what: string;
	readonly confirmed?: Confirmed | undefined;
	/** It describes an ingredient that nobody had described: what was not known may be free of it then. */
	readonly describes?: boolean;
	/** It can be taken back though nothing falls. */
	readonly isKept?: boolean;
	readonly takesBack?: number;
}

/**
 * Does something that may change what is declared, and lets nothing fall in silence: of every ingredient,
 * recipe, dish of a sitting and lot that it touches, what is declared after is held against what was
 * declared before.
 *
 * @param change does it, in the same transaction, and gives what was there before
 * @throws {AllergensFall} where less would be declared and nobody confirmed just that by name
 */
export async function guarding<T>(
	tx: Transaction,
	touched: Touched,
	told: DeclarationTold,
	change: () => Promise<{ readonly result: T; readonly before: Partial<DeclaredBefore> | null }>,
): Promise<T> {
	const was = await readDeclared(tx, touched);
	const { result, before } = await change();
	const is = await readDeclared(tx, touched, was);
	const lowered = [...was.values()].flatMap(({ carried, ...thing }): Lowered[] => {
		const now = is.get(keyOf(thing));
		// What is there no more declares nothing.
		if (!now) return [];
		const falls = fallsBetween(carried, now.carried).filter(
			({ from }) => !(told.describes && from === "notKnown"),
		);
		return falls.length > 0 ? [{ ...thing, falls }] : [];
	});
	await tellLowered(tx, lowered, told, before);
	return result;
}

/** The same where what falls is known already. */
export async function tellLowered(
	tx: Transaction,
	lowered: readonly Lowered[],
	{ who, what, confirmed, isKept = false, takesBack }: DeclarationTold,
	before: Partial<DeclaredBefore> | null,
): Promise<void> {
	const mark = markOf(lowered);
	const by = confirmed?.by.trim() ?? "";
	if (lowered.length > 0 && (confirmed?.mark !== mark || by === "")) throw new AllergensFall(lowered, mark);
	if (lowered.length === 0 && !isKept && takesBack === undefined) return;
	await tx.insert(declarationChange).values({
		...{ at: Date.now(), who, what, lowered: [...lowered], takesBack: takesBack ?? null },
		confirmedBy: lowered.length > 0 ? by : "",
		before: before && { ingredients: [], versions: [], dishes: [], list: null, ...before },
	});
}

function markOf(lowered: readonly Lowered[]): string {
	return createHash("sha256").update(JSON.stringify(lowered)).digest("base64url").slice(0, 22);
}

/** A thing with what is declared of it. */
interface Declared extends Omit<Lowered, "falls"> {
	readonly carried: Carried;
}

function keyOf({ kind, id }: Pick<Declared, "kind" | "id">): string {
	return `${kind} ${id}`;
}

/** Food of sittings that are longer past is eaten. */
const EATEN_MS = 2 * DAY_MS;
/** Lots that were made longer ago are not looked for. */
const LOOKED_BACK_MS = 200 * DAY_MS;

/** What is declared of all that a change touches. @param was the same before it, so that no more is read after */
async function readDeclared(
	db: Reader,
	{ ids = [], sitting: own }: Touched,
	was?: ReadonlyMap<string, Declared>,
): Promise<Map<string, Declared>> {
	const recipes = was
		? [...was.values()].flatMap(({ kind, id }) => (kind === "dish" || kind === "preparation" ? [id] : []))
		: [...new Set([...ids, ...(await usersOf(db, ids))])];
	const listed = await readListed(db, recipes);
	const dishes = new Set(listed.filter(({ kind }) => kind === "dish").map(({ id }) => id));
	// A card alone is in no sitting and no lot: those keep the number that they were made by.
	const isInside = ids.some((id) => !dishes.has(id));
	if (!isInside && own === undefined) return keyed(listed);
	const known = await readIngredients(db);
	return keyed([
		...listed,
		...ids.flatMap((id) => ingredientDeclared(id, known, dishes)),
		...(await readOnSittings(db, known, own)),
		...(isInside ? await readInLots(db, known) : []),
	]);
}

function keyed(things: readonly Declared[]): Map<string, Declared> {
	return new Map(things.map((thing) => [keyOf(thing), thing]));
}

function ingredientDeclared(
	id: string,
	known: ReadonlyMap<string, Ingredient>,
	dishes: ReadonlySet<string>,
): Declared[] {
	const one = known.get(id);
	if (!one || one.made || dishes.has(id)) return [];
	// What was merged away goes by its own short name and means another.
	return [
		{
			kind: "ingredient",
			id,
			name: one.id === id ? one.name : id.replaceAll("-", " "),
			where: "",
			carried: carriedBy([one]),
		},
	];
}

async function readListed(db: Reader, ids: readonly string[]): Promise<Declared[]> {
	const found: Declared[] = [];
	for (const some of chunk([...ids], AT_ONCE)) {
		const rows = await db.select().from(recipeListing).where(inArray(recipeListing.recipeId, some));
		found.push(
			...rows.map(({ recipeId, kind, name, allergens, mayContain, notKnown }) => ({
				...{ kind, id: recipeId, name, where: "" },
				carried: { allergens, mayContain, notKnown },
			})),
		);
	}
	return found;
}

/** Dishes of sittings that are to come, or of one. */
async function readOnSittings(
	db: Reader,
	known: ReadonlyMap<string, Ingredient>,
	own: string | undefined,
): Promise<Declared[]> {
	const rows = await db
		.select({
			id: sittingDish.id,
			swaps: sittingDish.swaps,
			versionId: sittingDish.recipeVersionId,
			where: sitting.name,
		})
		.from(sittingDish)
		.innerJoin(sitting, eq(sitting.id, sittingDish.sittingId))
		.where(
			own === undefined
				? and(eq(sitting.calledOff, false), gte(sitting.serviceAt, Date.now() - EATEN_MS))
				: eq(sitting.id, own),
		);
	const versions = new Map<string, typeof recipeVersion.$inferSelect>();
	for (const some of chunk([...new Set(rows.map(({ versionId }) => versionId))], AT_ONCE))
		for (const row of await db.select().from(recipeVersion).where(inArray(recipeVersion.id, some)))
			versions.set(row.id, row);
	return rows.flatMap(({ id, swaps, versionId, where }): Declared[] => {
		const version = versions.get(versionId);
		if (!version || !("braise" in version.doc)) return [];
		const { lines } = swapped(version.doc, swaps);
		const carried = carriedBy(lines.map((line) => ingredientOf(line, known)));
		// Another dish in its place is not the same one with less in it.
		return [{ kind: "sitting", id: `${id} ${version.recipeId}`, name: version.doc.name, where, carried }];
	});
}

/** Lots of which something may be left. */
async function readInLots(db: Reader, known: ReadonlyMap<string, Ingredient>): Promise<Declared[]> {
	const lots = await readLotsLeft(db, Date.now() - LOOKED_BACK_MS);
	const made = await readMade(db, lots);
	const inside = await readInside(
		db,
		made.map(({ doc }) => doc),
		known,
	);
	return made.flatMap(({ doc }): Declared[] => {
		const { declared } = inside(doc);
		if (declared === null) return [];
		const where = doc.sitting;
		return [{ kind: "lot", id: String(doc.lot), name: doc.dish, where, carried: carriedIn(declared) }];
	});
}

export type DeclarationRow = typeof declarationChange.$inferSelect;

/** So many are shown. */
const MOST_SHOWN = 100;

/** What fell, was merged or taken in, the newest first; what was taken back is told with what took it back. */
export async function readDeclarations(
	db: Reader,
): Promise<readonly (DeclarationRow & { readonly takenBackBy: string | null })[]> {
	const rows = await db
		.select()
		.from(declarationChange)
		.orderBy(desc(declarationChange.id))
		.limit(2 * MOST_SHOWN);
	const back = new Map(rows.map(({ takesBack, who }) => [takesBack, who]));
	return rows
		.filter(({ takesBack }) => takesBack === null)
		.slice(0, MOST_SHOWN)
		.map((row) => ({ ...row, takenBackBy: back.get(row.id) ?? null }));
}

/**
 * Takes a change back whole: ingredients, numbers in use, swaps and the house's list are again as they
 * were. What somebody has changed since stays as it is.
 *
 * @throws {Missing} when there is none, or it was taken back already
 * @throws {AllergensFall} where that in turn lets something fall
 */
export function takeDeclarationBack(
	store: Store,
	id: number,
	{ who, confirmed }: { readonly who: string; readonly confirmed?: Confirmed | undefined },
): Promise<void> {
	return store.write(async (tx) => {
		const [row] = await tx.select().from(declarationChange).where(eq(declarationChange.id, id));
		const [gone] = await tx.select().from(declarationChange).where(eq(declarationChange.takesBack, id));
		const before = row?.before;
		if (!before || gone) throw new Missing("change of what is declared", String(id));
		const ids = [
			...before.ingredients.map((one) => one.before.id),
			...before.versions.map(({ recipe }) => recipe),
		];
		const told = { who, what: `taken back: ${row.what}`, confirmed, takesBack: id };
		const sittings = [...new Set(before.dishes.map((one) => one.sitting))];
		const own = sittings[0] === undefined ? {} : { sitting: sittings[0] };
		await guarding(tx, { ids, ...own }, told, async () => {
			for (const one of before.ingredients) await restoreIngredient(tx, one, who);
			for (const one of before.versions) await restoreVersion(tx, one, who);
			for (const one of before.dishes) await restoreDish(tx, one, who);
			if (before.list !== null) await restoreList(tx, before.list, who);
			await reindex(tx, ids);
			return { result: undefined, before: null };
		});
	});
}

async function restoreIngredient(
	tx: Transaction,
	{ before, after }: DeclaredBefore["ingredients"][number],
	who: string,
): Promise<void> {
	const [now] = await tx.select().from(ingredient).where(eq(ingredient.id, before.id));
	if (!now) return;
	const fields = Object.entries(now).map(([field, value]) => [
		field,
		isEqual(value ?? null, after[field] ?? null) ? (before[field] ?? null) : value,
	]);
	const version = now.version + 1;
	const restored = { ...now, ...Object.fromEntries(fields), id: now.id, version };
	await tx.update(ingredient).set(restored).where(eq(ingredient.id, now.id));
	await record(tx, {
		...{ who, subject: "ingredient", subjectId: now.id, what: "changed", version },
		changes: changesBetween(now, restored),
	});
}

async function restoreVersion(
	tx: Transaction,
	{ recipe, before, after }: DeclaredBefore["versions"][number],
	who: string,
): Promise<void> {
	const rows = await tx.select().from(recipeVersion).where(eq(recipeVersion.recipeId, recipe));
	const set = async (number: number, state: "standard" | "retired") => {
		const version = rows.find((row) => row.number === number);
		if (!version) return;
		const reason = "What took its place was taken back.";
		await tx.insert(recipeState).values({ recipeVersionId: version.id, state, at: Date.now(), who, reason });
		await record(tx, {
			...{ who, subject: "recipe", subjectId: recipe, what: "changed", version: number },
			changes: [{ field: "state", from: null, to: state }],
		});
	};
	await set(after, "retired");
	if (before !== null && before !== after) await set(before, "standard");
}

async function restoreDish(
	tx: Transaction,
	{ sitting: id, dish, before }: DeclaredBefore["dishes"][number],
	who: string,
): Promise<void> {
	const [row] = await tx.select().from(sitting).where(eq(sitting.id, id));
	const [now] = await tx.select().from(sittingDish).where(eq(sittingDish.id, dish));
	if (!row || !now) return;
	const version = row.version + 1;
	const fields = { swaps: [...before.swaps], recipeVersionId: before.recipeVersionId };
	await tx.update(sittingDish).set(fields).where(eq(sittingDish.id, dish));
	await tx.update(sitting).set({ version }).where(eq(sitting.id, id));
	await record(tx, {
		...{ who, subject: "sitting", subjectId: id, what: "changed", version },
		changes: [
			{ field: `dishes.${dish}.swaps`, from: now.swaps, to: fields.swaps },
			{ field: `dishes.${dish}.recipeVersionId`, from: now.recipeVersionId, to: fields.recipeVersionId },
		],
	});
}

async function restoreList(
	tx: Transaction,
	list: NonNullable<DeclaredBefore["list"]>,
	who: string,
): Promise<void> {
	const [now] = await tx.select().from(house).limit(1);
	if (!now) return;
	const version = now.version + 1;
	await tx.update(house).set({ allergenList: list, version }).where(eq(house.id, now.id));
	await record(tx, {
		...{ who, subject: "house", subjectId: now.id, what: "changed", version },
		changes: [{ field: "allergenList", from: now.allergenList, to: list }],
	});
}

/** Allergens that a list names and another does not: nobody declares them any more. */
export function listFalls(from: readonly Allergen[], to: readonly Allergen[]): Fall[] {
	return from
		.filter((name) => !to.includes(name))
		.map((allergen) => ({ allergen, from: "contains", to: null }));
}
