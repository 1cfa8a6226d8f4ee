import { describe, expect, it } from "vitest";
import { HOUSE_CODES, type HouseCodeKey } from "./index.ts";

const CODES = Object.entries(HOUSE_CODES);

describe("house codes", () => {
	it.each(CODES)("%s names where it comes from", (_key, code) => {
		expect(code.source.length).toBeGreaterThan(10);
		expect(code.name.length).toBeGreaterThan(5);
	});

	it.each(CODES)("%s cools downwards, and later steps take longer", (_key, { cooling }) => {
		const steps = cooling.to;
		expect(steps.length).toBeGreaterThan(0);
		for (let index = 1; index < steps.length; index += 1) {
			expect(steps[index]?.to_C).toBeLessThan(steps[index - 1]?.to_C ?? 0);
			expect(steps[index]?.within_min).toBeGreaterThan(steps[index - 1]?.within_min ?? 0);
		}
	});

	it.each(CODES)("%s holds hot above what it cools to, and reheats at least as hot", (_key, code) => {
		const coldest = Math.min(...code.cooling.to.map(({ to_C }) => to_C));
		expect(code.holdHot_C).toBeGreaterThan(coldest);
		expect(code.reheat.core_C).toBeGreaterThanOrEqual(code.holdHot_C);
	});

	it("the two-stage rule is 57 to 21 in two hours and to 5 in six in all", () => {
		const key: HouseCodeKey = "twoStage57";
		expect(HOUSE_CODES[key].cooling).toEqual({
			from_C: 57,
			standing_min: 0,
			to: [
				{ to_C: 21, within_min: 120 },
				{ to_C: 5, within_min: 360 },
			],
		});
	});

	it("the ninety-minute chill is to 3 °C, after half an hour at the most", () => {
		const key: HouseCodeKey = "blast90";
		expect(HOUSE_CODES[key].cooling).toMatchObject({ standing_min: 30, to: [{ to_C: 3, within_min: 90 }] });
	});

	it("never says that food is safe", () => {
		expect(JSON.stringify(HOUSE_CODES)).not.toMatch(/\bsafe\b/i);
	});
});
