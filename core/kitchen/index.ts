export { CURRENCIES, HouseEntry, houseFields, SCALE_READINGS, timeZonesWith } from "./houseEntry.ts";
export {
	type Equipment,
	type HousePolicy,
	heatsItself,
	type Kitchen,
	type KnownIngredients,
	saucePotsOf,
	searPanOf,
	tiltingPanOf,
	type Vessel,
} from "./Kitchen.ts";
export { ovenOutsideLimits, panOutsideLimits } from "./outsideLimits.ts";
export { OvenEntry, type OvenFields, ovenFields } from "./ovenEntry.ts";
export { PanEntry, type PanFields, panFields } from "./panEntry.ts";
