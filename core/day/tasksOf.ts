import type { Plan, PreparedBatch } from "../plan/index.ts";
import type { Task } from "../tasks/index.ts";
import type { DayTask, SittingOfDay } from "./Day.ts";

/** A task of the day with whose it is, and what comes after it. */
export interface OpenTask extends Task {
	readonly forName: string;
	readonly sitting: string;
	readonly serviceAt: number;
	/** The dish that it is for; absent where it is made in the house for several. */
	readonly plan?: Plan;
	readonly followers: readonly {
		readonly task: string;
		readonly least_min: number;
		readonly most_min: number | null;
	}[];
}

/** Pans that stand in an oven for a task. */
export function pansInOven({ needs }: Pick<Task, "needs">): DayTask["inOven"] {
	return needs.flatMap((need) => (need.kind === "rungs" ? need.pans : []));
}

/**
 * All tasks of all dishes and preparations, in an order that does not depend on that of the
 * sittings. A dish's task waits for what is made in the house for it.
 */
export function tasksOf(sittings: readonly SittingOfDay[]): OpenTask[] {
	const own = sittings.flatMap((sitting) => [
		...sitting.plans.flatMap((plan) => tasksOfDish(plan, sitting)),
		...sitting.batches.flatMap((batch) => tasksOfBatch(batch, sitting)),
	]);
	const followers = new Map<string, OpenTask["followers"][number][]>();
	for (const { id, after } of own) {
		for (const { task, least_min, most_min } of after) {
			followers.set(task, [...(followers.get(task) ?? []), { task: id, least_min, most_min }]);
		}
	}
	return own
		.map((task) => ({ ...task, followers: followers.get(task.id) ?? [] }))
		.sort((a, b) => a.id.localeCompare(b.id));
}

function tasksOfDish(plan: Plan, { id, serviceAt, batches }: SittingOfDay): Omit<OpenTask, "followers">[] {
	return plan.tasks.map(({ start: _, end: __, ...task }) => {
		const made = batches.filter(({ feeds }) => feeds.includes(task.id));
		return {
			...task,
			after: [...task.after, ...made.map((batch) => afterMade(id, batch))],
			forName: plan.recipe.name,
			sitting: id,
			serviceAt,
			plan,
		};
	});
}

function tasksOfBatch(batch: PreparedBatch, { id, serviceAt, batches }: SittingOfDay) {
	return batch.tasks.map(({ start: _, end: __, ...task }): Omit<OpenTask, "followers"> => {
		const made = batches.filter(({ feeds }) => feeds.includes(task.id));
		return {
			...task,
			id: `${id}/${task.id}`,
			after: [
				...task.after.map((before) => ({ ...before, task: `${id}/${before.task}` })),
				...made.map((before) => afterMade(id, before)),
			],
			forName: batch.name,
			sitting: id,
			serviceAt,
		};
	});
}

/** After the last task of what is made, and no longer after it than it holds. */
function afterMade(sitting: string, { tasks, preparation }: PreparedBatch) {
	return {
		task: `${sitting}/${tasks.at(-1)?.id ?? ""}`,
		least_min: 0,
		most_min: preparation.holds_min ?? null,
	};
}
