import { beforeAll, describe, expect, it } from "vitest";
import { type Day, type DayEquipment, type DayTask, EMPTY_DAY } from "#core/day";
import { HOUR_MS } from "#core/time";
import { type DemoTables, demoTables } from "../ui/server/demoTables.testing.ts";
import { readingIn } from "../ui/words/reading.ts";
import { type ComingSitting, todayView } from "./today.view.ts";

const ZONE = "Atlantic/Faroe";
const NOW = Date.UTC(2026, 10, 24, 9, 0);

let demo: DemoTables;
let coming: ComingSitting[];

beforeAll(async () => {
	demo = await demoTables(NOW);
	coming = demo.dates.flatMap(({ sittings }) =>
		sittings.map((worked) => ({ sitting: worked.sitting, worked })),
	);
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
const daysOf = () => demo.dates.map(({ day }) => day);
const viewAt = (now: number) => todayView(coming, daysOf(), readingIn("metric", ZONE, now));
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
		const first = viewAt(NOW - 20 * 24 * HOUR_MS).days[0]?.moments[0]?.tasks[0];
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
		const { worked } = next;
		if (!worked) throw new Error("it has dishes");
		const reading = readingIn("metric", ZONE, NOW);
		const warned = (one: ComingSitting) => todayView([one], daysOf(), reading).sittings[0]?.warnings ?? 0;
		const [first, ...others] = worked.rows;
		if (!first) throw new Error("it has a dish");
		const { dish, card } = first;
		const without = { ...worked, rows: [{ dish, card, refused: "no pan" }, ...others] };
		const lost = first.plan?.warnings.length ?? 0;
		expect(warned({ ...next, worked: without })).toBe(warned(next) - lost + 1);
	});

	it("is quiet when nothing is planned", () => {
		expect(todayView([], [], readingIn("metric", ZONE, NOW))).toMatchObject({
			next: null,
			days: [],
			begun: null,
		});
	});
});

describe("the day over the whole kitchen", () => {
	it("gives every oven, temperature and hour to the list: no other stands on it", () => {
		const first = Math.min(...daysOf().flatMap(({ tasks }) => tasks.map(({ start }) => start)));
		const view = viewAt(first - HOUR_MS);
		const listed = new Map(view.days.flatMap(tasksIn).map((task) => [task.id, task]));
		let inOvens = 0;
		for (const day of daysOf()) {
			for (const task of day.tasks) {
				const shown = listed.get(task.id);
				if (!shown || task.part !== "oven") continue;
				const use = task.uses.findLast(({ set_C }) => set_C !== undefined);
				const oven = day.equipment.find(({ id }) => id === use?.equipment);
				expect(shown.at).toBe(task.start);
				if (!oven) continue;
				expect(shown.task).toContain(oven.name);
				expect(shown.task).toContain(`${use?.set_C} °C`);
				inOvens += 1;
			}
		}
		expect(inOvens).toBeGreaterThan(3);
	});

	it("says what is in which oven and until when, and only while it is", () => {
		const later = NOW;
		const standing = { from: later - HOUR_MS, to: later + HOUR_MS };
		const day: Day = {
			...EMPTY_DAY,
			equipment: [
				{ id: "north", kind: "oven", name: "North oven", capacity: 10, unit: "rung", windows: [] },
			] satisfies DayEquipment[],
			tasks: [
				{
					...A_TASK,
					id: "in",
					forName: "Goat shoulder",
					uses: [{ equipment: "north", amount: 3, set_C: 150, ...standing }],
				},
			],
		};
		const at = (now: number) => todayView(coming, [day], readingIn("metric", ZONE, now)).inOvens;
		expect(at(later).map(({ words }) => words)).toEqual(["Goat shoulder in the North oven at 150 °C"]);
		expect(at(later + HOUR_MS)).toEqual([]);
	});

	it("says an order whose time has passed, until the sitting is served", () => {
		const serviceAt = coming[0]?.sitting.serviceAt ?? 0;
		const at = viewAt;
		const orders = at(serviceAt - 60_000).passed;
		expect(orders.length).toBeGreaterThan(0);
		expect(orders[0]?.words).toMatch(/^The order for .* should have gone out/);
		const { passed } = at(serviceAt + 60_000);
		expect(passed.map(({ id }) => id)).not.toContain(orders[0]?.id);
	});
});
