import { MINUTE_MS } from "../time/index.ts";
import type { Day, DayGiven, Unmet } from "./Day.ts";
import { changesOf } from "./DayChange.ts";

/** So many orders of placing are tried. */
export const ORDERS = 8;

/** In which of several orders a day is placed: the usual one where nothing was told. */
export function orderOf({ changes = [] }: Pick<DayGiven, "changes">): number {
	return changesOf(changes, "order").at(-1)?.order ?? 0;
}

/** What a day goes without, minutes: people and things by the time that each of them is missing, and what is late. */
export function missing_min({ unmet, tasks }: Pick<Day, "unmet" | "tasks">): number {
	const lasts = new Map(tasks.map(({ id, start, end }) => [id, (end - start) / MINUTE_MS]));
	return unmet.reduce((sum, one) => sum + missingOf(one, lasts), 0);
}

function missingOf(unmet: Unmet, lasts: ReadonlyMap<string, number>): number {
	switch (unmet.because) {
		case "tooFew":
		case "nobody":
			return (unmet.short * (unmet.to - unmet.from)) / MINUTE_MS;
		case "noOven":
			return unmet.rungs * (lasts.get(unmet.task) ?? 0);
		// No order of placing brings a pan.
		case "noPan":
			return 0;
		default:
			return unmet.minutes;
	}
}

/** The order of several that goes without least. */
export interface BestOrder {
	readonly order: number;
	/** Minutes that the day goes without in it, and in the order that it has now. */
	readonly missing_min: number;
	readonly was_min: number;
	/** How many orders were tried, that of the day among them. */
	readonly of: number;
}

/**
 * Places a day in several orders and finds the one that goes without least: of equals the day's own,
 * then the first. One that goes without nothing ends the search.
 *
 * @param day   as it is placed now
 * @param now   the order that it is placed in
 * @param place the day in another order
 */
export async function bestOrder(
	day: Pick<Day, "unmet" | "tasks">,
	now: number,
	place: (order: number) => Promise<Pick<Day, "unmet" | "tasks">>,
	told: (done: number, all: number) => void = () => {},
): Promise<BestOrder> {
	const was_min = missing_min(day);
	let best = { order: now, missing_min: was_min };
	let of = 1;
	for (let order = 0; order < ORDERS && best.missing_min > 0; order += 1) {
		if (order === now) continue;
		const missing = missing_min(await place(order));
		of += 1;
		told(of, ORDERS);
		if (missing < best.missing_min - 1e-6) best = { order, missing_min: missing };
	}
	return { ...best, was_min, of };
}
