import { chakra } from "@chakra-ui/react/styled-system";
import { nanoid } from "nanoid";
import { Form, Link, redirect } from "react-router";
import { refuse } from "#core/check";
import { asItStands, ofKind } from "#core/records";
import { readDeliveryEntries, readIngredientRows, writeRecord } from "#db";
import { MomentField } from "../ui/forms/DayField.tsx";
import { Field } from "../ui/forms/Field.tsx";
import { type Typed, typedIn, type Wrong } from "../ui/forms/form.ts";
import { Facts } from "../ui/parts/Facts.tsx";
import { PageHead } from "../ui/parts/PageHead.tsx";
import { Act, ActLink, Heading, Key, Muted, Note, Page, Sheet } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { doneOrSaid, refused } from "../ui/server/said.server.ts";
import { type HouseVisit, visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/delivery.route";
import { clientIdOf } from "./clientIdOf.ts";
import { DeliveryFields } from "./DeliveryFields.tsx";
import { type DeliveryView, deliveryPage } from "./deliveryPage.ts";
import { type DeliveryRead, readDelivery } from "./deliveryTyped.ts";
import { UNITS_TYPED, wordsTyped } from "./lotTyped.ts";
import { momentTyped } from "./moment.ts";
import { numberIn } from "./numberIn.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: `${loaderData?.kept?.title ?? "A delivery"} · Records` },
];

export async function loader({ context, params }: Route.LoaderArgs) {
	const visit = await visitOf(context);
	const { reading, store } = visit;
	const typing = {
		...{ clientId: nanoid(), degrees: reading.degrees },
		weight: UNITS_TYPED[reading.units].weight,
	};
	if (params.delivery !== "new") {
		const kept = await deliveryPage(visit, numberIn(params.delivery));
		return { ...typing, kept, names: kept.names };
	}
	const rows = await readIngredientRows(store.db);
	return { ...typing, kept: null, names: rows.map(({ name }) => name) };
}

export async function action({ context, params, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	const { store, house, reading, who } = visit;
	const form = await formOf(request);
	const typed = typedIn(form);
	return doneOrSaid(typed, reading, async () => {
		const read = readDelivery(form, await readIngredientRows(store.db), reading);
		if ("wrong" in read) return refused(read.typed, read.wrong);
		const { value } = read;
		if (params.delivery !== "new") return writeAnew(visit, numberIn(params.delivery), typed, value);
		const at = momentTyped(typed, house.timeZone, Date.now());
		const [written] = await writeRecord(store, who, clientIdOf(typed), (next) => [
			{ at, doc: { ...value, delivery: next.delivery } },
		]);
		// What its packet says is held against the book there.
		const number = written?.doc.kind === "delivery" ? written.doc.delivery : "";
		return redirect(value.packet ? `/records/deliveries/${number}` : "/records");
	});
}

/** What was written of a delivery and was not so: both stay. */
async function writeAnew({ store, who }: HouseVisit, delivery: number, typed: Typed, value: DeliveryRead) {
	const reason = wordsTyped(typed, "reason", 400, 3);
	await writeRecord(store, who, clientIdOf(typed), async (_next, tx) => {
		const [entry] = ofKind(asItStands(await readDeliveryEntries(tx, [delivery])), "delivery");
		if (!entry) throw refuse("name", "is no delivery of this house");
		const doc = { ...value, delivery };
		return [{ at: Date.now(), doc: { kind: "instead", of: entry.number, lot: null, doc, reason } }];
	});
	return redirect(`/records/deliveries/${delivery}`);
}

/** What came in at the door: how warm, from whom, and what was made of it. */
export default function Delivery({ loaderData, actionData }: Route.ComponentProps) {
	const { kept, clientId, ...typing } = loaderData;
	const typed: Typed = actionData?.typed ?? kept?.typed ?? {};
	const wrong: Wrong = actionData?.wrong ?? {};
	const fields = { ...typing, typed, wrong };
	if (kept) {
		return (
			<Kept view={kept}>
				<chakra.details marginTop="14px" open={actionData ? true : undefined}>
					<summary>It was not so</summary>
					<Form method="post" aria-label="Written anew">
						<input type="hidden" name="clientId" value={clientId} />
						<DeliveryFields {...fields}>
							<Field
								label="Because"
								name="reason"
								maxLength={400}
								defaultValue={typed.reason}
								wrong={wrong.reason}
							/>
						</DeliveryFields>
						<chakra.p marginBlock="8px">What was written stays in the record beside it.</chakra.p>
						<Act>Write it anew</Act>
					</Form>
				</chakra.details>
			</Kept>
		);
	}
	return (
		<Page>
			<PageHead title="A delivery">
				<ActLink to="/records" kind="quiet">
					Leave it
				</ActLink>
			</PageHead>
			<Sheet marginTop="12px" maxWidth="760px">
				<Form method="post">
					<input type="hidden" name="clientId" value={clientId} />
					<DeliveryFields {...fields}>
						<MomentField label="Came (empty: just now)" typed={typed} wrong={wrong} />
					</DeliveryFields>
					<chakra.div display="flex" gap="12px" marginTop="16px">
						<Act kind="next" aria-keyshortcuts="a">
							Write it down <Key aria-hidden>a</Key>
						</Act>
					</chakra.div>
				</Form>
			</Sheet>
		</Page>
	);
}

function Kept({ view, children }: { readonly view: DeliveryView; readonly children: React.ReactNode }) {
	return (
		<Page>
			<PageHead title={view.title} says={view.about}>
				<ActLink to={`/records/recall?what=delivery&find=${view.delivery}`}>Trace and recall</ActLink>
				<ActLink to="/records">All records</ActLink>
			</PageHead>
			{view.beside === null ? null : (
				<Note role="alert" marginTop="12px">
					<b>▲ The packet {view.beside}, and the book does not.</b> Lots that are made from this delivery
					declare it. Dishes of the book do once it is{" "}
					<Link to={view.ingredientAt}>declared of {view.title}</Link>.
				</Note>
			)}
			<Sheet marginTop="12px">
				<Facts facts={view.facts} />
				<chakra.p marginTop="10px">
					<b>From: </b>
					{view.from}
				</chakra.p>
				<p>
					<b>Its packet: </b>
					{view.packet}
				</p>
				{view.note ? <p>{view.note}</p> : null}
				<Heading marginTop="16px">Made of it</Heading>
				<ul>
					{view.lots.map(({ lot, words }) => (
						<li key={lot}>
							<Link to={`/records/lots/${lot}`}>Lot {lot}</Link> {words}
						</li>
					))}
				</ul>
				{view.lots.length === 0 ? <p>No lot names it.</p> : null}
				{view.before.length === 0 ? null : (
					<>
						<Heading marginTop="16px">Written before</Heading>
						<chakra.ol>
							{view.before.map(({ number, words, by }) => (
								<li key={number}>
									{words} <Muted>{by}</Muted>
								</li>
							))}
						</chakra.ol>
					</>
				)}
				{children}
			</Sheet>
		</Page>
	);
}
