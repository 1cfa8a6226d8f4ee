import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { equipped, KITCHEN, ORDER, RECIPE } from "../dish/dish.testing.ts";
import { isMadeAhead } from "../dish/index.ts";
import type { Recipe } from "../recipe/index.ts";
import { heatedAt } from "../sitting/index.ts";
import { HOUR_MS } from "../time/index.ts";
import { givenDay, sitting } from "./days.testing.ts";
import {
	causesOf,
	changesIn,
	changesOf,
	type Day,
	type DayGiven,
	EMPTY_DAY,
	placeDay,
	type Remedy,
	remediesFor,
	waysOut,
	withBorrowed,
	withRoom,
} from "./index.ts";

const SOON = { seed: 1, steps: 20_000 };
const { serviceAt } = ORDER;

interface Dish {
	readonly id: string;
	readonly recipe: Recipe;
	readonly covers: number;
}

/** A day of one sitting in some kitchen, planned anew with remedies as the server does it. */
function dayOf(dishes: readonly Dish[], kitchen = KITCHEN, more: Partial<DayGiven> = {}) {
	const givenWith = (remedies: readonly Remedy[]): DayGiven => {
		const changes = changesIn(remedies);
		const lent = withBorrowed(kitchen, changes);
		const ahead = new Map(changesOf(changes, "ahead").map((change) => [change.for, change.ahead]));
		const heat = new Map(changesOf(changes, "heat").map((change) => [change.for, change.set_C]));
		const planned = sitting(
			"supper",
			dishes.map(({ id, recipe, covers }) => {
				const service = ahead.has(id) ? (ahead.get(id) ? "madeAhead" : "sameDay") : recipe.schools?.service;
				const hot = heat.has(id) ? heatedAt(recipe, heat.get(id) as number) : recipe;
				const schools = service === undefined ? {} : { schools: { ...recipe.schools, service } };
				return { id, recipe: { ...hot, ...schools }, order: { covers } };
			}),
			{ kitchen: lent },
		);
		const all = [...(more.changes ?? []), ...changes];
		return withRoom({ ...givenDay([planned], more), kitchen: lent, changes: all }, remedies);
	};
	const given = givenWith([]);
	const place = (remedies: readonly Remedy[]): Day => placeDay(givenWith(remedies), SOON);
	const day = place([]);
	const ahead = new Map(
		given.sittings.flatMap(({ dishes }) =>
			dishes.map(({ dish }) => [dish.order.id, isMadeAhead(dish.recipe)]),
		),
	);
	return { day, place, remedies: remediesFor(day, given, ahead as Map<string, boolean>) };
}

const oneCook = [{ id: "ina", name: "Ina", hours: { opens_min: 8 * 60, closes_min: 22 * 60 } }];

describe("ways out of what a day goes without", () => {
	it("are as small as can be: what is shown first frees all, and does without nothing of itself", async () => {
		const { day, place, remedies } = dayOf(
			[
				{ id: "a", recipe: RECIPE, covers: 120 },
				{ id: "b", recipe: RECIPE, covers: 90 },
			],
			KITCHEN,
			{ cooks: oneCook },
		);
		expect(day.unmet.length).toBeGreaterThan(0);
		const { ways, proven } = await waysOut(day, remedies, async (some) => place(some));
		const [first] = ways;
		if (!first) throw new Error("there is a way");
		for (const way of ways) {
			const with_ = place(way.remedies);
			expect(causesOf(with_)).toHaveLength(way.left);
			expect(with_.late_min).toBe(way.late_min);
		}
		if (proven && first.left === 0 && first.remedies.length > 1) {
			for (const one of remedies) expect(causesOf(place([one])).length).toBeGreaterThan(0);
		}
	});

	it("name the pans that are to be borrowed where two dishes have to have them", async () => {
		const kitchen = equipped({ pots: KITCHEN.equipment.pots.map((pot) => ({ ...pot, stock: 1 })) });
		const { day, remedies } = dayOf(
			[
				{ id: "a", recipe: RECIPE, covers: 60 },
				{ id: "b", recipe: RECIPE, covers: 60 },
			],
			kitchen,
			{
				changes: [
					{ kind: "pinned", task: "a/sauce", start: serviceAt - HOUR_MS },
					{ kind: "pinned", task: "b/sauce", start: serviceAt - HOUR_MS },
				],
			},
		);
		expect(day.unmet.map(({ because }) => because)).toContain("tooFew");
		expect(remedies).toContainEqual({ kind: "borrowed", equipment: "stew-pot", count: 1 });
	});

	it("find none where nothing helps, and say how many were tried", async () => {
		const { day } = dayOf([{ id: "a", recipe: RECIPE, covers: 60 }], KITCHEN, { cooks: oneCook });
		const told: number[] = [];
		const found = await waysOut(
			{ ...day, unmet: [{ task: "a/braise", because: "late", minutes: 5 }], late_min: 5 },
			[
				{ kind: "room", equipment: "north", more: 1 },
				{ kind: "room", equipment: "south", more: 1 },
			],
			async () => ({ ...day, unmet: [{ task: "a/braise", because: "late", minutes: 5 }], late_min: 5 }),
			(done) => told.push(done),
		);
		expect(found).toEqual({ ways: [], proven: false, tried: 2 });
		expect(told).toEqual([1, 2]);
	});

	it("two together are found where neither alone is enough, and none that is needless", async () => {
		const ids = ["p", "q", "r", "s"];
		await fc.assert(
			fc.asyncProperty(
				fc.uniqueArray(fc.constantFrom(...ids), { minLength: 1, maxLength: 3 }),
				async (needed) => {
					const remedies = ids.map((id): Remedy => ({ kind: "room", equipment: id, more: 1 }));
					const base = dayEmpty(needed.length);
					const found = await waysOut(base, remedies, async (some) => {
						const had = needed.filter((id) =>
							some.some((one) => one.kind === "room" && one.equipment === id),
						);
						return dayEmpty(needed.length - had.length);
					});
					const [best] = found.ways;
					expect(best?.left).toBe(0);
					expect(best?.remedies.map((one) => (one.kind === "room" ? one.equipment : "")).sort()).toEqual(
						[...needed].sort(),
					);
					expect(found.proven).toBe(needed.length < 3);
				},
			),
		);
	});
});

/** A day that goes without so many things. */
function dayEmpty(missing: number): Day {
	return {
		...EMPTY_DAY,
		unmet: Array.from({ length: missing }, (_, index) => ({
			task: `t${index}`,
			because: "noOven" as const,
			rungs: 1,
		})),
	};
}
