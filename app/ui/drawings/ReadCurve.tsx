import { type ComponentProps, memo } from "react";
import { BraiseCurve } from "./BraiseCurve.tsx";
import { CurveCursor } from "./CurveCursor.tsx";

type ReadCurveProps = ComponentProps<typeof CurveCursor> &
	Pick<ComponentProps<typeof BraiseCurve>, "words" | "moments" | "hold">;

/** A braise curve with the time under its cursor, and what the pan is then. */
export const ReadCurve = memo(function ReadCurve({ words, moments, hold, ...cursor }: ReadCurveProps) {
	const { curve, units, clock, end_min, minute, onMinute } = cursor;
	return (
		<>
			<BraiseCurve
				curve={curve}
				units={units}
				clock={clock}
				end_min={end_min}
				words={words}
				cursor_min={minute}
				onCursor={onMinute}
				{...(moments ? { moments } : {})}
				{...(hold ? { hold } : {})}
			/>
			<CurveCursor {...cursor} />
		</>
	);
});
