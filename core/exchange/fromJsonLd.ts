import { decodeHTML } from "entities";
import { refuse } from "../check/index.ts";
import { numbersIn } from "../quantity/index.ts";
import { type Draft, emptyDraft, emptyLine, emptyStep } from "../recipe/index.ts";

/** A recipe from elsewhere as a draft, and what of it could not be carried. */
export interface FromJsonLd {
	readonly draft: Draft;
	/** Fields that are not read, and what was cut short or dropped, in words. */
	readonly notCarried: readonly string[];
}

type Thing = Readonly<Record<string, unknown>>;

/** Fields that are read; anything else that is there is listed as not carried. */
const READ = new Set([
	"@context",
	"@type",
	"@id",
	"name",
	"description",
	"keywords",
	"recipeYield",
	"yield",
	"recipeIngredient",
	"ingredients",
	"supply",
	"recipeInstructions",
	"step",
	"prepTime",
	"cookTime",
	"performTime",
	"totalTime",
	"url",
	"mainEntityOfPage",
]);

/** How deep a thing may stand inside another. */
const DEEPEST = 12;

/**
 * Every Recipe inside some JSON: alone, in a list or a graph, as what a page is about, or as an item
 * of a list of things; its type by name, by address, or among others.
 */
export function recipesInJsonLd(json: unknown): Record<string, unknown>[] {
	const found = new Set<Record<string, unknown>>();
	const look = (value: unknown, depth: number): void => {
		if (depth > DEEPEST || value === null || typeof value !== "object") return;
		if (Array.isArray(value)) {
			for (const item of value) look(item, depth + 1);
			return;
		}
		const thing = value as Record<string, unknown>;
		if (isOf(thing, "Recipe")) {
			found.add(thing);
			return;
		}
		for (const field of HOLDS_THINGS) look(thing[field], depth + 1);
	};
	look(json, 0);
	return [...found];
}

/** Fields under which a recipe stands in something else. */
const HOLDS_THINGS = [
	"@graph",
	"mainEntity",
	"mainEntityOfPage",
	"itemListElement",
	"item",
	"hasPart",
	"about",
];

/** "Recipe", "schema:Recipe", "https://schema.org/Recipe", alone or among others. */
function isOf(thing: Thing, type: string): boolean {
	return listOf(thing["@type"]).some(
		(name) => typeof name === "string" && name.split(/[/:#]/).at(-1) === type,
	);
}

/**
 * A schema.org Recipe as a draft: name, words, yield, ingredients line by line as they were written,
 * and instructions as steps with their times. Everything a braise needs beside that stands at its
 * usual figure, to be corrected. Whatever is cut or dropped is listed.
 *
 * @throws {Refusal} when it has no name or no ingredients
 */
export function fromJsonLd(given: Record<string, unknown>): FromJsonLd {
	const cut: string[] = [];
	const name = words(given.name);
	if (name === "") throw refuse("name", "is missing; a recipe has one");
	const lines = listOf(given.recipeIngredient ?? given.ingredients ?? given.supply).flatMap(ingredientWords);
	if (lines.length === 0) throw refuse("recipeIngredient", "is missing; a list of ingredients is needed");
	const steps = stepsIn(given.recipeInstructions ?? given.step, 0);
	const empty = emptyDraft("dish");
	const short = (text: string, most: number, what: string) => {
		if (text.length > most) cut.push(`${what} is cut to ${most} characters`);
		return text.slice(0, most);
	};
	const few = <T>(list: readonly T[], most: number, what: string) => {
		if (list.length > most) cut.push(`${what} beyond the first ${most}: ${list.length - most} dropped`);
		return list.slice(0, most);
	};
	const draft = {
		...empty,
		fields: {
			...empty.fields,
			name: short(name, 120, "the name"),
			summary: short(words(given.description), 400, "the description"),
			tags: short(listOf(given.keywords).map(words).filter(Boolean).join(", "), 400, "the keywords"),
			...portionsIn(given.recipeYield ?? given.yield, cut),
		},
		lines: few(lines, 200, "ingredients").map((text, index) => ({
			...emptyLine(`l${index + 1}`),
			text: short(text, 300, `ingredient ${index + 1}`),
		})),
		steps: few(withTimes(steps, given), 100, "steps").map(({ text, minutes, handsOn }, index) => ({
			...emptyStep(`s${index + 1}`, "build"),
			text: short(text, 600, `step ${index + 1}`),
			...(minutes > 0 ? (handsOn ? { handsOn: String(minutes) } : { waiting: String(minutes) }) : {}),
		})),
	};
	return { draft, notCarried: [...Object.keys(given).filter((field) => !READ.has(field)), ...cut] };
}

/** One thing, or several, or none. */
function listOf(value: unknown): readonly unknown[] {
	if (value === undefined || value === null) return [];
	if (!Array.isArray(value)) return [value];
	return value.flat(DEEPEST);
}

/** Plain words: entities as their signs, no markup, single spaces. */
function words(value: unknown): string {
	if (typeof value !== "string" && typeof value !== "number") return textOf(value);
	return decodeHTML(String(value).replace(/<[^<>]*>/g, " "))
		.replace(/<[^<>]*>/g, " ")
		.replace(/\s+/g, " ")
		.trim();
}

/** What a thing with words in it says: its text, or its name. */
function textOf(value: unknown): string {
	if (value === null || typeof value !== "object" || Array.isArray(value)) return "";
	const thing = value as Thing;
	const said = thing.text ?? thing.name ?? thing["@value"];
	return typeof said === "string" || typeof said === "number" ? words(said) : "";
}

/** An ingredient as it is written, or put together from a thing with its quantity. */
function ingredientWords(value: unknown): string[] {
	if (typeof value === "string" || typeof value === "number") return linesOf(String(value));
	if (value === null || typeof value !== "object") return [];
	const thing = value as Thing;
	if (thing.itemListElement !== undefined) return listOf(thing.itemListElement).flatMap(ingredientWords);
	if (thing.item !== undefined && textOf(thing) === "") return ingredientWords(thing.item);
	const amount = quantityWords(thing.requiredQuantity ?? thing.amount ?? thing.quantity ?? thing.value);
	const named = textOf(thing);
	return named === "" ? [] : [[amount, named].filter(Boolean).join(" ")];
}

/** "500 g" of a QuantitativeValue, or what is written. */
function quantityWords(value: unknown): string {
	if (value === null || typeof value !== "object" || Array.isArray(value)) return words(value);
	const { value: amount, minValue, maxValue, unitText, unitCode } = value as Thing;
	const number = words(amount ?? maxValue ?? minValue);
	const unit = words(unitText) || (UNIT_CODES[words(unitCode)] ?? "");
	return [number, unit].filter(Boolean).join(" ");
}

/** Codes of units of measure in trade, as far as a kitchen meets them. */
const UNIT_CODES: Readonly<Record<string, string>> = {
	GRM: "g",
	KGM: "kg",
	MLT: "ml",
	LTR: "l",
	ONZ: "oz",
	LBR: "lb",
};

/** Lines of a text that may be an HTML list or paragraphs. */
function linesOf(text: string): string[] {
	return text
		.replace(/<\/?(?:li|p|br|div|ol|ul|h[1-6])\b[^<>]*>/gi, "\n")
		.split(/\r?\n+/)
		.map(words)
		.filter((line) => line !== "");
}

interface StepRead {
	readonly text: string;
	/** Minutes that it takes, where it says so; somebody stands there for them or not. */
	readonly minutes: number;
	readonly handsOn: boolean;
}

const asStep = (text: string): StepRead => ({ text, minutes: 0, handsOn: false });

/** Steps in whatever they stand in: text, steps, sections, lists of lists. */
function stepsIn(value: unknown, depth: number): StepRead[] {
	if (depth > DEEPEST || value === null || value === undefined) return [];
	if (typeof value === "string") return linesOf(value).map(asStep);
	if (Array.isArray(value)) return value.flatMap((item) => stepsIn(item, depth + 1));
	if (typeof value !== "object") return [];
	return stepsOf(value as Thing, depth);
}

/** Steps of a section, of a list item, or one step by itself. */
function stepsOf(thing: Thing, depth: number): StepRead[] {
	const inside = thing.itemListElement ?? thing.steps ?? thing.step;
	const text = textOf(thing);
	if (inside !== undefined && inside !== null) {
		const [first, ...rest] = stepsIn(inside, depth + 1);
		if (!first) return [];
		return isOf(thing, "HowToSection") && text
			? [{ ...first, text: `${text}: ${first.text}` }, ...rest]
			: [first, ...rest];
	}
	if (text === "") return stepsIn(thing.item, depth + 1);
	return [
		{ text, minutes: minutesIn(thing.performTime ?? thing.timeRequired ?? thing.totalTime), handsOn: false },
	];
}

/** The times of the whole, where no step has its own: preparing is work, cooking waits. */
function withTimes(steps: readonly StepRead[], given: Thing): StepRead[] {
	if (steps.some(({ minutes }) => minutes > 0)) return [...steps];
	const work = minutesIn(given.prepTime);
	const whole = minutesIn(given.totalTime);
	const cook = minutesIn(given.cookTime ?? given.performTime) || Math.max(0, whole - work);
	const [first, ...rest] = steps;
	if (!first) return [];
	const last = rest.length - 1;
	return [
		work > 0 ? { ...first, minutes: work, handsOn: true } : first,
		...rest.map((step, index) =>
			index === last && cook > 0 ? { ...step, minutes: cook, handsOn: false } : step,
		),
	];
}

/** Days, hours, minutes and seconds of an ISO 8601 duration, as minutes; 0 where it is none. */
function minutesIn(value: unknown): number {
	const text = words(typeof value === "object" && value !== null ? quantityWords(value) : value);
	const match =
		/^P(?:(\d+(?:\.\d+)?)D)?(?:T(?:(\d+(?:\.\d+)?)H)?(?:(\d+(?:\.\d+)?)M)?(?:(\d+(?:\.\d+)?)S)?)?$/.exec(
			text,
		);
	if (!match) return 0;
	const [, days = "0", hours = "0", minutes = "0", seconds = "0"] = match;
	return Math.round(Number(days) * 1440 + Number(hours) * 60 + Number(minutes) + Number(seconds) / 60);
}

/** Words for what is no count of portions. */
const WEIGHED =
	/^(?:kg|g|grams?|kilos?|l|ml|litres?|liters?|lb|oz|pounds?|ounces?|quarts?|pints?|gallons?)\b/i;

/** "10", "1,200 portions", "2 dozen", {value: 12}: how many; a weight is told and not guessed at. */
function portionsIn(value: unknown, cut: string[]): { portions?: string } {
	const told = listOf(value)
		.map((each) => (typeof each === "object" ? quantityWords(each) : words(each)))
		.filter(Boolean);
	for (const text of told) {
		const [, number = "", rest = ""] = /(\d[\d.,'’\s]*)(.*)$/.exec(text) ?? [];
		const [most] = numbersIn(number.trim().replace(/[.,'’\s]+$/, ""));
		if (most === undefined || WEIGHED.test(rest.trim())) continue;
		const count = Math.round(/^dozen\b/i.test(rest.trim()) ? most * 12 : most);
		if (count >= 1) return { portions: String(count) };
	}
	if (told.length > 0) cut.push(`the yield “${told.join("; ")}”, which is no number of portions`);
	return {};
}
