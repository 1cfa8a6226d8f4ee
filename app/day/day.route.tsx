import { chakra } from "@chakra-ui/react/styled-system";
import { memo, useState } from "react";
import { data, Form, Link, redirect, useNavigate } from "react-router";
import { refuse } from "#core/check";
import { clockTime, fromWallClock } from "#core/time";
import { takeDayChangeBack } from "#db";
import { Field, Slot } from "../ui/forms/Field.tsx";
import { typedIn } from "../ui/forms/form.ts";
import { type Column, ColumnTable } from "../ui/parts/ColumnTable.tsx";
import { PageHead } from "../ui/parts/PageHead.tsx";
import { Act, ActLink, Figure, Heading, Muted, Note, Page, Sheet } from "../ui/parts/parts.tsx";
import { shownAs } from "../ui/parts/shown.ts";
import { Tape } from "../ui/parts/Tape.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { heavily } from "../ui/server/heavily.ts";
import { doneOrSaid } from "../ui/server/said.server.ts";
import { foundOr404, visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/day.route";
import type { DayView } from "./day.view.ts";
import { keepTrial } from "./keepTrial.server.ts";
import { pinOf } from "./lift.ts";
import { OvenWall } from "./OvenWall.tsx";
import { TellSheet, ToldSheet, TrialSheet } from "./ReplanSheets.tsx";
import type { ReplanView } from "./replan.view.ts";
import type { SheetRow } from "./sheetRows.ts";
import { TimeStrip } from "./TimeStrip.tsx";
import { readTold, readTrialChanges, trialAddress, withChange } from "./tell.ts";
import { UnmetSheet } from "./UnmetSheet.tsx";
import { type Lift, useLift } from "./useLift.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `${loaderData.title} · Wide Table` : "The day · Wide Table" },
];

export async function loader({ context, params: { date }, request }: Route.LoaderArgs) {
	const { search, searchParams } = new URL(request.url);
	if (searchParams.has("tell")) {
		// What was typed well is on trial from now on, and stands in the address as such.
		const { house } = await visitOf(context);
		const told = readTold(searchParams, date, house.timeZone);
		const { changes } = readTrialChanges(searchParams.getAll("change"));
		if (told && "change" in told) throw redirect(trialAddress(date, withChange(changes, told.change)));
	}
	const page = await heavily(context, "day", { date, search }, request);
	if (!page) throw data({ missing: "day" }, { status: 404 });
	return page;
}

/** Keeps what is on trial, takes back what was told, or issues the day. */
export async function action({ context, params: { date }, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	if (fromWallClock(date, "12:00", visit.house.timeZone) === undefined) {
		throw data({ missing: "day" }, { status: 404 });
	}
	const form = await formOf(request);
	const typed = typedIn(form);
	return doneOrSaid(typed, visit.reading, async () => {
		if (typed.intent === "issue") {
			const number = await heavily(context, "issueTheDay", { date }, request);
			if (number === null) throw data({ missing: "day" }, { status: 404 });
		} else if (typed.intent === "takeBack") {
			const id = /^\d{1,15}$/.test(typed.id ?? "") ? Number(typed.id) : 0;
			await foundOr404(takeDayChangeBack(visit.store, visit.who, date, id), "change");
		} else if (typed.intent === "take") {
			await keepTrial(visit, date, form.getAll("change").map(String));
		} else throw refuse("intent", "nothing of the day is asked for; take, takeBack or issue is allowed");
		return redirect(`/day/${date}`);
	});
}

const Columns = chakra("div", {
	base: {
		display: "grid",
		gap: "16px",
		marginTop: "16px",
		gridTemplateColumns: { base: "minmax(0,1fr)", md: "repeat(auto-fill, minmax(380px, 1fr))" },
		alignItems: "start",
	},
});

export default function DayRoute({
	loaderData: { title, before, after, view, replan, mark, refused },
	actionData,
}: Route.ComponentProps) {
	return (
		<Page>
			<PageHead title={title}>
				<chakra.span display="inline-flex" flexWrap="wrap" gap="8px">
					{view ? (
						<>
							<ActLink to={`/day/${view.date}/day.csv`} reloadDocument kind="quiet">
								As a table
							</ActLink>
							<ActLink to={`/day/${view.date}/day.json`} reloadDocument kind="quiet">
								As JSON
							</ActLink>
							<ActLink to={`/day/${view.date}/day.ics`} reloadDocument kind="quiet">
								Calendar
							</ActLink>
						</>
					) : null}
					{before ? <ActLink to={before.to}>{before.words}</ActLink> : null}
					{after ? <ActLink to={after.to}>{after.words}</ActLink> : null}
				</chakra.span>
			</PageHead>
			{refused.map(({ dish, why }) => (
				<Note key={dish} marginTop="12px">
					▲ {dish} is not planned: {why}
				</Note>
			))}
			{Object.entries(actionData?.wrong ?? {}).map(([field, words]) => (
				<Note key={field} marginTop="12px">
					▲ {words}
				</Note>
			))}
			{replan ? <TrialSheet replan={replan} /> : null}
			{view && replan ? (
				<>
					<Whole key={view.date} view={view} replan={replan} />
					<MarkSheet mark={mark} />
				</>
			) : (
				<Sheet marginTop="14px">
					<p>Nothing is served on this day.</p>
				</Sheet>
			)}
		</Page>
	);
}

/** A paper in the hand, held against the day by its mark. */
function MarkSheet({ mark }: { readonly mark: Route.ComponentProps["loaderData"]["mark"] }) {
	return (
		<Form method="get" preventScrollReset>
			<chakra.div display="flex" flexWrap="wrap" gap="10px 14px" alignItems="end" marginTop="12px">
				<Slot width="180px">
					<Field label="Mark on a paper" name="mark" defaultValue={mark?.typed ?? ""} />
				</Slot>
				<Act>Is it still true?</Act>
				{mark ? (
					<chakra.p role="status" fontWeight="650" paddingBottom="10px">
						{mark.says}
					</chakra.p>
				) : null}
			</chakra.div>
		</Form>
	);
}

function Whole({ view, replan }: { readonly view: DayView; readonly replan: ReplanView }) {
	const [at, setAt] = useState(view.begins);
	const navigate = useNavigate();
	const clock = clockTime(at, view);
	const lift = useLift(view, (held) => {
		const home = view.ovens.find(({ stands }) => stands.some(({ id }) => id === held.lifted.id));
		const stand = home?.stands.find(({ id }) => id === held.lifted.id);
		const pin = pinOf(held, stand, home?.id ?? "");
		const { changes } = readTrialChanges(replan.trial?.changes ?? []);
		if (pin) navigate(trialAddress(view.date, withChange(changes, pin)), { preventScrollReset: true });
	});
	return (
		<>
			<Sheet marginTop="14px">
				<chakra.div display="flex" flexWrap="wrap" gap="20px 40px">
					<OvenWall ovens={view.ovens} onFloor={view.onFloor} at={at} lift={lift} />
					<Moment view={view} at={at} clock={clock} />
				</chakra.div>
				<chakra.div marginTop="14px" marginInline={{ base: "-14px", md: 0 }}>
					<TimeStrip view={view} at={at} clock={clock} onMove={setAt} lift={lift} />
				</chakra.div>
			</Sheet>
			<Price lift={lift} />
			<Lists view={view} replan={replan} />
		</>
	);
}

/** All that stands still while the cursor or pans move. */
const Lists = memo(function Lists({ view, replan }: { readonly view: DayView; readonly replan: ReplanView }) {
	return (
		<>
			<UnmetSheet view={view} onTrial={replan.trial !== null} />
			<chakra.div
				display="grid"
				gap="16px"
				marginTop="16px"
				alignItems="start"
				gridTemplateColumns={{ base: "minmax(0,1fr)", lg: "minmax(0,1fr) minmax(0,2fr)" }}
			>
				<ToldSheet replan={replan} date={view.date} />
				<TellSheet replan={replan} />
			</chakra.div>
			<Columns>
				{view.people.map(({ id, name, rows }) => (
					<Sheet key={id}>
						<Heading>{name}</Heading>
						<Rows rows={rows} />
					</Sheet>
				))}
				{view.nobodys.length > 0 ? (
					<Sheet>
						<Heading>Whoever is nearest</Heading>
						<Rows rows={view.nobodys} />
					</Sheet>
				) : null}
				{view.earlier.length > 0 ? (
					<Sheet>
						<Heading>On the days before</Heading>
						<Rows rows={view.earlier} dated />
					</Sheet>
				) : null}
			</Columns>
		</>
	);
});

const Held = chakra("div", {
	base: {
		bg: "ink",
		color: "sheet",
		padding: "12px 18px",
		fontSize: "20px",
		"&[hidden]": { display: "none" },
		"& small": { fontSize: "16px" },
	},
});

/** What it would cost where it is held, before it is put down. */
function Price({ lift: { view } }: { readonly lift: Lift }) {
	return (
		<chakra.div aria-live="polite" position="sticky" bottom={0} zIndex={2}>
			<Held hidden={view === null}>
				<p>{view?.words}</p>
				{view?.breaks.map((words) => (
					<p key={words}>▲ {words}</p>
				))}
				<small>Let go, or Enter, puts it there on trial. Escape puts it back.</small>
			</Held>
		</chakra.div>
	);
}

/** What happens at the moment that is looked at, and next. */
function Moment({
	view,
	at,
	clock,
}: {
	readonly view: DayView;
	readonly at: number;
	readonly clock: string;
}) {
	const next = view.ovens
		.flatMap((oven) =>
			oven.stands.flatMap(({ id, tag, from, to, inAt, out }) => [
				{ id: `${id} in`, at: from, words: `${tag} into the ${oven.name}`, clock: inAt },
				{ id: `${id} out`, at: to, words: `${tag} out of the ${oven.name}`, clock: out },
			]),
		)
		.filter((event) => event.at > at)
		.sort((a, b) => a.at - b.at)
		.filter(({ words, at: when }, index, all) => {
			return all.findIndex((other) => other.words === words && other.at === when) === index;
		})
		.slice(0, NEXT_SHOWN);
	return (
		<chakra.div flex="1 1 280px" minWidth={0} display="grid" gap="14px" alignContent="start">
			<div>
				<Muted>At</Muted>
				<Figure size="giant" display="block">
					{clock}
				</Figure>
			</div>
			<chakra.ul display="grid" gap="6px" fontSize="20px" aria-label="Next in and out">
				{next.map(({ id, words, clock: when }) => (
					<li key={id}>
						<b>{when}</b> {words}
					</li>
				))}
				{next.length === 0 ? <li>Nothing more goes in or comes out.</li> : null}
			</chakra.ul>
			<chakra.ul display="grid" gap="6px">
				{view.dishes.map(({ tag, name, href }) => (
					<li key={tag}>
						<Tape>{tag}</Tape> <Link to={href}>{name}</Link>
					</li>
				))}
			</chakra.ul>
			<p>{view.bound}</p>
		</chakra.div>
	);
}

const NEXT_SHOWN = 4;

const COLUMNS: readonly Column<SheetRow>[] = [
	{
		words: "From",
		number: true,
		wrap: "never",
		cell: ({ clock, id, from }) => <b {...shownAs({ what: "start", of: id, value: from })}>{clock}</b>,
	},
	{ words: "Until", number: true, wrap: "never", cell: ({ until }) => until },
	{
		words: "What",
		cell: ({ id, what, dish, amount, where }) => (
			<>
				<b>{what}</b> {dish} <b>{amount}</b>
				{where === "" ? null : (
					<chakra.span display="block" color="muted" {...shownAs({ what: "words", of: id, value: where })}>
						{where}
					</chakra.span>
				)}
			</>
		),
	},
];

const DATED: readonly Column<SheetRow>[] = [
	{ words: "Day", wrap: "never", cell: ({ day }) => <b>{day}</b> },
	...COLUMNS,
];

function Rows({ rows, dated = false }: { readonly rows: readonly SheetRow[]; readonly dated?: boolean }) {
	return <ColumnTable columns={dated ? DATED : COLUMNS} rows={rows} keyOf={({ id }) => id} />;
}
