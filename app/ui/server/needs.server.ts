import { LRUCache } from "lru-cache";
import { changesOf, type DayChange, withBorrowed } from "#core/day";
import { planSitting, type SittingDish } from "#core/dish";
import type { Kitchen } from "#core/kitchen";
import { choosePansWith } from "#core/pans";
import type { Recipe } from "#core/recipe";
import type { HouseCode } from "#core/safety";
import { cookedRecipe, heatedAt, orderOf } from "#core/sitting";
import { codeIn, type DishWithRecipe, type Sitting } from "#db";
import { integerSolver } from "#server/integerSolver";

/** Pans for a whole sitting, to the proven least. */
export const choosePansTogether = choosePansWith(integerSolver);

/** A sitting with what each of its dishes needs, or why one can not be planned. */
export interface SittingNeeds {
	readonly sitting: Sitting;
	/** As it works in it: to its own house code, with what is lent. */
	readonly kitchen: Kitchen;
	readonly dishes: readonly {
		/** With its recipe as it is cooked. */
		readonly dish: DishWithRecipe;
		/** The recipe as the book has it. */
		readonly card: Recipe;
		readonly needs: SittingDish;
	}[];
}

/** The kitchen as a sitting works in it: to its own house code, where it has one. */
export function inCodeOf(
	kitchen: Kitchen,
	{ houseCode }: Pick<Sitting, "houseCode">,
	codes: ReadonlyMap<string, HouseCode>,
): Kitchen {
	if (houseCode === null) return kitchen;
	return { ...kitchen, policy: { ...kitchen.policy, code: codeIn(codes, houseCode) } };
}

/** Needs of so many sittings are remembered: most of a day stays while one of them is changed. */
const remembered = new LRUCache<string, SittingNeeds>({ max: 48 });

export interface NeedsAsked {
	readonly sitting: Sitting;
	readonly dishes: readonly DishWithRecipe[];
	/** In the sitting's own house code, before anything is lent. */
	readonly kitchen: Kitchen;
	/** What is told of its day. */
	readonly changes: readonly DayChange[];
	/** Stands for everything else that needs depend on: kitchen, house and ingredients. */
	readonly stamp: string;
}

/** What the dishes of a sitting need, as it is told: at other temperatures, with what is lent. */
export function sittingNeeds({ sitting, dishes, kitchen, changes, stamp }: NeedsAsked): SittingNeeds {
	const own = dishes.map((dish) => heatedOn(dish, changes));
	const told = own.map(({ recipe: _, ...facts }, index) => [facts, own[index] === dishes[index]]);
	const heats = changesOf(changes, "heat").filter(({ for: id }) => own.some((dish) => dish.id === id));
	const { name: _, room: __, note: ___, version: ____, ...facts } = sitting;
	const key = JSON.stringify([stamp, facts, told, heats, changesOf(changes, "borrowed")]);
	const found = remembered.get(key);
	if (found) return { ...found, sitting };
	const lent = withBorrowed(kitchen, changes);
	const cooked = own.map((dish) => ({ ...dish, recipe: cookedRecipe(dish) }));
	const needs = planSitting(
		cooked.map((dish) => ({ recipe: dish.recipe, order: orderOf(sitting, dish) })),
		lent,
		choosePansTogether,
	);
	const made = {
		sitting,
		kitchen: lent,
		dishes: cooked.flatMap((dish, index) => {
			const [one, stored] = [needs[index], dishes[index]];
			return one && stored ? [{ dish, card: stored.recipe, needs: one }] : [];
		}),
	};
	remembered.set(key, made);
	return made;
}

/** A dish at the temperature that is told of its day. */
function heatedOn(dish: DishWithRecipe, changes: readonly DayChange[]): DishWithRecipe {
	const heat = changesOf(changes, "heat").find((change) => change.for === dish.id);
	return heat ? { ...dish, recipe: heatedAt(dish.recipe, heat.set_C) } : dish;
}
