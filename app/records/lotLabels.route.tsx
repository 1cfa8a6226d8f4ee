import { chakra } from "@chakra-ui/react/styled-system";
import { nanoid } from "nanoid";
import { data, Form, Link, redirect } from "react-router";
import { writeRecord } from "#db";
import { visitContext } from "#server";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { typedIn } from "../ui/forms/form.ts";
import { Paper, PrintPage } from "../ui/parts/Paper.tsx";
import { Act, Note } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { heavily } from "../ui/server/heavily.ts";
import { noLetterWords } from "../ui/server/printed.ts";
import { visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/lotLabels.route";
import { clientIdOf } from "./clientIdOf.ts";
import type { LotLabel } from "./labelLayout.ts";
import { printed } from "./labelPrinter.server.ts";
import { LABEL_SHEET_KEYS, LABEL_SHEETS } from "./labelSheets.ts";
import type { Squares } from "./lotLabels.ts";
import { lotLabels } from "./lotLabels.ts";
import { numberIn } from "./numberIn.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Labels · Lot ${loaderData.lot}` : "Labels" },
];

export async function loader({ context, params, request }: Route.LoaderArgs) {
	const visit = await visitOf(context);
	const lot = numberIn(params.lot);
	const { origin, searchParams } = new URL(request.url);
	const again = searchParams.has("again");
	return {
		lot,
		again,
		clientId: nanoid(),
		view: await lotLabels(visit, { lot, origin, again }),
		paper: visit.preferences.paper,
		printedNow: searchParams.get("printed"),
	};
}

/** Sends them to the label printer, or opens them as a document; what they say is written down with the lot. */
export async function action({ context, params, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	const lot = numberIn(params.lot);
	const typed = typedIn(await formOf(request));
	const { origin } = new URL(request.url);
	const asked = { lot, origin, again: typed.again === "1" };
	const { says, noLetter } = await lotLabels(visit, asked);
	if (noLetter !== null)
		return data({ said: noLetterWords(noLetter, "these labels"), typed }, { status: 400 });
	const search = new URLSearchParams(asked.again ? { again: "1" } : {});
	if (typed.as === "document") {
		search.set("sheet", typed.sheet ?? "");
		search.set("skip", typed.skip ?? "0");
	} else {
		const pdf = await heavily(context, "lotLabelsPdf", { ...asked, sheet: "tape", skip: 0 }, request);
		const said = await printed(context.get(visitContext).printer, pdf, `Lot ${lot}`);
		if (said !== null) return data({ said, typed }, { status: 503 });
		search.delete("again");
		search.set("printed", "1");
	}
	await writeRecord(visit.store, visit.who, clientIdOf(typed), () =>
		says.length === 0 ? [] : [{ at: Date.now(), doc: { kind: "labels", lot, labels: [...says] } }],
	);
	return redirect(`/records/lots/${lot}/labels${typed.as === "document" ? ".pdf" : ""}?${search}`);
}

export default function LotLabelsPage({ loaderData, actionData }: Route.ComponentProps) {
	const { lot, view, paper, printedNow, clientId, again } = loaderData;
	const back = `/records/lots/${lot}`;
	const asked = (
		<>
			<input type="hidden" name="clientId" value={clientId} />
			<input type="hidden" name="again" value={again ? "1" : ""} />
		</>
	);
	return (
		<PrintPage paper={paper} back={{ to: back, words: "Back to the lot" }} here={`${back}/labels`}>
			<chakra.div
				className="screenOnly"
				display="flex"
				flexWrap="wrap"
				gap="10px 20px"
				alignItems="flex-end"
				marginBottom="14px"
			>
				<Form method="post" reloadDocument>
					{asked}
					<input type="hidden" name="as" value="document" />
					<chakra.div display="flex" flexWrap="wrap" gap="10px" alignItems="flex-end">
						<Choice label="As a document for" name="sheet">
							{LABEL_SHEET_KEYS.map((key) => (
								<option key={key} value={key}>
									{LABEL_SHEETS[key].name}
								</option>
							))}
						</Choice>
						<chakra.div width="230px">
							<Field label="Labels gone from the sheet" name="skip" inputMode="numeric" defaultValue="0" />
						</chakra.div>
						<Act>Open the document</Act>
					</chakra.div>
				</Form>
				<Form method="post">
					{asked}
					<Act>To the label printer</Act>
				</Form>
			</chakra.div>
			<VoidNote voids={view.voids} again={again} />
			{printedNow ? (
				<Note role="status" className="screenOnly" marginBottom="14px">
					The label printer has taken them.
				</Note>
			) : null}
			{actionData?.said ? (
				<Note role="alert" className="screenOnly" marginBottom="14px">
					▲ {actionData.said}
				</Note>
			) : null}
			<Paper aria-label={`Labels of lot ${lot}`}>
				<chakra.h1
					fontFamily="head"
					fontWeight="700"
					fontSize="1.4em"
					className="screenOnly"
					marginBottom="4mm"
				>
					Labels of lot {lot}
				</chakra.h1>
				{view.labels.length === 0 ? <p>Nothing of this lot is left.</p> : null}
				<chakra.ul
					display="grid"
					gap="6mm"
					gridTemplateColumns={{ base: "minmax(0,1fr)", sm: "repeat(2, minmax(0,1fr))" }}
					_print={{ gridTemplateColumns: "repeat(2, 1fr)" }}
				>
					{view.labels.map((label) => (
						<Label key={label.tag} label={label} qr={view.qr} opens={view.opens} />
					))}
				</chakra.ul>
			</Paper>
		</PrintPage>
	);
}

/** Labels that were printed and no longer say what is so. */
function VoidNote({ voids, again }: { readonly voids: number; readonly again: boolean }) {
	if (voids === 0) return null;
	const words =
		voids === 1
			? "1 label that was printed no longer says what is so. Stick a new one over it."
			: `${voids} labels that were printed no longer say what is so. Stick new ones over them.`;
	return (
		<Note className="screenOnly" marginBottom="14px">
			▲ {words} <Link to={again ? "." : "?again=1"}>{again ? "All labels" : "Those alone"}</Link>
		</Note>
	);
}

function Label({
	label,
	qr,
	opens,
}: {
	readonly label: LotLabel;
	readonly qr: Squares;
	readonly opens: string;
}) {
	return (
		<chakra.li border="2px solid black" padding="3mm" breakInside="avoid">
			<chakra.div display="flex" justifyContent="space-between" gap="3mm">
				<div>
					<chakra.b display="block" fontFamily="head" fontSize="1.2em" lineHeight="1.1">
						{label.dish}
					</chakra.b>
					<b>
						Lot {label.lot}, pan {label.tag}
					</b>
					<chakra.b display="block" fontFamily="head" fontSize="1.4em" lineHeight="1.2">
						{label.head}
					</chakra.b>
					{label.beside ? <b>{label.beside}.</b> : null}
				</div>
				<QrCode qr={qr} opens={opens} />
			</chakra.div>
			<p>
				{label.made}. {label.holds}. {label.state}.
			</p>
			<p>
				<b>Allergens: {label.allergens}.</b>
			</p>
			<p>{label.reheat}.</p>
			<p>{label.contents}</p>
		</chakra.li>
	);
}

function QrCode({ qr, opens }: { readonly qr: Squares; readonly opens: string }) {
	return (
		<chakra.svg
			viewBox={`0 0 ${qr.size} ${qr.size}`}
			width="24mm"
			height="24mm"
			flex="none"
			shapeRendering="crispEdges"
			role="img"
			aria-label={`Opens ${opens}`}
		>
			<path d={qr.dark.map(([column, row]) => `M${column} ${row}h1v1h-1z`).join("")} fill="black" />
		</chakra.svg>
	);
}
