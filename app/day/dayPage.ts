import { SHIPPED_BELIEFS } from "#core/beliefs";
import { dayCsv, dayIcs, dayJson, liftablesOf } from "#core/day";
import { fromWallClock, onDay, wallClock } from "#core/time";
import { issueDay, readSittings } from "#db";
import { placedDay } from "../ui/server/placedDay.server.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { dayView, tagsOf } from "./day.view.ts";
import { issuedDay, issuedTags } from "./issued.ts";
import { replanView } from "./replan.view.ts";
import { readTold, readTrialChanges } from "./tell.ts";

/**
 * The day as a file, "day.json", "day.csv" or "day.ics".
 *
 * @returns null where it is no day
 */
export async function dayFile(
	{ store, house, reading }: HouseVisit,
	{ date, file: name }: { date: string; file: string },
) {
	if (fromWallClock(date, "12:00", house.timeZone) === undefined) return null;
	const { day } = await placedDay(store.db, date, date);
	const file = dayJson(day, date, date, house.timeZone);
	if (name === "day.csv") return dayCsv(file);
	if (name === "day.ics") return dayIcs(file, `${house.name}, ${date}`, reading.now);
	return JSON.stringify(file, null, 2);
}

/** How far ahead the next day with a sitting is looked for. */
const LOOKS_AHEAD_DAYS = 60;

/**
 * One day of the kitchen: all its sittings placed over everything it has.
 *
 * @returns null where nothing is served on it
 */
export async function dayPage(
	{ store, reading, house }: HouseVisit,
	{ date, search }: { date: string; search: string },
) {
	const begins = fromWallClock(date, "12:00", house.timeZone);
	if (begins === undefined) return null;
	const around = await readSittings(
		store.db,
		onDay(begins, house.timeZone, 0, -LOOKS_AHEAD_DAYS),
		onDay(begins, house.timeZone, 0, LOOKS_AHEAD_DAYS),
	);
	const served = around.filter(({ calledOff, dishes }) => !calledOff && dishes.length > 0);
	const dates = [...new Set(served.map(({ serviceAt }) => wallClock(serviceAt, house.timeZone).date))].sort();
	const linked = (to: string | undefined) =>
		to === undefined
			? null
			: { to: `/day/${to}`, words: reading.day(fromWallClock(to, "12:00", house.timeZone) ?? 0) };
	const links = {
		before: linked(dates.findLast((other) => other < date)),
		after: linked(dates.find((other) => other > date)),
	};
	if (!dates.includes(date)) {
		return { date, title: reading.day(begins), ...links, view: null, replan: null, refused: [] };
	}
	const asked = new URLSearchParams(search);
	const trial = readTrialChanges(asked.getAll("change"));
	const placed = await placedDay(store.db, date, date, {
		trial: { changes: trial.changes, now: reading.now },
	});
	const { day, given, refused } = placed;
	const view = dayView({
		day,
		kitchen: given.kitchen,
		sittings: given.sittings,
		reading,
		date,
		liftables: [...liftablesOf(day, given, SHIPPED_BELIEFS).values()],
		// On trial a dish keeps the letter that it has.
		tags: tagsOf((placed.stands ?? day).tasks, issuedTags(placed)),
	});
	const told = readTold(asked, date, house.timeZone);
	const replan = replanView({ placed, reading, date, trial, told });
	return { date, title: view.title, ...links, view, replan, refused };
}

/** Freezes the day under the next number. @returns null where nothing is served on it */
export async function issueTheDay({ store, who }: HouseVisit, { date }: { date: string }) {
	const placed = await placedDay(store.db, date, date);
	if (placed.day.tasks.length === 0) return null;
	return issueDay(store, who, date, issuedDay(placed));
}
