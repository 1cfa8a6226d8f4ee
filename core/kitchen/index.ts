export { type Cooler, USUAL_AIR_C } from "./Cooler.ts";
export { CookEntry, cookFields, doesNow, KINDS_OF_WORK, WORK_KEYS, workOf } from "./cookEntry.ts";
export { CURRENCIES, HouseEntry, houseFields, SCALE_READINGS, timeZonesWith } from "./houseEntry.ts";
export {
	type CarryBox,
	COOKER_HEATS,
	type Cooker,
	type CookerHeat,
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
export {
	PAN_MATERIAL_KEYS,
	PAN_MATERIALS,
	PAN_USE_KEYS,
	PAN_USES,
	PanEntry,
	type PanFields,
	type PanMaterial,
	type PanUse,
	panFields,
	reactsWithAcid,
} from "./panEntry.ts";
export { PLACE_KINDS, PlaceEntry, type PlaceFields, placeFields } from "./placeEntry.ts";
export { allVessels, COOKER_FILL, ownHeatOf, vesselsFor, withoutReacting } from "./vessels.ts";
