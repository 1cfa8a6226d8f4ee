import type { RecipeState } from "#core/recipe";

const WORDS: Readonly<Record<RecipeState, string>> = {
	tested: "In test,",
	standard: "Standard",
	retired: "Retired,",
};

/** The life of a version before its number: "Standard no. 3". */
export function stateWords(state: RecipeState): string {
	return WORDS[state];
}

/** A version of a dish where it is named in passing: "standard no. 3", "no. 4, in test". */
export function versionWords({
	state,
	number,
}: {
	readonly state: RecipeState;
	readonly number: number;
}): string {
	if (state === "standard") return `standard no. ${number}`;
	return `no. ${number}, ${state === "tested" ? "in test" : "retired"}`;
}
