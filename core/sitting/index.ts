export { BASES, type BasisKey, cookedRecipe, newDish, orderOf, type SittingDish } from "./SittingDish.ts";
