import { MINUTE_MS } from "../time/index.ts";
import type { Day, DayGiven, DayTask } from "./Day.ts";
import { isOvenTask, waysOf } from "./ovenLevel.ts";
import { tasksOf, workOf } from "./tasksOf.ts";
import type { Liftable } from "./verdictOf.ts";
import { wantedAt } from "./wantedAt.ts";

/** All that can be lifted from its rungs and put elsewhere, with what it needs there, by task. */
export function liftablesOf(day: Day, given: DayGiven): Map<string, Liftable> {
	const placed = new Map(day.tasks.map((task) => [task.id, task]));
	const tasks = new Map(tasksOf(workOf(given.sittings, given.kitchen)).map((task) => [task.id, task]));
	const placeOf = (id: string) => placed.get(id) as DayTask;
	const liftables = [...tasks.values()].filter(isOvenTask).flatMap((task): Liftable[] => {
		const stands = placed.get(task.id);
		if (!stands) return [];
		const filledAt = Math.max(
			0,
			...task.after.map((before) => (placed.get(before.task)?.end ?? 0) + before.least_min * MINUTE_MS),
		);
		return [
			{
				id: task.id,
				ways: waysOf(task, given),
				filledAt,
				wantedAt: wantedAt(task, stands.end, tasks, placeOf),
			},
		];
	});
	return new Map(liftables.map((one) => [one.id, one]));
}
