import { chakra } from "@chakra-ui/react/styled-system";
import { upperFirst } from "es-toolkit";
import { type Column, ColumnTable } from "../ui/parts/ColumnTable.tsx";
import { GuestNotes, LetterKey, LONG_LIST, Paper, PaperHead, SinceNumber } from "../ui/parts/Paper.tsx";
import { Note } from "../ui/parts/parts.tsx";
import { shownAs } from "../ui/parts/shown.ts";
import type { orderPage } from "./orderPage.ts";

type OrderView = Awaited<ReturnType<typeof orderPage>>;
type Row = OrderView["groups"][number]["rows"][number];

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
	{ words: "For", width: "20%", cell: ({ dishes }) => dishes },
];

const FROM_STORE = COLUMNS.filter(({ words }) => words !== "Order");

/** What is to be ordered for a sitting. */
export function OrderPaper({ view }: { readonly view: OrderView }) {
	return (
		<Paper _print={LONG_LIST}>
			<PaperHead
				title={`Order sheet, ${view.name}`}
				lines={[view.about, `${view.house}, printed ${view.printed}`]}
				{...(view.orderBy ? { figure: { label: "order by", words: view.orderBy } } : {})}
			/>
			{view.together.length > 0 ? <p>With {view.together.join(", ")}, in one delivery.</p> : null}
			<SinceNumber words={view.since} />
			<GuestNotes note={view.note} />
			<LetterKey dishes={view.dishes} />
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
			{view.butcher.length > 0 ? (
				<section>
					<h2>To the butcher</h2>
					{view.butcher.map(({ name, total, cuts }) => (
						<chakra.div key={name} marginTop="2mm">
							<b>
								{upperFirst(name)}: {total}
							</b>
							<ul>
								{cuts.map(({ dish, needed, cut, how }) => (
									<li key={dish}>
										<b {...shownAs(needed.shown)}>{needed.words}</b> needed,{" "}
										<b {...shownAs(cut.shown)}>{cut.words}</b> cut, {dish}: {how.join("; ")}.
									</li>
								))}
							</ul>
						</chakra.div>
					))}
				</section>
			) : null}
			{view.left.length > 0 ? (
				<section>
					<h2>Of the day's own trim and bones</h2>
					<ul>
						{view.left.map((words) => (
							<li key={words}>{words}</li>
						))}
					</ul>
				</section>
			) : null}
			{view.here.length > 0 ? (
				<section>
					<h2>Here already: nothing to order</h2>
					<ColumnTable columns={FROM_STORE} rows={view.here} keyOf={(row) => row.name} onPaper />
				</section>
			) : null}
			{view.store.length > 0 ? (
				<section>
					<h2>From the store: less than a quarter of a pack of each, nothing to order</h2>
					<chakra.div _print={{ columnCount: 2, columnGap: "8mm" }}>
						<ColumnTable columns={FROM_STORE} rows={view.store} keyOf={(row) => row.name} onPaper />
					</chakra.div>
				</section>
			) : null}
			{view.groups.length > 0 ? (
				<chakra.p marginTop="4mm" fontSize="1.2em">
					<b>All together {view.total}</b>
					{view.aCover ? `, ${view.aCover}` : ""}
				</chakra.p>
			) : null}
		</Paper>
	);
}
