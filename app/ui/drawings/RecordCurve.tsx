import { line } from "d3-shape";
import { memo } from "react";
import { type CourseFrame, CourseSvg, PLOT_TOP, type Scale } from "./CourseSvg.tsx";

type At = readonly [minute: number, C: number];

export interface RecordDrawing extends CourseFrame {
	/** What the probe has read; a new line where it said nothing for a while. */
	readonly read: readonly (readonly At[])[];
	/** What was measured by hand, with its figure. */
	readonly hands: readonly { readonly minute: number; readonly C: number; readonly words: string }[];
	/** The way ahead, as it likely goes; where it comes to a limit, from when to when. */
	readonly ahead: readonly At[];
	readonly ranges: readonly { readonly C: number; readonly low_min: number; readonly high_min: number }[];
}

/** What was read of a pan under the limits of its code, and how it goes on. */
export const RecordCurve = memo(function RecordCurve({ drawing }: { readonly drawing: RecordDrawing }) {
	const { read, hands, ahead, ranges } = drawing;
	return (
		<CourseSvg frame={drawing}>
			{(x, y) => {
				const path = line<At>(
					([minute]) => x(minute),
					([, C]) => y(C),
				);
				const named = figuresShown(hands, x, y);
				return (
					<>
						<path className="ahead" d={path(ahead) ?? ""} />
						{ranges.map(({ C, low_min, high_min }) => (
							<path key={C} className="likely" d={`M ${x(low_min)} ${y(C)} H ${x(high_min)}`} />
						))}
						{read.map((stretch) => (
							<path key={stretch[0]?.[0]} className="read" d={path(stretch) ?? ""} />
						))}
						{hands.map(({ minute, C, words }, index) => (
							<g key={`${minute} ${C}`}>
								<circle className="hand" cx={x(minute)} cy={y(C)} r="6" />
								{named.has(index) ? (
									<text className="hand-words" x={x(minute) + 10} y={Math.max(PLOT_TOP + 18, y(C) - 8)}>
										{words}
									</text>
								) : null}
							</g>
						))}
					</>
				);
			}}
		</CourseSvg>
	);
});

/** Room that a figure takes, right of its mark, and a mark itself, px. */
const FIGURE = { width: 68, height: 20 };
const MARK = 16;

/** Which readings have room for their figure: the last one first, since it is what counts now. */
function figuresShown(hands: RecordDrawing["hands"], x: Scale, y: Scale): ReadonlySet<number> {
	const shown: number[] = [];
	for (const [index, { minute, C }] of [...hands.entries()].reverse()) {
		const meetsFigure = shown.some((other) => {
			const { minute: at = 0, C: of = 0 } = hands[other] ?? {};
			return Math.abs(x(at) - x(minute)) < FIGURE.width && Math.abs(y(of) - y(C)) < FIGURE.height;
		});
		const meetsMark = hands.some(({ minute: at, C: of }) => {
			const right = x(at) - x(minute);
			return right > 0 && right < FIGURE.width + MARK && Math.abs(y(of) - y(C)) < FIGURE.height + MARK;
		});
		if (!meetsFigure && !meetsMark) shown.push(index);
	}
	return new Set(shown);
}
