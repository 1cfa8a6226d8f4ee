import { chakra } from "@chakra-ui/react/styled-system";
import { type KeyboardEvent, type SubmitEvent, useMemo, useRef } from "react";
import { data, Form, redirect } from "react-router";
import { Refusal } from "#core/check";
import { measuresOf } from "#core/quantity";
import {
	cardServes,
	draftOf,
	type Ingredient,
	isPreparation,
	mainGrams,
	namesOf,
	type Recipe,
	readDraft,
	readTyped,
} from "#core/recipe";
import {
	AllergensFall,
	discardDraft,
	findBases,
	Missing,
	numberDraft,
	readDraftOf,
	readIngredients,
	readKitchen,
	readRecipe,
	Stale,
	saveDraft,
} from "#db";
import { FallNote } from "../ui/forms/FallSheet.tsx";
import { Field } from "../ui/forms/Field.tsx";
import { confirmedIn, fallView } from "../ui/forms/fall.ts";
import { typedIn, versionOf } from "../ui/forms/form.ts";
import { NotSentNote } from "../ui/forms/NotSentNote.tsx";
import { isNotSent, sentOrKept } from "../ui/forms/offline.ts";
import { Act, ActLink, Key, Muted, Note, Page, Sheet } from "../ui/parts/parts.tsx";
import { Tape } from "../ui/parts/Tape.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { type HouseVisit, visitOf } from "../ui/server/visit.ts";
import { fieldWords } from "../ui/words/fieldWords.ts";
import type { Route } from "./+types/write.route";
import { type CardHouse, lineNote } from "./dishCard.ts";
import { changeField } from "./draftEdits.ts";
import { draftIn, edited } from "./draftForm.ts";
import { FieldSheets } from "./writer/FieldSheets.tsx";
import { LineEditor } from "./writer/LineEditor.tsx";
import { NumberBar } from "./writer/NumberBar.tsx";
import { PieceNote } from "./writer/PieceNote.tsx";
import { SchoolChooser } from "./writer/SchoolChooser.tsx";
import { ServesNote } from "./writer/ServesNote.tsx";
import { StepEditor } from "./writer/StepEditor.tsx";
import { type DraftInHand, letGo, useDraft } from "./writer/useDraft.ts";
import { useLatest } from "./writer/useLatest.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `${loaderData.name}, being written · Book` : "Book" },
];

export async function loader({ context, params }: Route.LoaderArgs) {
	const { store, reading, house } = await visitOf(context);
	const [row, known] = await Promise.all([readDraftOf(store.db, params.recipeId), readIngredients(store.db)]);
	const version = await currentOrNone(store, params.recipeId);
	if (!row && !version) throw data({ missing: "recipe" }, { status: 404 });
	const found = row?.doc ?? (version ? draftOf(version.doc, known) : undefined);
	if (!found) throw data({ missing: "draft" }, { status: 404 });
	// Whoever begins to write says whose pints are meant; for all who write on it stays so.
	const draft = row ? found : changeField(found, "measures", measuresOf(reading.units));
	const { wrong, doc } = readDraft(draft, known, namesOf(known.values()));
	const { currency } = house;
	const costing = async () => ({
		kitchen: await readKitchen(store.db),
		reading,
		currency,
		menuPrice_minor: null,
	});
	return {
		id: params.recipeId,
		units: reading.units,
		name: draft.fields.name || "A recipe without a name",
		draft,
		version: row?.version ?? 0,
		basedOn: row ? row.basedOn : (version?.number ?? null),
		at: row ? reading.clock(row.at) : "",
		by: row?.who ?? "",
		open: wrong,
		lineNote: doc && !isPreparation(doc) ? noteOf(doc, await costing()) : null,
		known: [...new Set(known.values())],
		dishes: draft.kind === "dish" ? await findBases(store.db, params.recipeId) : [],
	};
}

/** A card that cannot be planned yet says why elsewhere. */
function noteOf(doc: Recipe, house: CardHouse): string | null {
	try {
		return lineNote(doc, house);
	} catch (error) {
		if (error instanceof Refusal) return null;
		throw error;
	}
}

async function currentOrNone(store: HouseVisit["store"], id: string) {
	try {
		return await readRecipe(store.db, id);
	} catch (error) {
		if (error instanceof Missing) return undefined;
		throw error;
	}
}

/** Whatever is pressed, what was typed is kept first. */
export async function action({ context, params, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	try {
		return await keepAndDo(visit, params.recipeId, await formOf(request));
	} catch (error) {
		if (error instanceof Stale) return data({ stale: error.version }, { status: 409 });
		if (!(error instanceof Refusal)) throw error;
		return refusedFor(error);
	}
}

/**
 * What does not hold.
 *
 * @param version of the draft as it was kept all the same
 */
function refusedFor({ problems }: Refusal, version?: number) {
	const told = problems.map(({ field, message }) => ({ field, message }));
	return data({ problems: told, ...(version === undefined ? {} : { version }) }, { status: 400 });
}

async function keepAndDo({ store, who, reading }: HouseVisit, id: string, form: FormData) {
	const intent = String(form.get("intent") ?? "save");
	const draft = edited(draftIn(form), intent);
	const from = await currentOrNone(store, id);
	if (!from && !(await readDraftOf(store.db, id))) throw data({ missing: "recipe" }, { status: 404 });
	const asked = versionOf(typedIn(form));
	const version = await saveDraft(store, id, asked, draft, { who, basedOn: from?.number ?? null });
	if (intent === "keep") {
		const known = await readIngredients(store.db);
		const { wrong } = readDraft(draft, known, namesOf(known.values()));
		return { version, at: reading.clock(Date.now()), open: wrong };
	}
	if (intent === "discard") {
		await discardDraft(store, id, version);
		return redirect(from ? `/book/${id}` : "/book");
	}
	if (!intent.startsWith("number")) return redirect(`/book/${id}/write`);
	return numbered(store, id, form, { who, version });
}

/** Gives a draft its number, as it was kept under its version. */
async function numbered(
	store: HouseVisit["store"],
	id: string,
	form: FormData,
	{ who, version }: { readonly who: string; readonly version: number },
) {
	const typed = typedIn(form);
	const state = typed.intent === "number:standard" ? "standard" : "tested";
	let number: number;
	try {
		const by = { who, state, reason: typed.reason ?? "", confirmed: confirmedIn(typed) } as const;
		number = await numberDraft(store, id, by);
	} catch (error) {
		// The draft was kept meanwhile: it is sent again as what it is now.
		if (error instanceof AllergensFall) {
			const sent = [...form].map(
				([name, value]) => [name, name === "version" ? `${version}` : `${value}`] as const,
			);
			return data({ fall: fallView(error), sent, version }, { status: 409 });
		}
		if (!(error instanceof Refusal)) throw error;
		return refusedFor(error, version);
	}
	return redirect(`/book/${id}?numbered=${number}`);
}

/** @see sentOrKept */
export async function clientAction({ serverAction, params }: Route.ClientActionArgs) {
	const result = await sentOrKept(serverAction);
	if (result instanceof Response) letGo(params.recipeId);
	return result;
}

export { revalidateWhenSent as shouldRevalidate } from "./writer/revalidate.ts";

/** What an action answered that is to be seen, and the version that the draft was kept under. */
function answeredIn(answered: Route.ComponentProps["actionData"]) {
	const refused = answered && "problems" in answered ? answered : undefined;
	const falls = answered && "fall" in answered ? answered : undefined;
	return { problems: refused?.problems ?? [], falls, version: refused?.version ?? falls?.version };
}

export default function Write({ loaderData, actionData }: Route.ComponentProps) {
	const form = useRef<HTMLFormElement>(null);
	const { problems, falls, version } = answeredIn(actionData);
	const hand = useDraft(loaderData, form, version);
	const { draft, change } = hand;
	const latest = useLatest(draft);
	const named = useMemo(() => namesOf(loaderData.known as Ingredient[]), [loaderData.known]);
	const read = useMemo(() => readTyped(draft, named), [draft, named]);
	const wrong = { ...hand.open, ...read.wrong };
	const serves = useMemo(() => cardServes(draft, read.lines), [draft, read]);
	const undoKeys = (event: KeyboardEvent) => {
		if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "z") return;
		event.preventDefault();
		if (event.shiftKey) hand.redo();
		else hand.undo();
	};
	return (
		<Page>
			<FallNote answered={falls} />
			<Form method="post" ref={form} onKeyDown={undoKeys} onSubmit={leaveToKeeping}>
				<input type="hidden" name="version" value={hand.version} />
				<input type="hidden" name="kind" value={draft.kind} />
				{/* Enter in a field keeps; it never moves, removes or numbers. */}
				<chakra.button name="intent" value="save" srOnly tabIndex={-1} aria-hidden>
					Keep
				</chakra.button>
				<chakra.div display="flex" flexWrap="wrap" gap="8px 14px" alignItems="start">
					<chakra.div flex="1 1 340px">
						<h1>
							<Tape size="large">{draft.fields.name || "Without a name yet"}</Tape>
						</h1>
						<Muted display="block" marginTop="6px">
							<span aria-live="polite">{keepingWords(hand)}</span>
							{loaderData.basedOn === null
								? ""
								: ` · Started from no. ${loaderData.basedOn}; that stays as it is, and this becomes the next number.`}
						</Muted>
					</chakra.div>
					<chakra.div display="flex" flexWrap="wrap" gap="6px">
						<Act type="button" kind="quiet" disabled={!hand.canUndo} onClick={hand.undo}>
							Undo <Key aria-hidden>ctrl z</Key>
						</Act>
						<Act type="button" kind="quiet" disabled={!hand.canRedo} onClick={hand.redo}>
							Redo
						</Act>
						<ActLink to={loaderData.basedOn === null ? "/book" : `/book/${loaderData.id}`}>Leave it</ActLink>
						<Act name="intent" value="discard">
							Throw the draft away
						</Act>
					</chakra.div>
				</chakra.div>
				<Notes hand={hand} />
				{isNotSent(actionData) ? <NotSentNote {...actionData} /> : null}
				{actionData && "stale" in actionData ? (
					<Note role="alert" marginTop="10px">
						<b>Not numbered yet.</b> Something typed was still on its way; press again.
					</Note>
				) : null}
				{problems.length > 0 ? (
					<Note role="alert" marginTop="10px">
						<b>Not numbered.</b>{" "}
						{problems.map(({ field, message }) => `${fieldWords(field)}: ${message}.`).join(" ")}
					</Note>
				) : null}
				<Sheet marginTop="10px" paddingBlock="8px 12px">
					<Field
						label={`${loaderData.basedOn === null ? "Why it is written" : "Why it is changed"}; it stands beside its number`}
						name="reason"
						maxLength={300}
						autoComplete="off"
					/>
				</Sheet>
				<NumberBar
					wrong={wrong}
					draft={draft}
					serves={serves}
					units={loaderData.units}
					waits={hand.keeping === "keeping"}
				/>
				<chakra.div
					display="grid"
					gap="10px"
					marginTop="10px"
					alignItems="start"
					gridTemplateColumns={{ base: "minmax(0,1fr)", lg: "minmax(0, 8fr) minmax(0, 5fr)" }}
				>
					<chakra.div display="grid" gap="10px">
						<LineEditor
							draft={draft}
							read={read.lines}
							wrong={wrong}
							latest={latest}
							onChange={change}
							back={`/book/${loaderData.id}/write`}
							main_g={mainGrams(read.lines)}
							named={named}
						/>
						<StepEditor draft={draft} wrong={wrong} latest={latest} onChange={change} />
					</chakra.div>
					<chakra.div display="grid" gap="10px">
						{serves && !serves.agrees ? (
							<ServesNote draft={draft} card={serves} units={loaderData.units} onChange={change} />
						) : null}
						<PieceNote draft={draft} units={loaderData.units} onChange={change} />
						{loaderData.lineNote ? (
							<Note>
								<b>▲</b> {loaderData.lineNote}
							</Note>
						) : null}
						<FieldSheets
							draft={draft}
							dishes={loaderData.dishes}
							wrong={wrong}
							latest={latest}
							onChange={change}
						/>
						{draft.kind === "dish" ? <SchoolChooser draft={draft} named={named} onChange={change} /> : null}
					</chakra.div>
				</chakra.div>
			</Form>
		</Page>
	);
}

/** Enter in a field asks for nothing more than what typing does by itself. */
function leaveToKeeping(event: SubmitEvent<HTMLFormElement>): void {
	const { submitter } = event.nativeEvent;
	if (submitter instanceof HTMLButtonElement && submitter.value === "save") event.preventDefault();
}

function keepingWords({ keeping, keptAt }: DraftInHand): string {
	switch (keeping) {
		case "kept":
			return keptAt ? `Draft, kept at ${keptAt}` : "Draft, nothing changed yet";
		case "keeping":
			return "Keeping…";
		case "notSent":
			return "Not sent; kept at this desk until the server answers";
		case "stale":
			return "Not kept: somebody else has written";
		case "refused":
			return "Not kept: something typed cannot be; see what stands open";
	}
}

function Notes({ hand }: { readonly hand: DraftInHand }) {
	return (
		<>
			{hand.restored ? (
				<Note marginTop="10px" role="status">
					What was typed at this desk and never sent is back. Undo takes it away again.
				</Note>
			) : null}
			{hand.keeping === "stale" ? (
				<Note marginTop="10px" role="alert" display="flex" flexWrap="wrap" gap="10px" alignItems="center">
					<b>Somebody else has written on this draft since you opened it.</b>
					<Act type="button" onClick={hand.overwrite}>
						Put mine over theirs
					</Act>
					<ActLink to="." reloadDocument>
						Look at theirs
					</ActLink>
				</Note>
			) : null}
		</>
	);
}
