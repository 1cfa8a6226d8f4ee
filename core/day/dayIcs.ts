import { TZDate } from "@date-fns/tz";
import ical, { ICalEventStatus } from "ical-generator";
import { tzlib_get_ical_block } from "timezones-ical-library";
import type { DayFile } from "./dayJson.ts";

/** A task as other calendars have it. */
export interface CalendarEvent {
	/** The same however often the day is planned again. */
	readonly uid: string;
	/** Instants, ms since 1970 UTC. */
	readonly start: number;
	readonly end: number;
	readonly summary: string;
	/** What it has in hand; empty where it has nothing. */
	readonly hands: string;
}

/** The same as it is given out: how often it was changed since it first was, and whether it is gone. */
export interface GivenEvent extends CalendarEvent {
	readonly sequence: number;
	readonly isGone: boolean;
}

/** The tasks of a day as other calendars have them. */
export function calendarEvents({ tasks, equipment }: DayFile): CalendarEvent[] {
	const names = new Map(equipment.map(({ id, name: called }) => [id, called]));
	return tasks.map(({ id, name: summary, start, end, uses }) => ({
		uid: `${id}@wide-table`,
		start: Date.parse(start),
		end: Date.parse(end),
		summary,
		hands: uses
			.map(({ equipment: used, amount, set_C }) => {
				const thing = names.get(used) ?? used;
				if (set_C !== undefined) return `${thing} at ${set_C} °C`;
				return amount === 1 ? thing : `${amount} × ${thing}`;
			})
			.join(", "),
	}));
}

/**
 * Events against those that were given out before: what is another has the next number, and what is
 * gone is cancelled under one.
 *
 * @param before all that was ever given out of that day
 */
export function givenAnew(now: readonly CalendarEvent[], before: readonly GivenEvent[]): GivenEvent[] {
	const byUid = new Map(before.map((event) => [event.uid, event]));
	const there = new Set(now.map(({ uid }) => uid));
	const given = now.map((event): GivenEvent => {
		const was = byUid.get(event.uid);
		if (!was) return { ...event, sequence: 0, isGone: false };
		const isSame = !was.isGone && saidOf(was) === saidOf(event);
		return { ...event, sequence: was.sequence + (isSame ? 0 : 1), isGone: false };
	});
	const gone = before
		.filter(({ uid }) => !there.has(uid))
		.map((event) => (event.isGone ? event : { ...event, sequence: event.sequence + 1, isGone: true }));
	return [...given, ...gone];
}

function saidOf({ start, end, summary, hands }: CalendarEvent): string {
	return JSON.stringify([start, end, summary, hands]);
}

/**
 * Events of a day as iCalendar, in the house's zone.
 *
 * @param name  of the calendar
 * @param zone  IANA name
 * @param stamp when it was made, ms since 1970 UTC
 * @see RFC 5545
 */
export function dayIcs(
	events: readonly GivenEvent[],
	{ name, zone, stamp }: { readonly name: string; readonly zone: string; readonly stamp: number },
): string {
	const calendar = ical({
		name,
		prodId: { company: "Wide Table", product: "The day" },
		// The zone of the calendar itself would put its stamps into it, which are UTC; a day without events names it.
		timezone: { name: events.length === 0 ? zone : null, generator: zoneBlock },
	});
	for (const { uid, start, end, summary, hands, sequence, isGone } of events) {
		calendar.createEvent({
			...{ id: uid, sequence, summary, timezone: zone, stamp: new Date(stamp) },
			start: new TZDate(start, zone),
			// What is done in a moment has no end.
			...(end === start ? {} : { end: new TZDate(end, zone) }),
			...(hands === "" ? {} : { description: hands }),
			...(isGone ? { status: ICalEventStatus.CANCELLED } : {}),
		});
	}
	return calendar.toString();
}

/** A zone as calendars describe it; null where nobody knows it, and it goes by its name. */
function zoneBlock(zone: string): string | null {
	const [block] = tzlib_get_ical_block(zone);
	return typeof block === "string" && block !== "" ? block : null;
}
