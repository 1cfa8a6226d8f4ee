import { describe, expect, it } from "vitest";
import { RECIPE } from "../dish/dish.testing.ts";
import { cookedRecipe, newDish, orderOf } from "./index.ts";

const SERVICE = { serviceAt: 5, covers: 80, hands: 2 };
const DISH = newDish("d", "v", 0.6, 0.05);

describe("a dish of a sitting", () => {
	it("is new from covers, with nothing chosen", () => {
		expect(orderOf(SERVICE, DISH)).toEqual({
			id: "d",
			serviceAt: 5,
			covers: 80,
			hands: 2,
			uptake: 0.6,
			spare: 0.05,
			basis: { from: "covers" },
			panTypeId: null,
			panWishes: [],
			colour: null,
			chill: null,
			lineSettled: false,
		});
	});

	it.each([
		[
			{ basis: "onHand" as const, onHand_g: 17_400 },
			{ from: "onHand", onHand_kg: 17.4 },
		],
		[
			{ basis: "pans" as const, panCount: 4 },
			{ from: "pans", pans: 4 },
		],
		// Nobody said how much: covers it is.
		[{ basis: "onHand" as const }, { from: "covers" }],
		[{ basis: "pans" as const }, { from: "covers" }],
	])("%o is scaled from %o", (settled, basis) => {
		expect(orderOf(SERVICE, { ...DISH, ...settled }).basis).toEqual(basis);
	});

	it("is cooked with its own liquid line where it has one, and nothing else is other", () => {
		expect(cookedRecipe({ recipe: RECIPE, line: null, ahead: null, cook: null, swaps: [] })).toBe(RECIPE);
		const own = cookedRecipe({ recipe: RECIPE, line: { share: 0.5 }, ahead: null, cook: null, swaps: [] });
		expect(own.braise).toEqual({ ...RECIPE.braise, line: { share: 0.5 } });
		expect({ ...own, braise: RECIPE.braise }).toEqual(RECIPE);
		expect(orderOf(SERVICE, { ...DISH, line: { share: 0.5 } }).lineSettled).toBe(true);
	});

	it("is cooked on its own day where the sitting says so", () => {
		const before = cookedRecipe({ recipe: RECIPE, line: null, ahead: true, cook: null, swaps: [] });
		expect(before.schools?.service).toBe("madeAhead");
		expect(
			cookedRecipe({ recipe: before, line: null, ahead: false, cook: null, swaps: [] }).schools?.service,
		).toBe("sameDay");
	});
});
