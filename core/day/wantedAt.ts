import { minutesBefore } from "../time/index.ts";
import type { OpenTask } from "./tasksOf.ts";

/**
 * When what follows a task wants it: what is only lifted is wanted when what comes after the lift is.
 *
 * @param end     when it is over: what nothing follows is wanted then
 * @param placeOf where a task stands
 */
export function wantedAt(
	{ followers }: OpenTask,
	end: number,
	tasks: ReadonlyMap<string, OpenTask>,
	placeOf: (task: string) => { readonly start: number; readonly end: number },
): number {
	const starts = followers.map(({ task: id, least_min }) => {
		const next = tasks.get(id) as OpenTask;
		const { start, end: lifted } = placeOf(id);
		const wanted = next.part === "lift" ? wantedAt(next, lifted, tasks, placeOf) : start;
		return minutesBefore(wanted, least_min);
	});
	return starts.length > 0 ? Math.min(...starts) : end;
}
