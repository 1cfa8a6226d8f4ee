import { FORK_TENDER_MINUTES, type Range } from "../braise/index.ts";
import { fitOvens, type OvenFit } from "../ovens/index.ts";
import { choosePans, type PanChoice, type PanType } from "../pans/index.ts";
import {
	type AllergenFound,
	allergensIn,
	asScaleLine,
	ingredientOf,
	PLACES,
	type PlaceKey,
	type Recipe,
} from "../recipe/index.ts";
import { backwardClock, type Clock } from "../schedule/index.ts";
import { FILM_MM, type SearPlan, searPlan } from "../sear/index.ts";
import type { DishOrder, Kitchen } from "./Kitchen.ts";
import { bedUnder, type PlanLine, planLines } from "./planLines.ts";
import { type PlanWarning, planWarnings } from "./planWarnings.ts";
import { saltAtEnd } from "./saltAtEnd.ts";
import { type BatchSize, sizeOfBatch, stockFor } from "./sizeOfBatch.ts";
import { type WorkMinutes, workMinutes } from "./workMinutes.ts";

/** One dish of one sitting, from the order to the plate. */
export interface Plan extends BatchSize {
	/** The batch over the card: trimmed weight by trimmed weight. */
	readonly factor: number;
	readonly lines: readonly PlanLine[];
	readonly pans: PanChoice;
	readonly ovens: OvenFit;
	/** Absent when the dish is not seared, or there is no pan for it. */
	readonly sear: SearPlan | null;
	/** Minutes from the oven door to fork-tender. */
	readonly braise_min: Range;
	readonly work: Readonly<Record<PlaceKey, WorkMinutes>>;
	readonly clock: Clock;
	/** Finished sauce wanted, litres. */
	readonly sauce_l: number;
	/** Salt of the finished dish, %; null when no line is salt. */
	readonly salt_pct: number | null;
	readonly allergens: readonly AllergenFound[];
	readonly warnings: readonly PlanWarning[];
}

/**
 * The day of one dish: pure, and the same for the same input.
 *
 * @param recipe  one version of a standard recipe
 * @param order   the dish on its sitting
 * @param kitchen stock, ovens, limits, ingredients
 * @throws {Refusal} naming the field that makes it impossible
 */
export function plan(recipe: Recipe, order: DishOrder, kitchen: Kitchen): Plan {
	const size = sizeOfBatch(recipe, order, kitchen);
	const factor = size.chain.trimmed_kg / cardMain_kg(recipe, kitchen);
	const pans = choosePans(
		{
			piece: recipe.piece,
			pieces: size.pieces,
			gap_mm: recipe.gap_mm,
			line: recipe.braise.line,
			bed: bedUnder(recipe, factor, kitchen.ingredients),
		},
		stockFor(order, kitchen),
		kitchen,
	);
	const sear = searOf(recipe, kitchen, size.pieces);
	const sauce_l = (size.chain.portions * recipe.sauce_ml) / 1000;
	const lines = planLines(
		recipe,
		{
			baseMain_kg: cardMain_kg(recipe, kitchen),
			main_kg: size.chain.trimmed_kg,
			basePortions: recipe.portions,
			portions: size.chain.portions,
			searLoads: sear?.loads ?? 1,
			sauce_l,
		},
		pans,
		kitchen.ingredients,
		sear?.fat_g ?? null,
		kitchen.scaleStep_g,
	);
	const ovens = fitOvens(countByType(pans), kitchen.ovens, recipe.braise.oven_C);
	const work = workOf(recipe, factor, order.hands);
	const braise_min = FORK_TENDER_MINUTES[recipe.cut];
	const clock = clockOf(recipe, order, kitchen, work, sear, braise_min);
	const salt_pct = saltAtEnd(lines, size.chain.cooked_kg, sauce_l);
	const searNeeded = recipe.sear !== undefined;
	const planned = { size, pans, ovens, lines, clock, searNeeded, sauce_l, salt_pct };
	return {
		...size,
		factor,
		lines,
		pans,
		ovens,
		sear,
		braise_min,
		work,
		clock,
		sauce_l,
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

function searOf(recipe: Recipe, kitchen: Kitchen, pieces: number): SearPlan | null {
	if (!recipe.sear || !kitchen.searPan) return null;
	const way = { ...recipe.sear, burners: kitchen.burners, film_mm: FILM_MM };
	return searPlan(kitchen.searPan.shape, recipe.piece, pieces, way);
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

function clockOf(
	recipe: Recipe,
	order: DishOrder,
	kitchen: Kitchen,
	work: Record<PlaceKey, WorkMinutes>,
	sear: SearPlan | null,
	braise_min: Range,
): Clock {
	return backwardClock(
		{
			trim_min: work.trim.wall_min,
			...(recipe.marinate ? { marinate_min: recipe.marinate.minutes } : {}),
			sear_min: Math.ceil(sear?.minutes ?? 0) + work.sear.wall_min,
			build_min: work.build.wall_min,
			panUp_min: work.panUp.wall_min,
			braise_min,
			rest_min: recipe.rest_min,
			sauce_min: work.sauce.wall_min,
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
