import { sumBy } from "es-toolkit";
import { clockWords, MINUTE_MS } from "../time/index.ts";
import type { Day, DayTask, Unmet } from "./Day.ts";
import { taskName } from "./dayWords.ts";

/**
 * Why something can not be had, so that a person can check it: the work that is asked between two
 * clocks against what there is.
 */
export function certificateOf(unmet: Unmet, day: Day, timeZone: string): string {
	const task = day.tasks.find(({ id }) => id === unmet.task);
	const clock = (at: number) => clockWords(at, timeZone, task?.start ?? at);
	const name = task ? taskName(task) : unmet.task;
	switch (unmet.because) {
		case "nobody":
			return handsShort(unmet, day, clock);
		case "tooFew":
			return thingsShort(unmet, day, clock);
		case "noOven":
			return ovenShort(unmet, day, task);
		case "noPan": {
			const pan = day.equipment.find(({ id }) => id === unmet.pans.typeId)?.name ?? unmet.pans.typeId;
			return `${unmet.pieces + unmet.laid} pieces, room for ${unmet.laid}; ${unmet.pieces} more take ${unmet.pans.count} × ${pan}`;
		}
		case "late":
			return `${name} ends ${clock(task?.end ?? 0)} and was due ${clock(task?.due ?? 0)}`;
		case "tooLateFor": {
			const next = day.tasks.find(({ id }) => id === unmet.next);
			return `${name} ends ${clock(task?.end ?? 0)}; ${next ? `${taskName(next)} is set for ${clock(next.start)}` : "what follows is set sooner"}`;
		}
		case "waitsTooLong":
			return lagBroken(unmet, day, task, clock);
	}
}

type Clock = (at: number) => string;
type Of<Because extends Unmet["because"]> = Extract<Unmet, { readonly because: Because }>;

/** Minutes of a stretch that lie between two moments. */
function minutesIn(start: number, end: number, from: number, to: number): number {
	return Math.max(0, Math.min(end, to) - Math.max(start, from)) / MINUTE_MS;
}

/** "these 5 tasks need 210 cook minutes from 09:00 to 11:30; 2 cooks have 180" */
function handsShort({ task: id, from, to, short }: Of<"nobody">, day: Day, clock: Clock): string {
	const cooks = day.equipment.filter(({ kind }) => kind === "cook");
	const isCook = new Set(cooks.map((cook) => cook.id));
	const had = day.tasks.flatMap((task) =>
		task.uses
			.filter(({ equipment }) => isCook.has(equipment))
			.map((use) => ({ task: task.id, minutes: minutesIn(use.from, use.to, from, to) }))
			.filter(({ minutes }) => minutes > 0),
	);
	const tasks = new Set([id, ...had.map(({ task }) => task)]);
	const missing = (short * (to - from)) / MINUTE_MS;
	const asked = Math.round(sumBy(had, ({ minutes }) => minutes) + missing);
	const there = Math.round(
		sumBy(cooks, ({ windows }) => sumBy(windows, ([opens, closes]) => minutesIn(opens, closes, from, to))),
	);
	const works = cooks.filter(({ windows }) =>
		windows.some(([opens, closes]) => minutesIn(opens, closes, from, to) > 0),
	).length;
	return `${tasks.size === 1 ? "this task needs" : `these ${tasks.size} tasks need`} ${asked} cook minutes from ${clock(from)} to ${clock(to)}; ${works === 1 ? "1 cook has" : `${works} cooks have`} ${there}`;
}

/** "Braise: Goat 6 and Braise: Mutton 4 take 10 of 8 GN 1/1-100, 14:00 to 18:30" */
function thingsShort({ equipment: id, from, to }: Of<"tooFew">, day: Day, clock: Clock): string {
	const thing = day.equipment.find((one) => one.id === id);
	const uses = day.tasks.flatMap((task) =>
		task.uses
			.filter((use) => use.equipment === id && use.from < to && use.to > from)
			.map((use) => ({ ...use, task })),
	);
	const moments = [from, ...uses.map((use) => Math.max(use.from, from))];
	const at = (moment: number) => uses.filter((use) => use.from <= moment && use.to > moment);
	const taken = (moment: number) => sumBy(at(moment), ({ amount }) => amount);
	const worst = moments.reduce((most, moment) => (taken(moment) > taken(most) ? moment : most), from);
	const words = at(worst).map(({ task, amount }) => `${taskName(task)} ${rounded(amount)}`);
	return `${words.join(" and ")} take ${rounded(taken(worst))} of ${rounded(thing?.capacity ?? 0)} ${thing?.name ?? id}, ${clock(from)} to ${clock(to)}`;
}

function rounded(amount: number): number {
	return Math.round(amount * 10) / 10;
}

function ovenShort({ rungs }: Of<"noOven">, day: Day, task: DayTask | undefined): string {
	const ovens = day.equipment.filter(({ kind }) => kind === "oven");
	const most = Math.max(0, ...ovens.map(({ capacity }) => capacity));
	const name = task ? taskName(task) : "it";
	return ovens.length === 0
		? `${name} needs ${rungs} rungs; there is no oven`
		: `${name} needs ${rungs} rungs at one temperature; the largest oven has ${most}, and no oven is free so long`;
}

function lagBroken(
	{ minutes }: Of<"waitsTooLong">,
	day: Day,
	task: DayTask | undefined,
	clock: Clock,
): string {
	const over = Math.round(minutes);
	if (!task) return `${over} min longer than it may wait`;
	const before = task.after.flatMap(({ task: id, most_min }) => {
		const one = day.tasks.find((other) => other.id === id);
		return one && most_min !== null ? [{ one, most_min }] : [];
	})[0];
	if (!before) return `${taskName(task)} lasts ${over} min longer than it may`;
	return `${taskName(before.one)} ends ${clock(before.one.end)} and may wait ${before.most_min} min; ${taskName(task)} begins ${clock(task.start)}, ${over} min later than that`;
}
