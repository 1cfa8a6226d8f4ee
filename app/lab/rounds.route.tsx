import { chakra } from "@chakra-ui/react/styled-system";
import { Type } from "@sinclair/typebox";
import { data, Form, Link, type RouterContextProvider, redirect } from "react-router";
import { oneOf } from "#core/check";
import { rimOf } from "#core/pans";
import { ANSWERS, QUANTITIES, type Question, recordOf } from "#core/training";
import { addTrainingAnswers, readTrainingAnswers } from "#db";
import { BraiseCurve } from "../ui/drawings/BraiseCurve.tsx";
import { readForm } from "../ui/forms/form.ts";
import { PageHead } from "../ui/parts/PageHead.tsx";
import { Act, ActLink, Heading, Key, Muted, Note, Page, Sheet } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { heavily } from "../ui/server/heavily.ts";
import { visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/rounds.route";
import { HeatCut } from "./HeatCut.tsx";
import { elapsed } from "./labWords.ts";
import { answerView, MEANT, questionView, recordView, type Said } from "./rounds.view.ts";

export const meta: Route.MetaFunction = () => [{ title: "Training rounds · Lab" }];

/** Situations in a round. */
const IN_ROUND = 5;
const LARGEST_SEED = 10_000_000;

interface Place {
	readonly seed: number;
	readonly position: number;
}

/** Which situation of which round; both are in the address, so a round can be gone on with. */
function placeOf(request: Request): Place | null {
	const address = new URL(request.url).searchParams;
	const seed = Number(address.get("round"));
	const position = Number(address.get("at") ?? 1);
	const known = Number.isInteger(seed) && seed > 0 && seed <= LARGEST_SEED;
	return known && Number.isInteger(position) && position >= 1 && position <= IN_ROUND
		? { seed, position }
		: null;
}

async function questionAt(
	context: Readonly<RouterContextProvider>,
	request: Request,
	{ seed, position }: Place,
): Promise<Question | undefined> {
	const round = await heavily(context, "trainingRound", { seed, of: IN_ROUND }, request);
	return round[position - 1];
}

/** The round after the last one: rounds that follow each other come to ask every kind. */
function newRound(last: number | undefined): string {
	const seed =
		last === undefined || last >= LARGEST_SEED ? 1 + Math.floor(Math.random() * LARGEST_SEED) : last + 1;
	return `/lab/rounds?round=${seed}&at=1`;
}

export async function loader({ context, request }: Route.LoaderArgs) {
	const { store, reading, who } = await visitOf(context);
	const place = placeOf(request);
	const answered = await readTrainingAnswers(store.db, who);
	const last = answered.at(-1)?.seed;
	if (!place) throw redirect(newRound(last));
	const { seed, position } = place;
	const question = await questionAt(context, request, place);
	if (!question) throw redirect(newRound(last));
	const here = answered.filter((round) => round.seed === seed && round.position === position);
	const said = Object.fromEntries(here.map((round) => [round.quantity, round.said])) as Partial<Said>;
	const isSaid = QUANTITIES.every((quantity) => said[quantity] !== undefined);
	return {
		seed,
		position,
		of: IN_ROUND,
		who,
		units: reading.units,
		question: questionView(question, reading),
		answer: isSaid ? answerView(question, said as Said, reading) : null,
		record: recordView(recordOf(answered)),
		next: position < IN_ROUND ? `/lab/rounds?round=${seed}&at=${position + 1}` : null,
	};
}

const oneAnswer = oneOf(ANSWERS, { allowed: "one of the five answers" });
const AnswersForm = Type.Object({ time: oneAnswer, liquid: oneAnswer, salt: oneAnswer });

export async function action({ context, request }: Route.ActionArgs) {
	const { store, who } = await visitOf(context);
	const form = await formOf(request);
	const place = placeOf(request);
	const question = place ? await questionAt(context, request, place) : undefined;
	if (!place || !question) throw data({ missing: "round" }, { status: 404 });
	const read = readForm(AnswersForm, form);
	if ("wrong" in read) return data(read, { status: 400 });
	const { situation, outcome } = question;
	await addTrainingAnswers(store, {
		who,
		...place,
		judged: QUANTITIES.map((quantity) => ({
			change: situation.change,
			quantity,
			said: read.value[quantity],
			was: outcome.of[quantity].answer,
		})),
	});
	return redirect(`/lab/rounds?round=${place.seed}&at=${place.position}`);
}

const Columns = chakra("div", {
	base: {
		display: "grid",
		gap: "10px",
		alignItems: "start",
		marginTop: "12px",
		gridTemplateColumns: { base: "minmax(0,1fr)", lg: "minmax(0,1fr) 320px" },
	},
});
const Pill = chakra("label", {
	base: {
		display: "inline-flex",
		alignItems: "center",
		gap: "8px",
		minHeight: "44px",
		padding: "6px 14px",
		border: "2px solid",
		borderColor: "edge",
		cursor: "pointer",
		fontSize: "17px",
		"&:has(:checked)": { borderColor: "ink", bg: "place", fontWeight: 650 },
		"&:has(:focus-visible)": { outline: "3px solid", outlineColor: "focus", outlineOffset: "2px" },
	},
});

export default function Rounds({ loaderData, actionData }: Route.ComponentProps) {
	const { seed, position, of: all, question, answer } = loaderData;
	return (
		<Page>
			<PageHead title="Training round" says={`Situation ${position} of ${all}. What will the second pan do?`}>
				<ActLink to="/lab" aria-keyshortcuts="x">
					Back to the lab <Key aria-hidden>x</Key>
				</ActLink>
			</PageHead>
			<Columns>
				<Sheet>
					<p>
						<Muted>The first pan: {question.before}</Muted>
					</p>
					<Heading fontSize="26px" marginBlock="10px 12px">
						{question.change}
					</Heading>
					<BothPans pans={question.pans} />
					{answer ? (
						<Answered answer={answer} loaderData={loaderData} />
					) : (
						<Asked
							key={`${seed} ${position}`}
							question={question}
							wrong={actionData?.wrong ?? {}}
							typed={actionData?.typed ?? {}}
						/>
					)}
				</Sheet>
				<Record loaderData={loaderData} />
			</Columns>
		</Page>
	);
}

type Loaded = Route.ComponentProps["loaderData"];

/** Room for one of the two pans, px; both are in one scale. */
const PAN_PX = 420;
/** A layer of meat before it is heated is as warm as the next. */
const LAYERS = 20;

/** Both pans as they go in, in one scale, before and after it is judged. */
function BothPans({ pans }: { readonly pans: Loaded["question"]["pans"] }) {
	const longest = Math.max(...pans.map(({ lab }) => rimOf(lab.pan).length_mm));
	return (
		<chakra.div
			display="grid"
			gap="14px 24px"
			marginBottom="16px"
			alignItems="end"
			gridTemplateColumns={{ base: "minmax(0,1fr)", md: "repeat(2, minmax(0,1fr))" }}
		>
			{pans.map(({ lab, liquid_l, start, says }, index) => {
				const name = index === 0 ? "The first pan" : "The second pan";
				const share = rimOf(lab.pan).length_mm / longest;
				return (
					<chakra.figure key={name}>
						<chakra.div style={{ width: `${share * 100}%` }}>
							<HeatCut
								lab={lab}
								layers_C={Array.from({ length: LAYERS }, () => start.meat_C)}
								liquid_C={start.liquid_C}
								liquid_l={liquid_l}
								width={PAN_PX * share}
								words={`${name}: ${says}`}
							/>
						</chakra.div>
						<figcaption>
							<b>{name}</b> <Muted>{says}</Muted>
						</figcaption>
					</chakra.figure>
				);
			})}
		</chakra.div>
	);
}

interface AskedProps {
	readonly question: Loaded["question"];
	readonly wrong: Readonly<Record<string, string>>;
	readonly typed: Readonly<Record<string, string>>;
}

function Asked({ question, wrong, typed }: AskedProps) {
	return (
		<Form method="post">
			<chakra.div display="grid" gap="14px">
				{question.asked.map(({ quantity, words, answers }) => (
					<fieldset key={quantity} aria-describedby={wrong[quantity] ? `wrong-${quantity}` : undefined}>
						<chakra.legend fontWeight="650" marginBottom="4px">
							{words}
						</chakra.legend>
						<chakra.div display="flex" flexWrap="wrap" gap="8px">
							{answers.map(({ answer, words: said }) => (
								<Pill key={answer}>
									<input
										type="radio"
										name={quantity}
										value={answer}
										defaultChecked={typed[quantity] === answer}
									/>
									{said}
								</Pill>
							))}
						</chakra.div>
						{wrong[quantity] ? (
							<chakra.span id={`wrong-${quantity}`} fontWeight="650">
								▲ Choose one of the five.
							</chakra.span>
						) : null}
					</fieldset>
				))}
			</chakra.div>
			<Muted display="block" marginBlock="12px">
				{MEANT}
			</Muted>
			<Act kind="next" aria-keyshortcuts="a">
				See what it does <Key aria-hidden>a</Key>
			</Act>
		</Form>
	);
}

interface AnsweredProps {
	readonly answer: NonNullable<Loaded["answer"]>;
	readonly loaderData: Loaded;
}

function Answered({ answer, loaderData: { next, units, question } }: AnsweredProps) {
	return (
		<chakra.div display="grid" gap="16px" aria-live="polite">
			<chakra.dl
				display="grid"
				gap="10px 26px"
				gridTemplateColumns={{ base: "minmax(0,1fr)", md: "repeat(3, minmax(0,1fr))" }}
			>
				{answer.rows.map(({ words, said, was, figures, verdict }) => (
					<chakra.div key={words} borderTop="6px solid" borderColor={verdict === "off" ? "ink" : "steel"}>
						<chakra.dt color="muted" paddingTop="6px">
							{words}
						</chakra.dt>
						<dd>
							<chakra.b display="block" fontFamily="head" fontSize="24px">
								{was}
							</chakra.b>
							{figures}. You said {said}: <b>{verdict}</b>.
						</dd>
					</chakra.div>
				))}
			</chakra.dl>
			<p>{answer.reason}</p>
			<chakra.div display="flex" flexWrap="wrap" gap="10px">
				{next ? (
					<ActLink kind="next" to={next} aria-keyshortcuts="a">
						Next situation <Key aria-hidden>a</Key>
					</ActLink>
				) : (
					<ActLink kind="next" to="/lab/rounds" aria-keyshortcuts="a">
						Another round <Key aria-hidden>a</Key>
					</ActLink>
				)}
				<ActLink to={answer.lab} aria-keyshortcuts="o">
					Both pans in the lab <Key aria-hidden>o</Key>
				</ActLink>
			</chakra.div>
			<chakra.div
				display="grid"
				gap="18px"
				gridTemplateColumns={{ base: "minmax(0,1fr)", md: "repeat(2, minmax(0,1fr))" }}
			>
				{answer.curves.map((curve, index) => (
					<figure key={index === 0 ? "first" : "second"}>
						<figcaption>
							<b>{index === 0 ? "The first pan" : "The second pan"}</b>
						</figcaption>
						<BraiseCurve
							curve={curve}
							units={units}
							words={index === 0 ? `The first pan: ${question.before}` : `The second pan: ${question.change}`}
							clock={elapsed}
							end_min={answer.end_min}
						/>
					</figure>
				))}
			</chakra.div>
		</chakra.div>
	);
}

/** What this cook judges well and badly, so far. */
function Record({ loaderData: { record, who } }: { readonly loaderData: Loaded }) {
	return (
		<Sheet>
			<Heading>Record of {who}</Heading>
			{record.answered === 0 ? (
				<p>
					Nothing judged yet. The record is kept under the name at <Link to="/preferences">this desk</Link>.
				</p>
			) : (
				<>
					<chakra.p marginBottom="10px">{record.all}</chakra.p>
					<chakra.dl display="grid" gap="8px">
						{record.byQuantity.map(({ what, score, share }) => (
							<div key={what}>
								<chakra.dt color="muted">{what}</chakra.dt>
								<dd>
									<chakra.span display="block" height="8px" bg="steel" aria-hidden>
										<chakra.span
											display="block"
											height="100%"
											bg="edge"
											style={{ width: `${share * 100}%` }}
										/>
									</chakra.span>
									{score}
								</dd>
							</div>
						))}
					</chakra.dl>
					<Judged title="Judged well" rows={record.well} none="Nothing yet, or too few asked." />
					<Judged title="Judged badly" rows={record.badly} none="Nothing so far." />
				</>
			)}
			<Note marginTop="12px">
				The answers are the model's, not a log's. A pan in the kitchen has the last word.
			</Note>
		</Sheet>
	);
}

interface JudgedProps {
	readonly title: string;
	readonly rows: readonly { readonly what: string; readonly score: string }[];
	readonly none: string;
}

function Judged({ title, rows, none }: JudgedProps) {
	return (
		<>
			<chakra.h3 fontFamily="head" fontWeight="700" fontSize="18px" marginTop="12px">
				{title}
			</chakra.h3>
			{rows.length === 0 ? <Muted>{none}</Muted> : null}
			<ul>
				{rows.map(({ what, score }) => (
					<li key={what}>
						{what} <Muted>{score}</Muted>
					</li>
				))}
			</ul>
		</>
	);
}
