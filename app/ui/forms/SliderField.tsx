import { chakra } from "@chakra-ui/react/styled-system";
import { Key, Slider } from "../parts/parts.tsx";

const Label = chakra("label", {
	base: { display: "grid", gridTemplateColumns: "1fr auto", columnGap: "8px", alignItems: "baseline" },
});
const Value = chakra("b", { base: { fontFamily: "head", fontWeight: 700, fontSize: "18px" } });

interface SliderFieldProps {
	readonly label: string;
	readonly shortKey?: string;
	readonly value: number;
	readonly low: number;
	readonly high: number;
	readonly step?: number;
	/** The value as it is read, with its unit. */
	readonly text: string;
	readonly onValue: (value: number) => void;
}

/** A value that answers while it moves: its name, the value as it is read, and the slider under both. */
export function SliderField({
	label,
	shortKey = "",
	value,
	low,
	high,
	step = 1,
	text,
	onValue,
}: SliderFieldProps) {
	return (
		<Label>
			<chakra.span color="muted">
				{label}{" "}
				{shortKey ? (
					<Key aria-hidden fontSize="14px">
						{shortKey}
					</Key>
				) : null}
			</chakra.span>
			<Value>{text}</Value>
			<Slider
				gridColumn="1 / -1"
				width="100%"
				type="range"
				aria-label={label}
				aria-valuetext={text}
				{...(shortKey ? { "aria-keyshortcuts": shortKey } : {})}
				min={low}
				max={high}
				step={step}
				value={value}
				onChange={(event) => onValue(Number(event.currentTarget.value))}
			/>
		</Label>
	);
}
