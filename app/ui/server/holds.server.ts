import type { Cook } from "#core/day";
import { type DayChange, isOfSitting, type StandingPlace, sittingWith } from "#core/day";
import { doesNow, type Kitchen } from "#core/kitchen";
import type { HouseCode } from "#core/safety";
import { fromWallClock, laterDay, wallClock } from "#core/time";
import {
	type Database,
	type DayIssueRow,
	type DishWithRecipe,
	newestEvent,
	newestIssues,
	readCooks,
	readDayChanges,
	readHouse,
	readHouseCodes,
	readKitchen,
	readSittings,
	readStandingPlaces,
	type Sitting,
	type ToldChange,
	withRecipes,
} from "#db";

/** What is tried before anybody keeps it. */
export interface Trial {
	/** What has begun by then stays, ms since 1970 UTC. */
	readonly now: number;
	/** Changes of one day. */
	readonly told?: { readonly date: string; readonly changes: readonly DayChange[] };
	/** A sitting as it would be. */
	readonly sitting?: Sitting;
}

/** One date of the house: who is served, and what is told of it. */
export interface DateFacts {
	readonly date: string;
	readonly sittings: readonly { readonly sitting: Sitting; readonly dishes: readonly DishWithRecipe[] }[];
	/** What is told of it, the oldest first; what is on trial among it, the last. */
	readonly told: readonly ToldChange[];
	/** The same, and what is told of other dates and goes on in this one: who is away, who helps. */
	readonly tells: readonly ToldChange[];
	/** Its newest number; null where it was never issued. */
	readonly issue: DayIssueRow | null;
}

/**
 * What holds: stored facts, what was told, and what is on trial, as one value. Nothing else reads a
 * sitting to plan it.
 */
export interface Holding {
	readonly timeZone: string;
	readonly kitchen: Kitchen;
	readonly codes: ReadonlyMap<string, HouseCode>;
	readonly cooks: readonly Cook[];
	readonly places: readonly StandingPlace[];
	/** The soonest first. */
	readonly dates: readonly DateFacts[];
	/** Stands for kitchen, house, people and ingredients: the same again, the same of all of them. */
	readonly stamp: string;
}

/** Dates that are no further apart than this may share what a kitchen has, days. */
export const REACH_DAYS = 6;
/** So far back a row of such dates is followed, days. */
const FOLLOWED_DAYS = 21;

/** What happened before this is told of no trial: it comes after all that is stored. */
const ON_TRIAL = -1;

/**
 * What holds for some dates of the house, and for those before them that they share the kitchen with.
 *
 * @param from first date, "2026-12-04"
 * @param to   last date, included
 */
export async function readHolding(
	db: Database,
	from: string,
	to: string,
	trial: Trial | null = null,
): Promise<Holding> {
	const { timeZone } = await readHouse(db);
	const first = laterDay(from, -FOLLOWED_DAYS);
	const begins = fromWallClock(first, "00:00", timeZone) ?? Number.NaN;
	const ends = (fromWallClock(to, "23:59", timeZone) ?? Number.NaN) + 60_000;
	const [stored, told, issues, cooks, places, codes, stamp] = await Promise.all([
		readSittings(db, begins, ends),
		readDayChanges(db, first, laterDay(to, REACH_DAYS)),
		newestIssues(db, first, to),
		readCooks(db),
		readStandingPlaces(db),
		readHouseCodes(db),
		newestEvent(db, { except: "sitting" }),
	]);
	const dateOf = ({ serviceAt }: Sitting) => wallClock(serviceAt, timeZone).date;
	const tried = triedSittings(stored, trial).filter((sitting) => {
		const date = dateOf(sitting);
		return !sitting.calledOff && sitting.dishes.length > 0 && date >= first && date <= to;
	});
	const dates = connected([...new Set(tried.map(dateOf))].sort(), from);
	const sittings = tried.filter((sitting) => dates.includes(dateOf(sitting)));
	const dishes = await withRecipes(
		db,
		sittings.flatMap((sitting) => sitting.dishes),
	);
	const byId = new Map(dishes.map((dish) => [dish.id, dish]));
	const kitchen = await readKitchen(
		db,
		dishes.map(({ recipe }) => recipe),
	);
	const toldOf = [...told, ...triedChanges(trial)];
	return {
		timeZone,
		kitchen,
		codes,
		cooks: cooks.map(({ id, name, opens_min, closes_min, does }) => ({
			id,
			name,
			does: doesNow(does),
			hours: { opens_min, closes_min },
		})),
		places,
		dates: dates.map((date) => ({
			date,
			sittings: sittings
				.filter((sitting) => dateOf(sitting) === date)
				.map((sitting) => ({
					sitting,
					dishes: sitting.dishes.flatMap((dish) => {
						const known = byId.get(dish.id);
						return known ? [known] : [];
					}),
				})),
			told: toldOf.filter((one) => one.date === date),
			tells: toldOf.filter((one) => one.date === date || goesOn(one, date)).sort((a, b) => a.at - b.at),
			issue: issues.get(date) ?? null,
		})),
		stamp: String(stamp),
	};
}

/** Whether what is told of another date, near it, is about things that this one shares with it. */
function goesOn({ date, change }: ToldChange, other: string): boolean {
	const near = date <= laterDay(other, REACH_DAYS) && date >= laterDay(other, -REACH_DAYS);
	return near && (change.kind === "away" || change.kind === "helped");
}

/** Dates in a row without a gap before the one that is asked for, and all from it on. */
function connected(dates: readonly string[], from: string): string[] {
	let first = dates.findIndex((date) => date >= from);
	if (first === -1) first = dates.length;
	while (first > 0) {
		const [before = "", next = from] = [dates[first - 1], dates[first]];
		if (laterDay(before, REACH_DAYS) < next) break;
		first -= 1;
	}
	return dates.slice(first);
}

function triedSittings(stored: readonly Sitting[], trial: Trial | null): Sitting[] {
	const { sitting, told } = trial ?? {};
	const others = sitting ? stored.filter(({ id }) => id !== sitting.id) : stored;
	const all = sitting ? [...others, sitting] : others;
	return all.map((one) => sittingWith(one, told?.changes ?? []));
}

/** Changes on trial, as they would be told now. */
function triedChanges(trial: Trial | null): ToldChange[] {
	const { told, now } = trial ?? {};
	if (!told || now === undefined) return [];
	return told.changes
		.filter((change) => !isOfSitting(change))
		.map((change) => ({ id: ON_TRIAL, date: told.date, change, at: now, who: "" }));
}
