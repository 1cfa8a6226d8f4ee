import { sumBy } from "es-toolkit";
import { MINUTE_MS, minutesBefore } from "../time/index.ts";
import type { Day, DayTask, Unmet, Use } from "./Day.ts";
import type { DayBoard } from "./DayBoard.ts";
import { isOvenTask } from "./ovenLevel.ts";
import { type OpenTask, pansInOven } from "./tasksOf.ts";
import { wantedAt } from "./wantedAt.ts";

/** To wash a pan after its last plate, minutes. General practice. */
export const WASH_MIN = 15;

/** The day as it stands, with pans taken from filling to washing. */
export function dayOf(board: DayBoard): Day {
	fillGaps(board);
	const held = holdPans(board);
	const late_min = sayLate(board);
	const waiting_rung_min = waitingOf(board);
	const tasks = [...board.tasks.values()].map((task): DayTask => {
		const { start, end, uses } = board.putOf(task.id);
		return {
			id: task.id,
			for: task.for,
			forName: task.forName,
			sitting: task.sitting,
			place: task.place,
			part: task.part,
			figures: task.figures,
			start,
			end,
			due: task.window.to,
			fixed: board.settled.has(task.id),
			...rungOf(board, task.id),
			inOven: pansInOven(task),
			uses: [...uses, ...(held.get(task.id) ?? [])],
			after: task.after,
		};
	});
	return {
		from: board.from,
		to: board.to,
		equipment: board.equipment,
		tasks: tasks.sort((a, b) => a.start - b.start || a.end - b.end || a.id.localeCompare(b.id)),
		late_min,
		waiting_rung_min,
		bound_waiting_rung_min: Math.max(0, waiting_rung_min - board.over),
		unmet: [...board.unmet, ...brokenLags(board, tasks), ...tooLong(board)],
	};
}

function rungOf(board: DayBoard, id: string): Pick<DayTask, "rung"> {
	const rung = board.settled.get(id)?.rung;
	return rung === undefined ? {} : { rung };
}

/** Says what is over after it should be. @returns minutes, summed */
function sayLate(board: DayBoard): number {
	let late_min = 0;
	for (const { id, window } of board.tasks.values()) {
		const { end } = board.putOf(id);
		if (window.to === null || end <= window.to) continue;
		const minutes = (end - window.to) / MINUTE_MS;
		board.say({ task: id, because: "late", minutes });
		late_min += minutes;
	}
	return late_min;
}

/** Rungs × minutes from tender until what follows wants it: what is settled, too. */
function waitingOf(board: DayBoard): number {
	const placeOf = (id: string) => board.putOf(id);
	return sumBy([...board.tasks.values()].filter(isOvenTask), (task) => {
		const { end, uses } = board.putOf(task.id);
		const rungs = uses.findLast(({ set_C }) => set_C !== undefined)?.amount ?? 0;
		return rungs * Math.max(0, (wantedAt(task, end, board.tasks, placeOf) - end) / MINUTE_MS);
	});
}

/** What is kept or held stands from the end of what is before it until what follows it begins. */
function fillGaps(board: DayBoard): void {
	for (const task of board.tasks.values()) {
		if (!task.fills || board.settled.has(task.id)) continue;
		const put = board.putOf(task.id);
		board.ledger.giveBack(put.uses);
		const before = task.after.map(({ task: id }) => board.putOf(id).end);
		const next = task.followers.map(({ task: id }) => board.putOf(id).start);
		const start = Math.max(...before);
		const end = Math.max(start, Math.min(...next));
		const tried = { task, start, end, until: end };
		board.unsay(task);
		const uses = board.usesAt(tried, false) ?? board.usesAt(tried, true) ?? [];
		board.sayTooFew(task, uses);
		board.stand(task, start, uses, end);
	}
}

/** By the task that fills them: a dish's pans, from filling until they are empty and washed. */
function holdPans(board: DayBoard): Map<string, Use[]> {
	const held = new Map<string, Use[]>();
	for (const task of board.tasks.values()) {
		const emptied = emptiedBy(board, task);
		if (emptied === null) continue;
		const { start, end } = board.putOf(task.id);
		const washed = minutesBefore(Math.max(end, emptied), -WASH_MIN);
		const uses = task.needs.flatMap((need): Use[] =>
			need.kind === "pan" ? [{ equipment: need.typeId, amount: need.count, from: start, to: washed }] : [],
		);
		board.sayTooFew(task, uses);
		for (const use of uses) board.ledger.take(use);
		held.set(task.id, uses);
	}
	return held;
}

/**
 * When the pans that a task fills are empty: after the last plate; of a filling that another
 * follows, when it is turned out of them.
 *
 * @returns null for a task that fills none
 */
function emptiedBy(
	board: DayBoard,
	{ place, part, needs, for: dish, figures, serviceAt, ahead: isAhead }: OpenTask,
): number | null {
	const endOf = (id: string) => board.put.get(`${dish}/${id}`)?.end;
	const plated = endOf("plate") ?? serviceAt;
	const { go, goes } = figures;
	const ahead = goes !== undefined && isAhead;
	const turnedOut = (what: string) => endOf(go === goes ? what : `${what}/go${go}`) ?? plated;
	const heated = () => {
		const waves = Array.from({ length: Number(figures.waves ?? 0) }, (_, index) =>
			endOf(`reheat/wave${index + 1}/go${go}`),
		).filter((end) => end !== undefined);
		return waves.length > 0 ? Math.max(...waves) : turnedOut("reheat");
	};
	if (place === "panUp") {
		if (ahead) return turnedOut("chill");
		return go === goes ? plated : turnedOut("lift");
	}
	if (part === "chill" && needs.some(({ kind }) => kind === "pan")) return endOf("keep") ?? plated;
	if (place !== "reheat" || !ahead) return null;
	return go === goes ? plated : heated();
}

/** What lasts longer than it may: held hot until what follows it begins. */
function tooLong(board: DayBoard): Unmet[] {
	return [...board.tasks.values()].flatMap(({ id, longest_min }): Unmet[] => {
		const { start, end } = board.putOf(id);
		const minutes = (end - start) / MINUTE_MS - (longest_min ?? Number.POSITIVE_INFINITY);
		return minutes > 0 ? [{ task: id, because: "waitsTooLong", minutes }] : [];
	});
}

/** What has to wait longer before what follows it than it may. */
function brokenLags(board: DayBoard, tasks: readonly DayTask[]): Unmet[] {
	return tasks.flatMap(({ id, start, after }) =>
		after.flatMap(({ task, most_min }): Unmet[] => {
			const before = board.put.get(task);
			if (most_min === null || !before) return [];
			const minutes = (start - before.end) / MINUTE_MS - most_min;
			return minutes > 0 ? [{ task: id, because: "waitsTooLong", minutes }] : [];
		}),
	);
}
