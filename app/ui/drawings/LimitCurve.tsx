import { memo } from "react";
import type { ChillDrawing } from "./ChillCurve.tsx";
import { CourseSvg, PLOT_FOOT, PLOT_TOP } from "./CourseSvg.tsx";
import { LikelyLine, RangeBand } from "./courseLines.tsx";

export interface LimitDrawing extends ChillDrawing {
	/** What is wanted, all the way or in the end. */
	readonly limit: { readonly C: number; readonly words: string };
	/** What happens when. */
	readonly moments: readonly { readonly minute: number; readonly words: string }[];
	/** It grows warmer: its words stand at the foot, which the course has left by then. */
	readonly rises?: boolean;
}

/** Height of one row of words, px. */
const ROW = 20;

/** How something grows warmer or colder against one limit, with what happens meanwhile. */
export const LimitCurve = memo(function LimitCurve({ drawing }: { readonly drawing: LimitDrawing }) {
	const { likely, range, limit, moments, end_min, rises = false } = drawing;
	return (
		<CourseSvg frame={drawing} under={(x, y) => <RangeBand range={range} x={x} y={y} />}>
			{(x, y) => (
				<>
					<path className="ceiling" d={`M${x(0)},${y(limit.C)} H${x(end_min)}`} />
					<text className="limit" x={x(0) + 8} y={y(limit.C) + 22}>
						{limit.words}
					</text>
					{moments.map(({ minute, words }, row) => (
						<g key={words}>
							<path className="grid" d={`M${x(minute)},${PLOT_TOP} V${PLOT_FOOT}`} strokeDasharray="6 5" />
							<text
								className="limit"
								x={x(minute) + (rises ? -8 : 8)}
								y={rises ? PLOT_FOOT - 8 - row * ROW : PLOT_TOP + 16 + row * ROW}
								textAnchor={rises ? "end" : "start"}
							>
								{words}
							</text>
						</g>
					))}
					<LikelyLine likely={likely} x={x} y={y} />
				</>
			)}
		</CourseSvg>
	);
});
