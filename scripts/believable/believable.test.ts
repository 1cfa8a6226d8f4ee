import { readFileSync } from "node:fs";
import fc from "fast-check";
import { beforeAll, describe, expect, it } from "vitest";
import { BOUNDS, beyondBelief, borrowedFor } from "#core/believable";
import { isMadeAhead, type Plan, type PlanWarning } from "#core/dish";
import { type Kitchen, saucePotsOf } from "#core/kitchen";
import type { Recipe } from "#core/recipe";
import { runs } from "../../core/random/runs.testing.ts";
import { believableTable, demoHouse, planFor } from "./table.ts";

let kitchen: Kitchen;
let dishes: readonly Recipe[];

beforeAll(async () => {
	({ kitchen, dishes } = await demoHouse());
});

/** What a chef has to decide; everything else is a step, a check or an offer, and is no warning. */
const DECISIONS: ReadonlySet<PlanWarning["code"]> = new Set([
	"heavy",
	"halfEmpty",
	"ovenSpace",
	"ovenTimes",
	"platesAMinute",
	"searingLong",
	"holdHot",
	"liquorAllergens",
	"finishTooSalt",
	"finishTooLong",
	"beforeOpening",
	"chillMissed",
	"chillClose",
	"reheatSlow",
	"burnersShort",
	"inGoes",
	"toppingThickness",
]);

/** Every dish at some generated sizes, planned once for all that is asked of it. */
const sizes = fc.integer({ min: 10, max: 1200 });
let plans: readonly Plan[];

beforeAll(() => {
	plans = dishes.flatMap((recipe) => fc.sample(sizes, runs(8)).map((size) => planFor(recipe, size, kitchen)));
}, 60_000);

/** What a failure says of the plan that it was found in. */
const nameOf = ({ recipe, chain }: Plan) => `${recipe.name}, ${chain.portions} portions`;

describe("the figures of every dish from 10 to 1,200 portions", () => {
	it("lie within what a chef would nod at", () => {
		for (const planned of plans) {
			const amiss = beyondBelief(planned).map(({ bound, is }) => `${bound.words} ${is}`);
			expect(amiss, nameOf(planned)).toEqual([]);
		}
	});

	it("have meat waiting no longer than 45 minutes, or held hot on purpose", () => {
		for (const planned of plans) {
			const { wait_min, hold_min, recipe } = planned;
			expect(wait_min <= 45 || hold_min > 0 || isMadeAhead(recipe), nameOf(planned)).toBe(true);
		}
	});

	it("finish the sauce in pots that are there, as many as there are", () => {
		for (const planned of plans) {
			const { sauce, chain } = planned;
			const { equipment } = borrowedFor(chain.portions, kitchen);
			const pot = saucePotsOf(equipment).find(({ id }) => id === sauce?.pot?.id);
			expect(pot, nameOf(planned)).toBeDefined();
			expect(sauce?.pots, nameOf(planned)).toBeLessThanOrEqual(pot?.stock ?? 0);
		}
	});

	it("warn only of what has to be decided", () => {
		for (const planned of plans) {
			const codes = planned.warnings.map(({ code }) => code);
			expect(
				codes.filter((code) => !DECISIONS.has(code)),
				nameOf(planned),
			).toEqual([]);
		}
	});

	it("taste alike: as much spice and salt a portion for six hundred as for two hundred", () => {
		for (const recipe of dishes) {
			const [some, many] = [200, 600].map((size) => planFor(recipe, size, kitchen)) as [Plan, Plan];
			for (const [index, line] of some.lines.entries()) {
				if (line.line.role !== "potent" && line.line.role !== "salt") continue;
				const aPortion = ({ chain, lines }: Plan) =>
					(lines[index]?.amount_g ?? lines[index]?.count ?? 0) / chain.portions;
				expect(Math.abs(aPortion(many) / aPortion(some) - 1)).toBeLessThan(0.05);
			}
		}
	});
});

describe("the table in the docs", () => {
	it("is the one these plans make, with every figure inside its bounds", async () => {
		const { text, amiss } = await believableTable();
		expect(amiss).toEqual([]);
		expect(readFileSync("docs/believable.md", "utf8")).toBe(text);
		for (const { words } of BOUNDS) expect(text).toContain(words);
	}, 60_000);
});
