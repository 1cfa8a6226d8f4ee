import { latestWorkingStart, minutesBefore, onDay, startBefore, type WorkingHours } from "../time/index.ts";
import type { PlacedTask, Task } from "./Task.ts";

/** The house's clock. */
export interface Clockwork {
	readonly timeZone: string;
	readonly hours: WorkingHours;
}

/**
 * Tasks put backwards from the end in a kitchen that is empty: each as late as what follows it
 * and its own window allow, starts on the five minutes. The clock of one dish alone; a day with
 * others in it begins from here.
 *
 * @param tasks in any order
 * @param end   what has to be over by then, ms since 1970 UTC: service
 * @throws {Error} when the tasks wait for each other in a circle
 * @see model, sections I and K
 */
export function placeBackwards(tasks: readonly Task[], end: number, house: Clockwork): PlacedTask[] {
	const placed = new Map<string, PlacedTask>();
	for (const task of lastFirst(tasks)) {
		const followers = tasks.filter(({ after }) => after.some((predecessor) => predecessor.task === task.id));
		const endBy = Math.min(
			task.window.to ?? Number.POSITIVE_INFINITY,
			...(followers.length === 0 ? [end] : followers.map((next) => latestEndFor(task, next, placed))),
		);
		placed.set(task.id, put(task, endBy, house));
	}
	return tasks
		.map((task) => placed.get(task.id) as PlacedTask)
		.sort((a, b) => a.start - b.start || a.end - b.end);
}

function latestEndFor(task: Task, next: Task, placed: ReadonlyMap<string, PlacedTask>): number {
	const { start } = placed.get(next.id) as PlacedTask;
	const { least_min = 0 } = next.after.find((predecessor) => predecessor.task === task.id) ?? {};
	return minutesBefore(start, least_min);
}

function put(task: Task, endBy: number, { timeZone, hours }: Clockwork): PlacedTask {
	const { minutes, window } = task;
	const by = window.dayBefore ? Math.min(endBy, onDay(endBy, timeZone, hours.closes_min, -1)) : endBy;
	const working = { ...hours, closes_min: Math.min(hours.closes_min, window.byMinute ?? hours.closes_min) };
	const latest = window.withinHours
		? startBefore(latestWorkingStart(by, minutes.planned, timeZone, working), 0)
		: startBefore(by, minutes.planned);
	return { ...task, start: latest, end: minutesBefore(latest, -minutes.planned) };
}

/** Every task after all that follow it. */
function lastFirst(tasks: readonly Task[]): Task[] {
	const byId = new Map(tasks.map((task) => [task.id, task]));
	const state = new Map<string, "open" | "done">();
	const order: Task[] = [];
	const visit = (task: Task): void => {
		if (state.get(task.id) === "done") return;
		if (state.get(task.id) === "open") throw new Error(`tasks wait for each other: ${task.id}`);
		state.set(task.id, "open");
		for (const { task: id } of task.after) {
			const before = byId.get(id);
			if (before) visit(before);
		}
		state.set(task.id, "done");
		order.push(task);
	};
	for (const task of tasks) visit(task);
	return order.reverse();
}
