import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { HOUSE_CODES } from "../safety/index.ts";
import { KITCHEN, ORDER, RECIPE, wanting } from "./dish.testing.ts";
import { type Plan, plan } from "./index.ts";
import { heldVerdict } from "./planHold.ts";

const holdOf = ({ hold }: Plan) => {
	if (!hold) throw new Error("it has pans");
	return hold;
};

describe("a dish that is held hot", () => {
	it("is held above the least of its house code", () => {
		for (const code of Object.values(HOUSE_CODES))
			expect(holdOf(plan(RECIPE, ORDER, wanting({ code }))).held_C).toBeGreaterThan(code.holdHot_C);
	});

	it("opens all its pans within the plating, one after the other", () => {
		fc.assert(
			fc.property(fc.integer({ min: 20, max: 160 }), (covers) => {
				const planned = plan(RECIPE, { ...ORDER, covers }, KITCHEN);
				const { everyPan_min } = holdOf(planned);
				const pans = planned.pans.pans.filter(({ go }) => go === planned.pans.goes).length;
				expect(everyPan_min * pans).toBeCloseTo(planned.work.places.plate.wall_min, 6);
			}),
			{ numRuns: 12 },
		);
	});

	it("may wait less where the house code holds it hotter", () => {
		const sensible = (holdHot_C: number) =>
			holdOf(plan(RECIPE, ORDER, wanting({ code: { ...HOUSE_CODES.blast90, holdHot_C } }))).sensible_min
				.likely;
		expect(sensible(80)).toBeLessThan(sensible(65));
	});

	it("is warned of when it waits longer than that, and not before", () => {
		const planned = plan(RECIPE, ORDER, KITCHEN);
		const waits = planned.wait_min + planned.hold_min;
		const warned = planned.warnings.some(({ code }) => code === "heldTooSoft");
		expect(warned).toBe(waits > holdOf(planned).sensible_min.likely);
	});

	it("stays hot for hours under its lid, longest in the fullest pan, and misses its limit a moment after that", () => {
		const hold = holdOf(plan(RECIPE, ORDER, KITCHEN));
		const { likely, soonest } = hold.unheated;
		expect(soonest).toBeGreaterThan(60);
		expect(likely).toBeGreaterThan(Number(soonest));
		expect(heldVerdict(hold, false, Number(soonest))).toBe("met");
		expect(heldVerdict(hold, false, Number(soonest) + 1 / 60)).toBe("close");
		expect(heldVerdict(hold, false, Number(likely))).toBe("close");
		expect(heldVerdict(hold, false, Number(likely) + 1 / 60)).toBe("missed");
		expect(heldVerdict(hold, true, 600)).toBe("met");
	});

	it("is not known where it is made hot only to the limit itself", () => {
		const code = HOUSE_CODES.twoHour63;
		const ahead = { ...RECIPE, schools: { ...RECIPE.schools, service: "madeAhead" as const } };
		const hold = holdOf(plan(ahead, ORDER, wanting({ code })));
		expect(heldVerdict(hold, false, 30)).toBe("notKnown");
	});
});
