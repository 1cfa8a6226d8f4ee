import { chakra } from "@chakra-ui/react/styled-system";
import { scaleLinear } from "d3-scale";
import { Label, Line, Rect, Svg } from "../ui/drawings/svg.tsx";
import { useShownWidth } from "../ui/drawings/useShownWidth.ts";
import type { DayBar, DayLane, DayLineView } from "./dayLine.view.ts";

/** A name over its lane: what runs behind it is hidden by its halo. */
const Over = chakra("text", {
	base: {
		fill: "ink",
		fontFamily: "text",
		fontSize: "16px",
		fontWeight: 650,
		stroke: "sheet",
		strokeWidth: "5px",
		paintOrder: "stroke",
	},
});
const Next = chakra("line", { base: { stroke: "next", strokeWidth: 4 } });
/** Width it is laid out in until it is shown, px. */
const FIRST = 1190;
const TOP = 24;
/** A lane: its name, then its bars. */
const NAME = 22;
const BAR = 22;
const LANE = NAME + BAR + 12;
const FOOT = 24;
/** Least way from one hour's name to the next, px. */
const HOUR_PX = 56;
/** About how wide a letter is, px. */
const LETTER_PX = 8.6;

/** The day of a sitting: a lane a dish, leading to the line of service. */
export function DayLine({ view }: { readonly view: DayLineView }) {
	const [svg, width] = useShownWidth(FIRST);
	const { from, to, serviceAt, service, ticks, lanes } = view;
	const x = scaleLinear()
		.domain([from, to])
		.range([1, width - 26]);
	const every = [1, 2, 3, 4, 6].find((step) => x(from + step * 3_600_000) - x(from) >= HOUR_PX) ?? 12;
	const foot = TOP + lanes.length * LANE;
	return (
		<Svg ref={svg} viewBox={`0 0 ${width} ${foot + FOOT}`} role="img" aria-label={wordsOf(view)}>
			{ticks
				.filter((_, index) => index % every === 0)
				.filter(({ at }) => x(serviceAt) - x(at) > 2 * HOUR_PX)
				.map(({ at, words }) => (
					<Label key={at} data-axis x={x(at)} y={foot + 17}>
						{words}
					</Label>
				))}
			<Label
				x={x(serviceAt)}
				y={foot + 17}
				textAnchor={x(serviceAt) > width - 40 ? "end" : "middle"}
				fill="next"
				fontWeight="650"
			>
				{service}
			</Label>
			<Next data-means="service" x1={x(serviceAt)} x2={x(serviceAt)} y1={4} y2={foot} />
			{lanes.map((lane, index) => (
				<Lane key={lane.id} lane={lane} top={TOP + index * LANE} x={x} width={width} />
			))}
		</Svg>
	);
}

type X = ReturnType<typeof scaleLinear<number>>;

interface LaneProps {
	readonly lane: DayLane;
	readonly top: number;
	readonly x: X;
	readonly width: number;
}

function Lane({ lane, top, x, width }: LaneProps) {
	const whole = lane.earlier ? `${lane.name}, ${lane.earlier}` : lane.name;
	return (
		<g>
			<Over x={1} y={top + 14}>
				{whole.length * LETTER_PX <= width ? whole : lane.name}
			</Over>
			<Line x1={1} x2={x.range()[1]} y1={top + NAME + BAR} y2={top + NAME + BAR} stroke="hair" />
			{lane.bars.map((bar, index) => (
				<Bar
					key={`${bar.words} ${bar.from}`}
					bar={bar}
					until={lane.bars[index + 1]?.from ?? bar.to}
					top={top + NAME}
					x={x}
				/>
			))}
		</g>
	);
}

interface BarProps {
	readonly bar: DayBar;
	/** When the next begins: its words stand before that. */
	readonly until: number;
	readonly top: number;
	readonly x: X;
}

function Bar({ bar: { from, to, words, alone }, until, top, x }: BarProps) {
	const left = Math.max(1, x(from));
	const wide = Math.max(3, x(to) - left);
	return (
		<g>
			<title>{words}</title>
			<Rect
				data-means="work"
				x={left}
				y={top}
				width={wide}
				height={BAR - 1}
				fill={alone ? "steel" : "sheet"}
				stroke="edge"
				strokeWidth={1.5}
			/>
			{Math.min(wide, x(until) - left) > words.length * LETTER_PX + 12 ? (
				<Label x={left + 6} y={top + 16} fill="ink">
					{words}
				</Label>
			) : null}
		</g>
	);
}

function wordsOf({ lanes, service }: DayLineView): string {
	const each = lanes.map(({ name, bars, earlier }) => {
		const said = [...(earlier ? [earlier] : []), ...bars.map(({ words }) => words.toLowerCase())];
		return `${name}: ${said.join(", ")}`;
	});
	return `The day up to service at ${service}. ${each.join(". ")}.`;
}
