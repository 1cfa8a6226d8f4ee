import type { DayGiven, DayTask } from "./Day.ts";
import { changesOf } from "./DayChange.ts";
import type { OpenTask } from "./tasksOf.ts";

/** A task whose place is not to be chosen: done, running, or put there by the chef. */
export interface Settled {
	readonly start: number;
	/** When it was over, or will be as it stands in the day before; null where its own minutes say so. */
	readonly end: number | null;
	/** Where and how hot, where the chef has said so. */
	readonly oven?: string;
	readonly set_C?: number;
	readonly rung?: number;
	/** As it stood in the day that is being worked to. */
	readonly stood?: DayTask;
	/** Begun: what it has in hand is what it was given. */
	readonly begun: boolean;
}

/**
 * What is not to be chosen, by task: what has been told of it first, then what had begun by now in
 * the day that is being worked to, then what the chef has put somewhere.
 */
export function settledOf(tasks: readonly OpenTask[], given: DayGiven): ReadonlyMap<string, Settled> {
	const { changes = [], before, now } = given;
	const stood = new Map(before?.tasks.map((task) => [task.id, task]));
	const pinned = new Map(changesOf(changes, "pinned").map((pin) => [pin.task, pin]));
	const happened = new Map(changesOf(changes, "happened").map((one) => [one.task, one]));
	const settled = new Map<string, Settled>();
	for (const { id } of tasks) {
		const was = stood.get(id);
		const told = happened.get(id);
		const pin = pinned.get(id);
		if (told) {
			settled.set(id, { start: told.start, end: told.end, begun: true, ...(was ? { stood: was } : {}) });
		} else if (was && now !== undefined && was.start < now) {
			settled.set(id, { start: was.start, end: was.end, begun: true, stood: was });
		} else if (pin) {
			const { task: _, kind: __, ...where } = pin;
			settled.set(id, { ...where, end: null, begun: false });
		}
	}
	return settled;
}
