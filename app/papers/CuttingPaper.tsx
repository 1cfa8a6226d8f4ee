import { ColumnTable } from "../ui/parts/ColumnTable.tsx";
import { GuestNotes, Paper, PaperHead, SinceNumber } from "../ui/parts/Paper.tsx";
import { shownAs } from "../ui/parts/shown.ts";
import type { cuttingPage } from "./paperPages.ts";

/** What the butcher, or whoever cuts, is told of one dish. */
export function CuttingPaper({ view }: { readonly view: Awaited<ReturnType<typeof cuttingPage>> }) {
	return (
		<Paper fontSize={{ base: "16px", sm: "20px" }} _print={{ fontSize: "15pt" }}>
			<PaperHead
				title={`Cutting note, ${view.main}`}
				lines={[`${view.dish} · ${view.about}`, `${view.house}, printed ${view.printed}`]}
				{...(view.by ? { figure: { label: "start by", words: view.by } } : {})}
			/>
			<SinceNumber words={view.since} />
			<GuestNotes note={view.note} />
			{view.refused === null ? null : <p>There is no plan for this: {view.refused}</p>}
			<ColumnTable
				columns={[
					{ words: "Figure", cell: ({ figure, shown }) => <b {...shownAs(shown)}>{figure}</b> },
					{ words: "What", cell: ({ label }) => label },
				]}
				rows={view.figures}
				keyOf={({ label }) => label}
				onPaper
				headless
			/>
			<h2>How</h2>
			<ol>
				{view.steps.map(({ text, check }) => (
					<li key={text}>
						{text} {check ? <b>{check}</b> : null}
					</li>
				))}
			</ol>
			<p>Weigh the trim and the bones and write it down: ________</p>
		</Paper>
	);
}
