import { MINUTE_MS, minutesBefore, startBefore } from "../time/index.ts";
import type { Use } from "./Day.ts";
import type { DayBoard } from "./DayBoard.ts";
import type { SolverSettings } from "./ovenDay/index.ts";
import { type OvenLevel, type OvenTask, solveLevel, takenBy, waysOf } from "./ovenLevel.ts";
import type { OpenTask } from "./tasksOf.ts";

/** Pans stay where they were planned unless they would wait so much longer for it. */
const STAYS_FOR_MIN = 30;

/** Chooses ovens, starts and temperatures of tasks together; what stood well stays. */
export function placeInOvens(board: DayBoard, tasks: readonly OpenTask[], settings: SolverSettings): void {
	const all = tasks.map((task): OvenTask => {
		const carried = board.carried.get(task.id);
		return {
			task,
			endBy: board.endBy(task),
			notBefore: Math.max(carried?.until.to ?? 0, board.given.now ?? 0, board.earliestOf(task)),
			left: carried?.left ?? 1,
		};
	});
	const { level, kept } = solved(board, all, stayOf(board, all), settings);
	board.over += level.wait_shelf_min - level.bound_wait_shelf_min;
	for (const { task, endBy } of all) {
		const use = kept.get(task.id) ?? level.stand.get(task.id);
		if (!use) {
			board.sayNoOven(task);
			const start = startBefore(Math.max(endBy, board.earliestOf(task)), task.minutes.planned);
			board.put.set(task.id, { start, end: minutesBefore(start, -task.minutes.planned), uses: [] });
			continue;
		}
		const carried = board.carried.get(task.id)?.until;
		board.stand(task, carried?.from ?? use.from, carried ? [carried, use] : [use], use.to);
	}
	for (const { task } of all) board.liftWhenTender(task);
}

/** Those that still can be where they stood, with what they take there. */
function stayOf(board: DayBoard, all: readonly OvenTask[]): Map<string, Use> {
	const stay = new Map<string, Use>();
	for (const { task, endBy, notBefore, left } of all) {
		const stood = board.stood.get(task.id);
		const was = stood?.uses.find(({ set_C }) => set_C !== undefined);
		if (!stood || !was || left < 1 || was.from < notBefore) continue;
		const way = waysOf(task, board.given).find(
			({ ovens: [oven], low_C }) => oven === was.equipment && low_C === was.set_C,
		);
		const use = way && takenBy(way, was.from);
		if (!use || use.to > endBy || board.ledger.short(use) > 0) continue;
		const waited = Math.max(0, (stoodUntil(board, task) - stood.end) / MINUTE_MS);
		if ((endBy - use.to) / MINUTE_MS > waited + STAYS_FOR_MIN) continue;
		board.ledger.take(use);
		stay.set(task.id, use);
	}
	board.ledger.giveBack([...stay.values()]);
	return stay;
}

/** When what follows a task began in the day that is being worked to. */
function stoodUntil(board: DayBoard, { id, followers }: OpenTask): number {
	const starts = followers.flatMap(({ task }) => {
		const follower = board.stood.get(task);
		// What is lifted is lifted when it is tender; what comes after that is waited for.
		if (follower?.part !== "lift") return follower ? [follower.start] : [];
		return (board.tasks.get(task)?.followers ?? []).flatMap(
			(next) => board.stood.get(next.task)?.start ?? [],
		);
	});
	return starts.length > 0 ? Math.min(...starts) : (board.stood.get(id)?.end ?? 0);
}

/**
 * Solves for those that do not stay. Where one of them would be late or without an oven, one that
 * stays is let go, and if none helps, all.
 */
function solved(
	board: DayBoard,
	all: readonly OvenTask[],
	stay: ReadonlyMap<string, Use>,
	settings: SolverSettings,
): { level: OvenLevel; kept: ReadonlyMap<string, Use> } {
	const holding = board.given.kitchen.equipment.ovens.flatMap(({ id }) => [
		...board.ledger.usesOf(id),
		...awayOf(board, id),
	]);
	const solve = (kept: ReadonlyMap<string, Use>) => {
		const open = all.filter(({ task }) => !kept.has(task.id));
		const held = [...holding, ...kept.values()];
		const level = solveLevel(open, held, board.from, board.given, settings);
		return { level, kept, bad: (open.length - level.stand.size) * 10_000 + level.late_min };
	};
	let best = solve(stay);
	if (best.bad === 0 || stay.size === 0) return best;
	const fewer = [...stay.keys()].map((id) => new Map([...stay].filter(([other]) => other !== id)));
	for (const kept of [...fewer, new Map<string, Use>()]) {
		const tried = solve(kept);
		if (tried.bad < best.bad) best = tried;
		if (best.bad === 0) break;
	}
	return best;
}

/** When an oven is not to be had, as if something as large as it stood there. */
function awayOf(board: DayBoard, oven: string): Use[] {
	const thing = board.equipment.find(({ id }) => id === oven);
	const edges = [board.from, ...(thing?.windows.flat() ?? []), board.to];
	return edges.flatMap((from, index) => {
		const to = edges[index + 1];
		if (index % 2 === 1 || to === undefined || to <= from) return [];
		return [{ equipment: oven, amount: thing?.capacity ?? 0, from, to, set_C: thing?.min_C ?? 0 }];
	});
}
