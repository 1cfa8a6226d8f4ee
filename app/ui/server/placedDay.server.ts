import { LRUCache } from "lru-cache";
import { SHIPPED_BELIEFS } from "#core/beliefs";
import {
	changesIn,
	changesOf,
	type Day,
	type DayChange,
	type DayGiven,
	onDaysClock,
	placeDay,
	type Remedy,
	type SolverSettings,
	withBorrowed,
	withRoom,
} from "#core/day";
import { doesNow, type Kitchen } from "#core/kitchen";
import { fromWallClock, wallClock } from "#core/time";
import {
	type Database,
	type DayIssueRow,
	newestEvent,
	newestIssue,
	newestOfDays,
	readCooks,
	readDayChanges,
	readHouse,
	readHouseCodes,
	readSittings,
	readStandingPlaces,
	type Sitting,
	type ToldChange,
} from "#db";
import {
	inCodeOf,
	type PlannedSittingRows,
	type PlannedSittings,
	plannedSitting,
	plannedSittings,
} from "./planned.server.ts";

/** What is tried with a day before anybody keeps it. */
export interface DayTrial {
	readonly changes: readonly DayChange[];
	/** What has begun by then stays, ms since 1970 UTC. */
	readonly now: number;
}

/** The day, what it was made from, and what could not be planned at all, by the dish's name. */
export interface PlacedDay {
	readonly day: Day;
	readonly given: DayGiven;
	readonly planned: PlannedSittings["planned"];
	readonly refused: readonly { readonly dish: string; readonly why: string }[];
	/** What is told of it. */
	readonly told: readonly ToldChange[];
	/** Its newest number; none where it was never issued, and for more than one day. */
	readonly issue: DayIssueRow | null;
	/** Where something is on trial, as it stands without. */
	readonly stands: Day | null;
}

interface DayAsked {
	readonly trial?: DayTrial;
	readonly settings?: SolverSettings;
}

/**
 * All sittings served from one day to another, placed over the whole kitchen. A day that was issued,
 * or of which something is told, moves as little as it can.
 *
 * @param from first day of the house's calendar, "2026-12-04"
 * @param to   last day, included
 */
export async function placedDay(
	db: Database,
	from: string,
	to: string,
	{ trial, settings }: DayAsked = {},
): Promise<PlacedDay> {
	const stands = settings ? await placedAnew(db, from, to, settings) : await placedOnce(db, from, to);
	return trial && trial.changes.length > 0 ? tried(db, stands, from, to, trial) : stands;
}

/** A sitting planned, each of its dishes on the clock and in the ovens of its day. */
export async function plannedInDay(
	db: Database,
	sitting: Sitting,
): Promise<PlannedSittingRows & { readonly kitchen: Kitchen; readonly day: Day | null }> {
	const { timeZone } = await readHouse(db);
	const { date } = wallClock(sitting.serviceAt, timeZone);
	const { day, given, planned } = await placedDay(db, date, date);
	const found = planned.find((one) => one.sitting.id === sitting.id);
	// What is called off has no day.
	if (!found) return { ...(await plannedSitting(db, sitting)), day: null };
	const kitchen = inCodeOf(given.kitchen, sitting, await readHouseCodes(db));
	const rows = found.rows.map((row) =>
		row.plan ? { ...row, plan: onDaysClock(row.plan, day, kitchen, SHIPPED_BELIEFS) } : row,
	);
	return { rows, batches: found.batches, kitchen, day };
}

/** Days that were placed and have not changed since. */
const placed = new WeakMap<Database, LRUCache<string, Promise<PlacedDay>>>();
const MOST_KEPT = 8;

/** A day is placed once for as long as nothing has happened in the house. */
async function placedOnce(db: Database, from: string, to: string): Promise<PlacedDay> {
	const happened = `${await newestEvent(db)} ${await newestOfDays(db)}`;
	const kept = placed.get(db) ?? new LRUCache<string, Promise<PlacedDay>>({ max: MOST_KEPT });
	placed.set(db, kept);
	const key = `${from} ${to} ${happened}`;
	const found = kept.get(key) ?? placedAnew(db, from, to);
	kept.set(key, found);
	found.catch(() => kept.delete(key));
	return found;
}

async function placedAnew(
	db: Database,
	from: string,
	to: string,
	settings?: SolverSettings,
): Promise<PlacedDay> {
	const [told, issue] = await Promise.all([
		readDayChanges(db, from, to),
		from === to ? newestIssue(db, from) : null,
	]);
	const known = told.map(({ change }) => change);
	const { given, planned } = await planFor(db, from, to, known);
	const place = (one: DayGiven) => placeDay(one, SHIPPED_BELIEFS, settings);
	const before = issue?.doc.day ?? (known.length > 0 ? place((await planFor(db, from, to, [])).given) : null);
	const heardAt = told.filter(({ at }) => at > (issue?.at ?? 0)).at(-1)?.at;
	const day = place({
		...given,
		...(before ? { before } : {}),
		...(before && heardAt !== undefined ? { now: heardAt } : {}),
	});
	return { day, given, planned, refused: refusedOf(planned), told, issue, stands: null };
}

/** The same day with something on trial: what stands moves as little as it can. */
async function tried(
	db: Database,
	{ day, told, issue }: PlacedDay,
	from: string,
	to: string,
	{ changes, now }: DayTrial,
): Promise<PlacedDay> {
	const known = told.map(({ change }) => change);
	const { given, planned } = await planFor(db, from, to, [...known, ...changes]);
	return {
		day: placeDay({ ...given, before: day, now }, SHIPPED_BELIEFS),
		given,
		planned,
		refused: refusedOf(planned),
		told,
		issue,
		stands: day,
	};
}

/** How hard the ovens are thought about where a day is placed many times over. */
const MANY_TIMES: SolverSettings = { seed: 1, steps: 60_000 };

/** The same day with some remedies, as `tried` would have it; what nobody lends is thought to be there. */
export async function remedied(
	db: Database,
	{ day, told }: PlacedDay,
	date: string,
	remedies: readonly Remedy[],
	now: number,
): Promise<Day> {
	const known = told.map(({ change }) => change);
	const { given } = await planFor(db, date, date, [...known, ...changesIn(remedies)]);
	return placeDay({ ...withRoom(given, remedies), before: day, now }, SHIPPED_BELIEFS, MANY_TIMES);
}

/** The sittings of some days, planned with what is told of them. */
async function planFor(db: Database, from: string, to: string, changes: readonly DayChange[]) {
	const { timeZone } = await readHouse(db);
	const begins = fromWallClock(from, "00:00", timeZone) ?? Number.NaN;
	const ends = (fromWallClock(to, "23:59", timeZone) ?? Number.NaN) + 60_000;
	const [stored, cooks, places] = await Promise.all([
		readSittings(db, begins, ends),
		readCooks(db),
		readStandingPlaces(db),
	]);
	const sittings = stored.filter(({ calledOff }) => !calledOff);
	const { kitchen, planned } = await plannedSittings(db, withOrders(sittings, changes), changes);
	const given: DayGiven = {
		kitchen: withBorrowed(kitchen, changes),
		cooks: cooks.map(({ id, name, opens_min, closes_min, does }) => ({
			id,
			name,
			does: doesNow(does),
			hours: { opens_min, closes_min },
		})),
		places,
		sittings: planned.map(asOfDay),
		changes,
	};
	return { given, planned };
}

/** Sittings with the covers, and the day on which a dish is cooked, that are on trial. */
function withOrders(sittings: readonly Sitting[], changes: readonly DayChange[]): Sitting[] {
	const covers = new Map(changesOf(changes, "covers").map((change) => [change.sitting, change.covers]));
	const ahead = new Map(changesOf(changes, "ahead").map((change) => [change.for, change.ahead]));
	return sittings.map((sitting) => ({
		...sitting,
		covers: covers.get(sitting.id) ?? sitting.covers,
		dishes: sitting.dishes.map((dish) => ({ ...dish, ahead: ahead.get(dish.id) ?? dish.ahead })),
	}));
}

function asOfDay({ sitting, rows, batches }: PlannedSittings["planned"][number]) {
	return {
		id: sitting.id,
		name: sitting.name,
		serviceAt: sitting.serviceAt,
		hands: sitting.hands,
		plans: rows.flatMap(({ plan }) => plan ?? []),
		batches,
	};
}

function refusedOf(planned: PlannedSittings["planned"]): PlacedDay["refused"] {
	return planned.flatMap(({ rows }) =>
		rows.flatMap(({ dish, refused }) => (refused ? [{ dish: dish.recipe.name, why: refused }] : [])),
	);
}
