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
	for (const task of tasks.filter(({ fills }) => fills)) placed.set(task.id, stretched(task, tasks, placed));
	return tasks
		.map((task) => placed.get(task.id) as PlacedTask)
		.sort((a, b) => a.start - b.start || a.end - b.end);
}

/** From the end of what is before it until what follows it begins. */
function stretched(task: Task, tasks: readonly Task[], placed: ReadonlyMap<string, PlacedTask>): PlacedTask {
	const at = placed.get(task.id) as PlacedTask;
	const before = task.after.map(({ task: id }) => (placed.get(id) as PlacedTask).end);
	const next = tasks
		.filter(({ after }) => after.some((predecessor) => predecessor.task === task.id))
		.map(({ id }) => (placed.get(id) as PlacedTask).start);
	const start = before.length > 0 ? Math.max(...before) : at.start;
	return { ...at, start, end: next.length > 0 ? Math.min(...next) : at.end };
}

function latestEndFor(task: Task, next: Task, placed: ReadonlyMap<string, PlacedTask>): number {
	const { start } = placed.get(next.id) as PlacedTask;
	const { least_min = 0 } = next.after.find((predecessor) => predecessor.task === task.id) ?? {};
	return minutesBefore(start, least_min);
}

function put(task: Task, endBy: number, house: Clockwork): PlacedTask {
	const start = latestStartOf(task, overBy(task, endBy, house), house);
	return { ...task, start, end: minutesBefore(start, -task.minutes.planned) };
}

/**
 * When a task has to be over that is wanted by an instant: what is cold the day before, when that day
 * closes; an order, when the kitchen opens so many days before.
 */
export function overBy(
	{ window }: Pick<Task, "window">,
	endBy: number,
	{ timeZone, hours }: Clockwork,
): number {
	if (window.leadDays !== null) return onDay(endBy, timeZone, hours.opens_min, -window.leadDays);
	return window.dayBefore ? Math.min(endBy, onDay(endBy, timeZone, hours.closes_min, -1)) : endBy;
}

/** The latest start of a task that is over by an instant, on the five minutes, inside working hours where it has to be. */
export function latestStartOf(
	{ minutes, window }: Pick<Task, "minutes" | "window">,
	endBy: number,
	{ timeZone, hours }: Clockwork,
): number {
	if (!window.withinHours) return startBefore(endBy, minutes.planned);
	const working = { ...hours, closes_min: Math.min(hours.closes_min, window.byMinute ?? hours.closes_min) };
	return startBefore(latestWorkingStart(endBy, minutes.planned, timeZone, working), 0);
}

/**
 * Every task after all that follow it.
 *
 * @throws {Error} when they wait for each other in a circle
 */
export function lastFirst<T extends Pick<Task, "id" | "after">>(tasks: readonly T[]): T[] {
	const byId = new Map(tasks.map((task) => [task.id, task]));
	const state = new Map<string, "open" | "done">();
	const order: T[] = [];
	const visit = (task: T): void => {
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
