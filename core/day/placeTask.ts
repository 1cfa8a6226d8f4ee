import type { HousePolicy } from "../kitchen/index.ts";
import { latestStartOf, overBy } from "../tasks/index.ts";
import { MINUTE_MS, minutesBefore, toFiveMinutes } from "../time/index.ts";
import { type DayBoard, LOOKS_ON_MIN, STEP_MIN } from "./DayBoard.ts";
import type { OpenTask } from "./tasksOf.ts";
import type { Tried } from "./usesOf.ts";

/**
 * What stands about hot, or filled, until what follows it: no longer than this, minutes. General
 * practice. All else is done as early as it has to be.
 */
const STANDS_AT_MOST_MIN: Readonly<Partial<Record<OpenTask["place"], number>>> = {
	sear: 120,
	build: 90,
	panUp: 45,
	sauce: 180,
	plate: 90,
};
const LOOKS_BACK_MIN = 3 * 24 * 60;

/** As late as there is everything that it needs; where there never is, as late as it may be. */
export function placeTask(board: DayBoard, task: OpenTask): void {
	const endBy = overBy(task, board.endBy(task), board.given.kitchen.policy);
	const tried =
		asItStood(board, task, endBy) ??
		backwardsFrom(board, task, endBy) ??
		onFrom(board, task, board.earliestOf(task), endBy);
	if (tried) {
		board.stand(task, tried.start, board.usesAt(tried, false) ?? []);
		return;
	}
	const start = latestStartOf(task, endBy, board.given.kitchen.policy);
	board.standShort(board.triedAt(task, start));
}

/** Where it stood in the day that is being worked to, if it can. */
function asItStood(board: DayBoard, task: OpenTask, endBy: number): Tried | null {
	const stood = board.stood.get(task.id);
	// What only fills the time between two others has no place of its own to keep.
	if (!stood || task.fills || stood.start < board.earliestOf(task)) return null;
	const end = minutesBefore(stood.start, -task.minutes.planned);
	const stands_min = STANDS_AT_MOST_MIN[task.place] ?? LOOKS_BACK_MIN;
	if (end > endBy || end < minutesBefore(endBy, stands_min)) return null;
	const tried = board.triedAt(task, stood.start);
	return board.usesAt(tried, false) ? tried : null;
}

function backwardsFrom(board: DayBoard, task: OpenTask, endBy: number): Tried | null {
	const { policy } = board.given.kitchen;
	const stands_min = STANDS_AT_MOST_MIN[task.place] ?? LOOKS_BACK_MIN;
	const earliest = board.earliestOf(task);
	for (let end = endBy; end >= minutesBefore(endBy, stands_min); ) {
		const start = latestStartOf(task, end, policy);
		if (start < earliest) return null;
		const tried = board.triedAt(task, start);
		if (board.usesAt(tried, false)) return tried;
		end = minutesBefore(start, STEP_MIN - task.minutes.planned);
	}
	return null;
}

/** Whether a task on trial lies whole inside working hours, where it has to. */
export function isInHours(task: OpenTask, { start, end }: Tried, policy: HousePolicy): boolean {
	return !task.window.withinHours || latestStartOf(task, end, policy) >= toFiveMinutes(start, Math.floor);
}

/** As early as there is everything, where it can not begin in time. */
export function onFrom(board: DayBoard, task: OpenTask, from: number, endBy: number): Tried | null {
	const { policy } = board.given.kitchen;
	if (from <= latestStartOf(task, endBy, policy)) return null;
	const first =
		task.minutes.planned === 0 ? Math.ceil(from / MINUTE_MS) * MINUTE_MS : toFiveMinutes(from, Math.ceil);
	for (
		let start = first;
		start <= minutesBefore(from, -LOOKS_ON_MIN);
		start = minutesBefore(start, -STEP_MIN)
	) {
		const tried = board.triedAt(task, start);
		if (isInHours(task, tried, policy) && board.usesAt(tried, false)) return tried;
	}
	return null;
}
