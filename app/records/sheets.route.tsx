import { chakra } from "@chakra-ui/react/styled-system";
import { Form, Link, redirect } from "react-router";
import { readDay, wallClock } from "#core/time";
import { DayField } from "../ui/forms/DayField.tsx";
import { Choice } from "../ui/forms/Field.tsx";
import { Paper, PaperHead, PrintPage } from "../ui/parts/Paper.tsx";
import { Act, ActLink, Figure, Heading, Sheet } from "../ui/parts/parts.tsx";
import { heavily } from "../ui/server/heavily.ts";
import { visitOf } from "../ui/server/visit.ts";
import { counted } from "../ui/words/reading.ts";
import type { Route } from "./+types/sheets.route";
import { addressOf, SHEET_KIND_KEYS, SHEET_KINDS, sheetIn } from "./sheetKinds.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `${loaderData.sheet.title} · ${loaderData.sheet.period}` : "Record sheets" },
];

export async function loader({ context, request }: Route.LoaderArgs) {
	const { reading, house, preferences } = await visitOf(context);
	const today = wallClock(reading.now, house.timeZone).date;
	const { searchParams, pathname } = new URL(request.url);
	// Days may be typed as one says them; the address keeps them as the calendar has them.
	const typed = new URLSearchParams(searchParams);
	for (const name of ["from", "to"]) {
		const day = readDay(searchParams.get(name) ?? "", today);
		if (typeof day === "string") typed.set(name, day);
	}
	if (typed.toString() !== searchParams.toString())
		throw redirect(`${pathname.replace(/\.data$/, "")}?${typed}`);
	const of = sheetIn(searchParams, today);
	const [sheet, missing] = await Promise.all([
		heavily(context, "recordSheet", of, request),
		heavily(context, "missing", of, request),
	]);
	return { of, sheet, missing, paper: preferences.paper, address: addressOf(of) };
}

/** The records of some days on paper, as a document or a table, and what is missing in them. */
export default function Sheets({ loaderData: { of, sheet, missing, paper, address } }: Route.ComponentProps) {
	return (
		<PrintPage
			paper={`${paper} landscape`}
			back={{ to: "/records", words: "Back to the records" }}
			here={`/records/sheets?${address}`}
			also={
				<>
					<ActLink to={`/records/sheets/sheet.pdf?${address}`} reloadDocument>
						As a document
					</ActLink>
					<ActLink to={`/records/sheets/sheet.csv?${address}`} reloadDocument>
						As a table
					</ActLink>
				</>
			}
		>
			<chakra.div className="screenOnly" marginBottom="14px">
				<Form method="get">
					<chakra.div display="flex" flexWrap="wrap" gap="10px" alignItems="flex-end">
						<Choice label="Sheet" name="kind" defaultValue={of.kind} key={of.kind}>
							{SHEET_KIND_KEYS.map((kind) => (
								<option key={kind} value={kind}>
									{SHEET_KINDS[kind]}
								</option>
							))}
						</Choice>
						<chakra.div width="190px">
							<DayField label="From" name="from" defaultValue={of.from} key={of.from} />
						</chakra.div>
						<chakra.div width="190px">
							<DayField label="To" name="to" defaultValue={of.to} key={of.to} />
						</chakra.div>
						<Act>Show it</Act>
					</chakra.div>
				</Form>
				<MissingDays view={missing} />
			</chakra.div>
			<Paper aria-label={sheet.title} maxWidth="297mm">
				<PaperHead
					title={`${sheet.title}, ${sheet.house}`}
					lines={[
						`${sheet.period}. Printed ${sheet.printed}.`,
						...sheet.codes.map(
							(code) => `House code: ${code}. The local authority and the licensed operator decide.`,
						),
					]}
					figure={{ label: "missed", words: String(sheet.missed.length) }}
				/>
				{sheet.rows.length === 0 ? (
					<p>Nothing was written down in this time.</p>
				) : (
					<SheetTable sheet={sheet} />
				)}
				<chakra.div display="grid" gridTemplateColumns="1fr 1fr 2fr" gap="10mm" marginTop="16mm">
					<chakra.p borderTop="1px solid black">Signed</chakra.p>
					<chakra.p borderTop="1px solid black">Seen by, on</chakra.p>
					<chakra.p fontSize=".8em">As the record stood: {sheet.heads}</chakra.p>
				</chakra.div>
			</Paper>
		</PrintPage>
	);
}

type View = Route.ComponentProps["loaderData"];

function SheetTable({ sheet }: Pick<View, "sheet">) {
	return (
		<chakra.div
			overflowX="auto"
			_print={{ overflow: "visible", fontSize: "9pt" }}
			tabIndex={0}
			role="region"
			aria-label="Rows of the sheet"
		>
			<table>
				<thead>
					<tr>
						{sheet.columns.map((column) => (
							<th key={column} scope="col">
								{column}
							</th>
						))}
					</tr>
				</thead>
				<tbody>
					{sheet.rows.map((row, index) => (
						<tr key={row.join("|")}>
							{row.map((cell, column) => (
								<chakra.td
									key={sheet.columns[column]}
									fontWeight={
										sheet.missed.includes(index) && sheet.columns[column] === "Came out" ? 700 : undefined
									}
									minWidth={sheet.columns[column] === "Sign" ? "24mm" : undefined}
								>
									{cell}
								</chakra.td>
							))}
						</tr>
					))}
				</tbody>
			</table>
		</chakra.div>
	);
}

/** A calendar of what is missing: a day whole, or with how much is not there. */
function MissingDays({ view }: { readonly view: View["missing"] }) {
	const { days, missing } = view;
	return (
		<Sheet marginTop="14px">
			<Heading>Missing in these days</Heading>
			<Figure size="large" display="block" marginBlock="4px 10px">
				{missing.length === 0 ? "Nothing" : `▲ ${counted(missing.length, "record")}`}
			</Figure>
			<chakra.ol
				display="grid"
				gap="4px"
				gridTemplateColumns="repeat(auto-fill, minmax(128px, 1fr))"
				aria-label="Days"
			>
				{days.map((day) => (
					<chakra.li key={day.date} bg="place" padding="6px 10px" color={day.isAhead ? "muted" : "ink"}>
						<chakra.span display="block">{day.words}</chakra.span>
						<b>{day.isAhead ? "to come" : day.count === 0 ? "whole" : `▲ ${day.count} missing`}</b>
					</chakra.li>
				))}
			</chakra.ol>
			<chakra.ul marginTop="10px">
				{missing.map((one) => (
					<chakra.li
						key={`${one.date} ${one.words}`}
						borderTop="1px solid"
						borderColor="hair"
						paddingBlock="6px"
					>
						<b>{one.day}</b> <Link to={one.to}>{one.words}</Link>
					</chakra.li>
				))}
			</chakra.ul>
		</Sheet>
	);
}
