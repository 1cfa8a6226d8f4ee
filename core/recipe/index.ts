export { ALLERGEN_NAMES, ALLERGENS, type Allergen } from "./allergens.ts";
export { checkRecipe } from "./checkRecipe.ts";
export type { Ingredient } from "./Ingredient.ts";
export {
	GROUPS,
	LIDS,
	type Lid,
	PLACES,
	type PlaceKey,
	Recipe,
	type RecipeLine,
	type RecipeStep,
} from "./Recipe.ts";
