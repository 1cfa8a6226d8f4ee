import { choosePansWith } from "#core/pans";
import type { Kitchen } from "#core/plan";
import { type Plan, planSitting } from "#core/plan";
import { cookedRecipe, type Database, type DishWithRecipe, orderOf, type Sitting, withRecipes } from "#db";
import { integerSolver } from "#server/integerSolver";

/** Pans for a whole sitting, to the proven least. */
export const choosePansTogether = choosePansWith(integerSolver);

export interface PlannedDishRow {
	readonly dish: DishWithRecipe;
	/** Absent when it cannot be planned; then `refused` says why. */
	readonly plan?: Plan;
	readonly refused?: string;
}

/** The dishes of a sitting with their recipes and plans, in order. */
export async function plannedDishes(
	db: Database,
	sitting: Sitting,
	kitchen: Kitchen,
): Promise<PlannedDishRow[]> {
	const dishes = await withRecipes(db, sitting.dishes);
	return planDishes(dishes, sitting, kitchen);
}

/** The same from dishes that are read already, or changed on trial. */
export function planDishes(
	dishes: readonly DishWithRecipe[],
	sitting: Pick<Sitting, "serviceAt" | "covers" | "hands">,
	kitchen: Kitchen,
): PlannedDishRow[] {
	const planned = planSitting(
		dishes.map((dish) => ({ id: dish.id, recipe: cookedRecipe(dish), order: orderOf(sitting, dish) })),
		kitchen,
		choosePansTogether,
	);
	return dishes.map((given, index) => {
		const dish = { ...given, recipe: cookedRecipe(given) };
		const result = planned[index];
		if (result && "plan" in result) return { dish, plan: result.plan };
		return { dish, refused: result?.refused ?? "" };
	});
}
