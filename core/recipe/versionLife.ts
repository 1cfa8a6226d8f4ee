import { maxBy } from "es-toolkit";

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

/** Where a version stands at the end of its life so far; one that was never judged is being tried. */
export function stateOf(life: readonly { readonly state: RecipeState }[]): RecipeState {
	return life.at(-1)?.state ?? "tested";
}

/** A numbered version with its state. */
export interface VersionState {
	readonly number: number;
	readonly state: RecipeState;
}

/** A standard goes before one that is being tested, and both before what is retired. */
const RANK: Readonly<Record<RecipeState, number>> = { standard: 2, tested: 1, retired: 0 };

/** The version that a recipe is read and planned by now: the highest in rank, then the newest. */
export function versionInUse<T extends VersionState>(versions: readonly T[]): T | undefined {
	return maxBy(versions, ({ state, number }) => RANK[state] * NUMBERS + number);
}

/** More versions than a recipe ever has. */
const NUMBERS = 1e9;

/** The standards that have to give way when a version becomes the standard: there is one at a time. */
export function givingWayTo<T extends VersionState>(number: number, versions: readonly T[]): T[] {
	return versions.filter((version) => version.state === "standard" && version.number !== number);
}
