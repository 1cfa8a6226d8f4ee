import { sortBy } from "es-toolkit";
import type { DayEquipment, DayTask, Unmet } from "./Day.ts";
import { EMPTY_DAY } from "./placeDay.ts";
import { type WorkedDay, workedDay } from "./WorkedDay.ts";

/** Days that were placed beside each other, as one: nothing of them moves. */
export function daysTogether(days: readonly WorkedDay[]): WorkedDay {
	const [first, ...others] = days;
	if (!first) return EMPTY_DAY;
	if (others.length === 0) return first;
	const sum = (of: (day: WorkedDay) => number) => days.reduce((all, day) => all + of(day), 0);
	return workedDay(
		{
			from: Math.min(...days.map(({ from }) => from)),
			to: Math.max(...days.map(({ to }) => to)),
			equipment: equipmentOfAll(days),
			tasks: inOrder(days.flatMap(({ tasks }) => tasks)),
			late_min: sum(({ late_min }) => late_min),
			waiting_rung_min: sum(({ waiting_rung_min }) => waiting_rung_min),
			bound_waiting_rung_min: sum(({ bound_waiting_rung_min }) => bound_waiting_rung_min),
			unmet: days.flatMap(({ unmet }) => unmet),
		},
		new Map(days.flatMap(({ dishes }) => [...dishes])),
		new Map(days.flatMap(({ batches }) => [...batches])),
	);
}

function inOrder(tasks: readonly DayTask[]): DayTask[] {
	return sortBy(tasks, [({ start }) => start, ({ end }) => end]);
}

/** Everything that one of them has at least, over all their hours. */
function equipmentOfAll(days: readonly WorkedDay[]): DayEquipment[] {
	const all = new Map<string, DayEquipment>();
	for (const thing of days.flatMap(({ equipment }) => equipment)) {
		const known = all.get(thing.id);
		all.set(
			thing.id,
			known
				? {
						...known,
						capacity: Math.max(known.capacity, thing.capacity),
						windows: joined([...known.windows, ...thing.windows]),
					}
				: thing,
		);
	}
	return [...all.values()];
}

/** Windows that meet or overlap as one, the soonest first. */
function joined(windows: DayEquipment["windows"]): DayEquipment["windows"] {
	const all: [number, number][] = [];
	for (const [opens, closes] of sortBy(windows, [([from]) => from])) {
		const last = all.at(-1);
		if (last && last[1] >= opens) last[1] = Math.max(last[1], closes);
		else all.push([opens, closes]);
	}
	return all;
}

/**
 * The tasks of a day that a page shows: those of some sittings whole, of all others what goes on
 * between two moments. What is only ordered then is no work of the day.
 */
export function sliceOf(
	day: WorkedDay,
	sittings: ReadonlySet<string>,
	{ from, to }: { readonly from: number; readonly to: number },
): WorkedDay {
	const tasks = day.tasks.filter(
		(task) => sittings.has(task.sitting) || (task.part !== "order" && touches(task, from, to)),
	);
	const shown = new Set(tasks.map(({ id }) => id));
	const unmet = day.unmet.filter(({ task }: Unmet) => shown.has(task));
	return workedDay({ ...day, tasks, unmet }, day.dishes, day.batches);
}

/** Whether something of a task, or of what it has in hand, goes on between two moments. */
export function touches({ start, end, uses }: DayTask, from: number, to: number): boolean {
	const isIn = (begins: number, ends: number) =>
		begins < to && (ends > from || (ends === begins && begins >= from));
	return isIn(start, end) || uses.some((use) => isIn(use.from, use.to));
}
