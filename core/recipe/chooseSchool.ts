import { refuse } from "../check/index.ts";
import { PLACES } from "../trade/index.ts";
import { ALLERGENS, type Allergen } from "./allergens.ts";
import { carriedBy } from "./carried.ts";
import { type Draft, type DraftStep, emptyLine, emptyStep } from "./Draft.ts";
import type { Ingredient } from "./Ingredient.ts";
import { mainGrams, readTyped } from "./readTyped.ts";
import { EFFECTS, type Effect } from "./schoolEffects.ts";
import { SCHOOLS, type SchoolQuestion } from "./schools.ts";

/** The draft with an answer chosen, and what that changed, in sentences. */
export interface SchoolChosen {
	readonly draft: Draft;
	readonly says: readonly string[];
}

/**
 * Answers one question between schools: takes out what an earlier answer put in, puts in
 * what this one brings, and says both. The same answer again changes nothing.
 *
 * @param named ingredients by every name they go by
 * @throws {Refusal} when it is no answer to the question
 */
export function chooseSchool(
	draft: Draft,
	question: SchoolQuestion,
	answer: string,
	named: ReadonlyMap<string, Ingredient>,
): SchoolChosen {
	if (draft.schools[question] === answer) return { draft, says: [] };
	const answers: Readonly<Record<string, { words: string; means: string }>> = SCHOOLS[question].answers;
	const effects: Readonly<Record<string, (main_g: number) => Effect>> = EFFECTS[question];
	const [chosen, effectOf] = [answers[answer], effects[answer]];
	if (!chosen || !effectOf) {
		throw refuse(question, `“${answer}” was given; one of ${Object.keys(answers).join(", ")} is allowed`);
	}
	const effect = effectOf(mainGrams(readTyped(draft, named).lines));
	const cleared = {
		...draft,
		lines: draft.lines.filter((line) => line.school !== question),
		steps: draft.steps.filter((step) => step.school !== question),
	};
	const after = apply(cleared, question, effect, named);
	return {
		draft: { ...after, schools: { ...draft.schools, [question]: answer } },
		says: [
			`${SCHOOLS[question].words}: ${chosen.words}. It means: ${chosen.means}.`,
			...changesIn(draft, after),
			...allergenChanges(draft, after, named),
		],
	};
}

function apply(
	draft: Draft,
	school: SchoolQuestion,
	effect: Effect,
	named: ReadonlyMap<string, Ingredient>,
): Draft {
	const lines = (effect.lines ?? []).map((line, index) => ({
		...emptyLine(`${school}-${index + 1}`),
		...line,
		school,
	}));
	const steps = (effect.steps ?? []).map((step, index) => ({
		...emptyStep(`${school}-${index + 1}`),
		...step,
		school,
	}));
	const own = draft.lines.map((line) => ({ ...line, text: changedText(line, effect, draft, named) }));
	return {
		...draft,
		fields: { ...draft.fields, ...effect.fields },
		lines: [...own, ...lines],
		steps: inOrderOfWork([...draft.steps, ...steps]),
	};
}

/** A new step goes after the others of its place; the others stay as they are. */
function inOrderOfWork(steps: readonly DraftStep[]): DraftStep[] {
	return [...steps].sort((step, other) => PLACES.indexOf(step.place) - PLACES.indexOf(other.place));
}

function changedText(
	line: Draft["lines"][number],
	{ salt, apart }: Effect,
	draft: Draft,
	named: ReadonlyMap<string, Ingredient>,
): string {
	const read = readTyped(draft, named).lines.find(({ key }) => key === line.key);
	if (!read) return line.text;
	if (salt !== undefined && read.role === "salt") return saltText(line.text, salt, draft, named);
	if (apart !== undefined && read.role === "vegetable" && read.ingredient?.category === "vegetable") {
		const bare = line.text.replace(/,\s*cooked apart\b/i, "");
		return apart ? `${bare}, cooked apart` : bare;
	}
	return line.text;
}

/** The salt line with its amount made a share of the main. */
function saltText(text: string, salt: number, draft: Draft, named: ReadonlyMap<string, Ingredient>): string {
	const main_g = mainGrams(readTyped(draft, named).lines);
	const name = text.replace(/^[\d\s.,/½¼¾⅓⅔]+\s*(mg|g|kg|oz|lb|tsp|tbsp)?\s*/i, "");
	return main_g > 0 ? `${Math.round(main_g * salt)} g ${name}` : text;
}

/** What is other in a draft, in sentences. */
function changesIn(before: Draft, after: Draft): string[] {
	const texts = (draft: Draft) => draft.lines.map(({ text }) => text);
	const steps = (draft: Draft) => draft.steps.map(({ text }) => text);
	const gone = (textsOf: (draft: Draft) => string[]) =>
		textsOf(before).filter((text) => !textsOf(after).includes(text));
	const come = (textsOf: (draft: Draft) => string[]) =>
		textsOf(after).filter((text) => !textsOf(before).includes(text));
	const list = (what: string, found: readonly string[]) =>
		found.length > 0 ? [`${what}: ${found.join("; ")}`.replace(/\.?$/, ".")] : [];
	return [
		...list("Lines out", gone(texts)),
		...list("Lines in", come(texts)),
		...list("Steps out", gone(steps)),
		...list("Steps in", come(steps)),
		...fieldChanges(before, after),
	];
}

/** Allergens that come in or go out with the lines. */
function allergenChanges(before: Draft, after: Draft, named: ReadonlyMap<string, Ingredient>): string[] {
	const carried = (draft: Draft) =>
		carriedBy(readTyped(draft, named).lines.flatMap(({ ingredient }) => ingredient ?? [])).allergens;
	const [had, has] = [carried(before), carried(after)];
	const words = (what: string, found: readonly Allergen[]) =>
		found.length > 0 ? [`${what}: ${found.map((allergen) => ALLERGENS[allergen]).join(", ")}.`] : [];
	return [
		...words(
			"Allergens out",
			had.filter((allergen) => !has.includes(allergen)),
		),
		...words(
			"Allergens in",
			has.filter((allergen) => !had.includes(allergen)),
		),
	];
}

const FIELD_WORDS: Readonly<Record<string, string>> = {
	marinated: "marinade",
	marinateFor: "marinade for",
	marinateMost: "marinade at the most",
	seared: "searing in the pan",
};

function fieldChanges(before: Draft, after: Draft): string[] {
	return Object.entries(FIELD_WORDS).flatMap(([field, words]) => {
		const [from, to] = [before.fields[field] ?? "", after.fields[field] ?? ""];
		return from === to
			? []
			: [`${words.charAt(0).toUpperCase()}${words.slice(1)}: ${from || "no"} → ${to || "no"}.`];
	});
}
