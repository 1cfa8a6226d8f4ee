import { minutesBefore, toFiveMinutes } from "../time/index.ts";
import { type DayBoard, STEP_MIN } from "./DayBoard.ts";
import { isOvenTask } from "./ovenLevel.ts";
import { isInHours } from "./placeTask.ts";
import type { OpenTask } from "./tasksOf.ts";

/**
 * Every pan that leaves an oven is lifted when it is out, whatever put it there, and what is cooled
 * goes into the cold as soon as it is lifted: hot food that waits gains nothing.
 */
export function liftAll(board: DayBoard): void {
	for (const task of board.tasks.values()) if (isOvenTask(task)) board.liftWhenTender(task);
	for (const task of board.tasks.values()) {
		if (task.part === "chill" && !board.settled.has(task.id)) coolAtOnce(board, task);
	}
}

/** As soon after the lift as there is room for it. */
function coolAtOnce(board: DayBoard, task: OpenTask): void {
	const { start, end, uses } = board.putOf(task.id);
	const lifted = Math.max(
		board.earliestOf(task),
		...task.after.map(({ task: id, least_min }) =>
			minutesBefore(board.put.get(id)?.end ?? start, -least_min),
		),
	);
	const first = toFiveMinutes(lifted, Math.ceil);
	if (first >= start) return;
	board.ledger.giveBack(uses);
	for (let at = first; at < start; at = minutesBefore(at, -STEP_MIN)) {
		const tried = board.triedAt(task, at);
		const sooner = isInHours(task, tried, board.given.kitchen.policy) ? board.usesAt(tried, false) : null;
		if (!sooner) continue;
		board.unsay(task);
		board.stand(task, at, sooner);
		return;
	}
	board.stand(task, start, uses, end);
}
