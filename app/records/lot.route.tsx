import { chakra } from "@chakra-ui/react/styled-system";
import { nanoid } from "nanoid";
import { useEffect, useState } from "react";
import { Link, redirect } from "react-router";
import { visitContext } from "#server";
import { typedIn } from "../ui/forms/form.ts";
import { NotSentNote } from "../ui/forms/NotSentNote.tsx";
import { isNotSent, sentOrKept } from "../ui/forms/offline.ts";
import { PageHead } from "../ui/parts/PageHead.tsx";
import { ActLink, Figure, Heading, Key, Muted, Page, Sheet } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { doneOrSaid, refused } from "../ui/server/said.server.ts";
import { visitOf } from "../ui/server/visit.ts";
import { counted } from "../ui/words/reading.ts";
import type { Route } from "./+types/lot.route";
import { KeptHere } from "./KeptHere.tsx";
import { keepOn, keptForm } from "./kept.ts";
import { BeginWatch, DateWasWrong, LotStages, Strike } from "./LotForms.tsx";
import { writeOnLot } from "./lotActions.ts";
import { lotPage } from "./lotPage.ts";
import { numberIn } from "./numberIn.ts";
import { useLive } from "./useLive.ts";
import { WatchSheet } from "./WatchSheet.tsx";
import { WatchStrip } from "./WatchStrip.tsx";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Lot ${loaderData.view.lot} · ${loaderData.view.dish}` : "Lot" },
];

export async function loader({ context, params, request }: Route.LoaderArgs) {
	const visit = await visitOf(context);
	const watch = new URL(request.url).searchParams.get("watch");
	const view = await lotPage(visit, numberIn(params.lot), watch);
	const { degrees, timeZone } = visit.reading;
	return { view, clientId: nanoid(), degrees, timeZone };
}

export async function action({ context, params, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	const { live } = context.get(visitContext);
	const form = await formOf(request);
	const typed = typedIn(form);
	const lot = numberIn(params.lot);
	return doneOrSaid(typed, visit.reading, async () => {
		const wrong = await writeOnLot({ visit, live, lot, typed }, form);
		if (wrong) return refused(wrong.typed, wrong.wrong);
		return redirect(`/records/lots/${lot}${typed.back ? `?watch=${encodeURIComponent(typed.back)}` : ""}`);
	});
}

/** What cannot be sent is kept on this device with its moment, and sent when the server answers. */
export async function clientAction({ request, serverAction }: Route.ClientActionArgs) {
	const form = await request.clone().formData();
	const result = await sentOrKept(serverAction);
	if (!isNotSent(result)) return result;
	const zone = String(form.get("timeZone") ?? "UTC");
	form.delete("timeZone");
	const { pathname, search } = new URL(request.url);
	const kept = keptForm(pathname + search, form, Date.now(), zone);
	return { ...result, isKept: kept !== null && keepOn(localStorage, kept) };
}

export { revalidateWhenSent as shouldRevalidate } from "../ui/forms/offline.ts";

/** One lot: its pans, how they stand to the house code, and what is done about it. */
export default function Lot({ loaderData, actionData: result }: Route.ComponentProps) {
	const { view, clientId, degrees, timeZone } = loaderData;
	const state = useLive(view.watches.map(({ watch }) => watch));
	const actionData = isNotSent(result) ? undefined : result;
	// A form that is kept has used its name up.
	const named = useNameAfter(clientId, result);
	const sent = {
		clientId: named,
		timeZone,
		typed: actionData?.typed ?? {},
		wrong: actionData?.wrong ?? {},
	};
	return (
		<Page>
			<PageHead title={view.dish} says={`Lot ${view.lot} · ${view.about}`}>
				<chakra.div display="flex" flexWrap="wrap" gap="8px">
					<ActLink to="anew" kind="quiet">
						It was not so
					</ActLink>
					<ActLink to={`/records/recall?what=lot&find=${view.lot}`} kind="quiet">
						Trace and recall
					</ActLink>
					<ActLink to="way" aria-keyshortcuts="w">
						Bench to plate <Key aria-hidden>w</Key>
					</ActLink>
					<ActLink to="labels" aria-keyshortcuts="l">
						Labels <Key aria-hidden>l</Key>
					</ActLink>
					<ActLink to="/records" aria-keyshortcuts="z">
						All lots <Key aria-hidden>z</Key>
					</ActLink>
				</chakra.div>
			</PageHead>
			<Released view={view} isLive={state === "live"} />
			{isNotSent(result) && !("isKept" in result && result.isKept) ? <NotSentNote {...result} /> : null}
			<KeptHere news={result} />
			<WatchStrip watches={view.watches} open={view.open?.watch ?? null} />
			{view.open ? (
				<WatchSheet view={view.open} sent={sent} degrees={degrees} />
			) : (
				<Sheet marginTop="10px">Nothing of it is watched yet.</Sheet>
			)}
			<chakra.div
				display="grid"
				gap="10px"
				marginTop="10px"
				alignItems="start"
				gridTemplateColumns={{ base: "minmax(0,1fr)", lg: "minmax(0,1fr) minmax(0,1fr)" }}
			>
				<Sheet>
					<Heading>Where it is</Heading>
					<Pans view={view} />
					<LotStages view={view} sent={sent} />
					<BeginWatch view={view} sent={sent} />
					<DateWasWrong view={view} sent={sent} />
				</Sheet>
				<Sheet>
					<Heading>Where it comes from, and goes</Heading>
					<Trace view={view} />
					<Heading marginTop="18px">What was written</Heading>
					<chakra.ol display="grid" gap="2px" marginTop="6px">
						{view.written.map((line) => (
							<chakra.li key={line.number} borderTop="1px solid" borderColor="hair" paddingBlock="6px">
								<chakra.span display="flex" flexWrap="wrap" gap="2px 12px" justifyContent="space-between">
									<span>{line.words}</span>
									<Muted>
										{line.when}, {line.who}
									</Muted>
								</chakra.span>
								{line.canStrike ? <Strike number={line.number} sent={sent} /> : null}
							</chakra.li>
						))}
					</chakra.ol>
				</Sheet>
			</chakra.div>
		</Page>
	);
}

/** The name that the server gave, and another after each form that was kept. */
function useNameAfter(clientId: string, result: unknown): string {
	const [after, setAfter] = useState("");
	useEffect(() => {
		if (isNotSent(result)) setAfter(nanoid());
	}, [result]);
	useEffect(() => {
		if (clientId) setAfter("");
	}, [clientId]);
	return after || clientId;
}

type View = Route.ComponentProps["loaderData"]["view"];

/** The one thing to know of a lot: whether it may be used, and until when. */
function Released({ view, isLive }: { readonly view: View; readonly isLive: boolean }) {
	return (
		<chakra.div marginTop="8px" aria-label="Passport" role="group">
			<Figure size="large" display="block">
				{view.head}
			</Figure>
			<p>
				{view.says} <Muted>{isLive ? "Readings come in by themselves." : ""}</Muted>
			</p>
			{view.voids > 0 ? (
				<p>
					▲ {counted(view.voids, "label")} on its pans no longer {view.voids === 1 ? "says" : "say"} what is
					so: <Link to="labels?again=1">print again</Link>
				</p>
			) : null}
		</chakra.div>
	);
}

function Pans({ view }: { readonly view: View }) {
	return (
		<chakra.ul marginTop="6px">
			{view.pans.map((pan) => (
				<chakra.li
					key={pan.tag}
					display="flex"
					flexWrap="wrap"
					gap="2px 14px"
					justifyContent="space-between"
					borderTop="1px solid"
					borderColor="hair"
					paddingBlock="6px"
					color={pan.isUsedUp ? "muted" : "ink"}
				>
					<span>
						<b>{pan.tag}</b> {pan.vessel}, {pan.holds}
						{pan.thaws ? <Muted display="block">{pan.thaws}</Muted> : null}
					</span>
					<span>
						{pan.state}
						{pan.place && !pan.isUsedUp ? `, ${pan.place}` : ""}
						{pan.useBy ? `, use by ${pan.useBy}` : ""}
						{pan.release === null || pan.release === "released" ? null : (
							<chakra.b display="block">▲ {pan.says}</chakra.b>
						)}
					</span>
				</chakra.li>
			))}
		</chakra.ul>
	);
}

/** One step up to the deliveries, one step down to the plates. */
function Trace({ view }: { readonly view: View }) {
	return (
		<chakra.div display="grid" gap="6px" marginTop="6px">
			<p>
				<b>From: </b>
				{view.from.length + view.fromLots.length === 0 ? "nothing was written down" : null}
				{view.fromLots.map(({ lot, words }) => (
					<span key={lot}>
						<Link to={`/records/lots/${lot}`}>{words}</Link>
						{"; "}
					</span>
				))}
				{view.from.map(({ delivery, words }, index) => (
					<span key={delivery}>
						{index > 0 ? "; " : ""}
						<Link to={`/records/deliveries/${delivery}`}>{words}</Link>
					</span>
				))}
			</p>
			{view.cookedThrough ? (
				<p>
					<b>Cooked through after that: </b>
					{view.cookedThrough}
				</p>
			) : null}
			<p>
				<b>For: </b>
				{view.sitting ? <Link to={view.sitting.to}>{view.sitting.name}</Link> : "no sitting"}
				{view.dishAt ? (
					<>
						, <Link to={view.dishAt}>its long table</Link>
					</>
				) : null}
			</p>
			<p>
				<b>Contains: </b>
				{view.contents}
			</p>
			<p>
				<b>Allergens: </b>
				{view.allergens}
			</p>
			<p>
				<b>Heat again: </b>
				{view.reheat}
			</p>
		</chakra.div>
	);
}
