import { chakra } from "@chakra-ui/react/styled-system";
import { Link } from "react-router";
import { onDay } from "#core/time";
import { readSittings, type Sitting, withRecipes } from "#db";
import { ActLink, Figure, Key, Muted, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { Tape } from "../ui/parts/Tape.tsx";
import { visitOf } from "../ui/server/visit.ts";
import { counted } from "../ui/words/reading.ts";
import type { Route } from "./+types/sittings.route";

export const meta: Route.MetaFunction = () => [{ title: "Sittings · Wide Table" }];

/** How far back and ahead the list goes, days. */
const BACK = 90;
const AHEAD = 400;

export async function loader({ context }: Route.LoaderArgs) {
	const { store, reading, house } = await visitOf(context);
	const day = (days: number) => onDay(reading.now, house.timeZone, 0, days);
	const sittings = await readSittings(store.db, day(-BACK), day(AHEAD));
	const rows = await Promise.all(
		sittings.map(async (sitting) => ({
			id: sitting.id,
			name: sitting.name,
			room: sitting.room,
			covers: sitting.covers,
			calledOff: sitting.calledOff,
			day: reading.day(sitting.serviceAt),
			time: reading.clock(sitting.serviceAt).split(" ").at(-1),
			dishes: await dishNames(sitting),
			past: sitting.serviceAt < day(0),
		})),
	);
	return { coming: rows.filter((row) => !row.past), past: rows.filter((row) => row.past).reverse() };

	async function dishNames(sitting: Sitting) {
		return (await withRecipes(store.db, sitting.dishes)).map((dish) => dish.recipe.name);
	}
}

export default function Sittings({ loaderData: { coming, past } }: Route.ComponentProps) {
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
			{past.length > 0 ? (
				<chakra.details marginTop="20px">
					<chakra.summary cursor="pointer" minHeight="44px">
						{counted(past.length, "sitting")} in the last {BACK} days
					</chakra.summary>
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
