/** Where a numbered version stands: tried, the one that is cooked, or no longer cooked. */
export type RecipeState = "tested" | "standard" | "retired";

/** What may follow what in the life of a version. */
const NEXT: Readonly<Record<RecipeState, readonly RecipeState[]>> = {
	tested: ["standard", "retired"],
	standard: ["retired"],
	retired: ["standard"],
};

/** The states a version in this state can be given. */
export function nextStates(state: RecipeState): readonly RecipeState[] {
	return NEXT[state];
}
