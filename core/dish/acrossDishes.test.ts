import { groupBy } from "es-toolkit";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Kitchen } from "../kitchen/index.ts";
import { NORTH, SOUTH } from "../kitchen/kitchen.testing.ts";
import { runs } from "../random/runs.testing.ts";
import type { Recipe } from "../recipe/index.ts";
import { MINUTE_MS } from "../time/index.ts";
import { equipped, lonePlans, ORDER, RECIPE } from "./dish.testing.ts";
import { countByType, type DishToPlan, lastTaskAt, type Plan, plan, taskAt } from "./index.ts";

const spread = (values: readonly number[]) => Math.max(...values) - Math.min(...values);
const NAMES = ["collar", "duck", "goat", "mutton"] as const;

/** Sittings of a few dishes with other temperatures, sizes of batch and sizes of piece. */
const sittings: fc.Arbitrary<DishToPlan[]> = fc
	.array(
		fc.record({
			covers: fc.integer({ min: 8, max: 220 }),
			set: fc.constantFrom(110, 130, 150, 170),
			reach: fc.constantFrom(0, 10, 25),
			height_mm: fc.constantFrom(35, 50, 65),
			lid: fc.constantFrom("lid" as const, "foil" as const),
		}),
		{ minLength: 1, maxLength: NAMES.length },
	)
	.map((dishes) =>
		dishes.map(({ covers, set, reach, height_mm, lid }, index): DishToPlan => {
			const id = NAMES[index] as string;
			const recipe: Recipe = {
				...RECIPE,
				name: id,
				piece: { shape: "block", length_mm: 85, width_mm: 60, height_mm, weight_g: 5 * height_mm },
				braise: { ...RECIPE.braise, lid, oven_C: { low: set - reach, set, high: set + reach } },
			};
			return { recipe, order: { ...ORDER, id, covers } };
		}),
	);

const kitchens: fc.Arbitrary<Kitchen> = fc
	.record({
		full: fc.integer({ min: 0, max: 20 }),
		half: fc.integer({ min: 0, max: 12 }),
		ovens: fc.constantFrom([NORTH], [SOUTH], [NORTH, SOUTH], []),
	})
	.map(({ full, half, ovens }) =>
		equipped({
			pans: [
				{ id: "full", name: "GN 1/1-100", shape: { gn: "1/1", depth_mm: 100 }, stock: full },
				{ id: "half", name: "GN 1/2-100", shape: { gn: "1/2", depth_mm: 100 }, stock: half },
			],
			ovens,
		}),
	);

const plansOf = (dishes: readonly DishToPlan[], kitchen: Kitchen): Plan[] =>
	lonePlans(dishes, kitchen).flatMap((dish) => ("plan" in dish ? [dish.plan] : []));

describe("dishes that share a kitchen", () => {
	it("never have more pans than there are, and lose no piece", () => {
		fc.assert(
			fc.property(sittings, kitchens, (dishes, kitchen) => {
				const plans = plansOf(dishes, kitchen);
				for (const { id, stock } of kitchen.equipment.pans) {
					const used = plans.flatMap(({ pans }) => countByType(pans)).filter(({ type }) => type.id === id);
					expect(used.reduce((sum, { count }) => sum + count, 0)).toBeLessThanOrEqual(stock);
				}
				for (const { pans, pieces, short } of plans) {
					const placed = pans.pans.reduce((sum, pan) => sum + pan.pieces, 0);
					expect(placed).toBe(pans.pans.length > 0 ? pieces : 0);
					expect(short?.pieces ?? 0).toBe(pans.unplaced);
				}
			}),
			{ numRuns: runs(60) },
		);
	});

	it("fill no oven beyond its rungs, and each oven has one temperature that suits all that is in it", () => {
		fc.assert(
			fc.property(sittings, kitchens, (dishes, kitchen) => {
				const taken = new Map<string, number>();
				const set = new Map<string, number>();
				for (const { ovens, recipe } of plansOf(dishes, kitchen)) {
					for (const { oven, set_C, rungsTaken } of ovens.loads) {
						taken.set(oven.id, (taken.get(oven.id) ?? 0) + rungsTaken);
						expect(set.get(oven.id) ?? set_C).toBe(set_C);
						set.set(oven.id, set_C);
						expect(set_C).toBeGreaterThanOrEqual(recipe.braise.oven_C.low);
						expect(set_C).toBeLessThanOrEqual(recipe.braise.oven_C.high);
					}
				}
				for (const { id, rungs } of kitchen.equipment.ovens)
					expect(taken.get(id) ?? 0).toBeLessThanOrEqual(rungs);
			}),
			{ numRuns: runs(60) },
		);
	});

	it("say what has no pan or no rung, and say nothing where all have", () => {
		fc.assert(
			fc.property(sittings, kitchens, (dishes, kitchen) => {
				for (const { pans, ovens, warnings } of plansOf(dishes, kitchen)) {
					const codes = warnings.map(({ code }) => code);
					expect(codes.includes("noPan")).toBe(pans.pans.length === 0);
					expect(codes.includes("panStock")).toBe(pans.pans.length > 0 && pans.unplaced > 0);
					const hasRungs = pans.pans.length === 0 || ovens.without === 0;
					expect(codes.includes("ovenSpace") || codes.includes("noOven")).toBe(!hasRungs);
				}
			}),
			{ numRuns: runs(60) },
		);
	});

	it("each wait for the slowest of their own pans, and for those of no other dish", () => {
		fc.assert(
			fc.property(sittings, kitchens, (dishes, kitchen) => {
				for (const made of plansOf(dishes, kitchen)) {
					if (!made.braise) continue;
					const tasks = made.tasks.filter(({ figures }) => figures.group !== undefined);
					expect(tasks).toHaveLength(made.braise.groups.length);
					// Starts are on the five minutes, so that ends of one filling lie up to five minutes apart.
					const goes = Object.values(groupBy(tasks, ({ figures }) => figures.go ?? 1));
					const apart = goes.map((go) => spread(go.map(({ end }) => end)));
					expect(Math.max(...apart)).toBeLessThan(5 * MINUTE_MS);
					for (const { start, end, figures } of tasks) {
						const group = made.braise.groups.find(({ id }) => id === figures.group);
						expect((end - start) / MINUTE_MS).toBe(group?.allowed_min);
						expect(group?.allowed_min).toBeLessThanOrEqual(made.braise.slowest.allowed_min);
					}
					const lift = lastTaskAt(made, "rest") ?? lastTaskAt(made, "chill") ?? lastTaskAt(made, "plate");
					expect(lift?.start).toBeGreaterThanOrEqual(Math.max(...tasks.map(({ end }) => end)));
				}
			}),
			{ numRuns: runs(40) },
		);
	});

	it("that needs nothing of the others is planned as if it were alone", () => {
		fc.assert(
			fc.property(sittings, (dishes) => {
				const [first, ...others] = dishes;
				if (!first) return;
				const plenty = equipped({
					pans: [{ id: "full", name: "GN 1/1-100", shape: { gn: "1/1", depth_mm: 100 }, stock: 400 }],
					ovens: dishes.map((_, index) => ({
						...NORTH,
						// Without a rating plate: dishes that come to stand together take no heat from each other.
						power_w: null,
						id: `oven ${index}`,
						name: `Oven ${index}`,
						rungs: 60,
					})),
				});
				const alone = plan(first.recipe, first.order, plenty);
				const [among] = plansOf([first, ...others], plenty);
				expect(among?.chain).toEqual(alone.chain);
				const laid = (made: Plan | undefined) => made?.pans.pans.map(({ type, pieces }) => [type.id, pieces]);
				expect(laid(among)).toEqual(laid(alone));
				const set = (made: Plan | undefined) => made?.braise?.groups.map(({ set_C }) => set_C);
				// Beside another in an oven that is set otherwise, it steams and so is poured otherwise.
				if (JSON.stringify(set(among)) === JSON.stringify(set(alone))) {
					expect(among?.pans).toEqual(alone.pans);
				}
				expect(among?.colour).toEqual(alone.colour);
			}),
			{ numRuns: runs(30) },
		);
	});
});

describe("a still oven beside a fan oven", () => {
	it("is given longer, and the sheet's own order puts its pans in first", () => {
		const kitchen = equipped({
			ovens: [
				{ ...NORTH, rungs: 4 },
				{ ...SOUTH, rungs: 3 },
			],
		});
		const made = plan(RECIPE, { ...ORDER, covers: 240 }, kitchen);
		const groups = made.braise?.groups ?? [];
		expect(new Set(groups.map(({ oven }) => oven?.id))).toEqual(new Set(["north", "south"]));
		const still = groups.find(({ oven }) => oven?.kind === "stillOven");
		const fan = groups.find(({ oven }) => oven?.kind === "fanOven");
		expect(still?.tender_min.likely).toBeGreaterThan(fan?.tender_min.likely ?? Number.POSITIVE_INFINITY);
		const into = (group = still) => made.tasks.find(({ figures }) => figures.group === group?.id)?.start;
		expect(into(still)).toBeLessThanOrEqual(into(fan) ?? Number.NEGATIVE_INFINITY);
		expect(taskAt(made, "braise")?.figures.group).toBe(still?.id);
	});
});
