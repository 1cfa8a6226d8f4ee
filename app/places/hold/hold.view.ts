import { chunk } from "es-toolkit";
import type { WorkedDish } from "#core/day";
import { isMadeAhead, lastTaskAt, startAt } from "#core/dish";
import { MINUTE_MS } from "#core/time";
import type { HeldDrawing, HeldRow } from "../../ui/drawings/HeldPans.tsx";
import type { Reading } from "../../ui/words/reading.ts";
import { hoursAlong } from "../hoursAlong.ts";
import type { PlaceGiven } from "../Place.ts";

/** Drawn so far past the last plate; as far as where it is sensible, where that is not far. */
const PAST = 1.12;
const FARTHEST = 1.6;

/** When each pan that is held hot is opened, and until when that is sensible. */
export function heldView({ plan, reading }: PlaceGiven): HeldDrawing | undefined {
	const { hold, order } = plan;
	const hot = hotAt(plan);
	const last = lastTaskAt(plan, "plate")?.end;
	if (!hold || hot === undefined || last === undefined) return undefined;
	const goes = plan.tasks.filter(({ part, fills }) => part === "hold" && fills);
	const from = Math.min(hot, ...goes.map(({ start }) => start));
	const minute = (at: number) => (at - from) / MINUTE_MS;
	const clock = (at_min: number) => reading.time(from + at_min * MINUTE_MS);
	const rows = [
		...goes.map(({ figures, start, end }): HeldRow => {
			const to_min = minute(end);
			return { name: `go ${figures.go}`, from_min: minute(start), to_min, opened: clock(to_min) };
		}),
		...openedOf(plan, minute(hot), minute(startAt(plan, "plate")), hold.everyPan_min, clock),
	];
	if (rows.length === 0) return undefined;
	const sensible = {
		low_min: minute(hot) + hold.sensible_min.low,
		high_min: minute(hot) + hold.sensible_min.high,
	};
	const served_min = Math.max(minute(last), minute(order.serviceAt));
	const isNear = sensible.low_min < served_min * FARTHEST;
	const end_min = Math.max(served_min, isNear ? sensible.low_min : 0) * PAST;
	return {
		rows,
		service: { minute: minute(order.serviceAt), words: "serve" },
		sensible: isNear ? { ...sensible, words: `sensible until ${clock(sensible.low_min)}` } : null,
		end_min,
		hours: hoursAlong(end_min, clock),
		words: wordsOf(rows, hold.held_C, reading),
	};
}

/** When the last filling is hot and tender. */
export function hotAt(plan: WorkedDish): number | undefined {
	const task = isMadeAhead(plan.recipe)
		? lastTaskAt(plan, "reheat", "reheat")
		: lastTaskAt(plan, "rest", "lift");
	return task?.end;
}

/** More rows than these are read by nobody: pans that are opened one after the other share one, which ends with the first of them. */
const MOST_ROWS = 16;

/** The pans of the last filling, one opened after the other while it is plated. */
function openedOf(
	{ pans: { pans, goes }, hold_min }: WorkedDish,
	from_min: number,
	plating_min: number,
	every_min: number,
	clock: (minute: number) => string,
): HeldRow[] {
	if (hold_min === 0) return [];
	const last = pans.filter(({ go }) => go === goes);
	const numbers = last.map((_, index) => index);
	return chunk(numbers, Math.ceil(last.length / MOST_ROWS)).map(([first = 0, ...more]): HeldRow => {
		const to_min = Math.max(from_min, plating_min + first * every_min);
		const name = more.length === 0 ? `pan ${first + 1}` : `${first + 1}–${first + 1 + more.length}`;
		return { name, from_min, to_min, opened: clock(to_min) };
	});
}

function wordsOf(rows: readonly HeldRow[], held_C: number, { temperature }: Reading): string {
	const said = rows.map(({ name, opened }) => `${name} ${opened}`).join(", ");
	return `Held at ${temperature(held_C)} under its lid until it is opened: ${said}.`;
}
