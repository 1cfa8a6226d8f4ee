export type { BraiseGiven, BraiseLedger, BraisePoint, Heat } from "./BraiseGiven.ts";
export {
	type Braised,
	braise,
	CUT_SPREAD,
	HEAT_SPREAD_C,
	LONGEST_MIN,
	type Sensitivity,
	THICKNESS_SPREAD,
} from "./braise.ts";
export { CALIBRATED } from "./calibrated.ts";
export { CUT_GROUPS, type CutGroup, cutFactor } from "./cutFactors.ts";
export { CUTS, type Cut, cutWords, FORK_TENDER_MINUTES } from "./forkTenderMinutes.ts";
export type { MeatShape } from "./MeatHeat.ts";
export { type HeatBody, heatBody } from "./pieceHeat.ts";
export type { Range } from "./Range.ts";
export { BraiseAsked } from "./schemas.ts";
export { type Simulated, type SimulateOptions, simulate } from "./simulate.ts";
export { type Kinetics, MARKS, type Mark, softeningRate } from "./tenderness.ts";
