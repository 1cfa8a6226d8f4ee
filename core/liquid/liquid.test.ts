import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
	blendStock,
	type LiquidGiven,
	liquidAccount,
	litresAMinute,
	RENDERED_FAT_KG_PER_L,
	sauceFrom,
} from "./index.ts";

const GIVEN: LiquidGiven = {
	poured_l: 12,
	vegetables_kg: 8,
	fromVegetables_l: 2,
	cooked_kg: 15,
	juice_l: 8,
	fat_kg: 1,
	gelatin_g: 300,
	fatPoured_kg: 0.2,
	gelatinPoured_g: 100,
	salt_g: 260,
	evaporated_l: 1.5,
	absorbed_l: 0.5,
	minutes: 160,
};
const POTS = { floor_m2: Math.PI * 0.04, power_kW: 3, count: 1, goes: 1 };
/** Reduced by half, with all the time and salt there is. */
const HALF = { reduceBy: 0.5, mostSalt_pct: null, finishSalt_g: 0, most_min: 10_000, before_min: 0 };

const amount = (max: number) => fc.double({ min: 0, max, noNaN: true });
const givens: fc.Arbitrary<LiquidGiven> = fc.record({
	poured_l: amount(60),
	vegetables_kg: fc.double({ min: 3, max: 30, noNaN: true }),
	fromVegetables_l: amount(3),
	juice_l: amount(40),
	cooked_kg: fc.double({ min: 0.1, max: 60, noNaN: true }),
	fat_kg: amount(8),
	gelatin_g: amount(2000),
	fatPoured_kg: amount(1),
	gelatinPoured_g: amount(500),
	salt_g: amount(1500),
	evaporated_l: amount(40),
	absorbed_l: amount(5),
	minutes: fc.double({ min: 10, max: 900, noNaN: true }),
});

describe("the account of the liquid", () => {
	it("adds up: in, less what goes, is what is left", () => {
		const account = liquidAccount(GIVEN);
		expect(account).toMatchObject({ fromVegetables_l: 2, weeping_l: 8, left_l: 20, dryAt_min: null });
		expect(account.fat_kg).toBeCloseTo(1.2, 9);
	});

	it("loses no liquid, salt, fat or gelatin to 0.1 %", () => {
		fc.assert(
			fc.property(givens, (given) => {
				const account = liquidAccount(given);
				const inwards = account.poured_l + account.fromVegetables_l + account.weeping_l;
				const outwards = account.evaporated_l + account.absorbed_l + account.left_l;
				expect(Math.abs(outwards - inwards)).toBeLessThanOrEqual(0.001 * inwards + 1e-9);
				const shared_kg = account.left_l + account.vegetables_kg + account.cooked_kg;
				const salt_g = (account.salt_pct / 100) * shared_kg * 1000;
				expect(Math.abs(salt_g - given.salt_g)).toBeLessThanOrEqual(0.001 * given.salt_g + 1e-9);
				expect(account.fat_kg).toBeCloseTo(given.fat_kg + given.fatPoured_kg, 9);
				expect(account.gelatin_g).toBeCloseTo(given.gelatin_g + given.gelatinPoured_g, 9);
				expect(account.left_l).toBeGreaterThanOrEqual(0);
			}),
		);
	});

	it("says the minute at which the pan would be dry, and never goes below nothing", () => {
		const account = liquidAccount({ ...GIVEN, evaporated_l: 44 });
		expect(account.left_l).toBe(0);
		expect(account.dryAt_min).toBeCloseTo((160 * 22) / 44, 9);
	});
});

describe("the sauce from it", () => {
	const account = liquidAccount(GIVEN);

	it("takes what the card's own finish asks, and never more than there is", () => {
		expect(sauceFrom(account, 6, POTS, 0, HALF)).toMatchObject({ take_l: 12, limitedBy: null });
		expect(sauceFrom(account, 6, POTS, 0, { ...HALF, reduceBy: 1 / 3 }).take_l).toBeCloseTo(9, 9);
		expect(sauceFrom(account, 15, POTS, 0, HALF)).toMatchObject({ take_l: 20, limitedBy: "liquid" });
	});

	it("stops where it would be too salt, and says so; salt is never the goal", () => {
		const sauce = sauceFrom(account, 6, POTS, 0, { ...HALF, mostSalt_pct: 0.9 });
		expect(sauce).toMatchObject({ limitedBy: "salt" });
		expect(sauce.salt_pct).toBeCloseTo(Math.max(0.9, account.salt_pct), 9);
		const mild = sauceFrom(liquidAccount({ ...GIVEN, salt_g: 20 }), 6, POTS, 0, {
			...HALF,
			mostSalt_pct: 1.2,
		});
		expect(mild).toMatchObject({ take_l: 12, limitedBy: null });
	});

	it("stops where the meat would wait too long, and says so", () => {
		const sauce = sauceFrom(account, 6, POTS, 0, { ...HALF, most_min: 20 });
		expect(sauce.limitedBy).toBe("time");
		const [first] = sauce.remedies;
		expect(first?.kind === "reduce" ? first.minutes : 0).toBeCloseTo(20, 6);
	});

	it("boils down before the lift what the meat would wait for, and leaves a third with it", () => {
		const early = sauceFrom(account, 6, POTS, 0, { ...HALF, most_min: 20, before_min: 60 });
		expect(early.after_min).toBeCloseTo(20, 6);
		expect(early.drawn?.minutes).toBeLessThanOrEqual(60 + 1e-6);
		expect(early.drawn?.litres).toBeLessThanOrEqual(account.left_l * (2 / 3) + 1e-9);
		const boiled = (early.drawn?.boilsAway_l ?? 0) + early.after_min * litresAMinute(POTS);
		expect(boiled).toBeCloseTo(early.take_l - 6, 6);
		expect(early.over_l).toBeCloseTo(account.left_l - early.take_l, 9);
		expect(early.moistens_l).toBeLessThanOrEqual(account.left_l / 3 + 1e-9);
	});

	it("counts the salt of what finishes it", () => {
		const plain = sauceFrom(account, 6, POTS, 0, HALF);
		expect(sauceFrom(account, 6, POTS, 0, { ...HALF, finishSalt_g: 12 }).salt_pct).toBeCloseTo(
			plain.salt_pct + 0.2,
			9,
		);
	});

	it("reduces to a mark in the pot, in as many pots as stand side by side", () => {
		const [remedy] = sauceFrom(account, 6, POTS, 0, HALF).remedies;
		const [two] = sauceFrom(account, 6, { ...POTS, count: 2 }, 0, HALF).remedies;
		if (remedy?.kind !== "reduce" || two?.kind !== "reduce") throw new Error("both reduce");
		expect(remedy.mark_mm).toBeCloseTo(6 / (Math.PI * 0.04), 6);
		expect(two.mark_mm).toBeCloseTo(remedy.mark_mm / 2, 6);
		expect(two.minutes).toBeCloseTo(remedy.minutes / 2, 6);
	});

	it("is lengthened with stock where there is too little, and the salt thins with it", () => {
		const sauce = sauceFrom(account, 30, POTS, 0, HALF);
		expect(sauce.remedies[0]).toMatchObject({ kind: "thin", stock_l: 10 });
		expect(sauce.salt_pct).toBeCloseTo((account.salt_pct * 20) / 30, 9);
	});

	it("floats its share of the fat in the pot", () => {
		const sauce = sauceFrom(account, 6, POTS, 0, HALF);
		expect(sauce.take_l).toBe(12);
		expect(sauce.fat_mm).toBeCloseTo((1.2 * 0.6) / RENDERED_FAT_KG_PER_L / (Math.PI * 0.04), 6);
		expect(sauce.fat_kg).toBeCloseTo(1.2, 9);
	});

	it("marks the ways that bring gluten, and all where flour is in it already", () => {
		const free = sauceFrom(account, 6, POTS, 0, HALF).remedies.filter(({ glutenFree }) => glutenFree);
		expect(free.map(({ kind }) => kind)).toEqual(["reduce", "starch", "puree", "acid"]);
		expect(sauceFrom(account, 6, POTS, 100, HALF).remedies.some(({ glutenFree }) => glutenFree)).toBe(false);
	});

	it("gathers gelatin as it reduces", () => {
		const thin = sauceFrom(account, 12, POTS, 0, HALF).gelatin_g_per_l;
		expect(sauceFrom(account, 6, POTS, 0, HALF).gelatin_g_per_l).toBeCloseTo(thin * (12 / 6) * (12 / 20), 6);
	});
});

describe("two stocks blended", () => {
	it("come to the wanted gelatin", () => {
		fc.assert(
			fc.property(
				amount(60),
				amount(60),
				amount(1),
				fc.double({ min: 0.1, max: 90, noNaN: true }),
				(a, b, t, l) => {
					const wanted_g_per_l = Math.min(Math.max(a + (b - a) * t, Math.min(a, b)), Math.max(a, b));
					const { strong_l, light_l } = blendStock({
						strong_g_per_l: a,
						light_g_per_l: b,
						wanted_g_per_l,
						litres: l,
					});
					expect(strong_l + light_l).toBeCloseTo(l, 6);
					expect(strong_l * a + light_l * b).toBeCloseTo(l * wanted_g_per_l, 4);
				},
			),
		);
	});

	it("cannot be stronger than the strong one", () => {
		const asked = { strong_g_per_l: 20, light_g_per_l: 5, wanted_g_per_l: 25, litres: 4 };
		expect(() => blendStock(asked)).toThrow("wanted_g_per_l: 25 was given; from 5 to 20");
	});
});
