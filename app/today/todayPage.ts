import { onDay, wallClock } from "#core/time";
import { readSittings } from "#db";
import { lotsHeld } from "../ui/server/lotsHeld.ts";
import { storeDates } from "../ui/server/storedDates.server.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { workedDates } from "../ui/server/worked.server.ts";
import { DAYS_AHEAD, todayView } from "./today.view.ts";

/** Dishes that the first page plans, the soonest sittings first; what is further off is only counted. */
export const MOST_DISHES = 60;

/** What comes in the next days, planned. */
export async function todayPage({ store, reading, house }: HouseVisit) {
	const start = onDay(reading.now, house.timeZone, 0);
	const end = onDay(reading.now, house.timeZone, 0, DAYS_AHEAD);
	const [sittings, held] = await Promise.all([
		readSittings(store.db, start, end),
		lotsHeld(store.db, reading, house.allergenList),
	]);
	const coming = sittings.filter(({ calledOff }) => !calledOff);
	let dishes = 0;
	const tooMany = coming.findIndex((sitting, index) => {
		dishes += Math.max(1, sitting.dishes.length);
		return index > 0 && dishes > MOST_DISHES;
	});
	const soonest = tooMany === -1 ? coming : coming.slice(0, tooMany);
	const last = soonest.at(-1);
	const dateOf = (at: number) => wallClock(at, house.timeZone).date;
	const dates = last ? await workedDates(store.db, dateOf(start), dateOf(last.serviceAt)) : [];
	await storeDates(store, dates);
	const worked = new Map(dates.flatMap(({ sittings }) => sittings.map((one) => [one.sitting.id, one])));
	const shown = soonest.map((sitting) => ({ sitting, worked: worked.get(sitting.id) ?? null }));
	const days = dates.map(({ day }) => day);
	return { ...todayView(shown, days, reading), more: coming.length - soonest.length, held };
}
