import { chakra } from "@chakra-ui/react/styled-system";
import { type Draft, type DraftStep, PLACES, type PlaceKey } from "#core/recipe";
import { Area, Input, Select } from "../../ui/Field.tsx";
import { Act, Heading, Muted, Sheet } from "../../ui/parts.tsx";
import { PLACE_LABELS } from "../../ui/places.ts";
import { addStep, changeStep, moveStep, removeStep } from "../draftEdits.ts";
import { changeAndFocus } from "./changeAndFocus.ts";
import { Tool } from "./Tool.tsx";

interface StepEditorProps {
	readonly draft: Draft;
	readonly wrong: Readonly<Record<string, string>>;
	readonly onChange: (draft: Draft, tag?: string) => void;
}

/** The method, step by step, in the order of work. */
export function StepEditor({ draft, wrong, onChange }: StepEditorProps) {
	return (
		<Sheet>
			<chakra.div display="flex" alignItems="center" justifyContent="space-between">
				<Heading>Method</Heading>
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
			</chakra.div>
			<Muted display="block">
				Alt with the arrows moves a step. Minutes are one cook's, at the card's size.
			</Muted>
			<chakra.ol display="grid" gap="12px" marginTop="8px">
				{draft.steps.map((step, index) => (
					<StepRow key={step.key} step={step} number={index + 1} {...{ draft, wrong, onChange }} />
				))}
			</chakra.ol>
		</Sheet>
	);
}

function StepRow({
	step,
	number,
	draft,
	wrong,
	onChange,
}: StepEditorProps & { readonly step: DraftStep; readonly number: number }) {
	const problem = wrong[`step.${step.key}`];
	const change = (field: keyof DraftStep) => (event: { target: { value: string } }) =>
		onChange(changeStep(draft, step.key, { [field]: event.target.value }), `${step.key}.${field}`);
	const of = `step ${number}`;
	const name = (field: keyof DraftStep) => `step.${step.key}.${field}`;
	return (
		<chakra.li borderTop="1px solid" borderColor="hair" paddingTop="10px" display="grid" gap="6px">
			<input type="hidden" name="step" value={step.key} />
			<input type="hidden" name={name("school")} value={step.school ?? ""} />
			<chakra.div display="flex" flexWrap="wrap" gap="6px" alignItems="center">
				<chakra.div width="130px">
					<Select
						name={name("place")}
						value={step.place}
						onChange={change("place")}
						aria-label={`Place of ${of}`}
					>
						{PLACES.map((place: PlaceKey) => (
							<option key={place} value={place}>
								{PLACE_LABELS[place]}
							</option>
						))}
					</Select>
				</chakra.div>
				<chakra.div width="130px">
					<Input
						name={name("station")}
						value={step.station}
						onChange={change("station")}
						placeholder="Station"
						aria-label={`Station of ${of}`}
					/>
				</chakra.div>
				<chakra.div width="74px">
					<Input
						name={name("handsOn")}
						value={step.handsOn}
						onChange={change("handsOn")}
						aria-label={`Minutes of work of ${of}`}
					/>
				</chakra.div>
				<Muted>min work,</Muted>
				<chakra.div width="74px">
					<Input
						name={name("waiting")}
						value={step.waiting}
						onChange={change("waiting")}
						aria-label={`Minutes of waiting of ${of}`}
					/>
				</chakra.div>
				<Muted>waiting</Muted>
				<chakra.div marginInlineStart="auto" display="flex" gap="2px">
					<Tool
						name="intent"
						value={`moveUp:step:${step.key}`}
						aria-label={`Up: ${of}`}
						onClick={(event) => {
							event.preventDefault();
							onChange(moveStep(draft, step.key, -1));
						}}
					>
						↑
					</Tool>
					<Tool
						name="intent"
						value={`moveDown:step:${step.key}`}
						aria-label={`Down: ${of}`}
						onClick={(event) => {
							event.preventDefault();
							onChange(moveStep(draft, step.key, 1));
						}}
					>
						↓
					</Tool>
					<Tool
						name="intent"
						value={`remove:step:${step.key}`}
						aria-label={`Remove: ${of}`}
						onClick={(event) => {
							event.preventDefault();
							onChange(removeStep(draft, step.key));
						}}
					>
						×
					</Tool>
				</chakra.div>
			</chakra.div>
			<Area
				id={`text-${step.key}`}
				name={name("text")}
				value={step.text}
				onChange={change("text")}
				aria-label={`What is done in ${of}`}
				aria-invalid={problem ? true : undefined}
				onKeyDown={(event) => {
					if (!event.altKey || (event.key !== "ArrowUp" && event.key !== "ArrowDown")) return;
					event.preventDefault();
					const by = event.key === "ArrowUp" ? -1 : 1;
					changeAndFocus(() => onChange(moveStep(draft, step.key, by)), step.key);
				}}
			/>
			<Input
				name={name("check")}
				value={step.check}
				onChange={change("check")}
				placeholder="Look for: rust-coloured and no longer sour"
				aria-label={`What to look for in ${of}`}
			/>
			<Input
				name={name("caution")}
				value={step.caution}
				onChange={change("caution")}
				placeholder="Mind: hot fat, steam, a heavy pan"
				aria-label={`What to mind in ${of}`}
			/>
			<chakra.div display="grid" gap="6px" gridTemplateColumns="1fr 1fr 1fr">
				<Select
					name={name("grows")}
					value={step.grows}
					onChange={change("grows")}
					aria-label={`Work of ${of} grows`}
				>
					<option value="withWeight">work grows with the weight</option>
					<option value="fixed">work stays the same</option>
				</Select>
				<Input
					name={name("temperature")}
					value={step.temperature}
					onChange={change("temperature")}
					placeholder="Temperature"
					aria-label={`Temperature of ${of}`}
				/>
				<Input
					name={name("tools")}
					value={step.tools}
					onChange={change("tools")}
					placeholder="Tools"
					aria-label={`Tools of ${of}`}
				/>
			</chakra.div>
			{problem ? (
				<chakra.p color="next" fontWeight="650">
					▲ {problem}
				</chakra.p>
			) : null}
		</chakra.li>
	);
}
