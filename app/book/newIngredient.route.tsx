import { chakra } from "@chakra-ui/react/styled-system";
import { Form, redirect } from "react-router";
import { addIngredient } from "#db";
import { typedIn } from "../ui/forms/form.ts";
import { Act, Key, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { doneOrSaid, refused } from "../ui/server/said.server.ts";
import { visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/newIngredient.route";
import { IngredientFields } from "./IngredientFields.tsx";
import { readIngredientForm } from "./ingredientForm.ts";

export const meta: Route.MetaFunction = () => [{ title: "A new ingredient · Book" }];

/** Only back to a page of the book. */
const BACK = /^\/book\/[a-z0-9-]{1,60}\/write$/;

export function loader({ request }: Route.LoaderArgs) {
	const address = new URL(request.url).searchParams;
	return { name: address.get("name") ?? "", back: address.get("back") ?? "" };
}

export async function action({ context, request }: Route.ActionArgs) {
	const { store, who, reading } = await visitOf(context);
	const form = await formOf(request);
	const read = readIngredientForm(form);
	if ("wrong" in read) return refused(read.typed, read.wrong);
	return doneOrSaid(typedIn(form), reading, async () => {
		const id = await addIngredient(store, who, read.value);
		const back = String(form.get("back") ?? "");
		return redirect(BACK.test(back) ? back : `/book/ingredients/${id}`);
	});
}

export default function NewIngredient({ loaderData, actionData }: Route.ComponentProps) {
	const typed: Record<string, string> = {
		name: loaderData.name,
		category: "vegetable",
		trim: "0",
		...actionData?.typed,
	};
	return (
		<Page maxWidth="900px">
			<Title>A new ingredient</Title>
			<Form method="post">
				<input type="hidden" name="back" value={loaderData.back} />
				<Sheet marginTop="14px" display="grid" gap="14px">
					<IngredientFields typed={typed} wrong={actionData?.wrong ?? {}} />
					<chakra.div>
						<Act kind="next" aria-keyshortcuts="a">
							Add it <Key aria-hidden>a</Key>
						</Act>
					</chakra.div>
				</Sheet>
			</Form>
		</Page>
	);
}
