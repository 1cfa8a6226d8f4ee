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
		expect(code.display_C).toBeGreaterThanOrEqual(code.keepCold_C);
		expect(code.display_C).toBeGreaterThanOrEqual(coldest);
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

	it.each([
		["twoStage57", 5, 5, 7, 74],
		["blast90", 3, 8, 5, 75],
		["blast90at82", 3, 8, 5, 82],
		["twoHour63", 3, 10, 3, 63],
		["twoStage60", 5, 5, 5, 60],
		["twoStage60at75", 5, 5, 5, 75],
	] as const)("%s stores at %d °C, shows at %d, for %d days, and reheats to %d °C", (key, ...figures) => {
		const { keepCold_C, display_C, life, reheat } = HOUSE_CODES[key];
		expect([keepCold_C, display_C, life.chilled_days, reheat.core_C]).toEqual(figures);
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
	it("are kept in the degrees that they were typed in", () => {
		const code = readBack(typedCode(HOUSE_CODES.twoStage57, "F"));
		expect(code).toMatchObject({ onlyF: true, limits_F: HOUSE_CODES.twoStage57.limits_F });
		expect(code.reheat.core_C).toBeCloseTo(73.889, 3);
		expect(typedCode(code)).toEqual(typedCode(HOUSE_CODES.twoStage57, "F"));
		expect(readBack(typedCode(code))).toEqual(code);
	});

	it("are refused outside what is allowed, in the unit they were typed in", () => {
		const typed = { ...typedCode(HOUSE_CODES.blast90, "F"), holdHot_C: "90" };
		expect(() => readBack(typed)).toThrow(/holdHot_C.*from 104 to 203 °F/);
		expect(() => readBack({ ...typed, unit: "C" })).toThrow(/first_C|keepCold_C/);
	});

	it.each(HOUSE_CODE_KEYS)("begin as a copy of %s, and read back as what they were", (key) => {
		expect(readBack(typedCode(HOUSE_CODES[key]))).toEqual({ ...HOUSE_CODES[key], limits_F: null });
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
