export {
	ALLERGEN_LIST_KEYS,
	ALLERGEN_LISTS,
	ALLERGEN_NAMES,
	ALLERGENS,
	type Allergen,
	type AllergenListKey,
	onList,
} from "./allergens.ts";
export { type AllergenFound, allergensIn } from "./allergensIn.ts";
export { type CardServes, cardServes } from "./cardServes.ts";
export { carriedBy, type Presence, presenceAmong, presenceIn } from "./carried.ts";
export {
	CATEGORIES,
	CATEGORY_KEYS,
	type CategoryKey,
	ORIGINS,
	type Origin,
	SUPPLIERS,
	type Supplier,
} from "./categories.ts";
export { checkPreparation, checkRecipe, outsideLimits } from "./checkRecipe.ts";
export { chooseSchool } from "./chooseSchool.ts";
export { CUT_FORMS, CUT_WORDS, CutSize, cutIn, cutOf, cutSizeWords } from "./cutSize.ts";
export {
	DISH_FIELDS,
	Draft,
	type DraftLine,
	type DraftStep,
	emptyDraft,
	emptyLine,
	emptyStep,
	PREPARATION_FIELDS,
} from "./Draft.ts";
export {
	boughtIn,
	type Carried,
	carriedIn,
	declaredIn,
	declaredWords,
	type Fall,
	fallsBetween,
	onDeclaredList,
	presenceOf,
	unionOf,
} from "./declared.ts";
export {
	DIET_KEYS,
	DIETS,
	type DietAnswer,
	DietCount,
	type DietKey,
	type DishForDiets,
	dietsAnswered,
	inTheWayOf,
} from "./diets.ts";
export { type Difference, difference, isSame, type Pair } from "./difference.ts";
export { draftOf, isPreparation } from "./draftOf.ts";
export { heatOf, isInOven, layersOf } from "./heatOf.ts";
export { type Ingredient, ingredient } from "./Ingredient.ts";
export { type InPan, inPan, isBoughtByVolume } from "./ingredientProperties.ts";
export { clausesOf, insteadWords, type LineRead, lineText, readLine, type SaidOfLine } from "./lineText.ts";
export { DEEPEST_MADE, makesGrams, missingIn, withMade } from "./madeIngredients.ts";
export { nameHas, namesOf, plainName } from "./names.ts";
export { MAKES_UNITS, Preparation } from "./Preparation.ts";
export { isWholeOnPlate, type PieceOff, pieceOff, piecesOnPlate } from "./piecesOnPlate.ts";
export { pieceOffIn } from "./portionTyped.ts";
export {
	Recipe,
	RecipeLine,
	RecipeStep,
	SERVED_IN,
	type SecondMain,
	type ServedIn,
	type Serving,
	Slug,
	type Substitute,
	type VariantOf,
} from "./Recipe.ts";
export { broughtUp, readDoc } from "./readDoc.ts";
export { type DraftRead, readDraft } from "./readDraft.ts";
export { type DraftLineRead, mainGrams, readTyped, type TypedRead } from "./readTyped.ts";
export { SCHOOL_QUESTIONS, SCHOOLS, type SchoolAnswer, type SchoolQuestion, Schools } from "./schools.ts";
export { readSeason, seasonWords } from "./season.ts";
export { slugFor } from "./slugFor.ts";
export { suggestIngredients } from "./suggest.ts";
export { type Swap, swapped } from "./swapped.ts";
export { type BaseTaken, takeBaseChange } from "./takeBaseChange.ts";
export { sideDraft, USUAL_SIDES } from "./usualSides.ts";
export { sizesFor, type VegetableMinutes, vegetableMinutes } from "./vegetableMinutes.ts";
export { givingWayTo, nextStates, type RecipeState, stateOf, versionInUse } from "./versionLife.ts";
export {
	asScaleLine,
	countOf,
	gramsOrNull,
	ingredientOf,
	isCounted,
	lineGrams,
	type Naming,
	namedIn,
	trimLossOf,
} from "./weighLine.ts";
