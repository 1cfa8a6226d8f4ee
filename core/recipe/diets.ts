import { type Static, Type } from "@sinclair/typebox";
import { LARGEST_COUNT, oneOf } from "../check/index.ts";
import type { Allergen } from "./allergens.ts";
import { presenceIn } from "./carried.ts";
import type { Origin } from "./categories.ts";
import type { Ingredient } from "./Ingredient.ts";

interface Diet {
	/** How a guest of it is counted: "6 without gluten". */
	readonly words: string;
	/** What may not be in the dish, nor as a trace. */
	readonly allergens: readonly Allergen[];
	/** Where nothing in it may come from. */
	readonly origins: readonly Origin[];
}

/** What guests are counted by. */
export const DIETS = {
	vegetarian: {
		words: "vegetarian",
		allergens: ["fish", "crustaceans", "molluscs"],
		origins: ["meat", "pork", "fish"],
	},
	vegan: {
		words: "vegan",
		allergens: ["milk", "egg", "fish", "crustaceans", "molluscs"],
		origins: ["meat", "pork", "fish", "milk", "egg", "honey"],
	},
	noPork: { words: "no pork", allergens: [], origins: ["pork"] },
	noAlcohol: { words: "no alcohol", allergens: [], origins: ["alcohol"] },
	glutenFree: { words: "no gluten", allergens: ["gluten", "wheat"], origins: [] },
	milkFree: { words: "no milk", allergens: ["milk"], origins: ["milk"] },
	nutFree: { words: "no nuts or peanuts", allergens: ["nuts", "peanut"], origins: [] },
	fishFree: {
		words: "no fish or shellfish",
		allergens: ["fish", "crustaceans", "molluscs"],
		origins: ["fish"],
	},
	eggFree: { words: "no egg", allergens: ["egg"], origins: ["egg"] },
	celeryFree: { words: "no celery", allergens: ["celery"], origins: [] },
	mustardFree: { words: "no mustard", allergens: ["mustard"], origins: [] },
	soyaFree: { words: "no soya", allergens: ["soya"], origins: [] },
	sesameFree: { words: "no sesame", allergens: ["sesame"], origins: [] },
	sulphiteFree: { words: "no sulphites", allergens: ["sulphites"], origins: [] },
	lupinFree: { words: "no lupin", allergens: ["lupin"], origins: [] },
} as const satisfies Record<string, Diet>;

export type DietKey = keyof typeof DIETS;
export const DIET_KEYS = Object.keys(DIETS) as DietKey[];

/** Guests of one diet at a sitting. */
export const DietCount = Type.Object({
	diet: oneOf(DIET_KEYS),
	covers: Type.Integer({ minimum: 1, maximum: LARGEST_COUNT, allowed: "a whole number of guests from 1" }),
});
export type DietCount = Static<typeof DietCount>;

/** Why a dish does not suit a diet: names of the ingredients in the way; none when it suits. */
export function inTheWayOf(diet: DietKey, ingredients: readonly Ingredient[]): string[] {
	const { allergens, origins }: Diet = DIETS[diet];
	const bars = (ingredient: Ingredient) =>
		allergens.some((allergen) => presenceIn(ingredient, allergen) !== null) ||
		ingredient.origins.some((origin) => origins.includes(origin));
	return [...new Set(ingredients.filter(bars).map(({ name }) => name))];
}

/** One dish of a sitting as its guests see it. */
export interface DishForDiets {
	readonly name: string;
	readonly portions: number;
	readonly ingredients: readonly Ingredient[];
}

/** How the guests of one diet are fed by a sitting. */
export interface DietAnswer extends DietCount {
	/** Dishes that suit, with what they make. */
	readonly suits: readonly { readonly dish: string; readonly portions: number }[];
	/** Dishes that do not, with what is in the way. */
	readonly not: readonly { readonly dish: string; readonly because: readonly string[] }[];
	/** Guests for whom no portion of a dish that suits is made. */
	readonly short: number;
}

/** The diets of a sitting checked against its dishes, each diet by itself. */
export function dietsAnswered(counts: readonly DietCount[], dishes: readonly DishForDiets[]): DietAnswer[] {
	return counts.map(({ diet, covers }) => {
		const judged = dishes.map((dish) => ({ ...dish, because: inTheWayOf(diet, dish.ingredients) }));
		const suits = judged.filter(({ because }) => because.length === 0);
		const fed = suits.reduce((sum, { portions }) => sum + portions, 0);
		return {
			diet,
			covers,
			suits: suits.map(({ name, portions }) => ({ dish: name, portions })),
			not: judged
				.filter(({ because }) => because.length > 0)
				.map(({ name, because }) => ({ dish: name, because })),
			short: Math.max(0, covers - fed),
		};
	});
}
