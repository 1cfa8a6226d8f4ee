import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { runs } from "../random/runs.testing.ts";
import type { Recipe } from "../recipe/index.ts";
import { MINUTE_MS } from "../time/index.ts";
import { equipped, KITCHEN, ORDER, RECIPE } from "./dish.testing.ts";
import { countByType, isOfLastGo, lastTaskAt, type Plan, plan, taskAt } from "./index.ts";

const AHEAD: Recipe = { ...RECIPE, schools: { service: "madeAhead" } };
const FEW = equipped({
	pans: [{ id: "full", name: "GN 1/1-100", shape: { gn: "1/1", depth_mm: 100 }, stock: 3 }],
});

const sum = (values: readonly number[]) => values.reduce((all, value) => all + value, 0);
const holdOf = ({ tasks }: Plan) => tasks.filter(({ part, fills }) => part === "hold" && fills);

describe("a dish that finds no room in one filling of its pans", () => {
	const made = plan(RECIPE, { ...ORDER, covers: 140 }, FEW);

	it("is cooked in as few goes as it takes, with every piece and every litre in one of them", () => {
		const { pans, pieces } = made;
		expect(pans.goes).toBe(2);
		expect(pans.unplaced).toBe(0);
		expect(sum(pans.pans.map((pan) => pan.pieces))).toBe(pieces);
		expect(sum(pans.pans.map((pan) => pan.liquid_l))).toBeCloseTo(pans.liquid_l, 6);
		expect(countByType(pans)).toMatchObject([{ type: { id: "full" }, count: 3 }]);
		expect(made.liquid?.poured_l).toBeCloseTo(pans.liquid_l, 3);
	});

	it("needs no more for it than one that has all the pans", () => {
		const whole = plan(RECIPE, { ...ORDER, covers: 140 }, KITCHEN);
		expect(whole.pans.goes).toBe(1);
		expect(made.chain).toEqual(whole.chain);
		const grams = ({ lines }: Plan, id: string) => lines.find(({ line }) => line.ingredient === id)?.amount_g;
		for (const id of ["collar", "celery", "lard"]) expect(grams(made, id)).toBe(grams(whole, id));
	});

	it("fills the second when the first is out, emptied and washed, and holds the first hot until it is plated", () => {
		const first = taskAt(made, "panUp");
		const second = lastTaskAt(made, "panUp");
		const lift = made.tasks.find((task) => task.part === "lift" && !isOfLastGo(task));
		const [hold] = holdOf(made);
		const plate = taskAt(made, "plate");
		expect(first?.end).toBeLessThan(lift?.start ?? 0);
		expect(second?.start).toBeGreaterThanOrEqual((lift?.end ?? 0) + 20 * MINUTE_MS);
		expect(hold?.start).toBe(lift?.end);
		expect(hold?.end).toBe(plate?.start);
		const warning = made.warnings.find(({ code }) => code === "inGoes");
		expect(warning).toMatchObject({ goes: 2, pieces: made.pieces });
		if (warning?.code !== "inGoes" || !hold) throw new Error("it is said");
		expect(warning.held_min).toBe((hold.end - hold.start) / MINUTE_MS);
		expect(made.wait_min).toBeLessThan(60);
	});

	it("made ahead, is chilled go by go, kept in other vessels, and heated in two goes", () => {
		const ahead = plan(AHEAD, { ...ORDER, covers: 140 }, FEW);
		const chilled = ahead.tasks.filter(({ part }) => part === "chill");
		const hot = ahead.tasks.filter(({ part }) => part === "reheat");
		expect(chilled).toHaveLength(2);
		expect(hot).toHaveLength(2);
		expect(hot[1]?.start).toBeGreaterThanOrEqual((hot[0]?.end ?? 0) + 20 * MINUTE_MS);
		const keep = ahead.tasks.find(({ part }) => part === "keep");
		expect(keep?.start).toBe(Math.max(...chilled.map(({ end }) => end)));
		expect(keep?.end).toBe(hot[0]?.start);
	});

	it("made ahead, stays cold until its own rung is free: nothing that is hot waits long before it is held", () => {
		const ahead = plan(AHEAD, { ...ORDER, covers: 140 }, FEW);
		const hot = ahead.tasks.filter(({ part }) => part === "reheat").map(({ id }) => id);
		const lags = holdOf(ahead).flatMap(({ after }) => after.filter(({ task }) => hot.includes(task)));
		expect(lags.length).toBeGreaterThan(0);
		for (const { most_min } of lags) expect(most_min).toBeLessThanOrEqual(120);
		for (const { longest_min } of holdOf(ahead)) expect(longest_min).toBeLessThanOrEqual(240);
	});

	it("that would take more than three goes is left with pieces that have no pan", () => {
		const short = plan(RECIPE, { ...ORDER, covers: 600 }, FEW);
		expect(short.pans.goes).toBe(1);
		expect(short.warnings.map(({ code }) => code)).toContain("panStock");
	});

	it("of which not all fits is planned as far as it fits: the rest is short and in no figure", () => {
		const short = plan(RECIPE, { ...ORDER, covers: 600 }, FEW);
		const { pieces, chain } = short;
		expect(short.short).toMatchObject({
			pieces: short.pans.unplaced,
			portions: short.wanted - chain.portions,
		});
		expect(sum(short.pans.pans.map((pan) => pan.pieces))).toBe(pieces);
		expect((pieces * short.recipe.piece.weight_g) / 1000).toBeCloseTo(chain.trimmed_kg, 6);
		const alone = plan(
			RECIPE,
			{ ...ORDER, basis: { from: "pans", pans: FEW.equipment.pans[0]?.stock ?? 0 } },
			FEW,
		);
		expect(alone.pieces).toBe(pieces);
		expect(short.liquid?.left_l).toBeCloseTo(alone.liquid?.left_l ?? Number.NaN, 6);
		expect(short.lines.map(({ amount_g }) => amount_g)).toEqual(alone.lines.map(({ amount_g }) => amount_g));
	});
});

describe("any number of goes", () => {
	it("loses no piece, takes no more pans at once than there are, and shares the work among them", () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 20, max: 400 }),
				fc.integer({ min: 1, max: 5 }),
				fc.constantFrom(RECIPE, AHEAD),
				(covers, stock, recipe) => {
					const pans = FEW.equipment.pans.map((pan) => ({ ...pan, stock }));
					const made = plan(recipe, { ...ORDER, covers }, equipped({ pans }, FEW));
					expect(sum(made.pans.pans.map((pan) => pan.pieces))).toBe(made.pieces);
					expect(countByType(made.pans)[0]?.count).toBeLessThanOrEqual(stock);
					const seared = made.tasks.filter(({ part }) => part === "colour");
					expect(seared).toHaveLength(made.pans.goes);
					const worked = sum(seared.map(({ minutes }) => minutes.handsOn.likely));
					expect(worked).toBeCloseTo(made.work.colour_min, 6);
					for (const task of made.tasks) {
						for (const before of task.after) {
							const end = made.tasks.find(({ id }) => id === before.task)?.end ?? 0;
							expect(task.start).toBeGreaterThanOrEqual(end + before.least_min * MINUTE_MS);
						}
					}
				},
			),
			{ numRuns: runs(40) },
		);
	});
});
