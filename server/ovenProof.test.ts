import fc from "fast-check";
import { expect, it } from "vitest";
import { ovenProgram, solveOvens } from "#core/day";
import { days } from "../core/day/ovenDay/ovenDays.testing.ts";
import { integerSolver } from "./integerSolver.ts";

/** Enough to prove what a few batches cost at least. */
const ENOUGH = { seed: 1, steps: 250_000 };

it("small days cost what a solver that knows nothing of ovens proves them to cost", () => {
	let proven = 0;
	fc.assert(
		fc.property(days(4, 2), (small) => {
			const day = { ...small, step_min: 30 };
			const longest = Math.max(...day.batches.flatMap(({ ways }) => ways.map(({ minutes }) => minutes)));
			const until_min = Math.max(...day.batches.map(({ readyBy_min }) => readyBy_min)) + 4 * longest;
			const { program, costOf } = ovenProgram(day, until_min);
			const values = integerSolver(program);
			if (!values) return;
			proven += 1;
			const { late_min, wait_shelf_min } = costOf(values);
			const plan = solveOvens(day, ENOUGH);
			expect([plan.late_min, plan.wait_shelf_min]).toEqual([late_min, wait_shelf_min]);
		}),
		{ numRuns: 25 },
	);
	expect(proven).toBeGreaterThan(15);
});
