export type { Basis, DishOrder, Kitchen } from "./Kitchen.ts";
export { type OrderedDish, type OrderRow, orderList } from "./orderList.ts";
export { countByType, type Plan, plan } from "./plan.ts";
export type { PlanLine } from "./planLines.ts";
export { type DishToPlan, type PlannedDish, planSitting } from "./planSitting.ts";
export type { PlanWarning } from "./planWarnings.ts";
export { handsOn } from "./workMinutes.ts";
