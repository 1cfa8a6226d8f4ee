import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { MOST_STEAM_KG_PER_M2_H, type Reduction, reduce, THICKENERS, thicken } from "./index.ts";

const POT = { diameter_mm: 400 };
const litres = fc.double({ min: 0.5, max: 60, noNaN: true });
const anyReduction: fc.Arbitrary<Reduction> = fc
	.tuple(
		litres,
		fc.double({ min: 0.05, max: 1, noNaN: true }),
		fc.integer({ min: 160, max: 800 }),
		fc.double({ min: 0.5, max: 30, noNaN: true }),
		fc.double({ min: 0, max: 2, noNaN: true }),
	)
	.map(([start_l, share, diameter_mm, power_kW, salt_pct]) => ({
		start_l,
		target_l: start_l * share,
		pot: { diameter_mm },
		power_kW,
		salt_pct,
	}));

describe("boiling down", () => {
	it("two litres off at three kilowatts take 25 minutes, and salt rises by half", () => {
		const reduced = reduce({ start_l: 6, target_l: 4, pot: POT, power_kW: 3, salt_pct: 0.6 });
		expect(reduced.minutes).toBeCloseTo((2 * 2257) / 3 / 60, 6);
		expect(reduced).toMatchObject({ limitedBy: "power", salt_pct: expect.closeTo(0.9, 9) });
	});

	it("says where on the stick to stop", () => {
		const { from_mm, mark_mm } = reduce({ start_l: 6, target_l: 4, pot: POT, power_kW: 3 });
		expect(from_mm).toBeCloseTo(47.7, 1);
		expect(mark_mm / from_mm).toBeCloseTo(4 / 6, 9);
	});

	it("more heat is never slower, and a narrow pot sets its own pace", () => {
		fc.assert(
			fc.property(anyReduction, fc.double({ min: 1, max: 5, noNaN: true }), (given, times) => {
				const slow = reduce(given);
				expect(reduce({ ...given, power_kW: given.power_kW * times }).minutes).toBeLessThanOrEqual(
					slow.minutes + 1e-9,
				);
				const area_m2 = (Math.PI / 4) * (given.pot.diameter_mm / 1000) ** 2;
				const steam = given.start_l - given.target_l;
				const rate = slow.minutes === 0 ? 0 : (steam / slow.minutes) * 60;
				expect(rate).toBeLessThanOrEqual(area_m2 * MOST_STEAM_KG_PER_M2_H * (1 + 1e-9));
			}),
		);
	});

	it("no salt is lost", () => {
		fc.assert(
			fc.property(anyReduction, (given) => {
				const { salt_pct = 0 } = reduce(given);
				expect(salt_pct * given.target_l).toBeCloseTo((given.salt_pct ?? 0) * given.start_l, 6);
			}),
		);
	});

	it("in two goes takes as long as in one", () => {
		fc.assert(
			fc.property(anyReduction, fc.double({ min: 0, max: 1, noNaN: true }), (given, where) => {
				const between = given.target_l + (given.start_l - given.target_l) * where;
				const middle = Math.min(given.start_l, Math.max(given.target_l, between));
				const first = reduce({ ...given, target_l: middle });
				const then = reduce({ ...given, start_l: middle });
				expect(first.minutes + then.minutes).toBeCloseTo(reduce(given).minutes, 6);
			}),
		);
	});

	it("upwards is refused at the target", () => {
		expect(() => reduce({ start_l: 4, target_l: 6, pot: POT, power_kW: 3 })).toThrow(/target_l: 6 l/);
	});
});

describe("thickening", () => {
	it.each([
		["starch", { starch_g: 107.5, water_g: 215 }, true],
		["roux", { flour_g: 275, fat_g: 275 }, false],
		["kneadedButter", { flour_g: 175, fat_g: 175 }, false],
	] as const)("five litres with %s", (method, wanted, glutenFree) => {
		const near = Object.entries(wanted).map(([name, grams]) => [name, expect.closeTo(grams, 9)]);
		expect(thicken({ sauce_l: 5, method })).toMatchObject({ ...Object.fromEntries(near), glutenFree });
	});

	it("dredging counts, and takes the sauce out of what is free of gluten", () => {
		expect(thicken({ sauce_l: 5, method: "roux", dredged_g: 150 }).flour_g).toBeCloseTo(125, 9);
		expect(thicken({ sauce_l: 5, method: "starch", dredged_g: 150 })).toMatchObject({
			glutenFree: false,
			starch_g: expect.closeTo(48.9, 1),
		});
	});

	it("never asks for less than nothing, and twice the sauce for at least twice", () => {
		fc.assert(
			fc.property(
				litres,
				fc.constantFrom(...THICKENERS),
				fc.double({ min: 0, max: 5000, noNaN: true }),
				(sauce_l, method, dredged_g) => {
					const grams = (thickened: ReturnType<typeof thicken>) =>
						thickened.starch_g ?? thickened.flour_g ?? Number.NaN;
					const needed = grams(thicken({ sauce_l, method, dredged_g }));
					expect(needed).toBeGreaterThanOrEqual(0);
					expect(grams(thicken({ sauce_l: sauce_l * 2, method, dredged_g }))).toBeGreaterThanOrEqual(
						needed * 2 - 1e-6,
					);
				},
			),
		);
	});
});
