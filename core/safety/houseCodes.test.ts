import { describe, expect, it } from "vitest";
import { checked, Refusal } from "../check/index.ts";
import {
	CodeEntry,
	codeOf,
	HOUSE_CODE_KEYS,
	HOUSE_CODES,
	type HouseCodeKey,
	presetOf,
	typedCode,
} from "./index.ts";

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
		expect(code.keepCold_C).toBeGreaterThanOrEqual(coldest);
		expect(code.keepCold_C).toBeLessThan(code.holdHot_C);
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

/** A form as it is read: empty fields are left out, figures are numbers. */
const readBack = (typed: Record<string, string>) =>
	codeOf(
		checked(
			CodeEntry,
			Object.fromEntries(
				Object.entries(typed)
					.filter(([, value]) => value !== "")
					.map(([field, value]) => [
						field,
						Number.isNaN(Number(value)) || field === "dated" ? value : Number(value),
					]),
			),
		),
	);

describe("limits of the house's own", () => {
	it.each(HOUSE_CODE_KEYS)("begin as a copy of %s, and read back as what they were", (key) => {
		expect(readBack(typedCode(HOUSE_CODES[key]))).toEqual(HOUSE_CODES[key]);
		expect(presetOf(key)).toBe(HOUSE_CODES[key]);
		expect(presetOf("nothing")).toBeNull();
	});

	it.each([
		[{ second_C: "30", second_min: "400" }, "second_C"],
		[{ second_min: "60" }, "second_min"],
		[{ second_min: "" }, "second_min"],
		[{ second_C: "" }, "second_C"],
		[{ from_C: "41", first_C: "50" }, "from_C"],
		[{ holdHot_C: "20" }, "holdHot_C"],
	])("that do not go together are refused by their field: %j", (changed, field) => {
		const typed = { ...typedCode(HOUSE_CODES.twoStage57), ...(changed as Record<string, string>) };
		let refusal: unknown;
		try {
			readBack(typed);
		} catch (error) {
			refusal = error;
		}
		expect(refusal).toBeInstanceOf(Refusal);
		expect((refusal as Refusal).problems.map((problem) => problem.field)).toContain(field);
	});
});
