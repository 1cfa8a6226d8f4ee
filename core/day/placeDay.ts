import { isEqual } from "es-toolkit";
import { must } from "../check/index.ts";
import { onClock, type Standing, taskAt } from "../dish/index.ts";
import { lastFirst, type PlacedTask, type Task } from "../tasks/index.ts";
import { MINUTE_MS, minutesBefore, startBefore, toFiveMinutes } from "../time/index.ts";
import { orderOf } from "./bestOrder.ts";
import type { Day, DayGiven, Unmet } from "./Day.ts";
import { DayBoard } from "./DayBoard.ts";
import { dayOf } from "./dayOf.ts";
import { liftAll } from "./liftAll.ts";
import type { SolverSettings } from "./ovenDay/index.ts";
import { isOvenTask } from "./ovenLevel.ts";
import { placeInOvens } from "./placeInOvens.ts";
import { placeTask } from "./placeTask.ts";
import { pushOn } from "./pushOn.ts";
import { settle } from "./settle.ts";
import { standingsIn } from "./standingsIn.ts";
import { type OpenTask, type SittingWork, tasksOf, workOf } from "./tasksOf.ts";
import { type WorkedBatch, type WorkedDay, type WorkedDish, workedDay, workedDish } from "./WorkedDay.ts";

/** How far before the first service the day reaches, minutes: six days. */
const REACHES_BACK_MIN = 6 * 24 * 60;
/** How far after the last one: late plates, and pans to wash. */
const REACHES_ON_MIN = 12 * 60;

/**
 * All tasks of all dishes over all that the kitchen has, backwards from each service: each as late
 * as what follows it, the hours and the equipment allow. What waits in ovens is chosen together,
 * level by level: first what is last before service, then what was in before that. What comes too
 * late to be over in time is pushed on, with all that follows it. What can not be had is planned
 * all the same, and said.
 *
 * Once it is known which oven a dish stands in and how hot, all that depends on it is worked out, and
 * where minutes or amounts come out otherwise the day is placed once more with each dish in its own
 * oven: two rounds, no more. What is left after them stands in the range.
 *
 * In whatever order sittings and dishes are given, and whatever they are called, the day is the same.
 * Where a day is given that is being worked to, what of it has begun stays where it is, and the rest
 * where it still can be.
 *
 * @param settings how hard the ovens are thought about
 * @see model, sections I, K and N
 */
export function placeDay(given: DayGiven, settings: SolverSettings = WHILE_WAITED_FOR): WorkedDay {
	if (given.sittings.length === 0) return EMPTY_DAY;
	const free = workOf(given.sittings, given.kitchen);
	const stoodBefore = given.before ? settledIn(standingsIn(given.before, free, given), free) : undefined;
	const anywhere = stoodBefore ? workOf(given.sittings, given.kitchen, new Map(), stoodBefore) : free;
	const order = orderOf(given);
	const asked = tasksOf(anywhere, order);
	const first = placed(given, asked, settings, null);
	const stood = standingsIn(first, anywhere, given);
	const work = workOf(given.sittings, given.kitchen, settledIn(stood, anywhere));
	const now = tasksOf(work, order);
	const day = asksTheSame(first, asked, now) ? first : placed(given, now, settings, first);
	return workedOut(day, standingsIn(day, work, given), given);
}

/**
 * A day that was placed before and stored, with its dishes worked out where they stand in it. The one
 * way back to a placed day from what was kept of it.
 *
 * @returns null where it is not a placing of these sittings
 */
export function restoredDay(day: Day, given: DayGiven): WorkedDay | null {
	const anywhere = workOf(given.sittings, given.kitchen);
	const stored = new Set(day.tasks.map(({ id }) => id));
	const asked = tasksOf(anywhere);
	if (asked.length !== stored.size || asked.some(({ id }) => !stored.has(id))) return null;
	return workedOut(day, standingsIn(day, anywhere, given), given);
}

/** Questions for each level of ovens while somebody waits for the page: a tenth of a second or so. */
const WHILE_WAITED_FOR: SolverSettings = { seed: 1, steps: 200_000 };

/** A day on which nothing is served. */
export const EMPTY_DAY: WorkedDay = workedDay(
	{
		from: 0,
		to: 0,
		equipment: [],
		tasks: [],
		late_min: 0,
		waiting_rung_min: 0,
		bound_waiting_rung_min: 0,
		unmet: [],
	},
	new Map(),
	new Map(),
);

function placed(
	given: DayGiven,
	tasks: readonly OpenTask[],
	settings: SolverSettings,
	again: Day | null,
): Day {
	const services = given.sittings.map(({ serviceAt }) => serviceAt);
	const from = startBefore(Math.min(...services), REACHES_BACK_MIN);
	const to = toFiveMinutes(minutesBefore(Math.max(...services), -REACHES_ON_MIN), Math.ceil);
	const board = new DayBoard(given, tasks, from, to, again);
	settle(board);
	let open = lastFirst(tasks).filter(({ id }) => !board.stands(id));
	while (open.length > 0) {
		const [next] = board.readyOf(open.filter((task) => !isOvenTask(task)));
		const some = next ? [next] : board.readyOf(open);
		if (next) placeTask(board, next);
		else placeInOvens(board, some, settings);
		open = open.filter((task) => !some.includes(task));
	}
	pushOn(board);
	liftAll(board);
	return dayOf(board);
}

/** What was given before is kept where it is as good as what the heat asks there. */
function settledIn(
	standings: ReadonlyMap<string, Standing>,
	work: readonly SittingWork[],
): Map<string, Standing> {
	const dishes = work.flatMap((sitting) => sitting.dishes);
	return new Map(
		dishes.map(({ needs }) => {
			const { id } = needs.dish.order;
			return [id, needs.settled(must(standings, id, "dish"))];
		}),
	);
}

/** Whether a day gives every task as many minutes and things as follow from where its dish stands. */
function asksTheSame(day: Day, before: readonly OpenTask[], after: readonly OpenTask[]): boolean {
	const stood = new Map(day.tasks.map(({ id, start, end }) => [id, (end - start) / MINUTE_MS]));
	const asked = (tasks: readonly OpenTask[], minutesOf: (task: Task) => number | undefined) =>
		tasks.map((task) => ({
			id: task.id,
			planned: isOvenTask(task) ? minutesOf(task) : task.minutes.planned,
			handsOn: task.minutes.handsOn,
			follows: task.after,
			needs: task.needs.filter(({ kind }) => kind !== "rungs"),
		}));
	return isEqual(
		asked(before, ({ id }) => stood.get(id)),
		asked(after, ({ minutes }) => minutes.planned),
	);
}

/** What of each dish finds no pan, said where its pans are filled. */
function withoutPans(dishes: ReadonlyMap<string, WorkedDish>): Unmet[] {
	return [...dishes.values()].flatMap((dish): Unmet[] => {
		const { short, pieces: laid } = dish;
		const filling = taskAt(dish, "panUp");
		if (!short?.pans || !filling) return [];
		const { pieces, portions, pans } = short;
		return [{ task: filling.id, because: "noPan", pieces, portions, pans, laid }];
	});
}

/** Every dish and batch of a placed day with its tasks on the clock. */
function workedOut(day: Day, standings: ReadonlyMap<string, Standing>, given: DayGiven): WorkedDay {
	const work = workOf(given.sittings, given.kitchen, standings);
	const stands = new Map(day.tasks.map((task) => [task.id, task]));
	const clocked = <T extends Task>(task: T, id = task.id): T & PlacedTask => {
		const { start, end } = must(stands, id, "placed task");
		return { ...task, start, end };
	};
	const dishes = new Map<string, WorkedDish>();
	const batches = new Map<string, readonly WorkedBatch[]>();
	for (const { sitting, dishes: some, batches: made } of work) {
		for (const { needs, figures, tasks } of some) {
			const { order, kitchen } = needs.dish;
			const plan = onClock(
				figures,
				tasks.map((task) => clocked(task)),
				kitchen,
			);
			dishes.set(order.id, workedDish(plan, must(standings, order.id, "dish")));
		}
		batches.set(
			sitting.id,
			made.map((batch) => ({
				...batch,
				tasks: batch.tasks.map((task) => clocked(task, `${sitting.id}/${task.id}`)),
			})),
		);
	}
	const unmet = [...day.unmet.filter(({ because }) => because !== "noPan"), ...withoutPans(dishes)];
	return workedDay({ ...day, unmet }, dishes, batches);
}
