export { type BestOrder, bestOrder, ORDERS, orderOf } from "./bestOrder.ts";
export { type Cause, causesOf } from "./causesOf.ts";
export { certificateOf } from "./certificateOf.ts";
export { changeWords, type DayNames, type MoveWords, moveWords } from "./changeWords.ts";
export { chillsIn } from "./chillsIn.ts";
export type {
	Cook,
	Day,
	DayEquipment,
	DayGiven,
	DayTask,
	EquipmentKind,
	HeldUse,
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
export {
	type CalendarEvent,
	calendarEvents,
	dayIcs,
	type GivenEvent,
	givenAnew,
} from "./dayIcs.ts";
export { DayFile, dayJson } from "./dayJson.ts";
export { daysTogether, sliceOf, touches } from "./daysTogether.ts";
export { taskName, unmetWords } from "./dayWords.ts";
export { BENCH, type FoodPlace, foodOf, PLATES } from "./foodOf.ts";
export { readBack, thawedDay, type WrittenDay, writtenDown } from "./frozenDay.ts";
export type { IssuedDay, IssuedDish, IssuedSitting } from "./IssuedDay.ts";
export { liftablesOf } from "./liftablesOf.ts";
export { markOf, shownMark } from "./markOf.ts";
export { type Move, type MovedBecause, movesBetween, type Stood } from "./movesBetween.ts";
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
export { EMPTY_DAY, placeDay, restoredDay } from "./placeDay.ts";
export { changesIn, type MoreRoom, type Remedy, remediesFor, withRoom } from "./remedies.ts";
export { isOfSitting, sittingWith } from "./sittingWith.ts";
export {
	type Breaks,
	type InOven,
	type Liftable,
	type OvenRoom,
	type Verdict,
	verdictOf,
} from "./verdictOf.ts";
export type { WorkedBatch, WorkedDay, WorkedDish } from "./WorkedDay.ts";
export { type WayOut, type WaysOut, waysOut } from "./waysOut.ts";
