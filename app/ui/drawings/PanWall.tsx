import type { PanDrawing } from "./drawings.ts";
import { Path } from "./svg.tsx";

/** How the walls of a pan stand in a cut through it. */
export interface Lean {
	/** Width of the rim on one side and how far the wall comes in over its depth, px. */
	readonly rim: number;
	readonly in: number;
}

/** @param px from millimetres to the drawing's own */
export function leanOf(pan: PanDrawing, px: (mm: number) => number): Lean {
	const top = acrossOf(pan.top);
	return { rim: px((pan.rim.length_mm - top) / 2), in: px((top - acrossOf(pan.floor)) / 2) };
}

function acrossOf(floor: PanDrawing["floor"]): number {
	return floor.kind === "circle" ? floor.diameter_mm : floor.length_mm;
}

/** Rim, walls and floor of a pan cut through; `width` over its rim and `depth`, px. */
export function PanWall({
	lean,
	width,
	depth,
	thick = 4,
}: {
	readonly lean: Lean;
	readonly width: number;
	readonly depth: number;
	readonly thick?: number;
}) {
	const foot = lean.rim + lean.in;
	return (
		<Path
			d={`M0,0 H${lean.rim} L${foot},${depth} H${width - foot} L${width - lean.rim},0 H${width}`}
			fill="none"
			stroke="pan"
			strokeWidth={thick}
			data-means="pan"
		/>
	);
}

interface PanLayerProps {
	/** Heights above the floor between which it lies, mm. */
	readonly from: number;
	readonly to: number;
	readonly depth_mm: number;
	readonly lean: Lean;
	readonly width: number;
	readonly up: (mm: number) => number;
	readonly fill: string;
}

/** What stands in a pan between two heights, from wall to wall. */
export function PanLayer({ from, to, depth_mm, lean, width, up, fill }: PanLayerProps) {
	const edge = (mm: number) => lean.rim + lean.in * (1 - mm / depth_mm);
	const top = Math.min(to, depth_mm);
	if (top <= from) return null;
	return (
		<Path
			d={`M${edge(top)},${up(top)} L${edge(from)},${up(from)} H${width - edge(from)} L${width - edge(top)},${up(top)} Z`}
			fill={fill}
		/>
	);
}
