import { type Static, Type } from "@sinclair/typebox";
import { Millimetres, oneOf } from "../check/fields.ts";
import { GASTRONORM, GASTRONORM_RIM_MM, GASTRONORM_SIZES, GASTRONORM_TAPER } from "./gastronorm.ts";

export const GastronormPan = Type.Object({
	gn: oneOf(GASTRONORM_SIZES, { title: "Gastronorm size" }),
	depth_mm: Millimetres,
});
export const RoundPan = Type.Object({
	round: Type.Object({ diameter_mm: Millimetres, height_mm: Millimetres }),
});
/** Inside sizes, straight walls. */
export const BoxPan = Type.Object({
	box: Type.Object({ length_mm: Millimetres, width_mm: Millimetres, depth_mm: Millimetres }),
});

export type PanShape = Static<typeof GastronormPan> | Static<typeof RoundPan> | Static<typeof BoxPan>;

/** A level cut through the inside of a pan: a rectangle or a circle, mm. */
export type Floor =
	| { readonly kind: "rectangle"; readonly length_mm: number; readonly width_mm: number }
	| { readonly kind: "circle"; readonly diameter_mm: number };

export function depthOf(pan: PanShape): number {
	if ("gn" in pan) return pan.depth_mm;
	return "round" in pan ? pan.round.height_mm : pan.box.depth_mm;
}

/** Outside rim of the pan, mm; boxes and round pans are drawn by their inside. */
export function rimOf(pan: PanShape): { length_mm: number; width_mm: number } {
	if ("gn" in pan) return GASTRONORM[pan.gn];
	if ("box" in pan) return pan.box;
	return { length_mm: pan.round.diameter_mm, width_mm: pan.round.diameter_mm };
}

/** The inside of the pan at a height above its floor, mm. */
export function insideAt(pan: PanShape, height_mm: number): Floor {
	if ("round" in pan) return { kind: "circle", diameter_mm: pan.round.diameter_mm };
	if ("box" in pan) return { kind: "rectangle", ...pan.box };
	const { length_mm, width_mm } = GASTRONORM[pan.gn];
	const inset = 2 * (GASTRONORM_RIM_MM + GASTRONORM_TAPER * (pan.depth_mm - height_mm));
	return { kind: "rectangle", length_mm: length_mm - inset, width_mm: width_mm - inset };
}

export function areaOf(floor: Floor): number {
	if (floor.kind === "circle") return (Math.PI / 4) * floor.diameter_mm ** 2;
	return floor.length_mm * floor.width_mm;
}

const MM3_PER_LITRE = 1e6;

/**
 * Litres the inside holds below a height.
 *
 * @param height_mm above the floor; more than the depth counts as the brim
 */
export function volumeBelow(pan: PanShape, height_mm: number): number {
	return volumeTo(pan, Math.min(Math.max(height_mm, 0), depthOf(pan)));
}

/**
 * Litres up to a height, the walls thought on beyond the brim. The area is at most a
 * square of the height, so the mean of both ends and four times the middle is exact.
 */
function volumeTo(pan: PanShape, height_mm: number): number {
	const ends = areaOf(insideAt(pan, 0)) + areaOf(insideAt(pan, height_mm));
	const middle = areaOf(insideAt(pan, height_mm / 2));
	return (height_mm * (ends + 4 * middle)) / 6 / MM3_PER_LITRE;
}

/**
 * Height above the floor at which the inside holds a volume, mm.
 *
 * @param volume_l litres; more than the pan holds gives its depth
 */
export function heightOf(pan: PanShape, volume_l: number): number {
	if (volume_l <= 0) return 0;
	const depth = depthOf(pan);
	if (volume_l >= volumeBelow(pan, depth)) return depth;
	let height = (volume_l * MM3_PER_LITRE) / areaOf(insideAt(pan, 0));
	for (let step = 0; step < 20; step += 1) {
		const miss = (volumeTo(pan, height) - volume_l) * MM3_PER_LITRE;
		height -= miss / areaOf(insideAt(pan, height));
		if (Math.abs(miss) < 1e-6) break;
	}
	return height;
}

/** Steel of a pan's walls and floor, mm: pressed gastronorms, and heavier pots and boxes for the hob. */
const PRESSED_STEEL_MM = 0.8;
const POT_STEEL_MM = 2;
/** Density of stainless steel, kg per mm³. */
const STEEL_KG_PER_MM3 = 7.9e-6;

/** What the empty pan weighs, kg, from its steel: rim, walls and floor. */
export function emptyPanWeight(pan: PanShape): number {
	const rim = rimOf(pan);
	const floor = insideAt(pan, 0);
	const around =
		floor.kind === "circle" ? Math.PI * floor.diameter_mm : 2 * (floor.length_mm + floor.width_mm);
	const rimArea = "gn" in pan ? rim.length_mm * rim.width_mm - areaOf(insideAt(pan, depthOf(pan))) : 0;
	const steel_mm = "gn" in pan ? PRESSED_STEEL_MM : POT_STEEL_MM;
	return (areaOf(floor) + around * depthOf(pan) + rimArea) * steel_mm * STEEL_KG_PER_MM3;
}

/** A pan in the words of the kitchen: "GN 1/1, 100 deep". */
export function panWords(pan: PanShape): string {
	if ("gn" in pan) return `GN ${pan.gn}, ${pan.depth_mm} mm deep`;
	if ("round" in pan) return `round, ${pan.round.diameter_mm} × ${pan.round.height_mm} mm`;
	return `${pan.box.length_mm} × ${pan.box.width_mm} × ${pan.box.depth_mm} mm`;
}
