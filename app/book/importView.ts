import { createHash } from "node:crypto";
import { Refusal } from "#core/check";
import {
	type FromJsonLd,
	fromJsonLd,
	type ImportPlan,
	ingredientFieldWords,
	isCsv,
	isIdle,
	type NotRead,
	planImport,
	readBookText,
	readCsv,
	recipesInJsonLd,
	sorted,
} from "#core/exchange";
import { plainName } from "#core/recipe";
import { type Reader, readBookFile, type StageRow } from "#db";

/** What a held file is: something of ours, recipes from elsewhere, or neither, with why. */
export type Understood =
	| { readonly kind: "book"; readonly plan: ImportPlan }
	| {
			readonly kind: "drafts";
			readonly drafts: readonly (FromJsonLd & { readonly name: string })[];
			readonly refused: readonly NotRead[];
	  }
	| { readonly kind: "none"; readonly why: string };

/** Reads a held file against the book as it is now. */
export async function understand(db: Reader, stage: StageRow): Promise<Understood> {
	try {
		const foreign = isCsv(stage.text) ? [] : foreignRecipes(stage.text);
		if (foreign.length > 0) return draftsOf(foreign);
		return { kind: "book", plan: await planOfStage(db, stage) };
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		return { kind: "none", why: error.message };
	}
}

/** What a held file of ours would do to the book as it is now. @throws {Refusal} when it is none of ours */
export async function planOfStage(db: Reader, { name, text, who, at }: StageRow): Promise<ImportPlan> {
	const book = await readBookFile(db);
	const read = isCsv(text)
		? readCsv(text, book.ingredients)
		: readBookText(text, { who, at, id: idOf(name) });
	return planImport(read, book);
}

/** The short name a bare recipe file gets: its own name without the ending. */
function idOf(file: string): string {
	const plain = plainName(file.replace(/\.[a-z]+$/i, "")).replace(/[^a-z0-9]+/g, "-");
	return plain.replace(/^-+|-+$/g, "").slice(0, 60) || "recipe";
}

function foreignRecipes(text: string): Record<string, unknown>[] {
	try {
		return recipesInJsonLd(JSON.parse(text));
	} catch {
		// What is no JSON is told of by the reader of our own files, with its line.
		return [];
	}
}

function draftsOf(found: readonly Record<string, unknown>[]): Understood {
	const drafts: (FromJsonLd & { name: string })[] = [];
	const refused: NotRead[] = [];
	for (const values of found) {
		try {
			const read = fromJsonLd(values);
			drafts.push({ ...read, name: read.draft.fields.name ?? "" });
		} catch (error) {
			if (!(error instanceof Refusal)) throw error;
			refused.push({ line: 1, what: String(values.name ?? "a recipe"), why: error.message });
		}
	}
	return { kind: "drafts", drafts, refused };
}

/**
 * How a plan is told from another one: what it would write, and what that would write over. A book
 * that was changed since, in whatever value, gives another signature.
 */
export function signatureOf({ ingredients, recipes, refused }: ImportPlan): string {
	const written = [...ingredients, ...recipes].filter(({ verdict }) => verdict !== "same");
	const text = JSON.stringify(sorted([written, refused]));
	return createHash("sha256").update(text).digest("base64url");
}

/** A plan as its page shows it. */
export function planView(plan: ImportPlan) {
	const steps = [
		...plan.ingredients.map((step) => ({ ...step, what: "ingredient" })),
		...plan.recipes.map((step) => ({ ...step, what: "recipe" })),
	];
	const withVerdict = (verdict: string) => steps.filter((step) => step.verdict === verdict);
	return {
		idle: isIdle(plan),
		signature: signatureOf(plan),
		counts: {
			new: withVerdict("new").length,
			changed: withVerdict("changed").length,
			same: withVerdict("same").length,
		},
		steps: steps
			.filter(({ verdict }) => verdict !== "same")
			.slice(0, MOST_SHOWN)
			.map(({ line, what, name, verdict, says }) => ({ line, what, name, verdict, says })),
		more: Math.max(0, withVerdict("new").length + withVerdict("changed").length - MOST_SHOWN),
		refused: plan.refused
			.slice(0, MOST_SHOWN)
			.map(({ line, what, why }) => ({ line, what, why: plainPaths(why) })),
		refusedCount: plan.refused.length,
	};
}

/** Rows of a list that a person still reads. */
const MOST_SHOWN = 200;

/** Fields of a refusal in a person's words: "allergens[0]: …" is "allergens: …". */
function plainPaths(why: string): string {
	return why.replace(/(^|; )([a-z]\w*)((?:\[\d+\])?):/g, (_, before: string, field: string) => {
		return `${before}${ingredientFieldWords(field)}:`;
	});
}
