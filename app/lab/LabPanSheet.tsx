import { chakra } from "@chakra-ui/react/styled-system";
import { memo } from "react";
import { type PanThrough, pointAt } from "#core/braise";
import { thicknessOf } from "#core/heat";
import { durationRange, durationWords } from "#core/time";
import { cutWords } from "#core/trade";
import { ReadCurve } from "../ui/drawings/ReadCurve.tsx";
import { Figure, Muted, Sheet } from "../ui/parts/parts.tsx";
import type { Measures } from "../ui/words/measures.ts";
import { HeatCut } from "./HeatCut.tsx";
import type { LabPan } from "./labPan.ts";
import { elapsed, filledWords, fillingWords, heatWords, storyWords } from "./labWords.ts";

/** Widths of the drawings by how many pans stand side by side, px. */
const WIDTHS: Readonly<Record<number, number>> = { 1: 860, 2: 430, 3: 290 };

const Choose = chakra("button", {
	base: {
		display: "block",
		width: "100%",
		textAlign: "start",
		bg: "transparent",
		border: 0,
		borderTop: "6px solid",
		borderColor: "steel",
		padding: "8px 0 2px",
		cursor: "pointer",
		"&[aria-pressed=true]": { borderColor: "ink" },
	},
});

/** One class for both: a new one in the middle of a drag has the browser lay out the whole page. */
const FillingLine = chakra("p", {
	base: {
		minHeight: "24px",
		lineHeight: "24px",
		color: "muted",
		"&[data-wrong]": { color: "ink", fontWeight: 650 },
	},
});

/** How the pan is filled; what is wrong with that takes the same line, so that nothing below jumps. */
function Filling({ lab, measures }: { readonly lab: LabPan; readonly measures: Measures }) {
	const wrong = fillingWords(lab, measures);
	if (wrong.length === 0) return <FillingLine role="status">{filledWords(lab, measures)}</FillingLine>;
	return (
		<FillingLine role="status" data-wrong>
			▲ {wrong.join(" ")}
		</FillingLine>
	);
}

interface LabPanSheetProps {
	readonly name: string;
	readonly lab: LabPan;
	readonly through: PanThrough;
	/** What is other than in pan A, and what that did; empty for pan A. */
	readonly against: string;
	readonly index: number;
	readonly isChosen: boolean;
	readonly end_min: number;
	readonly cursor_min: number;
	readonly count: number;
	readonly measures: Measures;
	readonly onChoose: (index: number) => void;
	readonly onCursor: (minute: number) => void;
}

/** One pan of the lab: its window, its curve, the pan cut through, and what happened. */
export const LabPanSheet = memo(function LabPanSheet(props: LabPanSheetProps) {
	const { name, lab, through, against, isChosen, end_min, cursor_min, count, measures } = props;
	const { curve, tender_min } = through;
	const story = storyWords(through, measures);
	const width = WIDTHS[count] ?? 430;
	const at = pointAt(curve, cursor_min);
	const layers_C = curve.layers_C?.[at] ?? [];
	const liquid_C = curve.liquid_C[at] ?? 0;
	const cutWordsNow = `Pan ${name} cut through at ${durationWords(cursor_min)}: centre ${measures.temperature(layers_C[0] ?? 0)}, surface ${measures.temperature(layers_C.at(-1) ?? 0)}, liquid ${measures.temperature(liquid_C)}, ${measures.volume(curve.liquid_l[at] ?? 0)} in the pan.`;
	return (
		<Sheet paddingTop="0" aria-label={`Pan ${name}`}>
			<Choose type="button" aria-pressed={isChosen} onClick={() => props.onChoose(props.index)}>
				<Muted>
					Pan {name}: {cutWords(lab.cut)}, {measures.length(thicknessOf(lab.sides))},{" "}
					{heatWords(lab, measures)}
				</Muted>
				<Figure display="block" fontSize="28px" data-figure="window">
					{tender_min ? durationWords(tender_min.likely) : "never tender"}
				</Figure>
				<Muted>
					{tender_min
						? `to fork-tender, ${durationRange(tender_min.low, tender_min.high)}`
						: `the liquid stays at ${measures.temperature(through.peakLiquid_C)}`}
				</Muted>
			</Choose>
			<Filling lab={lab} measures={measures} />
			<ReadCurve
				curve={curve}
				units={measures.units}
				words={`Pan ${name}: ${story.join(" ")}`}
				clock={elapsed}
				end_min={end_min}
				minute={cursor_min}
				onMinute={props.onCursor}
				of={`pan ${name}`}
			/>
			<chakra.figure marginTop="12px">
				<Muted asChild>
					<figcaption>
						Cut through at {elapsed(cursor_min)}: surface {measures.temperature(layers_C.at(-1) ?? 0)}, centre{" "}
						{measures.temperature(layers_C[0] ?? 0)}
					</figcaption>
				</Muted>
				<HeatCut
					lab={lab}
					layers_C={layers_C}
					liquid_C={liquid_C}
					liquid_l={curve.liquid_l[at] ?? 0}
					words={cutWordsNow}
					width={width}
				/>
			</chakra.figure>
			<chakra.div marginTop="10px" display="grid" gap="4px">
				{against ? <b>{against}</b> : null}
				{story.map((sentence) => (
					<p key={sentence}>{sentence}</p>
				))}
			</chakra.div>
		</Sheet>
	);
});
