export { CUTS, type Cut, cutWords } from "../trade/index.ts";
export type { BraiseGiven, BraiseLedger, BraisePoint } from "./BraiseGiven.ts";
export {
	type Braised,
	braise,
	CUT_SPREAD,
	hasPractice,
	LEAK_SPREAD,
	LONGEST_MIN,
	modelSpreadOf,
	promisedMarks,
	type Sensitivity,
	type Tenderness,
	THICKNESS_SPREAD,
	tenderRange,
} from "./braise.ts";
export { type BraiseCurve, braiseCurve, endOfCurve, pointAt } from "./braiseCurve.ts";
export type { ColdestAsked, ColdestReached } from "./Coldest.ts";
export { type Course, heatAt, leftAt, reached, steamAt } from "./Course.ts";
export { CALIBRATED } from "./calibrated.ts";
export { minutesToBeSure, RANGE_END, type StillToGo, stillToGo, USUAL_CONFIDENCE } from "./confidence.ts";
export { CUT_GROUPS, type CutGroup, cutFactor } from "./cutFactors.ts";
export { type OvenEnergy, ovenEnergy } from "./energy.ts";
export { heatThrough, minutesUntil } from "./heatThrough.ts";
export { likelyMinutes } from "./likelyMinutes.ts";
export { type OldClaims, oldClaimsOf } from "./oldClaims.ts";
export { type PansThrough, pansThrough } from "./pansThrough.ts";
export { type PanThrough, panThrough } from "./panThrough.ts";
export { sampledRange } from "./sampledRange.ts";
export { BraiseAsked, HeatAsked } from "./schemas.ts";
export { type Simulated, type SimulateOptions, simulate } from "./simulate.ts";
export { alongProbe } from "./softening.ts";
export { type BraiseStory, storyOf } from "./story.ts";
export { type Kinetics, MARKS, type Mark, softeningRate } from "./tenderness.ts";
export { USUAL_OVEN_KW, usualMinutes, usualPan } from "./usualPan.ts";
export { type CutSize, type WaysAsked, type WayToTender, waysAtOven, waysToTender } from "./waysToTender.ts";
