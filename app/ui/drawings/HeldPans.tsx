import { scaleLinear } from "d3-scale";
import { type CourseFrame, clocksApart } from "./CourseSvg.tsx";
import { Label, Line, Rect, Svg } from "./svg.tsx";
import { useShownWidth } from "./useShownWidth.ts";

/** A pan or a filling that waits, covered, until it is opened: minutes from when the first is held. */
export interface HeldRow {
	readonly name: string;
	readonly from_min: number;
	readonly to_min: number;
	/** The clock then. */
	readonly opened: string;
}

export interface HeldDrawing extends Pick<CourseFrame, "end_min" | "hours" | "words"> {
	readonly rows: readonly HeldRow[];
	readonly service: { readonly minute: number; readonly words: string };
	/** Until when a plate is sensible, at the soonest and at the latest; null where that is far off. */
	readonly sensible: { readonly low_min: number; readonly high_min: number; readonly words: string } | null;
}

const LEFT = 84;
const RIGHT = 14;
const TOP = 28;
const FOOT = 30;
const ROW = 24;
/** About so wide is a sign of a clock, and what stands beside it, px. */
const SIGN_PX = 10;
const BESIDE_PX = 14;

/** Pans that are held hot, one under the other: each bar ends when its pan is opened. */
export function HeldPans({ drawing }: { readonly drawing: HeldDrawing }) {
	const { rows, service, sensible, end_min, hours, words } = drawing;
	const [svg, width] = useShownWidth();
	const x = scaleLinear()
		.domain([0, end_min])
		.range([LEFT, width - RIGHT])
		.clamp(true);
	// What is sensible says so in a row of its own.
	const foot = TOP + (rows.length + (sensible ? 1 : 0)) * ROW;
	const served = x(service.minute);
	return (
		<Svg ref={svg} viewBox={`0 0 ${width} ${foot + FOOT}`} role="img" aria-label={words}>
			{sensible ? (
				<>
					<Rect
						data-means="sensible"
						x={x(sensible.low_min)}
						y={TOP}
						width={x(sensible.high_min) - x(sensible.low_min)}
						height={foot - TOP}
						fill="place"
					/>
					<Label x={x(sensible.low_min) - 8} y={foot - 6} fill="ink" textAnchor="end">
						{sensible.words}
					</Label>
				</>
			) : null}
			<Line
				data-means="service"
				x1={served}
				x2={served}
				y1={TOP}
				y2={TOP + rows.length * ROW}
				stroke="mahogany"
				strokeWidth={3}
			/>
			{rows.map((held, index) => (
				<HeldBar key={held.name} held={held} top={TOP + index * ROW} x={x} served={served} />
			))}
			<Label x={served} y={TOP - 10} fill="mahogany" fontWeight="650" textAnchor="middle">
				{service.words}
			</Label>
			{clocksApart(hours, x).map(({ minute, words: said }) => (
				<Label key={minute} x={x(minute)} y={foot + 22} textAnchor="middle">
					{said}
				</Label>
			))}
		</Svg>
	);
}

interface HeldBarProps {
	readonly held: HeldRow;
	readonly top: number;
	readonly x: (minute: number) => number;
	/** Where the line of service is, px. */
	readonly served: number;
}

function HeldBar({ held: { name, from_min, to_min, opened }, top, x, served }: HeldBarProps) {
	const wide = Math.max(2, x(to_min) - x(from_min));
	const sign = opened.length * SIGN_PX + BESIDE_PX;
	// Outside, it must not run into the line of service.
	const isInside = wide > sign || Math.abs(x(to_min) + sign / 2 - served) < sign / 2;
	const foot = top + ROW / 2 + 6;
	return (
		<g>
			<Label x={LEFT - 8} y={foot} textAnchor="end">
				{name}
			</Label>
			<Rect
				data-means="pan held"
				x={x(from_min)}
				y={top + ROW * 0.1}
				width={wide}
				height={ROW * 0.8}
				fill="steel"
				stroke="pan"
			/>
			<Label
				x={x(to_min) + (isInside ? -8 : 8)}
				y={foot}
				fill="ink"
				fontWeight="650"
				textAnchor={isInside ? "end" : "start"}
			>
				{opened}
			</Label>
		</g>
	);
}
