import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Recipe } from "../recipe/index.ts";
import { HOUSE_CODES } from "../safety/index.ts";
import { equipped, KITCHEN, ORDER, RECIPE, wanting } from "./dish.testing.ts";
import { type CarryChoice, type Plan, plan } from "./index.ts";

const HOT: CarryChoice = { minutes: 60, air_C: 10, hot: true };
const carried = (choice: Partial<CarryChoice> = {}, recipe: Recipe = RECIPE, covers = 80) =>
	plan(recipe, { ...ORDER, covers, carry: { ...HOT, ...choice } }, KITCHEN);
const carryOf = ({ carry }: Plan) => {
	if (!carry) throw new Error("it is carried");
	return carry;
};
const task = ({ tasks }: Plan, part: string) => tasks.find((one) => one.part === part);

describe("a dish that is carried elsewhere", () => {
	it("arrives between how it was packed and the air, later nearer to the air", () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 5, max: 600 }),
				fc.integer({ min: -10, max: 30 }),
				fc.boolean(),
				(minutes, air_C, hot) => {
					const { packed_C, arrives_C } = carryOf(carried({ minutes, air_C, hot }));
					expect(Math.min(packed_C, air_C) - 1e-9).toBeLessThanOrEqual(arrives_C);
					expect(Math.max(packed_C, air_C) + 1e-9).toBeGreaterThanOrEqual(arrives_C);
					const later = carryOf(carried({ minutes: minutes + 30, air_C, hot })).arrives_C;
					expect(Math.abs(later - air_C)).toBeLessThanOrEqual(Math.abs(arrives_C - air_C) + 1e-9);
				},
			),
			{ numRuns: 15 },
		);
	});

	it("is missed when it is carried for longer than its limit lasts, and is warned of", () => {
		const limit_min = carryOf(carried()).limit.likely;
		if (typeof limit_min !== "number") throw new Error("it cools");
		const long = carried({ minutes: Math.ceil(limit_min) + 30 });
		expect(carryOf(long).verdict).toBe("missed");
		expect(long.warnings.map(({ code }) => code)).toContain("carryMissed");
		const short = carried({ minutes: Math.floor(limit_min / 2) });
		expect(carryOf(short).verdict).toBe("met");
		expect(short.warnings.some(({ code }) => code.startsWith("carry"))).toBe(false);
	});

	it("is judged by how warm it arrives: packed at 80 °C under a limit of 82 it is missed, and not met", () => {
		const code = { ...HOUSE_CODES.twoStage57, holdHot_C: 82 };
		const under = (choice: Partial<CarryChoice>) => {
			const order = { ...ORDER, carry: { ...HOT, minutes: 10, ...choice } };
			return carryOf(plan(RECIPE, order, wanting({ code })));
		};
		const cool = under({});
		expect(cool).toMatchObject({ packed_C: 80, verdict: "missed", limit: { likely: "already" } });
		expect(cool.arrives_C).toBeLessThan(82);
		expect(under({ packed_C: 95 })).toMatchObject({ packed_C: 95, verdict: "met" });
		expect(under({ packed_C: 82 }).verdict).toBe("missed");
		expect(under({ packed_C: 95, air_C: 95 })).toMatchObject({ verdict: "met", limit: { likely: "never" } });
	});

	it("is held against the code: hot against its hot hold, cold against its cold one", () => {
		const code = HOUSE_CODES.twoStage60;
		const kitchen = wanting({ code });
		const of = (hot: boolean) => carryOf(plan(RECIPE, { ...ORDER, carry: { ...HOT, hot } }, kitchen)).limit_C;
		expect([of(true), of(false)]).toEqual([code.holdHot_C, code.keepCold_C]);
	});

	it("takes boxes by its pans, never fewer for more, and is packed and carried before it is plated", () => {
		const dishes = [40, 80, 160].map((covers) => carried({}, RECIPE, covers));
		const boxes = dishes.map((dish) => carryOf(dish).boxes);
		expect(boxes).toEqual([...boxes].sort((a, b) => a - b));
		for (const dish of dishes) {
			const [pack, carry, plate] = [
				task(dish, "pack"),
				task(dish, "carry"),
				dish.tasks.find(({ id }) => id.endsWith("/plate")),
			];
			const apart_min = ((carry?.start ?? 0) - (pack?.end ?? 0)) / 60_000;
			expect(apart_min).toBeGreaterThanOrEqual(0);
			expect(apart_min).toBeLessThanOrEqual(5);
			expect(carry?.end).toBeLessThanOrEqual(plate?.start ?? 0);
			expect(pack?.needs).toContainEqual({ kind: "boxes", count: carryOf(dish).boxes });
		}
	});

	it("is filled into boxes of its own first where it is served in them, and there by service", () => {
		const dish = carried({}, { ...RECIPE, servedIn: "boxes" });
		const plate = dish.tasks.find(({ id }) => id.endsWith("/plate"));
		expect(plate?.end).toBeLessThanOrEqual(task(dish, "pack")?.start ?? 0);
		expect(task(dish, "carry")?.end).toBeLessThanOrEqual(ORDER.serviceAt);
	});

	it("is plated where it is cooked where nobody says otherwise", () => {
		const here = plan(RECIPE, ORDER, equipped({}));
		expect(here.carry).toBeNull();
		expect(task(here, "pack")).toBeUndefined();
	});
});
