import type { RecipeState } from "#db";

const WORDS: Readonly<Record<RecipeState, string>> = {
	tested: "In test,",
	standard: "Standard",
	retired: "Retired,",
};

/** The life of a version before its number: "Standard no. 3". */
export function stateWords(state: RecipeState): string {
	return WORDS[state];
}
