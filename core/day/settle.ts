import { sortBy } from "es-toolkit";
import { minutesBefore } from "../time/index.ts";
import type { DayTask, Use } from "./Day.ts";
import type { Carried, DayBoard } from "./DayBoard.ts";
import { isOvenTask, takenBy, waysOf } from "./ovenLevel.ts";
import type { Settled } from "./settledOf.ts";
import type { OpenTask } from "./tasksOf.ts";

/** Puts what is done, running or settled by the chef where it is, what has begun first. */
export function settle(board: DayBoard): void {
	const some = [...board.settled].sort(([, a], [, b]) => Number(b.begun) - Number(a.begun));
	for (const [id, settled] of some) settleOne(board, board.tasks.get(id) as OpenTask, settled);
}

function settleOne(board: DayBoard, task: OpenTask, settled: Settled): void {
	if (settled.begun && settled.stood) goOn(board, task, settled, settled.stood);
	else if (isOvenTask(task)) settleInOven(board, task, settled);
	else {
		const tried = board.triedAt(task, settled.start);
		const uses = board.usesAt(tried, false) ?? board.usesAt(tried, true) ?? [];
		if (!settled.begun) board.sayShort(tried, uses);
		board.stand(task, settled.start, uses, settled.end ?? tried.end);
	}
}

/** What has begun has in hand what it was given, from when it really began. */
function goOn(board: DayBoard, task: OpenTask, { start, end: over }: Settled, stood: DayTask): void {
	const shift = start - stood.start;
	const end = over ?? stood.end + shift;
	const uses = stood.uses
		.filter(({ equipment }) => !board.isPan(equipment))
		.map((use) => ({ ...use, from: use.from + shift, to: use.to === stood.end ? end : use.to + shift }));
	const cut = isOvenTask(task) ? cutShort(board, uses, end) : null;
	if (cut) {
		board.carried.set(task.id, cut);
		return;
	}
	board.sayTooFew(task, uses);
	board.stand(task, start, uses, end);
}

function settleInOven(board: DayBoard, task: OpenTask, settled: Settled): void {
	const use = pinnedUse(board, task, settled);
	const end = settled.end ?? use?.to ?? minutesBefore(settled.start, -task.minutes.planned);
	const uses = use ? [{ ...use, to: end }] : [];
	if (use) board.sayTooFew(task, uses);
	else board.sayNoOven(task);
	board.stand(task, settled.start, uses, end);
}

/** Where an oven is taken away while something is in it. */
function cutShort(board: DayBoard, uses: readonly Use[], end: number): Carried | null {
	for (const use of uses) {
		const thing = board.equipment.find(({ id }) => id === use.equipment);
		if (thing?.kind !== "oven") continue;
		const open = thing.windows.find(([opens, closes]) => opens <= use.from && closes > use.from);
		if (!open || open[1] >= end) continue;
		const left = (end - open[1]) / (end - use.from);
		return { until: { ...use, to: open[1] }, left };
	}
	return null;
}

/** The oven that the chef has settled, as hot as was said or as near as it suits; else any with room. */
function pinnedUse(board: DayBoard, task: OpenTask, { start, oven, set_C }: Settled): Use | null {
	const ways = waysOf(task, board.given).filter(({ ovens: [id] }) => oven === undefined || id === oven);
	const asked = set_C === undefined ? ways : sortBy(ways, [({ low_C }) => Math.abs(low_C - set_C)]);
	const uses = asked.map((way) => takenBy(way, start));
	return uses.find((use) => board.ledger.short(use) === 0) ?? uses[0] ?? null;
}
