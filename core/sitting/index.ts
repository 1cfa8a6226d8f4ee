export { AS_ON_CARD, type CookChoice, heatedAt, LEAST_PORTION, PARTS } from "./CookChoice.ts";
export { ShareEntry, SittingEntry, TrialEntry } from "./entries.ts";
export {
	BASES,
	type BasisKey,
	cookedRecipe,
	newDish,
	orderOf,
	type SittingDish,
} from "./SittingDish.ts";
export {
	type DishShare,
	type GuestSizes,
	portionsAGuest,
	readUptake,
	sharedOut,
	type UptakeRead,
} from "./shares.ts";
