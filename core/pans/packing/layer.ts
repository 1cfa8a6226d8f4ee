/** One piece on the floor of the pan: its middle from the pan's middle, and its sides, mm. */
export interface Placed {
	readonly x_mm: number;
	readonly y_mm: number;
	readonly length_mm: number;
	readonly width_mm: number;
}

/** One cell: a piece with half the gap round it. `length` lies along the area when it is not turned. */
export interface Cell {
	readonly length: number;
	readonly width: number;
}

/** Slack for sizes that fit to the millimetre, mm. */
export const HAIR_MM = 1e-6;

/** How often a part goes into a whole. */
export function timesIn(whole: number, part: number): number {
	return Math.max(0, Math.floor((whole + HAIR_MM) / part));
}
