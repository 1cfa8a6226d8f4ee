import type { WorkedDish } from "#core/day";
import type { PlacedTask } from "#core/tasks";
import type { PlaceKey } from "#core/trade";
import { figure, subtract, type Working, working } from "#core/workings";

/** Those there are. */
export function present(...all: readonly (Working | null)[]): Working[] {
	return all.flatMap((one) => one ?? []);
}

/** A working with names and figures that its words need beside its sum. */
export function told(sum: Working | null, about: NonNullable<Working["about"]>): Working[] {
	return sum ? [{ ...sum, about: { ...sum.about, ...about } }] : [];
}

/** Minutes of a place on the wall; nothing where nobody works there. */
export function workAt({ work }: WorkedDish, place: PlaceKey): Working[] {
	const { handsOn_min, waiting_min, sum } = work.places[place];
	return handsOn_min + waiting_min === 0 ? [] : [sum];
}

/** When the tasks of a place start: so long before they have to be over, as the day has placed them. */
export function startsAt({ tasks }: WorkedDish, place: PlaceKey): Working[] {
	return tasks
		.filter((task) => task.place === place && task.part !== "rest" && task.part !== "hold" && !task.fills)
		.map(startOf);
}

function startOf({ id, place, part, start, end }: PlacedTask): Working {
	const about = { place, part, task: id };
	const over = figure(end, "instant", "over");
	const minutes = figure((end - start) / 60_000, "min", part === "oven" ? "allowed" : undefined);
	return working("start", subtract(over, minutes), "instant", about);
}
