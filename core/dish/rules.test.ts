import { sumBy } from "es-toolkit";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { ingredient, type Recipe, type RecipeLine } from "../recipe/index.ts";
import { knowing, lonePlans, ORDER, RECIPE, wanting } from "./dish.testing.ts";
import { type DishToPlan, marinadeOf, type Plan, plan, startAt, taskAt } from "./index.ts";

const line = (name: string, amount: number, more: Partial<RecipeLine> = {}): RecipeLine => ({
	ingredient: name,
	amount,
	unit: "g",
	role: "vegetable",
	group: "base",
	...more,
});
const withLines = (...lines: RecipeLine[]): Recipe => ({ ...RECIPE, lines: [...RECIPE.lines, ...lines] });
const LARDER = knowing([
	ingredient({ id: "carrot", name: "carrots" }),
	ingredient({ id: "flour", name: "wheat flour", category: "thickener" }),
	ingredient({ id: "paste", name: "tomato paste" }),
	ingredient({ id: "honey", name: "honey", category: "sugar" }),
	ingredient({ id: "soy", name: "soy sauce", category: "condiment", density_g_per_ml: 1.15 }),
	ingredient({ id: "anchovy", name: "anchovy fillets", category: "fish" }),
	ingredient({ id: "own", name: "soy of the house", category: "condiment", salt_pct: 9 }),
	ingredient({ id: "rub", name: "paprika rub", category: "spice" }),
	ingredient({ id: "red", name: "red wine", category: "wine", density_g_per_ml: 1 }),
]);
const planned = (recipe: Recipe, kitchen = LARDER, order = ORDER): Plan => plan(recipe, order, kitchen);
/** Vegetables under the meat of all pans, kg: in how many pans they lie is a matter of the sauce that is wanted. */
const bedOf = ({ pans: { pans } }: Plan): number => sumBy(pans, ({ bed }) => bed.weight_kg);
const saltOf = ({ liquid }: Plan, name: string) =>
	liquid?.salt.from.find((from) => from.name === name)?.g ?? 0;

describe("what joins late", () => {
	const inOneKind = { ...ORDER, panTypeId: "full" };
	const made = (recipe: Recipe) => planned(recipe, LARDER, inOneKind);
	const late = made(withLines(line("carrot", 800, { late_min: 40 })));
	const early = made(withLines(line("carrot", 800)));
	const without = made(RECIPE);

	it("lies in no pan from the start: pans, litres and weights are those of the dish without it", () => {
		expect(late.pans).toEqual(without.pans);
		expect(bedOf(late)).toBeCloseTo(bedOf(without), 9);
		expect(bedOf(early)).toBeGreaterThan(bedOf(without) + 0.1);
	});

	it("is a task of its own, in its own minute before the end", () => {
		const task = taskAt(late, "braise", "late");
		const lift = taskAt(late, "rest", "lift") ?? taskAt(late, "rest");
		expect(task).toBeDefined();
		expect(task?.start).toBeGreaterThan(startAt(late, "braise"));
		expect(task?.start).toBeLessThan(lift?.start ?? 0);
		expect(taskAt(without, "braise", "late")).toBeUndefined();
	});
});

describe("what lies under the meat", () => {
	it.each([
		["a garnish, which is cooked apart", line("carrot", 800, { group: "garnish" })],
		["a side", line("carrot", 800, { group: "side" })],
		["flour", line("flour", 120)],
		["tomato paste", line("paste", 150)],
		["honey", line("honey", 100)],
		["soy sauce", line("soy", 100)],
	])("is not %s, nor does it give water", (_, more) => {
		const [with_, without] = [planned(withLines(more)), planned(RECIPE)];
		expect(bedOf(with_)).toBeCloseTo(bedOf(without), 9);
		expect(with_.liquid?.fromVegetables_l).toBeCloseTo(without.liquid?.fromVegetables_l ?? 0, 6);
	});
});

describe("salt", () => {
	it.each([
		["soy", "soy sauce", 15],
		["anchovy", "anchovy fillets", 14],
		["own", "soy of the house", 9],
	])("comes with %s, and the account says from where", (id, name, pct) => {
		const given = planned(withLines(line(id, 200)));
		const brought = given.lines.find(({ ingredient }) => ingredient.id === id);
		expect(saltOf(given, name)).toBeCloseTo(((brought?.amount_g ?? 0) * pct) / 100, 9);
		expect(given.liquid?.salt_pct).toBeGreaterThan(planned(RECIPE).liquid?.salt_pct ?? 9);
	});
});

describe("the card's own finish", () => {
	const finished = (reduceBy: number, kitchen = LARDER) =>
		planned({ ...RECIPE, finish: { reduceBy } }, kitchen);
	const reduced = ({ sauce }: Plan) => sauce?.remedies.find(({ kind }) => kind === "reduce");

	it("decides how far the sauce is reduced, before salt does", () => {
		const mild = finished(0.2, wanting({ saltBand_pct: { low: 0.1, high: 5 } }, LARDER));
		const third = finished(0.33, wanting({ saltBand_pct: { low: 0.1, high: 5 } }, LARDER));
		expect(mild.sauce?.limitedBy ?? null).toBeNull();
		expect(third.sauce?.cardReduces).toBe(0.33);
		expect(third.work.reduce_min).toBeGreaterThan(mild.work.reduce_min);
	});

	it("that would be too salt stops at the band, and says so", () => {
		const salt = finished(0.8);
		expect(salt.sauce?.limitedBy).toBe("salt");
		expect(salt.warnings.map(({ code }) => code)).toEqual(expect.arrayContaining(["finishTooSalt"]));
		expect(reduced(salt)).toBeDefined();
	});

	it("never boils down while the meat waits for longer than it may", () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0, max: 0.9, noNaN: true }),
				fc.integer({ min: 20, max: 600 }),
				(by, covers) => {
					const { work } = planned({ ...RECIPE, finish: { reduceBy: by } }, LARDER, { ...ORDER, covers });
					expect(work.reduce_min).toBeLessThanOrEqual(46);
				},
			),
			{ numRuns: 12 },
		);
	});
});

describe("pieces and portions", () => {
	it("where one piece is a portion there are never fewer pieces than portions", () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 900 }),
				fc.integer({ min: 150, max: 400 }),
				(covers, portion_g) => {
					const trimmed_g = portion_g / (1 - RECIPE.losses.cookingLoss);
					const recipe: Recipe = {
						...RECIPE,
						portion: { portion_g },
						piece: { ...RECIPE.piece, weight_g: Math.round(trimmed_g) },
					};
					const { pieces, chain } = planned(recipe, LARDER, { ...ORDER, covers });
					expect(pieces).toBeGreaterThanOrEqual(chain.portions);
				},
			),
			{ numRuns: 30 },
		);
	});
});

describe("marinades", () => {
	const marinated = (...lines: RecipeLine[]) =>
		marinadeOf(
			planned({ ...withLines(...lines), marinate: { minutes: 600, longest_min: 1440, container: "tubs" } }),
		);

	it("a rub is grams, no litres of wine, whatever else the card pours", () => {
		const rub = marinated(line("rub", 60));
		expect(rub.litres).toBe(0);
		const said = marinated(line("rub", 60, { marinade: true }));
		expect(said.litres).toBe(0);
		expect(said.grams).toBeGreaterThan(60);
	});

	it("a wine is one whether it is boiled down afterwards or not", () => {
		const plain = marinated(line("red", 1000, { role: "liquid", group: "liquid" }));
		const boiled = marinated(line("red", 1000, { role: "liquid", group: "liquid", reducedTo: 0.5 }));
		for (const { lines, litres } of [plain, boiled]) {
			expect(lines.map(({ ingredient: { id } }) => id)).toContain("red");
			expect(litres).toBeGreaterThan(1);
		}
	});

	it("a line that says it is none is none", () => {
		const said = marinated(line("red", 1000, { role: "liquid", group: "liquid", marinade: false }));
		expect(said.lines.map(({ ingredient: { id } }) => id)).not.toContain("red");
	});
});

describe("made ahead", () => {
	const ahead = planned({ ...RECIPE, schools: { service: "madeAhead" } });
	const dayOf = (at: number) => new Date(at).toISOString().slice(0, 10);

	it("leaves the oven, is chilled and kept the day before; it is reheated on the day", () => {
		const day = dayOf(ORDER.serviceAt);
		const [oven, chill, reheat] = [
			taskAt(ahead, "braise", "oven"),
			taskAt(ahead, "chill", "chill"),
			taskAt(ahead, "reheat", "reheat"),
		];
		if (!oven || !chill || !reheat) throw new Error("a task is missing");
		expect(dayOf(oven.end) < day).toBe(true);
		expect(dayOf(chill.start) < day).toBe(true);
		expect(dayOf(reheat.start)).toBe(day);
		expect(chill.start).toBeGreaterThanOrEqual(oven.end);
		expect(reheat.start).toBeGreaterThanOrEqual(chill.end);
		expect(planned(RECIPE).tasks.some(({ place }) => place === "chill" || place === "reheat")).toBe(false);
	});
});

describe("pans in unlike ovens", () => {
	const two = planned(RECIPE, LARDER, { ...ORDER, covers: 300 });

	it("each oven and kind of pan has its own heat, the slowest goes in first and decides", () => {
		const groups = two.braise?.groups ?? [];
		expect(new Set(groups.map(({ oven }) => oven?.kind)).size).toBeGreaterThan(1);
		const allowed = groups.map(({ allowed_min }) => allowed_min);
		expect(allowed).toEqual([...allowed].sort((a, b) => b - a));
		expect(new Set(allowed).size).toBeGreaterThan(1);
		expect(two.allowed_min).toBe(allowed[0]);
		const tasks = two.tasks.filter(({ part }) => part === "oven");
		expect(tasks).toHaveLength(groups.length);
		const ends = tasks.map(({ end }) => end);
		expect(Math.max(...ends) - Math.min(...ends)).toBeLessThan(5 * 60_000);
		for (const { id, allowed_min } of groups) {
			const task = tasks.find((oven) => oven.id.includes(id));
			expect(task?.minutes.planned).toBe(allowed_min);
		}
	});
});

describe("dishes of one sitting", () => {
	const dish = (id: string, covers: number, set: number): DishToPlan => ({
		recipe: {
			...RECIPE,
			name: id,
			braise: { ...RECIPE.braise, oven_C: { low: set - 10, set, high: set + 10 } },
		},
		order: { ...ORDER, id, covers },
	});
	const DISHES = [dish("collar", 130, 150), dish("goat", 90, 130), dish("duck", 60, 160)];

	it("share the rungs and each oven has one temperature, inside what each dish can stand", () => {
		const rungs = new Map<string, number>();
		const set = new Map<string, number>();
		for (const dish of lonePlans(DISHES, LARDER)) {
			if (!("plan" in dish)) continue;
			const { low, high } = dish.plan.recipe.braise.oven_C;
			for (const load of dish.plan.ovens.loads) {
				rungs.set(load.oven.id, (rungs.get(load.oven.id) ?? 0) + load.rungsTaken);
				expect(set.get(load.oven.id) ?? load.set_C).toBe(load.set_C);
				set.set(load.oven.id, load.set_C);
				expect(load.set_C).toBeGreaterThanOrEqual(low);
				expect(load.set_C).toBeLessThanOrEqual(high);
			}
		}
		expect(rungs.size).toBeGreaterThan(0);
		for (const oven of LARDER.equipment.ovens)
			expect(rungs.get(oven.id) ?? 0).toBeLessThanOrEqual(oven.rungs);
	});

	it("in whatever order they are given, each has the same plan", () => {
		const told = (dishes: readonly DishToPlan[]) =>
			lonePlans(dishes, LARDER)
				.map((dish) =>
					"plan" in dish
						? [
								dish.id,
								dish.plan.pans.pans.map(({ type }) => type.id),
								dish.plan.tasks.map(({ id, start }) => [id, start]),
							]
						: [dish.id, dish.refused],
				)
				.sort(([a], [b]) => String(a).localeCompare(String(b)));
		const inOrder = told(DISHES);
		fc.assert(
			fc.property(fc.shuffledSubarray(DISHES, { minLength: DISHES.length }), (shuffled) => {
				expect(told(shuffled)).toEqual(inOrder);
			}),
			{ numRuns: 6 },
		);
	});
});
