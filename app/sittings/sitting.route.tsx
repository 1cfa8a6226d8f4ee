import { chakra } from "@chakra-ui/react/styled-system";
import { useRef, useState } from "react";
import { data, Form, Link, redirect } from "react-router";
import {
	type Confirmed,
	changeSitting,
	type Reader,
	readDish,
	readHouseCodes,
	readSitting,
	Stale,
	type Store,
	withRecipes,
} from "#db";
import { FallNote } from "../ui/forms/FallSheet.tsx";
import { Choice } from "../ui/forms/Field.tsx";
import { confirmedIn } from "../ui/forms/fall.ts";
import { NotSentNote } from "../ui/forms/NotSentNote.tsx";
import { isNotSent, sentOrKept } from "../ui/forms/offline.ts";
import { StaleNote } from "../ui/forms/StaleNote.tsx";
import { Unsaved } from "../ui/forms/Unsaved.tsx";
import { Act, ActLink, Figure, Heading, Key, Muted, Note, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { Tape } from "../ui/parts/Tape.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { heavily } from "../ui/server/heavily.ts";
import { doneOrSaid, refused } from "../ui/server/said.server.ts";
import { lastEvents, sittingNames } from "../ui/server/sittingNames.ts";
import { foundOr404, visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/sitting.route";
import { DayLine } from "./DayLine.tsx";
import { DetailFields } from "./DetailFields.tsx";
import { DishRow } from "./DishRow.tsx";
import { readSittingForm } from "./readSittingForm.ts";
import { editedSitting, ontoChanged, type Removed, removedDishes, type SittingAsked } from "./sittingEdit.ts";
import { sumsTyped, type TypedSums } from "./sumsTyped.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `${loaderData.name} · Wide Table` : "Wide Table" },
];

export function loader({ context, params, request }: Route.LoaderArgs) {
	return heavily(context, "sitting", { id: params.sittingId }, request);
}

/** Everything on the page is one form: whatever is pressed, what was typed is saved with it. */
export async function action({ context, params, request }: Route.ActionArgs) {
	const { store, house, who, reading } = await visitOf(context);
	const form = await formOf(request);
	const codes = [...(await readHouseCodes(store.db)).keys()];
	const read = readSittingForm(form, house.timeZone, codes);
	if ("wrong" in read) return refused(read.typed, read.wrong);
	const { version, intent, subject, newId, details, shares } = read.value;
	const { sittingId } = params;
	const { db } = store;
	const asked: SittingAsked = {
		details,
		shares,
		intent,
		subject,
		added: intent === "add" ? { id: newId, recipeVersionId: await recipeToAdd(db, subject) } : null,
		renewed: intent === "renew" ? await newerVersion(db, sittingId, subject) : null,
		putBack: intent === "putBack" ? await removedDish(db, sittingId, subject) : null,
	};
	return doneOrSaid(
		read.typed,
		reading,
		async () => {
			await foundOr404(
				changeOrMerge(store, sittingId, version, who, asked, confirmedIn(read.typed)),
				"sitting",
			);
			return redirect(`/sittings/${sittingId}`);
		},
		() => sittingNames(db, sittingId),
	);
}

/** How often somebody may be quicker before it is said. */
const MERGES = 5;

/**
 * Changes the sitting. A dish added or taken off does not get in the way of what was changed in
 * between, as long as that is something else.
 */
async function changeOrMerge(
	store: Store,
	id: string,
	version: number,
	who: string,
	asked: SittingAsked,
	confirmed: Confirmed | undefined,
): Promise<void> {
	let [from, tried] = [version, asked];
	for (let merged = 0; ; merged += 1) {
		try {
			return await changeSitting(store, id, from, who, (now) => editedSitting(now, tried), confirmed);
		} catch (error) {
			if (!(error instanceof Stale) || asked.intent === "save" || merged === MERGES) throw error;
			const onto = ontoChanged(asked, error.events);
			if (!onto) throw error;
			[from, tried] = [error.version, onto];
		}
	}
}

async function removedDish(db: Reader, sittingId: string, dishId: string): Promise<Removed | null> {
	const sitting = await foundOr404(readSitting(db, sittingId), "sitting");
	const removed = removedDishes(sitting, await lastEvents(db, sitting));
	return removed.find(({ dish }) => dish.id === dishId) ?? null;
}

async function recipeToAdd(db: Reader, recipeId: string): Promise<string> {
	return (await foundOr404(readDish(db, recipeId), "recipe")).id;
}

/** The version in use of a dish that is on the sitting already. */
async function newerVersion(db: Reader, sittingId: string, dishId: string): Promise<string> {
	const sitting = await foundOr404(readSitting(db, sittingId), "sitting");
	const [dish] = await withRecipes(
		db,
		sitting.dishes.filter(({ id }) => id === dishId),
	);
	if (!dish) throw data({ missing: "dish on this sitting" }, { status: 404 });
	return recipeToAdd(db, dish.recipeId);
}

/** @see sentOrKept */
export function clientAction({ serverAction }: Route.ClientActionArgs) {
	return sentOrKept(serverAction);
}

export { revalidateWhenSent as shouldRevalidate } from "../ui/forms/offline.ts";

const Columns = chakra("div", {
	base: {
		display: "grid",
		gap: "12px",
		marginTop: "16px",
		alignItems: "start",
		gridTemplateColumns: { base: "minmax(0,1fr)", lg: "minmax(0, 1fr) 400px" },
	},
});

/** What the dishes want at the same time and the kitchen has not. */
function Missing({ missing, date }: { readonly missing: readonly string[]; readonly date: string }) {
	return (
		<Note>
			<b>▲ Not to be had, with everything that is served that day</b>
			<ul>
				{missing.map((words) => (
					<li key={words}>{words}</li>
				))}
			</ul>
			<Link to={`/day/${date}`}>See where, and what would free it</Link>
		</Note>
	);
}

export default function SittingPage({ loaderData, actionData: result }: Route.ComponentProps) {
	const actionData = isNotSent(result) ? undefined : result;
	const form = useRef<HTMLFormElement>(null);
	const sitting = loaderData;
	const typed = { ...sitting.typed, ...actionData?.typed };
	const wrong = actionData?.wrong ?? {};
	const version = actionData?.stale?.version ?? sitting.version;
	const [typing, setTyping] = useState<{ version: number; sums: TypedSums } | null>(null);
	const sums = typing?.version === sitting.version ? typing.sums : null;
	return (
		<Page>
			<chakra.div display="flex" flexWrap="wrap" alignItems="flex-end" gap="8px 28px">
				<div>
					<h1>
						<Tape size="large">{sitting.name}</Tape>
					</h1>
					<Muted display="block" marginTop="6px">
						<b>{sitting.when}</b> · {sitting.where}
					</Muted>
					{sitting.ownCode ? <p>{sitting.ownCode}</p> : null}
				</div>
				{sitting.dishes.length > 0 ? (
					<chakra.div display="flex" flexWrap="wrap" gap="6px">
						<ActLink to={`/day/${sitting.date}`}>The whole day</ActLink>
						<ActLink to="order" aria-keyshortcuts="o">
							Order sheet <Key aria-hidden>o</Key>
						</ActLink>
					</chakra.div>
				) : null}
				{sitting.first ? (
					<chakra.div
						marginInlineStart="auto"
						maxWidth={{ md: "340px" }}
						textAlign={{ base: "start", md: "end" }}
					>
						<Muted display="block">First to start</Muted>
						<Figure size="large">{sitting.first.clock}</Figure>
						<Muted display="block">
							{sitting.first.task}, {sitting.first.dish}
						</Muted>
					</chakra.div>
				) : null}
			</chakra.div>
			{sitting.calledOff ? (
				<Note marginTop="12px">
					<b>Called off.</b> Nothing of it shows on Today. “Put back on” brings it back as it was.
				</Note>
			) : null}
			{isNotSent(result) ? <NotSentNote {...result} /> : null}
			<FallNote answered={actionData} />
			{actionData?.stale ? (
				<chakra.div marginTop="14px">
					<StaleNote stale={actionData.stale} />
				</chakra.div>
			) : null}
			<Unsaved form={form} saved={result === undefined} />
			<Form
				method="post"
				key={sitting.version}
				preventScrollReset
				ref={form}
				onInput={({ currentTarget }) =>
					setTyping({ version: sitting.version, sums: sumsTyped(new FormData(currentTarget)) })
				}
			>
				<input type="hidden" name="version" value={version} />
				<input type="hidden" name="newId" value={sitting.newId} />
				{/* Enter in a field saves; it never removes or calls off. */}
				<chakra.button name="intent" value="save" srOnly tabIndex={-1} aria-hidden>
					Save
				</chakra.button>
				{sitting.dayLine ? (
					<Sheet marginTop="14px" paddingBlock="6px 10px">
						<DayLine view={sitting.dayLine} />
					</Sheet>
				) : null}
				<Columns>
					<chakra.div display="grid" gap="10px">
						{sitting.removed.map(({ id, says }) => (
							<Note key={id} display="flex" flexWrap="wrap" gap="6px 14px" alignItems="center" role="status">
								<span>{says}</span>
								<Act name="intent" value={`putBack:${id}`}>
									Put it back
								</Act>
							</Note>
						))}
						{sitting.dishes.map((dish) => (
							<DishRow
								key={dish.id}
								sittingId={sitting.id}
								dish={dish}
								typed={typed}
								wrong={wrong}
								asTyped={sums?.portions[dish.id]}
							/>
						))}
						{sitting.dishes.length === 0 ? (
							<Sheet>
								<Title as="h2" fontSize="22px">
									No dish on it yet
								</Title>
								<p>
									Add one from the book. How much to buy, which pans and when it goes in follow from the
									covers.
								</p>
							</Sheet>
						) : (
							<Taken taken={sums?.taken ?? sitting.taken} />
						)}
						{sitting.missing.length > 0 ? <Missing missing={sitting.missing} date={sitting.date} /> : null}
						<Diets diets={sitting.diets} />
						<Sheet display="flex" flexWrap="wrap" gap="12px" alignItems="end">
							<chakra.div flex="1 1 260px">
								<Choice
									label="Another dish"
									name="recipe"
									defaultValue=""
									aria-keyshortcuts="r"
									data-key-name="Choose another dish"
								>
									{sitting.book.map(({ id, name }) => (
										<option key={id} value={id}>
											{name}
										</option>
									))}
								</Choice>
							</chakra.div>
							<Act name="intent" value="add" disabled={sitting.book.length === 0}>
								Add it
							</Act>
						</Sheet>
					</chakra.div>
					<Sheet display="grid" gap="14px">
						<Heading>The sitting</Heading>
						<DetailFields typed={typed} wrong={wrong} codes={sitting.codes} />
						<chakra.div display="flex" flexWrap="wrap" gap="8px 12px" justifyContent="space-between">
							<Act kind="next" name="intent" value="save" aria-keyshortcuts="a">
								Save <Key aria-hidden>a</Key>
							</Act>
							<Act name="intent" value="callOff">
								{sitting.calledOff ? "Put back on" : "Call off"}
							</Act>
						</chakra.div>
					</Sheet>
				</Columns>
			</Form>
			<chakra.p marginTop="12px">
				<Link to="/sittings">All sittings</Link>
			</chakra.p>
		</Page>
	);
}

type SittingData = Route.ComponentProps["loaderData"];

/** Guests of each diet, with the dishes that feed them and what is in the way in the others. */
function Diets({ diets }: Pick<SittingData, "diets">) {
	if (diets.length === 0) return null;
	return (
		<Sheet display="grid" gap="8px">
			<Heading>Guests by diet</Heading>
			<chakra.ul display="grid" gap="8px">
				{diets.map((diet) => (
					<li key={diet.words}>
						<b>{diet.words}</b>:{" "}
						{diet.short > 0 ? <chakra.b>▲ {diet.shortWords}</chakra.b> : <>fed by {diet.suits}</>}
						{diet.not.map((words) => (
							<Muted key={words} display="block">
								{words}
							</Muted>
						))}
					</li>
				))}
			</chakra.ul>
		</Sheet>
	);
}

function Taken({ taken }: { readonly taken: number }) {
	if (taken === 100) return <Muted>The dishes together are taken by all covers.</Muted>;
	const over = taken > 100;
	return (
		<Note>
			<b>The dishes together are taken by {taken} % of the covers.</b>{" "}
			{over
				? "Some guests take two, or an uptake is too high."
				: "The rest eat something else, or an uptake is too low."}
		</Note>
	);
}
