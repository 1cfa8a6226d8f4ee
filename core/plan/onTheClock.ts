import type { Range } from "../quantity/index.ts";
import type { Recipe } from "../recipe/index.ts";
import type { PlacedTask } from "../tasks/index.ts";
import { minutesBefore, toFiveMinutes } from "../time/index.ts";
import { isOfLastGo, type PlanFigures } from "./Plan.ts";
import { isMadeAhead } from "./planLiquid.ts";

/** Minutes that the meat lies out of its oven before the first plate: from the lift, or from hot again. */
export function waitOf(recipe: Recipe, tasks: readonly PlacedTask[]): number {
	const hot = isMadeAhead(recipe) ? "reheat" : "lift";
	const from = tasks.find((task) => task.part === hot && isOfLastGo(task));
	const plate = tasks.find(({ place }) => place === "plate");
	return from && plate ? (plate.start - from.end) / 60_000 : 0;
}

/** When the slowest pans of the last filling are tender: from their oven door on, to the five minutes. */
export function tenderAt(
	{ braise_min }: Pick<PlanFigures, "braise_min">,
	tasks: readonly PlacedTask[],
): Range {
	const first = tasks.find((task) => task.part === "oven" && isOfLastGo(task));
	if (!first) throw new Error("a braise without an oven task");
	return tenderFrom(first.start, braise_min);
}

/** When pans are tender that go in at an instant, to the five minutes. */
export function tenderFrom(start: number, { low, likely, high }: Range): Range {
	const at = (minutes: number, round: (steps: number) => number) =>
		toFiveMinutes(minutesBefore(start, -minutes), round);
	return { low: at(low, Math.floor), likely: at(likely, Math.round), high: at(high, Math.ceil) };
}
