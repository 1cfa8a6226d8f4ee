import { describe, expect, it } from "vitest";
import { growthOf, MOST_GROWTH } from "../check/growth.testing.ts";
import { DEMO_DOCS, demoDish } from "../recipe/demoBook.testing.ts";
import {
	draftOf,
	type Ingredient,
	ingredient,
	namesOf,
	type Preparation,
	readDraft,
	readLine,
	withMade,
} from "../recipe/index.ts";
import {
	type BookFile,
	decodeText,
	emptyBook,
	fromJsonLd,
	type IngredientEntry,
	planImport,
	type RecipeEntry,
	readBookText,
	readCsv,
	recipesInJsonLd,
} from "./index.ts";

const AS = { who: "Ada", at: 5, id: "a-file" };
const NONE = emptyBook("EUR");

const many = <T>(size: number, make: (index: number) => T): T[] =>
	Array.from({ length: size }, (_, index) => make(index));

function entry(index: number): IngredientEntry {
	return {
		id: `thing-${index}`,
		name: `thing ${index}`,
		category: "spice",
		origins: [],
		trimLoss: 0,
		allergens: [],
		mayContain: [],
		prices: [],
	};
}

/** Each needs the one before it. */
function chain(size: number): [string, Preparation][] {
	const [found] = DEMO_DOCS.filter(({ doc }) => doc.format === "wide-table/preparation");
	if (!found) throw new Error("no preparation in the demo book");
	const doc = found.doc as Preparation;
	return many(size, (index) => [
		`made-${index}`,
		{
			...doc,
			name: `made ${index}`,
			lines: [
				{ ingredient: `thing-${index}`, amount: 10, unit: "g", role: "base" },
				...(index > 0
					? [{ ingredient: `made-${index - 1}`, amount: 10, unit: "g", role: "base" } as const]
					: []),
			],
		} as unknown as Preparation,
	]);
}

function recipes(size: number): RecipeEntry[] {
	return chain(size).map(([id, doc]) => ({
		id,
		versions: [{ number: 1, doc, createdAt: 1, createdBy: "Ada", reason: "", life: [] }],
	}));
}

const bookText = (book: Partial<BookFile>) => JSON.stringify({ ...NONE, ...book });

/** What is read, and how an input of a size looks: as it should be, and as it should not. */
const READERS: readonly [string, number, (size: number) => () => unknown][] = [
	["a book of ingredients", 500, (size) => bookOf({ ingredients: many(size, entry) })],
	["a book of recipes that need each other", 100, (size) => bookOf({ recipes: recipes(size) })],
	["quotes that never end", 4000, (size) => text('{"'.repeat(size))],
	["escaped quotes", 4000, (size) => text(`{"a": "${'\\"'.repeat(size)}`)],
	["brackets without end", 4000, (size) => text("[".repeat(size))],
	["braces in braces", 2000, (size) => text(`${'{"a":'.repeat(size)}1${"}".repeat(size)}`)],
	[
		"a long name",
		20_000,
		(size) => text(bookText({ ingredients: [{ ...entry(1), name: "<".repeat(size) }] })),
	],
	[
		"a table",
		500,
		(size) =>
			csv(
				`id,name,category,trimLoss\n${many(size, (index) => `t${index},thing ${index},spice,0`).join("\n")}`,
			),
	],
	["a table of one cell", 20_000, (size) => csv(`id,name,category\n"${"a\n".repeat(size)}`)],
	["a table of quotes", 20_000, (size) => csv(`id,name\n${'"'.repeat(size)}`)],
	["a table of commas", 20_000, (size) => csv(`id,name\n${",".repeat(size)}`)],
	[
		"a table with one id over and over",
		500,
		(size) => csv(`id,name,category\n${"t,thing,spice\n".repeat(size)}`),
	],
	[
		"a recipe from elsewhere, of many lines",
		200,
		(size) => foreign({ recipeIngredient: many(size, (index) => `${index} g thing ${index}`) }),
	],
	[
		"a recipe from elsewhere, of many steps",
		200,
		(size) => foreign({ recipeInstructions: many(size, (index) => `Do it ${index}.`) }),
	],
	["marks in its name", 5000, (size) => foreign({ name: "<".repeat(size) })],
	["marks in its text", 5000, (size) => foreign({ recipeInstructions: "<b>&lt;".repeat(size) })],
	["entities in its text", 5000, (size) => foreign({ recipeInstructions: "&amp".repeat(size) })],
	["steps in steps", 120, (size) => foreign({ recipeInstructions: nested(size) })],
	["graphs in graphs", 120, (size) => () => recipesInJsonLd(nestedGraph(size))],
	["bytes", 40_000, (size) => () => decodeText(new Uint8Array(size).fill(0xc3))],
	["one line", 20_000, (size) => line("1 kg ".repeat(size))],
	["a line of digits", 20_000, (size) => line("1".repeat(size))],
	["a line of fractions", 20_000, (size) => line("1/".repeat(size))],
	["a draft of many lines", 20, draftLines],
];

const text = (given: string) => () => readBookText(given, AS);
const csv = (given: string) => () => planImport(readCsv(given, []), NONE);
const line = (given: string) => () => readLine(given, new Map());

function bookOf(book: Partial<BookFile>) {
	const things = many(book.recipes?.length ?? 0, entry);
	const given = bookText({ ...book, ingredients: [...(book.ingredients ?? []), ...things] });
	return () => planImport(readBookText(given, AS), NONE);
}

function foreign(values: object) {
	const given = { "@type": "Recipe", name: "Pork", recipeIngredient: ["1 kg pork collar"], ...values };
	const whole = JSON.stringify(given);
	return () => recipesInJsonLd(JSON.parse(whole)).map((found) => fromJsonLd(found));
}

function nested(size: number): unknown {
	let inner: unknown = "Stir.";
	for (let depth = 0; depth < size; depth += 1) inner = { "@type": "HowToSection", itemListElement: [inner] };
	return inner;
}

function nestedGraph(size: number): unknown {
	let inner: unknown = { "@type": "Recipe", name: "Pork" };
	for (let depth = 0; depth < size; depth += 1) inner = { "@graph": [inner] };
	return inner;
}

function draftLines(size: number) {
	const dish = demoDish("goat-shoulder");
	const known = new Map<string, Ingredient>(
		dish.lines.map(({ ingredient: id }) => [id, ingredient({ id, name: id, category: "spice" })]),
	);
	const draft = draftOf(dish, known);
	const [first] = draft.lines;
	if (!first) throw new Error("the dish has no line");
	const lines = many(size, (index) => ({
		...first,
		key: `k${index}`,
		text: `${index + 1} g thing ${index}`,
	}));
	return () => readDraft({ ...draft, lines }, known, namesOf(known.values()));
}

describe("what is read costs no more than its size", () => {
	it.each(READERS)("%s", async (_name, size, make) => {
		expect(await growthOf(size, make)).toBeLessThan(MOST_GROWTH);
	});

	it("preparations that need each other, 40 and 3,000 deep", async () => {
		const made = (size: number) => {
			const bought = new Map(
				many(
					size,
					(index) =>
						[
							`thing-${index}`,
							ingredient({ id: `thing-${index}`, name: `thing ${index}`, category: "spice" }),
						] as const,
				),
			);
			const preparations = new Map(chain(size));
			return () => withMade(preparations, bought, new Map(), true);
		};
		expect(await growthOf(375, made)).toBeLessThan(MOST_GROWTH);
	});
});
