import { SHIPPED_BELIEFS } from "#core/beliefs";
import { liftablesOf } from "#core/day";
import { wallClock } from "#core/time";
import { readSittings, type Store } from "#db";
import { openDemoHouse } from "../ui/server/demoTables.testing.ts";
import { type PlacedDay, placedDay } from "../ui/server/placedDay.server.ts";
import { type Reading, readingIn } from "../ui/words/reading.ts";
import { type DayView, dayView } from "./day.view.ts";

export const NOW = Date.UTC(2026, 10, 28, 9);
const ZONE = "Atlantic/Faroe";

export interface SupperDay {
	readonly store: Store;
	readonly date: string;
	readonly placed: PlacedDay;
	readonly reading: Reading;
	readonly view: DayView;
}

/** The day of the demo's festival supper, placed and shown. */
export async function supperView(units: "metric" | "us" = "metric"): Promise<SupperDay> {
	const store = await openDemoHouse(NOW);
	const sittings = await readSittings(store.db, NOW, NOW + 15 * 86_400_000);
	const supper = sittings.find(({ name }) => name === "Festival supper");
	if (!supper) throw new Error("no festival supper");
	const { date } = wallClock(supper.serviceAt, ZONE);
	const placed = await placedDay(store.db, date, date);
	const { day, given } = placed;
	const reading = readingIn(units, ZONE, NOW);
	const liftables = [...liftablesOf(day, given, SHIPPED_BELIEFS).values()];
	const view = dayView({
		day,
		kitchen: given.kitchen,
		sittings: given.sittings,
		reading,
		date,
		liftables,
	});
	return { store, date, placed, reading, view };
}
