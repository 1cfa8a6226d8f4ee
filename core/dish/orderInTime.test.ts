import { describe, expect, it } from "vitest";
import { MINUTE_MS, onDay } from "../time/index.ts";
import { KITCHEN, ORDER, RECIPE } from "./dish.testing.ts";
import { orderWarnings, plan, taskAt } from "./index.ts";

const { policy } = KITCHEN;

describe("an order whose time has passed", () => {
	const made = plan({ ...RECIPE, orderLead_days: 2 }, ORDER, KITCHEN);
	const order = taskAt(made, "buy", "order")?.start ?? Number.NaN;
	const needed = Math.min(...made.tasks.filter(({ part }) => part !== "order").map(({ start }) => start));
	const at = (now: number) => orderWarnings(made, now, policy);

	it("is not said before, to the minute", () => {
		expect(at(order)).toEqual([]);
		expect(at(order + MINUTE_MS)).toHaveLength(1);
	});

	it("comes its days after it is ordered, when the kitchen opens: in time, or too late", () => {
		const [soon] = at(order + MINUTE_MS);
		expect(soon).toMatchObject({
			code: "orderDue",
			comes: onDay(order, policy.timeZone, policy.hours.opens_min, 2),
			needed,
		});
		const shut = onDay(order, policy.timeZone, policy.hours.closes_min);
		expect(at(shut)[0]).toMatchObject({ comes: onDay(order, policy.timeZone, policy.hours.opens_min, 2) });
		expect(at(shut + MINUTE_MS)[0]).toMatchObject({
			code: "orderTooLate",
			comes: onDay(order, policy.timeZone, policy.hours.opens_min, 3),
		});
	});

	it("is nothing once it is there: work has begun, or the weight is on hand", () => {
		expect(at(needed)).toEqual([]);
		const onHand = plan(RECIPE, { ...ORDER, basis: { from: "onHand", onHand_kg: 20 } }, KITCHEN);
		expect(orderWarnings(onHand, order + MINUTE_MS, policy)).toEqual([]);
	});
});
