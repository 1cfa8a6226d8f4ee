import { groupBy } from "es-toolkit";
import { type Beliefs, SHIPPED_BELIEFS } from "../beliefs/index.ts";
import { minutesToBeSure } from "../braise/index.ts";
import { allVessels, type Kitchen, vesselsFor } from "../kitchen/index.ts";
import { fitOvens, type Oven, type OvenFit } from "../ovens/index.ts";
import { choosePans, filledTo, floorArea, inGoes, type PanChoice, type PanType } from "../pans/index.ts";
import { allergensIn, isInOven, type Recipe } from "../recipe/index.ts";
import { placeBackwards } from "../tasks/index.ts";
import type { YieldChain } from "../yields/index.ts";
import { cardMain_kg } from "./cardMain.ts";
import { countByType } from "./countByType.ts";
import type { DishOrder } from "./DishOrder.ts";
import { dishTasks } from "./dishTasks.ts";
import { type PlanWork, placesOf, workOf } from "./dishWork.ts";
import type { PansElsewhere } from "./heldPans.ts";
import { liquorOf } from "./liquor.ts";
import { tenderAt, waitOf } from "./onTheClock.ts";
import { lastStartAt, type Plan, type PlanFigures } from "./Plan.ts";
import { isSecondSlower, planBraise, usualTender } from "./planBraise.ts";
import { planCarry } from "./planCarry.ts";
import { planChill } from "./planChill.ts";
import { type PlanColour, planColour, searTaken } from "./planColour.ts";
import { planHold } from "./planHold.ts";
import { type PlanLine, planLines } from "./planLines.ts";
import { isMadeAhead, planLiquid } from "./planLiquid.ts";
import { planPour } from "./planPour.ts";
import { planReheat } from "./planReheat.ts";
import { LAST_PLATE_MIN, planSauce } from "./planSauce.ts";
import { planWarnings } from "./planWarnings.ts";
import type { SizedDish } from "./SizedDish.ts";
import { planSecond } from "./secondMain.ts";
import { planServing } from "./serving.ts";
import { equipmentFor, sizeDish } from "./sizeDish.ts";
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
	const dish = sizeDish(recipe, order, kitchen, beliefs);
	const { policy } = kitchen;
	const pans = inGoes(choosePans(dish.load, allVessels(kitchen.equipment), policy), dish.load, policy);
	return planIn(dish, { pans, elsewhere: new Map(), ovens: kitchen.equipment.ovens }, kitchen, beliefs);
}

/** What a dish gets of the kitchen beside the other dishes of its sitting. */
export interface Given {
	readonly pans: PanChoice;
	/** Which pans the other dishes of the sitting have. */
	readonly elsewhere: PansElsewhere;
	/** The ovens with what other dishes have put into them. */
	readonly ovens: readonly Oven[];
}

/** The day of a dish in the pans and rungs it was given. */
export function planIn(dish: SizedDish, given: Given, house: Kitchen, beliefs: Beliefs): Plan {
	const kitchen = { ...house, equipment: equipmentFor(dish.recipe, house) };
	const figures = figuresOf(dish, given, kitchen, beliefs);
	const { policy } = kitchen;
	const tasks = placeBackwards(
		dishTasks({ ...figures, portions: figures.chain.portions, kitchen, beliefs }),
		dish.order.serviceAt,
		policy,
	);
	const placed = {
		...figures,
		tasks,
		tender: tenderAt(figures, tasks),
		liquor: liquorOf(
			figures.sauce,
			figures.liquid?.salt_pct ?? 0,
			figures.lines,
			lastStartAt({ tasks, order: dish.order }, "rest"),
			policy.allergenList,
			policy.timeZone,
		),
		wait_min: waitOf(figures.recipe, tasks),
	};
	return {
		...placed,
		workings: workingsOf(placed, kitchen),
		warnings: planWarnings(placed, kitchen),
	};
}

function figuresOf(dish: SizedDish, given: Given, kitchen: Kitchen, beliefs: Beliefs): PlanFigures {
	const { order, size, factor } = dish;
	const { chain } = size;
	const floured = dish.recipe.schools?.flour === "dredge";
	const colour = planColour(
		dish.recipe,
		order,
		searedIn(dish.recipe, kitchen.equipment),
		size,
		floured,
		beliefs,
	);
	const cooked = cookedIn(dish, given, colour, kitchen, beliefs);
	const { recipe, pans, lines, braise, ovens } = cooked;
	const braise_min = braise?.slowest.tender_min ?? usualTender(recipe, beliefs);
	const allowed_min =
		braise?.slowest.allowed_min ?? Math.ceil(minutesToBeSure(braise_min, kitchen.policy.confidence));
	const liquid = planLiquid(recipe, {
		chain,
		pans,
		lines,
		minutes: braise_min.likely,
		evaporated_l: braise?.evaporated_l ?? 0,
		colour,
		beliefs,
	});
	const batch = {
		factor,
		pans: pans.pans.length,
		portions: chain.portions,
		boxed: recipe.servedIn === "boxes",
	};
	const places = placesOf(recipe, batch, order.hands);
	const sauce_l = sauceWanted(recipe, chain);
	const serving = planServing(recipe, order, chain.portions, chain.cooked_kg);
	const { handsOn_min } = places.sauce;
	const time = {
		handsOn_min,
		plating_min: places.plate.wall_min,
		likely_min: braise_min.likely,
		allowed_min,
	};
	const sauce = planSauce(recipe, liquid, sauce_l, lines, kitchen, order.hands, time);
	const ahead = isMadeAhead(recipe) ? aheadIn(recipe, order, pans, braise, kitchen) : NOT_AHEAD;
	const work = workOf(recipe, places, order.hands, colour, sauce, ahead, beliefs);
	return {
		...size,
		recipe,
		order,
		beliefs: beliefs.version,
		factor,
		batch,
		lines,
		serving,
		second: planSecond(recipe, lines, chain.portions, {
			tender_min: braise?.slowest.second_min ?? null,
			joins_min: braise?.slowest.second_min ? braise.slowest.secondAllowed_min : null,
			slower: braise ? isSecondSlower(braise.slowest) : false,
		}),
		pans,
		elsewhere: given.elsewhere,
		ovens,
		colour,
		braise,
		braise_min,
		allowed_min,
		work,
		pour: cooked.pour,
		hold_min: holdOf(recipe, work),
		carry: planCarry(order.carry, recipe, pans, chain.portions, kitchen.equipment, kitchen.policy),
		hold: planHold(recipe, braise, pans, kitchen.policy, places.plate.wall_min),
		...ahead,
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

/** What it is seared in: the searing pans, or the pots that it is braised in, the widest first. */
function searedIn(recipe: Recipe, equipment: Kitchen["equipment"]): Kitchen["equipment"] {
	if (!recipe.sear?.inPot || isInOven(recipe)) return equipment;
	const pots = vesselsFor("hob", equipment).toSorted((a, b) => floorOf(b) - floorOf(a));
	return pots.length > 0 ? { ...equipment, searPans: pots } : equipment;
}

function floorOf({ shape }: PanType): number {
	return floorArea(shape);
}

type Ahead = Pick<PlanFigures, "chill" | "reheat">;
const NOT_AHEAD: Ahead = { chill: null, reheat: null };

/** How it is cooled, and made hot again. */
function aheadIn(
	recipe: Recipe,
	order: DishOrder,
	pans: PanChoice,
	braise: PlanFigures["braise"],
	{ equipment, policy }: Kitchen,
): Ahead {
	const choice = order.chill ?? null;
	return {
		chill: planChill({ recipe, pans, equipment, policy, choice }),
		reheat: planReheat(recipe, braise, policy),
	};
}

function sauceWanted({ sauce_ml }: Recipe, { portions }: YieldChain): number {
	return (portions * sauce_ml) / 1000;
}

/** Minutes that it is held while it is plated, where the last plate would have waited too long. */
function holdOf(recipe: Recipe, { places, rest_min, sauce_min, reheat_min }: PlanWork): number {
	const before_min = isMadeAhead(recipe) ? reheat_min : Math.max(rest_min, sauce_min);
	const last_min = (isMadeAhead(recipe) ? 0 : before_min) + places.plate.wall_min;
	return last_min > LAST_PLATE_MIN ? places.plate.wall_min : 0;
}

/** What stands on the hob, in a cooker or in a bath takes no oven. */
const NO_OVENS: OvenFit = { loads: [], without: 0, held: [] };

interface Cooked extends Pick<PlanFigures, "recipe" | "pans" | "lines" | "braise" | "ovens" | "pour"> {}

/**
 * What is poured follows from the steam, and that from the pans as they are filled: they are filled
 * for the usual steam first, and then for their own.
 */
function cookedIn(
	dish: SizedDish,
	{ pans: chosen, ovens }: Given,
	colour: PlanColour | null,
	kitchen: Kitchen,
	beliefs: Beliefs,
): Cooked {
	const { recipe, load } = dish;
	const fit = isInOven(recipe) ? fitOvens(countByType(chosen), ovens, recipe.braise.oven_C) : NO_OVENS;
	const braiseIn = (pans: PanChoice, lines: readonly PlanLine[]) =>
		planBraise({ recipe, pans, ovens: fit, lines, colour, policy: kitchen.policy, beliefs });
	const before = linesIn(dish, chosen, colour, kitchen);
	const steam_l = braiseIn(chosen, before)?.evaporated_l ?? 0;
	const pour = planPour(dish, chosen, before, colour, steam_l, beliefs);
	if (!pour) return { recipe, pans: chosen, lines: before, ovens: fit, braise: null, pour };
	const pans = filledTo(chosen, load, pour.line, kitchen.policy);
	const lines = linesIn(dish, pans, colour, kitchen);
	const poured = { ...recipe, braise: { ...recipe.braise, line: pour.line } };
	return { recipe: poured, pans, lines, ovens: fit, braise: braiseIn(pans, lines), pour };
}

/** Every line of the card for the pans as they are filled. */
function linesIn(
	{ recipe, size: { chain }, load }: SizedDish,
	pans: PanChoice,
	colour: PlanColour | null,
	kitchen: Kitchen,
): PlanLine[] {
	const baseMain_kg = cardMain_kg(recipe, kitchen);
	const all = Math.max(
		1,
		pans.pans.reduce((sum, { pieces }) => sum + pieces, 0),
	);
	const cardPieces = (baseMain_kg * 1000) / recipe.piece.weight_g;
	const pots = Object.values(groupBy(pans.pans, ({ type }) => type.id)).map((alike) => ({
		share: alike.reduce((sum, { pieces }) => sum + pieces, 0) / all,
		growth: Math.min(alike[0]?.capacity ?? 1, load.pieces) / cardPieces,
	}));
	const to = {
		baseMain_kg,
		main_kg: chain.trimmed_kg,
		basePortions: recipe.portions,
		portions: chain.portions,
		searLoads: (colour && searTaken(colour)?.loads) ?? 1,
		sauce_l: sauceWanted(recipe, chain),
		pots,
	};
	return planLines(recipe, to, pans, kitchen.known.byId, colour?.fat_g ?? null, kitchen.policy.scaleStep_g);
}
