import { chakra } from "@chakra-ui/react/styled-system";
import { scaleLinear } from "d3-scale";
import { Label, Line, Rect, Svg } from "../ui/drawings/svg.tsx";
import { useShownWidth } from "../ui/drawings/useShownWidth.ts";
import type { DayBar, DayLane, DayLineView } from "./dayLine.view.ts";

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
				.filter(({ at }) => x(serviceAt) - x(at) > HOUR_PX)
				.map(({ at, words }) => (
					<Label key={at} x={x(at)} y={foot + 17}>
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
			{lanes.map((lane, index) => (
				<Lane key={lane.id} lane={lane} top={TOP + index * LANE} x={x} />
			))}
			<Next data-means="service" x1={x(serviceAt)} x2={x(serviceAt)} y1={4} y2={foot} />
		</Svg>
	);
}

type X = ReturnType<typeof scaleLinear<number>>;

function Lane({ lane, top, x }: { readonly lane: DayLane; readonly top: number; readonly x: X }) {
	return (
		<g>
			<Label x={1} y={top + 14} fill="ink" fontWeight="650">
				{lane.name}
				{lane.earlier ? `, ${lane.earlier}` : ""}
			</Label>
			<Line x1={1} x2={x.range()[1]} y1={top + NAME + BAR} y2={top + NAME + BAR} stroke="hair" />
			{lane.bars.map((bar) => (
				<Bar key={`${bar.words} ${bar.from}`} bar={bar} top={top + NAME} x={x} />
			))}
		</g>
	);
}

function Bar({
	bar: { from, to, words, alone },
	top,
	x,
}: {
	readonly bar: DayBar;
	readonly top: number;
	readonly x: X;
}) {
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
			{wide > words.length * LETTER_PX + 8 ? (
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
