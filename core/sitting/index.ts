export { ShareEntry, SittingEntry, TrialEntry } from "./entries.ts";
export {
	BASES,
	type BasisKey,
	cookedRecipe,
	heatedAt,
	newDish,
	orderOf,
	type SittingDish,
} from "./SittingDish.ts";
