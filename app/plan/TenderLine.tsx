import { chakra } from "@chakra-ui/react/styled-system";
import { scaleLinear } from "d3-scale";
import type { BraiseView } from "./drawings.ts";

const Svg = chakra("svg", { base: { width: "100%", height: "auto", overflow: "visible" } });
const Rect = chakra("rect");
const Line = chakra("line");
const Label = chakra("text", { base: { fill: "muted", fontFamily: "text", fontSize: "16px" } });
const Clock = chakra("text", {
	base: { fill: "ink", fontFamily: "head", fontWeight: 700, fontSize: "19px" },
});

const WIDTH = 640;
const BAR = { y: 34, height: 34 };

/** From the oven door to service: when it may be tender, when it is lifted, when it is served. */
export function TenderLine({ view }: { readonly view: BraiseView }) {
	const x = scaleLinear()
		.domain([0, 1])
		.range([20, WIDTH - 30]);
	const { window } = view;
	return (
		<Svg viewBox={`0 0 ${WIDTH} 128`} role="img" aria-label={window.words}>
			<Rect x={x(0)} y={BAR.y} width={x(1) - x(0)} height={BAR.height} fill="place" stroke="edge" />
			<Rect
				x={x(window.from)}
				y={BAR.y}
				width={x(window.to) - x(window.from)}
				height={BAR.height}
				fill="broth"
			/>
			<Line
				x1={x(window.likely)}
				x2={x(window.likely)}
				y1={BAR.y - 6}
				y2={BAR.y + BAR.height + 6}
				stroke="ink"
				strokeWidth={3}
			/>
			<Label x={x(window.likely)} y={BAR.y - 12} textAnchor="middle">
				likely tender
			</Label>
			{view.marks.map(({ at, words, clock }, index) => (
				<g key={words}>
					<Line
						x1={x(at)}
						x2={x(at)}
						y1={BAR.y - 6}
						y2={BAR.y + BAR.height + 10}
						stroke="next"
						strokeWidth={words === "serve" ? 5 : 2}
					/>
					<Clock x={x(at)} y={BAR.y + BAR.height + 32} textAnchor={anchorOf(index, view.marks.length)}>
						{clock.split(" ").at(-1)}
					</Clock>
					<Label x={x(at)} y={BAR.y + BAR.height + 52} textAnchor={anchorOf(index, view.marks.length)}>
						{words}
					</Label>
				</g>
			))}
		</Svg>
	);
}

/** The first and last words stay inside the drawing. */
function anchorOf(index: number, count: number): "start" | "middle" | "end" {
	if (index === 0) return "start";
	return index === count - 1 ? "end" : "middle";
}
