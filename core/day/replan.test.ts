import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { equipped } from "../dish/dish.testing.ts";
import { NORTH, SOUTH } from "../kitchen/kitchen.testing.ts";
import { MINUTE_MS } from "../time/index.ts";
import { brokenIn } from "./brokenIn.testing.ts";
import { givenDay, sitting, taskOf, usesOf } from "./days.testing.ts";
import {
	type Day,
	type DayChange,
	type DayGiven,
	type DayTask,
	dayJson,
	movesBetween,
	placeDay,
	type WorkedDay,
} from "./index.ts";

const SOON = { seed: 1, steps: 30_000 };
const kitchen = equipped({ ovens: [NORTH, SOUTH] });
const supper = [sitting("hall", [{ id: "a" }, { id: "b" }], { kitchen })];
const fileOf = (day: WorkedDay) => dayJson(day, "2026-11-28", "2026-11-28", kitchen.policy);
const placed = (more: Partial<DayGiven> = {}, sittings = supper): WorkedDay =>
	placeDay(givenDay(sittings, { kitchen, ...more }), SOON);
const ovenOf = ({ uses }: DayTask) => uses.findLast(({ set_C }) => set_C !== undefined);
const braises = ({ tasks }: Day) => tasks.filter(({ part, place }) => part === "oven" && place === "braise");

const before = placed();
const [first] = braises(before) as [DayTask];
const elsewhere = first && ovenOf(first)?.equipment === NORTH.id ? SOUTH.id : NORTH.id;

describe("a day that is planned again", () => {
	it("with nothing told stands as it stood", () => {
		expect(movesBetween(before, placed({ before }))).toEqual([]);
	});

	it("by now: what has begun stays, and is fixed", () => {
		const now = first.start + 20 * MINUTE_MS;
		const after = placed({ before, now });
		for (const task of before.tasks) {
			if (task.start >= now) continue;
			expect(taskOf(after, task.id)).toMatchObject({ start: task.start, end: task.end, fixed: true });
		}
		expect(brokenIn(fileOf(after))).toEqual([]);
	});

	it("an oven that is down before its pans go in: they are in another, or out before, and the reason is said", () => {
		const { equipment = "", from = 0 } = ovenOf(first) ?? {};
		const change = {
			kind: "away" as const,
			equipment,
			from: from - 3_600_000,
			to: from + 12 * 3_600_000,
		};
		const after = placed({ before, changes: [change] });
		const now = ovenOf(taskOf(after, first.id));
		expect(now?.equipment === elsewhere || (now?.to ?? Number.NaN) <= change.from).toBe(true);
		const move = movesBetween(before, after, [change]).find(({ task }) => task === first.id);
		expect(move?.why).toEqual({ because: "told", change });
		expect(brokenIn(fileOf(after))).toEqual([]);
	});

	it("an oven that goes down while pans are in it: they are carried over and take what is left", () => {
		const { equipment = "", from = 0, to = 0 } = ovenOf(first) ?? {};
		const half = from + Math.round((to - from) / 2 / 300_000) * 300_000;
		const change: DayChange = { kind: "away", equipment, from: half, to: to + 12 * 3_600_000 };
		const after = placed({ before, now: half, changes: [change] });
		const carried = taskOf(after, first.id);
		expect(carried.start).toBe(first.start);
		expect(carried.uses.map(({ equipment: oven }) => oven)).toEqual([equipment, elsewhere]);
		const [, second] = carried.uses;
		const share = ((second?.to ?? 0) - (second?.from ?? 0)) / (to - from);
		expect(share).toBeGreaterThan(0.35);
		expect(share).toBeLessThan(0.75);
		expect(brokenIn(fileOf(after))).toEqual([]);
	});

	it("pans that went in late are tender late, and all that follows is pushed on", () => {
		const start = first.start + 40 * MINUTE_MS;
		const change: DayChange = { kind: "happened", task: first.id, start, end: null };
		const after = placed({ before, now: start + MINUTE_MS, changes: [change] });
		expect(taskOf(after, first.id)).toMatchObject({ start, end: first.end + 40 * MINUTE_MS, fixed: true });
		const plate = after.tasks.find(({ id, place }) => id.startsWith(first.for) && place === "plate");
		expect(plate?.start).toBeGreaterThanOrEqual(first.end + 40 * MINUTE_MS);
		expect(brokenIn(fileOf(after))).toEqual([]);
	});

	it("a batch that is tender early is lifted early", () => {
		const end = first.end - 30 * MINUTE_MS;
		const change: DayChange = { kind: "happened", task: first.id, start: first.start, end };
		const after = placed({ before, now: end, changes: [change] });
		expect(taskOf(after, first.id).end).toBe(end);
		expect(brokenIn(fileOf(after))).toEqual([]);
	});

	it("meat that comes too late makes the dish late by no more than it must, and says so", () => {
		const trim = before.tasks.find(({ id }) => id === "a/trim") as DayTask;
		const at = trim.start + 10 * 3_600_000;
		const after = placed({ before, changes: [{ kind: "arrives", for: "a", at }] });
		expect(taskOf(after, "a/trim").start).toBeGreaterThanOrEqual(at);
		expect(after.late_min).toBeGreaterThan(0);
		expect(after.unmet).toContainEqual(expect.objectContaining({ because: "late", task: "a/plate" }));
		expect(brokenIn(fileOf(after))).toEqual([]);
		for (const task of before.tasks.filter(({ for: dish, place }) => dish === "b" && place === "plate")) {
			expect(taskOf(after, task.id).end).toBeLessThanOrEqual(task.due ?? 0);
		}
	});

	it("a cook who is missing has nothing to do, and what the others do stays where it can", () => {
		const gone = before.equipment.find(({ kind }) => kind === "cook")?.id ?? "";
		const change: DayChange = { kind: "away", equipment: gone, from: before.from, to: before.to };
		const after = placed({ before, changes: [change] });
		expect(usesOf(after, gone)).toEqual([]);
		expect(after.unmet.some(({ because }) => because === "nobody")).toBe(true);
		expect(brokenIn(fileOf(after))).toEqual([]);
	});

	it("thirty more covers move little: what need not move stays", () => {
		const more = [
			sitting("hall", [{ id: "a", order: { covers: 90 } }, { id: "b" }], { kitchen }),
			sitting("dining room", [{ id: "c" }], { kitchen, serviceAt: supper[0]?.serviceAt ?? 0 }),
		];
		const base = placed({}, more);
		const risen = [
			sitting("hall", [{ id: "a", order: { covers: 120 } }, { id: "b" }], { kitchen }),
			...more.slice(1),
		];
		const moves = movesBetween(base, placed({ before: base }, risen));
		expect(moves.length).toBeGreaterThan(0);
		expect(moves.length).toBeLessThanOrEqual(movesBetween(base, placed({}, risen)).length);
		expect(moves.filter(({ task }) => task.endsWith("c/plate"))).toEqual([]);
	});

	it("a dish that stands in other pans or another oven has moved: it is not gone and new at once", () => {
		let others = 0;
		for (const covers of [75, 110, 150, 210, 250]) {
			const risen = [sitting("hall", [{ id: "a", order: { covers } }, { id: "b" }], { kitchen })];
			const after = placed({ before }, risen);
			const ids = new Set(before.tasks.map(({ id }) => id));
			others += after.tasks.filter(({ id }) => !ids.has(id)).length;
			const moves = movesBetween(before, after);
			const partsOf = (day: Day, of: typeof moves) =>
				of.map(({ task }) => {
					const { for: dish, place, part } = taskOf(day, task);
					return `${dish} ${place} ${part}`;
				});
			const come = partsOf(
				after,
				moves.filter(({ was }) => was === null),
			);
			const gone = partsOf(
				before,
				moves.filter(({ is }) => is === null),
			);
			expect(come.filter((part) => gone.includes(part))).toEqual([]);
		}
		// Some of these sizes do stand in others.
		expect(others).toBeGreaterThan(0);
	});
});

describe("the chef's own word", () => {
	it("a pan that is put into another oven is there, at its own minutes, and fixed", () => {
		const start = first.start - 60 * MINUTE_MS;
		const after = placed({
			before,
			changes: [{ kind: "pinned", task: first.id, start, oven: elsewhere, rung: 2 }],
		});
		const task = taskOf(after, first.id);
		expect(task).toMatchObject({ start, fixed: true, rung: 2 });
		expect(ovenOf(task)?.equipment).toBe(elsewhere);
		// What is put in an hour too soon waits when tender, and it is counted.
		expect(after.waiting_rung_min).toBeGreaterThan(before.waiting_rung_min + 20);
		expect(brokenIn(fileOf(after))).toEqual([]);
	});

	it("one that can not be is done all the same, and what breaks is said", () => {
		const pins = braises(before).map(
			({ id, start }): DayChange => ({ kind: "pinned", task: id, start, oven: "nowhere" }),
		);
		const after = placed({ before, changes: pins });
		expect(after.unmet.filter(({ because }) => because === "noOven")).toHaveLength(pins.length);
		expect(brokenIn(fileOf(after))).toEqual([]);
	});
});

describe("whatever is told", () => {
	const anyChange = fc.oneof(
		fc.record({
			kind: fc.constant("away" as const),
			equipment: fc.constantFrom(NORTH.id, SOUTH.id, "cook-1"),
			from: fc.integer({ min: -120, max: 20 }).map((steps) => first.start + steps * 300_000),
			to: fc.integer({ min: 21, max: 100 }).map((steps) => first.start + steps * 300_000),
		}),
		fc.record({
			kind: fc.constant("arrives" as const),
			for: fc.constantFrom("a", "b"),
			at: fc.integer({ min: -100, max: 30 }).map((steps) => first.start + steps * 300_000),
		}),
		fc.record({
			kind: fc.constant("pinned" as const),
			task: fc.constantFrom(...before.tasks.map(({ id }) => id)),
			start: fc.integer({ min: -100, max: 30 }).map((steps) => first.start + steps * 300_000),
		}),
	);

	it("no law is broken, nothing that has begun moves, and the same is told twice", () => {
		fc.assert(
			fc.property(
				fc.array(anyChange, { minLength: 1, maxLength: 3 }),
				fc.integer({ min: -60, max: 20 }),
				(changes, steps) => {
					const now = first.start + steps * 300_000;
					const told = { before, now, changes };
					const after = placed(told);
					expect(brokenIn(fileOf(after))).toEqual([]);
					for (const task of before.tasks.filter(({ start }) => start < now)) {
						expect(taskOf(after, task.id).start).toBe(task.start);
					}
					expect(placed(told)).toEqual(after);
				},
			),
			{ numRuns: 25 },
		);
	});
});
