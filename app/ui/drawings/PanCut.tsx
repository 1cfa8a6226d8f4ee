import { chakra } from "@chakra-ui/react/styled-system";
import type { PointerEvent } from "react";
import type { CutDrawing, PanDrawing } from "./drawings.ts";
import { LevelGrip } from "./LevelGrip.tsx";
import { leanOf, PanLayer, PanWall } from "./PanWall.tsx";
import { PAN_LEFT, PAN_RIGHT, panScale } from "./panScale.ts";
import { Label, Line, Rect, Svg } from "./svg.tsx";
import { useShownWidth } from "./useShownWidth.ts";

const Big = chakra("tspan", { base: { fill: "ink", fontFamily: "head", fontWeight: 700, fontSize: "26px" } });
/** Room above the rim for the lid and the dip, px. */
const ABOVE = 44;
/** Least room under the floor, px: a grip low down hangs over it. */
const BELOW = 26;
/** Height of a name under the floor, px. */
const NAME_ROW = 24;
/** Width a drawing is laid out in until it is shown, px. */
const FIRST = 660;

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
	/** How wide it is on paper, where nothing is laid out again, px; on a screen as wide as it is shown. */
	readonly paper_px?: number;
}

/** The pan cut through lengthways, to scale: bed, pieces, liquid line, dip and headspace. */
export function PanCut({ pan, cut, drag, paper_px }: PanCutProps) {
	const [svg, shown] = useShownWidth(paper_px ?? FIRST, paper_px !== undefined);
	const { width, px } = panScale(pan, shown);
	const up = (mm: number) => px(pan.depth_mm - mm);
	const depth = px(pan.depth_mm);
	const lean = leanOf(pan, px);
	const walls = { depth_mm: pan.depth_mm, lean, width, up };
	const line = up(Math.min(cut.line_mm, pan.depth_mm));
	const over = cut.over ?? [];
	const height = ABOVE + depth + BELOW + over.length * NAME_ROW;
	const heightAt = (event: PointerEvent) => {
		const box = svg.current?.getBoundingClientRect();
		if (!box) return cut.line_mm;
		return pan.depth_mm - px.invert(((event.clientY - box.top) * height) / box.height - ABOVE);
	};
	return (
		<Svg
			ref={svg}
			viewBox={`${-PAN_LEFT} ${-ABOVE} ${shown} ${height}`}
			role={drag ? "group" : "img"}
			aria-label={cut.words}
			{...(paper_px === undefined ? {} : { maxWidth: `${paper_px}px` })}
		>
			{cut.lid === "" ? null : (
				<>
					<Label x={4} y={-16}>
						{cut.lid}
					</Label>
					<Line data-means="lid" x1={0} x2={width} y1={-7} y2={-7} stroke="pan" strokeWidth={4} />
				</>
			)}
			<PanLayer from={0} to={cut.line_mm} fill="broth" {...walls} />
			<PanLayer from={0} to={cut.bed_mm} fill="bed" {...walls} />
			{layersOf(pan, cut).map(({ layer, piece }) => (
				<Rect
					key={`${layer} ${piece.x_mm}`}
					x={width / 2 + px(piece.x_mm - piece.length_mm / 2)}
					y={up(cut.bed_mm + (layer + 1) * pan.pieceHeight_mm)}
					width={px(piece.length_mm)}
					height={px(pan.pieceHeight_mm)}
					rx={pan.ball ? px(pan.pieceHeight_mm) / 2 : Math.min(12, px(pan.pieceHeight_mm) / 4)}
					fill="meat"
					stroke="meatEdge"
				/>
			))}
			{over.map(({ from_mm, to_mm, of, name }, row) => (
				<g key={name}>
					<PanLayer from={from_mm} to={Math.min(to_mm, pan.depth_mm)} fill={of} {...walls} />
					<Rect x={0} y={depth + BELOW + row * NAME_ROW + 2} width={14} height={14} fill={of} stroke="edge" />
					<Label x={22} y={depth + BELOW + row * NAME_ROW + 15}>
						{name}
					</Label>
				</g>
			))}
			<PanWall lean={lean} width={width} depth={depth} />
			<Line
				x1={lean.rim}
				x2={width - lean.rim}
				y1={up(pan.depth_mm - cut.headspace_mm)}
				y2={up(pan.depth_mm - cut.headspace_mm)}
				strokeDasharray="5 5"
				strokeOpacity={cut.headspace_mm > 0 ? 1 : 0}
			/>
			{cut.schools.map(({ name, mm }) => (
				<Line
					key={name}
					x1={-PAN_LEFT + 1}
					x2={lean.rim + lean.in * (1 - mm / pan.depth_mm) + 8}
					y1={up(mm)}
					y2={up(mm)}
					strokeWidth={name === cut.lineWords ? 3 : 1.4}
				/>
			))}
			<Line
				data-means="liquid line"
				x1={lean.rim - 2}
				x2={width + 8}
				y1={line}
				y2={line}
				stroke="ink"
				strokeWidth={2.5}
			/>
			{drag ? (
				<LevelGrip
					label={drag.label}
					text={drag.text}
					figure={cut.line}
					now={Math.round(cut.line_mm)}
					most={Math.round(pan.depth_mm)}
					x={width + 8}
					y={line}
					valueAt={heightAt}
					keyTo={(key) => steppedTo(key, cut)}
					onMove={drag.onMove}
					onDrop={drag.onDrop}
				/>
			) : (
				<Label x={width + 12} y={line + 6} fill="ink" fontWeight="650">
					{cut.line}
				</Label>
			)}
			<Dip rim={width} line={line} dip={cut.dip} />
		</Svg>
	);
}

/** From the rim down to the line, with its figure over it. */
function Dip({ rim, line, dip }: { readonly rim: number; readonly line: number; readonly dip: string }) {
	const x = rim + PAN_RIGHT - 10;
	return (
		<>
			<Line x1={x} x2={x} y1={0} y2={line} />
			<Line x1={x - 6} x2={x + 6} y1={0} y2={0} />
			<Line x1={x - 6} x2={x + 6} y1={line} y2={line} />
			<Label x={x + 6} y={-16} textAnchor="end">
				dip <Big>{dip}</Big>
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
