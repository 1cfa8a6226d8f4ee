import { onDay } from "#core/time";
import { readSittings } from "#db";
import { plannedSittings } from "../ui/server/planned.server.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { DAYS_AHEAD, todayView } from "./today.view.ts";

/** What comes in the next days, planned. */
export async function todayPage({ store, reading, house }: HouseVisit) {
	const start = onDay(reading.now, house.timeZone, 0);
	const end = onDay(reading.now, house.timeZone, 0, DAYS_AHEAD);
	const sittings = await readSittings(store.db, start, end);
	const { kitchen, planned } = await plannedSittings(
		store.db,
		sittings.filter(({ calledOff }) => !calledOff),
	);
	return todayView(planned, kitchen, reading);
}
