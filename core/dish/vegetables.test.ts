import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { runs } from "../random/runs.testing.ts";
import { ingredient, type Recipe } from "../recipe/index.ts";
import { KITCHEN, knowing, ORDER, RECIPE } from "./dish.testing.ts";
import { type Plan, plan } from "./index.ts";

type Answer = NonNullable<NonNullable<Recipe["schools"]>["vegetables"]>;
const ANSWERS: readonly Answer[] = ["kept", "strained", "pressed", "pureed"];
const KNOWN = knowing([
	ingredient({ id: "carrot", name: "carrots" }),
	ingredient({ id: "swede", name: "swede" }),
]);

const answering = (vegetables: Answer): Recipe => ({ ...RECIPE, schools: { ...RECIPE.schools, vegetables } });
const planned = (vegetables: Answer, covers = 100): NonNullable<Plan["liquid"]> => {
	const { liquid } = plan(answering(vegetables), { ...ORDER, covers }, KITCHEN);
	if (!liquid) throw new Error("it has a pan");
	return liquid;
};

describe("what becomes of the vegetables of the pan", () => {
	it("carry 15 to 25 % of their weight away when they are strained, half of that when they are pressed", () => {
		const { carried_l, vegetables_kg } = planned("strained");
		expect(carried_l / vegetables_kg).toBeGreaterThanOrEqual(0.15);
		expect(carried_l / vegetables_kg).toBeLessThanOrEqual(0.25);
		expect(planned("pressed").carried_l / planned("pressed").vegetables_kg).toBeCloseTo(
			carried_l / vegetables_kg / 2,
			9,
		);
		expect(planned("kept")).toMatchObject({ carried_l: 0, puree_l: 0 });
	});

	it("close the account of liquid and solids whatever the answer is", () => {
		fc.assert(
			fc.property(fc.constantFrom(...ANSWERS), fc.integer({ min: 10, max: 400 }), (answer, covers) => {
				const liquid = planned(answer, covers);
				expect(liquid.forSauce_l).toBeCloseTo(liquid.left_l - liquid.carried_l + liquid.puree_l, 9);
				const inwards = liquid.poured_l + liquid.fromVegetables_l + liquid.weeping_l;
				expect(liquid.evaporated_l + liquid.absorbed_l + liquid.left_l).toBeCloseTo(inwards, 6);
			}),
			{ numRuns: runs(20) },
		);
	});

	it("are poured for: strained ones ask more, puréed ones less, and the purée gives the body", () => {
		const poured = (answer: Answer) => plan(answering(answer), ORDER, KITCHEN).pour?.forSauce_l ?? 0;
		expect(poured("strained")).toBeGreaterThan(poured("kept"));
		expect(poured("pureed")).toBeLessThan(poured("kept"));
		expect(plan(answering("pureed"), ORDER, KITCHEN).sauce?.body).toBe("puree");
	});
});

describe("how a vegetable is cut", () => {
	const withCut = (mm: number, late_min?: number, answer: Answer = "kept"): Recipe => ({
		...answering(answer),
		lines: [
			...RECIPE.lines,
			{
				ingredient: "carrot",
				amount: 500,
				unit: "g",
				role: "vegetable",
				group: "base",
				cut: { form: "dice", mm },
				...(late_min === undefined ? {} : { late_min }),
			},
		],
	});
	const said = (recipe: Recipe) =>
		plan(recipe, ORDER, KNOWN).warnings.flatMap((one) =>
			one.code === "cutTooLarge" || one.code === "cutTooSmall" ? [one] : [],
		);

	it("is held against the minutes it spends, and the size that suits is said", () => {
		const [small] = said(withCut(8));
		expect(small).toMatchObject({ code: "cutTooSmall", name: "carrots" });
		const [large] = said(withCut(40, 20));
		expect(large).toMatchObject({ code: "cutTooLarge", minutes: 20 });
		expect(large?.suits_mm?.high).toBeLessThan(40);
		expect(said(withCut(20, 30))).toEqual([]);
	});

	it("does not matter where it is strained out or puréed", () => {
		expect(said(withCut(8, undefined, "strained"))).toEqual([]);
		expect(said(withCut(8, undefined, "pureed"))).toEqual([]);
	});
});
