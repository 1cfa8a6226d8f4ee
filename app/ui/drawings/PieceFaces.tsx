import { Circle, Label, Line, Rect, Svg } from "./svg.tsx";
import { useShownWidth } from "./useShownWidth.ts";

/** The largest a piece is drawn, px a mm. */
const LARGEST = 2.6;
/** Room over a face for its length, under it for its name, and at its right for the other side, px. */
const ABOVE = 30;
const BELOW = 28;
const BESIDE = 76;

/** One face of a piece: how long and how high it is drawn, mm, and as it is read. */
export interface Face {
	readonly name: string;
	readonly wide_mm: number;
	readonly high_mm: number;
	readonly wide: string;
	readonly high: string;
	readonly round: boolean;
}

export interface PieceDrawing {
	readonly faces: readonly Face[];
	readonly words: string;
}

/** A piece from above and from the side, in one scale, with its sides. */
export function PieceFaces({ piece: { faces, words } }: { readonly piece: PieceDrawing }) {
	const [svg, width] = useShownWidth();
	const room = width - faces.length * BESIDE;
	const wide_mm = faces.reduce((sum, face) => sum + face.wide_mm, 0);
	const scale = Math.min(LARGEST, room / wide_mm);
	const high = Math.max(...faces.map(({ high_mm }) => high_mm)) * scale;
	const lefts = faces.map((_, index) =>
		faces.slice(0, index).reduce((sum, face) => sum + face.wide_mm * scale + BESIDE, 1),
	);
	return (
		<Svg ref={svg} viewBox={`0 ${-ABOVE} ${width} ${high + ABOVE + BELOW}`} role="img" aria-label={words}>
			{faces.map((face, index) => (
				<FaceDrawn key={face.name} face={face} left={lefts[index] ?? 0} foot={high} scale={scale} />
			))}
		</Svg>
	);
}

interface FaceDrawnProps {
	readonly face: Face;
	readonly left: number;
	readonly foot: number;
	readonly scale: number;
}

function FaceDrawn({ face, left, foot, scale }: FaceDrawnProps) {
	const wide = face.wide_mm * scale;
	const high = face.high_mm * scale;
	const top = foot - high;
	const right = left + wide + 12;
	return (
		<g>
			{face.round ? (
				<Circle
					data-means="piece"
					cx={left + wide / 2}
					cy={foot - high / 2}
					r={wide / 2}
					fill="meat"
					stroke="meatEdge"
				/>
			) : (
				<Rect
					data-means="piece"
					x={left}
					y={top}
					width={wide}
					height={high}
					rx={Math.min(12, high / 4)}
					fill="meat"
					stroke="meatEdge"
				/>
			)}
			<Line x1={left} x2={left + wide} y1={top - 8} y2={top - 8} />
			<Label x={left + wide / 2} y={top - 13} textAnchor="middle">
				{face.wide}
			</Label>
			<Line x1={right} x2={right} y1={top} y2={foot} />
			<Label x={right + 6} y={foot - high / 2 + 5}>
				{face.high}
			</Label>
			<Label x={left + wide / 2} y={foot + 20} textAnchor="middle">
				{face.name}
			</Label>
		</g>
	);
}
