import type { RecipeStep } from "../recipe/index.ts";
import type { PlaceKey } from "../trade/index.ts";
import { add, divide, figure, type Working, wholeUp, working } from "../workings/index.ts";
import { exactly, type TaskMinutes } from "./Task.ts";

/** Minutes of work: for one cook, with nobody there, and on the wall with the hands there are. */
export interface WorkMinutes {
	readonly handsOn_min: number;
	readonly waiting_min: number;
	readonly wall_min: number;
	/** How the minutes on the wall came to what they are. */
	readonly sum: Working;
}

/** How big a batch is, as far as the hands feel it. */
export interface BatchWork {
	/** The batch over the card. */
	readonly factor: number;
	/** Pans that are filled, where there are any. */
	readonly pans?: number;
	/** Portions that are plated, or boxed. */
	readonly portions?: number;
	readonly boxed?: boolean;
}

/**
 * How hands-on minutes of a place grow with the batch, as a power of it: a board of onions or a
 * pot of liquid twice as big is not twice the work, a shoulder more to trim nearly is. General
 * practice; the kitchen's own log replaces it. @see model, section K
 */
export const GROWS_AS: Readonly<Record<PlaceKey, number>> = {
	buy: 0.6,
	trim: 0.9,
	marinate: 0.8,
	sear: 0.9,
	build: 0.6,
	panUp: 0.9,
	braise: 0.8,
	rest: 0.8,
	chill: 0.8,
	reheat: 0.8,
	sauce: 0.6,
	hold: 0.8,
	carry: 0.6,
	plate: 0.9,
};
/** One cook's minutes to fill, cover and carry a pan: 4 to 5. General practice. */
export const PAN_UP_MIN = 4.5;
/** One person's seconds for a plate of three components, 30 to 40, and for a box that is closed and labelled. */
export const PLATE_S = 35;
export const BOX_S = 45;

/**
 * One cook's minutes at each of some steps, at the size of the batch. Panning up goes by the pan
 * and plating by the plate, shared by the steps as their card shares them.
 */
export function handsOnOf(steps: readonly RecipeStep[], batch: BatchWork): number[] {
	return steps.map((step) => {
		if (step.grows !== "withWeight") return step.handsOn_min;
		const counted = countedMinutes(step.place, batch);
		if (counted === null) return step.handsOn_min * batch.factor ** GROWS_AS[step.place];
		const alike = steps.filter(({ place, grows }) => place === step.place && grows === "withWeight");
		const all = alike.reduce((sum, { handsOn_min }) => sum + handsOn_min, 0);
		return counted * (all > 0 ? step.handsOn_min / all : 1 / alike.length);
	});
}

/** Minutes of a place that go by the piece of work; null where they go by the weight. */
function countedMinutes(
	place: PlaceKey,
	{ pans = 0, portions = 0, boxed = false }: BatchWork,
): number | null {
	if (place === "panUp" && pans > 0) return pans * PAN_UP_MIN;
	if (place === "plate" && portions > 0) return (portions * (boxed ? BOX_S : PLATE_S)) / 60;
	return null;
}

/**
 * How long some steps of a place take one after the other. Hands-on minutes are shared by the hands;
 * waiting is not, and does not grow with the batch. The one meaning of minutes on clock, method and
 * arithmetic. Pans are filled and plates laid whether a card has a step for it or not.
 *
 * @param place where they belong, when it is one place
 */
export function workMinutes(
	steps: readonly RecipeStep[],
	batch: BatchWork,
	hands: number,
	place?: PlaceKey,
): WorkMinutes {
	const growing = steps.some(({ grows }) => grows === "withWeight");
	const unsaid = place === undefined || growing ? 0 : (countedMinutes(place, batch) ?? 0);
	const handsOn_min = handsOnOf(steps, batch).reduce((sum, minutes) => sum + minutes, unsaid);
	const waiting_min = steps.reduce((sum, step) => sum + step.waiting_min, 0);
	const shared = divide(figure(handsOn_min, "min", "oneCook"), figure(hands, "count", "cooks"));
	const all = waiting_min > 0 ? add(shared, figure(waiting_min, "min", "waiting")) : shared;
	const sum = working("work", wholeUp(all), "min");
	return { handsOn_min, waiting_min, wall_min: sum.result.value, sum };
}

/** The same as minutes of a task. */
export function taskMinutes(
	{ handsOn_min, waiting_min, wall_min }: Omit<WorkMinutes, "sum">,
	hands: number,
): TaskMinutes {
	return {
		handsOn: exactly(handsOn_min / hands),
		waiting: exactly(waiting_min),
		planned: wall_min,
	};
}
