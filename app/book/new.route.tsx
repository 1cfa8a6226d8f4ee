import { chakra } from "@chakra-ui/react/styled-system";
import { Type } from "@sinclair/typebox";
import { data, Form, redirect } from "react-router";
import { Name, oneOf } from "#core/check";
import { measuresOf } from "#core/quantity";
import { type Draft, draftOf, emptyDraft, isPreparation, Slug } from "#core/recipe";
import { freeRecipeId, readIngredients, readRecipe, type Store, saveDraft } from "#db";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { readForm } from "../ui/forms/form.ts";
import { Act, Key, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { foundOr404, visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/new.route";
import { changeField } from "./draftEdits.ts";

export const meta: Route.MetaFunction = () => [{ title: "Write a recipe · Book" }];

const NewForm = Type.Object({
	name: Name,
	kind: oneOf(["dish", "preparation"] as const),
	/** The card it begins from; an empty one where it is left out. */
	from: Type.Optional(Slug),
});

export async function loader({ context, request }: Route.LoaderArgs) {
	const { store } = await visitOf(context);
	const from = new URL(request.url).searchParams.get("from");
	if (from === null) return { copied: null };
	const { doc } = await foundOr404(readRecipe(store.db, from), "recipe");
	return {
		copied: {
			id: from,
			name: doc.name,
			kind: isPreparation(doc) ? ("preparation" as const) : ("dish" as const),
		},
	};
}

export async function action({ context, request }: Route.ActionArgs) {
	const { store, who, reading } = await visitOf(context);
	const read = readForm(NewForm, await formOf(request));
	if ("wrong" in read) return data(read, { status: 400 });
	const { name, kind, from } = read.value;
	const id = await freeRecipeId(store.db, name);
	const begun = from === undefined ? emptyDraft(kind) : await copyOf(store, from);
	const draft = changeField(begun, "measures", measuresOf(reading.units));
	await saveDraft(store, id, 0, changeField(draft, "name", name), { who, basedOn: null });
	return redirect(`/book/${id}/write`);
}

/** Another card as a draft of its own. */
async function copyOf({ db }: Store, id: string): Promise<Draft> {
	const [{ doc }, known] = await Promise.all([foundOr404(readRecipe(db, id), "recipe"), readIngredients(db)]);
	return draftOf(doc, known);
}

export default function NewRecipe({ loaderData: { copied }, actionData }: Route.ComponentProps) {
	const typed = actionData?.typed ?? {};
	return (
		<Page maxWidth="720px">
			<Title>{copied ? `A new card from ${copied.name}` : "Write a recipe"}</Title>
			<Form method="post">
				<Sheet marginTop="14px" display="grid" gap="14px">
					<Field
						label="What it is called"
						name="name"
						required
						autoFocus
						maxLength={120}
						defaultValue={typed.name ?? ""}
						wrong={actionData?.wrong.name}
					/>
					{copied ? (
						<>
							<input type="hidden" name="kind" value={copied.kind} />
							<input type="hidden" name="from" value={copied.id} />
							<p>It begins as {copied.name} stands now, and goes its own way from there.</p>
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
		</Page>
	);
}
