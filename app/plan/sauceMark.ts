import { heightOf, volumeBelow } from "#core/pans";
import type { Kitchen } from "#core/plan";

/** A round pot and how high a sauce stands in it. */
export interface SauceMark {
	readonly name: string;
	readonly mark_mm: number;
}

/** How full a pot may be in which something boils down, as a share of its depth. */
const FULL = 0.75;

/**
 * Where a sauce stands in the kitchen's widest round pot that takes it: the mark on a
 * stick to which it is reduced. The widest boils down quickest.
 *
 * @returns undefined when no round pot takes it
 */
export function sauceMark(sauce_l: number, { pans }: Pick<Kitchen, "pans">): SauceMark | undefined {
	const pots = pans.flatMap(({ name, shape }) => ("round" in shape ? [{ name, shape }] : []));
	const [widest] = pots
		.filter(({ shape }) => volumeBelow(shape, shape.round.height_mm * FULL) >= sauce_l)
		.sort((a, b) => b.shape.round.diameter_mm - a.shape.round.diameter_mm);
	return widest && sauce_l > 0 ? { name: widest.name, mark_mm: heightOf(widest.shape, sauce_l) } : undefined;
}
