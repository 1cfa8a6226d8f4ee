export { addRecipe, type RecipeVersionRow, readBook, readRecipe } from "./book.ts";
export { eventsSince, type StoredEvent } from "./events.ts";
export { ensureHouse } from "./house.ts";
export {
	addEquipment,
	changeEquipment,
	type HouseRow,
	type OvenRow,
	type PanTypeRow,
	readHouse,
	readIngredients,
	readKitchen,
	readOvens,
	readPanTypes,
	shapeOf,
} from "./kitchen.ts";
export { Missing, Stale } from "./Stale.ts";
export { type Database, type Reader, Store, type StoreOptions } from "./Store.ts";
export type { Change } from "./schema.ts";
export {
	addSitting,
	changeSitting,
	type DishWithRecipe,
	newDish,
	orderOf,
	readSitting,
	readSittings,
	type Sitting,
	type SittingDetails,
	type SittingDish,
	withRecipes,
} from "./sittings.ts";
