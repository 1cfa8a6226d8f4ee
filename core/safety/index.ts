export { CodeEntry, codeOf, typedCode } from "./codeEntry.ts";
export { type Growth, growthAfter, growthAlong, growthShare, meanShare } from "./growth.ts";
export {
	CODE_CLOCKS,
	type CodeClock,
	type Cooling,
	comesUpTo,
	HOUSE_CODE_KEYS,
	HOUSE_CODES,
	type HouseCode,
	type HouseCodeKey,
	type Life,
	type LimitsF,
	presetOf,
	USUAL_COMING_UP_MIN,
	USUAL_LIFE,
} from "./houseCodes.ts";
export { KILL_TABLE_KEYS, KILL_TABLES, type KillTable, type KillTableKey } from "./killTables.ts";
export { equivalentMinutes, Lethality, meanRate } from "./lethality.ts";
export {
	minutesOf,
	type Reach,
	type ReachRange,
	type TemperatureThen,
	VERDICTS,
	type Verdict,
	verdictKept,
	verdictOfReach,
	verdictWithin,
} from "./reach.ts";
export {
	celsiusOf,
	DEGREE_UNITS,
	type DegreeUnit,
	fahrenheitOf,
	isOnSide,
	lastHundredth,
	limitFor,
	type RuleDegrees,
} from "./ruleDegrees.ts";
