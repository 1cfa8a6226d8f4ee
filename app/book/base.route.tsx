import { chakra } from "@chakra-ui/react/styled-system";
import { data, Form, redirect } from "react-router";
import { difference, draftOf, isSame, takeBaseChange } from "#core/recipe";
import { readDish, readDraftOf, readIngredients, readKitchen, Stale, type Store, saveDraft } from "#db";
import { PageHead } from "../ui/parts/PageHead.tsx";
import { Act, ActLink, Note, Page, Sheet } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { foundOr404, visitOf } from "../ui/server/visit.ts";
import { fieldWords } from "../ui/words/fieldWords.ts";
import type { Route } from "./+types/base.route";
import { ComparedTable } from "./ComparedTable.tsx";
import { compareView } from "./compareView.ts";

export const meta: Route.MetaFunction = ({ loaderData }) => [
	{ title: loaderData ? `${loaderData.name} and its base · Book` : "Book" },
];

/** A variant, the version of its base that it has seen, and the one in use. */
async function variantAndBase(store: Store, id: string) {
	const own = await foundOr404(readDish(store.db, id), "recipe");
	const { variantOf } = own.doc;
	if (!variantOf) throw data({ missing: "base: this card is no variant" }, { status: 404 });
	const [seen, now, known] = await Promise.all([
		foundOr404(readDish(store.db, variantOf.recipe, variantOf.number), "base of this variant"),
		foundOr404(readDish(store.db, variantOf.recipe), "base of this variant"),
		readIngredients(store.db),
	]);
	return { own, seen, now, known };
}

export async function loader({ context, params }: Route.LoaderArgs) {
	const { store, reading, house } = await visitOf(context);
	const kitchen = await readKitchen(store.db);
	const costing = { kitchen, reading, currency: house.currency, menuPrice_minor: null };
	const { own, seen, now, known } = await variantAndBase(store, params.recipeId);
	const base = { recipe: now.recipeId, number: now.number };
	const { left, recipe } = takeBaseChange(own.doc, seen.doc, now.doc, base);
	const changed = difference(seen.doc, now.doc, known);
	return {
		id: own.recipeId,
		name: own.doc.name,
		base: { id: now.recipeId, name: now.doc.name, seen: seen.number, now: now.number },
		nothing: isSame(changed),
		changed: compareView(seen.doc, now.doc, costing),
		takes: !isSame(difference({ ...own.doc, variantOf: base }, recipe, known)),
		left: left.map((field) => known.get(field)?.name ?? fieldWords(field)),
		hasDraft: (await readDraftOf(store.db, own.recipeId)) !== undefined,
	};
}

/** Puts the base's change, or only that it was seen, into a draft of the variant. */
export async function action({ context, params, request }: Route.ActionArgs) {
	const { store, who } = await visitOf(context);
	const intent = String((await formOf(request)).get("intent") ?? "take");
	const { own, seen, now, known } = await variantAndBase(store, params.recipeId);
	const base = { recipe: now.recipeId, number: now.number };
	const doc =
		intent === "leave"
			? { ...own.doc, variantOf: base }
			: takeBaseChange(own.doc, seen.doc, now.doc, base).recipe;
	const draft = draftOf(doc, known);
	try {
		await saveDraft(store, own.recipeId, 0, draft, { who, basedOn: own.number });
	} catch (error) {
		if (!(error instanceof Stale)) throw error;
		return data({ isWritten: true }, { status: 409 });
	}
	return redirect(`/book/${own.recipeId}/write`);
}

export default function Base({ loaderData: view, actionData }: Route.ComponentProps) {
	return (
		<Page>
			<PageHead
				title={view.name}
				says={`A variant of ${view.base.name}. It has seen no. ${view.base.seen}; no. ${view.base.now} is in use.`}
			>
				<ActLink to={`/book/${view.id}`}>Back to the card</ActLink>
			</PageHead>
			{actionData?.isWritten || view.hasDraft ? (
				<Note role="alert" marginTop="12px">
					A draft of this card is being written. Number it or throw it away first.
				</Note>
			) : null}
			{view.nothing ? (
				<Sheet marginTop="12px">
					<p>Nothing has changed on {view.base.name} since.</p>
				</Sheet>
			) : (
				<Sheet marginTop="12px" display="grid" gap="12px">
					<ComparedTable parts={view.changed} from={`No. ${view.base.seen}`} to={`No. ${view.base.now}`} />
					{!view.takes ? (
						<p>This card goes its own way in all of it, so nothing would change here.</p>
					) : (
						<p>
							Taken, this card changes where it still says what the base said.
							{view.left.length > 0 ? ` It keeps its own way with ${view.left.join(", ")}.` : ""}
						</p>
					)}
					<Form method="post">
						<chakra.div display="flex" flexWrap="wrap" gap="8px">
							<Act kind="next" name="intent" value="take" disabled={view.hasDraft}>
								Take it into a draft
							</Act>
							<Act name="intent" value="leave" disabled={view.hasDraft}>
								Leave it as it is here
							</Act>
							<ActLink to={`/book/${view.base.id}`}>Look at the base</ActLink>
						</chakra.div>
					</Form>
				</Sheet>
			)}
		</Page>
	);
}
