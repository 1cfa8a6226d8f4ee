import isEqual from "fast-deep-equal";
import { Refusal } from "../check/index.ts";
import {
	checkPreparation,
	checkRecipe,
	type Ingredient,
	ingredient,
	isPreparation,
	type Preparation,
	plainName,
	type Recipe,
	withMade,
} from "../recipe/index.ts";
import type { BookFile, IngredientEntry, RecipeEntry, VersionEntry } from "./BookFile.ts";
import type { BookRead, NotRead, Placed } from "./readBookText.ts";

export type Verdict = "new" | "changed" | "same";

/** What an import would do with one entry. */
export interface ImportStep<T> {
	readonly line: number;
	readonly verdict: Verdict;
	readonly name: string;
	/** What is other, in a few words; empty where nothing is. */
	readonly says: string;
	/** What is written: for a recipe only the versions that are not there yet. */
	readonly entry: T;
	/** What the book has under its name now; null where it has nothing. */
	readonly replaces: T | null;
}

/** What an import would do, before it does it. */
export interface ImportPlan {
	readonly ingredients: readonly ImportStep<IngredientEntry>[];
	readonly recipes: readonly ImportStep<RecipeEntry>[];
	readonly refused: readonly NotRead[];
}

/**
 * What taking in a file would do to a book: which entries are new, changed or the same,
 * and which are refused and why. The same file a second time is all the same.
 *
 * An ingredient that is there takes the file's figures, and prices it has not yet. A
 * recipe takes the versions that it has not: one whose number is taken by another comes
 * in as the next number.
 */
export function planImport(read: BookRead, book: BookFile): ImportPlan {
	const refused: NotRead[] = [...read.notRead];
	if (read.currency !== null && read.currency !== book.currency) {
		refused.push({
			line: 1,
			what: "prices",
			why: `are in ${read.currency} and this house reckons in ${book.currency}; they are left out`,
		});
	}
	const ingredients = planIngredients(withoutForeignMoney(read, book), book, refused);
	const recipes = planRecipes(read.recipes, ingredients, book, refused);
	return { ingredients, recipes, refused: [...refused].sort((a, b) => a.line - b.line) };
}

/** Whether it would do anything. */
export function isIdle({ ingredients, recipes }: ImportPlan): boolean {
	return [...ingredients, ...recipes].every(({ verdict }) => verdict === "same");
}

function withoutForeignMoney(read: BookRead, book: BookFile): readonly Placed<IngredientEntry>[] {
	if (read.currency === null || read.currency === book.currency) return read.ingredients;
	return read.ingredients.map(({ line, entry }) => ({ line, entry: { ...entry, prices: [] } }));
}

function planIngredients(
	given: readonly Placed<IngredientEntry>[],
	book: BookFile,
	refused: NotRead[],
): ImportStep<IngredientEntry>[] {
	const there = new Map(book.ingredients.map((entry) => [entry.id, entry]));
	const names = new Map(book.ingredients.map(({ id, name }) => [plainName(name), id]));
	const seen = new Set<string>();
	const steps: ImportStep<IngredientEntry>[] = [];
	for (const { line, entry } of given) {
		const other = names.get(plainName(entry.name));
		const why = seen.has(entry.id)
			? "stands in the file twice; the first is taken"
			: other !== undefined && other !== entry.id
				? `is called as “${other}” is in the book; merge them there, or rename it`
				: undefined;
		if (why) {
			refused.push({ line, what: entry.name, why });
			continue;
		}
		seen.add(entry.id);
		names.set(plainName(entry.name), entry.id);
		steps.push(ingredientStep(line, entry, there.get(entry.id)));
	}
	return refuseLostMerges(steps, there, refused);
}

/** A merge needs the ingredient it goes into, and ends somewhere. */
function refuseLostMerges(
	steps: readonly ImportStep<IngredientEntry>[],
	there: ReadonlyMap<string, IngredientEntry>,
	refused: NotRead[],
): ImportStep<IngredientEntry>[] {
	const after = new Map([...there, ...steps.map(({ entry }) => [entry.id, entry] as const)]);
	const endless = idsInCircles(after);
	return steps.filter(({ entry, line }) => {
		const { id, mergedInto } = entry;
		const why =
			mergedInto === undefined
				? undefined
				: !after.has(mergedInto)
					? `is merged into “${mergedInto}”, which is not there`
					: endless.has(id)
						? `is merged into “${mergedInto}”, and through that into itself`
						: undefined;
		if (why) refused.push({ line, what: entry.name, why });
		return why === undefined;
	});
}

/** Ingredients that, merge after merge, come back to themselves or into such a circle. */
function idsInCircles(entries: ReadonlyMap<string, IngredientEntry>): ReadonlySet<string> {
	const ends = new Map<string, boolean>();
	for (const start of entries.keys()) {
		const path: string[] = [];
		const onPath = new Set<string>();
		let at: string | undefined = start;
		while (at !== undefined && !ends.has(at) && !onPath.has(at)) {
			path.push(at);
			onPath.add(at);
			at = entries.get(at)?.mergedInto;
		}
		const isEndless = at !== undefined && (onPath.has(at) || ends.get(at) === true);
		for (const id of path) ends.set(id, isEndless);
	}
	return new Set([...ends].flatMap(([id, isEndless]) => (isEndless ? [id] : [])));
}

function ingredientStep(
	line: number,
	entry: IngredientEntry,
	before: IngredientEntry | undefined,
): ImportStep<IngredientEntry> {
	const { name } = entry;
	if (!before) return { line, name, entry, replaces: null, verdict: "new", says: "" };
	const held = new Set(before.prices.map((price) => JSON.stringify(sorted(price))));
	const prices = entry.prices.filter((price) => !held.has(JSON.stringify(sorted(price))));
	const fields = changedFields({ ...before, prices: [] }, { ...entry, prices: [] });
	const says = [
		...(fields.length > 0 ? [fields.map(ingredientFieldWords).join(", ")] : []),
		...(prices.length > 0 ? [`${prices.length} ${prices.length === 1 ? "price" : "prices"} more`] : []),
	].join("; ");
	const verdict = says === "" ? "same" : "changed";
	return { line, name, entry: { ...entry, prices }, replaces: before, verdict, says };
}

const FIELD_WORDS: Readonly<Record<string, string>> = {
	density_g_per_ml: "density",
	each_g: "weight of one",
	givesWater: "water it gives up",
	takesRoom: "room it takes in the pan",
	salt_pct: "salt in it",
	trimLoss: "trim",
	mayContain: "traces",
	pack_g: "pack",
	mergedInto: "merged into",
};

/** A field of an ingredient in a person's words. */
export function ingredientFieldWords(field: string): string {
	return FIELD_WORDS[field] ?? field;
}

function changedFields(before: object, after: object): string[] {
	const values = sorted(before) as Record<string, unknown>;
	const other = sorted(after) as Record<string, unknown>;
	return [...new Set([...Object.keys(values), ...Object.keys(other)])].filter(
		(field) => !isEqual(values[field], other[field]),
	);
}

/** The same with the fields in one order, since a file may have them in any. */
export function sorted(value: unknown): unknown {
	if (Array.isArray(value)) return value.map(sorted);
	if (value === null || typeof value !== "object") return value;
	return Object.fromEntries(
		Object.entries(value)
			.filter(([, inner]) => inner !== undefined)
			.sort(([a], [b]) => (a < b ? -1 : 1))
			.map(([key, inner]) => [key, sorted(inner)]),
	);
}

function planRecipes(
	given: readonly Placed<RecipeEntry>[],
	ingredients: readonly ImportStep<IngredientEntry>[],
	book: BookFile,
	refused: NotRead[],
): ImportStep<RecipeEntry>[] {
	const there = new Map(book.recipes.map((entry) => [entry.id, entry]));
	const known = knownAfter(ingredients, given, book, refused);
	const seen = new Set<string>();
	const steps: ImportStep<RecipeEntry>[] = [];
	for (const { line, entry } of given) {
		const name = entry.versions.at(-1)?.doc.name ?? entry.id;
		const why = seen.has(entry.id)
			? "stands in the file twice; the first is taken"
			: wrongWith(entry, there.get(entry.id), known);
		seen.add(entry.id);
		if (why) refused.push({ line, what: name, why });
		else steps.push(recipeStep(line, name, entry, there.get(entry.id)));
	}
	return steps;
}

/** Everything a line can name once the file is in; a circle of preparations is refused whole. */
function knownAfter(
	ingredients: readonly ImportStep<IngredientEntry>[],
	recipes: readonly Placed<RecipeEntry>[],
	book: BookFile,
	refused: NotRead[],
): ReadonlyMap<string, Ingredient> {
	const bought = new Map<string, Ingredient>();
	const merged = new Map<string, string>();
	for (const entry of [...book.ingredients, ...ingredients.map((step) => step.entry)]) {
		const { prices: _, mergedInto, origins, ...fields } = entry;
		if (mergedInto !== undefined) merged.set(entry.id, mergedInto);
		bought.set(entry.id, ingredient(origins.length > 0 ? { ...fields, origins } : fields));
	}
	const made = new Map<string, Preparation>();
	for (const { id, versions } of [...book.recipes, ...recipes.map(({ entry }) => entry)]) {
		const doc = versions.at(-1)?.doc;
		if (doc && isPreparation(doc)) made.set(id, doc);
	}
	try {
		return withMade(made, bought, merged);
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		refused.push({ line: 1, what: "preparations", why: error.message });
		return bought;
	}
}

function wrongWith(
	entry: RecipeEntry,
	before: RecipeEntry | undefined,
	known: ReadonlyMap<string, Ingredient>,
): string | undefined {
	const kinds = new Set([...(before?.versions ?? []), ...entry.versions].map(({ doc }) => doc.format));
	if (kinds.size > 1) return "is a dish in one version and a preparation in another";
	const numbers = entry.versions.map(({ number }) => number);
	if (new Set(numbers).size < numbers.length) return "has two versions of one number";
	for (const { doc, number } of entry.versions) {
		try {
			checkDoc(doc, known);
		} catch (error) {
			if (!(error instanceof Refusal)) throw error;
			return `no. ${number}: ${error.message}`;
		}
	}
	return undefined;
}

function checkDoc(doc: Recipe | Preparation, known: ReadonlyMap<string, Ingredient>): void {
	if (isPreparation(doc)) checkPreparation(doc, known);
	else checkRecipe(doc, known);
}

function recipeStep(
	line: number,
	name: string,
	entry: RecipeEntry,
	before: RecipeEntry | undefined,
): ImportStep<RecipeEntry> {
	const versions = [...entry.versions].sort((a, b) => a.number - b.number);
	if (!before) {
		const says = numbersWords(versions);
		return { line, name, verdict: "new", says, entry: { ...entry, versions }, replaces: null };
	}
	const fresh = freshVersions(versions, before.versions);
	const price = entry.menuPrice_minor !== undefined && entry.menuPrice_minor !== before.menuPrice_minor;
	const says = [
		...(fresh.length > 0 ? [`${numbersWords(fresh)} more`] : []),
		...(price ? ["price on the menu"] : []),
	].join("; ");
	return {
		line,
		name,
		verdict: says === "" ? "same" : "changed",
		says,
		entry: { ...entry, versions: fresh },
		replaces: before,
	};
}

/** Versions whose recipe the book has under no number; a number that is taken becomes the next one. */
function freshVersions(given: readonly VersionEntry[], held: readonly VersionEntry[]): VersionEntry[] {
	const docs = new Set(held.map(({ doc }) => JSON.stringify(sorted(doc))));
	const taken = new Set(held.map(({ number }) => number));
	let next = Math.max(0, ...taken) + 1;
	const fresh: VersionEntry[] = [];
	for (const version of given) {
		if (docs.has(JSON.stringify(sorted(version.doc)))) continue;
		const number = taken.has(version.number) || version.number < next ? next : version.number;
		next = number + 1;
		fresh.push({ ...version, number });
	}
	return fresh;
}

function numbersWords(versions: readonly VersionEntry[]): string {
	return `no. ${versions.map(({ number }) => number).join(", ")}`;
}
