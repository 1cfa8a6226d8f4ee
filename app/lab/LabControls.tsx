import { chakra } from "@chakra-ui/react/styled-system";
import isEqual from "fast-deep-equal";
import { memo } from "react";
import { type Heat, type PieceSides, thicknessOf, withThickness } from "#core/heat";
import { depthOf, type PanShape, panWords } from "#core/pans";
import { durationWords } from "#core/time";
import { CUTS, type Cut, cutWords, LIDS, type Lid } from "#core/trade";
import { Choice } from "../ui/forms/Field.tsx";
import { SliderField } from "../ui/forms/SliderField.tsx";
import { type Measures, measuresIn } from "../ui/words/measures.ts";
import {
	HEATS,
	HOT_START_C,
	HOT_STARTS_MIN,
	heatOf,
	type LabPan,
	LIMITS,
	litresOf,
	ofKind,
	otherSides,
	PIECE_KINDS,
	STARTS,
	type StartKey,
	startKey,
	withOtherSide,
} from "./labPan.ts";

/** The sides of a piece besides its thickness. */
const OTHER_SIDE_LABELS = ["Width", "Length"];

/** A pan of the house that can be tried. */
export interface PanKind {
	readonly name: string;
	readonly shape: PanShape;
}

interface LabControlsProps {
	/** Which pan is changed: "A". */
	readonly name: string;
	readonly lab: LabPan;
	readonly kinds: readonly PanKind[];
	readonly units: Measures["units"];
	readonly onChange: (change: Partial<LabPan>) => void;
}

/** Everything that can be changed about one pan. */
export const LabControls = memo(function LabControls(props: LabControlsProps) {
	const { name, lab, kinds, units, onChange } = props;
	const { length, mass, temperature, volume } = measuresIn(units);
	const { heat } = lab;
	return (
		<chakra.fieldset display="grid" gap="10px">
			<chakra.legend fontFamily="head" fontWeight="700" fontSize="21px" marginBottom="6px">
				Pan {name}
			</chakra.legend>
			<SliderField
				label="Thickness of a piece"
				shortKey="1"
				value={thicknessOf(lab.sides)}
				{...LIMITS.thickness_mm}
				text={length(thicknessOf(lab.sides))}
				onValue={(thickness_mm) => onChange({ sides: withThickness(lab.sides, thickness_mm) })}
			/>
			{otherSides(lab.sides).map((side_mm, index) => (
				<SliderField
					// biome-ignore lint/suspicious/noArrayIndexKey: the sides of a piece stand in their order
					key={index}
					label={OTHER_SIDE_LABELS[otherSides(lab.sides).length === 1 ? 1 : index] ?? ""}
					value={side_mm}
					low={thicknessOf(lab.sides)}
					{...LIMITS.side_mm}
					text={length(side_mm)}
					onValue={(mm) => onChange({ sides: withOtherSide(lab.sides, index, mm) })}
				/>
			))}
			{"set_C" in heat ? (
				<SliderField
					label="Set to"
					shortKey="2"
					value={heat.set_C}
					low={HEATS[heat.kind].low}
					high={HEATS[heat.kind].high}
					text={temperature(heat.set_C)}
					onValue={(set_C) => onChange({ heat: heatOf(heat.kind, set_C) })}
				/>
			) : null}
			<SliderField
				label="Liquid line"
				shortKey="3"
				value={lab.line_mm}
				low={LIMITS.line_mm.low}
				high={depthOf(lab.pan)}
				text={`${length(lab.line_mm)}, ${volume(litresOf(lab))}`}
				onValue={(line_mm) => onChange({ line_mm })}
			/>
			<SliderField
				label="Meat in the pan"
				shortKey="4"
				value={lab.meat_kg}
				{...LIMITS.meat_kg}
				step={0.1}
				text={mass(lab.meat_kg)}
				onValue={(meat_kg) => onChange({ meat_kg })}
			/>
			<SliderField
				label="Such pans in the oven"
				shortKey="5"
				value={lab.pansInOven}
				{...LIMITS.pansInOven}
				text={String(lab.pansInOven)}
				onValue={(pansInOven) => onChange({ pansInOven })}
			/>
			<SliderField
				label="Cover off after"
				shortKey="0"
				value={lab.coverOff_min}
				{...LIMITS.coverOff_min}
				step={5}
				text={lab.coverOff_min === 0 ? "stays on" : durationWords(lab.coverOff_min)}
				onValue={(coverOff_min) => onChange({ coverOff_min })}
			/>
			<Selects
				cut={lab.cut}
				sides={lab.sides}
				lid={lab.lid}
				heat={heat.kind}
				pan={lab.pan}
				start={lab.start}
				hotStart={lab.hotStart}
				kinds={kinds}
				units={units}
				onChange={onChange}
			/>
		</chakra.fieldset>
	);
});

type SelectsProps = Pick<LabPan, "cut" | "sides" | "lid" | "pan" | "start" | "hotStart"> &
	Pick<LabControlsProps, "kinds" | "units" | "onChange"> & { readonly heat: Heat["kind"] };

/** What is chosen from a list; it is not drawn again while a slider moves. */
const Selects = memo(function Selects(props: SelectsProps) {
	const { heat, kinds, onChange, start, hotStart } = props;
	const { temperature } = measuresIn(props.units);
	const begins = startKey(props);
	const known = kinds.findIndex(({ shape }) => samePan(shape, props.pan));
	return (
		<>
			<Choice
				label="Cover"
				aria-keyshortcuts="6"
				data-key-name="Cover"
				value={props.lid}
				onChange={(event) => onChange({ lid: event.currentTarget.value as Lid })}
			>
				{Object.entries(LIDS).map(([key, words]) => (
					<option key={key} value={key}>
						{words}
					</option>
				))}
			</Choice>
			<Choice
				label="Cut"
				aria-keyshortcuts="7"
				data-key-name="Cut"
				value={props.cut}
				onChange={(event) => onChange({ cut: event.currentTarget.value as Cut })}
			>
				{CUTS.map((cut) => (
					<option key={cut} value={cut}>
						{cutWords(cut)}
					</option>
				))}
			</Choice>
			<Choice
				label="Piece"
				value={props.sides.kind}
				onChange={(event) =>
					onChange({ sides: ofKind(event.currentTarget.value as PieceSides["kind"], props.sides) })
				}
			>
				{Object.entries(PIECE_KINDS).map(([key, words]) => (
					<option key={key} value={key}>
						{words}
					</option>
				))}
			</Choice>
			<Choice
				label="Heat"
				aria-keyshortcuts="8"
				data-key-name="Heat"
				value={heat}
				onChange={(event) => onChange({ heat: heatOf(event.currentTarget.value as Heat["kind"]) })}
			>
				{Object.entries(HEATS).map(([key, { words }]) => (
					<option key={key} value={key}>
						{words}
					</option>
				))}
			</Choice>
			{heat === "fanOven" || heat === "stillOven" ? (
				<Choice
					label="Hot start"
					value={String(hotStart?.minutes ?? 0)}
					onChange={(event) => onChange({ hotStart: hotFor(Number(event.currentTarget.value)) })}
				>
					<option value="0">none</option>
					{[...new Set([...HOT_STARTS_MIN, ...(hotStart ? [hotStart.minutes] : [])])].map((minutes) => (
						<option key={minutes} value={minutes}>
							{temperature(hotStart?.set_C ?? HOT_START_C)} for {minutes} min
						</option>
					))}
				</Choice>
			) : null}
			<Choice
				label="Kind of pan"
				value={String(known)}
				onChange={(event) => onChange({ pan: kinds[Number(event.currentTarget.value)]?.shape ?? props.pan })}
			>
				{known === -1 ? <option value="-1">{panWords(props.pan)}</option> : null}
				{kinds.map(({ name: kind }, index) => (
					<option key={kind} value={index}>
						{kind}
					</option>
				))}
			</Choice>
			<Choice
				label="Start"
				aria-keyshortcuts="9"
				data-key-name="Start"
				value={begins ?? ""}
				onChange={(event) => onChange({ start: startOf(event.currentTarget.value as StartKey) })}
			>
				{begins === null ? (
					<option value="">
						liquid {temperature(start.liquid_C)}, pieces {temperature(start.meat_C)}
					</option>
				) : null}
				{Object.entries(STARTS).map(([key, { words }]) => (
					<option key={key} value={key}>
						{words}
					</option>
				))}
			</Choice>
		</>
	);
});

function hotFor(minutes: number): LabPan["hotStart"] {
	return minutes === 0 ? null : { set_C: HOT_START_C, minutes };
}

function startOf(key: StartKey): LabPan["start"] {
	const { meat_C, liquid_C } = STARTS[key];
	return { meat_C, liquid_C };
}

function samePan(panShape: PanShape, other: PanShape): boolean {
	return isEqual(panShape, other);
}
