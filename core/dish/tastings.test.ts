import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { runs } from "../random/runs.testing.ts";
import { KITCHEN, ORDER, RECIPE } from "./dish.testing.ts";
import { plan, taskAt, tastingsOf } from "./index.ts";

describe("the three tastings", () => {
	it("come before the oven, before the sauce is bound and before the first plate", () => {
		const made = plan(RECIPE, ORDER, KITCHEN);
		const [liquid, sauce, plate] = tastingsOf(made);
		expect([liquid?.of, sauce?.of, plate?.of]).toEqual(["liquid", "sauce", "plate"]);
		expect(liquid?.at).toBeLessThanOrEqual(taskAt(made, "braise", "oven")?.start ?? 0);
		expect(sauce?.at).toBeLessThanOrEqual(taskAt(made, "plate")?.start ?? 0);
		expect(plate?.at).toBe(taskAt(made, "plate")?.start);
	});

	it("say how much salt a tenth of a per cent is: put in first, it ends so much higher", () => {
		fc.assert(
			fc.property(fc.integer({ min: 20, max: 300 }), (covers) => {
				const made = plan(RECIPE, { ...ORDER, covers }, KITCHEN);
				const { liquid, sauce } = made;
				const [first] = tastingsOf(made);
				if (!liquid || !sauce || !first) throw new Error("it has a sauce");
				const shared_g = 1000 * (liquid.left_l + liquid.vegetables_kg + liquid.cooked_kg);
				const ends = (salt_g: number) => ((salt_g / shared_g) * 100 * sauce.take_l) / sauce.wanted_l;
				expect(ends(liquid.salt_g + first.saltTenth_g) - ends(liquid.salt_g)).toBeCloseTo(0.1, 6);
			}),
			{ numRuns: runs(15) },
		);
	});

	it("mend a sauce by a step that takes as much salt out as it says, and leave a dish without one alone", () => {
		const made = plan(RECIPE, ORDER, KITCHEN);
		const sauce = tastingsOf(made).find(({ of }) => of === "sauce");
		const { wanted_l = 0, salt_pct = 0 } = made.sauce ?? {};
		const thinned = (salt_pct * wanted_l) / (wanted_l + (sauce?.mends?.tooSalt_l ?? 0));
		expect(salt_pct - thinned).toBeCloseTo(0.1, 6);
		const bare = tastingsOf(plan({ ...RECIPE, sauce_ml: 0 }, ORDER, KITCHEN));
		expect(bare.map(({ of }) => of)).toEqual(["liquid", "plate"]);
		expect(bare[1]?.mends).toBeNull();
	});
});
