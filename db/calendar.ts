import { eq } from "drizzle-orm";
import isEqual from "fast-deep-equal";
import { type CalendarEvent, type GivenEvent, givenAnew } from "#core/day";
import type { Reader, Store } from "./Store.ts";
import { calendarEvent } from "./schema.ts";

/** Gives the events of a day out, and remembers what was given. @returns them, with those that are gone */
export async function giveOut(
	store: Store,
	date: string,
	events: readonly CalendarEvent[],
): Promise<GivenEvent[]> {
	const before = await readGiven(store.db, date);
	// Most of the time nothing has changed, and nothing is written.
	const now = givenAnew(events, before);
	if (now.every((event) => before.some((other) => isEqual(other, event)))) return now;
	return store.write(async (tx) => {
		const was = await readGiven(tx, date);
		const given = givenAnew(events, was);
		const changed = given.filter((event) => !was.some((other) => isEqual(other, event)));
		for (const doc of changed)
			await tx
				.insert(calendarEvent)
				.values({ uid: doc.uid, date, doc })
				.onConflictDoUpdate({ target: [calendarEvent.date, calendarEvent.uid], set: { doc } });
		return given;
	});
}

async function readGiven(db: Reader, date: string): Promise<GivenEvent[]> {
	const rows = await db.select().from(calendarEvent).where(eq(calendarEvent.date, date));
	return rows.map(({ doc }) => doc);
}
