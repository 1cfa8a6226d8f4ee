import { crossing } from "../../quantity/index.ts";
import { depthOf, type PanShape, volumeBelow } from "./PanShape.ts";
import { MEAT_KG_PER_L } from "./Piece.ts";

/** One layer of meat that stands evenly from the floor up. */
export interface MeatLayer {
	readonly meat_kg: number;
	/** Height of the layer: the thickness of its pieces, mm. */
	readonly height_mm: number;
}

/**
 * Litres that bring a pan to a line when a layer of meat stands in it, whatever its pieces are.
 *
 * @param line_mm above the floor
 * @returns 0 when the meat alone reaches the line
 */
export function litresAround(pan: PanShape, { meat_kg, height_mm }: MeatLayer, line_mm: number): number {
	const under = Math.min(1, line_mm / height_mm);
	return Math.max(0, volumeBelow(pan, line_mm) - (meat_kg / MEAT_KG_PER_L) * under);
}

/** How near a line is found, mm. */
const LINE_FOUND_MM = 0.01;

/** The line to which litres rise around a layer of meat, mm above the floor; the rim when they run over. */
export function lineAround(pan: PanShape, layer: MeatLayer, liquid_l: number): number {
	const depth_mm = depthOf(pan);
	const litresAt = (line_mm: number) => litresAround(pan, layer, line_mm);
	if (litresAt(depth_mm) <= liquid_l) return depth_mm;
	return crossing(litresAt, liquid_l, 0, depth_mm, LINE_FOUND_MM);
}
