import { chakra } from "@chakra-ui/react/styled-system";
import { useRef } from "react";
import { Form } from "react-router";
import { RecordCurve } from "../ui/drawings/RecordCurve.tsx";
import { Choice, Field, Slot } from "../ui/forms/Field.tsx";
import { Act, Figure, Muted, Note, Sheet } from "../ui/parts/parts.tsx";
import { NumberPad } from "./NumberPad.tsx";
import { type Sent, SentFields, When } from "./SentFields.tsx";
import { ACTION_WORDS, type RemedyView, type WatchView } from "./watch.view.ts";

interface WatchSheetProps {
	readonly view: WatchView & {
		/** That the plan's clock began earlier than the record's. */
		readonly earlier: string | null;
	};
	readonly sent: Sent;
	readonly degrees: string;
}

/** One pan that is watched: its curve under the code's limits, what it needs, and where it is written down. */
export function WatchSheet({ view, sent, degrees }: WatchSheetProps) {
	return (
		<Sheet
			aria-label={`Pan ${view.tag}, ${view.doing}`}
			display="grid"
			gap="12px 28px"
			gridTemplateColumns={{ base: "minmax(0,1fr)", lg: "minmax(0,1fr) minmax(0, 660px)" }}
		>
			<chakra.div display="grid" gap="10px" alignContent="start">
				<div>
					<Muted>
						Pan {view.tag}, {view.doing.toLowerCase()} since {view.began}
					</Muted>
					<Figure size="giant" display="block">
						{view.isPressing ? "▲ " : ""}
						{view.figure}
					</Figure>
					<p>{view.newest}</p>
				</div>
				{view.doubt ? <Note role="alert">▲ {view.doubt}</Note> : null}
				<chakra.ul aria-label={`Limits of “${view.code}”`} display="grid" gap="4px">
					{view.limits.map(({ words, isWell }) => (
						<li key={words}>
							{isWell ? "" : "▲ "}
							{words}
						</li>
					))}
				</chakra.ul>
				{view.earlier ? <Muted>{view.earlier}</Muted> : null}
				<Muted>House code “{view.code}”. The local authority and the licensed operator decide.</Muted>
				{view.isOpen ? <ReadingForm view={view} sent={sent} degrees={degrees} /> : null}
			</chakra.div>
			<chakra.div display="grid" gap="12px" alignContent="start">
				<RecordCurve drawing={view.drawing} />
				<Remedies view={view} sent={sent} />
				{view.isOpen ? <ProbeForm view={view} sent={sent} /> : null}
				<Actions view={view} sent={sent} />
				<Corrections view={view} sent={sent} />
			</chakra.div>
		</Sheet>
	);
}

function ReadingForm({ view, sent, degrees }: WatchSheetProps) {
	const input = useRef<HTMLInputElement>(null);
	const newest = /^-?\d+(?:\.\d+)?/.exec(view.newest)?.[0];
	const wrong = sent.typed.intent === "read" ? sent.wrong : {};
	return (
		<Form method="post" aria-label="Write a temperature" preventScrollReset>
			<SentFields intent="read" sent={sent} watch={view.watch} />
			<chakra.div display="flex" flexWrap="wrap" gap="10px" alignItems="flex-end">
				<Slot width="150px">
					<Field
						label="Core by hand"
						name="C"
						ref={input}
						inputMode="decimal"
						autoComplete="off"
						after={degrees}
						key={sent.clientId}
						defaultValue={sent.typed.intent === "read" ? sent.typed.C : ""}
						wrong={wrong.C}
						aria-keyshortcuts="c"
						data-key-name="Write a temperature"
					/>
				</Slot>
				<Act kind="next" minHeight="44px">
					Write it
				</Act>
				<NumberPad input={input} unit={degrees} newest={newest === undefined ? null : Number(newest)} />
			</chakra.div>
			<When wrong={wrong} />
		</Form>
	);
}

/** Which probe stands in the pan; and when the pan is out. */
function ProbeForm({ view, sent }: Omit<WatchSheetProps, "degrees">) {
	const wrong = sent.typed.intent === "probe" ? sent.wrong : {};
	return (
		<chakra.div display="flex" flexWrap="wrap" gap="10px" alignItems="flex-end">
			<Form method="post" preventScrollReset aria-label="Probe of this pan">
				<SentFields intent="probe" sent={sent} watch={view.watch} />
				<chakra.div display="flex" gap="10px" alignItems="flex-end">
					<Slot width="150px">
						<Field
							label="Probe in it"
							name="probe"
							maxLength={24}
							autoComplete="off"
							placeholder="P01"
							key={`${view.watch} ${view.probe}`}
							defaultValue={view.probe ?? ""}
							wrong={wrong.probe}
						/>
					</Slot>
					<Act>{view.probe === null ? "Put it in" : "Change it"}</Act>
				</chakra.div>
			</Form>
			<Form method="post" preventScrollReset aria-label="End">
				<SentFields intent="end" sent={sent} watch={view.watch} />
				<Act>It is out: end it</Act>
			</Form>
		</chakra.div>
	);
}

function Remedies({ view, sent }: Omit<WatchSheetProps, "degrees">) {
	if (view.remedies.length === 0) return null;
	return (
		<Form method="post" preventScrollReset aria-label="What helps">
			<SentFields intent="help" sent={sent} watch={view.watch} />
			<ul>
				{view.remedies.map((remedy, index) => (
					<Helps
						key={`${remedy.action} ${remedy.parts}`}
						remedy={remedy}
						isFirst={index === 0 && remedy.meets}
					/>
				))}
			</ul>
			<When wrong={sent.typed.intent === "help" ? sent.wrong : {}} />
		</Form>
	);
}

function Helps({ remedy, isFirst }: { readonly remedy: RemedyView; readonly isFirst: boolean }) {
	return (
		<chakra.li
			borderTop="1px solid"
			borderColor="hair"
			paddingBlock="6px"
			display="flex"
			flexWrap="wrap"
			gap="4px 16px"
			alignItems="center"
		>
			<chakra.span flex="1 1 240px">
				<b>{remedy.words}</b> <Muted>{remedy.says}</Muted>
			</chakra.span>
			<Act
				kind={isFirst ? "next" : "plain"}
				name="remedy"
				value={`${remedy.action}:${remedy.parts}`}
				aria-label={`Done: ${remedy.words}`}
			>
				It is done
			</Act>
		</chakra.li>
	);
}

function Actions({ view, sent }: Omit<WatchSheetProps, "degrees">) {
	const wrong = sent.typed.intent === "act" && sent.typed.part === "" ? sent.wrong : {};
	return (
		<chakra.details open={view.isPressing || wrong.note ? true : undefined}>
			<summary>
				Something else was done about it{view.actions.length > 0 ? `: ${view.actions.length} written` : ""}
			</summary>
			{view.actions.length > 0 ? (
				<chakra.ul marginBottom="8px">
					{view.actions.map((words) => (
						<li key={words}>{words}</li>
					))}
				</chakra.ul>
			) : null}
			<Form method="post" preventScrollReset aria-label="What was done">
				<SentFields intent="act" sent={sent} watch={view.watch} part="" />
				<chakra.div display="grid" gap="10px" gridTemplateColumns={{ base: "1fr", sm: "1fr 1fr" }}>
					<Choice
						label="What was done"
						name="action"
						wrong={wrong.action}
						defaultValue={view.choices.includes("reheated") ? "reheated" : "measured"}
					>
						{view.choices.map((action) => (
							<option key={action} value={action}>
								{ACTION_WORDS[action].choice}
							</option>
						))}
					</Choice>
					<Field label="Note" name="note" maxLength={400} wrong={wrong.note} />
				</chakra.div>
				<When wrong={wrong} />
				<Act>Write it down</Act>
			</Form>
		</chakra.details>
	);
}

function Corrections({ view, sent }: Omit<WatchSheetProps, "degrees">) {
	if (view.readings.length === 0) return null;
	const wrong = sent.typed.intent === "correct" && sent.typed.of === "reading" ? sent.wrong : {};
	return (
		<chakra.details open={wrong.reason || wrong.C ? true : undefined}>
			<summary>A reading was wrong</summary>
			<Form method="post" preventScrollReset aria-label="Correct a reading">
				<SentFields intent="correct" sent={sent} watch={view.watch} />
				<input type="hidden" name="of" value="reading" />
				<chakra.div display="grid" gap="10px" gridTemplateColumns={{ base: "1fr", sm: "2fr 1fr 2fr" }}>
					<Choice label="Which" name="number" wrong={wrong.number}>
						{view.readings.map(({ number, words }) => (
							<option key={number} value={number}>
								{words}
							</option>
						))}
						<option value="probe">all that the probe has read</option>
					</Choice>
					<Field label="Should be (empty: does not count)" name="C" inputMode="decimal" wrong={wrong.C} />
					<Field label="Because" name="reason" maxLength={400} wrong={wrong.reason} />
				</chakra.div>
				<chakra.p color="muted" marginBlock="6px">
					The reading stays in the record; the correction stands after it.
				</chakra.p>
				<Act>Correct it</Act>
			</Form>
		</chakra.details>
	);
}
