import type { Beliefs } from "../beliefs/index.ts";
import { lastFirst } from "../tasks/index.ts";
import { minutesBefore, startBefore, toFiveMinutes } from "../time/index.ts";
import type { Day, DayGiven } from "./Day.ts";
import { DayBoard } from "./DayBoard.ts";
import { dayOf } from "./dayOf.ts";
import type { SolverSettings } from "./ovenDay/index.ts";
import { isOvenTask } from "./ovenLevel.ts";
import { placeInOvens } from "./placeInOvens.ts";
import { placeTask } from "./placeTask.ts";
import { pushOn } from "./pushOn.ts";
import { settle } from "./settle.ts";
import { tasksOf } from "./tasksOf.ts";

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
 * In whatever order sittings and dishes are given, the day is the same. Where a day is given that is
 * being worked to, what of it has begun stays where it is, and the rest where it still can be.
 *
 * @param settings how hard the ovens are thought about
 * @see model, sections I and K
 */
export function placeDay(
	given: DayGiven,
	beliefs: Beliefs,
	settings: SolverSettings = WHILE_WAITED_FOR,
): Day {
	const services = given.sittings.map(({ serviceAt }) => serviceAt);
	if (services.length === 0) return EMPTY_DAY;
	const from = startBefore(Math.min(...services), REACHES_BACK_MIN);
	const to = toFiveMinutes(minutesBefore(Math.max(...services), -REACHES_ON_MIN), Math.ceil);
	const tasks = tasksOf(given.sittings);
	const board = new DayBoard(given, tasks, beliefs, from, to);
	settle(board);
	let open = lastFirst(tasks).filter(({ id }) => !board.stands(id));
	while (open.length > 0) {
		const [next] = board.readyOf(open.filter((task) => !isOvenTask(task)));
		const placed = next ? [next] : board.readyOf(open);
		if (next) placeTask(board, next);
		else placeInOvens(board, placed, settings);
		open = open.filter((task) => !placed.includes(task));
	}
	pushOn(board);
	return dayOf(board);
}

/** Questions for each level of ovens while somebody waits for the page: a third of a second or so. */
const WHILE_WAITED_FOR: SolverSettings = { seed: 1, steps: 500_000 };

/** A day on which nothing is served. */
export const EMPTY_DAY: Day = {
	from: 0,
	to: 0,
	equipment: [],
	tasks: [],
	late_min: 0,
	waiting_rung_min: 0,
	bound_waiting_rung_min: 0,
	unmet: [],
};
