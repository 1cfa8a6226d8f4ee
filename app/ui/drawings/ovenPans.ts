import type { Oven } from "#core/ovens";
import { depthOf, GASTRONORM, type PanShape, rimOf, shelfShare } from "#core/pans";
import type { OvenPans } from "./drawings.ts";

/** So many pans of a shape as they stand on a shelf, seen from the door. */
export function ovenPans(shape: PanShape, count: number, shelf: Oven["shelf"]): OvenPans {
	const { length_mm, width_mm } = rimOf(shape);
	return {
		count,
		width_mm: Math.max(length_mm, width_mm),
		depth_mm: depthOf(shape),
		across: Math.max(1, Math.floor(GASTRONORM[shelf].shareOfOne / shelfShare(shape) + 1e-9)),
	};
}

/** How wide a shelf of an oven is, mm. */
export function shelfWidth(shelf: Oven["shelf"]): number {
	return rimOf({ gn: shelf, depth_mm: 40 }).length_mm;
}
