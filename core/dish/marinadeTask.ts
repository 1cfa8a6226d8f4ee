import type { Recipe } from "../recipe/index.ts";
import { type Task, taskMinutes } from "../tasks/index.ts";
import { after, cooks, type Namer } from "./taskNamer.ts";
import type { WorkedOut } from "./WorkedOut.ts";

/** What the meat lies in until it is seared: the marinade goes on in working hours and waits by itself. */
export function marinadeTask({ recipe, order, work, pans }: WorkedOut, made: Namer): Task[] {
	if (!recipe.marinate) return [];
	const litres = pans.pans.reduce((sum, { contents_kg }) => sum + contents_kg, 0);
	return [
		made("marinate", "marinade", {
			minutes: taskMinutes(work.places.marinate, order.hands),
			after: [after(made.id("trim"))],
			needs: [...cooks(order.hands), { kind: "fridge", litres }],
			window: { withinHours: true, byMinute: inTheAfternoon(recipe) },
		}),
	];
}

/** A marinade that stands over night goes on in the afternoon: by five, and not when the kitchen closes. */
const AFTERNOON_MIN = 17 * 60;
const OVERNIGHT_MIN = 8 * 60;

function inTheAfternoon({ marinate }: Recipe): number | null {
	return marinate && marinate.minutes >= OVERNIGHT_MIN ? AFTERNOON_MIN : null;
}

export function beforeSear(recipe: Recipe): "marinate" | "trim" {
	return recipe.marinate ? "marinate" : "trim";
}

/** The marinade's own time, between going in and coming out. */
export function lagAfterMarinade(
	{ marinate }: Recipe,
	follows: boolean,
): { least_min?: number; most_min?: number } {
	return marinate && follows ? { least_min: marinate.minutes, most_min: marinate.longest_min } : {};
}
