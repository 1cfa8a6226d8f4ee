import { groupBy } from "es-toolkit";
import type { Beliefs } from "../beliefs/index.ts";
import { minutesToBeSure } from "../braise/index.ts";
import { type Kitchen, vesselsFor } from "../kitchen/index.ts";
import { filledTo, floorArea, type PanChoice, type PanType } from "../pans/index.ts";
import { allergensIn, isInOven, type Recipe } from "../recipe/index.ts";
import type { YieldChain } from "../yields/index.ts";
import { cardMain_kg } from "./cardMain.ts";
import type { DishOrder } from "./DishOrder.ts";
import { type PlanWork, placesOf, workOf } from "./dishWork.ts";
import type { PansElsewhere } from "./heldPans.ts";
import type { PlanFigures } from "./Plan.ts";
import {
	isSecondSlower,
	planBraise,
	steamBefore,
	type TenderOf,
	tenderByRange,
	usualTender,
} from "./planBraise.ts";
import { planCarry } from "./planCarry.ts";
import { planChill } from "./planChill.ts";
import { type PlanColour, planColour, searTaken } from "./planColour.ts";
import { planHold } from "./planHold.ts";
import { type PlanLine, planLines } from "./planLines.ts";
import { isMadeAhead, planLiquid } from "./planLiquid.ts";
import { planPour } from "./planPour.ts";
import { planReheat } from "./planReheat.ts";
import { finishedSauce, LAST_PLATE_MIN, planSauce } from "./planSauce.ts";
import type { SizedDish } from "./SizedDish.ts";
import { planSecond } from "./secondMain.ts";
import { planServing } from "./serving.ts";
import { CHILLING, COLOURING, loadsOf, type Split, type Standing, type Stands } from "./standing.ts";

/** A dish with the pans it was given, before it stands anywhere. */
export interface PannedDish extends SizedDish {
	/** As many pieces in each as there are; filled for the usual steam. */
	readonly pans: PanChoice;
	/** Which pans the other dishes of the sitting have. */
	readonly elsewhere: PansElsewhere;
	readonly split: Split;
	readonly colour: PlanColour | null;
	/** The kitchen as this dish may use it. */
	readonly kitchen: Kitchen;
	readonly beliefs: Beliefs;
}

/** How the pieces get their colour in a kitchen, every way worked out. */
export function colourOf(
	{ recipe, order, size }: SizedDish,
	{ equipment }: Kitchen,
	beliefs: Beliefs,
): PlanColour | null {
	const floured = recipe.schools?.flour === "dredge";
	return planColour(recipe, order, searedIn(recipe, equipment), size, floured, beliefs);
}

/**
 * All figures of a dish whose pans stand so: poured, braised, cooled, reheated and finished. What is
 * not in `standing` stands as the card asks.
 *
 * @param tenderOf how it is found out how long a pan takes; an estimate chooses an oven and is not shown
 */
export function figuresAt(
	dish: PannedDish,
	standing: Standing,
	tenderOf: TenderOf = tenderByRange,
): PlanFigures {
	const { order, size, factor, colour, kitchen, beliefs } = dish;
	const { chain } = size;
	const cooked = cookedAt(dish, standing, tenderOf);
	const { recipe, pans, lines, braise } = cooked;
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
	const ahead = isMadeAhead(recipe) ? aheadIn(recipe, order, pans, braise, kitchen, standing) : NOT_AHEAD;
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
		elsewhere: dish.elsewhere,
		ovens: loadsOf(dish.split, standing),
		colour: colouredIn(colour, standing),
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
	standing: Standing,
): Ahead {
	const choice = order.chill ?? null;
	return {
		chill: planChill({ recipe, pans, equipment, policy, choice, ...sharedCold(standing) }),
		reheat: planReheat({ recipe, pans, braise, kitchen: { policy, equipment }, standing }),
	};
}

/** What stands beside it in its chiller, and how long it has there. */
function sharedCold(standing: Standing): Pick<Stands, "beside" | "given_min"> {
	const { beside, given_min } = standing.get(CHILLING) ?? {};
	return { ...(beside ? { beside } : {}), ...(given_min === undefined ? {} : { given_min }) };
}

function sauceWanted(recipe: Recipe, chain: YieldChain): number {
	return finishedSauce(recipe, chain).result.value;
}

/** Minutes that it is held while it is plated, where the last plate would have waited too long. */
function holdOf(recipe: Recipe, { places, rest_min, sauce_min, reheat_min }: PlanWork): number {
	const before_min = isMadeAhead(recipe) ? reheat_min : Math.max(rest_min, sauce_min);
	const last_min = (isMadeAhead(recipe) ? 0 : before_min) + places.plate.wall_min;
	return last_min > LAST_PLATE_MIN ? places.plate.wall_min : 0;
}

interface Cooked extends Pick<PlanFigures, "recipe" | "pans" | "lines" | "braise" | "pour"> {}

/**
 * What is poured follows from the steam, and that from the pans as they are filled: they are filled
 * for the usual steam first, and then for their own.
 */
function cookedAt(dish: PannedDish, standing: Standing, tenderOf: TenderOf): Cooked {
	const { recipe, load, colour, kitchen, beliefs, pans: chosen, split } = dish;
	const { policy } = kitchen;
	const before = linesIn(dish, chosen, colour, kitchen);
	const { hobPower_kW } = kitchen.equipment;
	const braising = { recipe, groups: split.groups, standing, colour, policy, hobPower_kW, beliefs, tenderOf };
	const steam_l = steamBefore({ ...braising, pans: chosen, lines: before });
	const pour = planPour(dish, chosen, before, colour, steam_l, beliefs);
	if (!pour) return { recipe, pans: chosen, lines: before, braise: null, pour };
	const pans = filledTo(chosen, load, pour.line, policy);
	const lines = linesIn(dish, pans, colour, kitchen);
	const poured = { ...recipe, braise: { ...recipe.braise, line: pour.line } };
	return { recipe: poured, pans, lines, braise: planBraise({ ...braising, pans, lines }), pour };
}

/** The trays in the oven that they were given. */
function colouredIn(colour: PlanColour | null, standing: Standing): PlanColour | null {
	const oven = standing.get(COLOURING)?.oven;
	return colour?.oven && oven ? { ...colour, oven: { ...colour.oven, oven } } : colour;
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
