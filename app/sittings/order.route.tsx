import type { OrderRow } from "#core/plan";
import { wallClock } from "#core/time";
import { type Column, ColumnTable } from "../ui/parts/ColumnTable.tsx";
import { Paper, PaperHead, PrintPage } from "../ui/parts/Paper.tsx";
import { ActLink, Note } from "../ui/parts/parts.tsx";
import { visitOf } from "../ui/server/visit.ts";
import { counted, money, type Reading } from "../ui/words/reading.ts";
import type { Route } from "./+types/order.route";
import { orderFor } from "./order.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Order sheet · ${loaderData.name}` : "Order sheet" },
];

export async function loader({ context, params }: Route.LoaderArgs) {
	const visit = await visitOf(context);
	const order = await orderFor(visit, params.sittingId);
	const { sitting, groups } = order;
	const reading = visit.reading.towards(sitting.serviceAt);
	const { currency } = visit.house;
	return {
		id: sitting.id,
		name: sitting.name,
		about: `${sitting.room ? `${sitting.room} · ` : ""}${reading.day(sitting.serviceAt)} ${wallClock(sitting.serviceAt, reading.timeZone).time} · ${counted(sitting.covers, "cover")}`,
		house: visit.house.name,
		printed: `${reading.day(reading.now)} ${reading.time(reading.now)}`,
		orderBy: order.orderBy === null ? null : reading.clock(order.orderBy),
		paper: visit.preferences.paper,
		without: order.without,
		store: order.store.map((row) => rowView(row, reading, currency)),
		groups: groups.map(({ name, rows }) => ({
			name,
			rows: rows.map((row) => rowView(row, reading, currency)),
			total: totalOf(rows, currency),
		})),
	};
}

function rowView(row: OrderRow, reading: Reading, currency: string) {
	const { ingredient, packs, pack_kg, pieces } = row;
	const byPiece = row.asPurchased_kg === 0 && pieces > 0;
	return {
		name: ingredient.name,
		needed: byPiece ? counted(pieces, "piece") : reading.mass(row.asPurchased_kg),
		order: byPiece
			? counted(pieces, "piece")
			: packs === null || pack_kg === null
				? reading.mass(row.order_kg)
				: `${packs} × ${reading.mass(pack_kg)}`,
		cost: row.cost_minor === null ? "no price" : money(row.cost_minor, currency),
		dishes: row.dishes.join("; "),
	};
}

/** The sum of a supplier's rows, or that some have no price. */
function totalOf(rows: readonly OrderRow[], currency: string): string {
	const known = rows.reduce((sum, { cost_minor }) => sum + (cost_minor ?? 0), 0);
	const gaps = rows.filter(({ cost_minor }) => cost_minor === null).length;
	return gaps === 0 ? money(known, currency) : `${money(known, currency)} and ${gaps} without a price`;
}

type Row = Route.ComponentProps["loaderData"]["groups"][number]["rows"][number];

const COLUMNS: readonly Column<Row>[] = [
	{
		words: "What",
		width: "30%",
		cell: ({ name }) => (
			<>
				☐ <b>{name}</b>
			</>
		),
	},
	{ words: "Needed", number: true, cell: ({ needed }) => needed },
	{ words: "Order", number: true, cell: ({ order }) => <b>{order}</b> },
	{ words: "Costs", number: true, cell: ({ cost }) => cost },
	{ words: "For", width: "30%", cell: ({ dishes }) => dishes },
];

const FROM_STORE = COLUMNS.filter(({ words }) => words !== "Order");

export default function OrderSheet({ loaderData: view }: Route.ComponentProps) {
	const here = `/sittings/${view.id}/order`;
	return (
		<PrintPage
			paper={view.paper}
			back={{ to: `/sittings/${view.id}`, words: "Back to the sitting" }}
			here={here}
			also={
				<ActLink to={`${here}.xlsx`} reloadDocument>
					As a spreadsheet
				</ActLink>
			}
		>
			<Paper>
				<PaperHead
					title={`Order sheet, ${view.name}`}
					lines={[view.about, `${view.house}, printed ${view.printed}`]}
					{...(view.orderBy ? { figure: { label: "order by", words: view.orderBy } } : {})}
				/>
				{view.without.length > 0 ? (
					<Note>▲ Without a plan, so nothing of it is ordered here: {view.without.join(", ")}.</Note>
				) : null}
				{view.groups.length === 0 && view.store.length === 0 ? (
					<p>Nothing to order: there is no dish on the sitting.</p>
				) : null}
				{view.groups.map(({ name, rows, total }) => (
					<section key={name}>
						<h2>
							{name}, {total}
						</h2>
						<ColumnTable columns={COLUMNS} rows={rows} keyOf={(row) => row.name} onPaper />
					</section>
				))}
				{view.store.length > 0 ? (
					<section>
						<h2>From the store: less than a quarter of a pack of each, nothing to order</h2>
						<ColumnTable columns={FROM_STORE} rows={view.store} keyOf={(row) => row.name} onPaper />
					</section>
				) : null}
			</Paper>
		</PrintPage>
	);
}
