import { describe, expect, it } from "vitest";
import { ingredient, type Preparation, type Recipe } from "../recipe/index.ts";
import { placeBackwards } from "../tasks/index.ts";
import { knowing, lonePlans, ORDER, RECIPE } from "./dish.testing.ts";
import { type DishToPlan, planPreparations } from "./index.ts";

const step = (text: string, handsOn_min: number, waiting_min: number): Preparation["steps"][number] => ({
	place: "plate",
	text,
	station: "Stove",
	handsOn_min,
	waiting_min,
	grows: "withWeight",
});

/** Beans soaked overnight, boiled, and turned in butter at the very last. */
const BEANS: Preparation = {
	format: "wide-table/preparation",
	formatVersion: 1,
	name: "buttered beans",
	summary: "",
	category: "vegetable",
	makes: { amount: 2, unit: "kg" },
	holds_min: 30,
	lines: [
		{ ingredient: "pulse", amount: 900, unit: "g", role: "vegetable", group: "base" },
		{ ingredient: "water", amount: 4, unit: "l", role: "liquid", group: "liquid" },
	],
	steps: [
		{ ...step("Soak the beans.", 4, 0), when: "dayBefore" },
		{ ...step("Boil them until tender.", 6, 70), heat: "burner" },
		{ ...step("Turn in butter.", 5, 0), heat: "burner", when: "last" },
	],
};

const withBeans: Recipe = {
	...RECIPE,
	lines: [
		...RECIPE.lines,
		{ ingredient: "beans", amount: 1.9, unit: "kg", role: "side", group: "side", apart: true },
	],
};

function kitchenWith(beans: Preparation) {
	const known = knowing([
		ingredient({ id: "beans", name: "buttered beans" }),
		ingredient({ id: "pulse", name: "white beans", category: "pulse" }),
		ingredient({ id: "water", name: "water", category: "water", density_g_per_ml: 1 }),
	]);
	return { ...known, known: { ...known.known, preparations: new Map([["beans", beans]]) } };
}

const DISHES: readonly DishToPlan[] = [{ recipe: withBeans, order: ORDER }];

function stagesOf(beans: Preparation) {
	const kitchen = kitchenWith(beans);
	const plans = lonePlans(DISHES, kitchen).flatMap((dish) => ("plan" in dish ? [dish.plan] : []));
	const [batch] = planPreparations(plans, kitchen);
	const plate = plans.flatMap((made) => made.tasks).find(({ place }) => place === "plate");
	if (!batch || !plate) throw new Error("beans are made for the plate");
	expect(batch.feeds).toEqual([plate.id]);
	return { batch, tasks: placeBackwards(batch.tasks, plate.start, kitchen.policy), plate };
}

describe("a side as work", () => {
	const { batch, tasks, plate } = stagesOf(BEANS);
	const dateOf = (at: number) => new Date(at).toISOString().slice(0, 10);

	it("is soaked the day before, boiled, and finished for the plate", () => {
		expect(tasks.map(({ part }) => part)).toEqual(["soak", "make", "finish"]);
		const [soak, make, finish] = tasks;
		expect(dateOf(soak?.end ?? 0) < dateOf(make?.start ?? 0)).toBe(true);
		expect(make?.end).toBeLessThanOrEqual(finish?.start ?? 0);
		expect(finish?.end).toBeLessThanOrEqual(plate?.start ?? 0);
	});

	it("takes a burner and a pot for what is on the heat, and none to soak", () => {
		const kinds = tasks.map(({ needs }) => needs.map(({ kind }) => kind).sort());
		expect(kinds[0]).toEqual(["cooks"]);
		expect(kinds[1]).toEqual(["burners", "cooks", "pot"]);
		expect(kinds[2]).toEqual(["burners", "cooks", "pot"]);
	});

	it("grows with what the dishes want of it, and water waits for nobody's hands", () => {
		expect(batch?.grams).toBeCloseTo((batch?.factor ?? 0) * 2000, 6);
		const [, make] = tasks;
		expect(make?.minutes.waiting.likely).toBe(70);
		expect(make?.minutes.handsOn.likely).toBeGreaterThan(3);
	});

	it("stands on trays in an oven where a step says so", () => {
		const roasted: Preparation = {
			...BEANS,
			steps: [{ ...step("Roast.", 5, 40), heat: "oven", temperature_C: 200 }],
		};
		const [make] = stagesOf(roasted).tasks;
		const rungs = make?.needs.find(({ kind }) => kind === "rungs");
		expect(rungs).toMatchObject({ set_C: 200, temperature_C: { low: 190, high: 210 } });
		expect(make?.needs.some(({ kind }) => kind === "burners")).toBe(false);
	});

	it("takes its burner throughout where the card says nothing of heat, as it did before", () => {
		const plain: Preparation = { ...BEANS, steps: [step("Make them.", 10, 20)] };
		const { tasks: own } = stagesOf(plain);
		expect(own.map(({ part }) => part)).toEqual(["make"]);
		expect(own[0]?.needs.map(({ kind }) => kind)).toContain("burners");
	});
});
