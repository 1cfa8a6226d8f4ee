import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { ingredient, type Recipe } from "../recipe/index.ts";
import { KITCHEN, knowing, ORDER, RECIPE } from "./dish.testing.ts";
import { byProductsOf, goingInto, plan } from "./index.ts";

const kitchen = knowing([
	ingredient({ id: "thigh", name: "chicken thighs", category: "poultry", cut: "chickenThigh" }),
	ingredient({ id: "potato", name: "potatoes" }),
]);

const SECOND: Recipe["second"] = {
	cut: "chickenThigh",
	losses: { trimLoss: 0.06, boneShare: 0, cookingLoss: 0.27 },
	piece: { shape: "block", length_mm: 85, width_mm: 55, height_mm: 24, weight_g: 110 },
};
const TWO: Recipe = {
	...RECIPE,
	second: SECOND,
	lines: [...RECIPE.lines, { ingredient: "thigh", amount: 1100, unit: "g", role: "second", group: "base" }],
};

describe("two mains in one dish", () => {
	const one = plan(RECIPE, ORDER, kitchen);
	const two = plan(TWO, ORDER, kitchen);

	it("are each portioned by their own line and losses", () => {
		const { second, chain } = two;
		expect(second?.trimmed_kg).toBeCloseTo((1.1 * chain.trimmed_kg) / 2.5, 9);
		expect(second?.asPurchased_kg).toBeCloseTo((second?.trimmed_kg ?? 0) / 0.94, 9);
		expect((second?.perPortion_g ?? 0) * chain.portions).toBeCloseTo((second?.cooked_kg ?? 0) * 1000, 6);
	});

	it("are lifted together: the quicker joins so long before", () => {
		const [late] = two.tasks.filter(({ part }) => part === "late");
		const lift = two.tasks.find(({ part }) => part === "lift");
		expect(two.second?.slower).toBe(false);
		expect(late?.figures.ingredient).toBe("chicken thighs");
		expect(((lift?.start ?? 0) - (late?.start ?? 0)) / 60_000).toBe(two.second?.joins_min);
		expect(two.second?.joins_min).toBeGreaterThan(20);
		expect(two.second?.joins_min).toBeLessThan(two.allowed_min);
	});

	it("weigh on the pans, and both give juice, fat and gelatin", () => {
		const lifted = (planned: typeof one) => planned.pans.pans.reduce((sum, pan) => sum + pan.contents_kg, 0);
		const gains = (two.second?.trimmed_kg ?? 0) + two.pans.liquid_l - one.pans.liquid_l;
		expect(lifted(two) - lifted(one)).toBeCloseTo(gains, 6);
		expect(two.liquid?.juice.juice_l).toBeGreaterThan(one.liquid?.juice.juice_l ?? 0);
		expect(two.liquid?.gelatin_g).toBeGreaterThan(one.liquid?.gelatin_g ?? 0);
		expect(two.liquid?.cooked_kg).toBeCloseTo(two.chain.cooked_kg + (two.second?.cooked_kg ?? 0), 9);
	});

	it("are in from the start where the second is the slower, and it is said", () => {
		const tough: Recipe = {
			...TWO,
			second: {
				cut: "beefShin",
				losses: { trimLoss: 0.12, boneShare: 0, cookingLoss: 0.39 },
				piece: { shape: "block", length_mm: 120, width_mm: 90, height_mm: 80, weight_g: 900 },
			},
		};
		const planned = plan(tough, ORDER, kitchen);
		expect(planned.second?.slower).toBe(true);
		expect(planned.allowed_min).toBeGreaterThan(one.allowed_min);
		expect(planned.tasks.some(({ part }) => part === "late")).toBe(false);
		expect(planned.warnings.map(({ code }) => code)).toContain("secondSlower");
	});
});

describe("a topping of slices", () => {
	const topped = (kg: number): Recipe => ({
		...RECIPE,
		topping: { thickness_mm: 15 },
		lines: [
			...RECIPE.lines,
			{ ingredient: "potato", amount: kg, unit: "kg", role: "topping", group: "base" },
		],
	});

	it("takes headspace and heat, and gives the liquid nothing", () => {
		const bare = plan(RECIPE, ORDER, kitchen);
		const planned = plan(topped(1.8), ORDER, kitchen);
		expect(planned.braise_min.likely).toBeGreaterThan(bare.braise_min.likely);
		expect(planned.liquid?.fromVegetables_l).toBeCloseTo(bare.liquid?.fromVegetables_l ?? 0, 9);
		for (const pan of planned.pans.pans) expect(pan.pieceOver_mm).toBe(0);
	});

	it("is told where it lies much thinner or thicker than the card says", () => {
		const codes = (kg: number) => plan(topped(kg), ORDER, kitchen).warnings.map(({ code }) => code);
		expect(codes(0.4)).toContain("toppingThickness");
		expect(codes(6)).toContain("toppingThickness");
	});
});

describe("what is left of a dish", () => {
	const RULE = { timeZone: "Europe/Berlin", keeps_days: 3 };
	const boned: Recipe = { ...RECIPE, losses: { trimLoss: 0.1, boneShare: 0.3, cookingLoss: 0.35 } };

	it("is what its own figures lost: trim, bones, fat, liquid", () => {
		const planned = plan(boned, ORDER, KITCHEN);
		const left = new Map(byProductsOf(planned, RULE).map((each) => [each.kind, each]));
		const { asPurchased_kg, trimmed_kg } = planned.chain;
		expect(left.get("trim")?.kg).toBeCloseTo(asPurchased_kg - trimmed_kg, 9);
		expect(left.get("bones")?.kg).toBeCloseTo(trimmed_kg * 0.3, 9);
		expect(left.get("fat")?.kg).toBeCloseTo(planned.liquid?.fat_kg ?? 0, 9);
		expect(left.get("trim")?.at).toBeLessThan(left.get("bones")?.at ?? 0);
		expect(left.get("trim")?.useBy).toMatch(/^2026-11-\d\d$/);
	});

	it("goes where it is sent, and nowhere else", () => {
		const planned = plan(boned, ORDER, KITCHEN);
		const kilos = (kind: string) => byProductsOf(planned, RULE).find((each) => each.kind === kind)?.kg ?? 0;
		const into = goingInto([{ plan: planned, uses: { trim: "broth", bones: "broth" } }], RULE);
		expect([...into.keys()]).toEqual(["broth"]);
		expect(into.get("broth")?.kg).toBeCloseTo(kilos("trim") + kilos("bones"), 9);
	});
});

describe("guests who do not eat one portion", () => {
	it("add up to the meat: half portions and whole ones", () => {
		const counts = fc.record({
			covers: fc.integer({ min: 20, max: 400 }),
			half: fc.integer({ min: 0, max: 20 }),
		});
		fc.assert(
			fc.property(counts, ({ covers, half }) => {
				const perGuest = (covers - half / 2) / covers;
				const mixed = plan(RECIPE, { ...ORDER, covers, uptake: 1, spare: 0, perGuest }, KITCHEN);
				const whole = plan(RECIPE, { ...ORDER, covers: covers - half, uptake: 1, spare: 0 }, KITCHEN);
				const halves = (half * 0.5 * whole.chain.cooked_kg) / whole.chain.portions;
				const portion_kg = whole.chain.cooked_kg / whole.chain.portions;
				expect(Math.abs(mixed.chain.cooked_kg - whole.chain.cooked_kg - halves)).toBeLessThanOrEqual(
					portion_kg * 0.5 + 1e-9,
				);
				expect(mixed.serving.guests).toBeGreaterThanOrEqual(covers);
			}),
			{ numRuns: 15 },
		);
	});
});
