import { and, asc, eq, gte, inArray, lt } from "drizzle-orm";
import { groupBy } from "es-toolkit";
import isEqual from "fast-deep-equal";
import { isPreparation, type Recipe, type RecipeState } from "#core/recipe";
import { type SittingDish, sharedOut } from "#core/sitting";
import { withLife } from "./book.ts";
import { changeRow } from "./changeRow.ts";
import { type Confirmed, guarding } from "./declarations.ts";
import { changesBetween, record } from "./events.ts";
import { newId } from "./newId.ts";
import { Missing } from "./Stale.ts";
import type { Reader, Store, Transaction } from "./Store.ts";
import { type Change, recipeVersion, sitting, sittingDish } from "./schema.ts";

type SittingRow = typeof sitting.$inferSelect;
type DishRow = typeof sittingDish.$inferSelect;

/** A sitting with its dishes in order. */
export interface Sitting extends SittingRow {
	readonly dishes: readonly SittingDish[];
}

/** A dish with the recipe version it was planned with. */
export interface DishWithRecipe extends SittingDish {
	readonly recipeId: string;
	readonly number: number;
	readonly state: RecipeState;
	readonly recipe: Recipe;
}

export type SittingDetails = Pick<SittingRow, "name" | "room" | "serviceAt" | "covers" | "hands" | "note"> &
	Partial<Pick<SittingRow, "diets" | "houseCode" | "codeReason" | "carry" | "guests">>;

/** Sittings from one instant to before another, soonest first. */
export async function readSittings(db: Reader, from: number, to: number): Promise<Sitting[]> {
	const rows = await db
		.select()
		.from(sitting)
		.where(and(gte(sitting.serviceAt, from), lt(sitting.serviceAt, to)))
		.orderBy(asc(sitting.serviceAt));
	if (rows.length === 0) return [];
	const dishes = await db
		.select()
		.from(sittingDish)
		.where(
			inArray(
				sittingDish.sittingId,
				rows.map((row) => row.id),
			),
		)
		.orderBy(asc(sittingDish.position));
	const dishesOf = groupBy(dishes, ({ sittingId }) => sittingId);
	return rows.map((row) => sittingOfRow(row, dishesOf[row.id] ?? []));
}

/** @throws {Missing} when there is no such sitting */
export async function readSitting(db: Reader, id: string): Promise<Sitting> {
	const [row] = await db.select().from(sitting).where(eq(sitting.id, id));
	if (!row) throw new Missing("sitting", id);
	const dishes = await db
		.select()
		.from(sittingDish)
		.where(eq(sittingDish.sittingId, id))
		.orderBy(asc(sittingDish.position));
	return sittingOfRow(row, dishes);
}

/** Sittings by their ids, as far as they are there, soonest first. */
export async function readSittingsById(db: Reader, ids: readonly string[]): Promise<Sitting[]> {
	if (ids.length === 0) return [];
	const rows = await db
		.select()
		.from(sitting)
		.where(inArray(sitting.id, [...ids]))
		.orderBy(asc(sitting.serviceAt));
	return rows.map((row) => sittingOfRow(row, []));
}

/** The sitting of a dish. @throws {Missing} when there is no such dish */
export async function sittingOf(db: Reader, dishId: string): Promise<Sitting> {
	const [row] = await db
		.select({ id: sittingDish.sittingId })
		.from(sittingDish)
		.where(eq(sittingDish.id, dishId));
	if (!row) throw new Missing("dish", dishId);
	return readSitting(db, row.id);
}

/** The dishes of sittings with their recipes, in one read. */
export async function withRecipes(db: Reader, dishes: readonly SittingDish[]): Promise<DishWithRecipe[]> {
	if (dishes.length === 0) return [];
	const ids = [...new Set(dishes.map((dish) => dish.recipeVersionId))];
	const rows = await db.select().from(recipeVersion).where(inArray(recipeVersion.id, ids));
	const byId = new Map((await withLife(db, rows)).map((version) => [version.id, version]));
	return dishes.map((dish) => {
		const version = byId.get(dish.recipeVersionId);
		if (!version) throw new Missing("recipe version", dish.recipeVersionId);
		if (isPreparation(version.doc)) throw new Missing("dish", version.recipeId);
		const { recipeId, number, state, doc } = version;
		return { ...dish, recipeId, number, state, recipe: doc };
	});
}

/** Adds a sitting and gives its id. */
export function addSitting(
	store: Store,
	who: string,
	details: SittingDetails,
	dishes: readonly SittingDish[] = [],
): Promise<string> {
	const id = newId();
	return store.write(async (tx) => {
		await tx.insert(sitting).values({ ...details, id });
		await writeDishes(tx, id, dishes, []);
		const changes = changesBetween(
			{},
			flat({
				diets: [],
				houseCode: null,
				codeReason: "",
				carry: null,
				guests: null,
				inHouse_g: {},
				...details,
				calledOff: false,
				dishes,
			}),
		);
		await record(tx, { who, subject: "sitting", subjectId: id, what: "added", version: 1, changes });
		return id;
	});
}

/**
 * Changes a sitting and its dishes as one.
 *
 * @param version the version that was read
 * @param change  gives the sitting as it is to be
 * @throws {Stale} when somebody changed it in between; nothing is written
 * @throws {AllergensFall} where less would be declared of a dish, and nobody confirmed it
 */
export function changeSitting(
	store: Store,
	id: string,
	version: number,
	who: string,
	change: (now: Sitting) => Sitting,
	confirmed?: Confirmed,
): Promise<void> {
	let before: readonly SittingDish[] = [];
	return changeRow<Sitting>(who, store, {
		subject: "sitting",
		id,
		version,
		read: async (tx) => {
			const now = await readSitting(tx, id);
			before = now.dishes;
			return now;
		},
		change,
		told: flat,
		write: async (tx, { dishes, id: _, ...fields }) => {
			const changed = before.filter((dish) => {
				const after = dishes.find((one) => one.id === dish.id);
				return after && !isMadeSame(dish, after);
			});
			const write = async () => {
				await tx.update(sitting).set(fields).where(eq(sitting.id, id));
				await writeDishes(tx, id, dishes, before);
				const swapped = changed.map(({ id: dish, swaps, recipeVersionId }) => ({
					...{ sitting: id, dish, before: { swaps, recipeVersionId } },
				}));
				return { result: undefined, before: { dishes: swapped } };
			};
			if (changed.length === 0) await write();
			else await guarding(tx, { sitting: id }, { who, what: `${fields.name}, its dishes`, confirmed }, write);
		},
	});
}

/** Whether a dish is made of the same things. */
function isMadeSame(one: SittingDish, other: SittingDish): boolean {
	return one.recipeVersionId === other.recipeVersionId && isEqual(one.swaps, other.swaps);
}

/**
 * The dishes of a sitting as they are to be: those that are there are updated in place, and those
 * that have not changed are let be.
 */
async function writeDishes(
	tx: Transaction,
	sittingId: string,
	dishes: readonly SittingDish[],
	before: readonly SittingDish[],
) {
	const kept = new Set(dishes.map(({ id }) => id));
	const gone = before.filter(({ id }) => !kept.has(id)).map(({ id }) => id);
	if (gone.length > 0) await tx.delete(sittingDish).where(inArray(sittingDish.id, gone));
	for (const [position, dish] of dishes.entries()) {
		if (isEqual(before[position], dish)) continue;
		const { id, ...fields } = dish;
		const row = { ...fields, sittingId, position };
		await tx
			.insert(sittingDish)
			.values({ ...row, id })
			.onConflictDoUpdate({ target: sittingDish.id, set: row });
	}
}

/** A sitting with the share of the covers that each dish comes to. */
function sittingOfRow(row: SittingRow, dishes: readonly DishRow[]): Sitting {
	return { ...row, dishes: sharedOut(row.covers, dishes.map(withoutPlace)) };
}

function withoutPlace({ sittingId: _, position: __, ...dish }: DishRow): SittingDish {
	return dish;
}

/** A sitting as flat fields, so that an event can say exactly which changed. */
function flat(
	sitting: Omit<Sitting, "id" | "version"> & { readonly version?: number; readonly id?: string },
): Record<string, Change["from"]> {
	const { dishes, version: _, id: __, ...details } = sitting;
	return {
		...details,
		...Object.fromEntries(
			dishes.flatMap(({ id, ...dish }, position) =>
				Object.entries({ ...dish, position }).map(([field, value]) => [`dishes.${id}.${field}`, value]),
			),
		),
	};
}
