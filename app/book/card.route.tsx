import { chakra } from "@chakra-ui/react/styled-system";
import { Type } from "@sinclair/typebox";
import { data, Form } from "react-router";
import { cutWords } from "#core/braise";
import { Count } from "#core/check";
import { readIngredients, readRecipe } from "#db";
import { Facts } from "../ui/Facts.tsx";
import { Field } from "../ui/Field.tsx";
import { readForm } from "../ui/form.ts";
import { Act, Heading, Key, Muted, Page, Sheet, Table } from "../ui/parts.tsx";
import { StepWords } from "../ui/StepWords.tsx";
import { Tape } from "../ui/Tape.tsx";
import { foundOr404, visitOf } from "../ui/visit.ts";
import type { Route } from "./+types/card.route";
import { cardView } from "./cardView.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `${loaderData.name} · Book` : "Book" },
];

const Reading = Type.Object({ portions: Type.Optional(Count), version: Type.Optional(Count) });

export async function loader({ context, params, request }: Route.LoaderArgs) {
	const { store, reading } = await visitOf(context);
	const address = new URL(request.url).searchParams;
	const read = readForm(Reading, address);
	const asked = "value" in read ? read.value : {};
	if ("wrong" in read && read.wrong.version)
		throw data({ missing: "version of this recipe" }, { status: 404 });
	const version = await foundOr404(readRecipe(store.db, params.recipeId, asked.version), "recipe");
	const portions = asked.portions ?? version.doc.portions;
	return {
		id: version.recipeId,
		number: version.number,
		name: version.doc.name,
		summary: version.doc.summary,
		cut: cutWords(version.doc.cut),
		base: version.doc.portions,
		portions,
		typed: address.get("portions") ?? String(portions),
		wrong: "wrong" in read ? read.wrong.portions : undefined,
		...cardView(version.doc, portions, await readIngredients(store.db), reading),
	};
}

export default function Card({ loaderData: card }: Route.ComponentProps) {
	return (
		<Page>
			<chakra.div display="flex" flexWrap="wrap" gap="12px 28px" alignItems="flex-end">
				<chakra.div flex="1 1 420px" minWidth="0">
					<h1>
						<Tape size="large">{card.name}</Tape>
					</h1>
					<chakra.p marginTop="8px" maxWidth="66ch">
						{card.summary}
					</chakra.p>
					<Muted>
						Standard no. {card.number} · {card.cut} · written for {card.base} portions
					</Muted>
				</chakra.div>
				<Form className="screenOnly">
					<input type="hidden" name="version" value={card.number} />
					<chakra.div display="flex" gap="8px" alignItems="flex-end">
						<chakra.div width="150px">
							<Field
								label="Read it for"
								name="portions"
								inputMode="numeric"
								after="portions"
								defaultValue={card.typed}
								wrong={card.wrong}
								aria-keyshortcuts="c"
								data-key-name="Portions"
							/>
						</chakra.div>
						<Act>
							Scale <Key aria-hidden>↵</Key>
						</Act>
					</chakra.div>
				</Form>
			</chakra.div>
			<Sheet marginTop="14px">
				<Facts facts={card.facts} fontSize="19px" />
			</Sheet>
			<chakra.div
				display="grid"
				gap="10px"
				marginTop="10px"
				alignItems="start"
				gridTemplateColumns={{ base: "minmax(0,1fr)", lg: "minmax(0, 6fr) minmax(0, 5fr)" }}
			>
				<Sheet>
					<Heading>For {card.portions} portions</Heading>
					<Table marginTop="6px">
						<thead>
							<tr>
								<th scope="col">What</th>
								<th scope="col" className="number">
									Amount
								</th>
								<th scope="col" className="number">
									Of main
								</th>
							</tr>
						</thead>
						{card.groups.map(({ group, rows }) => (
							<tbody key={group}>
								<tr>
									<chakra.th scope="rowgroup" colSpan={3} paddingTop="12px !important">
										{group}
									</chakra.th>
								</tr>
								{rows.map((row) => (
									<tr key={row.name + row.preparation}>
										<td>
											{row.name} <Muted>{row.preparation}</Muted>
										</td>
										<td className="number">
											<b>{row.amount}</b>
										</td>
										<td className="number">{row.percentOfMain}</td>
									</tr>
								))}
							</tbody>
						))}
					</Table>
					<chakra.p color="muted" marginTop="8px">
						Braising liquid is the card's ratio; on a sitting it is what the pans need.
					</chakra.p>
				</Sheet>
				<chakra.div display="grid" gap="10px">
					<Sheet>
						<Heading>Method</Heading>
						<chakra.ol display="grid" gap="12px" marginTop="10px">
							{card.steps.map((step) => (
								<chakra.li key={step.text} borderTop="1px solid" borderColor="hair" paddingTop="8px">
									<Tape>{step.place}</Tape>
									<StepWords step={step} />
								</chakra.li>
							))}
						</chakra.ol>
					</Sheet>
					<Sheet>
						<Heading>Allergens</Heading>
						<ul>
							{card.allergens.map(({ name, from }) => (
								<li key={name}>
									<b>{name}</b> <Muted>from {from}</Muted>
								</li>
							))}
						</ul>
						{card.allergens.length === 0 ? <p>None of the fourteen in the lines of this card.</p> : null}
					</Sheet>
				</chakra.div>
			</chakra.div>
		</Page>
	);
}
