import { chakra } from "@chakra-ui/react/styled-system";
import { data, Form, redirect } from "react-router";
import { Refusal } from "#core/check";
import { measuresOf } from "#core/quantity";
import { applyImport, dropStage, freeRecipeId, readStage, saveDraft } from "#db";
import { type Column, ColumnTable } from "../ui/parts/ColumnTable.tsx";
import { Facts } from "../ui/parts/Facts.tsx";
import { Act, ActLink, Heading, Key, Muted, Note, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { foundOr404, type HouseVisit, visitOf } from "../ui/server/visit.ts";
import { counted } from "../ui/words/reading.ts";
import type { Route } from "./+types/importPreview.route";
import { changeField } from "./draftEdits.ts";
import { planOfStage, planView, signatureOf, type Understood, understand } from "./importView.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: `${loaderData?.name ?? "A file"}, to be taken in · Book` },
];

export async function loader({ context, params }: Route.LoaderArgs) {
	const { store } = await visitOf(context);
	const stage = await foundOr404(readStage(store.db, params.stageId), "file that is held");
	const understood = await understand(store.db, stage);
	return { id: stage.id, name: stage.name, ...viewOf(understood) };
}

function viewOf(understood: Understood) {
	switch (understood.kind) {
		case "none":
			return { kind: understood.kind, why: understood.why, plan: null, drafts: [], refused: [] };
		case "drafts":
			return {
				kind: understood.kind,
				why: null,
				plan: null,
				refused: understood.refused,
				drafts: understood.drafts.map(({ name, draft, notCarried }) => ({
					name,
					lines: draft.lines.length,
					steps: draft.steps.length,
					notCarried,
				})),
			};
		case "book":
			return { kind: understood.kind, why: null, plan: planView(understood.plan), drafts: [], refused: [] };
	}
}

export async function action({ context, params, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	const form = await formOf(request);
	if (form.get("intent") === "drop") {
		await dropStage(visit.store, params.stageId);
		return redirect("/book/exchange");
	}
	return take(visit, params.stageId, String(form.get("signature") ?? ""));
}

/** Thrown out of the transaction when the book has changed since the plan was looked at. */
class OtherPlan extends Error {}

async function take({ store, who, reading }: HouseVisit, stageId: string, signature: string) {
	const stage = await foundOr404(readStage(store.db, stageId), "file that is held");
	const understood = await understand(store.db, stage);
	if (understood.kind === "none") return data({ problem: understood.why }, { status: 400 });
	if (understood.kind === "drafts") {
		for (const { draft, name } of understood.drafts) {
			const id = await freeRecipeId(store.db, name);
			const own = changeField(draft, "measures", measuresOf(reading.units));
			await saveDraft(store, id, 0, own, { who, basedOn: null });
		}
	} else {
		try {
			await applyImport(
				store,
				async (tx) => {
					const plan = await planOfStage(tx, stage);
					if (signatureOf(plan) !== signature) throw new OtherPlan();
					return plan;
				},
				who,
			);
		} catch (error) {
			if (error instanceof Refusal) return data({ problem: error.message }, { status: 400 });
			if (!(error instanceof OtherPlan)) throw error;
			const problem = "The book has changed since this was looked at; it would now do what stands below.";
			return data({ problem }, { status: 409 });
		}
	}
	await dropStage(store, stageId);
	return redirect("/book?sort=newest");
}

type View = Route.ComponentProps["loaderData"];

export default function ImportPreview({ loaderData: view, actionData }: Route.ComponentProps) {
	return (
		<Page>
			<Title>{view.name}</Title>
			{actionData?.problem ? (
				<Note role="alert" marginTop="12px">
					<b>Nothing was taken in.</b> {actionData.problem}
				</Note>
			) : null}
			{view.why ? (
				<Note role="alert" marginTop="12px">
					<b>This is nothing that can be taken in.</b> {view.why}
				</Note>
			) : null}
			{view.plan ? <PlanSheets plan={view.plan} /> : null}
			{view.kind === "drafts" ? <DraftSheets view={view} /> : null}
			<Form method="post">
				<input type="hidden" name="signature" value={view.plan?.signature ?? ""} />
				<chakra.div display="flex" gap="10px" marginTop="14px">
					{view.kind === "none" || view.plan?.idle ? null : (
						<Act kind="next" name="intent" value="take" aria-keyshortcuts="a">
							Take it in <Key aria-hidden>a</Key>
						</Act>
					)}
					<Act name="intent" value="drop">
						Leave it
					</Act>
					<ActLink to="/book/exchange" kind="quiet">
						Another file
					</ActLink>
				</chakra.div>
			</Form>
		</Page>
	);
}

function PlanSheets({ plan }: { readonly plan: NonNullable<View["plan"]> }) {
	const { counts, steps, more, refused, refusedCount } = plan;
	return (
		<>
			<Sheet marginTop="14px">
				<Facts
					fontSize="28px"
					facts={[
						{ figure: String(counts.new), label: "new" },
						{ figure: String(counts.changed), label: "changed" },
						{ figure: String(counts.same), label: "the same" },
						{ figure: String(refusedCount), label: "refused" },
					]}
				/>
				<Muted display="block" marginTop="6px">
					{plan.idle
						? "Taking it in would change nothing."
						: "All of it comes in at once, or nothing. What is refused stays out."}
				</Muted>
			</Sheet>
			{refused.length > 0 ? (
				<Note marginTop="10px" as="section" aria-label="Refused">
					<Heading>Refused</Heading>
					<ColumnTable
						columns={[...PLACED, { words: "Why", wrap: "anywhere", cell: ({ why }) => why }]}
						rows={refused}
						keyOf={({ line, what, why }) => `${line} ${what} ${why}`}
					/>
				</Note>
			) : null}
			{steps.length > 0 ? (
				<Sheet marginTop="10px">
					<Heading>What it would do</Heading>
					<ColumnTable
						columns={STEP_COLUMNS}
						rows={steps}
						keyOf={({ line, what, name }) => `${line} ${what} ${name}`}
					/>
					{more > 0 ? <Muted>and {more} more</Muted> : null}
				</Sheet>
			) : null}
		</>
	);
}

/** Where in the file it stands, and what it is. */
const PLACED: readonly Column<{ readonly line: number; readonly what: string }>[] = [
	{ words: "Line", cell: ({ line }) => line },
	{ words: "What", wrap: "anywhere", cell: ({ what }) => what },
];

type Plan = NonNullable<View["plan"]>;

const STEP_COLUMNS: readonly Column<Plan["steps"][number]>[] = [
	{ words: "Line", cell: ({ line }) => line },
	{ words: "What", wrap: "anywhere", cell: ({ what, name }) => `${name} (${what})` },
	{
		words: "Does",
		wrap: "anywhere",
		cell: ({ verdict, says }) => [verdict, says].filter(Boolean).join(": "),
	},
];

function DraftSheets({ view }: { readonly view: View }) {
	return (
		<>
			<Sheet marginTop="14px" display="grid" gap="8px">
				<Heading>{counted(view.drafts.length, "draft")} to be written on</Heading>
				<p>
					A recipe from elsewhere comes in as a draft: its lines as they were written, everything a braise
					needs beside them at its usual figure.
				</p>
				<ul>
					{view.drafts.map(({ name, lines, steps, notCarried }) => (
						<li key={name}>
							<b>{name}</b> <Muted>{`${counted(lines, "line")}, ${counted(steps, "step")}`}</Muted>
							{notCarried.length > 0 ? (
								<Muted display="block">Not carried: {notCarried.join(", ")}</Muted>
							) : null}
						</li>
					))}
				</ul>
			</Sheet>
			{view.refused.map(({ what, why }) => (
				<Note key={what + why} marginTop="10px">
					<b>{what}</b> {why}
				</Note>
			))}
		</>
	);
}
