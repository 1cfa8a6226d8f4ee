import type { PanDrawing } from "./drawings.ts";
import { PAN_LEFT, panScale } from "./panScale.ts";
import { Circle, Label, Line, Rect, Svg } from "./svg.tsx";
import { useShownWidth } from "./useShownWidth.ts";

/** Width it is laid out in until it is shown, px. */
const FIRST = 660;
/** Room for the dimension over the rim, px. */
const ABOVE = 32;

interface PanFromAboveProps {
	readonly pan: PanDrawing;
	/** Liquid stands in it. */
	readonly filled?: boolean;
}

/** A pan from above, in the scale of its cut: its rim, its floor and every piece where it lies. */
export function PanFromAbove({ pan, filled = false }: PanFromAboveProps) {
	const [svg, shown] = useShownWidth(FIRST);
	const { width, px } = panScale(pan, shown);
	const height = px(pan.rim.width_mm);
	const middle = { x: width / 2, y: height / 2 };
	const at = (x_mm: number) => middle.x + px(x_mm);
	const down = (y_mm: number) => middle.y + px(y_mm);
	const shade = filled ? "broth" : "panFloor";
	return (
		<Svg
			ref={svg}
			viewBox={`${-PAN_LEFT} ${-ABOVE} ${shown} ${height + ABOVE + 6}`}
			role="img"
			aria-label={pan.words}
		>
			<Line x1={0} x2={width} y1={-10} y2={-10} />
			<Line x1={0} x2={0} y1={-17} y2={-3} />
			<Line x1={width} x2={width} y1={-17} y2={-3} />
			<Label x={width / 2} y={-15} textAnchor="middle">
				{pan.across}
			</Label>
			{pan.floor.kind === "circle" ? (
				<>
					<Circle cx={middle.x} cy={middle.y} r={width / 2} fill="place" stroke="pan" strokeWidth={2} />
					<Circle cx={middle.x} cy={middle.y} r={px(pan.floor.diameter_mm) / 2 - 5} fill={shade} />
				</>
			) : (
				<>
					<Rect width={width} height={height} rx={14} fill="place" stroke="pan" strokeWidth={2} />
					<Inside floor={pan.top} at={at} down={down} px={px} fill="panFloor" />
					<Inside floor={pan.floor} at={at} down={down} px={px} fill={shade} />
				</>
			)}
			{pan.placed.map((piece) => (
				<Rect
					key={`${piece.x_mm},${piece.y_mm}`}
					x={at(piece.x_mm - piece.length_mm / 2)}
					y={down(piece.y_mm - piece.width_mm / 2)}
					width={px(piece.length_mm)}
					height={px(piece.width_mm)}
					rx={pan.round ? px(piece.width_mm) / 2 : Math.min(12, px(piece.width_mm) / 4)}
					fill="meat"
					stroke="meatEdge"
				/>
			))}
		</Svg>
	);
}

interface InsideProps {
	readonly floor: PanDrawing["floor"];
	readonly at: (mm: number) => number;
	readonly down: (mm: number) => number;
	readonly px: (mm: number) => number;
	readonly fill: string;
}

function Inside({ floor, at, down, px, fill }: InsideProps) {
	if (floor.kind === "circle") return null;
	return (
		<Rect
			x={at(-floor.length_mm / 2)}
			y={down(-floor.width_mm / 2)}
			width={px(floor.length_mm)}
			height={px(floor.width_mm)}
			rx={20}
			fill={fill}
		/>
	);
}
