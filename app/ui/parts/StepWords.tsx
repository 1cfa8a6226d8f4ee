import { chakra } from "@chakra-ui/react/styled-system";
import type { StepView } from "../words/stepView.ts";

/** A step as it is read beside the stove: what to do, who and how long, what to look for, what to mind. */
export function StepWords({ step }: { readonly step: StepView }) {
	return (
		<>
			<p>{step.text}</p>
			<chakra.p color="muted">{[step.station, step.minutes].filter(Boolean).join(" · ")}</chakra.p>
			{step.check ? (
				<p>
					<b>Look for:</b> {step.check}
				</p>
			) : null}
			{step.caution ? (
				<p>
					▲ <b>Mind:</b> {step.caution}
				</p>
			) : null}
		</>
	);
}
