import { type SittingDish, sharedOut } from "../sitting/index.ts";
import { changesOf, type DayChange } from "./DayChange.ts";

interface Served {
	readonly id: string;
	readonly covers: number;
	readonly dishes: readonly SittingDish[];
}

/**
 * A sitting with the covers, and the days of cooking, that are told of it: tried and kept alike. Who
 * takes a dish as so many guests, or as the rest, is shared out anew.
 */
export function sittingWith<S extends Served>(sitting: S, changes: readonly DayChange[]): S {
	const covers =
		changesOf(changes, "covers").findLast((change) => change.sitting === sitting.id)?.covers ??
		sitting.covers;
	const ahead = new Map(changesOf(changes, "ahead").map((change) => [change.for, change.ahead]));
	const dishes = sitting.dishes.map((dish) => ({ ...dish, ahead: ahead.get(dish.id) ?? dish.ahead }));
	return { ...sitting, covers, dishes: sharedOut(covers, dishes) };
}

/** Whether a change is kept in its sitting; all others are told of the day. */
export function isOfSitting({ kind }: DayChange): boolean {
	return kind === "covers" || kind === "ahead";
}
