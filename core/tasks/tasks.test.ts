import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { fromWallClock, MINUTE_MS, wallClock } from "../time/index.ts";
import {
	AT_ANY_TIME,
	BOX_S,
	exactly,
	handsOnOf,
	PAN_UP_MIN,
	PLATE_S,
	type PlacedTask,
	placeBackwards,
	type Task,
	type TaskWindow,
	workMinutes,
} from "./index.ts";

const HOUSE = { timeZone: "Europe/Lisbon", hours: { opens_min: 6 * 60, closes_min: 22 * 60 } };

function at(date: string, time: string): number {
	const instant = fromWallClock(date, time, HOUSE.timeZone);
	if (instant === undefined) throw new Error(`${date} ${time} is no time`);
	return instant;
}

function task(
	id: string,
	minutes: number,
	after: readonly (string | readonly [string, number])[] = [],
	window: Partial<TaskWindow> = {},
): Task {
	return {
		id,
		for: "dish",
		place: "build",
		part: "work",
		figures: {},
		minutes: { handsOn: exactly(minutes), waiting: exactly(0), planned: minutes },
		after: after.map((before) => {
			const [task, least_min] = typeof before === "string" ? [before, 0] : before;
			return { task, least_min, most_min: null };
		}),
		needs: [],
		window: { ...AT_ANY_TIME, ...window },
	};
}

const startOf = (placed: readonly PlacedTask[], id: string) =>
	placed.find((task) => task.id === id)?.start ?? Number.NaN;

describe("tasks put backwards in an empty kitchen", () => {
	const SERVICE = at("2026-11-28", "19:30");
	const evening = [
		task("trim", 60, [], { withinHours: true }),
		task("sear", 35, ["trim"]),
		task("braise", 190, ["sear"]),
		task("rest", 20, ["braise"]),
		task("sauce", 30, ["braise"]),
		task("plate", 7, ["rest", "sauce"]),
	];

	it("each starts on the five minutes and is over when what follows begins", () => {
		const placed = placeBackwards(evening, SERVICE, HOUSE);
		for (const task of placed) {
			expect(task.start % (5 * MINUTE_MS)).toBe(0);
			for (const { task: before } of task.after) {
				const ended = placed.find(({ id }) => id === before)?.end ?? Number.NaN;
				expect(ended).toBeLessThanOrEqual(task.start);
			}
		}
		// 19:30 less 7 is 19:20; less the longer of rest and sauce 18:50; less 190 is 15:40.
		expect(wallClock(startOf(placed, "braise"), HOUSE.timeZone).time).toBe("15:40");
	});

	it("does not mind the order in which they are given", () => {
		fc.assert(
			fc.property(fc.shuffledSubarray(evening, { minLength: evening.length }), (shuffled) => {
				const times = (tasks: readonly PlacedTask[]) => new Map(tasks.map(({ id, start }) => [id, start]));
				expect(times(placeBackwards(shuffled, SERVICE, HOUSE))).toEqual(
					times(placeBackwards(evening, SERVICE, HOUSE)),
				);
			}),
			{ numRuns: 30 },
		);
	});

	it("a later service moves everything later, never earlier; a longer task moves what is before it", () => {
		fc.assert(
			fc.property(fc.integer({ min: 0, max: 600 }), fc.integer({ min: 0, max: 90 }), (later, longer) => {
				const noon = at("2026-11-28", "12:00");
				const first = placeBackwards(evening, noon, HOUSE);
				const moved = placeBackwards(evening, noon + later * MINUTE_MS, HOUSE);
				const slow = evening.map((usual) =>
					usual.id === "braise" ? task("braise", 190 + longer, ["sear"]) : usual,
				);
				for (const { id, start } of first) {
					expect(startOf(moved, id)).toBeGreaterThanOrEqual(start);
					expect(startOf(placeBackwards(slow, noon, HOUSE), id)).toBeLessThanOrEqual(start);
				}
			}),
			{ numRuns: 40 },
		);
	});

	it("trims the evening before rather than at night", () => {
		const placed = placeBackwards(evening, at("2026-11-28", "11:00"), HOUSE);
		expect(wallClock(startOf(placed, "trim"), HOUSE.timeZone)).toEqual({
			date: "2026-11-27",
			time: "21:00",
		});
	});

	it("keeps a lag, and the day before where it is asked", () => {
		const marinated = [task("in", 10, [], { withinHours: true }), task("sear", 30, [["in", 840]])];
		const placed = placeBackwards(marinated, SERVICE, HOUSE);
		expect(startOf(placed, "sear") - startOf(placed, "in")).toBeGreaterThanOrEqual(850 * MINUTE_MS);
		const ahead = [
			task("braise", 200),
			task("chill", 120, ["braise"], { withinHours: true, dayBefore: true }),
			task("reheat", 60, ["chill"]),
		];
		const cold = placeBackwards(ahead, SERVICE, HOUSE);
		expect(wallClock(startOf(cold, "chill"), HOUSE.timeZone)).toEqual({ date: "2026-11-27", time: "20:00" });
		expect(wallClock(startOf(cold, "braise"), HOUSE.timeZone).date).toBe("2026-11-27");
		expect(wallClock(startOf(cold, "reheat"), HOUSE.timeZone).date).toBe("2026-11-28");
	});

	it("is over by its own minute of the day, where it has one", () => {
		const night = [
			task("in", 20, [], { withinHours: true, byMinute: 17 * 60 }),
			task("sear", 30, [["in", 840]]),
		];
		const into = startOf(placeBackwards(night, SERVICE, HOUSE), "in");
		expect(wallClock(into, HOUSE.timeZone)).toEqual({ date: "2026-11-27", time: "16:40" });
	});

	it("ends by its own window", () => {
		const order = [task("order", 0, [], { to: at("2026-11-25", "06:00") }), task("trim", 60, ["order"])];
		expect(startOf(placeBackwards(order, SERVICE, HOUSE), "order")).toBe(at("2026-11-25", "06:00"));
	});

	it("minutes stay minutes over the night the clocks change", () => {
		const long = [task("braise", 480), task("plate", 10, ["braise"])];
		const placed = placeBackwards(long, at("2026-03-29", "08:00"), HOUSE);
		expect(startOf(placed, "plate") - startOf(placed, "braise")).toBe(480 * MINUTE_MS);
	});

	it("tasks that wait for each other are refused", () => {
		expect(() => placeBackwards([task("a", 1, ["b"]), task("b", 1, ["a"])], SERVICE, HOUSE)).toThrow(
			/wait for each other/,
		);
	});
});

describe("minutes of work", () => {
	const step = { handsOn_min: 12, waiting_min: 20, grows: "withWeight" } as const;
	const steps = [
		{ ...step, place: "build", text: "", station: "" },
		{ ...step, place: "build", text: "", station: "", grows: "fixed" },
	] as const;

	it("hands-on minutes grow with the size and are shared, waiting is neither", () => {
		const handsOn_min = 12 * 3 ** 0.6 + 12;
		const two = workMinutes(steps, { factor: 3 }, 2);
		expect(two.handsOn_min).toBeCloseTo(handsOn_min, 9);
		expect(two).toMatchObject({ waiting_min: 40, wall_min: Math.ceil(handsOn_min / 2 + 40) });
		expect(workMinutes(steps, { factor: 3 }, 1).wall_min).toBe(Math.ceil(handsOn_min + 40));
		expect(workMinutes([], { factor: 3 }, 2)).toMatchObject({ handsOn_min: 0, waiting_min: 0, wall_min: 0 });
	});

	it("panning up goes by the pan and plating by the plate, whether a card has a step for it or not", () => {
		const plate = { ...step, place: "plate", text: "", station: "", waiting_min: 0 } as const;
		const batch = { factor: 9, pans: 6, portions: 120 };
		expect(workMinutes([plate], batch, 1, "plate").handsOn_min).toBeCloseTo((120 * PLATE_S) / 60, 9);
		expect(workMinutes([], { ...batch, boxed: true }, 1, "plate").handsOn_min).toBeCloseTo(
			(120 * BOX_S) / 60,
			9,
		);
		expect(workMinutes([], batch, 1, "panUp").handsOn_min).toBeCloseTo(6 * PAN_UP_MIN, 9);
		const halves = handsOnOf([plate, { ...plate, handsOn_min: 4 }], batch);
		expect(halves[0]).toBeCloseTo(3 * (halves[1] ?? 0), 9);
	});
});
