export type { Basis, ColourWay, DishOrder, Kitchen } from "./Kitchen.ts";
export { onePanMore, type PanSaving } from "./onePanMore.ts";
export { type OrderedDish, type OrderRow, orderList } from "./orderList.ts";
export type { PlanWarning, StockUse } from "./PlanWarning.ts";
export { countByType, type Plan, plan, type SizedDish, sizeDish } from "./plan.ts";
export type { PlanBraise } from "./planBraise.ts";
export type { PlanColour } from "./planColour.ts";
export type { PlanLine } from "./planLines.ts";
export {
	DRUNK_BACK,
	dredgedFlour,
	type PlanSauce,
	PULSE_DRINKS_L_PER_KG,
	STOCK_GELATIN_G_PER_L,
} from "./planLiquid.ts";
export { type DishToPlan, type PlannedDish, planSitting } from "./planSitting.ts";
export { handsOn } from "./workMinutes.ts";
