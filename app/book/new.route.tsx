import { chakra } from "@chakra-ui/react/styled-system";
import { Type } from "@sinclair/typebox";
import { data, Form, Link, redirect } from "react-router";
import { Name, oneOf } from "#core/check";
import { measuresOf } from "#core/quantity";
import { type Draft, draftOf, emptyDraft, isPreparation, Slug, sideDraft, USUAL_SIDES } from "#core/recipe";
import { freeRecipeId, readIngredients, readRecipe, type Store, saveDraft } from "#db";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { readForm } from "../ui/forms/form.ts";
import { Act, Heading, Key, Muted, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { foundOr404, visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/new.route";
import { changeField } from "./draftEdits.ts";

export const meta: Route.MetaFunction = () => [{ title: "Write a recipe · Book" }];

const NewForm = Type.Object({
	name: Name,
	kind: oneOf(["dish", "preparation"] as const),
	/** The card it begins from, or the usual side; an empty one where both are left out. */
	from: Type.Optional(Slug),
	side: Type.Optional(Type.String({ maxLength: 40 })),
	as: Type.Optional(oneOf(["", "variant"] as const)),
});

export async function loader({ context, request }: Route.LoaderArgs) {
	const { store } = await visitOf(context);
	const search = new URL(request.url).searchParams;
	const [from, side] = [search.get("from"), search.get("side")];
	if (side !== null) {
		if (!sideDraft(side)) throw data({ missing: "side" }, { status: 404 });
		return { copied: null, side: { key: side, name: USUAL_SIDES[side]?.name ?? "" }, sides: [] };
	}
	if (from === null) return { copied: null, side: null, sides: sidesToChoose() };
	const { doc } = await foundOr404(readRecipe(store.db, from), "recipe");
	return {
		side: null,
		sides: [],
		copied: {
			id: from,
			name: doc.name,
			isVariant: search.get("as") === "variant" && !isPreparation(doc),
			kind: isPreparation(doc) ? ("preparation" as const) : ("dish" as const),
		},
	};
}

export async function action({ context, request }: Route.ActionArgs) {
	const { store, who, reading } = await visitOf(context);
	const read = readForm(NewForm, await formOf(request));
	if ("wrong" in read) return data(read, { status: 400 });
	const { name, kind, from, side, as } = read.value;
	const id = await freeRecipeId(store.db, name);
	const begun =
		from === undefined
			? (sideDraft(side ?? "") ?? emptyDraft(kind))
			: await copyOf(store, from, as === "variant");
	const draft = changeField(begun, "measures", measuresOf(reading.units));
	await saveDraft(store, id, 0, changeField(draft, "name", name), { who, basedOn: null });
	return redirect(`/book/${id}/write`);
}

function sidesToChoose() {
	return Object.entries(USUAL_SIDES).map(([key, { name, summary }]) => ({ key, name, summary }));
}

/** Another card as a draft of its own, or of a variant: a variant of a variant goes back to the same base. */
async function copyOf({ db }: Store, id: string, asVariant: boolean): Promise<Draft> {
	const [{ doc, number }, known] = await Promise.all([
		foundOr404(readRecipe(db, id), "recipe"),
		readIngredients(db),
	]);
	const draft = draftOf(doc, known);
	if (!asVariant || isPreparation(doc) || doc.variantOf) return draft;
	return changeField(draft, "variantOf", `${id} ${number}`);
}

function titleOf(
	copied: { readonly name: string; readonly isVariant: boolean } | null,
	side: { readonly name: string } | null,
): string {
	if (copied?.isVariant) return `A variant of ${copied.name}`;
	const from = copied ?? side;
	return from ? `A new card from ${from.name}` : "Write a recipe";
}

export default function NewRecipe({ loaderData: { copied, side, sides }, actionData }: Route.ComponentProps) {
	const typed = actionData?.typed ?? {};
	return (
		<Page maxWidth="720px">
			<Title>{titleOf(copied, side)}</Title>
			<Form method="post">
				<Sheet marginTop="14px" display="grid" gap="14px">
					<Field
						label="What it is called"
						name="name"
						aria-required
						autoFocus
						maxLength={120}
						defaultValue={typed.name ?? side?.name ?? ""}
						wrong={actionData?.wrong.name}
					/>
					{side ? (
						<>
							<input type="hidden" name="kind" value="preparation" />
							<input type="hidden" name="side" value={side.key} />
							<p>Usual amounts for ten portions, with its steps; correct what you do otherwise.</p>
						</>
					) : copied ? (
						<>
							<input type="hidden" name="kind" value={copied.kind} />
							<input type="hidden" name="from" value={copied.id} />
							<input type="hidden" name="as" value={copied.isVariant ? "variant" : ""} />
							<p>
								{copied.isVariant
									? `It begins as ${copied.name} stands now. When that changes, the change is offered here.`
									: `It begins as ${copied.name} stands now, and goes its own way from there.`}
							</p>
						</>
					) : (
						<Choice
							label="It is"
							name="kind"
							defaultValue={typed.kind ?? "dish"}
							wrong={actionData?.wrong.kind}
						>
							<option value="dish">a braised dish, planned on sittings</option>
							<option value="preparation">
								made in the house for other recipes: a stock, a rub, a purée
							</option>
						</Choice>
					)}
					<chakra.div>
						<Act kind="next">
							Begin <Key aria-hidden>↵</Key>
						</Act>
					</chakra.div>
				</Sheet>
			</Form>
			{sides.length === 0 ? null : (
				<Sheet marginTop="10px">
					<Heading>Or begin from a usual side</Heading>
					<chakra.ul marginTop="6px">
						{sides.map(({ key, name, summary }) => (
							<chakra.li key={key} borderTop="1px solid" borderColor="hair" paddingBlock="8px">
								<Link to={`?side=${key}`}>
									<b>{name}</b>
								</Link>{" "}
								<Muted>{summary}</Muted>
							</chakra.li>
						))}
					</chakra.ul>
				</Sheet>
			)}
		</Page>
	);
}
