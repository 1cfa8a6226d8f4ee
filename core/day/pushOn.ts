import { lastFirst } from "../tasks/index.ts";
import { MINUTE_MS, minutesBefore, toFiveMinutes } from "../time/index.ts";
import type { Use } from "./Day.ts";
import { type DayBoard, LOOKS_ON_MIN, STEP_MIN } from "./DayBoard.ts";
import { isOvenTask, takenBy, waysOf } from "./ovenLevel.ts";
import { onFrom } from "./placeTask.ts";
import type { OpenTask } from "./tasksOf.ts";

/** Puts what would begin before it can on to when it can, the first in the day first. */
export function pushOn(board: DayBoard): void {
	for (const task of lastFirst([...board.tasks.values()]).reverse()) {
		const { start, uses, end } = board.putOf(task.id);
		const after = task.after.map(({ task: before, least_min }) =>
			minutesBefore(board.putOf(before).end, -least_min),
		);
		const from = Math.max(board.earliestOf(task), ...after);
		if (start >= from) continue;
		if (board.settled.has(task.id)) {
			sayTooSoon(board, task, start);
			continue;
		}
		board.unsay(task);
		board.ledger.giveBack(uses);
		if (isOvenTask(task) && uses.length > 0) {
			const use = firstUse(board, task, from);
			if (use) board.stand(task, use.from, [use], use.to);
			else {
				board.sayNoOven(task);
				board.stand(task, from, [], from + end - start);
			}
			board.liftWhenTender(task);
			continue;
		}
		const tried = onFrom(board, task, from, start);
		if (tried) board.stand(task, tried.start, board.usesAt(tried, false) ?? []);
		else board.standShort(board.triedAt(task, from));
	}
}

/** The oven in which pans are tender first that go in no sooner than an instant. */
function firstUse(board: DayBoard, task: OpenTask, from: number): Use | null {
	const first = toFiveMinutes(from, Math.ceil);
	let best: Use | null = null;
	for (const way of waysOf(task, board.given)) {
		for (
			let start = first;
			start <= minutesBefore(first, -LOOKS_ON_MIN);
			start = minutesBefore(start, -STEP_MIN)
		) {
			const use = takenBy(way, start);
			if (best && use.to >= best.to) break;
			if (board.ledger.short(use) === 0) best = use;
		}
	}
	return best;
}

/** What is settled may be settled sooner than what is before it can be over. */
function sayTooSoon(board: DayBoard, { id, after }: OpenTask, start: number): void {
	for (const { task, least_min } of after) {
		const minutes = (board.putOf(task).end - start) / MINUTE_MS + least_min;
		if (minutes > 0) board.say({ task, because: "tooLateFor", next: id, minutes });
	}
}
