import type { Allergen } from "#core/recipe";

/** What the demo book cooks with: densities g/ml, weight of one g. Typical kitchen figures. */
export interface DemoIngredient {
	readonly id: string;
	readonly name: string;
	readonly density_g_per_ml?: number;
	readonly each_g?: number;
	readonly allergens?: readonly Allergen[];
}

export const INGREDIENTS: readonly DemoIngredient[] = [
	{ id: "goat-shoulder", name: "goat shoulder" },
	{ id: "pork-collar", name: "pork collar" },
	{ id: "duck-leg", name: "duck legs" },
	{ id: "mutton-neck", name: "mutton neck" },
	{ id: "veal-breast", name: "veal breast" },
	{ id: "squid", name: "squid", allergens: ["molluscs"] },
	{ id: "celeriac", name: "celeriac", allergens: ["celery"] },
	{ id: "onion", name: "onions", each_g: 150 },
	{ id: "shallot", name: "shallots", each_g: 30 },
	{ id: "pearl-onion", name: "pearl onions", each_g: 12 },
	{ id: "leek", name: "leeks", each_g: 250 },
	{ id: "carrot", name: "carrots", each_g: 110 },
	{ id: "celery", name: "celery", allergens: ["celery"] },
	{ id: "fennel", name: "fennel", each_g: 280 },
	{ id: "tomato", name: "tomatoes", each_g: 110 },
	{ id: "tomato-paste", name: "tomato paste", density_g_per_ml: 1.1 },
	{ id: "garlic", name: "garlic", each_g: 6 },
	{ id: "potato", name: "potatoes", each_g: 180 },
	{ id: "damson", name: "damsons", each_g: 12 },
	{ id: "white-beans", name: "white beans, dried" },
	{ id: "black-lentils", name: "black lentils, dried" },
	{ id: "pearl-barley", name: "pearl barley", allergens: ["gluten"] },
	{ id: "smoked-paprika", name: "smoked paprika", density_g_per_ml: 0.46 },
	{ id: "mustard-seed", name: "mustard seed", density_g_per_ml: 0.75, allergens: ["mustard"] },
	{ id: "juniper", name: "juniper berries", each_g: 0.15 },
	{ id: "black-pepper", name: "black pepper", density_g_per_ml: 0.5 },
	{ id: "thyme", name: "thyme" },
	{ id: "bay-leaf", name: "bay leaves", each_g: 0.2 },
	{ id: "chilli", name: "chillies", each_g: 15 },
	{ id: "dried-kelp", name: "dried kelp", allergens: ["molluscs", "crustaceans", "fish"] },
	{ id: "lemon-zest", name: "lemon zest" },
	{ id: "lemon-juice", name: "lemon juice", density_g_per_ml: 1.03 },
	{ id: "capers", name: "capers" },
	{ id: "anchovy", name: "anchovies", allergens: ["fish"] },
	{ id: "squid-ink", name: "squid ink", density_g_per_ml: 1.1, allergens: ["molluscs"] },
	{ id: "salt", name: "salt", density_g_per_ml: 1.2 },
	{ id: "olive-oil", name: "olive oil", density_g_per_ml: 0.915 },
	{ id: "rapeseed-oil", name: "rapeseed oil", density_g_per_ml: 0.92 },
	{ id: "lard", name: "lard", density_g_per_ml: 0.92 },
	{ id: "duck-fat", name: "duck fat", density_g_per_ml: 0.92 },
	{ id: "butter", name: "butter", density_g_per_ml: 0.911, allergens: ["milk"] },
	{ id: "white-wine", name: "dry white wine", density_g_per_ml: 0.99, allergens: ["sulphites"] },
	{ id: "red-wine", name: "red wine", density_g_per_ml: 0.99, allergens: ["sulphites"] },
	{ id: "dry-cider", name: "dry cider", density_g_per_ml: 1, allergens: ["sulphites"] },
	{ id: "light-stock", name: "light chicken stock", density_g_per_ml: 1, allergens: ["celery"] },
	{ id: "brown-stock", name: "brown duck stock", density_g_per_ml: 1.01, allergens: ["celery"] },
	{ id: "veal-stock", name: "veal stock", density_g_per_ml: 1.01, allergens: ["celery"] },
	{ id: "fish-stock", name: "fish stock", density_g_per_ml: 1, allergens: ["fish", "celery"] },
	{ id: "vegetable-stock", name: "vegetable stock", density_g_per_ml: 1, allergens: ["celery"] },
	{ id: "sherry-vinegar", name: "sherry vinegar", density_g_per_ml: 1.01, allergens: ["sulphites"] },
	{ id: "cider-vinegar", name: "cider vinegar", density_g_per_ml: 1.01, allergens: ["sulphites"] },
	{
		id: "wholegrain-mustard",
		name: "wholegrain mustard",
		density_g_per_ml: 1.1,
		allergens: ["mustard", "sulphites"],
	},
	{ id: "white-miso", name: "white rice miso", density_g_per_ml: 1.2, allergens: ["soya"] },
	{ id: "maize-starch", name: "maize starch", density_g_per_ml: 0.55 },
	{ id: "parsley", name: "parsley" },
];
