import { describe, expect, it } from "vitest";
import { calculate, isWanted, valueAt } from "./index.ts";

const RESULT = {
	a: { b: [1, { c: "x" }] },
	lines: [{ name: "star anise", count: 8 }],
	minutesTo: [30, null],
};

describe("what a case expects", () => {
	it.each([
		["a.b[0]", 1],
		["a.b[1].c", "x"],
		["lines[name=star anise].count", 8],
		["minutesTo[1]", null],
		["a.z.b", undefined],
		["lines[name=salt].count", undefined],
	])("%s is found", (path, value) => {
		expect(valueAt(RESULT, path)).toBe(value);
	});

	it("numbers agree to half a percent, ranges at both ends, null only with null", () => {
		expect(isWanted(100.4, 100)).toBe(true);
		expect(isWanted(100.6, 100)).toBe(false);
		expect(isWanted(2, [2, 3])).toBe(true);
		expect(isWanted(3.01, [2, 3])).toBe(false);
		expect(isWanted("2.5", [2, 3])).toBe(false);
		expect(isWanted(undefined, null)).toBe(false);
		expect(isWanted(null, null)).toBe(true);
		expect(isWanted("overfull", "overfull")).toBe(true);
	});
});

describe("asked from outside", () => {
	const piece = { shape: "ball", diameter_mm: 30, weight_g: 15 };
	const line = { share: 0.5 };
	it.each([
		["panFit", { pan: { gn: "1/9", depth_mm: 100 }, piece, pieces: 1, line }, "pan.gn"],
		["panFit", { pan: { depth_mm: 100 }, piece, pieces: 1, line }, "pan: "],
		["panFit", { pan: { gn: "1/1", depth_mm: 100 }, piece: { shape: "cone" }, pieces: 1, line }, "piece"],
		["panFit", { pan: { gn: "1/1", depth_mm: 100 }, piece, pieces: 1e9, line }, "pieces"],
		["panFit", { pan: { gn: "1/1", depth_mm: 100 }, piece, pieces: 1, line: { share: 2 } }, "line"],
		["yield", { covers: 10, portion_g: 100, trimLoss: 0.1 }, "cookingLoss: is missing"],
		["yield", { onHand_kg: -3, portion_g: 100, trimLoss: 0.1, cookingLoss: 0.2 }, "onHand_kg"],
		["yield", null, "given"],
		["souffle", {}, "calc"],
	])("%s of %o is refused, naming %s", (calc, given, field) => {
		expect(() => calculate(calc, given)).toThrow(field);
	});

	it("a dish by the piece may leave out what does not change its order", () => {
		const given = { covers: 90, uptake: 0.5, spare: 0.04, piecesPerPortion: 1, piece_g: 260 };
		expect(calculate("yield", given)).toMatchObject({ portions: 47, pieces: 47 });
	});
});
