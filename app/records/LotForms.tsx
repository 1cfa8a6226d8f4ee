import { chakra } from "@chakra-ui/react/styled-system";
import { useId } from "react";
import { Form } from "react-router";
import { STAGES, type Stage } from "#core/records";
import { COURSES } from "#core/watch";
import { DayField } from "../ui/forms/DayField.tsx";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { Act } from "../ui/parts/parts.tsx";
import type { LotView } from "./lotPage.ts";
import { type Sent, SentFields, When } from "./SentFields.tsx";
import { COURSE_WORDS } from "./watch.view.ts";

interface LotFormProps {
	readonly view: LotView;
	readonly sent: Sent;
}

const STAGE_WORDS: Readonly<Record<Stage, string>> = {
	moved: "Moved",
	frozen: "Frozen",
	thawing: "Taken out to thaw",
	opened: "Opened",
	served: "Served",
	discarded: "Thrown away",
};

const Grid = chakra("div", {
	base: { display: "grid", gap: "10px", gridTemplateColumns: { base: "minmax(0,1fr)", sm: "1fr 1fr" } },
});

/** What becomes of it: moved, frozen, thawed, opened, served. */
export function LotStages({ view, sent }: LotFormProps) {
	const places = useId();
	if (view.isUsedUp) return null;
	const wrong = sent.typed.intent === "stage" ? sent.wrong : {};
	return (
		<chakra.details marginTop="10px" open={Object.keys(wrong).length > 0 || undefined}>
			<summary>It was moved, frozen, opened or served</summary>
			<Form method="post" preventScrollReset aria-label="What became of it">
				<SentFields intent="stage" sent={sent} />
				<Grid>
					<Choice label="What" name="stage" wrong={wrong.stage}>
						{STAGES.map((stage) => (
							<option key={stage} value={stage}>
								{STAGE_WORDS[stage]}
							</option>
						))}
					</Choice>
					<WhichPans view={view} wrong={wrong.tag} />
					<Field label="Where to" name="place" list={places} maxLength={80} wrong={wrong.place} />
					<Choice label="Served at (where it was served)" name="sitting" wrong={wrong.sitting}>
						{view.sittings.map(({ id, words }) => (
							<option key={id} value={id}>
								{words}
							</option>
						))}
					</Choice>
					<Field label="Note" name="note" maxLength={400} wrong={wrong.note} />
				</Grid>
				<datalist id={places}>
					{view.places.map((name) => (
						<option key={name} value={name} />
					))}
				</datalist>
				<When wrong={wrong} />
				<Act>Write it down</Act>
			</Form>
		</chakra.details>
	);
}

function WhichPans({ view, wrong }: { readonly view: LotView; readonly wrong: string | undefined }) {
	return (
		<Choice label="Which pans" name="tag" wrong={wrong}>
			<option value="">all that is left</option>
			{view.pans
				.filter(({ isUsedUp }) => !isUsedUp)
				.map(({ tag }) => (
					<option key={tag} value={tag}>
						{tag}
					</option>
				))}
		</Choice>
	);
}

/** A last day that was wrong: another is signed for. The one that stood there stays in the record. */
export function DateWasWrong({ view, sent }: LotFormProps) {
	if (view.isUsedUp) return null;
	const wrong = sent.typed.intent === "date" ? sent.wrong : {};
	return (
		<chakra.details marginTop="4px" open={Object.keys(wrong).length > 0 || undefined}>
			<summary>The use-by was wrong</summary>
			<Form method="post" preventScrollReset aria-label="Another use-by">
				<SentFields intent="date" sent={sent} />
				<Grid>
					<DayField label="Last day" name="useBy" wrong={wrong.useBy} />
					<WhichPans view={view} wrong={wrong.tag} />
					<Field label="Because" name="reason" maxLength={400} wrong={wrong.reason} />
				</Grid>
				<p>You sign for it by your name. Its labels are void then, and are printed again.</p>
				<Act>Change the date</Act>
			</Form>
		</chakra.details>
	);
}

/** Begins to watch pans: cooling, heated again, held hot, kept cold. */
export function BeginWatch({ view, sent }: LotFormProps) {
	if (view.isUsedUp) return null;
	const wrong = sent.typed.intent === "watch" ? sent.wrong : {};
	return (
		<chakra.details marginTop="4px" open={Object.keys(wrong).length > 0 || undefined}>
			<summary>Watch pans with a probe or by hand</summary>
			<Form method="post" preventScrollReset aria-label="Watch pans">
				<SentFields intent="watch" sent={sent} />
				<Grid>
					<Choice label="What they do" name="course" wrong={wrong.course}>
						{COURSES.map((course) => (
							<option key={course} value={course}>
								{COURSE_WORDS[course].name}
							</option>
						))}
					</Choice>
					<WhichPans view={view} wrong={wrong.tag} />
					<Field label="Probe (of one pan; empty: by hand)" name="probe" maxLength={24} wrong={wrong.probe} />
				</Grid>
				<When wrong={wrong} />
				<Act>Begin</Act>
			</Form>
		</chakra.details>
	);
}

/** Strikes an entry out, with a reason; the entry itself stays. */
export function Strike({ number, sent }: { readonly number: number; readonly sent: Sent }) {
	const own = sent.typed.intent === "correct" && sent.typed.part === String(number);
	const wrong = own ? sent.wrong : {};
	return (
		<chakra.details open={wrong.reason ? true : undefined}>
			<summary>Was not so</summary>
			<Form method="post" preventScrollReset>
				<SentFields intent="correct" sent={sent} part={String(number)} />
				<input type="hidden" name="of" value="entry" />
				<input type="hidden" name="number" value={number} />
				<chakra.div display="flex" flexWrap="wrap" gap="10px" alignItems="flex-end">
					<Field label="Because" name="reason" maxLength={400} wrong={wrong.reason ?? wrong.number} />
					<Act>Strike it out</Act>
				</chakra.div>
			</Form>
		</chakra.details>
	);
}
