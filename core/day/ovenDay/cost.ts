import type { Way } from "./Board.ts";

/**
 * Lateness and waiting as one figure to compare by: any minute of lateness weighs more than all
 * waiting. Both stay whole in a double: 2²⁶ shelf-minutes are a hundred shelves for 465 days.
 */
const LATE_WEIGHS = 2 ** 26;

export type Cost = number;

export const costOf = (late_min: number, wait_shelf_min: number): Cost =>
	late_min * LATE_WEIGHS + wait_shelf_min;

export const lateOf = (cost: Cost): number => Math.floor(cost / LATE_WEIGHS);

export const waitOf = (cost: Cost): number => cost - lateOf(cost) * LATE_WEIGHS;

/** What a batch costs that is put in at a minute. */
export function costAt(
	{ minutes, shelves }: Pick<Way, "minutes" | "shelves">,
	readyBy_min: number,
	start_min: number,
): Cost {
	const over_min = start_min + minutes - readyBy_min;
	return over_min > 0 ? costOf(over_min, 0) : costOf(0, -over_min * shelves);
}
