import { chakra } from "@chakra-ui/react/styled-system";
import { data, Form, redirect } from "react-router";
import { Refusal } from "#core/check";
import { parseWeight, type UnitSystem } from "#core/quantity";
import { changeSitting } from "#db";
import { OrderPaper } from "../papers/OrderPaper.tsx";
import { Field } from "../ui/forms/Field.tsx";
import { type Typed, typedIn, versionOf, type Wrong } from "../ui/forms/form.ts";
import { PrintPage } from "../ui/parts/Paper.tsx";
import { Act, ActLink, Muted, Sheet } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { heavily } from "../ui/server/heavily.ts";
import { doneOrSaid } from "../ui/server/said.server.ts";
import { foundOr404, visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/order.route";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `Order sheet · ${loaderData.name}` : "Order sheet" },
];

export function loader({ context, params, request }: Route.LoaderArgs) {
	const { search } = new URL(request.url);
	return heavily(context, "order", { id: params.sittingId, search }, request);
}

/** What is in the house already: it is taken off the order. */
export async function action({ context, params, request }: Route.ActionArgs) {
	const { store, who, reading } = await visitOf(context);
	const typed = typedIn(await formOf(request));
	const { inHouse_g, wrong } = readInHouse(typed, reading.units);
	if (Object.keys(wrong).length > 0) return data({ wrong, typed, stale: null }, { status: 400 });
	const { search } = new URL(request.url);
	return doneOrSaid(typed, reading, async () => {
		await foundOr404(
			changeSitting(store, params.sittingId, versionOf(typed), who, (now) => ({ ...now, inHouse_g })),
			"sitting",
		);
		return redirect(`/sittings/${params.sittingId}/order${search}`);
	});
}

/** Fields `here.INGREDIENT`, each a weight as purchased; an empty one is nothing. */
function readInHouse(typed: Typed, units: UnitSystem): { inHouse_g: Record<string, number>; wrong: Wrong } {
	const inHouse_g: Record<string, number> = {};
	const wrong: Record<string, string> = {};
	for (const [name, text] of Object.entries(typed)) {
		const id = /^here\.([a-z0-9-]{1,60})$/.exec(name)?.[1];
		if (id === undefined || text.trim() === "") continue;
		try {
			inHouse_g[id] = Math.round(parseWeight(text, name, units));
		} catch (error) {
			if (!(error instanceof Refusal)) throw error;
			wrong[name] = error.problems[0]?.message ?? "";
		}
	}
	return { inHouse_g, wrong };
}

export default function OrderSheet({ loaderData: view, actionData }: Route.ComponentProps) {
	const here = `/sittings/${view.id}/order`;
	const together = view.others.filter(({ isOn }) => isOn).map(({ id }) => `with=${id}`);
	const search = together.length > 0 ? `?${together.join("&")}` : "";
	return (
		<PrintPage
			paper={view.paper}
			back={{ to: `/sittings/${view.id}`, words: "Back to the sitting" }}
			here={here + search}
			also={
				<>
					<ActLink to={`${here}.xlsx${search}`} reloadDocument>
						As a spreadsheet
					</ActLink>
					<ActLink to={`${here}.csv${search}`} reloadDocument kind="quiet">
						As CSV
					</ActLink>
				</>
			}
		>
			<chakra.div className="screenOnly" display="grid" gap="10px" marginBottom="14px">
				<Together others={view.others} />
				<InHouse view={view} typed={actionData?.typed ?? {}} wrong={actionData?.wrong ?? {}} />
			</chakra.div>
			<OrderPaper view={view} />
		</PrintPage>
	);
}

type OrderView = Route.ComponentProps["loaderData"];

/** Other sittings that the same delivery can be for. */
function Together({ others }: Pick<OrderView, "others">) {
	if (others.length === 0) return null;
	return (
		<Sheet>
			<Form method="get">
				<chakra.fieldset display="flex" flexWrap="wrap" gap="6px 18px" alignItems="center">
					<chakra.legend fontWeight="650">In one delivery with</chakra.legend>
					{others.map(({ id, words, isOn }) => (
						<chakra.label key={id} display="flex" gap="8px" alignItems="center" minHeight="44px">
							<input type="checkbox" name="with" value={id} defaultChecked={isOn} />
							{words}
						</chakra.label>
					))}
					<Act>Order together</Act>
				</chakra.fieldset>
			</Form>
		</Sheet>
	);
}

interface InHouseProps {
	readonly view: OrderView;
	readonly typed: Typed;
	readonly wrong: Wrong;
}

/** What is in the house, by what is ordered. */
function InHouse({ view, typed, wrong }: InHouseProps) {
	const rows = [...view.groups.flatMap((group) => group.rows), ...view.here, ...view.store];
	const kept = Object.keys(view.inHouse).filter((id) => !rows.some((row) => row.id === id));
	return (
		<Sheet>
			<chakra.details open={Object.keys(wrong).length > 0 || undefined}>
				<summary>
					In the house already
					{Object.keys(view.inHouse).length > 0 ? (
						<Muted> · {Object.keys(view.inHouse).length} counted</Muted>
					) : null}
				</summary>
				<Form method="post">
					<input type="hidden" name="version" value={view.version} />
					{kept.map((id) => (
						<input key={id} type="hidden" name={`here.${id}`} value={view.inHouse[id]} />
					))}
					<chakra.div
						display="grid"
						gap="10px 14px"
						gridTemplateColumns="repeat(auto-fill, minmax(170px, 1fr))"
						marginBlock="10px"
					>
						{rows.map(({ id, name }) => (
							<Field
								key={id}
								label={name}
								name={`here.${id}`}
								defaultValue={typed[`here.${id}`] ?? view.inHouse[id] ?? ""}
								wrong={wrong[`here.${id}`]}
								autoComplete="off"
							/>
						))}
					</chakra.div>
					<Act>Take it off the order</Act>
				</Form>
			</chakra.details>
		</Sheet>
	);
}
