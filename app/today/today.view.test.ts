import { beforeAll, describe, expect, it } from "vitest";
import { type Day, type DayEquipment, type DayTask, EMPTY_DAY } from "#core/day";
import { type DemoTables, demoTables } from "../ui/server/demoTables.testing.ts";
import { readingIn } from "../ui/words/reading.ts";
import { type ComingSitting, todayView } from "./today.view.ts";

const ZONE = "Atlantic/Faroe";
const NOW = Date.UTC(2026, 10, 24, 9, 0);
const HOUR_MS = 3_600_000;

let demo: DemoTables;
let coming: ComingSitting[];

beforeAll(async () => {
	demo = await demoTables(NOW);
	const sittings = [...new Set(demo.tables.map(({ sitting }) => sitting))];
	coming = sittings.map((sitting) => ({
		sitting,
		rows: demo.tables.filter((table) => table.sitting === sitting).map(({ row }) => row),
		batches: demo.batches.get(sitting.id) ?? [],
	}));
});

const A_TASK: DayTask = {
	id: "",
	for: "dish",
	forName: "Dish",
	sitting: "sitting",
	place: "braise",
	part: "oven",
	figures: {},
	start: 0,
	end: 0,
	due: null,
	fixed: false,
	inOven: [],
	uses: [],
	after: [],
};
const viewAt = (now: number) => todayView(coming, demo.kitchen, readingIn("metric", ZONE, now));
type Moments = ReturnType<typeof todayView>["days"][number]["moments"];
const tasksIn = ({ moments }: { readonly moments: Moments }) => moments.flatMap(({ tasks }) => tasks);

describe("today", () => {
	it("puts the next thing to start first, and nothing that is past", () => {
		const { next, days } = viewAt(NOW);
		const ahead = days.flatMap(tasksIn);
		expect(next?.id).toBe(ahead[0]?.id);
		for (const { at } of ahead) expect(at).toBeGreaterThanOrEqual(NOW);
		expect(ahead.map(({ at }) => at)).toEqual(ahead.map(({ at }) => at).sort((a, b) => a - b));
	});

	it("keeps every task exactly once, as the hours pass: ahead, begun today, or gone with its day", () => {
		const all = viewAt(NOW - 10 * 24 * HOUR_MS)
			.days.flatMap(tasksIn)
			.map(({ id }) => id);
		expect(new Set(all).size).toBe(all.length);
		for (let hour = 0; hour < 120; hour += 7) {
			const { days, begun } = viewAt(NOW + hour * HOUR_MS);
			const shown = [...days, ...(begun ? [begun] : [])].flatMap(tasksIn).map(({ id }) => id);
			expect(new Set(shown).size).toBe(shown.length);
			for (const id of shown) expect(all).toContain(id);
		}
	});

	it("lists what should have started this morning apart", () => {
		const first = viewAt(NOW).days[1]?.moments[0]?.tasks[0];
		const { begun } = viewAt((first?.at ?? 0) + 60_000);
		expect(begun && tasksIn(begun).map(({ id }) => id)).toContain(first?.id);
	});

	it.each([
		[-20, "in 20 min", true],
		[-3 * 60, "in 3 h", false],
		[-3 * 24 * 60, "in 3 days", false],
	])("counts down to it: %i minutes before", (minutes, words, isSoon) => {
		const first = viewAt(NOW).days[0]?.moments[0]?.tasks[0];
		const { next } = viewAt((first?.at ?? 0) + minutes * 60_000);
		expect(next?.label).toMatch(new RegExp(`ext to start, ${words}$`));
		expect(next?.isSoon).toBe(isSoon);
	});

	it("says so when there is nothing today, and names each time once", () => {
		const days = viewAt(NOW).days;
		const first = days[0]?.moments[0]?.tasks[0];
		expect(viewAt((first?.at ?? 0) - 3 * 24 * HOUR_MS).next?.label).toMatch(/^Nothing today\. /);
		for (const { moments } of days) {
			const times = moments.map(({ time }) => time);
			expect(new Set(times).size).toBe(times.length);
		}
	});

	it("counts a dish without a plan as a warning of its sitting", () => {
		const [next] = coming;
		if (!next) throw new Error("no sitting");
		const before = todayView([next], demo.kitchen, readingIn("metric", ZONE, NOW)).sittings[0]?.warnings ?? 0;
		const rows = next.rows.map(({ dish }, index) =>
			index === 0 ? { dish, refused: "no pan" } : next.rows[index],
		);
		const after = todayView(
			[{ ...next, rows: rows.filter((row) => row !== undefined) }],
			demo.kitchen,
			readingIn("metric", ZONE, NOW),
		);
		const lost = next.rows[0]?.plan?.warnings.length ?? 0;
		expect(after.sittings[0]?.warnings).toBe(before - lost + 1);
	});

	it("is quiet when nothing is planned", () => {
		expect(todayView([], demo.kitchen, readingIn("metric", ZONE, NOW))).toMatchObject({
			next: null,
			days: [],
			begun: null,
		});
	});
});

describe("the day over the whole kitchen", () => {
	/** The soonest sitting with one of its tasks put later, and something in an oven then. */
	function placed() {
		const serviceAt = coming[0]?.sitting.serviceAt ?? 0;
		const alone = viewAt(serviceAt - 20 * 3_600_000);
		const first = alone.days[0] && tasksIn(alone.days[0]).find(({ isOrder }) => !isOrder);
		const later = (first?.at ?? 0) + 25 * 60_000;
		const standing = { from: later - 3_600_000, to: later + 3_600_000 };
		const day: Day = {
			...EMPTY_DAY,
			equipment: [
				{ id: "north", kind: "oven", name: "North oven", capacity: 10, unit: "rung", windows: [] },
			] satisfies DayEquipment[],
			tasks: [
				{ ...A_TASK, id: first?.dayId ?? "", start: later, end: later + 600_000 },
				{
					...A_TASK,
					id: "in",
					forName: "Goat shoulder",
					uses: [{ equipment: "north", amount: 3, set_C: 150, ...standing }],
				},
			],
		};
		const at = (now: number) => todayView(coming, demo.kitchen, readingIn("metric", ZONE, now), [day]);
		return { serviceAt, first, later, at };
	}

	it("gives its clocks to the list", () => {
		const { at, serviceAt, first, later } = placed();
		const task = at(serviceAt - 20 * 3_600_000)
			.days.flatMap(tasksIn)
			.find(({ id }) => id === first?.id);
		expect(task?.at).toBe(later);
	});

	it("says what is in which oven and until when, and only while it is", () => {
		const { at, later } = placed();
		expect(at(later).inOvens.map(({ words }) => words)).toEqual([
			"Goat shoulder in the North oven at 150 °C",
		]);
		expect(at(later + 3_600_000).inOvens).toEqual([]);
	});

	it("says an order whose time has passed, until the sitting is served", () => {
		const { at, serviceAt } = placed();
		const orders = at(serviceAt - 60_000).passed;
		expect(orders.length).toBeGreaterThan(0);
		expect(orders[0]?.words).toMatch(/^The order for .* should have gone out/);
		const { passed } = at(serviceAt + 60_000);
		expect(passed.map(({ id }) => id)).not.toContain(orders[0]?.id);
	});
});
