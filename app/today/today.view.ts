import { groupBy } from "es-toolkit";
import type { Day } from "#core/day";
import type { Preparation } from "#core/recipe";
import type { PlacedTask } from "#core/tasks";
import { durationWords, HOUR_MS, onDay, wallClock } from "#core/time";
import type { Sitting } from "#db";
import { tasksOf } from "../places/index.ts";
import type { WorkedSitting } from "../ui/server/worked.server.ts";
import { isSoon, type Reading } from "../ui/words/reading.ts";

/** How far ahead the day's list looks. */
export const DAYS_AHEAD = 14;

/** One thing that must start, with where it belongs. */
export interface Task {
	readonly id: string;
	readonly at: number;
	readonly time: string;
	readonly place: string;
	readonly task: string;
	readonly dish: string;
	readonly sitting: string;
	readonly to: string;
	readonly isOrder: boolean;
	readonly serviceAt: number;
}

/** A coming sitting, and how its day has it; null where nothing is cooked for it. */
export interface ComingSitting {
	readonly sitting: Sitting;
	readonly worked: WorkedSitting | null;
}

/** What must start when, over all coming sittings, and the sittings in brief: as their days have them. */
export function todayView(coming: readonly ComingSitting[], days: readonly Day[], reading: Reading) {
	const start = onDay(reading.now, reading.timeZone, 0);
	const tasks = coming
		.flatMap(({ worked }) => worked ?? [])
		.flatMap((sitting) => [...dishTasks(sitting, reading), ...batchTasks(sitting, reading)])
		.sort((a, b) => a.at - b.at);
	const ahead = tasks.filter((task) => task.at >= reading.now);
	const [next] = ahead;
	return {
		today: reading.day(reading.now),
		next: next ? nextView(next, reading) : null,
		days: byDay(ahead, reading),
		begun: begunView(tasks.filter((task) => task.at < reading.now && task.at >= start)),
		inOvens: days.flatMap((day) => inOvensOf(day, reading)),
		passed: tasks
			.filter(({ at, isOrder, serviceAt }) => isOrder && at < reading.now && serviceAt > reading.now)
			.map(({ id, dish, at, to }) => ({
				id,
				to,
				words: `The order for ${dish} should have gone out ${reading.clock(at)}`,
			})),
		sittings: coming.map((one) => briefOf(one, reading)),
	};
}

function begunView(tasks: readonly Task[]) {
	const [first] = tasks;
	return first ? { first: first.time, count: tasks.length, moments: momentsOf(tasks) } : null;
}

function nextView(next: Task, reading: Reading) {
	const wait = waitWords(next.at - reading.now);
	const isToday = reading.day(next.at) === reading.day(reading.now);
	return {
		...next,
		label: isToday ? `Next to start, ${wait}` : `Nothing today. Next to start, ${wait}`,
		clock: reading.clock(next.at),
		isSoon: isSoon(next.at, reading),
	};
}

/** What stands in which oven now, and until when. */
function inOvensOf({ tasks, equipment }: Day, reading: Reading) {
	const ovens = equipment.filter(({ kind }) => kind === "oven");
	return tasks.flatMap(({ id, forName, uses }) =>
		uses.flatMap(({ equipment: used, from, to, set_C = 0 }) => {
			const oven = ovens.find((one) => one.id === used);
			if (!oven || from > reading.now || to <= reading.now) return [];
			const words = `${forName} in the ${oven.name} at ${reading.temperature(set_C)}`;
			return [{ id: `${id} ${used}`, words, out: reading.clock(to) }];
		}),
	);
}

function briefOf({ sitting, worked }: ComingSitting, reading: Reading) {
	const rows = worked?.rows ?? [];
	return {
		id: sitting.id,
		day: `/day/${wallClock(sitting.serviceAt, reading.timeZone).date}`,
		name: sitting.name,
		room: sitting.room,
		when: reading.clock(sitting.serviceAt),
		covers: sitting.covers,
		dishes: rows.map(({ dish }) => dish.recipe.name),
		warnings: rows.reduce((sum, { plan }) => sum + (plan ? plan.warnings.length : 1), 0),
	};
}

/** Everything that the dishes of a sitting ask somebody to begin. */
function dishTasks({ sitting, rows, kitchen }: WorkedSitting, reading: Reading): Task[] {
	return rows.flatMap(({ dish, plan }) => {
		if (!plan) return [];
		return tasksOf({ plan, kitchen, reading }).map((task) => ({
			id: task.id,
			at: task.at,
			time: reading.time(task.at),
			place: task.place,
			task: task.words,
			dish: dish.recipe.name,
			sitting: sitting.name,
			to: `/sittings/${sitting.id}/dishes/${dish.id}?place=${task.key}`,
			isOrder: task.key === "buy",
			serviceAt: sitting.serviceAt,
		}));
	});
}

/** ", holds 45 min" */
function holdsWords({ holds_min }: Preparation): string {
	return holds_min === undefined ? "" : `, holds ${durationWords(holds_min)}`;
}

/** "Make 8 l of light stock, the Stock pot 360", "Soak for 2 kg of beans", "Finish 2 kg of mash, holds 45 min" */
function stageWords(
	part: PlacedTask["part"],
	{ what, pot, holds }: { readonly what: string; readonly pot: string; readonly holds: string },
): string {
	if (part === "soak") return `Soak for ${what}`;
	return part === "finish" ? `Finish ${what}${holds}` : `Make ${what}${pot}${holds}`;
}

/** What is made in the house for a sitting, once for all its dishes. */
function batchTasks({ sitting, batches }: WorkedSitting, reading: Reading): Task[] {
	return batches.flatMap(({ id, name, preparation, grams, litres, pot, dishes, tasks }) =>
		tasks.map((task) => ({
			id: `${sitting.id}/${task.id}`,
			at: task.start,
			time: reading.time(task.start),
			place: "Make",
			task: stageWords(task.part, {
				what: `${litres === null ? reading.mass(grams / 1000) : reading.volume(litres)} of ${name}`,
				pot: pot ? `, ${pot.goes > 1 ? `${pot.goes} fillings of ` : ""}the ${pot.vessel.name}` : "",
				holds: holdsWords(preparation),
			}),
			dish: dishes.join(", "),
			sitting: sitting.name,
			to: `/book/${id}`,
			isOrder: false,
			serviceAt: sitting.serviceAt,
		})),
	);
}

function byDay(tasks: readonly Task[], reading: Reading) {
	const days = groupBy(tasks, ({ at }) => reading.day(at));
	return Object.entries(days).map(([day, ofDay]) => ({
		day,
		first: ofDay[0]?.time ?? "",
		count: ofDay.length,
		moments: momentsOf(ofDay),
	}));
}

/** What starts at one time stands under it once. */
function momentsOf(tasks: readonly Task[]): { readonly time: string; readonly tasks: readonly Task[] }[] {
	return Object.entries(groupBy(tasks, ({ at }) => at)).map(([, together]) => ({
		time: together[0]?.time ?? "",
		tasks: together,
	}));
}

function waitWords(ms: number): string {
	const hours = ms / HOUR_MS;
	if (hours < 1) return `in ${Math.max(1, Math.round(hours * 60))} min`;
	if (hours < 48) return `in ${Math.round(hours)} h`;
	return `in ${Math.round(hours / 24)} days`;
}
