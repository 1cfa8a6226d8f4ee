import { groupBy } from "es-toolkit";
import { causesOf, type DayTask, type Move, movesBetween, taskName, unmetWords } from "#core/day";
import { durationWords } from "#core/time";
import type { WorkedTable } from "../ui/server/worked.server.ts";
import type { Reading } from "../ui/words/reading.ts";

/** What a trial costs the others of its day. */
export interface OtherCost {
	readonly id: string;
	/** "Mutton, barley: in 14:55, was 14:40" */
	readonly words: string;
	readonly to: string;
}

/**
 * What a trial of one dish does to all others of its day: what is missing now, then each dish that
 * goes into another oven or at another time, one line each.
 */
export function costsOthers(
	stands: WorkedTable,
	now: WorkedTable,
	dishId: string,
	reading: Reading,
): OtherCost[] {
	const [was, is] = [stands.on, now.on];
	const to = `/day/${is.date}`;
	const known = new Set(causesOf(was.day).map(({ unmet }) => `${unmet.task} ${unmet.because}`));
	const missing = causesOf(is.day)
		.filter(({ unmet }) => !known.has(`${unmet.task} ${unmet.because}`))
		.map(({ unmet, tasks }): OtherCost => {
			const task = is.day.tasks.find(({ id }) => id === tasks[0]);
			const { because } = unmetWords(unmet, is.day, reading);
			return {
				id: `${unmet.task} ${unmet.because}`,
				words: `▲ ${task ? `${taskName(task)}: ` : ""}${because}`,
				to,
			};
		});
	if (was.date !== is.date) return missing;
	const tasks = new Map([...was.day.tasks, ...is.day.tasks].map((task) => [task.id, task]));
	const moves = movesBetween(was.day, is.day).flatMap((move) => {
		const task = tasks.get(move.task);
		return task && task.for !== dishId ? [{ move, task }] : [];
	});
	const moved = Object.entries(groupBy(moves, ({ task }) => task.for)).flatMap(([id, some]) => {
		const words = movedWords(some, is.day.equipment, reading);
		const name = some[0]?.task.forName ?? "";
		return words === null ? [] : [{ id, words: `${name}: ${words}`, to }];
	});
	return [...missing, ...moved];
}

/** How a dish's own oven, or else its first task that moved, stands now. */
function movedWords(
	some: readonly { readonly move: Move; readonly task: DayTask }[],
	equipment: readonly { readonly id: string; readonly name: string }[],
	reading: Reading,
): string | null {
	const inOven =
		some.find(({ task }) => task.part === "oven") ?? some.find(({ task }) => task.part !== "lift");
	const { was, is } = inOven?.move ?? {};
	if (!inOven || !was || !is) return null;
	const name = (id: string | undefined) => equipment.find((one) => one.id === id)?.name ?? "";
	const where = was.oven === is.oven || !is.oven ? "" : `${name(is.oven)}, was ${name(was.oven)}; `;
	const hot =
		was.set_C === is.set_C || is.set_C === undefined || was.set_C === undefined
			? ""
			: `${reading.temperature(is.set_C)}, was ${reading.temperature(was.set_C)}; `;
	const verb = inOven.task.part === "oven" ? "in" : taskName(inOven.task).split(":")[0]?.toLowerCase();
	if (was.start !== is.start)
		return `${where}${hot}${verb} ${reading.time(is.start)}, was ${reading.time(was.start)}`;
	const longer = (is.end - is.start - (was.end - was.start)) / 60_000;
	if (longer !== 0)
		return `${where}${hot}${durationWords(Math.abs(longer))} ${longer > 0 ? "longer" : "shorter"}`;
	return where || hot ? `${where}${hot}`.replace(/; $/, "") : null;
}
