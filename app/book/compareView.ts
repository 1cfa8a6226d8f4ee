import { Refusal } from "#core/check";
import { costOfPlan } from "#core/cost";
import {
	ALLERGENS,
	allergensIn,
	difference,
	ingredientOf,
	isPreparation,
	type Pair,
	type Preparation,
	type Recipe,
	SCHOOLS,
	type SchoolQuestion,
} from "#core/recipe";
import { PLACE_WORDS, type PlaceKey } from "#core/trade";
import { fieldWords } from "../ui/words/fieldWords.ts";
import { money } from "../ui/words/reading.ts";
import { AS_WRITTEN, type CardHouse, planCard } from "./dishCard.ts";

export interface ComparedPart {
	readonly heading: string;
	readonly pairs: readonly Pair[];
}

/** Two versions side by side, in a cook's words: what is not named is the same. */
export function compareView(
	from: Recipe | Preparation,
	to: Recipe | Preparation,
	house: CardHouse,
): ComparedPart[] {
	const { fields, lines, steps, schools } = difference(from, to, house.kitchen.known.byId);
	const parts: ComparedPart[] = [
		{ heading: "Lines", pairs: lines },
		{ heading: "Figures", pairs: fields.map((pair) => ({ ...pair, what: fieldWords(pair.field) })) },
		{ heading: "Method", pairs: steps.map((pair) => ({ ...pair, what: placeWords(pair.what) })) },
		{ heading: "Between schools", pairs: schools.map(schoolWords) },
		{ heading: "Allergens", pairs: allergenPairs(from, to, house) },
		{ heading: "Cost", pairs: costPairs(from, to, house) },
	];
	return parts.filter(({ pairs }) => pairs.length > 0);
}

/** "trim (2)" as "Trim (2)" */
function placeWords(what: string): string {
	const [place = "", number = ""] = what.split(" ");
	return `${PLACE_WORDS[place as PlaceKey] ?? place} ${number}`.trim();
}

function schoolWords({ what, from, to }: Pair): Pair {
	const question = SCHOOLS[what as SchoolQuestion];
	const answers: Readonly<Record<string, { words: string }>> = question.answers;
	const words = (answer: string) => answers[answer]?.words ?? answer;
	return { what: question.words, from: words(from), to: words(to) };
}

const PRESENCE_WORDS = { contains: "contains", mayContain: "may contain", notKnown: "not known" } as const;

function allergenPairs(from: Recipe | Preparation, to: Recipe | Preparation, { kitchen }: CardHouse): Pair[] {
	const namesOf = (doc: Recipe | Preparation) =>
		new Map(
			allergensIn(
				doc.lines.map((line) => ingredientOf(line, kitchen.known.byId)),
				kitchen.policy.allergenList,
			).map((found) => [found.allergen, `${PRESENCE_WORDS[found.presence]} (${found.from.join(", ")})`]),
		);
	const [before, after] = [namesOf(from), namesOf(to)];
	return [...new Set([...before.keys(), ...after.keys()])].flatMap((allergen) => {
		const [name, other] = [before.get(allergen) ?? "", after.get(allergen) ?? ""];
		return name === other ? [] : [{ what: ALLERGENS[allergen], from: name, to: other }];
	});
}

/** Cost of a portion of dishes, each at its own card's size and today's prices. */
function costPairs(from: Recipe | Preparation, to: Recipe | Preparation, house: CardHouse): Pair[] {
	if (isPreparation(from) || isPreparation(to)) return [];
	const [name, other] = [portionCost(from, house), portionCost(to, house)];
	return name === other ? [] : [{ what: "A portion", from: name, to: other }];
}

function portionCost(recipe: Recipe, house: CardHouse): string {
	try {
		const plan = planCard(recipe, AS_WRITTEN, house);
		const { perPortion_minor, missing } = costOfPlan(plan, recipe, null);
		return perPortion_minor === null
			? `no price for ${missing.join(", ")}`
			: money(perPortion_minor, house.currency);
	} catch (error) {
		if (error instanceof Refusal) return "cannot be planned";
		throw error;
	}
}
