import type { WorkedDish } from "#core/day";
import { orderWarnings, type PlanWarning } from "#core/dish";
import type { Kitchen } from "#core/kitchen";
import type { Reading } from "./reading.ts";

/** All that has to be said of a dish at this moment: its plan's warnings, and an order that is late. */
export function warningsNow(plan: WorkedDish, { policy }: Kitchen, { now }: Reading): PlanWarning[] {
	return [...orderWarnings(plan, now, policy), ...plan.warnings];
}
