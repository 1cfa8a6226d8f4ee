import { memo } from "react";
import { type BraiseCurve, pointAt } from "#core/braise";
import { Facts } from "../parts/Facts.tsx";
import { Slider } from "../parts/parts.tsx";
import { type Measures, measuresIn } from "../words/measures.ts";
import { PLOT_LEFT, PLOT_RIGHT } from "./BraiseCurve.tsx";

interface CurveCursorProps {
	readonly curve: BraiseCurve;
	readonly units: Measures["units"];
	readonly clock: (minute: number) => string;
	readonly end_min: number;
	readonly minute: number;
	readonly onMinute: (minute: number) => void;
	/** Whose time it is, where several stand side by side. */
	readonly of?: string;
}

/** Half a thumb: its middle stands under the cursor. */
const THUMB_PX = 12;

/** What the pan is at the time under the cursor, which moves by pointer, by slider or by keys. */
export const CurveCursor = memo(function CurveCursor(props: CurveCursorProps) {
	const { curve, units, clock, end_min, minute, onMinute, of: what } = props;
	const { temperature, volume } = measuresIn(units);
	const at = pointAt(curve, minute);
	const softened = `${Math.min(100, Math.round((curve.softened[at] ?? 0) * 100))} %`;
	const text = `${clock(minute)}: centre ${temperature(curve.core_C[at] ?? 0)}, liquid ${temperature(curve.liquid_C[at] ?? 0)}, ${volume(curve.liquid_l[at] ?? 0)} left, ${softened} of the way to fork-tender`;
	return (
		<>
			<Slider
				type="range"
				style={{
					marginLeft: PLOT_LEFT - THUMB_PX,
					width: `calc(100% - ${PLOT_LEFT + PLOT_RIGHT - 2 * THUMB_PX}px)`,
				}}
				aria-label={what ? `Time under the cursor, ${what}` : "Time under the cursor"}
				min={0}
				max={end_min}
				step={1}
				value={minute}
				aria-valuetext={text}
				onChange={(event) => onMinute(Number(event.currentTarget.value))}
			/>
			<Facts
				facts={[
					{ figure: clock(minute), label: "at" },
					{ figure: temperature(curve.core_C[at] ?? 0), label: "centre" },
					{ figure: temperature(curve.liquid_C[at] ?? 0), label: "liquid" },
					{ figure: volume(curve.liquid_l[at] ?? 0), label: "left" },
					{ figure: softened, label: "softened" },
				]}
				fontSize="19px"
			/>
		</>
	);
});
