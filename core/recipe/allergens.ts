/** The fourteen of the European list (Regulation 1169/2011, Annex II), in the order of the list. */
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
} as const;

export type Allergen = keyof typeof ALLERGENS;

export const ALLERGEN_NAMES = Object.keys(ALLERGENS) as Allergen[];
