import { wholeUp } from "../quantity/index.ts";
import type { Recipe, ServedIn } from "../recipe/index.ts";
import type { DishOrder } from "./DishOrder.ts";

/** How a dish leaves the kitchen. */
export interface PlanServing {
	readonly in: ServedIn;
	/** Guests who get one of it, whole portions or not. */
	readonly guests: number;
	/** Hot plates wanted: one for each guest, and none where it goes out in boxes or into another dish. */
	readonly plates: number;
	/** Platters, and guests that each is for; null where it is not served so. */
	readonly platters: { readonly count: number; readonly guests: number } | null;
	/** What goes on, from the bottom up. */
	readonly order: readonly string[];
	/** People side by side on the line; null where the card does not say. */
	readonly people: number | null;
	/** Pulled into another dish: what there is of it then, and what a portion of that dish takes; else null. */
	readonly pulled: { readonly ready_kg: number; readonly portion_g: number } | null;
}

/** Guests that a platter is for where the card does not say. General practice. */
const USUAL_PLATTER = 8;

/**
 * How a dish leaves the kitchen.
 *
 * @param portions  portions of the batch, second helpings among them
 * @param cooked_kg cooked weight of the batch
 */
export function planServing(
	{ servedIn = "plates", serving = {} }: Recipe,
	{ perGuest = 1 }: Pick<DishOrder, "perGuest">,
	portions: number,
	cooked_kg: number,
): PlanServing {
	const guests = Math.max(1, wholeUp(portions / perGuest));
	const { platterFor = USUAL_PLATTER, pulled, order = [], people = null } = serving;
	return {
		in: servedIn,
		guests,
		plates: servedIn === "boxes" || servedIn === "pulled" ? 0 : guests,
		platters: servedIn === "platters" ? { count: wholeUp(guests / platterFor), guests: platterFor } : null,
		order,
		people,
		pulled:
			servedIn === "pulled" && pulled
				? { ready_kg: cooked_kg * (1 - pulled.loss), portion_g: pulled.portion_g }
				: null,
	};
}
