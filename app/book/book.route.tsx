import { chakra } from "@chakra-ui/react/styled-system";
import { Form, Link } from "react-router";
import { cutWords } from "#core/braise";
import { ALLERGENS, type Allergen } from "#core/recipe";
import { readBook, readIngredients } from "#db";
import { Field } from "../ui/Field.tsx";
import { Act, Figure, Muted, Page, Sheet, Title } from "../ui/parts.tsx";
import { counted } from "../ui/reading.ts";
import { Tape } from "../ui/Tape.tsx";
import { visitOf } from "../ui/visit.ts";
import type { Route } from "./+types/book.route";

export const meta: Route.MetaFunction = () => [{ title: "Book · Wide Table" }];

export async function loader({ context, request }: Route.LoaderArgs) {
	const { store, reading } = await visitOf(context);
	const sought = (new URL(request.url).searchParams.get("find") ?? "").trim();
	const [book, ingredients] = await Promise.all([readBook(store.db), readIngredients(store.db)]);
	const recipes = book.map(({ recipeId, number, doc }) => ({
		id: recipeId,
		number,
		name: doc.name,
		summary: doc.summary,
		cut: cutWords(doc.cut),
		portion:
			"portion_g" in doc.portion
				? reading.mass(doc.portion.portion_g / 1000)
				: counted(doc.portion.piecesPerPortion, "piece"),
		oven: reading.temperature(doc.braise.oven_C.set),
		allergens: allergenNames(doc.lines.flatMap((line) => ingredients.get(line.ingredient)?.allergens ?? [])),
		words: doc.lines.map((line) => ingredients.get(line.ingredient)?.name ?? line.ingredient).join(" "),
	}));
	const wanted = recipes.filter((recipe) => matches(recipe, sought));
	return { sought, all: recipes.length, recipes: wanted.map(({ words: _, ...recipe }) => recipe) };
}

function allergenNames(found: readonly Allergen[]): string[] {
	return [...new Set(found)].map((allergen) => ALLERGENS[allergen]);
}

function matches(
	recipe: { name: string; summary: string; cut: string; words: string },
	sought: string,
): boolean {
	const text = `${recipe.name} ${recipe.summary} ${recipe.cut} ${recipe.words}`.toLowerCase();
	return sought
		.toLowerCase()
		.split(/\s+/)
		.every((word) => text.includes(word));
}

const List = chakra("ul", {
	base: {
		display: "grid",
		gap: "10px",
		marginTop: "16px",
		gridTemplateColumns: { base: "minmax(0,1fr)", md: "repeat(2, minmax(0,1fr))" },
	},
});

export default function Book({ loaderData: { recipes, sought, all } }: Route.ComponentProps) {
	return (
		<Page>
			<chakra.div
				display="flex"
				flexWrap="wrap"
				alignItems="flex-end"
				justifyContent="space-between"
				gap="12px"
			>
				<Title>The book</Title>
				<Form role="search">
					<chakra.div display="flex" gap="8px" alignItems="flex-end">
						<Field
							label="Find by name, cut or ingredient"
							name="find"
							type="search"
							defaultValue={sought}
							aria-keyshortcuts="f"
							data-key-name="Find"
						/>
						<Act>Find</Act>
					</chakra.div>
				</Form>
			</chakra.div>
			<List>
				{recipes.map((recipe) => (
					<Sheet as="li" key={recipe.id} display="grid" gap="8px" alignContent="start">
						<Link to={`/book/${recipe.id}`} style={{ textDecoration: "none" }}>
							<Tape>{recipe.name}</Tape>
						</Link>
						<p>{recipe.summary}</p>
						<p>
							<Figure fontSize="18px">{recipe.portion}</Figure> <Muted>a portion ·</Muted>{" "}
							<Figure fontSize="18px">{recipe.oven}</Figure>{" "}
							<Muted>
								oven · {recipe.cut} · standard no. {recipe.number}
							</Muted>
						</p>
						<Muted>
							{recipe.allergens.length > 0
								? `Contains ${recipe.allergens.join(", ")}.`
								: "None of the fourteen allergens."}
						</Muted>
					</Sheet>
				))}
			</List>
			{recipes.length === 0 ? (
				<Sheet marginTop="10px">
					<p>
						{all === 0
							? "The book is empty. The README tells how to add a dish from a recipe file."
							: `Nothing in the book has “${sought}”. Try a shorter word.`}
					</p>
				</Sheet>
			) : null}
		</Page>
	);
}
