import { type Beliefs, SHIPPED_BELIEFS } from "../beliefs/index.ts";
import { allVessels, type Kitchen } from "../kitchen/index.ts";
import { choosePans, inGoes } from "../pans/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { placeBackwards } from "../tasks/index.ts";
import { type DishNeeds, needsOf } from "./DishNeeds.ts";
import type { DishOrder } from "./DishOrder.ts";
import { onClock } from "./onClock.ts";
import type { Plan } from "./Plan.ts";
import { fittedTo, sizeDish } from "./sizeDish.ts";

/**
 * A dish that stands on no sitting: a card that is read or written, a training round. Its clock and
 * its ovens are those of a kitchen with nothing else in it. What stands on a sitting is a
 * `WorkedDish` of `core/day`, and no screen of a sitting takes this for it.
 */
export interface LonePlan extends Plan {
	readonly alone: true;
}

/**
 * A dish in a kitchen with nothing else in it.
 *
 * @throws {Refusal} naming what of recipe or order can not be planned
 */
export function plan(
	recipe: Recipe,
	order: DishOrder,
	kitchen: Kitchen,
	beliefs: Beliefs = SHIPPED_BELIEFS,
): LonePlan {
	const sized = sizeDish(recipe, order, kitchen, beliefs);
	const { policy, equipment } = kitchen;
	const pans = inGoes(choosePans(sized.load, allVessels(equipment), policy), sized.load, policy);
	const dish = fittedTo(sized, pans, kitchen, beliefs);
	return alone(needsOf(dish, { pans, elsewhere: new Map(), ovens: equipment.ovens }, kitchen, beliefs));
}

/** What a dish needs, as it would stand in a kitchen with nothing else in it. */
export function alone({ dish, at, tasksAt, usual }: DishNeeds): LonePlan {
	const { order, kitchen } = dish;
	const placed = placeBackwards(tasksAt(usual), order.serviceAt, kitchen.policy);
	return { ...onClock(at(usual), placed, kitchen), alone: true };
}
