import type { Kitchen } from "../kitchen/index.ts";
import type { Recipe } from "../recipe/index.ts";
import type { PlacedTask } from "../tasks/index.ts";
import { add, figure, fiveDown, fiveNearest, fiveUp, working } from "../workings/index.ts";
import { type LastTender, lastTender } from "./lastTender.ts";
import { liquorOf } from "./liquor.ts";
import { isOfLastGo, lastStartAt, type Plan, type PlanFigures } from "./Plan.ts";
import { isMadeAhead } from "./planLiquid.ts";
import { planWarnings } from "./planWarnings.ts";

/** The figures of a dish with its tasks on a clock, and all that follows from the clock. */
export function onClock(figures: PlanFigures, tasks: readonly PlacedTask[], kitchen: Kitchen): Plan {
	const { policy } = kitchen;
	const { order, recipe } = figures;
	const placed = {
		...figures,
		tasks: [...tasks].sort((a, b) => a.start - b.start || a.end - b.end),
		...tenderFrom(lastTender(figures, tasks)),
		liquor: liquorOf(
			figures.sauce,
			figures.liquid?.salt_pct ?? 0,
			figures.lines,
			lastStartAt({ tasks, order }, "rest"),
			policy.allergenList,
			policy.timeZone,
		),
		wait_min: waitOf(recipe, tasks),
	};
	return { ...placed, warnings: planWarnings(placed, kitchen) };
}

/** Minutes that the meat lies out of its oven before the first plate: from the lift, or from hot again. */
export function waitOf(recipe: Recipe, tasks: readonly PlacedTask[]): number {
	const hot = isMadeAhead(recipe) ? "reheat" : "lift";
	const from = tasks.find((task) => task.part === hot && isOfLastGo(task));
	const plate = tasks.find(({ place }) => place === "plate");
	return from && plate ? (plate.start - from.end) / 60_000 : 0;
}

/** When pans are tender that go in at an instant, to the five minutes. */
function tenderFrom({
	start,
	tender_min: { low, likely, high },
}: LastTender): Pick<Plan, "tender" | "tenderSums"> {
	const into = figure(start, "instant", "in");
	const after = (minutes: number, name: string) => add(into, figure(minutes, "min", name));
	const first = working("tenderFirst", fiveDown(after(low, "tenderLow")), "instant");
	const middle = working("tenderLikely", fiveNearest(after(likely, "tenderLikely")), "instant");
	const late = working("tenderLate", fiveUp(after(high, "tenderHigh")), "instant");
	return {
		tender: { low: first.result.value, likely: middle.result.value, high: late.result.value },
		tenderSums: [first, middle, late],
	};
}
