import { chakra } from "@chakra-ui/react/styled-system";
import { Form, redirect } from "react-router";
import { wallClock } from "#core/time";
import { addIngredient, addPrice, type HouseRow } from "#db";
import { typedIn } from "../ui/forms/form.ts";
import { Act, Key, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { doneOrSaid, refused } from "../ui/server/said.server.ts";
import { visitOf } from "../ui/server/visit.ts";
import { minorUnitsOf } from "../ui/words/reading.ts";
import type { Route } from "./+types/newIngredient.route";
import { IngredientFields } from "./IngredientFields.tsx";
import { readIngredientForm, readPriceForm } from "./ingredientForm.ts";

export const meta: Route.MetaFunction = () => [{ title: "A new ingredient · Book" }];

/** Only back to a page of the book. */
const BACK = /^\/book\/[a-z0-9-]{1,60}\/write$/;

export async function loader({ context, request }: Route.LoaderArgs) {
	const { house } = await visitOf(context);
	const address = new URL(request.url).searchParams;
	return { name: address.get("name") ?? "", back: address.get("back") ?? "", currency: house.currency };
}

export async function action({ context, request }: Route.ActionArgs) {
	const { store, who, reading, house } = await visitOf(context);
	const form = await formOf(request);
	const read = readIngredientForm(form);
	const density = "value" in read ? read.value.density_g_per_ml : null;
	const price = firstPrice(form, density, house, reading.now);
	const wrong = { ...(price && "wrong" in price ? price.wrong : {}), ...("wrong" in read ? read.wrong : {}) };
	if ("wrong" in read || (price && "wrong" in price)) return refused(typedIn(form), wrong);
	return doneOrSaid(typedIn(form), reading, async () => {
		const id = await addIngredient(store, who, read.value);
		if (price) await addPrice(store, id, who, price.value);
		const back = String(form.get("back") ?? "");
		return redirect(BACK.test(back) ? back : `/book/ingredients/${id}`);
	});
}

/** What a pack costs from today on; null when no price was typed. */
function firstPrice(form: FormData, density: number | null, house: HouseRow, now: number) {
	if (String(form.get("price") ?? "").trim() === "") return null;
	const typed = new FormData();
	for (const field of ["pack", "price"]) typed.set(field, String(form.get(field) ?? ""));
	typed.set("from", wallClock(now, house.timeZone).date);
	const minorUnits = minorUnitsOf(house.currency);
	return readPriceForm(typed, { density, timeZone: house.timeZone, minorUnits });
}

export default function NewIngredient({ loaderData, actionData }: Route.ComponentProps) {
	const typed: Record<string, string> = {
		name: loaderData.name,
		category: "",
		trim: "0",
		...actionData?.typed,
	};
	return (
		<Page maxWidth="900px">
			<Title>A new ingredient</Title>
			<Form method="post">
				<input type="hidden" name="back" value={loaderData.back} />
				<Sheet marginTop="14px" display="grid" gap="14px">
					<IngredientFields typed={typed} wrong={actionData?.wrong ?? {}} currency={loaderData.currency} />
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
