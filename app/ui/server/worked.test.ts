import { describe, expect, it } from "vitest";
import { dayJson } from "#core/day";
import { wallClock } from "#core/time";
import { readKitchen, readSittings, tellDayChanges } from "#db";
import { brokenIn } from "../../../core/day/brokenIn.testing.ts";
import { openDemoHouse } from "./demoTables.testing.ts";
import { datesShown, refusedIn, workedDates } from "./worked.server.ts";

const NOW = Date.UTC(2026, 10, 28, 9);
const ZONE = "Atlantic/Faroe";

describe("the demo days", () => {
	it("break no law, one alone and all together", async () => {
		const store = await openDemoHouse(NOW);
		const { policy } = await readKitchen(store.db, []);
		const sittings = await readSittings(store.db, NOW, NOW + 15 * 86_400_000);
		const dates = sittings.map(({ serviceAt }) => wallClock(serviceAt, "Atlantic/Faroe").date).sort();
		const [first, last] = [dates[0] ?? "", dates.at(-1) ?? ""];
		for (const [from, to] of [
			[first, first],
			[first, last],
		] as const) {
			const { day, served } = await datesShown(store.db, from, to);
			const file = dayJson(day, from, to, policy);
			expect(brokenIn(file)).toEqual([]);
			expect(refusedIn(served)).toEqual([]);
			expect(file.tasks.length).toBeGreaterThan(10);
			expect(file.late_min).toBe(0);
		}
		await store.close();
	});

	it("are the same alone and among others, task for task", async () => {
		const store = await openDemoHouse(NOW);
		const [first, last] = ["2026-11-28", "2026-12-12"];
		const fortnight = await workedDates(store.db, first, last);
		expect(fortnight.length).toBeGreaterThan(2);
		for (const { date, day } of fortnight) {
			const [alone] = await workedDates(store.db, date, date);
			expect(alone?.day.tasks).toEqual(day.tasks);
		}
		const whole = await datesShown(store.db, first, last);
		for (const { date } of fortnight) {
			const { day } = await datesShown(store.db, date, date);
			for (const task of day.tasks) {
				const among = whole.day.tasks.find(({ id }) => id === task.id);
				if (among) expect(task).toEqual(among);
			}
		}
		await store.close();
	});

	it("have a page each where something is done, whether anything is served then or not", async () => {
		const store = await openDemoHouse(NOW);
		const served = await workedDates(store.db, "2026-11-28", "2026-12-12");
		const dates = new Set(served.map(({ date }) => date));
		const works = served.flatMap(({ day }) => day.tasks.filter(({ part }) => part !== "order"));
		const before = works.find(({ start }) => !dates.has(wallClock(start, ZONE).date));
		if (!before) throw new Error("the demo makes something ahead");
		const { date } = wallClock(before.start, ZONE);
		const shown = await datesShown(store.db, date, date);
		expect(shown.served).toEqual([]);
		expect(shown.slice.tasks.map(({ id }) => id)).toContain(before.id);
		await store.close();
	});

	it("send no pan into an oven that was told away, on whichever day it was told", async () => {
		const store = await openDemoHouse(NOW);
		const dates = await workedDates(store.db, "2026-11-28", "2026-12-12");
		const ahead = dates.find(({ date, day }) =>
			day.tasks.some(({ part, start }) => part === "oven" && wallClock(start, ZONE).date < date),
		);
		const braise = ahead?.day.tasks.find(
			({ part, start }) => part === "oven" && wallClock(start, ZONE).date < ahead.date,
		);
		const oven = braise?.uses.find(({ set_C }) => set_C !== undefined)?.equipment;
		if (!ahead || !braise || !oven) throw new Error("the demo braises something the day before");
		const [from, to] = [braise.start - 3_600_000, braise.end + 3_600_000];
		// Told on the day on which it is down, which is not the day of its service.
		const { date } = wallClock(braise.start, ZONE);
		await tellDayChanges(store, "Ada", date, [{ kind: "away", equipment: oven, from, to }]);
		const [told] = await workedDates(store.db, ahead.date, ahead.date);
		const inside = (told?.day.tasks ?? []).filter(({ uses }) =>
			uses.some((use) => use.equipment === oven && use.from < to && use.to > from),
		);
		expect(inside).toEqual([]);
		for (const row of told?.sittings.flatMap(({ rows }) => rows) ?? []) {
			const group = row.plan?.braise?.groups.find(({ id }) => id === braise.figures.group);
			if (group && row.dish.id === braise.for) expect(group.oven?.id).not.toBe(oven);
		}
		await store.close();
	});

	it("are on trial what they are once it is told", async () => {
		const store = await openDemoHouse(NOW);
		const [first] = await workedDates(store.db, "2026-11-28", "2026-12-12");
		const oven = first?.day.equipment.find(({ kind }) => kind === "oven");
		const braise = first?.day.tasks.find(({ part }) => part === "oven");
		if (!first || !oven || !braise) throw new Error("the demo has ovens");
		const changes = [
			{ kind: "away" as const, equipment: oven.id, from: braise.start, to: braise.start + 2 * 3_600_000 },
		];
		const trial = { now: Date.now(), told: { date: first.date, changes } };
		const [tried] = await workedDates(store.db, first.date, first.date, trial);
		await tellDayChanges(store, "Ada", first.date, changes);
		const [told] = await workedDates(store.db, first.date, first.date);
		expect(told?.day.tasks).toEqual(tried?.day.tasks);
		expect(told?.day.tasks).not.toEqual(first.day.tasks);
		await store.close();
	});
});
