import { onDay } from "#core/time";
import type { Sitting } from "#db";
import { type PlaceView, placesOf } from "../ui/places.ts";
import type { PlannedDishRow } from "../ui/planned.server.ts";
import type { Reading } from "../ui/reading.ts";

/** How far ahead the day's list looks. */
export const DAYS_AHEAD = 14;
const HOUR_MS = 3_600_000;

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
}

/** A coming sitting with its dishes planned. */
export interface ComingSitting {
	readonly sitting: Sitting;
	readonly rows: readonly PlannedDishRow[];
}

/** What must start when, over all coming sittings, and the sittings in brief. */
export function todayView(coming: readonly ComingSitting[], reading: Reading) {
	const start = onDay(reading.now, reading.timeZone, 0);
	const tasks = coming.flatMap((one) => tasksOf(one, reading)).sort((a, b) => a.at - b.at);
	const ahead = tasks.filter((task) => task.at >= reading.now);
	const [next] = ahead;
	return {
		today: reading.day(reading.now),
		next: next ? { ...next, wait: waitWords(next.at - reading.now), clock: reading.clock(next.at) } : null,
		days: byDay(ahead, reading),
		begun: tasks.filter((task) => task.at < reading.now && task.at >= start),
		sittings: coming.map((one) => briefOf(one, reading)),
	};
}

function briefOf({ sitting, rows }: ComingSitting, reading: Reading) {
	return {
		id: sitting.id,
		name: sitting.name,
		room: sitting.room,
		when: reading.clock(sitting.serviceAt),
		covers: sitting.covers,
		dishes: rows.map(({ dish }) => dish.recipe.name),
		warnings: rows.reduce((sum, { plan }) => sum + (plan ? plan.warnings.length : 1), 0),
	};
}

/** Liquid and sauce run beside other work, so they are left to the long table. */
function tasksOf({ sitting, rows }: ComingSitting, reading: Reading): Task[] {
	return rows.flatMap(({ dish, plan }) =>
		plan
			? placesOf(dish.recipe, plan, reading)
					.filter(({ key }) => key !== "build" && key !== "sauce")
					.map((place) => taskOf(place, sitting, dish.id, dish.recipe.name, reading))
			: [],
	);
}

function taskOf(place: PlaceView, sitting: Sitting, dishId: string, dish: string, reading: Reading): Task {
	return {
		id: `${dishId} ${place.key}`,
		at: place.at,
		time: reading.time(place.at),
		place: place.label,
		task: place.task,
		dish,
		sitting: sitting.name,
		to: `/sittings/${sitting.id}/dishes/${dishId}?place=${place.key}`,
	};
}

function byDay(tasks: readonly Task[], reading: Reading): { day: string; tasks: Task[] }[] {
	const days = new Map<string, Task[]>();
	for (const task of tasks) {
		const day = reading.day(task.at);
		days.set(day, [...(days.get(day) ?? []), task]);
	}
	return [...days].map(([day, list]) => ({ day, tasks: list }));
}

function waitWords(ms: number): string {
	const hours = ms / HOUR_MS;
	if (hours < 1) return `in ${Math.max(1, Math.round(hours * 60))} min`;
	if (hours < 48) return `in ${Math.round(hours)} h`;
	return `in ${Math.round(hours / 24)} days`;
}
