import { ALLERGEN_LISTS, type Allergen, type AllergenListKey } from "./allergens.ts";
import { type Presence, presenceAmong, presenceIn } from "./carried.ts";
import type { Ingredient } from "./Ingredient.ts";

/** An allergen of a dish with the lines that bring it. */
export interface AllergenFound {
	readonly allergen: Allergen;
	/**
	 * `contains` when a line has it in it, `mayContain` when lines carry at most traces, `notKnown`
	 * when no line names it and some are not described.
	 */
	readonly presence: Presence;
	/** Names of the ingredients; of what is made in the house, with what inside it brings it. */
	readonly from: readonly string[];
}

/**
 * Allergens of the lines of a dish, in the order of the house's list, each traced to what
 * brings it. A dish is free of what is not here: every line says so.
 */
export function allergensIn(ingredients: readonly Ingredient[], list: AllergenListKey): AllergenFound[] {
	return foundAmong(ALLERGEN_LISTS[list].of, ingredients);
}

/** The same of any allergens. */
export function foundAmong(
	allergens: readonly Allergen[],
	ingredients: readonly Ingredient[],
): AllergenFound[] {
	const distinct = [...new Map(ingredients.map((ingredient) => [ingredient.id, ingredient])).values()];
	return allergens.flatMap((allergen) => {
		const presence = presenceAmong(distinct, allergen);
		if (presence === null) return [];
		const bringing = distinct.filter((ingredient) => presenceIn(ingredient, allergen) === presence);
		return [
			{ allergen, presence, from: bringing.map((ingredient) => traced(ingredient, allergen, presence)) },
		];
	});
}

/** "light stock (celery)" */
function traced({ name, made }: Ingredient, allergen: Allergen, presence: Presence): string {
	const inside = presence === "notKnown" ? made?.notDescribed : made?.from[allergen];
	return inside && inside.length > 0 ? `${name} (${inside.join(", ")})` : name;
}
