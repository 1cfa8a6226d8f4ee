import { chakra } from "@chakra-ui/react/styled-system";
import { Type } from "@sinclair/typebox";
import { nanoid } from "nanoid";
import { data, Form, Link, redirect } from "react-router";
import { refuse } from "#core/check";
import { readDeliveries, readIngredientRows, readLotsFrom, writeRecord } from "#db";
import { DayField, MomentField } from "../ui/forms/DayField.tsx";
import { Field } from "../ui/forms/Field.tsx";
import { readForm, typedIn } from "../ui/forms/form.ts";
import { Facts } from "../ui/parts/Facts.tsx";
import { PageHead } from "../ui/parts/PageHead.tsx";
import { Act, ActLink, Heading, Key, Page, Sheet } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { doneOrSaid, refused } from "../ui/server/said.server.ts";
import { visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/delivery.route";
import { clientIdOf } from "./clientIdOf.ts";
import { momentTyped } from "./moment.ts";
import { numberIn } from "./numberIn.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: `${loaderData?.title ?? "Delivery"} · Records` },
];

export async function loader({ context, params }: Route.LoaderArgs) {
	const { store, reading } = await visitOf(context);
	if (params.delivery === "new") {
		const ingredients = await readIngredientRows(store.db);
		return {
			...{ title: "A delivery", clientId: nanoid(), degrees: reading.degrees, kept: null },
			names: ingredients.map(({ name }) => name),
		};
	}
	const number = numberIn(params.delivery);
	const [[entry], lots] = await Promise.all([
		readDeliveries(store.db, [number]),
		readLotsFrom(store.db, number),
	]);
	if (!entry) throw data({ missing: "delivery" }, { status: 404 });
	const { at, who, doc } = entry;
	return {
		...{ title: doc.name, clientId: "", degrees: reading.degrees, names: [] },
		kept: {
			about: `Delivery ${number}, ${reading.clock(at)}, taken in by ${who}`,
			facts: [
				{ figure: reading.mass(doc.kg), label: "delivered" },
				{ figure: doc.C === null ? "not measured" : reading.probed(doc.C), label: "at the door" },
				{ figure: doc.useBy === null ? "none named" : reading.date(doc.useBy), label: "use by" },
				{ figure: doc.accepted ? "taken in" : "▲ sent back", label: "decided" },
			],
			from: `${doc.supplier || "supplier not named"}${doc.supplierLot ? `, their lot ${doc.supplierLot}` : ""}`,
			note: doc.note,
			lots: lots.map(({ at: madeAt, doc: { lot, dish, sitting } }) => ({
				lot,
				words: `${dish}, made ${reading.day(madeAt)}${sitting ? ` for ${sitting}` : ""}`,
			})),
		},
	};
}

const Entry = Type.Object({
	name: Type.String({ minLength: 1, maxLength: 120, allowed: "what was delivered, in 1 to 120 characters" }),
	supplier: Type.String({ maxLength: 80, allowed: "up to 80 characters" }),
	supplierLot: Type.String({ maxLength: 60, allowed: "up to 60 characters" }),
	kg: Type.Number({ exclusiveMinimum: 0, maximum: 5000, allowed: "a weight above 0 and up to 5,000 kg" }),
	C: Type.Optional(Type.Number({ allowed: "a temperature, such as 3.5" })),
	useBy: Type.Optional(Type.String({ typedAs: "day", allowed: "a day, such as 8 Dec" })),
	sentBack: Type.Boolean(),
	note: Type.String({ maxLength: 400, allowed: "up to 400 characters" }),
});

export async function action({ context, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	const { store, house, reading, who } = visit;
	const form = await formOf(request);
	if (form.get("useBy") === "") form.delete("useBy");
	const typed = typedIn(form);
	const read = readForm(Entry, form);
	if ("wrong" in read) return refused(read.typed, read.wrong);
	return doneOrSaid(typed, reading, async () => {
		const { name, supplier, supplierLot, kg, C, useBy, sentBack, note } = read.value;
		const at = momentTyped(typed, house.timeZone, Date.now());
		const ingredients = await readIngredientRows(store.db);
		const known = ingredients.find((one) => one.name.toLowerCase() === name.toLowerCase());
		if (!known) throw refuse("name", `“${name}” is no ingredient of the book; one of its names is allowed`);
		await writeRecord(store, who, clientIdOf(typed), (next) => [
			{
				at,
				doc: {
					...{ kind: "delivery", delivery: next.delivery, ingredientId: known.id, name: known.name },
					...{ supplier, supplierLot, kg, note, accepted: !sentBack },
					C: C === undefined ? null : reading.celsiusOf(C),
					useBy: useBy ?? null,
				},
			},
		]);
		return redirect("/records");
	});
}

/** What came in at the door: how warm, from whom, and what was made of it. */
export default function Delivery({ loaderData, actionData }: Route.ComponentProps) {
	const { kept, title, names, degrees, clientId } = loaderData;
	const typed = actionData?.typed ?? {};
	const wrong = actionData?.wrong ?? {};
	if (kept) {
		return (
			<Page>
				<PageHead title={title} says={kept.about}>
					<ActLink to="/records">All records</ActLink>
				</PageHead>
				<Sheet marginTop="12px">
					<Facts facts={kept.facts} />
					<chakra.p marginTop="10px">
						<b>From: </b>
						{kept.from}
					</chakra.p>
					{kept.note ? <p>{kept.note}</p> : null}
					<Heading marginTop="16px">Made of it</Heading>
					<ul>
						{kept.lots.map(({ lot, words }) => (
							<li key={lot}>
								<Link to={`/records/lots/${lot}`}>Lot {lot}</Link> {words}
							</li>
						))}
					</ul>
					{kept.lots.length === 0 ? <p>No lot names it.</p> : null}
				</Sheet>
			</Page>
		);
	}
	return (
		<Page>
			<PageHead title={title}>
				<ActLink to="/records" kind="quiet">
					Leave it
				</ActLink>
			</PageHead>
			<Sheet marginTop="12px" maxWidth="720px">
				<Form method="post">
					<input type="hidden" name="clientId" value={clientId} />
					<chakra.div display="grid" gap="12px 14px" gridTemplateColumns={{ base: "1fr", sm: "1fr 1fr" }}>
						<Field
							label="What"
							name="name"
							list="delivered-names"
							aria-required
							defaultValue={typed.name}
							wrong={wrong.name}
						/>
						<Field
							label="Weight"
							name="kg"
							inputMode="decimal"
							after="kg"
							defaultValue={typed.kg}
							wrong={wrong.kg}
						/>
						<Field
							label="Core or between packs (empty: not measured)"
							name="C"
							inputMode="decimal"
							after={degrees}
							defaultValue={typed.C}
							wrong={wrong.C}
						/>
						<DayField
							label="Use by, as it says"
							name="useBy"
							defaultValue={typed.useBy}
							wrong={wrong.useBy}
						/>
						<Field
							label="Supplier"
							name="supplier"
							maxLength={80}
							defaultValue={typed.supplier}
							wrong={wrong.supplier}
						/>
						<Field
							label="Their lot or batch"
							name="supplierLot"
							maxLength={60}
							defaultValue={typed.supplierLot}
							wrong={wrong.supplierLot}
						/>
						<MomentField label="Came (empty: just now)" typed={typed} wrong={wrong} />
						<Field label="Note" name="note" maxLength={400} defaultValue={typed.note} wrong={wrong.note} />
						<chakra.label display="flex" gap="10px" alignItems="center" minHeight="44px" alignSelf="end">
							<chakra.input
								type="checkbox"
								name="sentBack"
								defaultChecked={typed.sentBack === "on"}
								width="22px"
								height="22px"
							/>
							It was sent back
						</chakra.label>
					</chakra.div>
					<datalist id="delivered-names">
						{names.map((name) => (
							<option key={name} value={name} />
						))}
					</datalist>
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
