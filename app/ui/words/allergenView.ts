import { ALLERGEN_LISTS, ALLERGENS, type AllergenFound, type AllergenListKey } from "#core/recipe";

/** What a dish declares, ready to read. */
export interface AllergenView {
	readonly found: readonly {
		readonly name: string;
		/** "contains" or "may contain". */
		readonly presence: string;
		readonly from: string;
	}[];
	/** What it is free of, as far as its ingredients are described. */
	readonly freeOf: readonly string[];
	/** "the fourteen of the European list" */
	readonly list: string;
}

export function allergenView(found: readonly AllergenFound[], list: AllergenListKey): AllergenView {
	return {
		found: found.map(({ allergen, presence, from }) => ({
			name: ALLERGENS[allergen],
			presence: presence === "contains" ? "contains" : "may contain",
			from: from.join(", "),
		})),
		freeOf: ALLERGEN_LISTS[list].of
			.filter((allergen) => !found.some((known) => known.allergen === allergen))
			.map((allergen) => ALLERGENS[allergen]),
		list: ALLERGEN_LISTS[list].words,
	};
}
