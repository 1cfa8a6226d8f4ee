export {
	type ByProduct,
	type ByProductRule,
	type ByProductUses,
	type ByProductWorth,
	byProductsOf,
	type GoingInto,
	goingInto,
} from "./byProducts.ts";
export { countByType } from "./countByType.ts";
export { type DishNeeds, needsOf } from "./DishNeeds.ts";
export {
	type Basis,
	type CarryChoice,
	type ChillChoice,
	COLOUR_WAYS,
	type ColourWay,
	type DishOrder,
	MOST_PARTS,
} from "./DishOrder.ts";
export type { PlanWork } from "./dishWork.ts";
export { shareInGo } from "./goTasks.ts";
export { HAZARDS, type Hazard, hazardsOf } from "./hazards.ts";
export { type HeldPans, type PansElsewhere, pansHeld } from "./heldPans.ts";
export { type DishJourney, journeyOf } from "./journeyOf.ts";
export { dryBeforeTender, type LastTender, lastTender } from "./lastTender.ts";
export { type LessonMistake, mistakesOf } from "./lesson.ts";
export type { Liquor } from "./liquor.ts";
export { alone, type LonePlan, plan } from "./lonePlan.ts";
export { inMarinade, type Marinade, marinadeOf } from "./marinade.ts";
export { onClock } from "./onClock.ts";
export { onePanMore, type PanSaving } from "./onePanMore.ts";
export { minutesOnHeat } from "./onOtherHeat.ts";
export { orderWarnings } from "./orderInTime.ts";
export { type AlreadyHere, type OrderedDish, type OrderRow, orderList } from "./orderList.ts";
export { isOfLastGo, lastStartAt, lastTaskAt, type Plan, type PlanFigures, startAt, taskAt } from "./Plan.ts";
export type { PlanWarning, StockUse } from "./PlanWarning.ts";
export { joinsLate } from "./panLines.ts";
export type { PieceWay, PieceWayKind } from "./pieceCooling.ts";
export type { BraiseGroup, PlanBraise } from "./planBraise.ts";
export type { PlanCarry } from "./planCarry.ts";
export {
	type ChillLimit,
	type ChillWay,
	chillLoad,
	depthOfFood,
	isAllMet,
	type PlanChill,
	spreadOver,
} from "./planChill.ts";
export { MOST_LOADS, type PanColour, type PlanColour, searTaken } from "./planColour.ts";
export { heldVerdict, type PlanHold } from "./planHold.ts";
export type { PlanLine } from "./planLines.ts";
export { dredgedFlour, isMadeAhead, type PlanLiquid } from "./planLiquid.ts";
export { lineGivesTooMuch, type PlanPour } from "./planPour.ts";
export { type Prepared, type PreparedBatch, planPreparations } from "./planPreparations.ts";
export type { PlanReheat } from "./planReheat.ts";
export type { PlanSauce, SauceBody } from "./planSauce.ts";
export { FIRST_LOOK, finishedSauce, MOST_WAIT_MIN, USUAL_REDUCTION } from "./planSauce.ts";
export { type DishToPlan, planSitting, type SittingDish } from "./planSitting.ts";
export { USUALLY_AHEAD } from "./planWarnings.ts";
export { ordered_kg, purchased_kg, ready_kg } from "./purchased.ts";
export type { SizedDish } from "./SizedDish.ts";
export type { PlanSecond } from "./secondMain.ts";
export type { PlanServing } from "./serving.ts";
export { type Shortfall, shortfallOf } from "./shortfall.ts";
export { sizeDish } from "./sizeDish.ts";
export { CHILLING, type Standing, type Stands, standsAs } from "./standing.ts";
export { type BeforeAfter, type SwapEffect, swapEffect } from "./swapEffect.ts";
export { type Mends, type Tasting, tastingsOf } from "./tastings.ts";
export { acidsUnderFoil, type WholeSpices, wholeSpices } from "./wholeSpices.ts";
