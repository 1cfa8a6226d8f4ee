export { type CutCompared, compareCuts } from "./compareCuts.ts";
export { type Cost, type CostItem, type CostLine, costOf, costOfPlan } from "./costOf.ts";
