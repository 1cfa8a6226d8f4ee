import { refuse } from "../../check/index.ts";
import { GASTRONORM, GASTRONORM_CORNER_MM, GASTRONORM_RIM_MM, GASTRONORM_TAPER } from "./gastronorm.ts";
import type { MeasuredPan, PanShape } from "./schemas.ts";

export type { PanShape };

type Measured = MeasuredPan["measured"];

const MM3_PER_LITRE = 1e6;

/** A level cut through the inside of a pan: a rectangle, its corners rounded or not, or a circle, mm. */
export type Floor =
	| {
			readonly kind: "rectangle";
			readonly length_mm: number;
			readonly width_mm: number;
			readonly corner_mm?: number;
	  }
	| { readonly kind: "circle"; readonly diameter_mm: number };

export function depthOf(pan: PanShape): number {
	if ("gn" in pan) return pan.depth_mm;
	if ("measured" in pan) return pan.measured.depth_mm;
	return "round" in pan ? pan.round.height_mm : pan.box.depth_mm;
}

/** Outside rim of the pan, mm; boxes and round pans are drawn by their inside. */
export function rimOf(pan: PanShape): { length_mm: number; width_mm: number } {
	if ("gn" in pan) return GASTRONORM[pan.gn];
	if ("box" in pan) return pan.box;
	if ("measured" in pan) return pan.measured;
	return { length_mm: pan.round.diameter_mm, width_mm: pan.round.diameter_mm };
}

/** The inside of the pan at a height above its floor, mm. */
export function insideAt(pan: PanShape, height_mm: number): Floor {
	if ("round" in pan) return { kind: "circle", diameter_mm: pan.round.diameter_mm };
	if ("box" in pan) return { kind: "rectangle", ...pan.box };
	if ("measured" in pan) return measuredAt(pan.measured, height_mm);
	const { length_mm, width_mm } = GASTRONORM[pan.gn];
	const inset = 2 * (GASTRONORM_RIM_MM + GASTRONORM_TAPER * (pan.depth_mm - height_mm));
	return {
		kind: "rectangle",
		length_mm: length_mm - inset,
		width_mm: width_mm - inset,
		corner_mm: GASTRONORM_CORNER_MM,
	};
}

/** The inside of a measured pan: its area grows evenly from the floor up, its outline stays alike. */
function measuredAt(pan: Measured, height_mm: number): Floor {
	const { floor_mm2, growth_mm } = areaFromMarks(pan);
	const area = floor_mm2 + growth_mm * height_mm;
	if (pan.outline === "round") return { kind: "circle", diameter_mm: Math.sqrt((4 * area) / Math.PI) };
	const scale = Math.sqrt(area / (pan.length_mm * pan.width_mm));
	return { kind: "rectangle", length_mm: pan.length_mm * scale, width_mm: pan.width_mm * scale };
}

/** Floor area, mm², and by how much the area grows for each mm up, from water at two marks. */
function areaFromMarks({ low, high }: Pick<Measured, "low" | "high">): {
	floor_mm2: number;
	growth_mm: number;
} {
	const mean = (mark: { height_mm: number; litres: number }) =>
		(mark.litres * MM3_PER_LITRE) / mark.height_mm;
	const growth_mm = (2 * (mean(high) - mean(low))) / (high.height_mm - low.height_mm);
	return { floor_mm2: mean(low) - (growth_mm * low.height_mm) / 2, growth_mm };
}

/** How far the water may be off what the rim and the depth would hold, as a share. */
const MEASURE_GAP = 0.35;

/**
 * Whether the marks of a measured pan can belong to one pan.
 *
 * @throws {Refusal} naming the mark that cannot be right, and what it would have to be about
 */
export function checkMeasured(pan: Measured): void {
	const { low, high, depth_mm } = pan;
	if (high.height_mm <= low.height_mm) {
		throw refuse(
			"high.height_mm",
			`${high.height_mm} was given; above the first mark (${low.height_mm} mm) is needed`,
		);
	}
	if (high.height_mm > depth_mm) {
		throw refuse(
			"high.height_mm",
			`${high.height_mm} was given; the depth (${depth_mm} mm) or less is allowed`,
		);
	}
	const rim_mm2 = pan.length_mm * pan.width_mm * (pan.outline === "round" ? Math.PI / 4 : 1);
	for (const [field, mark] of [["low", low] as const, ["high", high] as const]) {
		const straight_l = (rim_mm2 * mark.height_mm) / MM3_PER_LITRE;
		if (Math.abs(mark.litres / straight_l - 1) > MEASURE_GAP) {
			throw refuse(
				`${field}.litres`,
				`${mark.litres} was given; with this rim about ${straight_l.toPrecision(3)} l stand at ${mark.height_mm} mm, and within ${MEASURE_GAP * 100} % of it is allowed`,
			);
		}
	}
	const { floor_mm2, growth_mm } = areaFromMarks(pan);
	const top_mm2 = floor_mm2 + growth_mm * depth_mm;
	if (Math.min(floor_mm2, top_mm2) < rim_mm2 * (1 - MEASURE_GAP) || top_mm2 > rim_mm2 * (1 + MEASURE_GAP)) {
		throw refuse(
			"high.litres",
			`${high.litres} was given; with ${low.litres} l at ${low.height_mm} mm its walls would lean too far; measure both marks again`,
		);
	}
}

export function areaOf(floor: Floor): number {
	if (floor.kind === "circle") return (Math.PI / 4) * floor.diameter_mm ** 2;
	return floor.length_mm * floor.width_mm - (4 - Math.PI) * (floor.corner_mm ?? 0) ** 2;
}

/** The inside at the rim as a rectangle, mm: a square of the same wall to its floor where it is round. */
export function rimSpan(pan: PanShape): { readonly length_mm: number; readonly width_mm: number } {
	const rim = insideAt(pan, depthOf(pan));
	if (rim.kind === "circle") return { length_mm: rim.diameter_mm, width_mm: rim.diameter_mm };
	return { length_mm: rim.length_mm, width_mm: rim.width_mm };
}

/** Length of the wall round a floor, mm. */
export function perimeterOf(floor: Floor): number {
	return floor.kind === "circle" ? Math.PI * floor.diameter_mm : 2 * (floor.length_mm + floor.width_mm);
}

/**
 * Litres the inside holds below a height.
 *
 * @param height_mm above the floor; more than the depth counts as the brim
 */
export function volumeBelow(pan: PanShape, height_mm: number): number {
	return volumeTo(pan, Math.min(Math.max(height_mm, 0), depthOf(pan)));
}

/** Area of the floor inside, mm². */
export function floorArea(pan: PanShape): number {
	return areaOf(insideAt(pan, 0));
}

/**
 * Litres up to a height, the walls thought on beyond the brim. The area is at most a
 * square of the height, so the mean of both ends and four times the middle is exact.
 */
function volumeTo(pan: PanShape, height_mm: number): number {
	const ends = floorArea(pan) + areaOf(insideAt(pan, height_mm));
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
	let height = (volume_l * MM3_PER_LITRE) / floorArea(pan);
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
	const rimArea = "gn" in pan ? rim.length_mm * rim.width_mm - areaOf(insideAt(pan, depthOf(pan))) : 0;
	const steel_mm = "gn" in pan ? PRESSED_STEEL_MM : POT_STEEL_MM;
	return (areaOf(floor) + perimeterOf(floor) * depthOf(pan) + rimArea) * steel_mm * STEEL_KG_PER_MM3;
}

/** A pan in the words of the kitchen: "GN 1/1, 100 deep". */
export function panWords(pan: PanShape): string {
	if ("gn" in pan) return `GN ${pan.gn}, ${pan.depth_mm} mm deep`;
	if ("measured" in pan) {
		const { outline, length_mm, width_mm, depth_mm } = pan.measured;
		const size = outline === "round" ? `${length_mm}` : `${length_mm} × ${width_mm}`;
		return `${outline === "round" ? "round, " : ""}${size} × ${depth_mm} mm, measured`;
	}
	if ("round" in pan) return `round, ${pan.round.diameter_mm} × ${pan.round.height_mm} mm`;
	return `${pan.box.length_mm} × ${pan.box.width_mm} × ${pan.box.depth_mm} mm`;
}
