export { CURRENCIES, HouseEntry, houseFields, SCALE_READINGS, timeZonesWith } from "./houseEntry.ts";
export { type Equipment, type HousePolicy, type Kitchen, type KnownIngredients, potsOf } from "./Kitchen.ts";
export { OvenEntry, type OvenFields, ovenFields } from "./ovenEntry.ts";
export { PanEntry, type PanFields, panFields } from "./panEntry.ts";
