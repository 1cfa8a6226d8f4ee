import { chakra } from "@chakra-ui/react/styled-system";
import { Field } from "../ui/forms/Field.tsx";
import type { Wrong } from "../ui/forms/form.ts";

const MARKS = [
	{ height: "lowMark_mm", litres: "low_l", label: "First mark", water: "Water up to it" },
	{ height: "highMark_mm", litres: "high_l", label: "Second mark", water: "Water up to it, in all" },
] as const;

interface WaterMarksProps {
	readonly typed: Readonly<Record<string, string | undefined>>;
	readonly wrong: Wrong;
}

/** Water poured into a pan, up to two marks on its wall. */
export function WaterMarks({ typed, wrong }: WaterMarksProps) {
	return (
		<chakra.div
			display="grid"
			gap="12px 14px"
			marginTop="6px"
			gridTemplateColumns={{ base: "minmax(0,1fr)", sm: "repeat(2, minmax(0, 1fr))" }}
		>
			{MARKS.map(({ height, litres, label, water }) => (
				<chakra.div key={height} display="contents">
					<Field
						label={label}
						name={height}
						after="mm"
						inputMode="numeric"
						defaultValue={typed[height]}
						wrong={wrong[height]}
					/>
					<Field
						label={water}
						name={litres}
						after="l"
						inputMode="decimal"
						defaultValue={typed[litres]}
						wrong={wrong[litres]}
					/>
				</chakra.div>
			))}
		</chakra.div>
	);
}
