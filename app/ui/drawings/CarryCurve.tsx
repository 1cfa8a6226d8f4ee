import { memo } from "react";
import type { ChillDrawing } from "./ChillCurve.tsx";
import { CourseSvg, PLOT_FOOT, PLOT_TOP } from "./CourseSvg.tsx";
import { LikelyLine, RangeBand } from "./courseLines.tsx";

export interface CarryDrawing extends ChillDrawing {
	/** What the code wants all the way. */
	readonly limit: { readonly C: number; readonly words: string };
	/** When the box is where it goes. */
	readonly there: { readonly minute: number; readonly words: string };
}

/** How the lightest box changes under way, against the limit that holds all the way. */
export const CarryCurve = memo(function CarryCurve({ drawing }: { readonly drawing: CarryDrawing }) {
	const { likely, range, limit, there, end_min } = drawing;
	return (
		<CourseSvg frame={drawing} under={(x, y) => <RangeBand range={range} x={x} y={y} />}>
			{(x, y) => (
				<>
					<path className="ceiling" d={`M${x(0)},${y(limit.C)} H${x(end_min)}`} />
					<text className="limit" x={x(0) + 8} y={y(limit.C) + 22}>
						{limit.words}
					</text>
					<path className="grid" d={`M${x(there.minute)},${PLOT_TOP} V${PLOT_FOOT}`} strokeDasharray="6 5" />
					<text className="limit" x={x(there.minute) + 8} y={PLOT_TOP + 16}>
						{there.words}
					</text>
					<LikelyLine likely={likely} x={x} y={y} />
				</>
			)}
		</CourseSvg>
	);
});
