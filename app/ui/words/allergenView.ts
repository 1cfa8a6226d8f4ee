import { ALLERGEN_LISTS, ALLERGENS, type AllergenFound, type AllergenListKey } from "#core/recipe";

/** What a dish declares, ready to read. */
export interface AllergenView {
	readonly found: readonly {
		readonly name: string;
		/** "contains" or "may contain". */
		readonly presence: string;
		readonly from: string;
	}[];
	/** Ingredients that are not described: what they carry is not known. */
	readonly notKnown: readonly string[];
	/** What every line says that it is free of. */
	readonly freeOf: readonly string[];
	/** "the fourteen of the European list" */
	readonly list: string;
}

export function allergenView(found: readonly AllergenFound[], list: AllergenListKey): AllergenView {
	return {
		found: found
			.filter(({ presence }) => presence !== "notKnown")
			.map(({ allergen, presence, from }) => ({
				name: ALLERGENS[allergen],
				presence: presence === "contains" ? "contains" : "may contain",
				from: from.join(", "),
			})),
		notKnown: [...new Set(found.flatMap(({ presence, from }) => (presence === "notKnown" ? from : [])))],
		freeOf: ALLERGEN_LISTS[list].of
			.filter((allergen) => !found.some((known) => known.allergen === allergen))
			.map((allergen) => ALLERGENS[allergen]),
		list: ALLERGEN_LISTS[list].words,
	};
}

/** "Not described yet: banana shallots. What they carry is not known; ask, and describe them in the book." */
export function notKnownWords(names: readonly string[]): string {
	return `Not described yet: ${names.join(", ")}. What is in it is not known, so the dish is free of nothing more; ask the supplier, and describe it in the book.`;
}

/** "contains celery (celery, light chicken stock)", line by line for paper; none of the list when there is none. */
export function allergenLines({ found, notKnown, list }: AllergenView): string[] {
	const lines = found.map(({ name, presence, from }) => `${presence} ${name} (${from})`);
	const unknown = notKnown.length > 0 ? [`not known for ${notKnown.join(", ")}`] : [];
	return lines.length + unknown.length > 0
		? [...lines, ...unknown]
		: [`none of ${list} in the lines of this card`];
}
