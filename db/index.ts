export { type Audited, audit, readHeads } from "./audit.ts";
export { backUp, copiesIn, restore } from "./backups.ts";
export {
	addRecipe,
	checkDoc,
	type Entry,
	namesOfVersions,
	type RecipeRow,
	type RecipeVersionRow,
	readBook,
	readDish,
	readDocs,
	readRecipe,
	readRecipeRow,
	readVersions,
	sameRecipe,
	setMenuPrice,
	setRecipeState,
	type VersionWithLife,
} from "./book.ts";
export { giveOut } from "./calendar.ts";
export {
	type DayIssueRow,
	issueDay,
	keepPlacedDates,
	newestIssue,
	newestIssues,
	newestOfDays,
	readDayChanges,
	readFigures,
	readIssue,
	readPlacedDate,
	type ToldChange,
	takeDayChangeBack,
	tellDayChanges,
} from "./days.ts";
export {
	AllergensFall,
	type Confirmed,
	type DeclarationRow,
	type Lowered,
	readDeclarations,
	takeDeclarationBack,
	tellLowered,
} from "./declarations.ts";
export {
	type DraftRow,
	discardDraft,
	freeRecipeId,
	numberDraft,
	readDraftOf,
	readDrafts,
	saveDraft,
} from "./drafts.ts";
export { eventsSince, newestEvent, type StoredEvent } from "./events.ts";
export {
	applyImport,
	dropStage,
	MOST_HELD,
	MOST_HELD_LENGTH,
	readBookFile,
	readIngredientEntries,
	readStage,
	type StageRow,
	stageImport,
} from "./exchange.ts";
export { isFile, pathOf } from "./files.ts";
export { ensureHouse } from "./house.ts";
export {
	addIngredient,
	addPrice,
	changeIngredient,
	countUses,
	type IngredientFields,
	type IngredientRow,
	mergeIngredients,
	type PriceRow,
	readIngredient,
	readIngredientRows,
	readPrices,
	readWhereUsed,
} from "./ingredients.ts";
export { type LotInside, readInside } from "./inside.ts";
export {
	addEquipment,
	type CookRow,
	changeEquipment,
	codeIn,
	type EquipmentSubject,
	type HouseCodeRow,
	type HouseRow,
	type OvenRow,
	type PanTypeRow,
	readCooks,
	readHouse,
	readHouseCodes,
	readKitchen,
	readOvens,
	readOwnCodes,
	readPanTypes,
	readStandingPlaces,
	type StandingPlaceRow,
} from "./kitchen.ts";
export { readBoughtOnly, readIngredients, readPreparations } from "./knownIngredients.ts";
export {
	ensureListed,
	type Found,
	findBases,
	findRecipes,
	type ListingRow,
	readFamily,
	readTags,
	type Sought,
} from "./listing.ts";
export { newId } from "./newId.ts";
export {
	type NewReading,
	newestReading,
	ProbePlaces,
	ReadingKeeper,
	readPoints,
	readReadings,
	type StoredReading,
	watchesReadSince,
} from "./readings.ts";
export { type Recalled, type RecallFrom, recalled } from "./recall.ts";
export {
	type NewEntry,
	type NextNumbers,
	newestEntry,
	readDelivered,
	readDeliveries,
	readDeliveryEntries,
	readEntriesByLot,
	readKind,
	readLots,
	readLotsFrom,
	readLotsLeft,
	readMade,
	readOpenWatches,
	readProbePlaces,
	writeRecord,
} from "./record.ts";
export { Missing, Stale } from "./Stale.ts";
export { type Database, type Reader, Store, type StoreOptions, type Transaction } from "./Store.ts";
export type { Change } from "./schema.ts";
export {
	addSitting,
	changeSitting,
	type DishWithRecipe,
	readSitting,
	readSittings,
	readSittingsById,
	type Sitting,
	type SittingDetails,
	sittingOf,
	withRecipes,
} from "./sittings.ts";
export { addTrainingAnswers, readTrainingAnswers, type TrainingAnswers } from "./training.ts";
export { Unopened, Unwritten } from "./whyNot.ts";
