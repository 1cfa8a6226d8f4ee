import { MINUTE_MS } from "../time/index.ts";
import { continued } from "./continued.ts";
import type { Day, DayTask, Use } from "./Day.ts";
import type { DayChange } from "./DayChange.ts";

/** Where a task stands: when, in which oven, how hot, and who does it. */
export interface Stood {
	readonly start: number;
	readonly end: number;
	readonly oven?: string;
	readonly set_C?: number;
	readonly cooks: readonly string[];
}

/** Why a task moved. */
export type MovedBecause =
	/** It was told: of itself, of its dish, or of something that it had. */
	| { readonly because: "told"; readonly change: DayChange }
	/** What is before it is over later. */
	| { readonly because: "after"; readonly task: string }
	/** What follows it begins sooner, or later. */
	| { readonly because: "before"; readonly task: string }
	/** It takes so many minutes more, or fewer. */
	| { readonly because: "takes"; readonly minutes: number }
	/** What it had is with another now. */
	| { readonly because: "room"; readonly task: string; readonly equipment: string }
	/** It stands better so. */
	| { readonly because: "fits" };

/** A task that stands elsewhere in another day; null where it is not in it. */
export interface Move {
	readonly task: string;
	readonly was: Stood | null;
	readonly is: Stood | null;
	readonly why: MovedBecause;
}

type Tasks = Pick<Day, "tasks" | "equipment">;

/** What stands elsewhere than in the day before, the first to start first, each with its reason. */
export function movesBetween(before: Tasks, after: Tasks, changes: readonly DayChange[] = []): Move[] {
	const were = continued(before.tasks, after.tasks);
	const are = new Map(after.tasks.map((task) => [task.id, task]));
	const kinds = new Map([...before.equipment, ...after.equipment].map(({ id, kind }) => [id, kind]));
	const stood = (task: DayTask): Stood => stoodOf(task, (id) => kinds.get(id) === "cook");
	const moved = new Map<string, { was: Stood | null; is: Stood | null }>();
	for (const id of new Set([...were.keys(), ...are.keys()])) {
		const [was = null, is = null] = [were.get(id), are.get(id)].map((task) => task && stood(task));
		if (!was || !is || !isAlike(was, is)) moved.set(id, { was, is });
	}
	return [...moved]
		.map(([task, { was, is }]): Move => {
			const one = are.get(task) ?? (were.get(task) as DayTask);
			return { task, was, is, why: whyOf(one, were.get(task), are, moved, changes) };
		})
		.sort((a, b) => startOf(a) - startOf(b) || a.task.localeCompare(b.task));
}

function startOf({ was, is }: Move): number {
	return is?.start ?? was?.start ?? 0;
}

function stoodOf({ start, end, uses }: DayTask, isCook: (id: string) => boolean): Stood {
	const oven = uses.findLast(({ set_C }) => set_C !== undefined);
	return {
		start,
		end,
		...(oven ? { oven: oven.equipment, set_C: oven.set_C as number } : {}),
		cooks: uses
			.map(({ equipment }) => equipment)
			.filter(isCook)
			.sort(),
	};
}

function isAlike(was: Stood, is: Stood): boolean {
	return (
		was.start === is.start &&
		was.end === is.end &&
		was.oven === is.oven &&
		was.set_C === is.set_C &&
		was.cooks.join() === is.cooks.join()
	);
}

function whyOf(
	task: DayTask,
	was: DayTask | undefined,
	are: ReadonlyMap<string, DayTask>,
	moved: ReadonlyMap<string, unknown>,
	changes: readonly DayChange[],
): MovedBecause {
	const change = changes.find((one) => tellsOf(one, task, was));
	if (change) return { because: "told", change };
	if (!was) return { because: "fits" };
	const late = task.after.find(({ task: id, least_min }) => {
		const before = are.get(id);
		return moved.has(id) && before !== undefined && before.end + least_min * MINUTE_MS > was.start;
	});
	if (late) return { because: "after", task: late.task };
	const next = [...are.values()].find(
		(follower) =>
			moved.has(follower.id) &&
			follower.after.some(
				({ task: id, least_min }) => id === task.id && follower.start !== was.end + least_min * MINUTE_MS,
			) &&
			(follower.start < was.end || task.start > was.start),
	);
	if (next) return { because: "before", task: next.id };
	const minutes = Math.round((task.end - task.start - (was.end - was.start)) / MINUTE_MS);
	if (minutes !== 0) return { because: "takes", minutes };
	return roomFor(task, was, are, moved) ?? { because: "fits" };
}

/** Whether a change is of a task itself, of its dish, or of something that it had at that time. */
function tellsOf(change: DayChange, task: DayTask, was: DayTask | undefined): boolean {
	switch (change.kind) {
		case "pinned":
		case "happened":
			return change.task === task.id;
		case "heat":
			return change.for === task.for && task.place === "braise";
		case "arrives":
			return change.for === task.for && (was?.start ?? 0) < change.at;
		case "away":
			return (was?.uses ?? []).some(
				({ equipment, from, to }) => equipment === change.equipment && from < change.to && to > change.from,
			);
		case "covers":
			return change.sitting === task.sitting && lengthOf(task) !== (was ? lengthOf(was) : 0);
		case "ahead":
			return change.for === task.for;
		case "borrowed":
		case "helped":
		case "order":
			return false;
	}
}

function lengthOf({ start, end }: DayTask): number {
	return end - start;
}

/** Who has now what a task had. */
function roomFor(
	task: DayTask,
	was: DayTask,
	are: ReadonlyMap<string, DayTask>,
	moved: ReadonlyMap<string, unknown>,
): MovedBecause | null {
	const meets = (a: Use, b: Use) => a.equipment === b.equipment && a.from < b.to && a.to > b.from;
	for (const use of was.uses) {
		const other = [...are.values()].find(
			({ id, uses }) => id !== task.id && moved.has(id) && uses.some((one) => meets(one, use)),
		);
		if (other) return { because: "room", task: other.id, equipment: use.equipment };
	}
	return null;
}
