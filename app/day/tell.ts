import { type TObject, Type } from "@sinclair/typebox";
import { Covers, oneOf, Refusal, refuse, TimeOfDay } from "#core/check";
import { BraiseDegrees, type DayChange, Pieces, readChange } from "#core/day";
import { fromWallClock } from "#core/time";
import { readForm, type Typed, type Wrong, wrongOf } from "../ui/forms/form.ts";

/** What is typed of a change, by its kind; times are of the day that is open. */
const Thing = Type.String({ minLength: 1, maxLength: 120, allowed: "one from the list" });
const FORMS = {
	away: Type.Object({ equipment: Thing, from: TimeOfDay, to: TimeOfDay }),
	arrives: Type.Object({ for: Thing, at: TimeOfDay }),
	covers: Type.Object({ sitting: Thing, covers: Covers }),
	ahead: Type.Object({ for: Thing, ahead: oneOf(["before", "day"] as const) }),
	borrowed: Type.Object({ equipment: Thing, count: Pieces }),
	helped: Type.Object({ count: Pieces, from: TimeOfDay, to: TimeOfDay }),
	heat: Type.Object({ for: Thing, set_C: BraiseDegrees }),
	happened: Type.Object({ task: Thing, start: TimeOfDay, end: Type.Optional(TimeOfDay) }),
} as const satisfies Record<string, TObject>;

type TellKind = keyof typeof FORMS;

export const TELL_KINDS = Object.keys(FORMS) as readonly TellKind[];

/** What was typed of a change: the change, or what is wrong with it. */
export type Told =
	| { readonly change: DayChange }
	| { readonly kind: TellKind; readonly typed: Typed; readonly wrong: Wrong };

/**
 * The change that was typed, in the clock of the house.
 *
 * @returns null where none was
 */
export function readTold(search: URLSearchParams, date: string, timeZone: string): Told | null {
	const kind = TELL_KINDS.find((one) => one === search.get("tell"));
	if (!kind) return null;
	const given = new URLSearchParams([...search].filter(([name, value]) => name !== "change" && value !== ""));
	const read = readForm(FORMS[kind], given);
	if ("wrong" in read) return { kind, typed: read.typed, wrong: read.wrong };
	const fields: Record<string, unknown> = { kind };
	for (const [name, value] of Object.entries(read.value))
		fields[name] = meaningOf(name, value, date, timeZone);
	if (kind === "happened" && fields.end === undefined) fields.end = null;
	try {
		return { change: readChange(fields) };
	} catch (error) {
		if (!(error instanceof Refusal)) throw error;
		return { kind, typed: read.value as unknown as Typed, wrong: wrongOf(error) };
	}
}

const CLOCKS: readonly string[] = ["from", "to", "at", "start", "end"];

/** What a field means: a clock on the day, or the day before. */
function meaningOf(name: string, value: unknown, date: string, timeZone: string): unknown {
	if (name === "ahead") return value === "before";
	return CLOCKS.includes(name) ? fromWallClock(date, String(value), timeZone) : value;
}

/** Changes on trial as they stand in the address, and what of it is none. */
export interface TrialRead {
	readonly changes: readonly DayChange[];
	readonly unclear: readonly string[];
}

/** On trial at once, no more. */
const MOST_TRIED = 20;
const LONGEST = 600;

/** What is on trial, as an address or a form names it. */
export function readTrialChanges(given: readonly string[]): TrialRead {
	const changes: DayChange[] = [];
	const unclear: string[] = [];
	for (const text of given.slice(0, MOST_TRIED)) {
		try {
			if (text.length > LONGEST) throw refuse("change", "it is too long");
			changes.push(readChange(JSON.parse(text)));
		} catch (error) {
			if (!(error instanceof Refusal) && !(error instanceof SyntaxError)) throw error;
			unclear.push(error instanceof Refusal ? error.message : "it can not be read");
		}
	}
	if (given.length > MOST_TRIED) unclear.push(`${MOST_TRIED} at once are allowed`);
	return { changes, unclear };
}

/** The address of a day with some changes on trial. */
export function trialAddress(date: string, changes: readonly DayChange[]): string {
	const search = new URLSearchParams(changes.map((change) => ["change", JSON.stringify(change)]));
	return `/day/${date}${changes.length > 0 ? `?${search}` : ""}`;
}

/** The changes with one more; what was said of the same thing before no longer counts. */
export function withChange(changes: readonly DayChange[], change: DayChange): DayChange[] {
	return [...changes.filter((other) => subjectOf(other) !== subjectOf(change)), change];
}

function subjectOf(change: DayChange): string {
	switch (change.kind) {
		case "away":
		case "borrowed":
			return `${change.kind} ${change.equipment}`;
		case "helped":
			return `${change.kind} ${change.from}`;
		case "arrives":
		case "ahead":
		case "heat":
			return `${change.kind} ${change.for}`;
		case "covers":
			return `${change.kind} ${change.sitting}`;
		case "pinned":
		case "happened":
			return `${change.kind} ${change.task}`;
		case "order":
			return change.kind;
	}
}
