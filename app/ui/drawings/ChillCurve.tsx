import { area, line } from "d3-shape";
import { memo } from "react";
import { type CourseFrame, CourseSvg } from "./CourseSvg.tsx";

export interface ChillDrawing extends CourseFrame {
	/** Warmest point, minute by minute of some steps: as it likely goes, and between which it may. */
	readonly likely: readonly (readonly [number, number])[];
	readonly range: readonly { readonly minute: number; readonly low_C: number; readonly high_C: number }[];
}

/** How a pan cools at its warmest, under the stepped ceiling of the code's limits. */
export const ChillCurve = memo(function ChillCurve({
	drawing,
	width = 640,
}: {
	readonly drawing: ChillDrawing;
	readonly width?: number;
}) {
	return (
		<CourseSvg
			frame={drawing}
			width={width}
			under={(x, y) => (
				<path
					className="range"
					d={
						area<ChillDrawing["range"][number]>(
							({ minute }) => x(minute),
							({ low_C }) => y(low_C),
							({ high_C }) => y(high_C),
						)(drawing.range) ?? ""
					}
				/>
			)}
		>
			{(x, y) => (
				<path
					className="likely"
					d={
						line<readonly [number, number]>(
							([minute]) => x(minute),
							([, C]) => y(C),
						)(drawing.likely) ?? ""
					}
				/>
			)}
		</CourseSvg>
	);
});
