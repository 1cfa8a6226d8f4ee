import { formatQuantity } from "../quantity/index.ts";
import { draftOf, isPreparation } from "./draftOf.ts";
import type { Ingredient } from "./Ingredient.ts";
import { clausesOf, insteadWords } from "./lineText.ts";
import type { Preparation } from "./Preparation.ts";
import type { Recipe, RecipeLine, RecipeStep } from "./Recipe.ts";
import { ingredientOf } from "./weighLine.ts";

/** What stands in each of two versions at one place; one side is empty where it is new or gone. */
export interface Pair {
	readonly what: string;
	readonly from: string;
	readonly to: string;
}

/** What two versions of a recipe say differently. */
export interface Difference {
	/** Portion, yields, piece, oven and the rest, by the name of the field. */
	readonly fields: readonly (Pair & { readonly field: string })[];
	readonly lines: readonly Pair[];
	readonly steps: readonly Pair[];
	readonly schools: readonly Pair[];
}

/**
 * What two versions say differently: fields, lines by ingredient, steps by place and
 * order. Nothing where both say the same.
 */
export function difference(
	from: Recipe | Preparation,
	to: Recipe | Preparation,
	known: ReadonlyMap<string, Ingredient>,
): Difference {
	const [before, after] = [draftOf(from, known), draftOf(to, known)];
	const names = [...new Set([...Object.keys(before.fields), ...Object.keys(after.fields)])];
	return {
		fields: names.flatMap((field) => {
			const [was, is] = [before.fields[field] ?? "", after.fields[field] ?? ""];
			return was === is ? [] : [{ field, what: field, from: was, to: is }];
		}),
		lines: linePairs(byName(from.lines, known), byName(to.lines, known), known),
		steps: pairs(byPlace(from.steps), byPlace(to.steps)),
		schools: pairs(schoolsOf(from), schoolsOf(to)),
	};
}

/** Whether there is none. */
export function isSame({ fields, lines, steps, schools }: Difference): boolean {
	return fields.length + lines.length + steps.length + schools.length === 0;
}

/** Pairs of what is other in two lists of named words, in the order of the first and then the second. */
function pairs(from: ReadonlyMap<string, string>, to: ReadonlyMap<string, string>): Pair[] {
	const names = [...new Set([...from.keys(), ...to.keys()])];
	return names.flatMap((what) => {
		const [field, other] = [from.get(what) ?? "", to.get(what) ?? ""];
		return field === other ? [] : [{ what, from: field, to: other }];
	});
}

/** Lines by the name of their ingredient; the second of one name is "salt (2)". */
function byName(
	lines: readonly RecipeLine[],
	known: ReadonlyMap<string, Ingredient>,
): Map<string, RecipeLine> {
	return named(
		lines,
		(line) => ingredientOf(line, known).name,
		(line) => line,
	);
}

/** Pairs of lines that are other; what both say of role and group is left out of both. */
function linePairs(
	from: ReadonlyMap<string, RecipeLine>,
	to: ReadonlyMap<string, RecipeLine>,
	known: ReadonlyMap<string, Ingredient>,
): Pair[] {
	return [...new Set([...from.keys(), ...to.keys()])].flatMap((what) => {
		const [before, other] = [from.get(what), to.get(what)];
		const [words, otherWords] = [lineWords(before, other, known), lineWords(other, before, known)];
		return words === otherWords ? [] : [{ what, from: words, to: otherWords }];
	});
}

/** A line in words; of its role, damping and group only what the line beside it says otherwise. */
function lineWords(
	line: RecipeLine | undefined,
	beside: RecipeLine | undefined,
	known: ReadonlyMap<string, Ingredient>,
): string {
	if (!line) return "";
	const amount = formatQuantity({ amount: line.amount, unit: line.unit });
	const own = [
		line.role === beside?.role ? "" : line.role,
		line.exponent === beside?.exponent ? "" : `to the power ${line.exponent ?? 1}`,
		line.group === beside?.group ? "" : `in ${line.group}`,
	];
	return [amount, ...clausesOf(line), ...insteadWords(line, known), ...own]
		.filter((part) => part !== "")
		.join(", ");
}

function byPlace(steps: readonly RecipeStep[]): Map<string, string> {
	return named(steps, ({ place }) => place, stepWords);
}

function stepWords(step: RecipeStep): string {
	return [
		step.text,
		`${step.station}, ${step.handsOn_min} + ${step.waiting_min} min, ${step.grows === "fixed" ? "work stays" : "work grows"}.`,
		step.temperature_C === undefined ? "" : `At ${step.temperature_C} °C.`,
		step.tools ? `With ${step.tools}.` : "",
		step.check ? `Look for: ${step.check}` : "",
		step.caution ? `Mind: ${step.caution}` : "",
	]
		.filter((part) => part !== "")
		.join(" ");
}

function schoolsOf(doc: Recipe | Preparation): Map<string, string> {
	return new Map(Object.entries(isPreparation(doc) ? {} : (doc.schools ?? {})));
}

function named<T, W>(all: readonly T[], nameOf: (item: T) => string, words: (item: T) => W): Map<string, W> {
	const found = new Map<string, W>();
	for (const item of all) {
		const name = nameOf(item);
		let number = 1;
		while (found.has(number === 1 ? name : `${name} (${number})`)) number += 1;
		found.set(number === 1 ? name : `${name} (${number})`, words(item));
	}
	return found;
}
