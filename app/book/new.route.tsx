import { chakra } from "@chakra-ui/react/styled-system";
import { Type } from "@sinclair/typebox";
import { data, Form, redirect } from "react-router";
import { Name, oneOf } from "#core/check";
import { measuresOf } from "#core/quantity";
import { emptyDraft } from "#core/recipe";
import { freeRecipeId, saveDraft } from "#db";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { readForm } from "../ui/forms/form.ts";
import { Act, Key, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/new.route";
import { changeField } from "./draftEdits.ts";

export const meta: Route.MetaFunction = () => [{ title: "Write a recipe · Book" }];

const NewForm = Type.Object({ name: Name, kind: oneOf(["dish", "preparation"] as const) });

export async function action({ context, request }: Route.ActionArgs) {
	const { store, who, reading } = await visitOf(context);
	const read = readForm(NewForm, await formOf(request));
	if ("wrong" in read) return data(read, { status: 400 });
	const { name, kind } = read.value;
	const id = await freeRecipeId(store.db, name);
	const draft = changeField(emptyDraft(kind), "measures", measuresOf(reading.units));
	await saveDraft(store, id, 0, changeField(draft, "name", name), { who, basedOn: null });
	return redirect(`/book/${id}/write`);
}

export default function NewRecipe({ actionData }: Route.ComponentProps) {
	const typed = actionData?.typed ?? {};
	return (
		<Page maxWidth="720px">
			<Title>Write a recipe</Title>
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
					<Choice
						label="It is"
						name="kind"
						defaultValue={typed.kind ?? "dish"}
						wrong={actionData?.wrong.kind}
					>
						<option value="dish">a braised dish, planned on sittings</option>
						<option value="preparation">made in the house for other recipes: a stock, a rub, a purée</option>
					</Choice>
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
