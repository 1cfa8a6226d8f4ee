import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { SHIPPED_BELIEFS } from "../beliefs/index.ts";
import { equipped, KITCHEN, RECIPE } from "../plan/dish.testing.ts";
import { runs } from "../random/runs.testing.ts";
import { givenDay, sitting } from "./days.testing.ts";
import { onDaysClock, placeDay } from "./index.ts";

const SOON = { seed: 1, steps: 20_000 };
const MINUTE_MS = 60_000;
const ONE_OVEN = equipped({ ovens: KITCHEN.equipment.ovens.slice(0, 1) });

describe("a plan on the clock of its day", () => {
	it("has every task where the day has it, and its pans in the oven that they have there", () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 20, max: 160 }), { minLength: 1, maxLength: 3 }), (covers) => {
				const supper = sitting(
					"supper",
					covers.map((each, index) => ({ id: `d${index}`, recipe: RECIPE, order: { covers: each } })),
					{ kitchen: ONE_OVEN },
				);
				const day = placeDay({ ...givenDay([supper]), kitchen: ONE_OVEN }, SHIPPED_BELIEFS, SOON);
				for (const plan of supper.plans) {
					const there = onDaysClock(plan, day, ONE_OVEN, SHIPPED_BELIEFS);
					for (const task of there.tasks) {
						const stood = day.tasks.find(({ id }) => id === task.id);
						expect([task.start, task.end]).toEqual([stood?.start, stood?.end]);
						const use = stood?.uses.find(({ set_C }) => set_C !== undefined);
						const group = there.braise?.groups.find(({ id }) => id === task.figures.group);
						if (!group || !use) continue;
						expect([group.oven?.id, group.set_C]).toEqual([use.equipment, use.set_C]);
						expect(group.allowed_min).toBe((task.end - task.start) / MINUTE_MS);
					}
					const into = there.tasks.find(({ part }) => part === "oven")?.start ?? 0;
					expect(there.tender.low).toBeGreaterThan(into);
					expect(there.tender.likely).toBeLessThanOrEqual(there.tender.high);
					expect(there.chain).toEqual(plan.chain);
					expect(there.lines).toEqual(plan.lines);
				}
			}),
			{ numRuns: runs(8) },
		);
	});

	it("is the plan itself where the day has nothing of it", () => {
		const [plan] = sitting("supper", [{ id: "a" }]).plans;
		if (!plan) throw new Error("it is planned");
		expect(onDaysClock(plan, { tasks: [] }, KITCHEN, SHIPPED_BELIEFS)).toBe(plan);
	});
});
