import { chakra } from "@chakra-ui/react/styled-system";
import { type KeyboardEvent, memo, type RefObject, useState } from "react";
import type { Draft, DraftStep } from "#core/recipe";
import { PLACE_WORDS, PLACES } from "#core/trade";
import { Area, Choice, Field, Wrong } from "../../ui/forms/Field.tsx";
import { Act, Heading, Muted, Sheet } from "../../ui/parts/parts.tsx";
import { addStep, changeStep, moveStep, removeStep } from "../draftEdits.ts";
import { changeAndFocus } from "./changeAndFocus.ts";
import { RowTools } from "./RowTools.tsx";

interface StepEditorProps {
	readonly draft: Draft;
	readonly wrong: Readonly<Record<string, string>>;
	/** The draft by the time something is done to a step. */
	readonly latest: RefObject<Draft>;
	readonly onChange: (draft: Draft, tag?: string) => void;
}

/** The method, step by step, in the order of work. */
export function StepEditor({ draft, wrong, latest, onChange }: StepEditorProps) {
	return (
		<Sheet>
			<chakra.div display="flex" alignItems="center" justifyContent="space-between">
				<Heading>Method</Heading>
				<AddStep draft={draft} onChange={onChange} />
			</chakra.div>
			<Muted display="block">
				Alt with the arrows moves a step. Minutes are one cook's, at the card's size.
			</Muted>
			<chakra.ol display="grid" gap="12px" marginTop="8px">
				{draft.steps.map((step, index) => (
					<StepRow
						key={step.key}
						step={step}
						number={index + 1}
						kind={draft.kind}
						problem={wrong[`step.${step.key}`]}
						latest={latest}
						onChange={onChange}
					/>
				))}
			</chakra.ol>
			{/* From the last step the next key goes on to another. */}
			{draft.steps.length > 0 ? (
				<chakra.div marginTop="8px">
					<AddStep draft={draft} onChange={onChange} />
				</chakra.div>
			) : null}
		</Sheet>
	);
}

function AddStep({ draft, onChange }: Pick<StepEditorProps, "draft" | "onChange">) {
	return (
		<Act
			kind="quiet"
			name="intent"
			value="addStep"
			onClick={(event) => {
				event.preventDefault();
				const added = addStep(draft);
				changeAndFocus(() => onChange(added.draft), added.key);
			}}
		>
			Add a step
		</Act>
	);
}

interface StepRowProps extends Pick<StepEditorProps, "latest" | "onChange"> {
	readonly step: DraftStep;
	readonly number: number;
	readonly kind: Draft["kind"];
	readonly problem: string | undefined;
}

type TextField = Exclude<keyof DraftStep, "key" | "school">;

const GROWS = [
	["withWeight", "work grows with the weight"],
	["fixed", "work stays the same"],
] as const;

const STANDS_ON = [
	["", "on no heat"],
	["burner", "on a burner"],
	["oven", "in an oven"],
] as const;

const WHENS = [
	["", "with what is before it"],
	["dayBefore", "the day before"],
	["last", "at the very last"],
] as const;

/** Drawn again only when it has changed itself. */
const StepRow = memo(function StepRow({ step, number, kind, problem, latest, onChange }: StepRowProps) {
	const which = `step ${number}`;
	/** What every control of a step has in common: its name, its value, and what changes it. */
	const field = (name: TextField, label: string) => ({
		name: `step.${step.key}.${name}`,
		value: step[name] ?? "",
		"aria-label": `${label} ${which}`,
		onChange: (event: { target: { value: string } }) =>
			onChange(changeStep(latest.current, step.key, { [name]: event.target.value }), `${step.key}.${name}`),
	});
	const move = (by: -1 | 1) => onChange(moveStep(latest.current, step.key, by));
	const moveByKey = (event: KeyboardEvent) => {
		if (!event.altKey || (event.key !== "ArrowUp" && event.key !== "ArrowDown")) return;
		event.preventDefault();
		changeAndFocus(() => move(event.key === "ArrowUp" ? -1 : 1), step.key);
	};
	const [open, setOpen] = useState(step.text === "" || problem !== undefined);
	return (
		<chakra.li
			borderTop="1px solid"
			borderColor="hair"
			paddingTop="6px"
			display="grid"
			gridTemplateColumns="minmax(0,1fr) auto"
			gap="0 10px"
			alignItems="start"
		>
			<input type="hidden" name="step" value={step.key} />
			<input type="hidden" name={`step.${step.key}.school`} value={step.school ?? ""} />
			<details
				open={open || problem !== undefined}
				onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
			>
				<summary id={`fold-${step.key}`}>
					<Sentence step={step} number={number} />
				</summary>
				<chakra.div display="grid" gap="8px" paddingBlock="4px 10px">
					<Area
						{...field("text", "What is done in")}
						id={`text-${step.key}`}
						aria-invalid={problem ? true : undefined}
						onKeyDown={moveByKey}
					/>
					{problem ? <Wrong>{problem}</Wrong> : null}
					<Fields>
						<Field label="Look for" {...field("check", "What to look for in")} />
						<Field label="Mind" {...field("caution", "What to mind in")} />
					</Fields>
					<Fields>
						<Choice label="Place" {...field("place", "Place of")}>
							{PLACES.map((place) => (
								<option key={place} value={place}>
									{PLACE_WORDS[place]}
								</option>
							))}
						</Choice>
						<Field label="Station" {...field("station", "Station of")} />
						<Field label="Work, min" {...field("handsOn", "Minutes of work of")} />
						<Field label="Waiting, min" {...field("waiting", "Minutes of waiting of")} />
						<Choice label="Work" {...field("grows", "Work of")}>
							{GROWS.map(([value, words]) => (
								<option key={value} value={value}>
									{words}
								</option>
							))}
						</Choice>
						<Field label="Temperature" {...field("temperature", "Temperature of")} />
						<Field label="Tools" {...field("tools", "Tools of")} />
						{kind === "preparation" ? (
							<>
								<Choice label="Stands" {...field("heat", "On what")}>
									{STANDS_ON.map(([value, words]) => (
										<option key={value} value={value}>
											{words}
										</option>
									))}
								</Choice>
								<Choice label="Done" {...field("when", "When")}>
									{WHENS.map(([value, words]) => (
										<option key={value} value={value}>
											{words}
										</option>
									))}
								</Choice>
							</>
						) : null}
					</Fields>
				</chakra.div>
			</details>
			<RowTools
				of="step"
				rowKey={step.key}
				name={which}
				onMove={move}
				onRemove={() => onChange(removeStep(latest.current, step.key))}
			/>
		</chakra.li>
	);
});

const Fields = chakra("div", {
	base: {
		display: "grid",
		gap: "8px 12px",
		gridTemplateColumns: "repeat(auto-fill, minmax(150px, 1fr))",
	},
});

/** A step while it is folded: where, how long, and what is done. */
function Sentence({ step, number }: { readonly step: DraftStep; readonly number: number }) {
	const minutes = [
		step.handsOn ? `${step.handsOn} min` : "",
		step.waiting && step.waiting !== "0" ? `${step.waiting} waiting` : "",
	];
	return (
		<chakra.span fontWeight="400" fontSize="16px" paddingBlock="8px">
			<b>
				{number}. {[PLACE_WORDS[step.place], step.station, ...minutes].filter(Boolean).join(", ")}
			</b>{" "}
			{step.text || "Nothing written yet"}
		</chakra.span>
	);
}
