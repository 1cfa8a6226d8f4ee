import { must } from "../check/index.ts";
import { KITCHEN, ORDER, RECIPE } from "../dish/dish.testing.ts";
import { type DishOrder, planSitting } from "../dish/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { type Day, type DayGiven, placeDay, type SittingOfDay, type WorkedDish } from "./index.ts";

interface Dish {
	readonly id: string;
	readonly recipe?: Recipe;
	readonly order?: Partial<DishOrder>;
}

/** A sitting of some dishes, planned. */
export function sitting(
	id: string,
	dishes: readonly Dish[],
	{ serviceAt = ORDER.serviceAt, hands = 2, kitchen = KITCHEN } = {},
): SittingOfDay {
	const planned = planSitting(
		dishes.map(({ id: dish, recipe = RECIPE, order }) => ({
			recipe,
			order: { ...ORDER, ...order, id: dish, serviceAt, hands },
		})),
		kitchen,
	);
	return {
		id,
		name: id,
		serviceAt,
		hands,
		dishes: planned.flatMap((dish) => ("needs" in dish ? [dish.needs] : [])),
	};
}

/** A day of some sittings in the kitchen of the tests. */
export const givenDay = (sittings: readonly SittingOfDay[], more: Partial<DayGiven> = {}): DayGiven => ({
	kitchen: KITCHEN,
	cooks: [],
	places: [],
	sittings,
	...more,
});

export const usesOf = ({ tasks }: Day, equipment: string) =>
	tasks.flatMap(({ uses }) => uses.filter((use) => use.equipment === equipment));
export const taskOf = ({ tasks }: Day, id: string) => {
	const task = tasks.find((one) => one.id === id);
	if (!task) throw new Error(`there is no ${id}`);
	return task;
};

/** A dish as it stands in a day on which nothing else is cooked. */
export function workedIn(recipe: Recipe, order: DishOrder, kitchen = KITCHEN): WorkedDish {
	const { id, serviceAt, hands } = order;
	const one = sitting("alone", [{ id, recipe, order }], { serviceAt, hands, kitchen });
	const day = placeDay(givenDay([one], { kitchen }), { seed: 1, steps: 20_000 });
	return must(day.dishes, id, "dish");
}
