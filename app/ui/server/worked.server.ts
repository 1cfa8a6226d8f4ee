import { LRUCache } from "lru-cache";
import {
	type DayGiven,
	daysTogether,
	markOf,
	type Remedy,
	type SolverSettings,
	sliceOf,
	touches,
	type WorkedDay,
} from "#core/day";
import { fromWallClock, laterDay, wallClock } from "#core/time";
import {
	type Database,
	type DayIssueRow,
	newestEvent,
	newestOfDays,
	readHouse,
	type Sitting,
	type ToldChange,
} from "#db";
import {
	type DateAsked,
	type DateSteps,
	factsKey,
	heldIn,
	madeFrom,
	newDateSteps,
	remedied,
	startOf,
	stepOf,
} from "./dateSteps.server.ts";
import { type DateFacts, type Holding, readHolding, type Trial } from "./holds.server.ts";
import { storedDate } from "./storedDates.server.ts";
import type { WorkedRow, WorkedSitting } from "./writtenDate.ts";

export type { Trial } from "./holds.server.ts";
export type { WorkedRow, WorkedSitting } from "./writtenDate.ts";

/** One date of the house, placed beside those before it. */
export interface WorkedDate {
	readonly date: string;
	readonly day: WorkedDay;
	/** What it was placed from: worked out when it is asked for, for a date that was read back. */
	readonly given: () => DayGiven;
	readonly sittings: readonly WorkedSitting[];
	readonly told: readonly ToldChange[];
	readonly issue: DayIssueRow | null;
	/** Whether it is what was issued: nothing that it was made from has changed since. */
	readonly asIssued: boolean;
	/** Stands for all it was made from: the same mark, the same day. */
	readonly mark: string;
	/** What it would be issued from at a moment. */
	made(at: number): string;
}

/**
 * Dates of the house as they are worked: one placement of all that shares the kitchen, of which a
 * page reads a slice. Asked for alone or with others, a date is the same.
 *
 * @param from  first date of the house's calendar, "2026-12-04"
 * @param to    last date, included
 * @param trial what is tried: placed as it will be once it is kept
 */
export async function workedDates(
	db: Database,
	from: string,
	to: string,
	trial: Trial | null = null,
): Promise<readonly WorkedDate[]> {
	const key = trial ? null : `${from} ${to} ${await newestEvent(db)} ${await newestOfDays(db)}`;
	const kept = keptOf(db).ranges;
	const found = key === null ? undefined : kept.get(key);
	if (found) return found;
	const making = readHolding(db, from, to, trial)
		.then((holding) => placeInTurn(db, holding))
		.then((all) => all.filter(({ date }) => date >= from));
	if (key !== null) {
		kept.set(key, making);
		making.catch(() => kept.delete(key));
	}
	return making;
}

/** The date of a sitting, with the sitting as it stands in it. */
export interface WorkedTable extends WorkedSitting {
	readonly on: WorkedDate;
}

/**
 * A sitting in its day. One that was called off is shown as it would be if it were not.
 *
 * @param trial what is tried
 */
export async function workedSitting(
	db: Database,
	sitting: Sitting,
	trial: Trial | null = null,
): Promise<WorkedTable | null> {
	const { timeZone } = await readHouse(db);
	const stands = trial?.sitting ?? sitting;
	const { date } = wallClock(stands.serviceAt, timeZone);
	const on = await workedDates(db, date, date, stands.calledOff ? calledIn(stands, trial) : trial);
	const [first] = on;
	const found = first?.sittings.find((one) => one.sitting.id === sitting.id);
	return first && found ? { ...found, on: first } : null;
}

function calledIn(sitting: Sitting, trial: Trial | null): Trial {
	return { now: trial?.now ?? 0, ...trial, sitting: { ...sitting, calledOff: false } };
}

/** Some dates of the house with all that goes on in them, of whatever sitting it is. */
export interface DatesShown {
	/** Those on which something is served. */
	readonly served: readonly WorkedDate[];
	/** Those of which something goes on; the served among them. */
	readonly all: readonly WorkedDate[];
	/** All of them as one day, whole. */
	readonly day: WorkedDay;
	/** The same without what goes on before or after, but for the sittings that are served. */
	readonly slice: WorkedDay;
}

/** So far ahead dates are looked through for what of them is done before, days. */
const AHEAD_DAYS = 6;

/**
 * All that goes on from one date to another: of the sittings that are served then, and of those
 * before and after.
 *
 * @param from first date, "2026-12-04"
 * @param to   last date, included
 */
export async function datesShown(
	db: Database,
	from: string,
	to: string,
	trial: Trial | null = null,
): Promise<DatesShown> {
	const { timeZone } = await readHouse(db);
	const begins = fromWallClock(from, "00:00", timeZone) ?? Number.NaN;
	const ends = fromWallClock(laterDay(to, 1), "00:00", timeZone) ?? Number.NaN;
	const near = await workedDates(db, laterDay(from, -1), laterDay(to, AHEAD_DAYS), trial);
	const served = near.filter(({ date }) => date >= from && date <= to);
	const all = near.filter(
		(one) =>
			served.includes(one) ||
			one.day.tasks.some((task) => task.part !== "order" && touches(task, begins, ends)),
	);
	const day = daysTogether(all.map((one) => one.day));
	const own = new Set(served.flatMap(({ sittings }) => sittings.map(({ sitting }) => sitting.id)));
	return { served, all, day, slice: sliceOf(day, own, { from: begins, to: ends }) };
}

/** What could not be planned at all, by the name of the dish. */
export function refusedIn(dates: readonly WorkedDate[]) {
	return dates.flatMap(({ sittings }) =>
		sittings.flatMap(({ rows }) =>
			rows.flatMap(({ dish, refused }) =>
				refused === undefined ? [] : [{ dish: dish.recipe.name, why: refused }],
			),
		),
	);
}

interface Kept {
	readonly ranges: LRUCache<string, Promise<readonly WorkedDate[]>>;
	readonly dates: LRUCache<string, WorkedDate>;
	readonly steps: DateSteps;
}

const keptBy = new WeakMap<Database, Kept>();
const MOST_RANGES = 12;
const MOST_DATES = 96;

function keptOf(db: Database): Kept {
	const kept = keptBy.get(db) ?? {
		ranges: new LRUCache({ max: MOST_RANGES }),
		dates: new LRUCache<string, WorkedDate>({ max: MOST_DATES }),
		steps: newDateSteps(),
	};
	keptBy.set(db, kept);
	return kept;
}

/** Each date round what those before it have in hand: who is served sooner comes first. */
async function placeInTurn(db: Database, holding: Holding): Promise<WorkedDate[]> {
	const { dates, steps } = keptOf(db);
	const placed: WorkedDate[] = [];
	for (const facts of holding.dates) {
		const asked = { holding, facts, held: heldIn(placed, facts) };
		const mark = markOf([holding.stamp, factsKey(facts), asked.held]);
		const found = dates.get(mark) ?? (await readBackDate(db, asked, mark)) ?? placeDate(steps, asked, mark);
		dates.set(mark, found);
		placed.push(withFacts(found, facts));
	}
	return placed;
}

/** A date that was placed before this house was started, and that nothing has changed since. */
async function readBackDate(db: Database, asked: DateAsked, mark: string): Promise<WorkedDate | null> {
	const stored = await storedDate(db, mark);
	if (!stored) return null;
	const { held } = asked;
	let given: DayGiven | null = null;
	return {
		...dateOf(asked, mark),
		...stored,
		given: () => {
			given ??= { ...startOf(asked).given, held };
			return given;
		},
	};
}

function dateOf({ holding, facts }: DateAsked, mark: string) {
	const { told, issue, date } = facts;
	const made = (at: number) => madeFrom(holding.stamp, facts, at);
	return { date, told, issue, mark, made };
}

/** A date that was placed before, with what is written of its sittings now: names, notes and versions place nothing. */
function withFacts(placed: WorkedDate, { sittings, told, issue }: DateFacts): WorkedDate {
	const now = new Map(sittings.map(({ sitting }) => [sitting.id, sitting]));
	return {
		...placed,
		told,
		issue,
		sittings: placed.sittings.map((one) => ({ ...one, sitting: now.get(one.sitting.id) ?? one.sitting })),
	};
}

/**
 * One date: as it was issued where nothing it was made from has changed since, else placed; then, in
 * the order in which it was told, placed again for each moment at which something was. Trying is
 * one moment more, so that it gives what keeping gives, and costs one placing.
 */
function placeDate(steps: DateSteps, asked: DateAsked, mark: string): WorkedDate {
	const { day, given, needs, asIssued } = stepOf(steps, asked);
	const sittings = needs.map(({ sitting, kitchen, dishes }): WorkedSitting => {
		const rows = dishes.map(({ dish, card, needs: asked }): WorkedRow => {
			const plan = day.dishes.get(dish.id);
			if (plan) return { dish, card, plan };
			return { dish, card, refused: "refused" in asked ? asked.refused : "" };
		});
		return { sitting, kitchen, rows, batches: day.batches.get(sitting.id) ?? [] };
	});
	const { held } = asked;
	return { ...dateOf(asked, mark), day, given: () => ({ ...given, held }), sittings, asIssued };
}

/** How hard the ovens are thought about where a day is placed many times over. */
const MANY_TIMES: SolverSettings = { seed: 1, steps: 60_000 };

/** A date with some remedies, as it is when they are tried; what nobody lends is thought to be there. */
export async function remediedDate(
	db: Database,
	date: string,
	remedies: readonly Remedy[],
	now: number,
): Promise<WorkedDay> {
	const holding = await readHolding(db, date, date);
	const { steps } = keptOf(db);
	const dates = holding.dates.filter((one) => one.date < date);
	const facts = holding.dates.find((one) => one.date === date);
	if (!facts) throw new Error(`nothing is served on ${date}`);
	const held = heldIn(await placeInTurn(db, { ...holding, dates }), facts);
	const asked = { holding, facts, held };
	return remedied(asked, stepOf(steps, asked), remedies, now, MANY_TIMES);
}
