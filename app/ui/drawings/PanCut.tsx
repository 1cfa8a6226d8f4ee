import { chakra } from "@chakra-ui/react/styled-system";
import { scaleLinear } from "d3-scale";
import { type PointerEvent, useRef } from "react";
import type { CutDrawing, PanDrawing } from "./drawings.ts";
import { LevelGrip } from "./LevelGrip.tsx";
import { leanOf, PanLayer, PanWall } from "./PanWall.tsx";
import { Label, Line, Rect, Svg } from "./svg.tsx";

const Big = chakra("text", { base: { fill: "ink", fontFamily: "head", fontWeight: 700, fontSize: "26px" } });
/** Width of the rim, px, room for the dimensions at its right, the schools at its left, the lid above. */
const WIDTH = 440;
const RIGHT = 150;
const LEFT = 196;
const ABOVE = 44;
const BELOW = 14;
/** Least height of one school's name, px. */
const NAME_STEP = 19;

/** The liquid line as a control: by pointer, by arrow keys (1 mm), by page keys from school to school. */
export interface LineDrag {
	readonly label: string;
	/** What a reader hears for where it is. */
	readonly text: string;
	/** Called with millimetres above the floor while it moves. */
	readonly onMove: (line_mm: number) => void;
	/** Called when it is let go. */
	readonly onDrop: () => void;
}

interface PanCutProps {
	readonly pan: PanDrawing;
	readonly cut: CutDrawing;
	readonly drag?: LineDrag;
	/** Whether the schools stand at their heights with their names. */
	readonly named?: boolean;
}

/** The pan cut through lengthways, to scale: bed, pieces, liquid line, dip and headspace. */
export function PanCut({ pan, cut, drag, named = false }: PanCutProps) {
	const svg = useRef<SVGSVGElement>(null);
	const px = scaleLinear().domain([0, pan.rim.length_mm]).range([0, WIDTH]);
	const up = (mm: number) => px(pan.depth_mm - mm);
	const depth = px(pan.depth_mm);
	const lean = leanOf(pan, px);
	const walls = { depth_mm: pan.depth_mm, lean, width: WIDTH, up };
	const line = up(Math.min(cut.line_mm, pan.depth_mm));
	const left = named ? LEFT : 4;
	const bottom = Math.max(BELOW, named ? BELOW + 10 : BELOW);
	const heightAt = (event: PointerEvent) => {
		const box = svg.current?.getBoundingClientRect();
		if (!box) return cut.line_mm;
		const scale = (depth + ABOVE + bottom) / box.height;
		return pan.depth_mm - px.invert((event.clientY - box.top) * scale - ABOVE);
	};
	return (
		<Svg
			ref={svg}
			viewBox={`${-left} ${-ABOVE} ${WIDTH + RIGHT + left} ${depth + ABOVE + bottom}`}
			role={drag ? "group" : "img"}
			aria-label={cut.words}
		>
			{cut.lid === "" ? null : (
				<>
					<Label x={4} y={-16}>
						{cut.lid}
					</Label>
					<Line x1={0} x2={WIDTH} y1={-7} y2={-7} stroke="pan" strokeWidth={4} />
				</>
			)}
			<PanLayer from={0} to={cut.line_mm} fill="broth" {...walls} />
			<PanLayer from={0} to={cut.bed_mm} fill="bed" {...walls} />
			{layersOf(pan, cut).map(({ layer, piece }) => (
				<Rect
					key={`${layer} ${piece.x_mm}`}
					x={WIDTH / 2 + px(piece.x_mm - piece.length_mm / 2)}
					y={up(cut.bed_mm + (layer + 1) * pan.pieceHeight_mm)}
					width={px(piece.length_mm)}
					height={px(pan.pieceHeight_mm)}
					rx={pan.ball ? px(pan.pieceHeight_mm) / 2 : 12}
					fill="meat"
					stroke="meatEdge"
				/>
			))}
			{(cut.over ?? []).map(({ from_mm, to_mm, of, name }) => (
				<g key={name}>
					<PanLayer from={from_mm} to={Math.min(to_mm, pan.depth_mm)} fill={of} {...walls} />
					<Label x={WIDTH / 2} y={up((from_mm + to_mm) / 2) + 5} textAnchor="middle">
						{name}
					</Label>
				</g>
			))}
			<PanWall lean={lean} width={WIDTH} depth={depth} />
			<Line
				x1={lean.rim}
				x2={WIDTH - lean.rim}
				y1={up(pan.depth_mm - cut.headspace_mm)}
				y2={up(pan.depth_mm - cut.headspace_mm)}
				strokeDasharray="5 5"
				strokeOpacity={cut.headspace_mm > 0 ? 1 : 0}
			/>
			{named ? <SchoolNames cut={cut} up={up} wallAt={lean.rim} /> : null}
			<Line x1={lean.rim - 2} x2={WIDTH + 8} y1={line} y2={line} stroke="ink" strokeWidth={2.5} />
			{drag ? (
				<LevelGrip
					label={drag.label}
					text={drag.text}
					now={Math.round(cut.line_mm)}
					most={Math.round(pan.depth_mm)}
					y={line}
					width={WIDTH}
					beside={12}
					valueAt={heightAt}
					keyTo={(key) => steppedTo(key, cut)}
					onMove={drag.onMove}
					onDrop={drag.onDrop}
				/>
			) : null}
			<Dimensions line={line} dip={cut.dip} lineWords={cut.line} />
		</Svg>
	);
}

/** From the rim to the line, with both figures. */
function Dimensions({
	line,
	dip,
	lineWords,
}: {
	readonly line: number;
	readonly dip: string;
	readonly lineWords: string;
}) {
	const middle = Math.max(20, line / 2 + 2);
	return (
		<>
			<Line x1={WIDTH + 26} x2={WIDTH + 26} y1={0} y2={line} />
			<Line x1={WIDTH + 18} x2={WIDTH + 34} y1={0} y2={0} />
			<Line x1={WIDTH + 18} x2={WIDTH + 34} y1={line} y2={line} />
			<Big x={WIDTH + 42} y={middle}>
				{dip}
			</Big>
			<Label x={WIDTH + 42} y={middle + 19}>
				dip
			</Label>
			<Label x={WIDTH + 14} y={Math.max(line + 24, 64)} fontWeight="650">
				line {lineWords}
			</Label>
		</>
	);
}

/** Where a key takes the line, mm; undefined for keys that mean nothing here. */
function steppedTo(key: string, { line_mm, schools }: CutDrawing): number | undefined {
	const heights = schools.map(({ mm }) => mm).sort((a, b) => a - b);
	switch (key) {
		case "ArrowUp":
		case "ArrowRight":
			return line_mm + 1;
		case "ArrowDown":
		case "ArrowLeft":
			return line_mm - 1;
		case "PageUp":
			return heights.find((mm) => mm > line_mm + 0.5);
		case "PageDown":
			return heights.findLast((mm) => mm < line_mm - 0.5);
		case "Home":
			return heights[0];
		case "End":
			return heights.at(-1);
		default:
			return undefined;
	}
}

/** Each school at its height, its name moved up where two would meet. */
function SchoolNames({
	cut,
	up,
	wallAt,
}: {
	readonly cut: CutDrawing;
	readonly up: (mm: number) => number;
	readonly wallAt: number;
}) {
	let lowest = Number.POSITIVE_INFINITY;
	const names = [...cut.schools]
		.sort((a, b) => a.mm - b.mm)
		.map(({ name, mm }) => {
			const at = up(mm);
			lowest = Math.min(at + 5, lowest - NAME_STEP);
			return { name, at, label: lowest };
		});
	return names.map(({ name, at, label }) => {
		const isHere = name === cut.lineWords;
		return (
			<g key={name}>
				<Line x1={-14} x2={wallAt + 6} y1={at} y2={at} strokeWidth={isHere ? 2.5 : 1.2} />
				<Line x1={-26} x2={-14} y1={label - 5} y2={at} />
				<Label x={-30} y={label} textAnchor="end" {...(isHere ? { fill: "ink", fontWeight: "650" } : {})}>
					{name}
				</Label>
			</g>
		);
	});
}

/** The same row in each layer. */
function layersOf(pan: PanDrawing, { layers = 1 }: CutDrawing) {
	return Array.from({ length: layers }, (_, layer) =>
		nearestRow(pan).map((piece) => ({ layer, piece })),
	).flat();
}

/** The pieces that a cut lengthways near the middle goes through. */
function nearestRow({ placed }: PanDrawing) {
	const [first] = [...placed].sort((a, b) => Math.abs(a.y_mm) - Math.abs(b.y_mm));
	if (!first) return [];
	const cutAt = first.y_mm;
	return placed.filter((piece) => Math.abs(piece.y_mm - cutAt) < piece.width_mm / 2);
}
