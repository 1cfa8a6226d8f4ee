import { chakra } from "@chakra-ui/react/styled-system";
import { nanoid } from "nanoid";
import { data, Form, redirect } from "react-router";
import { refuse } from "#core/check";
import { carriedIn, declaredWords, fallsBetween, onDeclaredList } from "#core/recipe";
import { type DocOf, ofKind } from "#core/records";
import {
	type Confirmed,
	type Lowered,
	readInside,
	readLots,
	readMade,
	type Transaction,
	tellLowered,
	writeRecord,
} from "#db";
import { FallNote } from "../ui/forms/FallSheet.tsx";
import { Field } from "../ui/forms/Field.tsx";
import { confirmedIn } from "../ui/forms/fall.ts";
import { type Typed, typedIn } from "../ui/forms/form.ts";
import { PageHead } from "../ui/parts/PageHead.tsx";
import { Act, ActLink, Key, Page, Sheet } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { doneOrSaid } from "../ui/server/said.server.ts";
import { type HouseVisit, visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/lotAnew.route";
import { clientIdOf } from "./clientIdOf.ts";
import { NamedAllergens, PanRows, SourceTicks } from "./LotFields.tsx";
import { sourcesFor, sourcesTyped } from "./lotSources.ts";
import {
	declaresShown,
	declaresTyped,
	pansShown,
	pansTyped,
	portionsTyped,
	UNITS_TYPED,
	wordsTyped,
} from "./lotTyped.ts";
import { sourcesWritten } from "./newLotPage.ts";
import { numberIn } from "./numberIn.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Lot ${loaderData.lot}, written anew` : "Lot" },
];

/** A lot as it stands, and what it was or may have been made from. */
async function lotAndSources(visit: HouseVisit, lot: number) {
	const { store } = visit;
	const [made] = await readMade(store.db, [lot]);
	if (!made) throw data({ missing: "lot" }, { status: 404 });
	const { doc } = made;
	const { from, fromLots = [], ingredients = [] } = doc;
	const sources = await sourcesFor(visit, new Set(ingredients), { from, fromLots, lot });
	const inside = (await readInside(store.db, [doc]))(doc);
	return { made, doc, sources, declared: inside.declared };
}

export async function loader({ context, params }: Route.LoaderArgs) {
	const visit = await visitOf(context);
	const { doc, sources, declared } = await lotAndSources(visit, numberIn(params.lot));
	const { units } = visit.reading;
	return {
		...{ lot: doc.lot, clientId: nanoid(), sources, units: UNITS_TYPED[units] },
		rows: pansShown(doc.pans, units, doc.pans[0]?.tag.charAt(0)),
		typed: {
			name: doc.dish,
			portions: String(doc.portions),
			contents: doc.contents,
			cookedThrough: doc.cookedThrough ?? "",
			...declaresShown(declared),
		} as Typed,
	};
}

export async function action({ context, params, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	const form = await formOf(request);
	const typed = typedIn(form);
	const { store, who, reading, house } = visit;
	const { made, doc, sources, declared } = await lotAndSources(visit, numberIn(params.lot));
	return doneOrSaid(typed, reading, async () => {
		const declares = declaresTyped(typed, who, declared);
		const asked = await sourcesTyped(store.db, form, sources, { house, reading, at: made.at });
		const { fromLots: _, cookedThrough: __, ...own } = doc;
		const anew: DocOf<"lot"> = {
			...{ ...own, declares, dish: wordsTyped(typed, "name", 120) },
			...sourcesWritten(asked),
			contents: wordsTyped(typed, "contents", 20_000, 0),
			allergens: declares ? declaredWords(onDeclaredList(declares, house.allergenList)) : "",
			portions: portionsTyped(typed.portions),
			pans: pansTyped(typed, reading.units),
		};
		const reason = wordsTyped(typed, "reason", 400, 3);
		await writeRecord(store, who, clientIdOf(typed), async (_next, tx) => {
			await refuseLostPans(tx, doc, anew);
			await refuseFall(tx, doc, anew, { who, confirmed: confirmedIn(typed) });
			return [
				{
					at: Date.now(),
					doc: { kind: "instead", of: made.number, lot: doc.lot, doc: anew, reason },
				},
			];
		});
		return redirect(`/records/lots/${doc.lot}`);
	});
}

/** What was watched, moved or labelled stays a pan of it. */
async function refuseLostPans(tx: Transaction, before: DocOf<"lot">, after: DocOf<"lot">): Promise<void> {
	const entries = await readLots(tx, [before.lot]);
	const named = new Set([
		...ofKind(entries, "watch").map(({ doc }) => doc.tag),
		...ofKind(entries, "stage").flatMap(({ doc }) => doc.tags),
	]);
	const lost = before.pans.find(({ tag }) => named.has(tag) && !after.pans.some((pan) => pan.tag === tag));
	if (lost)
		throw refuse(
			"pan.0.tag",
			`pan ${lost.tag} was watched or moved and stays a pan of it; its weight can be changed`,
		);
}

/** Less is declared of a lot only under a name. */
async function refuseFall(
	tx: Transaction,
	before: DocOf<"lot">,
	after: DocOf<"lot">,
	{ who, confirmed }: { readonly who: string; readonly confirmed: Confirmed | undefined },
): Promise<void> {
	const was = (await readInside(tx, [before]))(before).declared;
	const is = (await readInside(tx, [after]))(after).declared;
	if (was === null || is === null) return;
	const falls = fallsBetween(carriedIn(was), carriedIn(is));
	const { lot, dish, sitting } = before;
	const lowered: Lowered[] =
		falls.length === 0 ? [] : [{ kind: "lot", id: String(lot), name: dish, where: sitting, falls }];
	await tellLowered(tx, lowered, { who, what: `lot ${lot} written anew`, confirmed }, null);
}

/** What was written of a lot and was not so: what it really was is written after it, and both stay. */
export default function LotAnew({ loaderData, actionData }: Route.ComponentProps) {
	const { lot, rows, sources, clientId, units } = loaderData;
	const typed: Typed = actionData ? actionData.typed : loaderData.typed;
	const wrong = actionData?.wrong ?? {};
	return (
		<Page>
			<PageHead title={`Lot ${lot}, written anew`} says="What was written stays in the record beside it">
				<ActLink to={`/records/lots/${lot}`} kind="quiet">
					Leave it
				</ActLink>
			</PageHead>
			<FallNote answered={actionData} />
			<Sheet marginTop="12px" maxWidth="860px">
				<Form method="post">
					<input type="hidden" name="clientId" value={clientId} />
					<chakra.div display="grid" gap="12px 14px" gridTemplateColumns={{ base: "1fr", sm: "1fr 1fr" }}>
						<Field
							label="What it is"
							name="name"
							maxLength={120}
							defaultValue={typed.name}
							wrong={wrong.name}
						/>
						<Field
							label="Portions"
							name="portions"
							inputMode="numeric"
							defaultValue={typed.portions}
							wrong={wrong.portions}
						/>
						<Field
							label="What is in it"
							name="contents"
							defaultValue={typed.contents}
							wrong={wrong.contents}
						/>
						<Field
							label="Because"
							name="reason"
							maxLength={400}
							defaultValue={typed.reason}
							wrong={wrong.reason}
						/>
					</chakra.div>
					<PanRows rows={rows} typed={typed} wrong={wrong} units={units} />
					<SourceTicks {...sources} typed={typed} wrong={wrong} />
					<NamedAllergens typed={typed} />
					<p>
						What the book and the packets say of its ingredients is declared besides. Its labels are void
						where they say another thing.
					</p>
					<Act kind="next" aria-keyshortcuts="a">
						Write it anew <Key aria-hidden>a</Key>
					</Act>
				</Form>
			</Sheet>
		</Page>
	);
}
