import {
	changeWords,
	type Day,
	type DayChange,
	type DayNames,
	type IssuedDay,
	type Move,
	type MoveWords,
	movesBetween,
	moveWords,
	taskName,
} from "#core/day";
import type { Kitchen } from "#core/kitchen";
import { durationWords } from "#core/time";
import type { DayIssueRow } from "#db";
import { afterNumber } from "../ui/server/underNumber.server.ts";
import type { DatesShown, WorkedDate } from "../ui/server/worked.server.ts";
import { counted, type Reading } from "../ui/words/reading.ts";
import type { Told, TrialRead } from "./tell.ts";

export interface MoveView extends MoveWords {
	readonly id: string;
}

interface Choice {
	readonly id: string;
	readonly name: string;
}

/** What is told of the day, what is on trial, and what its number says. */
export interface ReplanView {
	readonly told: readonly { readonly id: number; readonly words: string; readonly by: string }[];
	readonly trial: {
		/** As they stand in the address. */
		readonly changes: readonly string[];
		readonly words: readonly string[];
		readonly unclear: readonly string[];
		readonly figures: readonly { readonly label: string; readonly was: string; readonly is: string }[];
		readonly moves: readonly MoveView[];
		/** Where it can be put back to, and what one press keeps. */
		readonly back: string;
	} | null;
	readonly issue: {
		readonly number: number;
		readonly by: string;
		/** What of it is another now; empty where nothing is. */
		readonly since: string;
		readonly differs: readonly MoveView[];
	} | null;
	readonly choices: {
		readonly things: readonly Choice[];
		readonly dishes: readonly Choice[];
		readonly sittings: readonly (Choice & { readonly covers: number })[];
		readonly pans: readonly Choice[];
		readonly tasks: readonly Choice[];
	};
	/** What was typed last and does not hold. */
	readonly wrong: Exclude<Told, { readonly change: unknown }> | null;
}

interface Given {
	readonly shown: DatesShown;
	/** Where something is on trial, as it stands without. */
	readonly stands: DatesShown | null;
	readonly reading: Reading;
	readonly date: string;
	readonly trial: TrialRead;
	readonly told: Told | null;
}

export function replanView({ shown, stands, reading, date, trial, told }: Given): ReplanView {
	const [own] = shown.served;
	const { issue } = own ?? { issue: null };
	const { slice: day } = shown;
	const names: DayNames = {
		day,
		sittings: shown.all.flatMap(({ given }) => given().sittings),
		timeZone: reading.timeZone,
		clockHours: reading.clockHours,
		temperature: reading.temperature,
	};
	const tells = (own?.told ?? []).filter(({ id }) => id > 0);
	const known = tells.map(({ change }) => change);
	const onTrial = stands !== null || trial.unclear.length > 0;
	return {
		told: tells.map(({ id, change, at, who }) => ({
			id,
			words: changeWords(change, names),
			by: `${who}, ${reading.clock(at)}`,
		})),
		trial: onTrial
			? {
					changes: trial.changes.map((change) => JSON.stringify(change)),
					words: trial.changes.map((change) => changeWords(change, names)),
					unclear: trial.unclear,
					figures: stands ? figuresOf(stands.slice, day, reading) : [],
					moves: stands ? movesOf(stands.slice, day, [...known, ...trial.changes], names) : [],
					back: `/day/${date}`,
				}
			: null,
		issue: own && issue ? issueOf(own, issue, { known, names, reading, onTrial: stands !== null }) : null,
		choices: choicesOf(shown, reading),
		wrong: told && "wrong" in told ? told : null,
	};
}

interface IssueGiven {
	readonly known: readonly DayChange[];
	readonly names: DayNames;
	readonly reading: Reading;
	readonly onTrial: boolean;
}

/** The newest number of a day, with what is another since; what is only tried is told elsewhere. */
function issueOf(
	own: WorkedDate,
	{ number, who, at, doc }: DayIssueRow,
	{ known, names, reading, onTrial }: IssueGiven,
): ReplanView["issue"] {
	return {
		number,
		by: `${who}, ${reading.clock(at)}`,
		since: onTrial ? "" : afterNumber(own, reading),
		differs: onTrial ? [] : movesOf(doc.day, own.day, known, names),
	};
}

/** What a change can be told of. */
function choicesOf({ served, all, slice }: DatesShown, reading: Reading): ReplanView["choices"] {
	const [one] = served.length > 0 ? served : all;
	return {
		things: slice.equipment.filter(({ kind }) => kind === "oven" || kind === "cook").map(asChoice),
		dishes: served.flatMap(({ given }) =>
			given().sittings.flatMap(({ dishes }) =>
				dishes.map(({ dish: { order, recipe } }) => ({ id: order.id, name: recipe.name })),
			),
		),
		sittings: served
			.flatMap(({ sittings }) => sittings)
			.map(({ sitting }) => ({
				id: sitting.id,
				name: sitting.name,
				covers: sitting.covers,
			})),
		pans: one ? lentKinds(one.given().kitchen) : [],
		tasks: slice.tasks
			.filter(({ end, start, part }) => end > start && part !== "order")
			.map((task) => ({ id: task.id, name: `${reading.time(task.start)} ${taskName(task)}` })),
	};
}

function asChoice({ id, name }: Choice): Choice {
	return { id, name };
}

function lentKinds({ equipment: { pans, pots, trays, searPans, cookers = [] } }: Kitchen): Choice[] {
	return [...pans, ...pots, ...trays, ...searPans, ...cookers].map(asChoice);
}

/** What moved between two days, each in words; lifts move with what is lifted and are not told apart. */
export function movesOf(before: Day, after: Day, changes: IssuedDay["changes"], names: DayNames): MoveView[] {
	const lifted = new Set(
		[...before.tasks, ...after.tasks].filter(({ part }) => part === "lift").map(({ id }) => id),
	);
	return movesBetween(before, after, changes)
		.filter((move: Move) => !lifted.has(move.task))
		.map((move) => ({ id: move.task, ...moveWords(move, before, names) }));
}

/** The same figures of both days, side by side. */
function figuresOf(was: Day, is: Day, reading: Reading) {
	const both = (label: string, words: (day: Day) => string) => ({ label, was: words(was), is: words(is) });
	return [
		both("late", ({ late_min }) => (late_min > 0 ? durationWords(late_min) : "nothing")),
		both("short", ({ unmet }) => (unmet.length > 0 ? counted(unmet.length, "thing") : "nothing")),
		both("waits when tender", ({ waiting_rung_min }) => counted(Math.round(waiting_rung_min), "rung-minute")),
		both("first to start", ({ tasks }) => {
			const first = tasks.find(({ part }) => part !== "order");
			return first ? reading.clock(first.start) : "nothing";
		}),
		both("last out", ({ tasks }) => reading.clock(Math.max(0, ...tasks.map(({ end }) => end)))),
	];
}
