import { chakra } from "@chakra-ui/react/styled-system";
import { scaleLinear } from "d3-scale";
import type { PanDrawing } from "./drawings.ts";

const Svg = chakra("svg", { base: { width: "100%", height: "auto", overflow: "visible" } });
const Path = chakra("path");
const Rect = chakra("rect");
const Line = chakra("line", { base: { stroke: "muted", strokeWidth: 1.2 } });
const Label = chakra("text", { base: { fill: "muted", fontFamily: "text", fontSize: "16px" } });
const Big = chakra("text", { base: { fill: "ink", fontFamily: "head", fontWeight: 700, fontSize: "26px" } });

/** Width of the rim, px, and room for the dimensions at its right and the lid above it. */
const WIDTH = 440;
const RIGHT = 150;
const ABOVE = 34;
const BELOW = 14;

type Filled = NonNullable<PanDrawing["filled"]>;

/** The pan cut through lengthways, to scale: bed, pieces, liquid line, dip and headspace. */
export function PanCut({ pan, filled }: { readonly pan: PanDrawing; readonly filled: Filled }) {
	const px = scaleLinear().domain([0, pan.rim.length_mm]).range([0, WIDTH]);
	const up = (mm: number) => px(pan.depth_mm - mm);
	const depth = px(pan.depth_mm);
	const lean = wall(pan, px);
	const line = up(Math.min(filled.line_mm, pan.depth_mm));
	return (
		<Svg
			viewBox={`-4 ${-ABOVE} ${WIDTH + RIGHT} ${depth + ABOVE + BELOW}`}
			role="img"
			aria-label={filled.words}
		>
			<Label x={4} y={-16}>
				{filled.lid}
			</Label>
			<Line x1={0} x2={WIDTH} y1={-7} y2={-7} stroke="pan" strokeWidth={4} />
			<Layer from={0} to={filled.line_mm} lean={lean} up={up} fill="broth" depth_mm={pan.depth_mm} />
			<Layer from={0} to={filled.bed_mm} lean={lean} up={up} fill="bed" depth_mm={pan.depth_mm} />
			{middleRow(pan).map((piece) => (
				<Rect
					key={piece.x_mm}
					x={WIDTH / 2 + px(piece.x_mm - piece.length_mm / 2)}
					y={up(filled.bed_mm + pan.pieceHeight_mm)}
					width={px(piece.length_mm)}
					height={px(pan.pieceHeight_mm)}
					rx={pan.round ? px(pan.pieceHeight_mm) / 2 : 12}
					fill="meat"
					stroke="meatEdge"
				/>
			))}
			<Path
				d={`M0,0 H${lean.rim} L${lean.rim + lean.in},${depth} H${WIDTH - lean.rim - lean.in} L${WIDTH - lean.rim},0 H${WIDTH}`}
				fill="none"
				stroke="pan"
				strokeWidth={4}
			/>
			<Line
				x1={lean.rim}
				x2={WIDTH - lean.rim}
				y1={up(pan.depth_mm - filled.headspace_mm)}
				y2={up(pan.depth_mm - filled.headspace_mm)}
				strokeDasharray="5 5"
			/>
			<Line x1={lean.rim - 2} x2={WIDTH + 8} y1={line} y2={line} stroke="next" strokeWidth={2.5} />
			<Line x1={WIDTH + 26} x2={WIDTH + 26} y1={0} y2={line} />
			<Line x1={WIDTH + 18} x2={WIDTH + 34} y1={0} y2={0} />
			<Line x1={WIDTH + 18} x2={WIDTH + 34} y1={line} y2={line} />
			<Big x={WIDTH + 42} y={Math.max(20, line / 2 + 2)}>
				{filled.dip}
			</Big>
			<Label x={WIDTH + 42} y={Math.max(20, line / 2 + 2) + 19}>
				dip
			</Label>
			<Label x={WIDTH + 14} y={Math.max(line + 24, 64)} fill="next" fontWeight="650">
				line {filled.line}
			</Label>
		</Svg>
	);
}

interface Lean {
	/** Width of the rim on one side and how far the wall comes in over its depth, px. */
	readonly rim: number;
	readonly in: number;
}

function wall(pan: PanDrawing, px: (mm: number) => number): Lean {
	const top = acrossOf(pan.top);
	return { rim: px((pan.rim.length_mm - top) / 2), in: px((top - acrossOf(pan.floor)) / 2) };
}

function acrossOf(floor: PanDrawing["floor"]): number {
	return floor.kind === "circle" ? floor.diameter_mm : floor.length_mm;
}

interface LayerProps {
	readonly from: number;
	readonly to: number;
	readonly lean: Lean;
	readonly up: (mm: number) => number;
	readonly fill: string;
	readonly depth_mm: number;
}

function Layer({ from, to, lean, up, fill, depth_mm }: LayerProps) {
	const edge = (mm: number) => lean.rim + lean.in * (1 - mm / depth_mm);
	const top = Math.min(to, depth_mm);
	if (top <= from) return null;
	return (
		<Path
			d={`M${edge(top)},${up(top)} L${edge(from)},${up(from)} H${WIDTH - edge(from)} L${WIDTH - edge(top)},${up(top)} Z`}
			fill={fill}
		/>
	);
}

/** The row of pieces nearest to the cut. */
function middleRow({ placed }: PanDrawing) {
	const nearest = Math.min(...placed.map((piece) => Math.abs(piece.y_mm)));
	const row = placed.find((piece) => Math.abs(piece.y_mm) <= nearest + 0.001)?.y_mm;
	return placed.filter((piece) => piece.y_mm === row);
}
