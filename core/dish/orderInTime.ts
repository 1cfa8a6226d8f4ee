import type { Clockwork } from "../tasks/index.ts";
import { onDay } from "../time/index.ts";
import { type Plan, taskAt } from "./Plan.ts";
import type { PlanWarning } from "./PlanWarning.ts";

/**
 * When an order that should have gone out already comes: nothing until its time has passed, and
 * nothing where all of it is on hand.
 *
 * @param now ms since 1970 UTC
 */
export function orderWarnings(
	plan: Pick<Plan, "tasks" | "recipe" | "order">,
	now: number,
	{ timeZone, hours }: Clockwork,
): PlanWarning[] {
	const { tasks, recipe, order } = plan;
	const ordering = taskAt(plan, "buy", "order");
	if (!ordering || order.basis.from === "onHand" || ordering.start >= now || order.serviceAt <= now)
		return [];
	const needing = tasks.filter(({ after }) => after.some(({ task }) => task === ordering.id));
	const needed = Math.min(
		...(needing.length > 0 ? needing : tasks.filter((one) => one !== ordering)).map(({ start }) => start),
	);
	// Begun already: it is there.
	if (needed <= now) return [];
	const isShut = now > onDay(now, timeZone, hours.closes_min);
	const comes = onDay(now, timeZone, hours.opens_min, recipe.orderLead_days + (isShut ? 1 : 0));
	return [
		{
			code: comes > needed ? "orderTooLate" : "orderDue",
			place: "buy",
			since: ordering.start,
			comes,
			needed,
		},
	];
}
