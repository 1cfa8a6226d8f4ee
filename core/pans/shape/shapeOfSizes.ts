import type { GastronormSize } from "./gastronorm.ts";
import type { PanShape } from "./PanShape.ts";

/** Sizes of a pan as a shelf keeps them: inside, mm; water marks where it was measured. */
export interface PanSizes {
	readonly kind: "gn" | "round" | "box";
	readonly gn: GastronormSize | null;
	readonly length_mm: number | null;
	readonly width_mm: number | null;
	readonly diameter_mm: number | null;
	readonly depth_mm: number;
	readonly lowMark_mm: number | null;
	readonly lowMark_ml: number | null;
	readonly highMark_mm: number | null;
	readonly highMark_ml: number | null;
}

/** The inside shape of a pan of these sizes; as it was measured with water, where it was. */
export function shapeOfSizes(sizes: PanSizes): PanShape {
	const { kind, gn, length_mm, width_mm, diameter_mm, depth_mm } = sizes;
	const measured = measuredShape(sizes);
	if (measured) return measured;
	if (kind === "gn" && gn) return { gn, depth_mm };
	if (kind === "round") return { round: { diameter_mm: diameter_mm ?? 0, height_mm: depth_mm } };
	return { box: { length_mm: length_mm ?? 0, width_mm: width_mm ?? 0, depth_mm } };
}

/** A pan that was measured with water; undefined when it is known by its sizes. */
function measuredShape(sizes: PanSizes): PanShape | undefined {
	const { lowMark_mm, lowMark_ml, highMark_mm, highMark_ml } = sizes;
	if (lowMark_mm === null || lowMark_ml === null || highMark_mm === null || highMark_ml === null) {
		return undefined;
	}
	const round = sizes.kind === "round";
	return {
		measured: {
			outline: round ? "round" : "box",
			length_mm: (round ? sizes.diameter_mm : sizes.length_mm) ?? 0,
			width_mm: (round ? sizes.diameter_mm : sizes.width_mm) ?? 0,
			depth_mm: sizes.depth_mm,
			low: { height_mm: lowMark_mm, litres: lowMark_ml / 1000 },
			high: { height_mm: highMark_mm, litres: highMark_ml / 1000 },
		},
	};
}
