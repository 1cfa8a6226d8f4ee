import { clockWords, durationWords, type WallRead } from "../time/index.ts";
import type { Day, DayEquipment, SittingOfDay } from "./Day.ts";
import type { ChangeOf, DayChange } from "./DayChange.ts";
import { taskName } from "./dayWords.ts";
import type { Move, Stood } from "./movesBetween.ts";

/** What the words of a change need: the day, and what its things are called. */
export interface DayNames extends WallRead {
	readonly day: Pick<Day, "tasks" | "equipment">;
	readonly sittings: readonly Pick<SittingOfDay, "id" | "name">[];
	/** Degrees as the reader reads them. */
	temperature(C: number): string;
}

/** "North oven is down, 11:00 to 16:00" */
export function changeWords(change: DayChange, names: DayNames): string {
	const { day, sittings } = names;
	const first = day.tasks.at(-1)?.start ?? 0;
	const said: Saying = {
		clock: (at) => clockWords(at, names, first),
		thing: (id) => thingOf(id, day.equipment),
		task: (id) => nameOf(id, day),
		dish: (id) => day.tasks.find((one) => one.for === id)?.forName ?? "a dish that is not of this day",
		sitting: (id) => sittings.find((one) => one.id === id)?.name ?? "a sitting that is not of this day",
		temperature: names.temperature,
		isOven: (id) => isOven(id, day),
	};
	return (CHANGE_WORDS[change.kind] as (change: DayChange, said: Saying) => string)(change, said);
}

/** What the things of a change are called. */
interface Saying {
	clock(at: number): string;
	thing(id: string): string;
	task(id: string): string;
	dish(id: string): string;
	sitting(id: string): string;
	temperature(C: number): string;
	isOven(id: string): boolean;
}

const CHANGE_WORDS: { readonly [K in DayChange["kind"]]: (change: ChangeOf<K>, said: Saying) => string } = {
	away: ({ equipment, from, to }, { thing, isOven, clock }) =>
		`${thing(equipment)} is ${isOven(equipment) ? "down" : "away"}, ${clock(from)} to ${clock(to)}`,
	borrowed: ({ count, equipment }, { thing }) => `${count} × ${thing(equipment)} borrowed`,
	helped: ({ count, from, to }, { clock }) =>
		`${count} ${count === 1 ? "cook" : "cooks"} more, ${clock(from)} to ${clock(to)}`,
	heat: ({ for: id, set_C }, { dish, temperature }) => `${dish(id)} braised at ${temperature(set_C)}`,
	arrives: ({ for: id, at }, { dish, clock }) => `what ${dish(id)} is made of comes at ${clock(at)}`,
	covers: ({ sitting: id, covers }, { sitting }) =>
		`${sitting(id)} for ${covers.toLocaleString("en-GB")} covers`,
	ahead: ({ for: id, ahead }, { dish }) => `${dish(id)} cooked ${ahead ? "the day before" : "on the day"}`,
	pinned: ({ task: id, oven, start }, { task, thing, clock }) =>
		`“${task(id)}” fixed${oven === undefined ? "" : ` in the ${thing(oven)}`} from ${clock(start)}`,
	order: ({ order }) => (order === 0 ? "dishes placed as usual" : `dishes placed in order ${order}`),
	happened: ({ task: id, start, end }, { task, clock }) =>
		`“${task(id)}” begun at ${clock(start)}${end === null ? "" : `, over at ${clock(end)}`}`,
};

function isOven(id: string, { equipment }: DayNames["day"]): boolean {
	return equipment.some((one) => one.id === id && one.kind === "oven");
}

/** A move in words: what, from where, to where, and why. */
export interface MoveWords {
	readonly what: string;
	readonly was: string;
	readonly is: string;
	readonly why: string;
}

/**
 * What moved, from where to where, and why.
 *
 * @param before names what is no longer in the day
 */
export function moveWords({ task, was, is, why }: Move, before: DayNames["day"], names: DayNames): MoveWords {
	const { day } = names;
	const inDay = day.tasks.some(({ id }) => id === task);
	return {
		what: nameOf(task, inDay ? day : before),
		was: was ? stoodWords(was, is, before, names) : "new",
		is: is ? stoodWords(is, was, day, names) : "removed",
		why: whyWords(why, names),
	};
}

/** Only what is another: "14:05 in the South oven at 140 °C", "Ina". */
function stoodWords(
	one: Stood,
	other: Stood | null,
	{ equipment }: DayNames["day"],
	names: DayNames,
): string {
	// The day is named where it is another than the other place's.
	const clock = (at: number) => clockWords(at, names, other?.start ?? one.end);
	const moved = other === null || one.start !== other.start || one.end !== other.end;
	const elsewhere = other === null || one.oven !== other.oven || one.set_C !== other.set_C;
	const words: string[] = [];
	if (moved) words.push(one.end > one.start ? `${clock(one.start)} to ${clock(one.end)}` : clock(one.start));
	if (elsewhere && one.oven !== undefined)
		words.push(`in the ${thingOf(one.oven, equipment)} at ${names.temperature(one.set_C ?? 0)}`);
	if (words.length === 0) words.push(one.cooks.map((id) => thingOf(id, equipment)).join(" and ") || "nobody");
	return words.join(" ");
}

function whyWords(why: Move["why"], names: DayNames): string {
	switch (why.because) {
		case "told":
			return changeWords(why.change, names);
		case "after":
			return `waits for “${nameOf(why.task, names.day)}”`;
		case "before":
			return `“${nameOf(why.task, names.day)}” after it has moved`;
		case "takes":
			return `${durationWords(Math.abs(why.minutes))} ${why.minutes > 0 ? "longer" : "shorter"}`;
		case "room":
			return `“${nameOf(why.task, names.day)}” has the ${thingOf(why.equipment, names.day.equipment)} now`;
		case "fits":
			return "it stands better so";
	}
}

function nameOf(id: string, { tasks }: DayNames["day"]): string {
	const task = tasks.find((one) => one.id === id);
	return task ? taskName(task) : "something that is no longer of this day";
}

function thingOf(id: string, equipment: readonly DayEquipment[]): string {
	return equipment.find((one) => one.id === id)?.name ?? id;
}
