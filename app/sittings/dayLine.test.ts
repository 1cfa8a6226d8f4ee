import { beforeAll, describe, expect, it } from "vitest";
import { wallClock } from "#core/time";
import { type DemoTables, demoTables } from "../ui/server/demoTables.testing.ts";
import { readingIn } from "../ui/words/reading.ts";
import { dayLineView } from "./dayLine.view.ts";

const ZONE = "Atlantic/Faroe";
const NOW = Date.UTC(2026, 10, 24, 9, 0);
const READING = readingIn("metric", ZONE, NOW);

let demo: DemoTables;
beforeAll(async () => {
	demo = await demoTables(NOW);
});

/** Each demo sitting with its dishes. */
function sittings() {
	const byId = new Map(demo.tables.map(({ sitting }) => [sitting.id, sitting]));
	return [...byId.values()].map((sitting) => ({
		sitting,
		rows: demo.tables.filter((table) => table.sitting.id === sitting.id).map(({ row }) => row),
	}));
}

describe("the line of a sitting's day", () => {
	it("has a lane for each planned dish and leads to service", () => {
		expect(sittings().length).toBeGreaterThan(2);
		for (const { sitting, rows } of sittings()) {
			const view = dayLineView(rows, sitting.serviceAt, READING);
			expect(view?.lanes.map(({ id }) => id)).toEqual(
				rows.filter(({ plan }) => plan).map(({ dish }) => dish.id),
			);
			expect(view?.service).toBe(wallClock(sitting.serviceAt, ZONE).time);
			expect(view?.to).toBeGreaterThanOrEqual(sitting.serviceAt);
		}
	});

	it("shows the work of its own day only, and says what was begun before", () => {
		for (const { sitting, rows } of sittings()) {
			const view = dayLineView(rows, sitting.serviceAt, READING);
			const day = wallClock(sitting.serviceAt, ZONE).date;
			for (const { id, bars, earlier } of view?.lanes ?? []) {
				for (const bar of bars) expect(wallClock(bar.to, ZONE).date).toBe(day);
				const tasks = rows.find(({ dish }) => dish.id === id)?.plan?.tasks ?? [];
				const before = tasks.some(
					({ place, end }) => place !== "buy" && place !== "make" && wallClock(end, ZONE).date < day,
				);
				expect(earlier !== "").toBe(before);
			}
		}
	});

	it("says work at one place that goes on as one bar", () => {
		for (const { sitting, rows } of sittings()) {
			for (const { bars } of dayLineView(rows, sitting.serviceAt, READING)?.lanes ?? []) {
				for (const [index, bar] of bars.entries()) {
					const again = bars.slice(index + 1).find(({ words }) => words === bar.words);
					if (again) expect(again.from).toBeGreaterThan(bar.to);
				}
			}
		}
	});

	it("is not there where nothing is planned", () => {
		expect(dayLineView([], NOW, READING)).toBeNull();
	});
});
