import { chakra } from "@chakra-ui/react/styled-system";
import { partition } from "es-toolkit";
import { Link } from "react-router";
import { onDay } from "#core/time";
import { readSittings, type Sitting, withRecipes } from "#db";
import { Pages } from "../ui/parts/Pages.tsx";
import { ActLink, Figure, Key, Muted, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { Tape } from "../ui/parts/Tape.tsx";
import { visitOf } from "../ui/server/visit.ts";
import { pageIn } from "../ui/words/paging.ts";
import { counted } from "../ui/words/reading.ts";
import type { Route } from "./+types/sittings.route";

export const meta: Route.MetaFunction = () => [{ title: "Sittings · Wide Table" }];

/** How far back and ahead the list goes, days. */
const BACK = 90;
const AHEAD = 400;

/** Sittings on one page, and how many of the past ones are shown. */
const PAGE = 40;

export async function loader({ context, request }: Route.LoaderArgs) {
	const { store, reading, house } = await visitOf(context);
	const day = (days: number) => onDay(reading.now, house.timeZone, 0, days);
	const [past, coming] = partition(
		await readSittings(store.db, day(-BACK), day(AHEAD)),
		({ serviceAt }) => serviceAt < day(0),
	);
	const pages = pageIn(new URL(request.url).searchParams, coming.length, PAGE);
	return {
		pages,
		coming: await Promise.all(coming.slice(pages.from, pages.to).map(row)),
		pastCount: past.length,
		past: await Promise.all(past.reverse().slice(0, PAGE).map(row)),
	};

	async function row(sitting: Sitting) {
		const dishes = await withRecipes(store.db, sitting.dishes);
		return {
			id: sitting.id,
			name: sitting.name,
			room: sitting.room,
			covers: sitting.covers,
			calledOff: sitting.calledOff,
			day: reading.day(sitting.serviceAt),
			time: reading.clock(sitting.serviceAt).split(" ").at(-1),
			dishes: dishes.map((dish) => dish.recipe.name),
		};
	}
}

export default function Sittings({ loaderData: { pages, coming, pastCount, past } }: Route.ComponentProps) {
	return (
		<Page>
			<chakra.div
				display="flex"
				alignItems="center"
				justifyContent="space-between"
				gap="12px"
				flexWrap="wrap"
			>
				<Title>Sittings</Title>
				<ActLink to="/sittings/new" kind="next" aria-keyshortcuts="n">
					Plan a sitting <Key aria-hidden>n</Key>
				</ActLink>
			</chakra.div>
			<chakra.ul display="grid" gap="10px" marginTop="16px">
				{coming.map((sitting) => (
					<Row key={sitting.id} sitting={sitting} />
				))}
			</chakra.ul>
			{coming.length === 0 ? (
				<Sheet marginTop="10px">
					<p>Nothing is planned. A sitting is one service: its date, its time and how many covers.</p>
				</Sheet>
			) : null}
			<Pages {...pages} />
			{past.length > 0 ? (
				<chakra.details marginTop="20px">
					<summary>
						{counted(pastCount, "sitting")} in the last {BACK} days
						{past.length < pastCount ? `, the last ${past.length} of them here` : ""}
					</summary>
					<chakra.ul display="grid" gap="10px">
						{past.map((sitting) => (
							<Row key={sitting.id} sitting={sitting} />
						))}
					</chakra.ul>
				</chakra.details>
			) : null}
		</Page>
	);
}

const Card = chakra("li", {
	base: {
		bg: "sheet",
		padding: "14px 20px",
		display: "grid",
		gap: "4px 24px",
		alignItems: "center",
		gridTemplateColumns: { base: "minmax(0,1fr)", md: "150px minmax(0,1fr) auto" },
	},
});

function Row({ sitting }: { readonly sitting: Route.ComponentProps["loaderData"]["coming"][number] }) {
	return (
		<Card>
			<div>
				<Figure size="large" display="block">
					{sitting.time}
				</Figure>
				<Muted>{sitting.day}</Muted>
			</div>
			<div>
				<Link to={`/sittings/${sitting.id}`} style={{ textDecoration: "none" }}>
					<Tape>{sitting.name}</Tape>
				</Link>
				<chakra.p marginTop="4px">
					{sitting.dishes.length > 0 ? sitting.dishes.join(" · ") : "No dish on it yet."}
				</chakra.p>
				{sitting.calledOff ? <b>Called off</b> : null}
			</div>
			<div>
				<Figure size="medium">{sitting.covers}</Figure> <Muted>covers, {sitting.room}</Muted>
			</div>
		</Card>
	);
}
