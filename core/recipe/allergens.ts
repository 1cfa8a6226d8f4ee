/**
 * What is declared: the fourteen of the European list (Regulation 1169/2011, Annex II) in
 * the order of the list, and wheat, which the American list names where the European one
 * names every cereal with gluten.
 */
export const ALLERGENS = {
	gluten: "gluten",
	crustaceans: "crustaceans",
	egg: "egg",
	fish: "fish",
	peanut: "peanut",
	soya: "soya",
	milk: "milk",
	nuts: "nuts",
	celery: "celery",
	mustard: "mustard",
	sesame: "sesame",
	sulphites: "sulphites",
	lupin: "lupin",
	molluscs: "molluscs",
	wheat: "wheat",
} as const;

export type Allergen = keyof typeof ALLERGENS;
export const ALLERGEN_NAMES = Object.keys(ALLERGENS) as Allergen[];

/** A list of allergens that a house declares by. */
export interface AllergenList {
	/** "the fourteen of the European list" */
	readonly words: string;
	readonly source: string;
	readonly of: readonly Allergen[];
}

/** The lists a house chooses from. */
export const ALLERGEN_LISTS = {
	eu14: {
		words: "the fourteen of the European list",
		source: "Regulation (EU) 1169/2011, Annex II",
		of: ALLERGEN_NAMES.filter((name) => name !== "wheat"),
	},
	us9: {
		words: "the nine of the American list",
		source: "FALCPA 2004 with the FASTER Act 2021",
		of: ["milk", "egg", "fish", "crustaceans", "nuts", "peanut", "wheat", "soya", "sesame"],
	},
} as const satisfies Record<string, AllergenList>;

export type AllergenListKey = keyof typeof ALLERGEN_LISTS;
export const ALLERGEN_LIST_KEYS = Object.keys(ALLERGEN_LISTS) as AllergenListKey[];

/** Those of the allergens that a list names, in the order of the list. */
export function onList(list: AllergenListKey, found: readonly Allergen[]): Allergen[] {
	return ALLERGEN_LISTS[list].of.filter((name) => found.includes(name));
}
