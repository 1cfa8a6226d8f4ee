export { type CookChoice, heatedAt, PARTS } from "./CookChoice.ts";
export { ShareEntry, SittingEntry, TrialEntry } from "./entries.ts";
export {
	BASES,
	type BasisKey,
	cookedRecipe,
	newDish,
	orderOf,
	type SittingDish,
} from "./SittingDish.ts";
