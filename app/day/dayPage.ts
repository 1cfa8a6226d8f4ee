import { calendarEvents, dayCsv, dayIcs, dayJson, liftablesOf } from "#core/day";
import { fromWallClock, onDay, wallClock } from "#core/time";
import { giveOut, issueDay, readKitchen, readSittings, tellDayChanges } from "#db";
import type { HouseVisit } from "../ui/server/visit.ts";
import { datesShown, refusedIn, workedDates } from "../ui/server/worked.server.ts";
import { writtenDate } from "../ui/server/writtenDate.ts";
import { betterOrder } from "./betterOrder.server.ts";
import { dayView, shownOf, tagsShown } from "./day.view.ts";
import { issuedDay } from "./issued.ts";
import { markAnswer } from "./markShown.ts";
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
	const { day, all } = await datesShown(store.db, date, date);
	const { policy } = all[0]?.given().kitchen ?? (await readKitchen(store.db, []));
	const file = dayJson(day, date, date, policy);
	if (name === "day.csv") return dayCsv(file);
	if (name === "day.ics") {
		const given = await giveOut(store, date, calendarEvents(file));
		return dayIcs(given, { name: `${house.name}, ${date}`, zone: house.timeZone, stamp: reading.now });
	}
	return JSON.stringify(file, null, 2);
}

/** How far ahead the next day with a sitting is looked for. */
const LOOKS_AHEAD_DAYS = 60;

/**
 * One day of the kitchen: all that goes on in it, of the sittings that are served then and of those
 * that are only prepared.
 *
 * @returns null where it is no day
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
	const asked = new URLSearchParams(search);
	const trial = readTrialChanges(asked.getAll("change"));
	const tried =
		trial.changes.length > 0 ? { now: reading.now, told: { date, changes: trial.changes } } : null;
	const [shown, stands] = await Promise.all([
		datesShown(store.db, date, date, tried),
		tried ? datesShown(store.db, date, date) : null,
	]);
	if (shown.slice.tasks.length === 0) {
		return { date, title: reading.day(begins), ...links, view: null, replan: null, mark: null, refused: [] };
	}
	const [own] = shown.served;
	const view = dayView({
		...shownOf(shown),
		reading,
		date,
		liftables: own ? [...liftablesOf(own.day, own.given()).values()] : [],
		// On trial a dish keeps the letter that it has.
		tags: tagsShown(stands ?? shown),
	});
	const told = readTold(asked, date, house.timeZone);
	const replan = replanView({ shown, stands, reading, date, trial, told });
	const mark = markAnswer(asked.get("mark") ?? "", stands ?? shown);
	return { date, title: reading.day(begins), ...links, view, replan, mark, refused: refusedIn(shown.served) };
}

/**
 * Freezes the day under the next number. One that goes without something is placed in several orders
 * first, and the order that goes without least is told of it.
 *
 * @returns null where nothing is served on it
 */
export async function issueTheDay({ store, who }: HouseVisit, { date }: { date: string }) {
	const [stands] = await workedDates(store.db, date, date);
	const better = stands && (await betterOrder(store.db, stands, Date.now()));
	if (better) await tellDayChanges(store, who, date, [{ kind: "order", order: better.order }]);
	const [own] = await workedDates(store.db, date, date);
	return own ? issueDay(store, who, date, issuedDay(own, Date.now()), writtenDate(own)) : null;
}
