import { type Column, ColumnTable } from "../ui/parts/ColumnTable.tsx";
import { LetterKey, LONG_LIST, Paper, PaperHead, SinceNumber } from "../ui/parts/Paper.tsx";
import { shownAs } from "../ui/parts/shown.ts";
import type { DaySheet } from "./paperPages.ts";
import type { MoveView } from "./replan.view.ts";
import type { SheetRow } from "./sheetRows.ts";

/** Dishes by their letter, which stands with its name at the head. */
const COLUMNS: readonly Column<SheetRow>[] = [
	{
		words: "From",
		number: true,
		width: "11%",
		cell: ({ clock, id, from }) => <b {...shownAs({ what: "start", of: id, value: from })}>{clock}</b>,
	},
	{ words: "Until", number: true, width: "11%", cell: ({ until }) => until },
	{
		words: "What",
		width: "46%",
		cell: ({ what, dish, tag, amount }) => (
			<>
				☐ <b>{what}</b> {tag === "" ? dish : <b>{tag}</b>} <b>{amount}</b>
			</>
		),
	},
	{
		words: "With, and what to look for",
		cell: ({ id, where, check }) => (
			<>
				<span {...shownAs({ what: "words", of: id, value: where })}>{where}</span>
				{where && check ? <br /> : null}
				<i>{check}</i>
			</>
		),
	},
];
const MOVES: readonly Column<MoveView>[] = [
	{ words: "What", width: "34%", cell: ({ what }) => <b>{what}</b> },
	{ words: "Now", cell: ({ is }) => is },
	{ words: "Was", cell: ({ was }) => was },
	{ words: "Because", cell: ({ why }) => why },
];

/** The day sheet: everybody's list by the clock, with the number it was issued under and what moved since. */
export function DayPaper({ view }: { readonly view: DaySheet }) {
	const lists = [
		...view.people.map(({ id, name, rows }) => ({ id, name, rows })),
		{ id: "nobody", name: "Whoever is nearest", rows: view.nobodys },
	].filter(({ rows }) => rows.length > 0);
	return (
		<Paper _print={LONG_LIST}>
			<PaperHead
				title={`Day sheet, ${view.title}`}
				lines={[view.services.join(" · "), `${view.house}, printed ${view.printed}`]}
				figure={
					view.number === null
						? { label: "not issued", words: "draft" }
						: { label: `issued by ${view.issued}`, words: `No. ${view.number}` }
				}
			/>
			<SinceNumber words={view.since} />
			<LetterKey dishes={view.dishes} />
			{view.unmet.map(({ id, names, because, frees }) => (
				<p key={id}>
					▲ <b>{because}</b>, for {names.join("; ")}. To free it: {frees}.
				</p>
			))}
			{view.differs.length > 0 ? (
				<section>
					<h2>Another than in No. {view.number}</h2>
					<ColumnTable columns={MOVES} rows={view.differs} keyOf={({ id }) => id} onPaper />
				</section>
			) : null}
			{lists.map(({ id, name, rows }) => (
				<section key={id}>
					<h2>{name}</h2>
					<ColumnTable columns={COLUMNS} rows={rows} keyOf={(row) => row.id} onPaper />
				</section>
			))}
		</Paper>
	);
}
