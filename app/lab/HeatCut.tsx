import { scaleLinear } from "d3-scale";
import { memo } from "react";
import { formOf, type PieceForm, thicknessOf } from "#core/heat";
import { areaOf, depthOf, insideAt, lineAround, rimOf } from "#core/pans";
import { heatColour } from "../ui/drawings/heat.ts";
import type { LabPan } from "./labPan.ts";
import { floorTaken } from "./labPan.ts";

/** What of a pan is drawn. */
export type CutThrough = Pick<LabPan, "pan" | "meat_kg" | "sides" | "vegetables_kg">;

interface HeatCutProps {
	readonly lab: CutThrough;
	/** Layers of the meat from the middle out, °C. */
	readonly layers_C: readonly number[];
	readonly liquid_C: number;
	readonly liquid_l: number;
	readonly words: string;
	readonly width: number;
}

const ABOVE = 14;
const BELOW = 8;
/** A slice lies so much wider than it is thick. */
const SLICE = 2.4;

/** The pan cut through at one moment, to scale: pieces coloured from outside to centre by their temperature. */
export const HeatCut = memo(function HeatCut(props: HeatCutProps) {
	const { lab, layers_C, liquid_C, liquid_l, words, width } = props;
	const { pan, meat_kg, sides } = lab;
	const thickness_mm = thicknessOf(sides);
	const shape = formOf(sides);
	const rim_mm = rimOf(pan).length_mm;
	const px = scaleLinear()
		.domain([0, rim_mm])
		.range([4, width - 4]);
	const scale = px(1) - px(0);
	const depth = depthOf(pan) * scale;
	const top = across(insideAt(pan, depthOf(pan)));
	const floor = across(insideAt(pan, 0));
	const edge = (mm: number) => (rim_mm - floor - ((top - floor) * mm) / depthOf(pan)) / 2;
	const y = (mm: number) => ABOVE + depth - mm * scale;
	const line_mm = Math.min(
		depthOf(pan),
		lineAround(pan, { meat_kg, height_mm: thickness_mm }, liquid_l + (lab.vegetables_kg ?? 0)),
	);
	const wide_mm = shape === "slab" ? thickness_mm * SLICE : thickness_mm;
	const count = Math.max(
		1,
		Math.min(Math.floor(floor / wide_mm), Math.round(share(lab) * (floor / wide_mm))),
	);
	const step_mm = floor / count;
	const corner = (mm: number) => `${px(edge(mm))},${y(mm)}`;
	const far = (mm: number) => `${px(rim_mm - edge(mm))},${y(mm)}`;
	return (
		<svg
			viewBox={`0 0 ${width} ${ABOVE + depth + BELOW}`}
			role="img"
			aria-label={words}
			style={{ width: "100%", height: "auto" }}
		>
			<path
				d={`M${corner(line_mm)} L${corner(0)} L${far(0)} L${far(line_mm)} Z`}
				fill={heatColour(liquid_C)}
				fillOpacity={0.55}
			/>
			{Array.from({ length: count }, (_, index) => (
				<Piece
					// biome-ignore lint/suspicious/noArrayIndexKey: pieces stand in a row and are alike
					key={index}
					shape={shape}
					x={px(edge(0) + (index + 0.5) * step_mm)}
					y={y(thickness_mm / 2)}
					wide={wide_mm * scale}
					high={thickness_mm * scale}
					layers_C={layers_C}
				/>
			))}
			<path
				d={`M${px(0)},${ABOVE} H${px((rim_mm - top) / 2)} L${corner(0)} L${far(0)} L${px(rim_mm - (rim_mm - top) / 2)},${ABOVE} H${px(rim_mm)}`}
				fill="none"
				stroke="var(--wt-colors-pan)"
				strokeWidth={4}
			/>
			<line
				x1={px(edge(line_mm))}
				x2={px(rim_mm - edge(line_mm))}
				y1={y(line_mm)}
				y2={y(line_mm)}
				stroke="var(--wt-colors-ink)"
				strokeWidth={2}
			/>
		</svg>
	);
});

function share(lab: CutThrough): number {
	return Math.min(1, floorTaken(lab) * 1.15);
}

function across(floor: ReturnType<typeof insideAt>): number {
	return floor.kind === "circle"
		? floor.diameter_mm
		: Math.max(floor.length_mm, areaOf(floor) / floor.length_mm);
}

interface PieceProps {
	readonly shape: PieceForm;
	readonly x: number;
	readonly y: number;
	readonly wide: number;
	readonly high: number;
	readonly layers_C: readonly number[];
}

/** Every second layer is drawn: finer than the eye tells apart. */
const EVERY = 2;

/** One piece from its surface in: a slice in stripes, a bar or a ball in rings. */
function Piece({ shape, x, y, wide, high, layers_C }: PieceProps) {
	const layers = layers_C.length;
	const rings = [];
	for (let layer = layers - 1; layer >= 0; layer -= EVERY) {
		const reach = (layer + 1) / layers;
		const fill = heatColour(layers_C[layer] ?? 0);
		rings.push(
			shape === "slab" ? (
				<rect
					key={layer}
					x={x - wide / 2}
					y={y - (high * reach) / 2}
					width={wide}
					height={high * reach}
					fill={fill}
				/>
			) : (
				<circle key={layer} cx={x} cy={y} r={(high * reach) / 2} fill={fill} />
			),
		);
	}
	return (
		<g>
			{rings}
			{shape === "slab" ? (
				<rect
					x={x - wide / 2}
					y={y - high / 2}
					width={wide}
					height={high}
					fill="none"
					stroke="var(--wt-colors-meat-edge)"
				/>
			) : (
				<circle cx={x} cy={y} r={high / 2} fill="none" stroke="var(--wt-colors-meat-edge)" />
			)}
		</g>
	);
}
