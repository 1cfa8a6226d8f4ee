import ICAL from "ical.js";
import { describe, expect, it } from "vitest";
import { KITCHEN } from "../dish/dish.testing.ts";
import { givenDay, sitting } from "./days.testing.ts";
import { dayIcs, dayJson, placeDay } from "./index.ts";

const STAMP = Date.UTC(2026, 10, 27, 9);
const day = placeDay(givenDay([sitting("hall", [{ id: "a" }])]), { seed: 1, steps: 10_000 });
const file = dayJson(day, "2026-11-28", "2026-11-28", KITCHEN.policy);

describe("the day as a calendar", () => {
	const calendar = new ICAL.Component(ICAL.parse(dayIcs(file, "Hall, supper; “goat”", STAMP)));
	const events = calendar.getAllSubcomponents("vevent").map((event) => new ICAL.Event(event));

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
});
