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

/** Halvings that bring a line to a hundredth of a millimetre. */
const HALVINGS = 16;

/** The line to which litres rise around a layer of meat, mm above the floor; the rim when they run over. */
export function lineAround(pan: PanShape, layer: MeatLayer, liquid_l: number): number {
	let low = 0;
	let high = depthOf(pan);
	if (litresAround(pan, layer, high) <= liquid_l) return high;
	for (let halving = 0; halving < HALVINGS; halving += 1) {
		const middle = (low + high) / 2;
		if (litresAround(pan, layer, middle) > liquid_l) high = middle;
		else low = middle;
	}
	return (low + high) / 2;
}
