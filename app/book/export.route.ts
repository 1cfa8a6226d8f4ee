import { data } from "react-router";
import { BookFile, ingredientsToCsv, pricesToCsv, toJsonLd, toMarkdown } from "#core/exchange";
import { readBookFile, readIngredients, readRecipe } from "#db";
import { foundOr404, type HouseVisit, visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/export.route";

/** Files that go out: the book, its tables, its schema, and one recipe in three forms. */
export async function loader({ context, params }: Route.LoaderArgs) {
	const visit = await visitOf(context);
	const { file } = params;
	const [, name = "", ending = ""] = /^(.+?)\.(schema\.json|json|jsonld|md|csv)$/.exec(file) ?? [];
	const text = await textOf(visit, name, ending);
	if (text === undefined) throw data({ missing: "file" }, { status: 404 });
	return new Response(text, {
		headers: {
			"Content-Type": `${TYPES[ending as keyof typeof TYPES]}; charset=utf-8`,
			"Content-Disposition": `attachment; filename="${file}"`,
			"Cache-Control": "no-store",
		},
	});
}

const TYPES = {
	json: "application/json",
	"schema.json": "application/schema+json",
	jsonld: "application/ld+json",
	md: "text/markdown",
	csv: "text/csv",
} as const;

const pretty = (value: unknown) => `${JSON.stringify(value, null, "\t")}\n`;

async function textOf(visit: HouseVisit, name: string, ending: string): Promise<string | undefined> {
	const { db } = visit.store;
	switch (ending) {
		case "schema.json":
			return name === "book" ? pretty(BookFile) : undefined;
		case "csv": {
			const { ingredients } = await readBookFile(db);
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
