import type { DayFile } from "./dayJson.ts";

/**
 * Every law that a day breaks, read from its file alone: it knows nothing of how it was placed.
 * What the file itself says is short may be short.
 */
export function brokenIn(day: DayFile): string[] {
	return [
		...brokenUses(day),
		...brokenOvens(day),
		...brokenOrder(day),
		...brokenSums(day),
		...brokenFood(day),
	];
}

const at = (instant: string): number => Date.parse(instant);

type Equipment = DayFile["equipment"][number];
type OwnedUse = DayFile["tasks"][number]["uses"][number] & { readonly task: string };

function brokenUses({ equipment, tasks, unmet }: DayFile): string[] {
	const excused = new Set(unmet.map(({ task }) => task));
	return equipment.flatMap((thing) => {
		const uses = tasks.flatMap((task) =>
			task.uses.filter((use) => use.equipment === thing.id).map((use) => ({ ...use, task: task.id })),
		);
		return uses.flatMap((use) => [
			...brokenUse(use, thing, excused),
			...overTaken(use, uses, thing, excused),
		]);
	});
}

function brokenUse(
	{ task, from, to, amount }: OwnedUse,
	{ id, kind, windows }: Equipment,
	excused: ReadonlySet<string>,
): string[] {
	const there = windows.some(([opens, closes]) => at(opens) <= at(from) && at(to) <= at(closes));
	return [
		...(at(to) < at(from) ? [`${task} gives ${id} back before it has it`] : []),
		...(kind === "cook" && amount !== 1 ? [`${task} has ${amount} of ${id}`] : []),
		...(there || excused.has(task) ? [] : [`${task} has ${id} out of its hours`]),
	];
}

function overTaken(
	{ from }: OwnedUse,
	uses: readonly OwnedUse[],
	{ id, capacity }: Equipment,
	excused: ReadonlySet<string>,
): string[] {
	const now = uses.filter((use) => at(use.from) <= at(from) && at(use.to) > at(from));
	const taken = now.reduce((sum, use) => sum + use.amount, 0);
	const isSaid = now.some((use) => excused.has(use.task));
	return taken > capacity + 1e-6 && !isSaid
		? [`${id} is taken ${taken} of ${capacity} times at ${from}`]
		: [];
}

function brokenOvens({ equipment, tasks }: DayFile): string[] {
	return equipment
		.filter(({ kind }) => kind === "oven")
		.flatMap(({ id, min_C = 0, max_C = 0 }) => {
			const uses = tasks.flatMap((task) => task.uses.filter((use) => use.equipment === id));
			return uses.flatMap(({ set_C = Number.NaN, from, to }) => {
				const said = set_C >= min_C && set_C <= max_C ? [] : [`${id} is set to ${set_C} °C`];
				const beside = uses.filter((use) => at(use.from) < at(to) && at(use.to) > at(from));
				return beside.every((use) => use.set_C === set_C)
					? said
					: [...said, `${id} at two temperatures, ${from}`];
			});
		});
}

function brokenOrder({ tasks, unmet }: DayFile): string[] {
	const byId = new Map(tasks.map((task) => [task.id, task]));
	const excused = new Set(unmet.map(({ task }) => task));
	if (byId.size !== tasks.length) return ["a task stands there twice"];
	return tasks.flatMap((task) => [
		...(at(task.end) < at(task.start) ? [`${task.id} ends before it starts`] : []),
		...(task.due !== null && at(task.end) > at(task.due) && !excused.has(task.id)
			? [`${task.id} is over after it is due`]
			: []),
		...task.after.flatMap((before) => brokenLag(task, before, byId, excused)),
	]);
}

type Task = DayFile["tasks"][number];

function brokenLag(
	{ id, start }: Task,
	{ task, least_min, most_min }: Task["after"][number],
	byId: ReadonlyMap<string, Task>,
	excused: ReadonlySet<string>,
): string[] {
	const before = byId.get(task);
	if (!before) return [`${id} waits for ${task}, which is nowhere`];
	const lag = (at(start) - at(before.end)) / 60_000;
	return [
		...(lag < least_min && !excused.has(task) ? [`${id} starts before ${task} lets it`] : []),
		...(most_min !== null && lag > most_min && !excused.has(id)
			? [`${id} comes too long after ${task}`]
			: []),
	];
}

function brokenSums({ late_min, waiting_rung_min, bound_waiting_rung_min, tasks, unmet }: DayFile): string[] {
	const known = new Set(tasks.map(({ id }) => id));
	return [
		...(bound_waiting_rung_min > waiting_rung_min ? ["the bound is above the answer"] : []),
		...(late_min > 0 && unmet.length === 0 ? ["late, and nothing says why"] : []),
		...unmet.filter(({ task }) => !known.has(task)).map(({ task }) => `${task} is short and nowhere`),
	];
}

/** Food that stands nowhere for a while, or in a thing that there is not, or that its own task does not hold. */
function brokenFood({ food, equipment, tasks }: DayFile): string[] {
	const known = new Set(equipment.map(({ id }) => id));
	const dishes = new Set(tasks.filter(({ operation }) => operation === "plate").map((task) => task.for));
	const nowhere = [...dishes].flatMap((dish) => gapsOf(dish, food, tasks));
	return [
		...nowhere,
		...food.filter(({ at: thing }) => !known.has(thing)).map(({ at: thing }) => `food stands in ${thing}`),
		...food.filter(({ kg }) => !(kg > 0)).map((one) => `${one.for} stands with no weight`),
		...food.flatMap((one) => notHeld(one, equipment, tasks)),
	];
}

function gapsOf(dish: string, food: DayFile["food"], tasks: DayFile["tasks"]): string[] {
	const stands = food.filter((one) => one.for === dish).sort((a, b) => at(a.from) - at(b.from));
	const own = tasks.filter((task) => task.for === dish && task.operation !== "order");
	const from = Math.min(...own.map(({ start }) => at(start)));
	const to = Math.max(...own.map(({ end }) => at(end)));
	let until = from;
	for (const one of stands) {
		if (at(one.from) > until) return [`${dish} stands nowhere from ${new Date(until).toISOString()}`];
		until = Math.max(until, at(one.to));
	}
	return until < to ? [`${dish} stands nowhere at the end`] : [];
}

/** What stands in an oven or a chiller is there by a task that has it in hand just then. */
function notHeld(
	{ at: thing, from, to, ...one }: DayFile["food"][number],
	equipment: DayFile["equipment"],
	tasks: DayFile["tasks"],
): string[] {
	const kind = equipment.find(({ id }) => id === thing)?.kind;
	if (kind !== "oven" && kind !== "chiller") return [];
	const isHeld = tasks.some(
		(task) =>
			task.for === one.for &&
			task.uses.some((use) => use.equipment === thing && at(use.from) < at(to) && at(use.to) > at(from)),
	);
	return isHeld ? [] : [`${one.for} stands in ${thing} at ${from}, and no task has it there`];
}
