import { type Beliefs, SHIPPED_BELIEFS } from "../beliefs/index.ts";
import { minutesToBeSure } from "../braise/index.ts";
import type { Kitchen } from "../kitchen/index.ts";
import { fitOvens, type Oven } from "../ovens/index.ts";
import { choosePans, type PanChoice } from "../pans/index.ts";
import type { Range } from "../quantity/index.ts";
import { allergensIn, type Recipe } from "../recipe/index.ts";
import { type PlacedTask, placeBackwards } from "../tasks/index.ts";
import { minutesBefore, toFiveMinutes } from "../time/index.ts";
import { countByType } from "./countByType.ts";
import type { DishOrder } from "./DishOrder.ts";
import { dishTasks, workOf } from "./dishTasks.ts";
import type { Plan, PlanFigures } from "./Plan.ts";
import { planBraise, usualTender } from "./planBraise.ts";
import { planColour } from "./planColour.ts";
import { planLines } from "./planLines.ts";
import { planLiquid } from "./planLiquid.ts";
import { planSauce } from "./planSauce.ts";
import { planWarnings } from "./planWarnings.ts";
import { cardMain_kg, type SizedDish, sizeDish } from "./sizeDish.ts";
import { workingsOf } from "./workings/index.ts";

/**
 * The day of one dish that has the kitchen to itself: pure, and the same for the same input.
 *
 * @param recipe  one version of a standard recipe
 * @param order   the dish on its sitting
 * @param kitchen equipment, house policy, known ingredients
 * @param beliefs what the kitchen's log has taught; the shipped figures without one
 * @throws {Refusal} naming the field that makes it impossible
 */
export function plan(
	recipe: Recipe,
	order: DishOrder,
	kitchen: Kitchen,
	beliefs: Beliefs = SHIPPED_BELIEFS,
): Plan {
	const dish = sizeDish(recipe, order, kitchen);
	const pans = choosePans(dish.load, kitchen.equipment.pans, kitchen.policy);
	return planIn(dish, { pans, elsewhere: new Map(), ovens: kitchen.equipment.ovens }, kitchen, beliefs);
}

/** What a dish gets of the kitchen beside the other dishes of its sitting. */
export interface Given {
	readonly pans: PanChoice;
	/** Pans of each kind that other dishes of the sitting have. */
	readonly elsewhere: ReadonlyMap<string, number>;
	/** The ovens with what other dishes have put into them. */
	readonly ovens: readonly Oven[];
}

/** The day of a dish in the pans and rungs it was given. */
export function planIn(dish: SizedDish, given: Given, kitchen: Kitchen, beliefs: Beliefs): Plan {
	const figures = figuresOf(dish, given, kitchen, beliefs);
	const { policy } = kitchen;
	const tasks = placeBackwards(
		dishTasks({ ...figures, portions: figures.chain.portions, kitchen, beliefs }),
		dish.order.serviceAt,
		policy,
	);
	const placed = { ...figures, tasks, tender: tenderAt(figures, tasks) };
	return {
		...placed,
		workings: workingsOf(placed, kitchen, beliefs),
		warnings: planWarnings(placed, kitchen),
	};
}

function figuresOf(
	{ recipe, order, size, factor }: SizedDish,
	{ pans, elsewhere, ovens }: Given,
	kitchen: Kitchen,
	beliefs: Beliefs,
): PlanFigures {
	const floured = recipe.schools?.flour === "dredge";
	const colour = planColour(recipe, order, kitchen, size.pieces, floured);
	const sauce_l = (size.chain.portions * recipe.sauce_ml) / 1000;
	const lines = planLines(
		recipe,
		{
			baseMain_kg: cardMain_kg(recipe, kitchen),
			main_kg: size.chain.trimmed_kg,
			basePortions: recipe.portions,
			portions: size.chain.portions,
			searLoads: colour?.pan?.loads ?? 1,
			sauce_l,
		},
		pans,
		kitchen.known.byId,
		colour?.fat_g ?? null,
		kitchen.policy.scaleStep_g,
	);
	const fit = fitOvens(countByType(pans), ovens, recipe.braise.oven_C);
	const braise = planBraise({ recipe, pans, ovens: fit, lines, policy: kitchen.policy, beliefs });
	const braise_min = braise?.slowest.tender_min ?? usualTender(recipe, beliefs);
	const liquid = planLiquid(recipe, {
		chain: size.chain,
		pans,
		lines,
		minutes: braise_min.likely,
		evaporated_l: braise?.evaporated_l ?? 0,
		beliefs,
	});
	const sauce = planSauce(recipe, liquid, sauce_l, lines, kitchen);
	return {
		...size,
		recipe,
		order,
		beliefs: beliefs.version,
		factor,
		lines,
		pans,
		elsewhere,
		ovens: fit,
		colour,
		braise,
		braise_min,
		allowed_min:
			braise?.slowest.allowed_min ?? Math.ceil(minutesToBeSure(braise_min, kitchen.policy.confidence)),
		work: workOf(recipe, factor, order.hands, colour, sauce, beliefs),
		sauce_l,
		liquid,
		sauce,
		salt_pct: liquid && sauce && liquid.salt.g > 0 ? sauce.salt_pct : null,
		allergens: allergensIn(
			lines.map((line) => line.ingredient),
			kitchen.policy.allergenList,
		),
	};
}

/** When the slowest pans are tender: from their oven door on, to the five minutes. */
function tenderAt({ braise_min }: PlanFigures, tasks: readonly PlacedTask[]): Range {
	const first = tasks.find(({ part }) => part === "oven");
	if (!first) throw new Error("a braise without an oven task");
	const at = (minutes: number, round: (steps: number) => number) =>
		toFiveMinutes(minutesBefore(first.start, -minutes), round);
	return {
		low: at(braise_min.low, Math.floor),
		likely: at(braise_min.likely, Math.round),
		high: at(braise_min.high, Math.ceil),
	};
}
