export { type Cause, causesOf } from "./causesOf.ts";
export { changeWords, type DayNames, type MoveWords, moveWords } from "./changeWords.ts";
export type {
	Cook,
	Day,
	DayEquipment,
	DayGiven,
	DayTask,
	EquipmentKind,
	SittingOfDay,
	StandingPlace,
	Unmet,
	Use,
} from "./Day.ts";
export {
	BraiseDegrees,
	type ChangeOf,
	changesOf,
	type DayChange,
	MOST_CHANGES,
	Pieces,
	readChange,
	withBorrowed,
} from "./DayChange.ts";
export { dayCsv } from "./dayCsv.ts";
export { dayIcs } from "./dayIcs.ts";
export { DayFile, dayJson } from "./dayJson.ts";
export { taskName, unmetWords } from "./dayWords.ts";
export type { IssuedDay, IssuedDish, IssuedSitting } from "./IssuedDay.ts";
export { liftablesOf } from "./liftablesOf.ts";
export { type Move, type MovedBecause, movesBetween, type Stood } from "./movesBetween.ts";
export { onDaysClock } from "./onDaysClock.ts";
export {
	type Assignment,
	checkedOvenDay,
	type DayOven,
	type OvenBatch,
	type OvenDay,
	type OvenPlan,
	type OvenProgram,
	type OvenWay,
	ovenProgram,
	type SolverSettings,
	solveOvens,
	USUAL_SETTINGS,
} from "./ovenDay/index.ts";
export { EMPTY_DAY, placeDay } from "./placeDay.ts";
export { changesIn, type MoreRoom, type Remedy, remediesFor, withRoom } from "./remedies.ts";
export {
	type Breaks,
	type InOven,
	type Liftable,
	type OvenRoom,
	type Verdict,
	verdictOf,
} from "./verdictOf.ts";
export { type WayOut, type WaysOut, waysOut } from "./waysOut.ts";
