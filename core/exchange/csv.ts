import type { TSchema } from "@sinclair/typebox";
import Papa from "papaparse";
import { checked, fits, Refusal, refuse } from "../check/index.ts";
import { readNumber, written } from "../quantity/index.ts";
import { asTable } from "./asTable.ts";
import { IngredientEntry } from "./BookFile.ts";
import { type BookRead, MOST_ENTRIES, type NotRead, type Placed } from "./readBookText.ts";

/** Columns of the table of ingredients, in order; lists stand in one cell with spaces between. */
const COLUMNS = [
	"id",
	"name",
	"category",
	"cut",
	"origins",
	"supplier",
	"density_g_per_ml",
	"each_g",
	"trimLoss",
	"givesWater",
	"takesRoom",
	"salt_pct",
	"allergens",
	"mayContain",
	"pack_g",
	"mergedInto",
] as const;

/** Columns of the table of prices. Money in minor units, days as 2026-11-28 in UTC. */
const PRICE_COLUMNS = ["id", "pack_g", "price_minor", "from"] as const;

/** Ingredients as CSV, UTF-8 with a heading. */
export function ingredientsToCsv(ingredients: readonly IngredientEntry[]): string {
	const rows = ingredients.map((entry) => COLUMNS.map((column) => cellOf(entry, column)));
	return asTable(COLUMNS, rows);
}

/** Prices of all ingredients as CSV, UTF-8 with a heading. */
export function pricesToCsv(ingredients: readonly IngredientEntry[]): string {
	const rows = ingredients.flatMap(({ id, prices }) =>
		prices.map(({ pack_g, price_minor, from }) => [id, pack_g, price_minor, new Date(from).toISOString()]),
	);
	return asTable(PRICE_COLUMNS, rows);
}

/** What stands in a cell for nothing: an empty one says nothing at all. */
const NONE = "none";

type Column = (typeof COLUMNS)[number];

/** Lists of allergens that are described, and empty, say so. */
const DECLARED: ReadonlySet<Column> = new Set(["allergens", "mayContain"]);

function cellOf(entry: IngredientEntry, column: Column): string {
	const value = entry[column as keyof IngredientEntry];
	if (Array.isArray(value) && value.length === 0) {
		return DECLARED.has(column) && entry.described !== false ? NONE : "";
	}
	if (value === undefined || value === null) return "";
	if (typeof value === "number") return written(value);
	return Array.isArray(value) ? value.join(" ") : String(value);
}

/** The line with which spreadsheets say what parts the cells. */
const SEPARATOR = /^"?sep=(.)"?\r?\n/i;

/** Whether a text is a table rather than JSON. */
export function isCsv(text: string): boolean {
	const [heading = ""] = text
		.replace(/^\uFEFF/, "")
		.replace(SEPARATOR, "")
		.split(/\r?\n/, 1);
	return !/^\s*[{[]/.test(heading) && /[,;\t]/.test(heading);
}

/**
 * Ingredients or prices from a table: which of the two is told by its heading. Prices are
 * put on the ingredients of the book.
 *
 * @param there ingredients of the book, for a table of prices
 * @throws {Refusal} when the heading is of neither, or there are too many rows
 */
export function readCsv(text: string, there: readonly IngredientEntry[]): BookRead {
	const { heading, rows } = tableIn(text);
	if (rows.length > MOST_ENTRIES) {
		const most = MOST_ENTRIES.toLocaleString("en-GB");
		throw refuse("rows", `more than ${most} were given; up to ${most} at once are allowed`);
	}
	if (heading.includes("price_minor")) return readPrices(rows, there);
	if (heading.includes("name") && heading.includes("category")) return readIngredients(rows, there);
	throw refuse(
		"line 1",
		`the heading is ${heading.join(", ").slice(0, 120)}; ${COLUMNS.join(", ")} or ${PRICE_COLUMNS.join(", ")} is allowed`,
	);
}

interface Table {
	readonly heading: readonly string[];
	readonly rows: readonly TableRow[];
}

interface TableRow {
	/** Line of the file where it begins, from 1; a cell may go over several. */
	readonly line: number;
	readonly row: Row;
}

/** A table row by row, empty lines left out but counted; one row more than is allowed at most. */
function tableIn(text: string): Table {
	const plain = text.replace(/^\uFEFF/, "");
	const separator = SEPARATOR.exec(plain);
	let line = separator ? 2 : 1;
	let heading: string[] | undefined;
	const rows: TableRow[] = [];
	Papa.parse<string[]>(separator ? plain.slice(separator[0].length) : plain, {
		...(separator?.[1] ? { delimiter: separator[1] } : {}),
		step: ({ data: cells }, parser) => {
			const begins = line;
			line += 1 + cells.reduce((sum, text) => sum + (text.match(/\r\n|\r|\n/g)?.length ?? 0), 0);
			if (cells.every((text) => text.trim() === "")) return;
			if (!heading) heading = cells.map((name) => name.trim());
			else rows.push({ line: begins, row: rowOf(heading, cells) });
			if (rows.length > MOST_ENTRIES) parser.abort();
		},
	});
	return { heading: heading ?? [], rows };
}

function rowOf(heading: readonly string[], cells: readonly string[]): Row {
	return Object.fromEntries(
		heading.flatMap((name, index) => {
			const text = cells[index];
			return text === undefined ? [] : [[name, text.replace(QUOTED_FORMULA, "")]];
		}),
	);
}

/** What looks like a formula goes out with a mark before it, and comes in without. */
const QUOTED_FORMULA = /^'(?=[=+\-@\t\r])/;

type Row = Readonly<Record<string, string>>;

const LISTS = new Set(["origins", "allergens", "mayContain"]);
const NUMBERS = new Set([
	"density_g_per_ml",
	"each_g",
	"trimLoss",
	"givesWater",
	"salt_pct",
	"pack_g",
	"price_minor",
]);
const YES_OR_NO: ReadonlyMap<string, boolean> = new Map([
	["true", true],
	["yes", true],
	["false", false],
	["no", false],
]);

/**
 * A row as an entry, on top of what the book has of it: what the table says nothing of stays as it
 * is, be it a column it does not have or an empty cell. "none" takes a value away, and says of the
 * allergens that there are none. A new ingredient whose allergens stand nowhere is not described.
 */
function entryOf(row: Row, held: IngredientEntry | undefined): Record<string, unknown> {
	const entry: Record<string, unknown> = { ...(held ?? { ...NEW_ENTRY, described: false }) };
	for (const column of COLUMNS) {
		const text = (row[column] ?? "").trim();
		if (text !== "") entry[column] = valueIn(column, text);
		if (text !== "" && column === "allergens") entry.described = undefined;
	}
	return Object.fromEntries(Object.entries(entry).filter(([, value]) => value !== undefined));
}

function valueIn(column: string, text: string): unknown {
	const isNone = text.toLowerCase() === NONE;
	if (LISTS.has(column)) return isNone ? [] : text.split(/[\s;]+/);
	if (isNone) return column === "trimLoss" ? 0 : undefined;
	if (column === "takesRoom") return YES_OR_NO.get(text.toLowerCase()) ?? text;
	return NUMBERS.has(column) ? numberIn(column, text) : text;
}

const NEW_ENTRY = { origins: [], allergens: [], mayContain: [], trimLoss: 0, prices: [] };

/** A day or an instant of ISO 8601, and nothing that a machine would guess a day from. */
function instantIn(text: string): number {
	const at = /^\d{4}-\d{2}-\d{2}(T[\d:.]+(Z|[+-]\d{2}:\d{2}))?$/.test(text.trim())
		? Date.parse(text.trim())
		: Number.NaN;
	if (Number.isNaN(at)) {
		throw refuse(
			"from",
			`“${text}” was given; a day such as 2026-11-28, or an instant of ISO 8601, is allowed`,
		);
	}
	return at;
}

/** A number of a file; what is none is handed on for the schema to refuse by its field. */
function numberIn(column: string, text: string): number | string {
	const field = (IngredientEntry.properties as Readonly<Record<string, TSchema>>)[column];
	return readNumber(text, column, (value) => !field || fits(field, value)) ?? text;
}

function readIngredients(rows: readonly TableRow[], there: readonly IngredientEntry[]): BookRead {
	const held = new Map(there.map((entry) => [entry.id, entry]));
	const { read, notRead } = eachRow(rows, (row) =>
		checked(IngredientEntry, entryOf(row, held.get((row.id ?? "").trim()))),
	);
	return { currency: null, ingredients: read, recipes: [], notRead };
}

function readPrices(rows: readonly TableRow[], there: readonly IngredientEntry[]): BookRead {
	const known = new Map(there.map((entry) => [entry.id, entry]));
	const prices = new Map<string, IngredientEntry["prices"]>();
	const lines = new Map<string, number>();
	const { notRead } = eachRow(rows, (row, line) => {
		const entry = known.get((row.id ?? "").trim());
		if (!entry) throw refuse("id", `“${row.id}” is not in the book; add the ingredient first`);
		const price = {
			pack_g: numberIn("pack_g", row.pack_g ?? ""),
			price_minor: numberIn("price_minor", row.price_minor ?? ""),
			from: instantIn(row.from ?? ""),
		};
		const { prices: checkedPrices } = checked(IngredientEntry, { ...entry, prices: [price] });
		const before = prices.get(entry.id);
		if (before) before.push(...checkedPrices);
		else {
			prices.set(entry.id, [...checkedPrices]);
			lines.set(entry.id, line);
		}
		return entry;
	});
	const ingredients = [...prices].flatMap(([id, more]) => {
		const entry = known.get(id);
		return entry
			? [{ line: lines.get(id) ?? 1, entry: { ...entry, prices: [...entry.prices, ...more] } }]
			: [];
	});
	return { currency: null, ingredients, recipes: [], notRead };
}

/** Reads row by row; the heading is line 1. */
function eachRow(
	rows: readonly TableRow[],
	read: (row: Row, line: number) => IngredientEntry,
): { read: Placed<IngredientEntry>[]; notRead: NotRead[] } {
	const found: Placed<IngredientEntry>[] = [];
	const notRead: NotRead[] = [];
	for (const { line, row } of rows) {
		try {
			found.push({ line, entry: read(row, line) });
		} catch (error) {
			if (!(error instanceof Refusal)) throw error;
			notRead.push({ line, what: (row.name ?? row.id ?? "").slice(0, 60), why: error.message });
		}
	}
	return { read: found, notRead };
}
