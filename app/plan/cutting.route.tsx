import { ColumnTable } from "../ui/parts/ColumnTable.tsx";
import { GuestNotes, Paper, PaperHead, PrintPage } from "../ui/parts/Paper.tsx";
import { heavily } from "../ui/server/heavily.ts";
import type { Route } from "./+types/cutting.route";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Cutting note · ${loaderData.dish}` : "Cutting note" },
];

export function loader({ context, params, request }: Route.LoaderArgs) {
	return heavily(context, "cutting", params, request);
}

export default function CuttingNote({ loaderData: view }: Route.ComponentProps) {
	return (
		<PrintPage
			paper={view.paper}
			back={{ to: view.to, words: "Back to the long table" }}
			here={`${view.to}/cutting`}
		>
			<Paper fontSize={{ base: "16px", sm: "20px" }} _print={{ fontSize: "15pt" }}>
				<PaperHead
					title={`Cutting note, ${view.main}`}
					lines={[`${view.dish} · ${view.about}`, `${view.house}, printed ${view.printed}`]}
					{...(view.by ? { figure: { label: "start by", words: view.by } } : {})}
				/>
				<GuestNotes note={view.note} />
				{view.refused === null ? null : <p>There is no plan for this: {view.refused}</p>}
				<ColumnTable
					columns={[
						{ words: "Figure", cell: ({ figure }) => <b>{figure}</b> },
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
		</PrintPage>
	);
}
