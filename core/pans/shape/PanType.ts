import { GASTRONORM } from "./gastronorm.ts";
import { depthOf, type PanShape, rimOf } from "./PanShape.ts";

/** A kind of pan on the kitchen's shelf. */
export interface PanType {
	readonly id: string;
	readonly name: string;
	readonly shape: PanShape;
	readonly stock: number;
	/** Share of its depth up to which it may be filled, where that is less than to its headspace. */
	readonly fill?: number;
	/** Heat of its own that reaches it, kW; absent where it stands in an oven or on a burner. */
	readonly heat_kW?: number | undefined;
	/** Bare aluminium or iron: acid takes it up, so a dish with wine or sour fruit goes elsewhere. */
	readonly reacts?: boolean;
}

/** Height of one rung in an oven, mm: the usual catering pitch. */
export const RUNG_MM = 65;

/** Share of a gastronorm 1/1 shelf that a pan takes. */
export function shelfShare(shape: PanShape): number {
	if ("gn" in shape) return GASTRONORM[shape.gn].shareOfOne;
	const rim = rimOf(shape);
	const size = GASTRONORM["1/1"];
	const turned = Math.min(
		Math.max(rim.length_mm / size.length_mm, rim.width_mm / size.width_mm),
		Math.max(rim.length_mm / size.width_mm, rim.width_mm / size.length_mm),
	);
	return turned <= 1 ? 1 : 2;
}

/** Rungs that a pan of this depth takes up: it hangs by its rim, so one as deep as the pitch takes one. */
export function rungsHigh(shape: PanShape, pitch_mm = RUNG_MM): number {
	return Math.max(1, Math.ceil(depthOf(shape) / pitch_mm));
}
