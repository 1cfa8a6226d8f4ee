import { scaleLinear } from "d3-scale";
import type { PanDrawing } from "./drawings.ts";
import { GRIP } from "./LevelGrip.tsx";

/** Room at the right of a pan cut through: the grip of its line, then the dip, px. */
export const PAN_RIGHT = GRIP.width + 30;
/** Room at its left, px. */
export const PAN_LEFT = 8;
/** The widest a pan is drawn, px. */
const WIDEST = 560;

/**
 * The one scale in which a pan is drawn from above and cut through, one under the other.
 *
 * @param shown width of the drawing, px
 * @returns the width of its rim, px, and millimetres in the drawing's own pixels
 */
export function panScale({ rim }: Pick<PanDrawing, "rim">, shown: number) {
	const width = Math.max(60, Math.min(WIDEST, shown - PAN_LEFT - PAN_RIGHT));
	return { width, px: scaleLinear().domain([0, rim.length_mm]).range([0, width]) };
}
