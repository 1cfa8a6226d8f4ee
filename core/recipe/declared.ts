import { groupBy } from "es-toolkit";
import {
	ALLERGEN_LISTS,
	ALLERGEN_NAMES,
	ALLERGENS,
	type Allergen,
	type AllergenListKey,
} from "./allergens.ts";
import { type AllergenFound, foundAmong } from "./allergensIn.ts";
import { type carriedBy, type Presence, STRONGEST } from "./carried.ts";
import type { Ingredient } from "./Ingredient.ts";
import type { Preparation } from "./Preparation.ts";
import type { Naming } from "./weighLine.ts";

/** What is declared of a thing, allergen by allergen. */
export type Carried = ReturnType<typeof carriedBy>;

/** An allergen of which less is declared than before. */
export interface Fall {
	readonly allergen: Allergen;
	readonly from: Presence;
	/** Null where the thing is then free of it. */
	readonly to: Presence | null;
}

/** The strongest is 0; what is free of it comes after all of them. */
function rank(presence: Presence | null): number {
	return presence === null ? STRONGEST.length : STRONGEST.indexOf(presence);
}

/** How a thing of which so much is declared stands to an allergen; null where it is free of it. */
export function presenceOf(carried: Carried, allergen: Allergen): Presence | null {
	if (carried.allergens.includes(allergen)) return "contains";
	if (carried.mayContain.includes(allergen)) return "mayContain";
	return carried.notKnown.includes(allergen) ? "notKnown" : null;
}

/** Allergens of which less is declared after than before, in the order of the lists. */
export function fallsBetween(before: Carried, after: Carried): Fall[] {
	return ALLERGEN_NAMES.flatMap((allergen): Fall[] => {
		const [from, to] = [presenceOf(before, allergen), presenceOf(after, allergen)];
		return from !== null && rank(to) > rank(from) ? [{ allergen, from, to }] : [];
	});
}

/** Allergens of all lists in some ingredients, each with what brings it. */
export function declaredIn(ingredients: readonly Ingredient[]): AllergenFound[] {
	return foundAmong(ALLERGEN_NAMES, ingredients);
}

/** What several things together declare: of each allergen the strongest, with all that bring it so. */
export function unionOf(declared: readonly (readonly AllergenFound[])[]): AllergenFound[] {
	const all = groupBy(declared.flat(), ({ allergen }) => allergen);
	return ALLERGEN_NAMES.flatMap((allergen): AllergenFound[] => {
		const told = all[allergen] ?? [];
		const presence = STRONGEST.find((one) => told.some((found) => found.presence === one));
		if (presence === undefined) return [];
		const from = told.flatMap((found) => (found.presence === presence ? found.from : []));
		return [{ allergen, presence, from: [...new Set(from)] }];
	});
}

/** The same as it is compared. */
export function carriedIn(declared: readonly AllergenFound[]): Carried {
	const of = (presence: Presence) =>
		declared.filter((found) => found.presence === presence).map(({ allergen }) => allergen);
	return { allergens: of("contains"), mayContain: of("mayContain"), notKnown: of("notKnown") };
}

/** Those that a list names. */
export function onDeclaredList(declared: readonly AllergenFound[], list: AllergenListKey): AllergenFound[] {
	const names: readonly Allergen[] = ALLERGEN_LISTS[list].of;
	return declared.filter(({ allergen }) => names.includes(allergen));
}

/** "contains celery, sulphites; may contain mustard" */
export function declaredWords(declared: readonly AllergenFound[]): string {
	const named = (presence: Presence) =>
		declared.filter((found) => found.presence === presence).map(({ allergen }) => ALLERGENS[allergen]);
	const [contains, mayContain] = [named("contains"), named("mayContain")];
	const notKnown = declared.flatMap(({ presence, from }) => (presence === "notKnown" ? from : []));
	const words = [
		...(contains.length > 0 ? [`contains ${contains.join(", ")}`] : []),
		...(mayContain.length > 0 ? [`may contain ${mayContain.join(", ")}`] : []),
		...(notKnown.length > 0 ? [`not known for ${[...new Set(notKnown)].join(", ")}`] : []),
	];
	return words.length > 0 ? words.join("; ") : "none of the house's list in its lines";
}

/**
 * Short names of all that is bought and in some lines, through what is made in the house.
 *
 * @param preparations by short name
 */
export function boughtIn(lines: readonly Naming[], preparations: ReadonlyMap<string, Preparation>): string[] {
	const seen = new Set<string>();
	const walk = (named: readonly Naming[]): string[] =>
		named.flatMap(({ ingredient }) => {
			if (seen.has(ingredient)) return [];
			seen.add(ingredient);
			const made = preparations.get(ingredient);
			return made ? walk(made.lines) : [ingredient];
		});
	return walk(lines);
}
