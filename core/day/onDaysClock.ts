import type { Beliefs } from "../beliefs/index.ts";
import type { Kitchen } from "../kitchen/index.ts";
import { type CookedIn, type Plan, retimed } from "../plan/index.ts";
import type { Day } from "./Day.ts";

/** A dish's plan as it stands in its day: the day's clock, ovens and temperatures. */
export function onDaysClock(
	plan: Plan,
	{ tasks }: Pick<Day, "tasks">,
	kitchen: Kitchen,
	beliefs: Beliefs,
): Plan {
	const stood = new Map(tasks.filter((task) => task.for === plan.order.id).map((task) => [task.id, task]));
	if (stood.size === 0) return plan;
	const cooked = [...stood.values()].flatMap(({ figures, uses, start, end }): CookedIn[] => {
		const use = uses.findLast(({ set_C }) => set_C !== undefined);
		const oven = kitchen.equipment.ovens.find(({ id }) => id === use?.equipment);
		if (figures.group === undefined || !oven || use?.set_C === undefined) return [];
		const minutes = (end - start) / 60_000;
		return [{ group: String(figures.group), oven, set_C: use.set_C, minutes }];
	});
	const placed = plan.tasks.map((task) => {
		const { start = task.start, end = task.end } = stood.get(task.id) ?? {};
		return { ...task, start, end };
	});
	return retimed(plan, placed, cooked, kitchen, beliefs);
}
