import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { countByType, type DishToPlan } from "#core/dish";
import type { IntegerProgram, Terms } from "#core/integer";
import { choosePansWith } from "#core/pans";
import { INGREDIENTS } from "#db/demo";
import { knowing, lonePlans, ORDER, RECIPE } from "../core/dish/dish.testing.ts";
import { demoDish } from "../core/recipe/demoBook.testing.ts";

import { integerSolver } from "./integerSolver.ts";

const amountOf = (terms: Terms, values: ReadonlyMap<string, number>) =>
	terms.reduce((sum, [name, times]) => sum + times * (values.get(name) ?? 0), 0);

const holds = ({ rows }: IntegerProgram, values: ReadonlyMap<string, number>) =>
	rows.every(({ terms, least = -1e9, most = 1e9 }) => {
		const amount = amountOf(terms, values);
		return amount >= least - 1e-6 && amount <= most + 1e-6;
	});

/** The least of all there is, by trying all there is. */
function leastByTrying(program: IntegerProgram): number | null {
	let best: number | null = null;
	const values = new Map<string, number>();
	const tryFrom = (index: number): void => {
		const variable = program.variables[index];
		if (!variable) {
			if (!holds(program, values)) return;
			const amount = amountOf(program.minimise, values);
			if (best === null || amount < best) best = amount;
			return;
		}
		for (let value = variable.least; value <= variable.most; value += 1) {
			values.set(variable.name, value);
			tryFrom(index + 1);
		}
	};
	tryFrom(0);
	return best;
}

const NAMES = ["a", "b", "c"] as const;
const termsOfThree = fc
	.tuple(...NAMES.map(() => fc.integer({ min: -4, max: 6 })))
	.map((times): Terms => NAMES.map((name, index) => [name, times[index] as number] as const));
const programs: fc.Arbitrary<IntegerProgram> = fc.record({
	variables: fc
		.tuple(...NAMES.map(() => fc.integer({ min: 0, max: 5 })))
		.map((most) => NAMES.map((name, index) => ({ name, least: 0, most: most[index] as number }))),
	rows: fc.array(
		fc.oneof(
			fc.record({ terms: termsOfThree, least: fc.integer({ min: -6, max: 20 }) }),
			fc.record({ terms: termsOfThree, most: fc.integer({ min: -6, max: 20 }) }),
		),
		{ maxLength: 3 },
	),
	minimise: termsOfThree,
});

describe("whole numbers to the proven least", () => {
	it("are as good as the best of all that can be tried, and none where none can be", () => {
		fc.assert(
			fc.property(programs, (program) => {
				const found = integerSolver(program);
				const best = leastByTrying(program);
				if (best === null) {
					expect(found).toBeNull();
					return;
				}
				if (!found) throw new Error("none was found");
				expect(holds(program, found)).toBe(true);
				expect(amountOf(program.minimise, found)).toBeCloseTo(best, 6);
			}),
			{ numRuns: 150 },
		);
	});

	it("are the same when they are asked for again", () => {
		const program: IntegerProgram = {
			variables: [{ name: "pans", least: 0, most: 9 }],
			rows: [{ terms: [["pans", 12]], least: 40 }],
			minimise: [["pans", 1]],
		};
		expect(integerSolver(program)?.get("pans")).toBe(4);
		expect(integerSolver(structuredClone(program))).toEqual(integerSolver(program));
	});
});

describe("dishes of a sitting that want the same pans", () => {
	const LARDER = knowing(INGREDIENTS);
	const dish = (id: string, recipe: typeof RECIPE, covers: number): DishToPlan => ({
		recipe,
		order: { ...ORDER, id, covers, uptake: 1 },
	});
	const DISHES = [
		dish("collar", RECIPE, 90),
		dish("goat", demoDish("goat-shoulder"), 80),
		dish("duck", demoDish("duck-legs"), 60),
	];
	const told = (dishes: readonly DishToPlan[]) =>
		lonePlans(dishes, LARDER, choosePansWith(integerSolver))
			.map((planned) =>
				"plan" in planned
					? {
							id: planned.id,
							pans: planned.plan.pans.pans.map(({ type, pieces }) => [type.id, pieces]),
							ovens: planned.plan.ovens.loads.map(({ oven, set_C, rungsTaken }) => [
								oven.id,
								set_C,
								rungsTaken,
							]),
							tasks: planned.plan.tasks.map(({ id, start, end }) => [id, start, end]),
							warnings: planned.plan.warnings.map(({ code }) => code),
						}
					: planned,
			)
			.sort((a, b) => a.id.localeCompare(b.id));

	it("are planned the same in whatever order they are given", () => {
		const inOrder = told(DISHES);
		expect(inOrder.map(({ id }) => id)).toEqual(["collar", "duck", "goat"]);
		fc.assert(
			fc.property(fc.shuffledSubarray(DISHES, { minLength: DISHES.length }), (shuffled) => {
				expect(told(shuffled)).toEqual(inOrder);
			}),
			{ numRuns: 6 },
		);
	});

	it("take no pan twice, together no more than there are", () => {
		const used = new Map<string, number>();
		for (const planned of lonePlans(DISHES, LARDER, choosePansWith(integerSolver))) {
			if (!("plan" in planned)) throw new Error(planned.refused);
			for (const { type, count } of countByType(planned.plan.pans)) {
				used.set(type.id, (used.get(type.id) ?? 0) + count);
			}
		}
		expect(used.size).toBeGreaterThan(0);
		for (const { id, stock } of LARDER.equipment.pans) expect(used.get(id) ?? 0).toBeLessThanOrEqual(stock);
	});
});
