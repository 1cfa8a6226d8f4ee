import { countBy, sortBy } from "es-toolkit";
import {
	type DishNeeds,
	isMadeAhead,
	type PlanFigures,
	type PreparedBatch,
	planPreparations,
	type Standing,
} from "../dish/index.ts";
import type { Kitchen } from "../kitchen/index.ts";
import { figuresHash, seeded, shuffled } from "../random/index.ts";
import type { Task } from "../tasks/index.ts";
import type { DayTask, SittingOfDay } from "./Day.ts";

/** A task with its owner and its followers. */
export interface OpenTask extends Task {
	readonly forName: string;
	readonly sitting: string;
	readonly serviceAt: number;
	/** Whether its dish is cooked on a day before it is served. */
	readonly ahead: boolean;
	/** Its place among all tasks of the day: by service, weight and figures; by no name. */
	readonly rank: number;
	/** Its dish's turn, where dishes are placed one after the other; all alike where they are not. */
	readonly turn: number;
	readonly followers: readonly {
		readonly task: string;
		readonly least_min: number;
		readonly most_min: number | null;
	}[];
}

/** A dish with the tasks that follow from where it stands. */
export interface DishWork {
	readonly needs: DishNeeds;
	readonly figures: PlanFigures;
	readonly tasks: readonly Task[];
}

/** A sitting with all that it asks of the kitchen. */
export interface SittingWork {
	readonly sitting: SittingOfDay;
	readonly dishes: readonly DishWork[];
	readonly batches: readonly PreparedBatch[];
}

/**
 * What all sittings ask of the kitchen.
 *
 * @param standings where the dishes stand, by their ids; one that is not in it may stand anywhere
 * @param stood     where they stand in a day that is being worked to: what they take there is exact
 */
export function workOf(
	sittings: readonly SittingOfDay[],
	kitchen: Kitchen,
	standings: ReadonlyMap<string, Standing> = new Map(),
	stood: ReadonlyMap<string, Standing> = new Map(),
): SittingWork[] {
	return sittings.map((sitting) => {
		const dishes = sitting.dishes.map((needs): DishWork => {
			const standing = standings.get(needs.dish.order.id);
			return standing
				? { needs, figures: needs.at(standing), tasks: needs.tasksAt(standing) }
				: {
						needs,
						figures: needs.estimated(),
						tasks: needs.tasks(stood.get(needs.dish.order.id)),
					};
		});
		const prepared = dishes.map(({ needs: { dish }, figures: { lines }, tasks }) => ({
			order: dish.order,
			recipe: dish.recipe,
			lines,
			tasks,
		}));
		return { sitting, dishes, batches: planPreparations(prepared, kitchen) };
	});
}

/** Pans that stand in an oven for a task. */
export function pansInOven({ needs }: Pick<Task, "needs">): DayTask["inOven"] {
	return needs.flatMap((need) => (need.kind === "rungs" ? need.pans : []));
}

/**
 * All tasks of all dishes and preparations, in an order that depends on nothing but their figures. A
 * dish's task waits for what is made in the house for it, and that for what was ordered.
 *
 * @param order in which of several orders they are placed: 0 the usual one; an odd one takes dish
 *              after dish, an even one what is last before service first, dishes otherwise ranked
 */
export function tasksOf(work: readonly SittingWork[], order = 0): OpenTask[] {
	const owners = order === 0 ? ranked(work) : shuffled(ranked(work), seeded(order));
	const own = owners
		.flatMap((tasks, turn) => tasks.map((task) => ({ ...task, turn: order % 2 === 1 ? turn : 0 })))
		.map((task, rank) => ({ ...task, rank }));
	const followers = new Map<string, OpenTask["followers"][number][]>();
	for (const { id, after } of own) {
		for (const { task, least_min, most_min } of after) {
			followers.set(task, [...(followers.get(task) ?? []), { task: id, least_min, most_min }]);
		}
	}
	return own.map((task) => ({ ...task, followers: followers.get(task.id) ?? [] }));
}

type Owned = Omit<OpenTask, "followers" | "rank" | "turn">;

/** The tasks of each dish and preparation: by service, then the heaviest, then a hash of the figures: equals are interchangeable. */
function ranked(work: readonly SittingWork[]): Owned[][] {
	const all = work.flatMap((one) => [
		...one.dishes.map((dish) => ({
			serviceAt: one.sitting.serviceAt,
			kg: dish.needs.dish.size.chain.trimmed_kg,
			hash: () => figuresHash([dish.needs.dish.order, dish.needs.dish.recipe]),
			tasks: tasksOfDish(dish, one),
		})),
		...one.batches.map((batch) => ({
			serviceAt: one.sitting.serviceAt,
			kg: batch.grams / 1000,
			hash: () => figuresHash([batch.preparation, batch.grams]),
			tasks: tasksOfBatch(batch, one),
		})),
	]);
	const keyOf = ({ serviceAt, kg }: (typeof all)[number]) => `${serviceAt} ${kg}`;
	const counts = countBy(all, keyOf);
	return sortBy(all, [
		({ serviceAt }) => serviceAt,
		({ kg }) => -kg,
		// Seldom are two as heavy: only then is it asked what tells them apart.
		(one) => (counts[keyOf(one)] === 1 ? "" : one.hash()),
	]).map(({ tasks }) => tasks);
}

function tasksOfDish(
	{ needs, tasks }: DishWork,
	{ sitting: { id, serviceAt }, batches }: SittingWork,
): Owned[] {
	const { recipe } = needs.dish;
	return tasks.map((task) => {
		const made = batches.filter(({ feeds }) => feeds.includes(task.id));
		return {
			...task,
			after: [...task.after, ...made.map((batch) => afterMade(id, batch))],
			forName: recipe.name,
			sitting: id,
			serviceAt,
			ahead: isMadeAhead(recipe),
		};
	});
}

function tasksOfBatch(batch: PreparedBatch, { sitting: { id, serviceAt }, batches }: SittingWork): Owned[] {
	return batch.tasks.map((task): Owned => {
		const made = batches.filter(({ feeds }) => feeds.includes(task.id));
		const ordered = task.after.length > 0 ? [] : batch.orders;
		return {
			...task,
			id: `${id}/${task.id}`,
			after: [
				...task.after.map((before) => ({ ...before, task: `${id}/${before.task}` })),
				...made.map((before) => afterMade(id, before)),
				...ordered.map((order) => ({ task: order, least_min: 0, most_min: null })),
			],
			forName: batch.name,
			sitting: id,
			serviceAt,
			ahead: false,
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
