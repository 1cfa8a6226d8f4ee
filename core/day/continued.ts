import { groupBy, sortBy } from "es-toolkit";
import type { DayTask } from "./Day.ts";

/** What a task is known by in another day. */
export type Known = Pick<DayTask, "id" | "for" | "place" | "part" | "inOven">;

/**
 * The tasks of a day before by the ids that they have now. Where a dish stands in other pans or
 * another oven its tasks have other ids: each goes on as one of the same part of the same dish, in
 * the same kinds of pan where there is one.
 */
export function continued(before: readonly DayTask[], now: readonly Known[]): Map<string, DayTask> {
	const found = new Map(before.map((task) => [task.id, task]));
	const ids = new Set(now.map(({ id }) => id));
	const gone = groupBy(
		before.filter(({ id }) => !ids.has(id)),
		partOf,
	);
	const come = groupBy(
		now.filter(({ id }) => !found.has(id)),
		partOf,
	);
	for (const [part, tasks] of Object.entries(come)) {
		const left = sortBy(gone[part] ?? [], ["id"]);
		const take = (task: Known, fits: (one: DayTask) => boolean) => {
			const index = left.findIndex(fits);
			const [one] = index === -1 ? [] : left.splice(index, 1);
			if (one) {
				found.set(task.id, one);
				found.delete(one.id);
			}
		};
		const sorted = sortBy(tasks, ["id"]);
		for (const task of sorted) take(task, (one) => kindsOf(one) === kindsOf(task));
		for (const task of sorted) if (!found.has(task.id)) take(task, () => true);
	}
	return found;
}

const partOf = ({ for: dish, place, part }: Known): string => `${dish} ${place} ${part}`;

function kindsOf({ inOven }: Known): string {
	return inOven
		.map(({ typeId }) => typeId)
		.sort()
		.join(" ");
}
