import type { Beliefs } from "../beliefs/index.ts";
import { wholeUp } from "../quantity/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { type BatchWork, type WorkMinutes, workMinutes } from "../tasks/index.ts";
import { PLACES, type PlaceKey } from "../trade/index.ts";
import {
	add,
	divide,
	figure,
	most,
	type Working,
	wholeUp as wholeUpSum,
	working,
} from "../workings/index.ts";
import type { PlanChill } from "./planChill.ts";
import type { PlanColour } from "./planColour.ts";
import type { PlanReheat } from "./planReheat.ts";
import type { PlanSauce } from "./planSauce.ts";

/** Minutes of each place at the size of the batch, and of what is worked out there. */
export interface PlanWork {
	readonly places: Readonly<Record<PlaceKey, WorkMinutes>>;
	/** From the first piece in the pan or tray to the last one out, whole minutes. */
	readonly colour_min: number;
	/** The sauce at the boil after the lift, minutes. */
	readonly reduce_min: number;
	/** Minutes on the wall of rest, sauce, chill and reheating, whole minutes. */
	readonly rest_min: number;
	readonly sauce_min: number;
	/** How the minutes of the sauce came to what they are. */
	readonly sauceSum: Working;
	readonly chill_min: number;
	readonly reheat_min: number;
}

/** Minutes of each place for the hands there are. */
export function placesOf({ steps }: Recipe, batch: BatchWork, hands: number): PlanWork["places"] {
	return Object.fromEntries(
		PLACES.map((place) => [
			place,
			workMinutes(
				steps.filter((step) => step.place === place),
				batch,
				hands,
				place,
			),
		]),
	) as Record<PlaceKey, WorkMinutes>;
}

/** How long everything takes. */
export function workOf(
	recipe: Recipe,
	places: PlanWork["places"],
	hands: number,
	colour: PlanColour | null,
	sauce: PlanSauce | null,
	{ chill, reheat }: { readonly chill: PlanChill | null; readonly reheat: PlanReheat | null },
	beliefs: Beliefs,
): PlanWork {
	const reduce_min = sauce?.after_min ?? 0;
	const { handsOn_min, wall_min } = places.sauce;
	const boiling = add(
		divide(figure(handsOn_min, "min", "oneCook"), figure(hands, "count", "cooks")),
		figure(reduce_min, "min", "reducing"),
	);
	const sauceSum = working(
		"sauceMinutes",
		most(wholeUpSum(boiling), figure(wall_min, "min", "bySteps")),
		"min",
	);
	const orUsual = (place: "chill" | "reheat", usual_min: number) =>
		places[place].wall_min > 0 ? places[place].wall_min : usual_min;
	return {
		places,
		colour_min: colour ? wholeUp(colour.minutes) : 0,
		reduce_min,
		rest_min: wholeUp(recipe.rest_min),
		sauce_min: sauceSum.result.value,
		sauceSum,
		chill_min: chill
			? wholeUp(places.chill.handsOn_min / hands) + chill.planned_min
			: orUsual("chill", beliefs.madeAhead.chill_min),
		reheat_min: reheat
			? wholeUp(places.reheat.handsOn_min / hands) + reheat.planned_min
			: orUsual("reheat", beliefs.madeAhead.reheat_min),
	};
}
