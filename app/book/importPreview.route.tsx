import { chakra } from "@chakra-ui/react/styled-system";
import { data, Form, redirect, useNavigation } from "react-router";
import { dropStage } from "#db";
import { FallNote } from "../ui/forms/FallSheet.tsx";
import { confirmedIn } from "../ui/forms/fall.ts";
import { typedIn } from "../ui/forms/form.ts";
import { type Column, ColumnTable } from "../ui/parts/ColumnTable.tsx";
import { Facts } from "../ui/parts/Facts.tsx";
import { Act, ActLink, Heading, Key, Muted, Note, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { useHowFar } from "../ui/parts/useHowFar.ts";
import { formOf } from "../ui/server/formOf.ts";
import { heavily } from "../ui/server/heavily.ts";
import { endProgress, progressOf } from "../ui/server/underWay.ts";
import { visitOf } from "../ui/server/visit.ts";
import { counted } from "../ui/words/reading.ts";
import type { Route } from "./+types/importPreview.route";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: `${loaderData?.name ?? "A file"}, to be taken in · Book` },
];

export function loader({ context, params, request }: Route.LoaderArgs) {
	return heavily(context, "importPreview", { id: params.stageId }, request);
}

export async function action({ context, params, request }: Route.ActionArgs) {
	const form = await formOf(request);
	if (form.get("intent") === "drop") {
		const { store } = await visitOf(context);
		await dropStage(store, params.stageId);
		return redirect("/book/exchange");
	}
	const typed = typedIn(form);
	const confirmed = confirmedIn(typed);
	const given = { id: params.stageId, signature: typed.signature ?? "", confirmed };
	const progress = progressOf(params.stageId);
	const refused = await heavily(context, "takeIn", given, request, progress).finally(() =>
		endProgress(params.stageId),
	);
	if (refused)
		return data({ problem: refused.problem, fall: refused.fall ?? null, typed }, { status: refused.status });
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
			<FallNote answered={actionData} />
			{view.why ? (
				<Note role="alert" marginTop="12px">
					<b>This is nothing that can be taken in.</b> {view.why}
				</Note>
			) : null}
			<HowFar id={view.id} />
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

/** While it is taken in: how much of it is written. */
function HowFar({ id }: { readonly id: string }) {
	const { state, formData } = useNavigation();
	const taking = state === "submitting" && formData?.get("intent") === "take";
	const far = useHowFar(taking ? id : null);
	if (!taking) return null;
	return (
		<Note role="status" marginTop="12px">
			<b>Being taken in.</b>{" "}
			{far && far.all > 0
				? `${far.done.toLocaleString("en-GB")} of ${counted(far.all, "entry", "entries")} written.`
				: "The file is being read."}
		</Note>
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
