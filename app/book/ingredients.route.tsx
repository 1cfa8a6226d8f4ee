import { chakra } from "@chakra-ui/react/styled-system";
import { Form, Link } from "react-router";
import { ALLERGENS, CATEGORIES, CATEGORY_KEYS, carriedBy, nameHas, onList } from "#core/recipe";
import { countUses, readIngredientRows, readIngredients } from "#db";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { type Column, ColumnTable } from "../ui/parts/ColumnTable.tsx";
import { Pages } from "../ui/parts/Pages.tsx";
import { Act, ActLink, Key, Muted, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { visitOf } from "../ui/server/visit.ts";
import { pageIn } from "../ui/words/paging.ts";
import { counted, percent, pricePerWeight } from "../ui/words/reading.ts";
import type { Route } from "./+types/ingredients.route";

export const meta: Route.MetaFunction = () => [{ title: "Ingredients · Book" }];

/** Ingredients on one page. */
const PAGE = 200;

export async function loader({ context, request }: Route.LoaderArgs) {
	const { store, house, reading } = await visitOf(context);
	const address = new URL(request.url).searchParams;
	const find = address.get("find")?.trim() ?? "";
	const category = CATEGORY_KEYS.find((key) => key === address.get("category")) ?? "";
	const only = address.get("only") ?? "";
	const [rows, known, uses] = await Promise.all([
		readIngredientRows(store.db),
		readIngredients(store.db),
		countUses(store.db),
	]);
	const shown = rows
		.filter((row) => category === "" || row.category === category)
		.filter((row) => nameHas(row.name, find))
		.filter((row) => only !== "unpriced" || (known.get(row.id)?.pricePerKg_minor ?? null) === null)
		.filter((row) => only !== "unused" || !uses.has(row.id));
	const pages = pageIn(address, shown.length, PAGE);
	return {
		find,
		category,
		only,
		all: rows.length,
		count: shown.length,
		pages,
		rows: shown.slice(pages.from, pages.to).map((row) => {
			const price = known.get(row.id)?.pricePerKg_minor ?? null;
			return {
				id: row.id,
				name: row.name,
				category: CATEGORIES[row.category].words,
				price: price === null ? "not known" : pricePerWeight(price, house.currency, reading.units),
				trim: row.trimLoss > 0 ? percent(row.trimLoss) : "",
				allergens: row.described
					? onList(house.allergenList, carriedBy([row]).allergens)
							.map((allergen) => ALLERGENS[allergen])
							.join(", ")
					: "not described yet",
				uses: uses.get(row.id) ?? 0,
			};
		}),
	};
}

type Row = Route.ComponentProps["loaderData"]["rows"][number];

const COLUMNS: readonly Column<Row>[] = [
	{
		words: "Name",
		cell: ({ id, name }) => (
			<Link to={`/book/ingredients/${id}`}>
				<b>{name}</b>
			</Link>
		),
	},
	{ words: "Kind", hideBelow: "md", cell: ({ category }) => category },
	{ words: "Price", number: true, cell: ({ price }) => price },
	{ words: "Usual trim", number: true, hideBelow: "md", cell: ({ trim }) => trim },
	{ words: "Contains", hideBelow: "md", cell: ({ allergens }) => allergens },
	{ words: "Recipes", number: true, cell: ({ uses }) => uses },
];

export default function Ingredients({ loaderData: view }: Route.ComponentProps) {
	return (
		<Page>
			<chakra.div display="flex" flexWrap="wrap" alignItems="center" gap="10px 14px">
				<Title marginInlineEnd="auto">Ingredients</Title>
				<ActLink to="/book/ingredients/new" aria-keyshortcuts="n">
					Add one <Key aria-hidden>n</Key>
				</ActLink>
				<ActLink to="/book/declarations">What was taken off</ActLink>
				<ActLink to="/book">The book</ActLink>
			</chakra.div>
			<Form role="search">
				<Sheet marginTop="12px" display="flex" flexWrap="wrap" gap="10px 12px" alignItems="end">
					<chakra.div flex="2 1 180px">
						<Field
							label="Find by name"
							name="find"
							type="search"
							defaultValue={view.find}
							aria-keyshortcuts="f"
							data-key-name="Find"
						/>
					</chakra.div>
					<chakra.div flex="1 1 210px" maxWidth="260px">
						<Choice label="Kind" name="category" defaultValue={view.category}>
							<option value="">all</option>
							{CATEGORY_KEYS.map((key) => (
								<option key={key} value={key}>
									{CATEGORIES[key].words}
								</option>
							))}
						</Choice>
					</chakra.div>
					<chakra.div flex="1 1 160px" maxWidth="200px">
						<Choice label="Only" name="only" defaultValue={view.only}>
							<option value="">–</option>
							<option value="unpriced">without a price</option>
							<option value="unused">in no recipe</option>
						</Choice>
					</chakra.div>
					<Act>Find</Act>
				</Sheet>
			</Form>
			<Sheet marginTop="10px">
				<Muted>
					{counted(view.count, "ingredient")}
					{view.count < view.all ? ` of ${view.all}` : ""}
				</Muted>
				<ColumnTable columns={COLUMNS} rows={view.rows} keyOf={({ id }) => id} />
				<Pages {...view.pages} />
				{view.rows.length === 0 ? <p>No ingredient is like that. Try a shorter word.</p> : null}
			</Sheet>
		</Page>
	);
}
