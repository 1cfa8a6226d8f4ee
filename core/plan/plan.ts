import { minutesToBeSure } from "../braise/index.ts";
import type { LiquidAccount } from "../liquid/index.ts";
import { fitOvens, type OvenFit } from "../ovens/index.ts";
import { choosePans, type PanChoice, type PanLoad, type PanType, type PanWish } from "../pans/index.ts";
import type { Range } from "../quantity/index.ts";
import { type AllergenFound, allergensIn, asScaleLine, ingredientOf, type Recipe } from "../recipe/index.ts";
import { backwardClock, type Clock } from "../tasks/index.ts";
import { PLACES, type PlaceKey } from "../trade/index.ts";
import type { DishOrder, Kitchen } from "./Kitchen.ts";
import type { PlanWarning } from "./PlanWarning.ts";
import { type PlanBraise, planBraise, usualTender } from "./planBraise.ts";
import { type PlanColour, planColour } from "./planColour.ts";
import { bedUnder, type PlanLine, planLines } from "./planLines.ts";
import { type PlanSauce, planLiquid, planSauce } from "./planLiquid.ts";
import { planWarnings } from "./planWarnings.ts";
import { type BatchSize, sizeOfBatch } from "./sizeOfBatch.ts";
import { type WorkMinutes, workMinutes } from "./workMinutes.ts";

/** One dish of one sitting, from the order to the plate. */
export interface Plan extends BatchSize {
	/** The batch over the card: trimmed weight by trimmed weight. */
	readonly factor: number;
	readonly lines: readonly PlanLine[];
	readonly pans: PanChoice;
	/** Pans of each kind that the sitting's other dishes have. */
	readonly elsewhere: ReadonlyMap<string, number>;
	readonly ovens: OvenFit;
	/** Both ways of colouring; null when the dish is not coloured. */
	readonly colour: PlanColour | null;
	/** The fullest pan from the oven door to the four marks; null when there is no pan. */
	readonly braise: PlanBraise | null;
	/** Minutes from the oven door to fork-tender. */
	readonly braise_min: Range;
	/** What the pans are given, so that they are tender as surely as the house wants. */
	readonly allowed_min: number;
	readonly work: Readonly<Record<PlaceKey, WorkMinutes>>;
	readonly clock: Clock;
	/** Finished sauce wanted, litres. */
	readonly sauce_l: number;
	/** What becomes of the liquid; null when there is no pan. */
	readonly liquid: LiquidAccount | null;
	readonly sauce: PlanSauce | null;
	/** Salt of the finished sauce, %; null when no line is salt. */
	readonly salt_pct: number | null;
	readonly allergens: readonly AllergenFound[];
	readonly warnings: readonly PlanWarning[];
}

/** One dish sized, before it has pans. */
export interface SizedDish {
	readonly recipe: Recipe;
	readonly order: DishOrder;
	readonly size: BatchSize;
	readonly factor: number;
	readonly load: PanLoad;
}

/**
 * The day of one dish that has the kitchen to itself: pure, and the same for the same input.
 *
 * @param recipe  one version of a standard recipe
 * @param order   the dish on its sitting
 * @param kitchen stock, ovens, limits, ingredients
 * @throws {Refusal} naming the field that makes it impossible
 */
export function plan(recipe: Recipe, order: DishOrder, kitchen: Kitchen): Plan {
	const dish = sizeDish(recipe, order, kitchen);
	return planIn(dish, choosePans(dish.load, kitchen.pans, kitchen), kitchen, new Map());
}

/** How big the batch is and what of it goes into pans. @throws {Refusal} as `plan` does */
export function sizeDish(recipe: Recipe, order: DishOrder, kitchen: Kitchen): SizedDish {
	const size = sizeOfBatch(recipe, order, kitchen);
	const factor = size.chain.trimmed_kg / cardMain_kg(recipe, kitchen);
	const load: PanLoad = {
		piece: recipe.piece,
		pieces: size.pieces,
		gap_mm: recipe.gap_mm,
		line: recipe.braise.line,
		bed: bedUnder(recipe, factor, kitchen.ingredients),
		wishes: wishesOf(order, kitchen),
	};
	return { recipe, order, size, factor, load };
}

/** One kind chosen rules out all others; what is settled besides holds too. */
function wishesOf({ panTypeId, panWishes }: DishOrder, { pans }: Kitchen): PanWish[] {
	if (panTypeId === null) return [...panWishes];
	return pans.filter(({ id }) => id !== panTypeId).map(({ id }) => ({ typeId: id, count: 0 }));
}

/**
 * The day of a dish in the pans it was given.
 *
 * @param elsewhere pans of each kind that other dishes of the sitting have
 */
export function planIn(
	{ recipe, order, size, factor }: SizedDish,
	pans: PanChoice,
	kitchen: Kitchen,
	elsewhere: ReadonlyMap<string, number>,
): Plan {
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
		kitchen.ingredients,
		colour?.fat_g ?? null,
		kitchen.scaleStep_g,
	);
	const ovens = fitOvens(countByType(pans), kitchen.ovens, recipe.braise.oven_C);
	const work = workOf(recipe, factor, order.hands);
	const braise = planBraise(recipe, pans, ovens, lines);
	const braise_min = braise?.tender_min ?? usualTender(recipe);
	const allowed_min = minutesToBeSure(braise_min, kitchen.confidence);
	const liquid = planLiquid(recipe, {
		chain: size.chain,
		pans,
		lines,
		minutes: braise_min.likely,
		evaporated_l: braise?.evaporated_l ?? 0,
	});
	const sauce = planSauce(liquid, sauce_l, lines, kitchen);
	const clock = clockOf(recipe, order, kitchen, work, {
		colour_min: colour?.minutes ?? 0,
		reduce_min: reducingMinutes(sauce),
		braise_min,
		allowed_min,
	});
	const salted = lines.some(({ line }) => line.role === "salt");
	const salt_pct = salted && sauce ? sauce.salt_pct : null;
	const wished = new Map(order.panWishes.map(({ typeId, count }) => [typeId, count]));
	const planned = {
		size,
		pans,
		ovens,
		lines,
		clock,
		colour,
		braise,
		liquid,
		sauce,
		salt_pct,
		elsewhere,
		wished,
	};
	return {
		...size,
		factor,
		lines,
		pans,
		elsewhere,
		ovens,
		colour,
		braise,
		braise_min,
		allowed_min,
		work,
		clock,
		sauce_l,
		liquid,
		sauce,
		salt_pct,
		allergens: allergensIn(
			lines.map((line) => line.ingredient),
			kitchen.allergenList,
		),
		warnings: planWarnings(recipe, kitchen, planned),
	};
}

/** Trimmed main of the card, kg. */
function cardMain_kg(recipe: Recipe, kitchen: Kitchen): number {
	const main = recipe.lines.find((line) => line.role === "main");
	if (!main) throw new Error(`recipe “${recipe.name}” has no main line`);
	return (asScaleLine(main, ingredientOf(main, kitchen.ingredients)).amount_g ?? 0) / 1000;
}

/** Pans chosen, counted by kind. */
export function countByType(choice: PanChoice): { type: PanType; count: number }[] {
	const counts = new Map<string, { type: PanType; count: number }>();
	for (const { type } of choice.pans) {
		const so = counts.get(type.id);
		counts.set(type.id, { type, count: (so?.count ?? 0) + 1 });
	}
	return [...counts.values()];
}

function workOf(recipe: Recipe, factor: number, hands: number): Record<PlaceKey, WorkMinutes> {
	const each = PLACES.map((place) => [place, workMinutes(recipe, place, factor, hands)]);
	return Object.fromEntries(each) as Record<PlaceKey, WorkMinutes>;
}

/** Minutes that the pieces colour, the sauce reduces and the pans are in. */
interface Cooking {
	readonly colour_min: number;
	readonly reduce_min: number;
	readonly braise_min: Range;
	readonly allowed_min: number;
}

function reducingMinutes(sauce: PlanSauce | null): number {
	const [first] = sauce?.remedies ?? [];
	return first?.kind === "reduce" ? first.minutes : 0;
}

function clockOf(
	recipe: Recipe,
	order: DishOrder,
	kitchen: Kitchen,
	work: Record<PlaceKey, WorkMinutes>,
	{ colour_min, reduce_min, braise_min, allowed_min }: Cooking,
): Clock {
	return backwardClock(
		{
			trim_min: work.trim.wall_min,
			...(recipe.marinate ? { marinate_min: recipe.marinate.minutes } : {}),
			sear_min: Math.ceil(colour_min) + work.sear.wall_min,
			build_min: work.build.wall_min,
			panUp_min: work.panUp.wall_min,
			braise_min,
			allowed_min,
			rest_min: recipe.rest_min,
			sauce_min: Math.max(work.sauce.wall_min, Math.ceil(work.sauce.handsOn_min / order.hands + reduce_min)),
			plate_min: work.plate.wall_min,
		},
		{
			serviceAt: order.serviceAt,
			timeZone: kitchen.timeZone,
			hours: kitchen.hours,
			orderLead_days: recipe.orderLead_days,
		},
	);
}
