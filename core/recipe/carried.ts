import { groupBy } from "es-toolkit";
import { ALLERGEN_NAMES, type Allergen } from "./allergens.ts";
import type { Ingredient } from "./Ingredient.ts";

/** How an ingredient stands to an allergen. */
export type Presence = "contains" | "mayContain" | "notKnown";

type Declared = Pick<Ingredient, "allergens" | "mayContain" | "described">;

/**
 * How an ingredient stands to an allergen, and the one rule for it: it is free of what it does not
 * name only when it is described, and what follows from what it names is named with it. Wheat
 * brings gluten. Gluten that is not said to be of another cereal may be wheat.
 *
 * @returns null when it is free of it
 */
export function presenceIn(
	{ allergens, mayContain, described }: Declared,
	allergen: Allergen,
): Presence | null {
	if (allergens.includes(allergen)) return "contains";
	if (allergen === "gluten" && allergens.includes("wheat")) return "contains";
	if (mayContain.includes(allergen)) return "mayContain";
	if (allergen === "gluten" && mayContain.includes("wheat")) return "mayContain";
	if (allergen === "wheat" && [...allergens, ...mayContain].includes("gluten")) return "mayContain";
	return described ? null : "notKnown";
}

/** The strongest first: what one line contains, another need not be asked. */
export const STRONGEST: readonly Presence[] = ["contains", "mayContain", "notKnown"];

/** How lines together stand to an allergen; null when every one of them is free of it. */
export function presenceAmong(ingredients: readonly Declared[], allergen: Allergen): Presence | null {
	const found = new Set(ingredients.map((ingredient) => presenceIn(ingredient, allergen)));
	return STRONGEST.find((presence) => found.has(presence)) ?? null;
}

/** What lines together carry, in the order of the lists. */
export function carriedBy(
	ingredients: readonly Declared[],
): Record<"allergens" | "mayContain" | "notKnown", Allergen[]> {
	const carried = groupBy(ALLERGEN_NAMES, (allergen) => presenceAmong(ingredients, allergen) ?? "free");
	return {
		allergens: carried.contains ?? [],
		mayContain: carried.mayContain ?? [],
		notKnown: carried.notKnown ?? [],
	};
}
