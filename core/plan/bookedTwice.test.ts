import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { AT_ANY_TIME, exactly, type Need, type PlacedTask } from "../tasks/index.ts";
import { KITCHEN, ORDER, RECIPE } from "./dish.testing.ts";
import { bookedTwice, planSitting } from "./index.ts";

const MINUTE = 60_000;
const task = (start: number, minutes: number, needs: readonly Need[]): PlacedTask => ({
	id: `t${start}`,
	for: "x",
	place: "build",
	part: "work",
	figures: {},
	minutes: { handsOn: exactly(minutes), waiting: exactly(0), planned: minutes },
	after: [],
	needs,
	window: AT_ANY_TIME,
	start: start * MINUTE,
	end: (start + minutes) * MINUTE,
});
const burners = (count: number): Need[] => [{ kind: "burners", count }];

describe("what is wanted twice at one time", () => {
	it("is said with the time and who wants it, and not where one ends as the other begins", () => {
		const a = { name: "goat", tasks: [task(0, 60, burners(2))] };
		const b = { name: "mutton", tasks: [task(45, 30, burners(2))] };
		expect(bookedTwice([a, b], KITCHEN, 9)).toEqual([
			{
				kind: "burners",
				name: null,
				wanted: 4,
				there: 3,
				from: 45 * MINUTE,
				to: 60 * MINUTE,
				by: ["goat", "mutton"],
			},
		]);
		expect(bookedTwice([a, { name: "mutton", tasks: [task(60, 30, burners(2))] }], KITCHEN, 9)).toEqual([]);
	});

	it("is found exactly where the claims add up to more than there is", () => {
		const claims = fc.array(
			fc.record({
				start: fc.integer({ min: 0, max: 40 }),
				minutes: fc.integer({ min: 1, max: 20 }),
				count: fc.integer({ min: 1, max: 3 }),
			}),
			{ maxLength: 8 },
		);
		fc.assert(
			fc.property(claims, (list) => {
				const dishes = list.map(({ start, minutes, count }, index) => ({
					name: `d${index}`,
					tasks: [task(start, minutes, burners(count))],
				}));
				const found = bookedTwice(dishes, KITCHEN, 9);
				for (let minute = 0; minute < 60; minute += 1) {
					const now = list.filter(({ start, minutes }) => start <= minute && minute < start + minutes);
					const wanted = now.reduce((sum, { count }) => sum + count, 0);
					const inside = found.some(({ from, to }) => from <= minute * MINUTE && minute * MINUTE < to);
					expect(inside).toBe(wanted > KITCHEN.equipment.burners);
				}
			}),
		);
	});

	it("comes with the plan of a sitting: two dishes at once want all cooks twice", () => {
		const two = ["a", "b"].map((id) => ({ recipe: { ...RECIPE, name: id }, order: { ...ORDER, id } }));
		const { clashes } = planSitting(two, KITCHEN);
		expect(clashes.find(({ kind }) => kind === "cooks")).toMatchObject({
			there: ORDER.hands,
			by: ["a", "b"],
		});
		expect(planSitting(two.slice(0, 1), KITCHEN).clashes).toEqual([]);
	});
});
