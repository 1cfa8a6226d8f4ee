import { readdirSync, readFileSync } from "node:fs";
import { basename, join } from "node:path";
import { isPreparation, type Preparation, type Recipe, readDoc } from "./index.ts";

/** The book of the demonstration, for tests and benchmarks: documents as they are shipped. */
const FOLDER = "db/demo/book";

export const DEMO_DOCS: readonly { readonly id: string; readonly doc: Recipe | Preparation }[] = readdirSync(
	FOLDER,
).map((file) => ({
	id: basename(file, ".json"),
	doc: readDoc(JSON.parse(readFileSync(join(FOLDER, file), "utf8"))),
}));

export const DEMO_DISHES: readonly Recipe[] = DEMO_DOCS.map(({ doc }) => doc).filter(
	(doc): doc is Recipe => !isPreparation(doc),
);

/** @throws when the book has no dish of that short name */
export function demoDish(id: string): Recipe {
	const found = DEMO_DOCS.find((entry) => entry.id === id)?.doc;
	if (!found || isPreparation(found)) throw new Error(`no dish ${id}`);
	return found;
}
