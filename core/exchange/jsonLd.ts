import { usualMinutes } from "../braise/index.ts";
import { refuse } from "../check/index.ts";
import { formatQuantity, readable } from "../quantity/index.ts";
import {
	type Draft,
	emptyDraft,
	emptyLine,
	emptyStep,
	type Ingredient,
	ingredientOf,
	isPreparation,
	lineText,
	type Preparation,
	type Recipe,
} from "../recipe/index.ts";

/** A schema.org Recipe, as far as we write it. */
export interface RecipeJsonLd {
	readonly "@context": "https://schema.org";
	readonly "@type": "Recipe";
	readonly [field: string]: unknown;
}

/** What a recipe of ours says that schema.org has no field for. */
export const NOT_IN_JSON_LD: readonly string[] = [
	"roles of lines and how each scales",
	"trim, bone and cooking losses",
	"size and weight of a piece, gap in the pan",
	"liquid line, lid, oven range",
	"sear in loads, marinade limits",
	"choices between schools",
	"hands-on and waiting minutes of each step",
	"life and reasons of versions",
];

/** One version as schema.org Recipe JSON-LD; what cannot be carried is {@link NOT_IN_JSON_LD}. */
export function toJsonLd(
	doc: Recipe | Preparation,
	known: ReadonlyMap<string, Ingredient>,
	{ number, author }: { readonly number: number; readonly author: string },
): RecipeJsonLd {
	const hands = doc.steps.reduce((sum, step) => sum + step.handsOn_min, 0);
	const waits = doc.steps.reduce((sum, step) => sum + step.waiting_min, 0);
	const cook = isPreparation(doc)
		? waits
		: Math.round(usualMinutes(doc.cut, doc.piece, doc.losses.boneShare));
	return {
		"@context": "https://schema.org",
		"@type": "Recipe",
		name: doc.name,
		...(doc.summary ? { description: doc.summary } : {}),
		...(doc.tags && doc.tags.length > 0 ? { keywords: doc.tags.join(", ") } : {}),
		author: { "@type": "Organization", name: author },
		version: number,
		cookingMethod: isPreparation(doc) ? "Preparation" : "Braising",
		recipeYield: isPreparation(doc) ? formatQuantity(doc.makes) : `${doc.portions} portions`,
		prepTime: isoMinutes(hands),
		cookTime: isoMinutes(cook),
		recipeIngredient: doc.lines.map((line) => lineText(line, ingredientOf(line, known))),
		recipeInstructions: doc.steps.map((step) => ({
			"@type": "HowToStep",
			text: [
				step.text,
				step.check ? `Look for: ${step.check}` : "",
				step.caution ? `Mind: ${step.caution}` : "",
			]
				.filter((part) => part !== "")
				.join(" "),
		})),
	};
}

function isoMinutes(minutes: number): string {
	return `PT${Math.round(minutes)}M`;
}

/** A recipe from elsewhere as a draft, and what of it could not be carried. */
export interface FromJsonLd {
	readonly draft: Draft;
	readonly notCarried: readonly string[];
}

/** Fields that are read; anything else that is there is listed as not carried. */
const READ = new Set([
	"@context",
	"@type",
	"@id",
	"name",
	"description",
	"keywords",
	"recipeYield",
	"recipeIngredient",
	"ingredients",
	"recipeInstructions",
	"url",
	"mainEntityOfPage",
]);

/** Every schema.org Recipe inside some JSON: alone, in a list, or in a graph. */
export function recipesInJsonLd(json: unknown): Record<string, unknown>[] {
	const found: Record<string, unknown>[] = [];
	const look = (value: unknown, depth: number): void => {
		if (depth > 6 || value === null || typeof value !== "object") return;
		if (Array.isArray(value)) {
			for (const item of value) look(item, depth + 1);
			return;
		}
		const thing = value as Record<string, unknown>;
		if (isRecipe(thing["@type"])) found.push(thing);
		else look(thing["@graph"], depth + 1);
	};
	look(json, 0);
	return found;
}

function isRecipe(type: unknown): boolean {
	return type === "Recipe" || (Array.isArray(type) && type.includes("Recipe"));
}

/**
 * A schema.org Recipe as a draft: name, words, yield, ingredients line by line as they
 * were written, and instructions as steps. Everything a braise needs beside that stands
 * at its usual figure, to be corrected.
 *
 * @throws {Refusal} when it has no name or no ingredients
 */
export function fromJsonLd(given: Record<string, unknown>): FromJsonLd {
	const name = words(given.name);
	if (name === "") throw refuse("name", "is missing; a recipe has one");
	const lines = texts(given.recipeIngredient ?? given.ingredients);
	if (lines.length === 0) throw refuse("recipeIngredient", "is missing; a list of ingredients is needed");
	const steps = instructionsIn(given.recipeInstructions);
	const empty = emptyDraft("dish");
	const portions = /\d+/.exec(texts(given.recipeYield)[0] ?? "")?.[0];
	return {
		draft: {
			...empty,
			fields: {
				...empty.fields,
				name: name.slice(0, 120),
				summary: words(given.description).slice(0, 400),
				tags: texts(given.keywords).join(", ").slice(0, 400),
				...(portions ? { portions } : {}),
			},
			lines: lines
				.slice(0, 200)
				.map((text, index) => ({ ...emptyLine(`l${index + 1}`), text: text.slice(0, 300) })),
			steps: steps
				.slice(0, 100)
				.map((text, index) => ({ ...emptyStep(`s${index + 1}`, "build"), text: text.slice(0, 600) })),
		},
		notCarried: Object.keys(given).filter((field) => !READ.has(field)),
	};
}

/** Plain words: no markup, single spaces. */
function words(value: unknown): string {
	if (typeof value !== "string" && typeof value !== "number") return "";
	return String(value)
		.replace(/<[^>]*>/g, " ")
		.replace(/\s+/g, " ")
		.trim();
}

function texts(value: unknown): string[] {
	const all = Array.isArray(value) ? value : [value];
	return all.map(words).filter((text) => text !== "");
}

function instructionsIn(value: unknown): string[] {
	if (typeof value === "string") {
		return value
			.split(/\r?\n+/)
			.map(words)
			.filter((text) => text !== "");
	}
	if (!Array.isArray(value)) return [];
	return value.flatMap((item: unknown) => {
		if (typeof item === "string") return texts(item);
		const { text, name, itemListElement } = (item ?? {}) as Record<string, unknown>;
		if (itemListElement !== undefined) return instructionsIn(itemListElement);
		return texts(text ?? name);
	});
}

/** A card as Markdown, at its own size. */
export function toMarkdown(
	doc: Recipe | Preparation,
	known: ReadonlyMap<string, Ingredient>,
	number: number,
): string {
	const yields = isPreparation(doc)
		? `Makes ${formatQuantity(doc.makes)}.`
		: `For ${doc.portions} portions. Oven ${readable(doc.braise.oven_C.set, "temperature", "metric")}.`;
	const groups = [...new Set(doc.lines.map(({ group }) => group))];
	return [
		`# ${plain(doc.name)}`,
		"",
		`${plain(doc.summary)} No. ${number}. ${yields}`.trim(),
		...groups.flatMap((group) => [
			"",
			`## ${group.charAt(0).toUpperCase()}${group.slice(1)}`,
			"",
			...doc.lines
				.filter((line) => line.group === group)
				.map((line) => `- ${plain(lineText(line, ingredientOf(line, known)))}`),
		]),
		"",
		"## Method",
		"",
		...doc.steps.map(
			(step, index) =>
				`${index + 1}. ${plain(step.text)}${step.check ? ` *Look for: ${plain(step.check)}*` : ""}${step.caution ? ` **Mind: ${plain(step.caution)}**` : ""}`,
		),
		"",
	].join("\n");
}

/** Text in which nothing is taken for markup. */
function plain(text: string): string {
	return text.replace(/[\\`*_{}[\]<>#|]/g, (sign) => `\\${sign}`).replace(/\r?\n/g, " ");
}
