export { checkedOvenDay } from "./checkedOvenDay.ts";
export type { Assignment, DayOven, OvenBatch, OvenDay, OvenHeld, OvenPlan, OvenWay } from "./OvenDay.ts";
export { type OvenProgram, ovenProgram } from "./ovenProgram.ts";
export { type SolverSettings, solveOvens, USUAL_SETTINGS } from "./solveOvens.ts";
