import { BookFile, ingredientsToCsv, pricesToCsv, toJsonLd, toMarkdown } from "#core/exchange";
import { readBookFile, readIngredientEntries, readIngredients, readRecipe } from "#db";
import { foundOr404, type HouseVisit } from "../ui/server/visit.ts";

/** A file that goes out, by its name and ending. */
export interface FileAsked {
	readonly name: string;
	readonly ending: string;
}

/** Files that go out: the book, its tables, its schema, and one recipe in three forms; null when it is none. */
export async function giveOut(visit: HouseVisit, asked: FileAsked): Promise<string | null> {
	return (await textOf(visit, asked.name, asked.ending)) ?? null;
}

const pretty = (value: unknown) => `${JSON.stringify(value, null, "\t")}\n`;

async function textOf(visit: HouseVisit, name: string, ending: string): Promise<string | undefined> {
	const { db } = visit.store;
	switch (ending) {
		case "schema.json":
			return name === "book" ? pretty(BookFile) : undefined;
		case "csv": {
			const ingredients = await readIngredientEntries(db);
			if (name === "ingredients") return ingredientsToCsv(ingredients);
			return name === "prices" ? pricesToCsv(ingredients) : undefined;
		}
		case "json":
			if (name === "book") return pretty(await readBookFile(db));
			return pretty(await foundOr404(readBookFile(db, name), "recipe"));
		case "jsonld":
		case "md":
			return oneRecipe(visit, name, ending);
		default:
			return undefined;
	}
}

async function oneRecipe({ store, house }: HouseVisit, id: string, ending: "jsonld" | "md"): Promise<string> {
	const [{ doc, number }, known] = await Promise.all([
		foundOr404(readRecipe(store.db, id), "recipe"),
		readIngredients(store.db),
	]);
	if (ending === "md") return toMarkdown(doc, known, number);
	return pretty(toJsonLd(doc, known, { number, author: house.name }));
}
