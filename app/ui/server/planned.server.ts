import type { Kitchen } from "#core/kitchen";
import { choosePansWith } from "#core/pans";
import { type BookedTwice, type Plan, type PreparedBatch, planSitting } from "#core/plan";
import { cookedRecipe, orderOf } from "#core/sitting";
import { type Database, type DishWithRecipe, readKitchen, type Sitting, withRecipes } from "#db";
import { integerSolver } from "#server/integerSolver";

/** Pans for a whole sitting, to the proven least. */
export const choosePansTogether = choosePansWith(integerSolver);

export interface PlannedDishRow {
	readonly dish: DishWithRecipe;
	/** Absent when it cannot be planned; then `refused` says why. */
	readonly plan?: Plan;
	readonly refused?: string;
}

/** A sitting planned: its dishes in order, and what is made in the house for them. */
export interface PlannedSittingRows {
	readonly rows: readonly PlannedDishRow[];
	readonly batches: readonly PreparedBatch[];
	/** What is wanted twice at one time. */
	readonly clashes: readonly BookedTwice[];
}

/** Sittings planned, and the kitchen with what their dishes are made of. */
export interface PlannedSittings {
	readonly kitchen: Kitchen;
	readonly planned: readonly ({ readonly sitting: Sitting } & PlannedSittingRows)[];
}

/** Stored sittings with their recipes, each planned for itself. */
export async function plannedSittings(db: Database, sittings: readonly Sitting[]): Promise<PlannedSittings> {
	const dishes = await withRecipes(
		db,
		sittings.flatMap((sitting) => sitting.dishes),
	);
	const kitchen = await readKitchen(
		db,
		dishes.map(({ recipe }) => recipe),
	);
	const byId = new Map(dishes.map((dish) => [dish.id, dish]));
	const planned = sittings.map((sitting) => {
		const own = sitting.dishes.flatMap(({ id }) => byId.get(id) ?? []);
		return { sitting, ...planDishes(own, sitting, kitchen) };
	});
	return { kitchen, planned };
}

/** One stored sitting with its recipes, planned. */
export async function plannedSitting(
	db: Database,
	sitting: Sitting,
): Promise<PlannedSittingRows & { readonly kitchen: Kitchen }> {
	const { kitchen, planned } = await plannedSittings(db, [sitting]);
	return { kitchen, ...(planned[0] as PlannedSittingRows) };
}

/** The same from dishes that are read already, or changed on trial. */
export function planDishes(
	dishes: readonly DishWithRecipe[],
	sitting: Pick<Sitting, "serviceAt" | "covers" | "hands">,
	kitchen: Kitchen,
): PlannedSittingRows {
	const planned = planSitting(
		dishes.map((dish) => ({ recipe: cookedRecipe(dish), order: orderOf(sitting, dish) })),
		kitchen,
		choosePansTogether,
	);
	const rows = dishes.map((given, index) => {
		const dish = { ...given, recipe: cookedRecipe(given) };
		const result = planned.dishes[index];
		if (result && "plan" in result) return { dish, plan: result.plan };
		return { dish, refused: result?.refused ?? "" };
	});
	return { rows, batches: planned.batches, clashes: planned.clashes };
}
