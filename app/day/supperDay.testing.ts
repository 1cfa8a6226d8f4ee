import { liftablesOf } from "#core/day";
import { wallClock } from "#core/time";
import { readSittings, type Store } from "#db";
import { openDemoHouse } from "../ui/server/demoTables.testing.ts";
import { type DatesShown, datesShown, type WorkedDate } from "../ui/server/worked.server.ts";
import { type Reading, readingIn } from "../ui/words/reading.ts";
import { type DayView, dayView, shownOf, tagsShown } from "./day.view.ts";

export const NOW = Date.UTC(2026, 10, 28, 9);
const ZONE = "Atlantic/Faroe";

export interface SupperDay {
	readonly store: Store;
	readonly date: string;
	readonly own: WorkedDate;
	readonly shown: DatesShown;
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
	const shown = await datesShown(store.db, date, date);
	const [own] = shown.served;
	if (!own) throw new Error("no day of the supper");
	const reading = readingIn(units, ZONE, NOW);
	const liftables = [...liftablesOf(own.day, own.given()).values()];
	const view = dayView({ ...shownOf(shown), reading, date, liftables, tags: tagsShown(shown) });
	return { store, date, own, shown, reading, view };
}
