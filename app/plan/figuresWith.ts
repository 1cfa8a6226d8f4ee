import { changesOf } from "#core/day";
import type { PlanFigures } from "#core/dish";
import type { DishWithRecipe } from "#db";
import { sittingNeeds } from "../ui/server/needs.server.ts";
import type { WorkedTable } from "../ui/server/worked.server.ts";

/**
 * The figures of a dish with something of it settled otherwise, in the oven and at the temperature
 * that it has in its day: what two ways differ in is then the ways alone.
 *
 * @returns undefined where it can not be planned so
 */
export function figuresWith(
	{ sitting, kitchen, rows, on }: WorkedTable,
	dishId: string,
	other: Partial<DishWithRecipe>,
): PlanFigures | undefined {
	const stands = rows.find(({ dish }) => dish.id === dishId);
	if (!stands?.plan) return undefined;
	const { dishes } = sittingNeeds({
		sitting,
		dishes: rows.map(({ dish, card }) => ({ ...dish, recipe: card, ...(dish.id === dishId ? other : {}) })),
		kitchen,
		// What is lent is in the kitchen already.
		changes: changesOf(on.given().changes ?? [], "heat"),
		stamp: `${on.mark} otherwise`,
	});
	const found = dishes.find(({ dish }) => dish.id === dishId)?.needs;
	return found && "needs" in found ? found.needs.at(stands.plan.standing) : undefined;
}
