import { chakra } from "@chakra-ui/react/styled-system";
import { useRef } from "react";
import { Form, Link, redirect } from "react-router";
import { dayTyped, wallClock } from "#core/time";
import {
	addPrice,
	changeIngredient,
	mergeIngredients,
	readIngredient,
	readIngredientRows,
	readPrices,
	readWhereUsed,
} from "#db";
import { DayField } from "../ui/forms/DayField.tsx";
import { FallNote } from "../ui/forms/FallSheet.tsx";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { confirmedIn } from "../ui/forms/fall.ts";
import { typedIn, versionOf, type Wrong } from "../ui/forms/form.ts";
import { StaleNote } from "../ui/forms/StaleNote.tsx";
import { Unsaved } from "../ui/forms/Unsaved.tsx";
import { type Column, ColumnTable } from "../ui/parts/ColumnTable.tsx";
import { PageHead } from "../ui/parts/PageHead.tsx";
import { Act, ActLink, Figure, Heading, Key, Muted, Note, Page, Sheet } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { doneOrSaid, refused } from "../ui/server/said.server.ts";
import { foundOr404, type HouseVisit, visitOf } from "../ui/server/visit.ts";
import { minorUnitsOf, money, pricePerWeight } from "../ui/words/reading.ts";
import type { Route } from "./+types/ingredient.route";
import { IngredientFields } from "./IngredientFields.tsx";
import { readIngredientForm, readPriceForm, typedOf } from "./ingredientForm.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `${loaderData.name} · Ingredients` : "Ingredients" },
];

export async function loader({ context, params }: Route.LoaderArgs) {
	const { store, house, reading } = await visitOf(context);
	const row = await foundOr404(readIngredient(store.db, params.ingredientId), "ingredient");
	const [prices, used, others] = await Promise.all([
		readPrices(store.db, row.id),
		readWhereUsed(store.db, row.id),
		readIngredientRows(store.db),
	]);
	const perWeight = ({ price_minor, pack_g }: (typeof prices)[number]) =>
		pricePerWeight((price_minor / pack_g) * 1000, house.currency, reading.units);
	const held = prices.find(({ from }) => from <= reading.now);
	return {
		id: row.id,
		name: row.name,
		version: row.version,
		mergedInto: others.find(({ id }) => id === row.mergedInto) ?? null,
		typed: typedOf(row, reading.units),
		today: wallClock(reading.now, house.timeZone).date,
		currency: house.currency,
		price: held ? perWeight(held) : null,
		prices: prices.map((price) => ({
			id: price.id,
			from: dayTyped(wallClock(price.from, house.timeZone).date),
			pack: reading.mass(price.pack_g / 1000),
			price: money(price.price_minor, house.currency),
			perWeight: perWeight(price),
			who: price.who,
		})),
		used: used.map(({ id, name, number }) => ({ id, name, number })),
		others: others.filter(({ id }) => id !== row.id).map(({ id, name }) => ({ id, name })),
	};
}

export async function action({ context, params, request }: Route.ActionArgs) {
	const visit = await visitOf(context);
	const form = await formOf(request);
	const typed = typedIn(form);
	return doneOrSaid(typed, visit.reading, async () => {
		const wrong = await change(visit, params.ingredientId, form);
		if (wrong) return refused(typed, wrong);
		const into = form.get("intent") === "merge" ? String(form.get("into")) : params.ingredientId;
		return redirect(`/book/ingredients/${into}`);
	});
}

/** Does what the pressed button asks; gives what is wrong with what was typed. */
async function change({ store, who, house }: HouseVisit, id: string, form: FormData) {
	const intent = form.get("intent");
	const confirmed = confirmedIn(typedIn(form));
	const row = await foundOr404(readIngredient(store.db, id), "ingredient");
	if (intent === "merge") {
		await foundOr404(
			mergeIngredients(store, id, String(form.get("into") ?? ""), who, confirmed),
			"ingredient",
		);
		return undefined;
	}
	if (intent === "price") {
		const read = readPriceForm(form, {
			density: row.density_g_per_ml,
			timeZone: house.timeZone,
			minorUnits: minorUnitsOf(house.currency),
		});
		if ("wrong" in read) return read.wrong;
		await addPrice(store, id, who, read.value);
		return undefined;
	}
	const read = readIngredientForm(form);
	if ("wrong" in read) return read.wrong;
	await changeIngredient(store, id, versionOf(typedIn(form)), who, read.value, confirmed);
	return undefined;
}

export default function IngredientPage({ loaderData: view, actionData }: Route.ComponentProps) {
	const form = useRef<HTMLFormElement>(null);
	const typed = { ...view.typed, ...actionData?.typed };
	const wrong: Wrong = actionData?.wrong ?? {};
	return (
		<Page>
			<PageHead title={view.name}>
				<ActLink to={`/records/recall?what=ingredient&find=${encodeURIComponent(view.name)}`}>
					Where it went
				</ActLink>
				<ActLink to="/book/ingredients">All ingredients</ActLink>
			</PageHead>
			{view.mergedInto ? (
				<Note marginTop="12px">
					This was merged into{" "}
					<Link to={`/book/ingredients/${view.mergedInto.id}`}>{view.mergedInto.name}</Link>; recipes that
					name it mean that one.
				</Note>
			) : null}
			<FallNote answered={actionData} />
			{actionData?.stale ? (
				<chakra.div marginTop="12px">
					<StaleNote stale={actionData.stale} />
				</chakra.div>
			) : null}
			<chakra.div
				display="grid"
				gap="10px"
				marginTop="12px"
				alignItems="start"
				gridTemplateColumns={{ base: "minmax(0,1fr)", lg: "minmax(0, 7fr) minmax(0, 5fr)" }}
			>
				<Unsaved form={form} saved={actionData === undefined} />
				<Form method="post" key={view.version} ref={form}>
					<input type="hidden" name="version" value={actionData?.stale?.version ?? view.version} />
					<Sheet display="grid" gap="14px">
						<IngredientFields typed={typed} wrong={wrong} />
						<div>
							<Act kind="next" name="intent" value="save" aria-keyshortcuts="a">
								Save <Key aria-hidden>a</Key>
							</Act>
						</div>
					</Sheet>
				</Form>
				<chakra.div display="grid" gap="10px">
					<Prices view={view} typed={actionData?.typed ?? {}} wrong={wrong} />
					<Sheet>
						<Heading>In {view.used.length === 1 ? "one recipe" : `${view.used.length} recipes`}</Heading>
						<ul>
							{view.used.slice(0, 60).map(({ id, name }) => (
								<li key={id}>
									<Link to={`/book/${id}`}>{name}</Link>
								</li>
							))}
						</ul>
						{view.used.length > 60 ? <Muted>and {view.used.length - 60} more</Muted> : null}
					</Sheet>
					{view.mergedInto ? null : <Merge view={view} wrong={wrong.into} />}
				</chakra.div>
			</chakra.div>
		</Page>
	);
}

type View = Route.ComponentProps["loaderData"];

interface PricesProps {
	readonly view: View;
	readonly typed: Readonly<Record<string, string>>;
	readonly wrong: Readonly<Record<string, string>>;
}

function Prices({ view, typed, wrong }: PricesProps) {
	return (
		<Sheet display="grid" gap="10px">
			<Heading>Price</Heading>
			<p>
				{view.price ? (
					<>
						<Figure size="large">{view.price}</Figure> <Muted>as purchased</Muted>
					</>
				) : (
					<b>Not known yet; dishes with it say so.</b>
				)}
			</p>
			<Form method="post">
				<chakra.div display="grid" gap="10px" gridTemplateColumns="1fr 1fr" alignItems="end">
					<Field
						label="A pack of"
						name="pack"
						defaultValue={typed.pack ?? view.typed.pack}
						wrong={wrong.pack}
					/>
					<Field
						label="costs"
						name="price"
						after={view.currency}
						inputMode="decimal"
						defaultValue={typed.price}
						wrong={wrong.price}
					/>
					<DayField label="from" name="from" defaultValue={typed.from ?? view.today} wrong={wrong.from} />
					<Act name="intent" value="price">
						Add the price
					</Act>
				</chakra.div>
			</Form>
			{view.prices.length > 0 ? (
				<ColumnTable columns={PRICE_COLUMNS} rows={view.prices} keyOf={({ id }) => id} />
			) : null}
		</Sheet>
	);
}

const PRICE_COLUMNS: readonly Column<View["prices"][number]>[] = [
	{ words: "From", cell: ({ from }) => from },
	{ words: "Pack", number: true, cell: ({ pack }) => pack },
	{ words: "Price", number: true, cell: ({ price }) => price },
	{ words: "By weight", number: true, cell: ({ perWeight }) => perWeight },
];

function Merge({ view, wrong }: { readonly view: View; readonly wrong: string | undefined }) {
	return (
		<Form method="post">
			<Sheet display="grid" gap="10px">
				<Heading>The same as another</Heading>
				<Muted>
					Recipes that name {view.name} then mean the other one. Versions stay as they are; its history is
					kept.
				</Muted>
				<Choice label="Merge it into" name="into" defaultValue="" wrong={wrong}>
					<option value="" disabled>
						choose the one that stays
					</option>
					{view.others.map(({ id, name }) => (
						<option key={id} value={id}>
							{name}
						</option>
					))}
				</Choice>
				<div>
					<Act name="intent" value="merge">
						Merge
					</Act>
				</div>
			</Sheet>
		</Form>
	);
}
