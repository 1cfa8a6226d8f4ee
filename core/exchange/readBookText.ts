import {
	findNodeAtLocation,
	getNodeValue,
	type Node,
	type ParseError,
	parseTree,
	printParseErrorCode,
} from "jsonc-parser";
import { checked, type Problem, Refusal, refuse } from "../check/index.ts";
import { broughtUp, Preparation, Recipe } from "../recipe/index.ts";
import { IngredientEntry, type LifeEntry, RecipeEntry } from "./BookFile.ts";

/** One thing of a file that was not taken, with where it stands and why. */
export interface NotRead {
	/** Line of the file, from 1. */
	readonly line: number;
	/** What it is called there, as far as that can be told. */
	readonly what: string;
	readonly why: string;
}

/** A book file as far as it holds: each entry by itself, with the line where it stands. */
export interface BookRead {
	readonly currency: string | null;
	readonly ingredients: readonly Placed<IngredientEntry>[];
	readonly recipes: readonly Placed<RecipeEntry>[];
	readonly notRead: readonly NotRead[];
}

export interface Placed<T> {
	readonly line: number;
	readonly entry: T;
}

/** The most entries one file may hold, and how deep it may be nested. */
export const MOST_ENTRIES = 20_000;
const DEEPEST = 40;

/** Who and when a recipe file says nothing of. */
export interface ReadAs {
	readonly who: string;
	readonly at: number;
	/** Short name for a recipe file that has none. */
	readonly id: string;
}

/**
 * Reads the text of a book, of one recipe with its versions, or of a bare recipe file.
 *
 * @throws {Refusal} when it is no JSON, or JSON of something else, naming the line
 */
export function readBookText(text: string, as: ReadAs): BookRead {
	const root = treeOf(text);
	const format = valueAt(root, ["format"]);
	if (format === "wide-table/book") return readBook(root, text);
	if (format === "wide-table/recipe" || format === "wide-table/preparation") return readBare(root, as);
	throw refuse(
		"format",
		`${shown(format)} was given; wide-table/book, wide-table/recipe or wide-table/preparation is allowed`,
	);
}

/** The tree of a text that is JSON and nothing else. */
function treeOf(text: string): Node {
	refuseDepth(text);
	const errors: ParseError[] = [];
	const root = parseTree(text.replace(/^\uFEFF/, " "), errors, { disallowComments: true });
	const [first] = errors;
	if (first) {
		throw refuse(`line ${lineAt(text, first.offset)}`, `is no JSON (${printParseErrorCode(first.error)})`);
	}
	if (root?.type !== "object") throw refuse("line 1", "is no JSON object; a book or a recipe is allowed");
	return root;
}

/** A text in quotes, closed or running to the end (so that no part is read twice), or one bracket. */
const TOKEN = /"[^"\\]*(?:\\.[^"\\]*)*(?:"|\\?$)|[{[}\]]/gs;

/** Brackets inside brackets, counted before anything walks down them. */
function refuseDepth(text: string): void {
	let depth = 0;
	for (const { 0: token, index } of text.matchAll(TOKEN)) {
		if (token === "{" || token === "[") depth += 1;
		else if (token === "}" || token === "]") depth -= 1;
		if (depth > DEEPEST) {
			throw refuse(`line ${lineAt(text, index)}`, `is nested more than ${DEEPEST} deep; no book is`);
		}
	}
}

function readBook(root: Node, text: string): BookRead {
	const version = valueAt(root, ["formatVersion"]);
	if (version !== 1) throw refuse("formatVersion", `${shown(version)} was given; 1 is allowed`);
	const lines = lineFinder(text);
	const ingredients = entriesIn(root, "ingredients", IngredientEntry, lines);
	const recipes = entriesIn(root, "recipes", RecipeEntry, lines, withDocsBroughtUp);
	const currency = valueAt(root, ["currency"]);
	return {
		currency: typeof currency === "string" && /^[A-Z]{3}$/.test(currency) ? currency : null,
		ingredients: ingredients.read as Placed<IngredientEntry>[],
		recipes: recipes.read as Placed<RecipeEntry>[],
		notRead: [...ingredients.notRead, ...recipes.notRead],
	};
}

function entriesIn(
	root: Node,
	field: "ingredients" | "recipes",
	schema: typeof IngredientEntry | typeof RecipeEntry,
	lineOf: (offset: number) => number,
	prepared: (value: unknown) => unknown = (value) => value,
): { read: Placed<unknown>[]; notRead: NotRead[] } {
	const list = findNodeAtLocation(root, [field]);
	if (list?.type !== "array") throw refuse(field, "is missing; a list is needed");
	const nodes = list.children ?? [];
	if (nodes.length > MOST_ENTRIES) {
		throw refuse(
			field,
			`${nodes.length.toLocaleString("en-GB")} were given; up to ${MOST_ENTRIES.toLocaleString("en-GB")} at once are allowed`,
		);
	}
	const read: Placed<unknown>[] = [];
	const notRead: NotRead[] = [];
	for (const node of nodes) {
		const line = lineOf(node.offset);
		const value: unknown = getNodeValue(node);
		try {
			read.push({ line, entry: checked(schema, prepared(value)) });
		} catch (error) {
			if (!(error instanceof Refusal)) throw error;
			const [problem] = error.problems;
			notRead.push({
				line: problemLine(node, problem, lineOf) ?? line,
				what: nameOf(value),
				why: error.message,
			});
		}
	}
	return { read, notRead };
}

/** An entry whose versions are in the format of today, as far as it has any. */
function withDocsBroughtUp(value: unknown): unknown {
	const { versions } = (value ?? {}) as { versions?: unknown };
	if (!Array.isArray(versions)) return value;
	return {
		...(value as object),
		versions: versions.map((version: unknown) =>
			typeof version === "object" && version !== null && "doc" in version
				? { ...version, doc: broughtUp(version.doc) }
				: version,
		),
	};
}

/** The line of the field that is wrong, where it is there at all. */
function problemLine(
	node: Node,
	problem: Problem | undefined,
	lineOf: (offset: number) => number,
): number | undefined {
	if (!problem) return undefined;
	const path = [...problem.field.matchAll(/[^.[\]]+/g)].map(([part]) =>
		/^\d+$/.test(part) ? Number(part) : part,
	);
	for (let length = path.length; length > 0; length -= 1) {
		const found = findNodeAtLocation(node, path.slice(0, length));
		if (found) return lineOf(found.offset);
	}
	return undefined;
}

function nameOf(value: unknown): string {
	const { name, id } = (value ?? {}) as { name?: unknown; id?: unknown };
	return String(name ?? id ?? "an entry without a name").slice(0, 60);
}

/** A bare recipe file is a book of one recipe with one version. */
function readBare(root: Node, { who, at, id }: ReadAs): BookRead {
	const doc = broughtUp(getNodeValue(root));
	const schema = valueAt(root, ["format"]) === "wide-table/recipe" ? Recipe : Preparation;
	const life: LifeEntry = { state: "tested", at, who, reason: "" };
	const version = {
		number: 1,
		doc: checked<typeof Recipe | typeof Preparation>(schema, doc),
		createdAt: at,
		createdBy: who,
		reason: "Taken in from a recipe file.",
		life: [life],
	};
	return {
		currency: null,
		ingredients: [],
		recipes: [{ line: 1, entry: { id, versions: [version] } }],
		notRead: [],
	};
}

function valueAt(root: Node, path: (string | number)[]): unknown {
	const found = findNodeAtLocation(root, path);
	return found ? getNodeValue(found) : undefined;
}

function shown(value: unknown): string {
	return value === undefined ? "nothing" : `“${String(value).slice(0, 40)}”`;
}

/** Line of a place in a text, from 1. */
function lineAt(text: string, offset: number): number {
	return text.slice(0, offset).split("\n").length;
}

/** The same for many places that come in order: each stretch is counted once. */
function lineFinder(text: string): (offset: number) => number {
	const starts = [0];
	for (let at = text.indexOf("\n"); at >= 0; at = text.indexOf("\n", at + 1)) starts.push(at + 1);
	return (offset) => {
		let [low, high] = [0, starts.length - 1];
		while (low < high) {
			const middle = (low + high + 1) >> 1;
			if ((starts[middle] ?? 0) <= offset) low = middle;
			else high = middle - 1;
		}
		return low + 1;
	};
}
