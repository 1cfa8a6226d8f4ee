import ICAL from "ical.js";
import { describe, expect, it } from "vitest";
import { KITCHEN } from "../dish/dish.testing.ts";
import { givenDay, sitting } from "./days.testing.ts";
import { calendarEvents, dayIcs, dayJson, givenAnew, placeDay } from "./index.ts";

const STAMP = Date.UTC(2026, 10, 27, 9);
const day = placeDay(givenDay([sitting("hall", [{ id: "a" }])]), { seed: 1, steps: 10_000 });
const file = dayJson(day, "2026-11-28", "2026-11-28", KITCHEN.policy);

describe("the day as a calendar", () => {
	const given = givenAnew(calendarEvents(file), []);
	const calendarOf = (some: typeof given, zone = "Pacific/Auckland") => {
		const text = dayIcs(some, { name: "Hall, supper; “goat”", zone, stamp: STAMP });
		const component = new ICAL.Component(ICAL.parse(text));
		const events = component.getAllSubcomponents("vevent").map((event) => new ICAL.Event(event));
		return { text, component, events };
	};
	const { events, text, component } = calendarOf(given);

	it("is read by another program: every task once, at its own instants", () => {
		expect(events.map(({ uid }) => uid).sort()).toEqual(
			file.tasks.map(({ id }) => `${id}@wide-table`).sort(),
		);
		for (const task of file.tasks) {
			const event = events.find(({ uid }) => uid === `${task.id}@wide-table`);
			expect(event?.summary).toBe(task.name);
			expect(event?.startDate.toJSDate().getTime()).toBe(Date.parse(task.start));
			expect(event?.endDate.toJSDate().getTime()).toBe(Date.parse(task.end));
		}
	});

	it("says what a task has in hand", () => {
		const braise = events.find(({ uid }) => uid.includes("/braise/"));
		expect(braise?.description).toMatch(/North|South/);
		expect(braise?.description).toMatch(/at \d+ °C/);
	});

	it("names the house's zone, and stamps in UTC", () => {
		const zone = component.getFirstSubcomponent("vtimezone");
		expect(zone?.getFirstPropertyValue("tzid")).toBe("Pacific/Auckland");
		expect(text).toMatch(/DTSTART;TZID=Pacific\/Auckland:/);
		expect(text).toMatch(/DTSTAMP:20261127T090000Z/);
	});

	it("of a day without tasks is a calendar still", () => {
		const empty = calendarOf([]);
		expect(empty.events).toEqual([]);
		expect(empty.component.getFirstSubcomponent("vtimezone")).not.toBeNull();
	});

	it("counts what is changed, cancels what is gone, and leaves the rest", () => {
		const [first, second, ...rest] = calendarEvents(file);
		if (!first || !second) throw new Error("there are tasks");
		expect(givenAnew(calendarEvents(file), given)).toEqual(given);
		const moved = { ...first, start: first.start + 60_000 };
		const anew = givenAnew([moved, ...rest], given);
		const told = (all: typeof given, uid: string) => all.find((event) => event.uid === uid);
		expect(told(anew, first.uid)).toMatchObject({ sequence: 1, isGone: false, start: moved.start });
		expect(told(anew, second.uid)).toMatchObject({ sequence: 1, isGone: true });
		expect(anew.filter(({ sequence }) => sequence === 0)).toHaveLength(rest.length);
		const gone = calendarOf(anew).events.find(({ uid }) => uid === second.uid);
		expect(gone?.component.getFirstPropertyValue("status")).toBe("CANCELLED");
		expect(gone?.sequence).toBe(1);
		expect(givenAnew([moved, ...rest], anew)).toEqual(anew);
		const back = givenAnew(calendarEvents(file), anew);
		expect(told(back, second.uid)).toMatchObject({ sequence: 2, isGone: false });
		expect(told(back, first.uid)).toMatchObject({ sequence: 2, isGone: false });
	});
});
