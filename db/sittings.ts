import { and, asc, eq, gte, inArray, lt } from "drizzle-orm";
import { nanoid } from "nanoid";
import type { DishOrder } from "#core/plan";
import { isPreparation, type Recipe } from "#core/recipe";
import { withLife } from "./book.ts";
import { changesBetween, eventsSince, record } from "./events.ts";
import { Missing, Stale } from "./Stale.ts";
import type { Reader, Store, Transaction } from "./Store.ts";
import { type Change, type RecipeState, recipeVersion, sitting, sittingDish } from "./schema.ts";

type SittingRow = typeof sitting.$inferSelect;
type DishRow = typeof sittingDish.$inferSelect;

/** A dish as a sitting keeps it, without its place in the row. */
export type SittingDish = Omit<DishRow, "sittingId" | "position">;

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
	Partial<Pick<SittingRow, "diets">>;

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
	return rows.map((row) => ({
		...row,
		dishes: dishes.filter((dish) => dish.sittingId === row.id).map(withoutPlace),
	}));
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
	return { ...row, dishes: dishes.map(withoutPlace) };
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

/** A dish new on a sitting, from covers, with nothing chosen yet. */
export function newDish(recipeVersionId: string, uptake: number, spare: number): SittingDish {
	return {
		id: nanoid(10),
		recipeVersionId,
		uptake,
		spare,
		basis: "covers",
		onHand_g: null,
		panCount: null,
		panTypeId: null,
		panWishes: [],
		line: null,
		colour: null,
	};
}

/** Adds a sitting and gives its id. */
export function addSitting(
	store: Store,
	who: string,
	details: SittingDetails,
	dishes: readonly SittingDish[] = [],
): Promise<string> {
	const id = nanoid(10);
	return store.write(async (tx) => {
		await tx.insert(sitting).values({ ...details, id });
		await writeDishes(tx, id, dishes);
		const changes = changesBetween({}, flat({ diets: [], ...details, calledOff: false, dishes }));
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
 */
export function changeSitting(
	store: Store,
	id: string,
	version: number,
	who: string,
	change: (now: Sitting) => Sitting,
): Promise<void> {
	return store.write(async (tx) => {
		const before = await readSitting(tx, id);
		if (before.version !== version) {
			throw new Stale(before.version, await eventsSince(tx, "sitting", id, version));
		}
		const after = change(before);
		const changes = changesBetween(flat(before), flat(after));
		if (changes.length === 0) return;
		const { dishes, id: _, version: __, ...fields } = after;
		const next = version + 1;
		await tx
			.update(sitting)
			.set({ ...fields, version: next })
			.where(eq(sitting.id, id));
		await tx.delete(sittingDish).where(eq(sittingDish.sittingId, id));
		await writeDishes(tx, id, dishes);
		await record(tx, { who, subject: "sitting", subjectId: id, what: "changed", version: next, changes });
	});
}

async function writeDishes(tx: Transaction, sittingId: string, dishes: readonly SittingDish[]) {
	if (dishes.length === 0) return;
	await tx.insert(sittingDish).values(dishes.map((dish, position) => ({ ...dish, sittingId, position })));
}

function withoutPlace({ sittingId: _, position: __, ...dish }: DishRow): SittingDish {
	return dish;
}

/** A sitting as flat fields, so that an event can say exactly which changed. */
function flat(one: Omit<Sitting, "id" | "version">): Record<string, Change["from"]> {
	const { dishes, ...details } = one;
	return {
		...details,
		...Object.fromEntries(
			dishes.flatMap(({ id, ...dish }, position) =>
				Object.entries({ ...dish, position }).map(([field, value]) => [`dishes.${id}.${field}`, value]),
			),
		),
	};
}

/** The recipe as this sitting cooks it: with its own liquid line, where it has one. */
export function cookedRecipe({ recipe, line }: Pick<DishWithRecipe, "recipe" | "line">): Recipe {
	return line === null ? recipe : { ...recipe, braise: { ...recipe.braise, line } };
}

/** A dish as the plan takes it. */
export function orderOf(
	{ serviceAt, covers, hands }: Pick<Sitting, "serviceAt" | "covers" | "hands">,
	dish: SittingDish,
): DishOrder {
	const { id, uptake, spare, panTypeId, panWishes, colour } = dish;
	return { id, serviceAt, covers, hands, uptake, spare, panTypeId, panWishes, colour, basis: basisOf(dish) };
}

function basisOf({ basis, onHand_g, panCount }: SittingDish): DishOrder["basis"] {
	if (basis === "onHand" && onHand_g !== null) return { from: "onHand", onHand_kg: onHand_g / 1000 };
	if (basis === "pans" && panCount !== null) return { from: "pans", pans: panCount };
	return { from: "covers" };
}
