import { LRUCache } from "lru-cache";
import {
	changesIn,
	chillsIn,
	type DayChange,
	type DayGiven,
	daysTogether,
	type HeldUse,
	markOf,
	placeDay,
	type Remedy,
	restoredDay,
	type SolverSettings,
	sliceOf,
	touches,
	type WorkedBatch,
	type WorkedDay,
	type WorkedDish,
	withBorrowed,
	withRoom,
} from "#core/day";
import type { Kitchen } from "#core/kitchen";
import type { Recipe } from "#core/recipe";
import { fromWallClock, laterDay, wallClock } from "#core/time";
import {
	type Database,
	type DayIssueRow,
	type DishWithRecipe,
	newestEvent,
	newestOfDays,
	readHouse,
	type Sitting,
	type ToldChange,
} from "#db";
import { type DateFacts, type Holding, REACH_DAYS, readHolding, type Trial } from "./holds.server.ts";
import { inCodeOf, type SittingNeeds, sittingNeeds } from "./needs.server.ts";

export type { Trial } from "./holds.server.ts";

interface RowOf {
	/** With its recipe as it is cooked. */
	readonly dish: DishWithRecipe;
	/** The recipe as the book has it. */
	readonly card: Recipe;
}

/** A dish of a sitting as its day has it. */
export type WorkedRow = RowOf &
	(
		| { readonly plan: WorkedDish; readonly refused?: undefined }
		/** Why it is not planned, in a sentence for the chef. */
		| { readonly plan?: undefined; readonly refused: string }
	);

/** A sitting as its day has it. */
export interface WorkedSitting {
	readonly sitting: Sitting;
	readonly kitchen: Kitchen;
	readonly rows: readonly WorkedRow[];
	readonly batches: readonly WorkedBatch[];
}

/** One date of the house, placed beside those before it. */
export interface WorkedDate {
	readonly date: string;
	readonly day: WorkedDay;
	/** What it was placed from. */
	readonly given: DayGiven;
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
	const making = readHolding(db, from, to, trial).then((holding) => {
		const all = placeInTurn(keptOf(db), holding);
		return all.filter(({ date }) => date >= from);
	});
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
	readonly steps: LRUCache<string, DateStep>;
}

const keptBy = new WeakMap<Database, Kept>();
const MOST_RANGES = 12;
const MOST_DATES = 96;
const MOST_STEPS = 96;

function keptOf(db: Database): Kept {
	const kept = keptBy.get(db) ?? {
		ranges: new LRUCache({ max: MOST_RANGES }),
		dates: new LRUCache<string, WorkedDate>({ max: MOST_DATES }),
		steps: new LRUCache<string, DateStep>({ max: MOST_STEPS }),
	};
	keptBy.set(db, kept);
	return kept;
}

/** Each date round what those before it have in hand: who is served sooner comes first. */
function placeInTurn(kept: Kept, holding: Holding): WorkedDate[] {
	const placed: WorkedDate[] = [];
	for (const facts of holding.dates) {
		const held = heldIn(placed, facts);
		const mark = markOf([holding.stamp, factsKey(facts), held]);
		const found = kept.dates.get(mark) ?? placeDate(kept, { holding, facts, held }, mark);
		kept.dates.set(mark, found);
		placed.push(withFacts(found, facts));
	}
	return placed;
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

/** What of a date decides how it is placed. */
type DatePlaced = Omit<DateFacts, "told" | "tells"> & { readonly tells: readonly Tell[] };

function factsKey({ date, sittings, tells, issue }: DatePlaced) {
	return [
		date,
		sittings.map(({ sitting: { name: _, room: __, note: ___, version: ____, ...facts } }) => facts),
		tells.map(({ change, at }) => [change, at]),
		issue?.number ?? null,
	];
}

const REACH_MS = REACH_DAYS * 86_400_000;

/** Uses of dates before that may still be going on while anything of this one is done. */
function heldIn(before: readonly WorkedDate[], { sittings }: DateFacts): HeldUse[] {
	const from = Math.min(...sittings.map(({ sitting }) => sitting.serviceAt)) - REACH_MS;
	return before
		.flatMap(({ day }) => {
			const cooled = chillsIn(day, day.dishes);
			return day.tasks.flatMap((task) =>
				task.uses.map((use): HeldUse => {
					const load = cooled.find(
						({ of, chiller, from: starts }) =>
							of === task.for && chiller === use.equipment && starts === use.from,
					)?.load;
					return load ? { ...use, cooled: load } : use;
				}),
			);
		})
		.filter(({ to }) => to > from);
}

interface DateAsked {
	readonly holding: Holding;
	readonly facts: DateFacts;
	readonly held: readonly HeldUse[];
}

/**
 * One date: as it was issued where nothing it was made from has changed since, else placed; then, in
 * the order in which it was told, placed again for each moment at which something was. Trying is
 * one moment more, so that it gives what keeping gives, and costs one placing.
 */
function placeDate(kept: Kept, asked: DateAsked, mark: string): WorkedDate {
	const { holding, facts, held } = asked;
	const { told, issue, date } = facts;
	const { day, given, needs, asIssued } = stepOf(kept, asked);
	const sittings = needs.map((one): WorkedSitting => {
		const rows = one.dishes.map(({ dish, card, needs: asked }): WorkedRow => {
			const plan = day.dishes.get(dish.id);
			if (plan) return { dish, card, plan };
			return { dish, card, refused: "refused" in asked ? asked.refused : "" };
		});
		return { ...one, rows, batches: day.batches.get(one.sitting.id) ?? [] };
	});
	const made = (at: number) => madeFrom(holding.stamp, facts, at);
	return { date, day, given: { ...given, held }, sittings, told, issue, asIssued, mark, made };
}

/** What was told of a date at one moment. */
type Tell = Pick<ToldChange, "at" | "change">;

/** A date as it stands once something was told, and what it was placed from. */
interface DateStep {
	readonly day: WorkedDay;
	readonly given: DayGiven;
	readonly needs: readonly SittingNeeds[];
	/** All that was told up to then. */
	readonly tells: readonly Tell[];
	readonly asIssued: boolean;
}

/** A date as it stands after all that was told of it. */
function stepOf(kept: Kept, asked: DateAsked): DateStep {
	const { tells, issue } = asked.facts;
	const since = tells.filter(({ at }) => issue === null || at > issue.at);
	const moments = [...new Set(since.map(({ at }) => at))].sort((a, b) => a - b);
	return moments.reduce(
		(step, at) => placedAgain(kept, asked, step, { at, news: since.filter((one) => one.at === at) }),
		asIssuedOrPlaced(kept, asked),
	);
}

/** A date before anything was told of it since it was issued; where it was not, before anything was. */
function asIssuedOrPlaced(kept: Kept, asked: DateAsked): DateStep {
	const { holding, facts, held } = asked;
	const { issue } = facts;
	const tells = facts.tells.filter(({ at }) => issue !== null && at <= issue.at);
	return onceKept(kept, asked, tells, (from) => {
		const stands =
			issue?.doc.made === madeFrom(holding.stamp, facts) ? restoredDay(issue.doc.day, from.given) : null;
		const before = issue ? { before: issue.doc.day, now: issue.at } : {};
		const day = stands ?? placeDay({ ...from.given, held, ...before });
		return { ...from, day, asIssued: stands !== null };
	});
}

interface Moment {
	readonly at: number;
	readonly news: readonly Tell[];
	/** What nobody lends, thought to be there. */
	readonly room?: readonly Remedy[];
	readonly settings?: SolverSettings;
}

/** A date placed once more for what was told of it at a moment: what had begun by then stays. */
function placedAgain(kept: Kept, asked: DateAsked, step: DateStep, moment: Moment): DateStep {
	const { at, news, room = [], settings } = moment;
	const place = (from: Omit<DateStep, "day" | "asIssued">): DateStep => {
		// In another order all that has not begun is placed anew.
		const isOrdered = news.some(({ change }) => change.kind === "order");
		const before = isOrdered ? { tasks: step.day.tasks.filter(({ start }) => start <= at) } : step.day;
		const given = { ...withRoom(from.given, room), held: asked.held, before, now: at };
		return { ...from, day: placeDay(given, settings), asIssued: false };
	};
	const tells = [...step.tells, ...news];
	// What nobody lends is tried once and never asked for again.
	return room.length > 0 ? place(startOf(asked, tells)) : onceKept(kept, asked, tells, place, settings);
}

/** A step that was made before, as long as all that it was made from is the same. */
function onceKept(
	kept: Kept,
	asked: DateAsked,
	tells: readonly Tell[],
	make: (from: Omit<DateStep, "day" | "asIssued">) => DateStep,
	settings: SolverSettings | null = null,
): DateStep {
	const { holding, facts, held } = asked;
	const key = markOf([holding.stamp, factsKey({ ...facts, tells }), held, settings]);
	const found = kept.steps.get(key);
	if (found) return found;
	const made = make(startOf(asked, tells));
	kept.steps.set(key, made);
	return made;
}

function startOf({ holding, facts }: DateAsked, tells: readonly Tell[]) {
	return {
		...givenOf(
			holding,
			facts,
			tells.map(({ change }) => change),
		),
		tells,
	};
}

function givenOf(
	{ kitchen, codes, cooks, places, stamp }: Holding,
	{ sittings }: DateFacts,
	changes: readonly DayChange[],
): { given: DayGiven; needs: readonly SittingNeeds[] } {
	const needs = sittings.map(({ sitting, dishes }) =>
		sittingNeeds({ sitting, dishes, kitchen: inCodeOf(kitchen, sitting, codes), changes, stamp }),
	);
	const given: DayGiven = {
		kitchen: withBorrowed(kitchen, changes),
		cooks,
		places,
		sittings: needs.map(({ sitting, dishes }) => ({
			id: sitting.id,
			name: sitting.name,
			serviceAt: sitting.serviceAt,
			hands: sitting.hands,
			dishes: dishes.flatMap(({ needs: asked }) => ("needs" in asked ? [asked.needs] : [])),
		})),
		changes,
	};
	return { given, needs };
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
	const kept = keptOf(db);
	const dates = holding.dates.filter((one) => one.date < date);
	const facts = holding.dates.find((one) => one.date === date);
	if (!facts) throw new Error(`nothing is served on ${date}`);
	const held = heldIn(placeInTurn(kept, { ...holding, dates }), facts);
	const asked = { holding, facts, held };
	const news = changesIn(remedies).map((change) => ({ at: now, change }));
	const moment = { at: now, news, room: remedies, settings: MANY_TIMES };
	return placedAgain(kept, asked, stepOf(kept, asked), moment).day;
}

/** What a date is issued from: while nothing of it has changed, the day is what was issued. */
export function madeFrom(stamp: string, { tells, issue, ...facts }: DateFacts, at = issue?.at ?? 0): string {
	const known = tells.filter((one) => one.at <= at);
	return markOf([stamp, factsKey({ ...facts, tells: known, issue: null })]);
}
