import { lastFirst } from "../tasks/index.ts";
import { minutesBefore } from "../time/index.ts";
import type { DayGiven } from "./Day.ts";
import { changesOf } from "./DayChange.ts";
import type { Settled } from "./settledOf.ts";
import type { OpenTask } from "./tasksOf.ts";

/**
 * The earliest that each task could begin with all the kitchen for itself: after what is before it,
 * what comes late, and now. Nothing is missing, only what nothing says.
 *
 * @param least_min what a task takes at the least
 */
export function earliestOf(
	tasks: readonly OpenTask[],
	settled: ReadonlyMap<string, Settled>,
	{ changes = [], now = Number.NEGATIVE_INFINITY }: Pick<DayGiven, "changes" | "now">,
	least_min: (task: OpenTask) => number,
): ReadonlyMap<string, number> {
	const arrives = new Map(changesOf(changes, "arrives").map(({ for: dish, at }) => [dish, at]));
	const earliest = new Map<string, number>();
	const ends = new Map<string, number>();
	for (const task of lastFirst(tasks).reverse()) {
		const known = settled.get(task.id);
		const arrived = task.part === "order" ? undefined : arrives.get(task.for);
		const starts = task.after.map(({ task: before, least_min: lag }) =>
			minutesBefore(ends.get(before) ?? Number.NEGATIVE_INFINITY, -lag),
		);
		const start =
			known?.start ??
			Math.max(
				now,
				arrived ?? Number.NEGATIVE_INFINITY,
				task.window.from ?? Number.NEGATIVE_INFINITY,
				...starts,
			);
		earliest.set(task.id, start);
		ends.set(task.id, known?.end ?? minutesBefore(start, -least_min(task)));
	}
	return earliest;
}
