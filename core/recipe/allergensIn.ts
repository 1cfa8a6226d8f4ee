import { type Allergen, type AllergenListKey, onList } from "./allergens.ts";
import type { Ingredient } from "./Ingredient.ts";

/** An allergen of a dish with the lines that bring it. */
export interface AllergenFound {
	readonly allergen: Allergen;
	/** `contains` when a line has it in it, `mayContain` when lines carry at most traces. */
	readonly presence: "contains" | "mayContain";
	/** Names of the ingredients; of what is made in the house, with what inside it brings it. */
	readonly from: readonly string[];
}

/**
 * Allergens of the lines of a dish, in the order of the house's list, each traced to what
 * brings it. What no line carries is not there: it is free of the rest, as far as the
 * ingredients are described.
 */
export function allergensIn(ingredients: readonly Ingredient[], list: AllergenListKey): AllergenFound[] {
	const distinct = [...new Map(ingredients.map((ingredient) => [ingredient.id, ingredient])).values()];
	const carried = distinct.flatMap(({ allergens, mayContain }) => [...allergens, ...mayContain]);
	return onList(list, carried).map((allergen) => {
		const holding = distinct.filter(({ allergens }) => onList(list, allergens).includes(allergen));
		if (holding.length > 0) {
			return {
				allergen,
				presence: "contains",
				from: holding.map((ingredient) => traced(ingredient, allergen)),
			};
		}
		const traces = distinct.filter(({ mayContain }) => onList(list, mayContain).includes(allergen));
		return { allergen, presence: "mayContain", from: traces.map((trace) => traced(trace, allergen)) };
	});
}

/** "light stock (celery)" */
function traced({ name, made }: Ingredient, allergen: Allergen): string {
	const inside = made?.from[allergen] ?? (allergen === "gluten" ? made?.from.wheat : undefined);
	return inside && inside.length > 0 ? `${name} (${inside.join(", ")})` : name;
}
