import ical from "ical-generator";
import type { DayFile } from "./dayJson.ts";

/**
 * The tasks of a day as iCalendar, UTC: an event each with what it has in hand, under an id that
 * stays the same when the day is planned again.
 *
 * @param name  of the calendar
 * @param stamp when it was made, ms since 1970 UTC
 * @see RFC 5545
 */
export function dayIcs({ tasks, equipment }: DayFile, name: string, stamp: number): string {
	const names = new Map(equipment.map(({ id, name: called }) => [id, called]));
	const calendar = ical({ name, prodId: { company: "Wide Table", product: "The day" } });
	for (const { id, name: summary, start, end, uses } of tasks) {
		const hands = uses.map(({ equipment: used, amount, set_C }) => {
			const thing = names.get(used) ?? used;
			if (set_C !== undefined) return `${thing} at ${set_C} °C`;
			return amount === 1 ? thing : `${amount} × ${thing}`;
		});
		calendar.createEvent({
			id: `${id}@wide-table`,
			stamp: new Date(stamp),
			start: new Date(start),
			// What is done in a moment has no end.
			...(end === start ? {} : { end: new Date(end) }),
			summary,
			...(hands.length > 0 ? { description: hands.join(", ") } : {}),
		});
	}
	return calendar.toString();
}
