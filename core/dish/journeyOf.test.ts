import { describe, expect, it } from "vitest";
import type { Recipe } from "../recipe/index.ts";
import { KITCHEN as BARE, equipped, ORDER, RECIPE } from "./dish.testing.ts";
import { type DishJourney, journeyOf, plan } from "./index.ts";

const place = { capacity: 600, power_kW: null, rated_kg: null };
const KITCHEN = equipped({
	coolers: [
		{ ...place, id: "blast", name: "Blast chiller", kind: "chiller", air_C: -10, rated_kg: 40 },
		{ ...place, id: "room", name: "Cold room", kind: "fridge", air_C: 3 },
	],
});
const AHEAD: Recipe = { ...RECIPE, schools: { ...RECIPE.schools, service: "madeAhead" } };
const CARRIED = { ...ORDER, carry: { hot: true, minutes: 45, air_C: 8 } };

function walkedOf(recipe: Recipe, order = ORDER): DishJourney {
	const walked = journeyOf(plan(recipe, order, KITCHEN), KITCHEN.policy);
	if (!walked) throw new Error("it has pans");
	return walked;
}

const kindsOf = ({ stages }: DishJourney) => stages.map(({ kind }) => kind);
/** At the end of the last stage of a kind. */
function endOf({ stages, course }: DishJourney, kind: string) {
	const index = stages.findLastIndex((stage) => stage.kind === kind);
	const last = course.findLast(({ stage }) => stage === index);
	if (!last) throw new Error(`it has no ${kind}`);
	return last;
}

describe("the way of a dish from the bench to the plate", () => {
	it("goes through its stages without a gap, to the last plate", () => {
		for (const [recipe, order] of [
			[RECIPE, ORDER],
			[AHEAD, ORDER],
			[RECIPE, CARRIED],
			[AHEAD, CARRIED],
		] as const) {
			const walked = walkedOf(recipe, order);
			for (const [index, { from, to }] of walked.stages.entries()) {
				expect(to).toBeGreaterThan(from);
				if (index > 0) expect(from).toBe(walked.stages[index - 1]?.to);
			}
			const all_min = ((walked.stages.at(-1)?.to ?? 0) - (walked.stages[0]?.from ?? 0)) / 60_000;
			expect(walked.course.at(-1)?.minute).toBeCloseTo(all_min, 3);
		}
		expect(kindsOf(walkedOf(AHEAD))).toEqual(expect.arrayContaining(["heat", "chill", "store", "reheat"]));
		expect(kindsOf(walkedOf(RECIPE, CARRIED))).toContain("carry");
		expect(kindsOf(walkedOf(RECIPE))).not.toContain("chill");
	});

	it("is as hot and as cold at the end of each as its plan says", () => {
		const walked = walkedOf(AHEAD);
		const { code } = KITCHEN.policy;
		expect(endOf(walked, "heat").coldest_C).toBeGreaterThan(80);
		expect(endOf(walked, "chill").warmest_C).toBeLessThan(
			Math.max(...code.cooling.to.map(({ to_C }) => to_C)) + 1,
		);
		expect(endOf(walked, "store").warmest_C).toBeLessThan(5);
		expect(endOf(walked, "reheat").coldest_C).toBeGreaterThan(code.reheat.core_C - 1);
	});

	it("is not known where it is cooled and the kitchen has nothing that cools", () => {
		expect(journeyOf(plan(AHEAD, ORDER, BARE), BARE.policy)).toBeNull();
	});

	it("grows the more, the slower it is cooled, and has had its heat many times over", () => {
		const ahead = walkedOf(AHEAD);
		const warm = journeyOf(
			plan(AHEAD, { ...ORDER, chill: { coolerId: "room", parts: 1, ice: false } }, KITCHEN),
			KITCHEN.policy,
		);
		expect(ahead.growth.likely).toBeLessThan(1);
		expect(ahead.growth.low).toBeLessThanOrEqual(ahead.growth.likely);
		expect(ahead.growth.high).toBeGreaterThanOrEqual(ahead.growth.likely);
		expect(warm?.growth.likely ?? 0).toBeGreaterThanOrEqual(ahead.growth.likely);
		expect(ahead.lethality_min).toBeGreaterThan(100);
	});
});
