import { chakra } from "@chakra-ui/react/styled-system";
import { Link } from "react-router";
import { ActLink, Figure, Key, Muted, Note, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { shownAs } from "../ui/parts/shown.ts";
import { Tape } from "../ui/parts/Tape.tsx";
import { heavily } from "../ui/server/heavily.ts";
import { counted } from "../ui/words/reading.ts";
import type { Route } from "./+types/today.route";
import { SittingCard } from "./SittingCard.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Today · Wide Table" }];

export function loader({ context, request }: Route.LoaderArgs) {
	return heavily(context, "today", {}, request);
}

const Columns = chakra("div", {
	base: {
		display: "grid",
		gap: "16px",
		marginTop: "16px",
		gridTemplateColumns: { base: "minmax(0,1fr)", lg: "minmax(0, 8fr) minmax(0, 5fr)" },
		alignItems: "start",
	},
});

export default function Today({ loaderData }: Route.ComponentProps) {
	const { next, days, sittings, begun, today, more, inOvens, passed, held } = loaderData;
	return (
		<Page>
			<chakra.div display="flex" flexWrap="wrap" alignItems="baseline" gap="4px 16px">
				<Title>Today</Title>
				<Muted fontSize="19px">{today}</Muted>
				<ActLink to="/sittings/new" marginInlineStart="auto" aria-keyshortcuts="n">
					Plan a sitting <Key aria-hidden>n</Key>
				</ActLink>
			</chakra.div>
			<Held held={held} />
			{next ? <Next next={next} /> : <Quiet planned={sittings.length > 0} />}
			{passed.map(({ id, words, to }) => (
				<Note key={id} marginTop="10px">
					▲ {words}. <Link to={to}>See what it needs</Link>
				</Note>
			))}
			{inOvens.length > 0 ? (
				<Sheet marginTop="10px">
					<chakra.ul display="grid" gap="4px" fontSize="20px" aria-label="In the ovens now">
						{inOvens.map(({ id, words, out }) => (
							<li key={id}>
								{words}, out at <b>{out}</b>
							</li>
						))}
					</chakra.ul>
				</Sheet>
			) : null}
			<Columns>
				<chakra.div display="grid" gap="10px">
					{days.map((day, index) => (
						<Day key={day.day} {...day} open={index < 2} />
					))}
					{begun ? <Day day="Should have started earlier today" {...begun} open={false} /> : null}
				</chakra.div>
				<chakra.div display="grid" gap="10px">
					{sittings.map((sitting) => (
						<SittingCard key={sitting.id} sitting={sitting} />
					))}
					{more > 0 ? (
						<Note>
							{counted(more, "sitting")} more in the next days: too many to be planned here at once. They
							stand under <Link to="/sittings">Sittings</Link>.
						</Note>
					) : null}
				</chakra.div>
			</Columns>
		</Page>
	);
}

type Loaded = Route.ComponentProps["loaderData"];

function Next({ next }: { readonly next: NonNullable<Loaded["next"]> }) {
	return (
		<chakra.div
			{...(next.isSoon ? { bg: "mahogany", color: "onMahogany" } : { bg: "steel", color: "ink" })}
			marginTop="14px"
			padding={{ base: "14px", md: "16px 22px" }}
			display="flex"
			flexWrap="wrap"
			alignItems="center"
			gap="8px 28px"
		>
			<div>
				<chakra.span display="block">{next.label}</chakra.span>
				<Figure size="giant" {...shownAs({ what: "words", of: next.id, value: next.task })}>
					{next.task}
				</Figure>
				<chakra.span display="block" fontSize="18px">
					{next.dish}, for {next.sitting}
				</chakra.span>
			</div>
			<chakra.div marginInlineStart="auto" display="flex" alignItems="center" gap="20px">
				<Figure size="giant" whiteSpace="nowrap" {...shownAs({ what: "start", of: next.id, value: next.at })}>
					{next.clock}
				</Figure>
				<ActLink to={next.to} kind="plain" aria-keyshortcuts="o">
					Open <Key aria-hidden>o</Key>
				</ActLink>
			</chakra.div>
		</chakra.div>
	);
}

/** The first words of the day: what nobody uses, and what is used today or not at all. */
function Held({ held }: { readonly held: Loaded["held"] }) {
	if (held.length === 0) return null;
	return (
		<Sheet marginTop="10px">
			<chakra.ul display="grid" gap="2px" aria-label="Lots to see to">
				{held.map(({ to, lot, dish, words, isHeld }) => (
					<li key={`${to} ${words}`}>
						{isHeld ? "▲ " : ""}
						<Link to={to}>
							Lot {lot}, {dish}
						</Link>
						, {words}
					</li>
				))}
			</chakra.ul>
		</Sheet>
	);
}

function Quiet({ planned }: { readonly planned: boolean }) {
	return (
		<Sheet marginTop="14px">
			<Figure size="large">
				{planned ? "Nothing more has to start." : "No sitting in the next fortnight."}
			</Figure>
			<p>
				{planned
					? "Everything planned for the coming days has begun or been served."
					: "Plan one, and this page shows what must start when, and how much of it."}
			</p>
		</Sheet>
	);
}

interface DayProps extends Omit<Loaded["days"][number], "day"> {
	readonly day: string;
	readonly open: boolean;
}

function Day({ day, count, first, moments, open }: DayProps) {
	return (
		<Sheet as="details" {...(open ? { open: true } : {})} paddingBlock="6px 10px">
			<summary>
				<chakra.b fontFamily="head" fontSize="20px">
					{day}
				</chakra.b>
				<Muted>
					{count} to start, first {first}
				</Muted>
			</summary>
			<ol>
				{moments.map((moment) => (
					<MomentRow key={moment.time + moment.tasks[0]?.id} moment={moment} />
				))}
			</ol>
		</Sheet>
	);
}

const Row = chakra("li", {
	base: {
		display: "grid",
		gridTemplateColumns: "58px minmax(0,1fr)",
		gap: "2px 12px",
		alignItems: "baseline",
		paddingBlock: "8px",
		borderTop: "1px solid",
		borderColor: "hair",
	},
});

/** What starts at one time, each with its place. */
function MomentRow({ moment }: { readonly moment: Loaded["days"][number]["moments"][number] }) {
	return (
		<Row>
			<chakra.b fontFamily="head" fontSize="19px">
				{moment.tasks[0] ? (
					<span {...shownAs({ what: "start", of: moment.tasks[0].id, value: moment.tasks[0].at })}>
						{moment.time}
					</span>
				) : null}
			</chakra.b>
			<chakra.ul display="grid" gap="6px">
				{moment.tasks.map((task) => (
					<chakra.li
						key={task.id}
						display="grid"
						gridTemplateColumns={{ base: "minmax(0,1fr)", md: "104px minmax(0,1fr)" }}
						gap="2px 12px"
						alignItems="baseline"
					>
						<chakra.span hideBelow="md">
							<Tape>{task.place}</Tape>
						</chakra.span>
						<span>
							<Link to={task.to}>
								<b {...shownAs({ what: "words", of: task.id, value: task.task })}>{task.task}</b>
							</Link>{" "}
							<Muted>
								{task.dish} · {task.sitting}
							</Muted>
						</span>
					</chakra.li>
				))}
			</chakra.ul>
		</Row>
	);
}
