export { asTable } from "./asTable.ts";
export {
	BookFile,
	emptyBook,
	type IngredientEntry,
	type LifeEntry,
	type RecipeEntry,
	type VersionEntry,
} from "./BookFile.ts";
export { ingredientsToCsv, isCsv, pricesToCsv, readCsv } from "./csv.ts";
export { type Decoded, decodeText } from "./decodeText.ts";
export { type FromJsonLd, fromJsonLd, recipesInJsonLd } from "./fromJsonLd.ts";
export {
	NOT_IN_JSON_LD,
	type RecipeJsonLd,
	toJsonLd,
	toMarkdown,
} from "./jsonLd.ts";
export {
	type ImportPlan,
	type ImportStep,
	ingredientFieldWords,
	isIdle,
	planImport,
	sorted,
	type Verdict,
} from "./planImport.ts";
export { publishedSchema } from "./publishedSchema.ts";
export { type BookRead, MOST_ENTRIES, type NotRead, readBookText } from "./readBookText.ts";
