import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { ROLES, type Role } from "../trade/index.ts";
import { isFinerThan, SCALE_READINGS_G, scaleLines, weighAsCook } from "./index.ts";

const BASE = { baseMain_kg: 2.5, main_kg: 15, basePortions: 10, portions: 60, searLoads: 7, sauce_l: 4.2 };
const amount = fc.double({ min: 0.5, max: 50_000, noNaN: true });
const size = fc.double({ min: 0.2, max: 40, noNaN: true });

function scaled(role: Role, grams: number, main_kg: number, baseMain_kg: number): number {
	const [line] = scaleLines([{ name: "x", amount_g: grams, role }], { ...BASE, main_kg, baseMain_kg });
	return line?.amount_g ?? Number.NaN;
}

describe("by role", () => {
	it("straight lines scaled by a and then by b are scaled by ab", () => {
		fc.assert(
			fc.property(
				fc.constantFrom<Role>("main", "vegetable", "side", "salt", "liquid", "potent"),
				amount,
				size,
				size,
				(role, grams, a, b) => {
					const twice = scaled(role, scaled(role, grams, a, 1), b, 1);
					expect(twice).toBeCloseTo(scaled(role, grams, a * b, 1), 4);
				},
			),
		);
	});

	it("searing fat goes by the load and finishing by the portion, whatever the weight", () => {
		const lines = [
			{ name: "lard", amount_g: 20, role: "searFat" },
			{ name: "parsley", amount_g: 25, role: "finishing" },
		] as const;
		const light = scaleLines(lines, BASE);
		const heavy = scaleLines(lines, { ...BASE, main_kg: 200 });
		expect(light).toEqual(
			heavy.map((line, index) => ({ ...line, percentOfMain: light[index]?.percentOfMain })),
		);
		expect(light[0]?.amount_g).toBe(140);
	});

	it("a damped spice grows less than the meat, and is still there", () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1, max: 60, noNaN: true }),
				fc.double({ min: 0.7, max: 0.9, noNaN: true }),
				(factor, exponent) => {
					const line = { name: "clove", amount_g: 4, role: "potent", exponent } as const;
					const [damped] = scaleLines([line], { ...BASE, baseMain_kg: 1, main_kg: factor });
					expect(damped?.amount_g).toBeLessThanOrEqual(4 * factor + 1e-9);
					expect(damped?.amount_g).toBeGreaterThanOrEqual(4);
				},
			),
		);
	});

	it("what is counted is whole, and never none", () => {
		const [anise] = scaleLines([{ name: "star anise", count: 2, role: "potent", exponent: 0.8 }], BASE);
		expect(anise?.count).toBe(8);
		const [little] = scaleLines([{ name: "star anise", count: 1, role: "potent" }], {
			...BASE,
			main_kg: 0.2,
		});
		expect(little?.count).toBe(1);
	});

	it("a line that needs loads refuses to guess them", () => {
		const { searLoads: _, ...without } = BASE;
		expect(() => scaleLines([{ name: "lard", amount_g: 20, role: "searFat" }], without)).toThrow(
			"searLoads: is missing",
		);
	});
});

describe("as a cook weighs", () => {
	it.each([
		[2299.4, "vegetable", 2300],
		[12.4, "vegetable", 12],
		[443, "main", 445],
		[1234, "main", 1230],
		[0.3, "potent", 0.3],
	] as const)("%s g of %s is weighed as %s g", (grams, role, weighed) => {
		expect(weighAsCook(grams, role)).toBe(weighed);
	});

	it("salt and thickener never move by more than 2 %", () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1, max: 9000, noNaN: true }),
				fc.constantFrom<Role>("salt", "thickener"),
				(grams, role) => {
					expect(Math.abs(weighAsCook(grams, role) / grams - 1)).toBeLessThanOrEqual(0.0200001);
				},
			),
		);
	});

	it("what lies between two readings is neither doubled nor halved, and is told", () => {
		expect(weighAsCook(0.5, "potent")).toBe(0.5);
		expect(weighAsCook(1.5, "potent")).toBe(1.5);
		expect(weighAsCook(3.2, "potent")).toBe(3);
		expect(weighAsCook(7, "potent", 5)).toBe(7);
		expect(isFinerThan(0.5, 1)).toBe(true);
		expect(isFinerThan(15, 5)).toBe(false);
		fc.assert(
			fc.property(
				fc.double({ min: 0.01, max: 50_000, noNaN: true }),
				fc.constantFrom(...SCALE_READINGS_G),
				(grams, step) => {
					expect(Math.abs(weighAsCook(grams, "potent", step) / grams - 1)).toBeLessThanOrEqual(0.2500001);
				},
			),
		);
	});

	it("coarser scales round to what they read, but never salt by more than 2 %", () => {
		expect(weighAsCook(37, "vegetable", 5)).toBe(35);
		expect(weighAsCook(37, "vegetable")).toBe(37);
		expect(weighAsCook(2299, "vegetable", 5)).toBe(2300);
		expect(weighAsCook(12, "salt", 10)).toBe(12);
		fc.assert(
			fc.property(
				fc.double({ min: 60, max: 9000, noNaN: true }),
				fc.constantFrom(...SCALE_READINGS_G),
				(grams, step) => {
					// What would be off by more than a quarter is told, and not rounded.
					fc.pre(Math.abs(Math.round(grams / step) * step - grams) < 0.249 * grams);
					const weighed = weighAsCook(grams, "vegetable", step);
					expect(Math.abs(weighed / step - Math.round(weighed / step))).toBeLessThan(1e-9);
					expect(Math.abs(weighed - grams)).toBeLessThanOrEqual(Math.max(25, step / 2) + 1e-9);
				},
			),
		);
	});

	it("nothing is rounded away", () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.01, max: 3000, noNaN: true }),
				fc.constantFrom(...ROLES),
				(grams, role) => {
					expect(weighAsCook(grams, role)).toBeGreaterThan(0);
				},
			),
		);
	});
});
