import type { Day } from "#core/day";
import { onDay, wallClock } from "#core/time";
import { type Database, readSittings, type Sitting } from "#db";
import { placedDay } from "../ui/server/placedDay.server.ts";
import { plannedSittings } from "../ui/server/planned.server.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { DAYS_AHEAD, todayView } from "./today.view.ts";

/** Dishes that the first page plans, the soonest sittings first; what is further off is only counted. */
export const MOST_DISHES = 60;

/** What comes in the next days, planned. */
export async function todayPage({ store, reading, house }: HouseVisit) {
	const start = onDay(reading.now, house.timeZone, 0);
	const end = onDay(reading.now, house.timeZone, 0, DAYS_AHEAD);
	const coming = (await readSittings(store.db, start, end)).filter(({ calledOff }) => !calledOff);
	let dishes = 0;
	const tooMany = coming.findIndex((sitting, index) => {
		dishes += Math.max(1, sitting.dishes.length);
		return index > 0 && dishes > MOST_DISHES;
	});
	const soonest = tooMany === -1 ? coming : coming.slice(0, tooMany);
	const { kitchen, planned } = await plannedSittings(store.db, soonest);
	const days = await daysOf(store.db, soonest, house.timeZone);
	return { ...todayView(planned, kitchen, reading, days), more: coming.length - soonest.length };
}

/** Days that are placed over the whole kitchen; later ones stand by the clock of each dish alone. */
const DAYS_PLACED = 2;

async function daysOf(db: Database, sittings: readonly Sitting[], timeZone: string): Promise<Day[]> {
	const served = sittings.filter(({ dishes }) => dishes.length > 0);
	const dates = [...new Set(served.map(({ serviceAt }) => wallClock(serviceAt, timeZone).date))];
	const placed = await Promise.all(dates.slice(0, DAYS_PLACED).map((date) => placedDay(db, date, date)));
	return placed.map(({ day }) => day);
}
