import { type Plan, startAt } from "#core/plan";
import type { Recipe } from "#core/recipe";
import { durationWords } from "#core/time";
import { ColumnTable } from "../ui/parts/ColumnTable.tsx";
import { Paper, PaperHead, PrintPage } from "../ui/parts/Paper.tsx";
import { counted, percent, type Reading } from "../ui/words/reading.ts";
import type { Route } from "./+types/cutting.route";
import { dishOnPaper } from "./dishOnPaper.server.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Cutting note · ${loaderData.dish}` : "Cutting note" },
];

export async function loader({ context, params }: Route.LoaderArgs) {
	const { row, sitting, reading, house, paper, to } = await dishOnPaper(context, params);
	const { recipe } = row.dish;
	return {
		to,
		dish: recipe.name,
		main: row.plan?.lines.find(({ line }) => line.role === "main")?.ingredient.name ?? "the main",
		about: `${sitting.name} · ${reading.day(sitting.serviceAt)}`,
		house,
		printed: `${reading.day(reading.now)} ${reading.time(reading.now)}`,
		paper,
		by: row.plan ? reading.clock(startAt(row.plan, "trim")) : "",
		figures: row.plan ? figuresOf(recipe, row.plan, reading) : [],
		steps: recipe.steps.filter(({ place }) => place === "trim").map(({ text, check }) => ({ text, check })),
		refused: row.plan ? null : (row.refused ?? ""),
	};
}

/** A piece may be off by this share and is still done with the others. */
const TOLERANCE = 0.1;

function figuresOf(recipe: Recipe, plan: Plan, reading: Reading): { figure: string; label: string }[] {
	const { piece, losses } = recipe;
	const weight = piece.weight_g / 1000;
	const size =
		piece.shape === "block"
			? `${reading.length(piece.length_mm)} × ${reading.length(piece.width_mm)} × ${reading.length(piece.height_mm)}`
			: piece.shape === "ball"
				? `${reading.length(piece.diameter_mm)} across`
				: `${reading.length(piece.length_mm)} long, ${reading.length(piece.diameter_mm)} thick`;
	return [
		{ figure: counted(plan.pieces, "piece"), label: "to be cut" },
		{ figure: reading.mass(weight), label: "each, trimmed" },
		{
			figure: `${reading.mass(weight * (1 - TOLERANCE))} to ${reading.mass(weight * (1 + TOLERANCE))}`,
			label: "is still done with the others",
		},
		{ figure: size, label: "size of a piece" },
		{ figure: reading.mass(plan.chain.asPurchased_kg), label: "out of the delivery" },
		{ figure: reading.mass(plan.chain.trimmed_kg), label: "trimmed, all pieces" },
		{
			figure: `${reading.mass(plan.chain.asPurchased_kg - plan.chain.trimmed_kg)}, ${percent(losses.trimLoss)}`,
			label: "trim and bones, to stock",
		},
		{ figure: durationWords(plan.work.places.trim.handsOn_min), label: "of work for one" },
	];
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
