import { chakra } from "@chakra-ui/react/styled-system";
import { Link, redirect, useLocation, useNavigation } from "react-router";
import { changeSitting } from "#db";
import { FallNote } from "../ui/forms/FallSheet.tsx";
import { confirmedIn } from "../ui/forms/fall.ts";
import { typedIn, versionOf } from "../ui/forms/form.ts";
import { NotSentNote } from "../ui/forms/NotSentNote.tsx";
import { isNotSent, sentOrKept } from "../ui/forms/offline.ts";
import { StaleNote } from "../ui/forms/StaleNote.tsx";
import { readTrial, withTrial } from "../ui/forms/tableTrial.ts";
import { Allergens } from "../ui/parts/Allergens.tsx";
import { ActLink, Figure, Heading, Key, Muted, Note, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { Tape } from "../ui/parts/Tape.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { heavily } from "../ui/server/heavily.ts";
import { doneOrSaid, refused } from "../ui/server/said.server.ts";
import { sittingNames } from "../ui/server/sittingNames.ts";
import { foundOr404, visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/longTable.route";
import { PlaceSheet, WorkSheet } from "./PlaceSheet.tsx";
import { PlaceStrip } from "./PlaceStrip.tsx";
import { ScaleControl } from "./ScaleControl.tsx";
import { YieldBar } from "./YieldBar.tsx";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `${loaderData.dish.name} · ${loaderData.sitting.name}` : "Wide Table" },
];

export function loader({ context, params, request }: Route.LoaderArgs) {
	const { search } = new URL(request.url);
	return heavily(context, "longTable", { ...params, search }, request);
}

/** Takes the trial: the sitting and its dish are changed as one. */
export async function action({ context, params, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	const form = await formOf(request);
	const read = readTrial(form, visit.house.timeZone, visit.reading.units);
	if ("wrong" in read) return refused(read.typed, read.wrong);
	const trial = read.value;
	const version = versionOf(typedIn(form));
	const search = String(new URLSearchParams(Object.entries(typedIn(form))));
	const { sittingId, dishId } = params;
	const why = await heavily(context, "whyNotTaken", { sittingId, dishId, search }, request);
	// What has no plan can not be taken.
	if (why !== null)
		return refused(typedIn(form), { basis: `there is no plan for this, so it is not taken: ${why}` });
	return doneOrSaid(
		typedIn(form),
		visit.reading,
		async () => {
			await foundOr404(
				changeSitting(
					visit.store,
					sittingId,
					version,
					visit.who,
					(now) => withTrial(now, dishId, trial),
					confirmedIn(typedIn(form)),
				),
				"sitting",
			);
			const place = form.get("place");
			const table = `/sittings/${sittingId}/dishes/${dishId}`;
			return redirect(
				typeof place === "string" && place ? `${table}?place=${encodeURIComponent(place)}` : table,
			);
		},
		() => sittingNames(visit.store.db, sittingId),
	);
}

/** @see sentOrKept */
export function clientAction({ serverAction }: Route.ClientActionArgs) {
	return sentOrKept(serverAction);
}

export { revalidateWhenSent as shouldRevalidate } from "../ui/forms/offline.ts";

const Top = chakra("div", {
	base: { display: "flex", flexWrap: "wrap", alignItems: "center", gap: "4px 14px", marginBottom: "2px" },
});

export default function LongTable({ loaderData, actionData: result }: Route.ComponentProps) {
	const actionData = isNotSent(result) ? undefined : result;
	const { dish, sitting, table } = loaderData;
	const busy = useNavigation().state === "loading";
	// Papers of what is tried say so.
	const { search: tried } = useLocation();
	const search = loaderData.changed ? tried : "";
	return (
		<Page aria-busy={busy} paddingTop="6px">
			<Top>
				<h1>
					<Tape size="large">{dish.name}</Tape>
				</h1>
				<Muted flex="1 1 0" minWidth={{ base: "100%", md: "150px" }} lineHeight="1.25">
					<Link to={`/sittings/${sitting.id}`}>{sitting.name}</Link>,{" "}
					{sitting.room ? `${sitting.room}, ` : ""}
					<chakra.span whiteSpace="nowrap">
						<Link to={`/book/${dish.recipeId}?version=${dish.number}`}>{dish.version}</Link>
					</chakra.span>
				</Muted>
				<chakra.nav aria-label="Papers of the dish" display="flex" flexWrap="wrap" gap="4px 8px">
					<ActLink to={`cutting${search}`} kind="quiet" aria-keyshortcuts="q">
						Cutting note <Key aria-hidden>q</Key>
					</ActLink>
					<ActLink to={`labels${search}`} kind="quiet" aria-keyshortcuts="l">
						Labels <Key aria-hidden>l</Key>
					</ActLink>
					<ActLink to={`sheet${search}`} aria-keyshortcuts="p">
						Production sheet <Key aria-hidden>p</Key>
					</ActLink>
				</chakra.nav>
			</Top>
			{table?.next ? <Next next={table.next} /> : null}
			{isNotSent(result) ? <NotSentNote {...result} /> : null}
			<FallNote answered={actionData} />
			{actionData?.stale ? <StaleNote stale={actionData.stale} /> : null}
			<ScaleControl
				view={loaderData}
				wrong={{ ...loaderData.wrong, ...actionData?.wrong }}
				version={actionData?.stale?.version ?? sitting.version}
			/>
			{loaderData.refused === null ? null : (
				<Note role="alert" marginTop="14px">
					<Title as="h2" fontSize="21px">
						There is no plan for this
					</Title>
					<p>{loaderData.refused}</p>
				</Note>
			)}
			{table ? (
				<>
					<PlaceStrip table={table} service={loaderData.service} />
					<PlaceSheet detail={table.detail} />
					<YieldBar bar={table.yieldBar} />
					<WorkSheet detail={table.detail} />
					<Aside table={table} />
				</>
			) : null}
		</Page>
	);
}

/** On a telephone, before anything is planned: what comes next, when, and in which pans. */
function Next({ next }: { readonly next: NonNullable<Table["next"]> }) {
	return (
		<chakra.div
			hideFrom="md"
			{...(next.isSoon ? { bg: "mahogany", color: "onMahogany" } : { bg: "steel", color: "ink" })}
			padding="12px 14px"
			marginBottom="10px"
			display="grid"
			gap="2px"
		>
			<Figure size="large">
				{next.clock} {next.words}
			</Figure>
			<span>{next.pans}</span>
		</chakra.div>
	);
}

type Table = NonNullable<Route.ComponentProps["loaderData"]["table"]>;

/** What holds for the whole dish: of the open place first, then of the others, each ruled off. */
function Aside({ table }: { readonly table: Table }) {
	const here = table.warnings.filter(({ place }) => place === table.selected);
	const elsewhere = table.warnings.filter(({ place }) => place !== table.selected);
	return (
		<chakra.div
			display="grid"
			gap="10px"
			marginTop="10px"
			gridTemplateColumns={{ base: "minmax(0,1fr)", md: "repeat(2, minmax(0,1fr))" }}
		>
			<Allergens view={table.allergens} />
			<Sheet>
				<Heading marginBottom="6px">Mind</Heading>
				<Ruled>
					{[...here, ...elsewhere].map(({ says, remedy }) => (
						<li key={says}>
							▲ <b>{says}</b> {remedy}
						</li>
					))}
					{table.cautions.map((text) => (
						<li key={text}>{text}</li>
					))}
				</Ruled>
			</Sheet>
		</chakra.div>
	);
}

const Ruled = chakra("ul", {
	base: { "& > li": { borderTop: "1px solid", borderColor: "hair", paddingBlock: "7px" } },
});
