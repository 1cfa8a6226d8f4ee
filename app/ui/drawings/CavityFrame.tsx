import { chakra } from "@chakra-ui/react/styled-system";
import type { ComponentProps, ReactNode } from "react";
import { heatColour } from "./heat.ts";

/** Half a pixel a millimetre: all ovens, and all that stands in them, in one scale. */
export const OVEN_PX_PER_MM = 0.5;
export const OVEN_WALL_PX = 12;
/** Under the lowest rung: the floor with its heat. */
export const OVEN_FLOOR_PX = 12;

const Rect = chakra("rect");
const Line = chakra("line", { base: { stroke: "edge", strokeWidth: 1 } });

/** What of an oven is drawn. */
export interface CavityShape {
	readonly rungs: number;
	readonly pitch_mm: number;
	/** As far as its shelf reaches. */
	readonly width_mm: number;
	/** Null while it is cold. */
	readonly set_C: number | null;
}

/** Where things stand in a cavity, px. */
export interface CavityInside {
	readonly width: number;
	/** Height of the lowest rung in the drawing, and from one to the next. */
	readonly floor: number;
	readonly rung: number;
}

interface CavityFrameProps extends Omit<ComponentProps<"svg">, "children"> {
	readonly oven: CavityShape;
	/** Rungs that something lifted could stand on. */
	readonly free?: readonly number[];
	readonly words: string;
	/** Smaller where ovens stand in a list, all in one scale. */
	readonly pxPerMm?: number;
	readonly children?: (inside: CavityInside) => ReactNode;
}

/** An oven as its cavity, to scale: walls, rungs as hairlines, and the floor in the colour of its heat. */
export function CavityFrame({
	oven,
	free = [],
	words,
	pxPerMm = OVEN_PX_PER_MM,
	children,
	...svg
}: CavityFrameProps) {
	const width = oven.width_mm * pxPerMm + 2 * OVEN_WALL_PX;
	const rung = oven.pitch_mm * pxPerMm;
	const height = oven.rungs * rung + 2 * OVEN_WALL_PX + OVEN_FLOOR_PX;
	const floor = height - OVEN_WALL_PX - OVEN_FLOOR_PX;
	const inside = { width: width - 2 * OVEN_WALL_PX, floor, rung };
	return (
		<svg
			{...svg}
			width={width}
			height={height}
			viewBox={`0 0 ${width} ${height}`}
			role="img"
			aria-label={words}
		>
			<Rect
				data-means="oven"
				x={1.5}
				y={1.5}
				width={width - 3}
				height={height - 3}
				fill="steel"
				stroke="pan"
				strokeWidth={3}
			/>
			<Rect
				x={OVEN_WALL_PX}
				y={OVEN_WALL_PX}
				width={inside.width}
				height={height - 2 * OVEN_WALL_PX}
				fill="sheet"
			/>
			{Array.from({ length: oven.rungs }, (_, index) => index).map((index) => (
				<Line
					key={index}
					x1={OVEN_WALL_PX}
					x2={width - OVEN_WALL_PX}
					y1={floor - index * rung}
					y2={floor - index * rung}
					style={free.includes(index) ? { strokeWidth: 4 } : {}}
				/>
			))}
			{oven.set_C === null ? null : (
				<Rect
					x={OVEN_WALL_PX}
					y={floor + 3}
					width={inside.width}
					height={OVEN_FLOOR_PX - 3}
					style={{ fill: heatColour(oven.set_C) }}
				/>
			)}
			{children?.(inside)}
		</svg>
	);
}
