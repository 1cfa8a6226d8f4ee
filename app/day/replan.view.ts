import {
	changeWords,
	type Day,
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
import type { PlacedDay } from "../ui/server/placedDay.server.ts";
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
	readonly placed: PlacedDay;
	readonly reading: Reading;
	readonly date: string;
	readonly trial: TrialRead;
	readonly told: Told | null;
}

export function replanView({ placed, reading, date, trial, told }: Given): ReplanView {
	const { day, stands, issue, given, planned } = placed;
	const names: DayNames = {
		day,
		sittings: given.sittings,
		timeZone: reading.timeZone,
		temperature: reading.temperature,
	};
	const known = placed.told.map(({ change }) => change);
	const onTrial = stands !== null || trial.unclear.length > 0;
	return {
		told: placed.told.map(({ id, change, at, who }) => ({
			id,
			words: changeWords(change, names),
			by: `${who}, ${reading.clock(at)}`,
		})),
		trial: onTrial
			? {
					changes: trial.changes.map((change) => JSON.stringify(change)),
					words: trial.changes.map((change) => changeWords(change, names)),
					unclear: trial.unclear,
					figures: stands ? figuresOf(stands, day, reading) : [],
					moves: stands ? movesOf(stands, day, [...known, ...trial.changes], names) : [],
					back: `/day/${date}`,
				}
			: null,
		issue: issue
			? {
					number: issue.number,
					by: `${issue.who}, ${reading.clock(issue.at)}`,
					differs: stands ? [] : movesOf(issue.doc.day, day, known, names),
				}
			: null,
		choices: {
			things: day.equipment.filter(({ kind }) => kind === "oven" || kind === "cook").map(asChoice),
			dishes: given.sittings.flatMap(({ plans }) =>
				plans.map(({ order, recipe }) => ({ id: order.id, name: recipe.name })),
			),
			sittings: planned.map(({ sitting }) => ({
				id: sitting.id,
				name: sitting.name,
				covers: sitting.covers,
			})),
			pans: lentKinds(given.kitchen),
			tasks: day.tasks
				.filter(({ end, start, part }) => end > start && part !== "order")
				.map((task) => ({ id: task.id, name: `${reading.time(task.start)} ${taskName(task)}` })),
		},
		wrong: told && "wrong" in told ? told : null,
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
		both("not to be had", ({ unmet }) => (unmet.length > 0 ? counted(unmet.length, "thing") : "nothing")),
		both("waits when tender", ({ waiting_rung_min }) => counted(Math.round(waiting_rung_min), "rung-minute")),
		both("first to start", ({ tasks }) => {
			const first = tasks.find(({ part }) => part !== "order");
			return first ? reading.clock(first.start) : "nothing";
		}),
		both("last out", ({ tasks }) => reading.clock(Math.max(0, ...tasks.map(({ end }) => end)))),
	];
}
