import { memo } from "react";
import { type CourseFrame, CourseSvg } from "./CourseSvg.tsx";
import { type CourseLine, type CourseRange, LikelyLine, RangeBand } from "./courseLines.tsx";

export interface ChillDrawing extends CourseFrame {
	/** Warmest point, minute by minute of some steps: as it likely goes, and between which it may. */
	readonly likely: CourseLine;
	readonly range: CourseRange;
}

/** How a pan cools at its warmest, under the stepped ceiling of the code's limits. */
export const ChillCurve = memo(function ChillCurve({ drawing }: { readonly drawing: ChillDrawing }) {
	const { likely, range } = drawing;
	return (
		<CourseSvg frame={drawing} under={(x, y) => <RangeBand range={range} x={x} y={y} />}>
			{(x, y) => <LikelyLine likely={likely} x={x} y={y} />}
		</CourseSvg>
	);
});
