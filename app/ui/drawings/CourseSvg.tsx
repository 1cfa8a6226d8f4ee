import { chakra } from "@chakra-ui/react/styled-system";
import { scaleLinear } from "d3-scale";
import type { ReactNode } from "react";
import { useShownWidth } from "./useShownWidth.ts";

const Svg = chakra("svg", {
	base: {
		width: "100%",
		height: "auto",
		overflow: "visible",
		fontFamily: "text",
		fontSize: "16px",
		"& text": {
			fill: "muted",
			paintOrder: "stroke",
			stroke: "sheet",
			strokeWidth: "4px",
			strokeLinejoin: "round",
		},
		"& .grid": { stroke: "hair" },
		"& .range": { fill: "place" },
		"& .likely": { stroke: "ink", strokeWidth: 4, fill: "none" },
		"& .ceiling": { stroke: "edge", strokeWidth: 3, fill: "none" },
		"& .read": { stroke: "ink", strokeWidth: 4, fill: "none" },
		"& .hand": { fill: "sheet", stroke: "ink", strokeWidth: 4 },
		"& .hand-words": { fill: "ink" },
		"& .ahead": { stroke: "ink", strokeWidth: 3, fill: "none", strokeDasharray: "7 6" },
		"& .limit": { fill: "ink", fontWeight: 650 },
	},
});

/** One limit of the code: how warm it has to be by which minute. */
export interface Ceiling {
	readonly C: number;
	readonly by_min: number;
	/** "21 °C by 16:20" */
	readonly words: string;
}

/** Temperature over time, with what is asked of it. */
export interface CourseFrame {
	readonly ceilings: readonly Ceiling[];
	readonly end_min: number;
	readonly top_C: number;
	readonly least_C: number;
	readonly ticks: readonly { readonly C: number; readonly words: string }[];
	readonly hours: readonly { readonly minute: number; readonly words: string }[];
	/** All of it in words. */
	readonly words: string;
	/** How high it is drawn, px; lower where it stands on paper. */
	readonly plot_px?: number;
}

const LEFT = 52;
const RIGHT = 14;
const TOP = 14;
const PLOT = 220;
/** Room that the words of a limit take, px. */
const WORDS = 140;
const UNDER = 32;
/** Between which heights a course is drawn. */
export const PLOT_TOP = TOP;
export const PLOT_FOOT = TOP + PLOT;

export type Scale = ReturnType<typeof scaleLinear<number>>;

/** The axes of a course and the stepped limits of its code; what is drawn in it is given the scales. */
export function CourseSvg({
	frame,
	under,
	children,
}: {
	readonly frame: CourseFrame;
	/** What lies behind the lines. */
	readonly under?: (x: Scale, y: Scale) => ReactNode;
	readonly children: (x: Scale, y: Scale) => ReactNode;
}) {
	const { ceilings, end_min, top_C, least_C, ticks, hours, words, plot_px = PLOT } = frame;
	const height = TOP + plot_px + UNDER;
	const [svg, width] = useShownWidth();
	const x = scaleLinear()
		.domain([0, end_min])
		.range([LEFT, width - RIGHT]);
	const y = scaleLinear()
		.domain([least_C, top_C])
		.range([TOP + plot_px, TOP]);
	return (
		<Svg ref={svg} viewBox={`0 0 ${width} ${height}`} role="img" aria-label={words}>
			{under?.(x, y)}
			{ticks.map(({ C, words: said }) => (
				<g key={C}>
					<line className="grid" x1={LEFT} x2={width - RIGHT} y1={y(C)} y2={y(C)} />
					<text data-axis x={LEFT - 8} y={y(C) + 5} textAnchor="end">
						{said}
					</text>
				</g>
			))}
			{clocksApart(hours, x).map(({ minute, words: said }) => (
				<text key={minute} data-axis x={x(minute)} y={height - 8} textAnchor="middle">
					{said}
				</text>
			))}
			<path className="ceiling" d={stepsOf(frame, x, y)} />
			{children(x, y)}
			{ceilings.map(({ by_min, words: said }, index) => {
				const step = x(Math.min(by_min, end_min));
				const hasRoom = step - x(ceilings[index - 1]?.by_min ?? 0) > WORDS;
				return (
					// Under the step before it, where the course has long gone down; behind its own where that is narrow.
					<text
						key={said}
						className="limit"
						x={step + (hasRoom ? -8 : 10)}
						y={y(ceilings[index - 1]?.C ?? top_C) + 20}
						textAnchor={hasRoom ? "end" : "start"}
					>
						{said}
					</text>
				);
			})}
		</Svg>
	);
}

/** Two clock times stand at least so far apart, px. */
const CLOCK_PX = 50;

/** As many of the clock times along a drawing as can be read beside each other. */
export function clocksApart<Hour extends { readonly minute: number }>(
	hours: readonly Hour[],
	x: (minute: number) => number,
): Hour[] {
	const [first, second] = hours;
	if (!first || !second) return [...hours];
	const each = Math.ceil(CLOCK_PX / Math.max(1, x(second.minute) - x(first.minute)));
	return hours.filter((_, index) => index % each === 0);
}

/** Down to each limit at its minute, and on to the next one. */
function stepsOf({ ceilings, end_min, top_C }: CourseFrame, x: Scale, y: Scale): string {
	if (ceilings.length === 0) return "";
	let path = `M ${x(0)} ${y(top_C)}`;
	for (const { C, by_min } of ceilings) path += ` H ${x(Math.min(by_min, end_min))} V ${y(C)}`;
	return `${path} H ${x(end_min)}`;
}
