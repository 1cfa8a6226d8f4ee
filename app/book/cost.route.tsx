import { chakra } from "@chakra-ui/react/styled-system";
import { Type } from "@sinclair/typebox";
import { lazy, Suspense, useEffect, useState } from "react";
import { data, Form, Link, redirect } from "react-router";
import { compareCuts, costOfPlan } from "#core/cost";
import { fromBase, toBase, written } from "#core/quantity";
import { durationsWords } from "#core/time";
import { readDish, readKitchen, readRecipeRow, setMenuPrice } from "#db";
import { Field, Slot } from "../ui/forms/Field.tsx";
import { readForm } from "../ui/forms/form.ts";
import { type Column, ColumnTable } from "../ui/parts/ColumnTable.tsx";
import { Facts } from "../ui/parts/Facts.tsx";
import { PageHead } from "../ui/parts/PageHead.tsx";
import { Act, ActLink, Heading, Muted, Note, Page, Sheet } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { foundOr404, visitOf } from "../ui/server/visit.ts";
import { ALONE } from "../ui/words/alone.ts";
import { minorUnitsOf, money, percent } from "../ui/words/reading.ts";
import type { Route } from "./+types/cost.route";
import { type CardSize, hasSize, readSize } from "./cardSize.ts";
import { AS_WRITTEN, cardOrWhy, costView, planCard } from "./dishCard.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `${loaderData.name}, cost · Book` : "Book" },
];

export async function loader({ context, params, request }: Route.LoaderArgs) {
	const { store, reading, house } = await visitOf(context);
	const { doc, number } = await foundOr404(readDish(store.db, params.recipeId), "dish");
	const [kitchen, row] = await Promise.all([readKitchen(store.db), readRecipeRow(store.db, params.recipeId)]);
	const address = new URL(request.url).searchParams;
	const read = hasSize(address) ? readSize(address, reading.units) : null;
	const size: CardSize = read && "value" in read ? read.value : AS_WRITTEN;
	const { currency } = house;
	const costing = { kitchen, reading, currency, menuPrice_minor: row.menuPrice_minor };
	const plan = cardOrWhy(doc, size, (tried) => planCard(doc, tried, costing)).made;
	const cost = costOfPlan(plan, doc, row.menuPrice_minor);
	const perUnit = (minor: number) =>
		money(reading.units === "us" ? minor * fromBase(toBase(1, "lb"), "kg") : minor, currency);
	const cuts = compareCuts(doc, kitchen.known.byId);
	// They are held against each other, so all are told in one form.
	const times = durationsWords(...cuts.map(({ tender_min }) => tender_min));
	return {
		id: params.recipeId,
		number,
		name: doc.name,
		portions: plan.chain.portions,
		unit: reading.units === "us" ? "lb" : "kg",
		currency,
		menuPrice: row.menuPrice_minor === null ? "" : written(row.menuPrice_minor / minorUnitsOf(currency)),
		...costView(cost, currency),
		lines: [...cost.lines]
			.sort((a, b) => (b.cost_minor ?? 0) - (a.cost_minor ?? 0))
			.map((line, index) => ({
				key: `${index} ${line.name}`,
				name: line.name,
				edible: reading.mass(line.edible_kg),
				bought: reading.mass(line.asPurchased_kg),
				price: line.asPurchasedPerKg_minor === null ? "not known" : perUnit(line.asPurchasedPerKg_minor),
				ready: line.ediblePerKg_minor === null ? "" : perUnit(line.ediblePerKg_minor),
				cost: line.cost_minor === null ? "not known" : money(line.cost_minor, currency),
				share:
					line.cost_minor === null || cost.known_minor === 0
						? ""
						: percent(line.cost_minor / cost.known_minor),
			})),
		cuts: cuts.map((cut, index) => ({
			number: index + 1,
			name: cut.name,
			own: cut.own,
			bought: perUnit(cut.asPurchasedPerKg_minor),
			cooked: perUnit(cut.perCookedKg_minor),
			portion: money(cut.perPortion_minor, currency),
			portion_minor: cut.perPortion_minor,
			yield: percent(Math.round(cut.yield * 1000) / 1000),
			minutes: Math.round(cut.tender_min),
			time: times[index] ?? "",
		})),
	};
}

const PriceForm = Type.Object({
	menuPrice: Type.Optional(
		Type.Number({ exclusiveMinimum: 0, maximum: 100_000, allowed: "an amount of money above 0" }),
	),
});

export async function action({ context, params, request }: Route.ActionArgs) {
	const { store, house, who } = await visitOf(context);
	const form = await formOf(request);
	if (!form.has("menuPrice")) throw data({ missing: "price in what was sent" }, { status: 400 });
	const read = readForm(PriceForm, form);
	if ("wrong" in read) return data(read, { status: 400 });
	const { menuPrice } = read.value;
	const minor = menuPrice === undefined ? null : Math.round(menuPrice * minorUnitsOf(house.currency));
	await foundOr404(setMenuPrice(store, params.recipeId, minor, who), "recipe");
	return redirect(`/book/${params.recipeId}/cost`);
}

/** Charts are large, so they come only where there is one. */
const CutChart = lazy(() => import("./CutChart.tsx"));

export default function CostPage({ loaderData: view, actionData }: Route.ComponentProps) {
	const facts = [
		{ figure: view.perPortion, label: "a portion" },
		{ figure: view.perCookedKg, label: "a cooked kilo" },
		{ figure: view.total, label: `for ${view.portions} portions` },
		{ figure: view.shareOfMenu, label: "of the menu price" },
	].flatMap(({ figure, label }) => (figure === null ? [] : [{ figure, label }]));
	return (
		<Page>
			<PageHead
				title={view.name}
				says={`What no. ${view.number} costs for ${view.portions} portions, at today's prices`}
			>
				<ActLink to={`/book/${view.id}`}>The card</ActLink>
			</PageHead>
			{view.missing.length > 0 ? (
				<Note marginTop="12px">
					<b>No price for {view.missing.join(", ")}.</b> What has one comes to {view.known}; nothing is summed
					over a gap. <Link to="/book/ingredients?only=unpriced">Prices that are missing</Link>
				</Note>
			) : null}
			<Sheet marginTop="12px" display="flex" flexWrap="wrap" gap="14px 30px" alignItems="end">
				<Facts facts={facts} fontSize="26px" />
				<Form method="post" style={{ marginInlineStart: "auto" }}>
					<chakra.div display="flex" gap="8px" alignItems="end">
						<Slot width="170px">
							<Field
								label="Price on the menu"
								name="menuPrice"
								after={view.currency}
								inputMode="decimal"
								defaultValue={actionData?.typed.menuPrice ?? view.menuPrice}
								wrong={actionData?.wrong.menuPrice}
							/>
						</Slot>
						<Act>Keep</Act>
					</chakra.div>
				</Form>
			</Sheet>
			<chakra.div
				display="grid"
				gap="10px"
				marginTop="10px"
				alignItems="start"
				gridTemplateColumns={{ base: "minmax(0,1fr)", lg: "minmax(0, 1fr) minmax(0, 1fr)" }}
			>
				<Lines view={view} />
				<Cuts view={view} />
			</chakra.div>
		</Page>
	);
}

type View = Route.ComponentProps["loaderData"];

const lineColumns = (unit: string): Column<View["lines"][number]>[] => [
	{ words: "What", cell: ({ name }) => name },
	{ words: "Bought", number: true, cell: ({ bought }) => bought },
	{ words: `A ${unit}`, number: true, hideBelow: "md", cell: ({ price }) => price },
	{ words: "ready", number: true, hideBelow: "md", cell: ({ ready }) => ready },
	{ words: "Cost", number: true, cell: ({ cost }) => <b>{cost}</b> },
	{ words: "Share", number: true, hideBelow: "sm", cell: ({ share }) => share },
];

const cutColumns = (unit: string): Column<View["cuts"][number]>[] => [
	{ words: "No.", number: true, cell: ({ number }) => number },
	{ words: "Cut", cell: ({ name, own }) => (own ? <b>{name}, as on the card</b> : name) },
	{ words: `Bought, a ${unit}`, number: true, hideBelow: "sm", cell: ({ bought }) => bought },
	{ words: "Yield", number: true, hideBelow: "sm", cell: (cut) => cut.yield },
	{ words: "A portion", number: true, cell: ({ portion }) => <b>{portion}</b> },
	{ words: "Time", number: true, cell: ({ time }) => time },
];

function Lines({ view }: { readonly view: View }) {
	return (
		<Sheet>
			<Heading>Line by line, dearest first</Heading>
			<Muted display="block">Of the card as it is written, {ALONE}.</Muted>
			<ColumnTable columns={lineColumns(view.unit)} rows={view.lines} keyOf={({ key }) => key} />
		</Sheet>
	);
}

function Cuts({ view }: { readonly view: View }) {
	const [drawn, setDrawn] = useState(false);
	useEffect(() => setDrawn(true), []);
	return (
		<Sheet>
			<Heading>The same dish with another cut</Heading>
			<Muted display="block">
				A cooked portion after trim, bone and cooking loss, and the time to fork-tender. Cheap to buy is not
				cheap on the plate.
			</Muted>
			<chakra.div minHeight="386px" marginTop="8px">
				{drawn ? (
					<Suspense fallback={<Muted>Drawing…</Muted>}>
						<CutChart cuts={view.cuts} currency={view.currency} />
					</Suspense>
				) : null}
			</chakra.div>
			<ColumnTable columns={cutColumns(view.unit)} rows={view.cuts} keyOf={({ name }) => name} />
		</Sheet>
	);
}
