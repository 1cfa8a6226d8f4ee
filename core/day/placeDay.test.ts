import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { checked } from "../check/index.ts";
import { equipped, KITCHEN, ORDER, RECIPE } from "../dish/dish.testing.ts";
import { alone as lone } from "../dish/index.ts";
import { NORTH } from "../kitchen/kitchen.testing.ts";
import type { Recipe } from "../recipe/index.ts";
import { MINUTE_MS } from "../time/index.ts";
import { brokenIn } from "./brokenIn.testing.ts";
import { givenDay, sitting, taskOf, usesOf } from "./days.testing.ts";
import { DayFile, type DayGiven, dayJson, placeDay, type WorkedDay } from "./index.ts";

const SOON = { seed: 1, steps: 30_000 };

const placed = (day: DayGiven): WorkedDay => placeDay(day, SOON);
const fileOf = (day: WorkedDay) => dayJson(day, "2026-11-28", "2026-11-28", KITCHEN.policy);
const ahead: Recipe = {
	...RECIPE,
	name: "Pork collar, cold",
	schools: { ...RECIPE.schools, service: "madeAhead" },
};
const cool: Recipe = {
	...RECIPE,
	name: "Low collar",
	braise: { ...RECIPE.braise, oven_C: { low: 110, set: 120, high: 130 } },
};
const bathed: Recipe = {
	...RECIPE,
	name: "Marinated collar",
	marinate: { container: "tub", minutes: 720, longest_min: 2880 },
};
const recipe = fc.constantFrom(RECIPE, ahead, cool, bathed);

const anySitting = (id: string) =>
	fc
		.record({
			dishes: fc.array(fc.record({ recipe, covers: fc.integer({ min: 8, max: 160 }) }), {
				minLength: 1,
				maxLength: 3,
			}),
			later_min: fc.integer({ min: -40, max: 40 }).map((steps) => steps * 15),
			hands: fc.integer({ min: 1, max: 4 }),
		})
		.map(({ dishes, later_min, hands }) =>
			sitting(
				id,
				dishes.map((dish, index) => ({
					id: `${id}-${index}`,
					recipe: dish.recipe,
					order: { covers: dish.covers },
				})),
				{ serviceAt: ORDER.serviceAt + later_min * MINUTE_MS, hands },
			),
		);

describe("a whole day", () => {
	it("breaks no law, whatever is on it, and its file is what its schema says", () => {
		fc.assert(
			fc.property(anySitting("one"), anySitting("two"), (one, two) => {
				const file = fileOf(placed(givenDay([one, two])));
				expect(brokenIn(file)).toEqual([]);
				expect(checked(DayFile, file)).toEqual(file);
			}),
			{ numRuns: 12 },
		);
	});

	it("is the same for sittings and dishes in another order", () => {
		fc.assert(
			fc.property(anySitting("one"), anySitting("two"), (one, two) => {
				const turned = [two, { ...one, dishes: [...one.dishes].reverse() }];
				expect(placed(givenDay(turned))).toEqual(placed(givenDay([one, two])));
			}),
			{ numRuns: 6 },
		);
	});

	it("with nothing on it is empty", () => {
		expect(placed(givenDay([]))).toMatchObject({ tasks: [], unmet: [], late_min: 0 });
	});

	it("one dish alone stands where its own clock puts it, but for what is at hand with the oven", () => {
		const alone = sitting("alone", [{ id: "collar" }]);
		const day = placed(givenDay([alone]));
		const [needs] = alone.dishes;
		if (!needs) throw new Error("it is planned");
		for (const { id, start } of lone(needs).tasks) {
			if (/plate|sauce|rest/.test(id)) expect(taskOf(day, id).start).toBe(start);
		}
		expect(day.unmet).toEqual([]);
		expect(day.late_min).toBe(0);
	});
});

describe("two sittings of one evening", () => {
	const first = sitting("dining room", [{ id: "a" }, { id: "b" }]);
	const second = sitting("hall", [{ id: "c" }, { id: "d" }], { serviceAt: ORDER.serviceAt + 30 * MINUTE_MS });
	const day = placed(givenDay([first, second]));

	it("share the hands, the hob and the pots: nobody is in two places", () => {
		expect(brokenIn(fileOf(day))).toEqual([]);
		const cooks = day.equipment.filter(({ kind }) => kind === "cook").map(({ id }) => id);
		expect(cooks).toHaveLength(2);
		for (const cook of cooks) expect(usesOf(day, cook).length).toBeGreaterThan(6);
	});

	it("share an oven where one temperature suits them", () => {
		const pans = (id: string) => taskOf(day, id).uses.find(({ set_C }) => set_C !== undefined);
		const ovens = day.tasks.filter(({ part }) => part === "oven").map(({ id }) => pans(id));
		expect(ovens.length).toBeGreaterThanOrEqual(4);
		for (const use of ovens) expect(use?.set_C).toBeGreaterThanOrEqual(140);
	});

	it("what one of them does alone is done later or at the same time, never sooner than together", () => {
		const apart = placed(givenDay([second]));
		for (const { id, start, part } of apart.tasks) {
			if (part === "work" && id.startsWith("d/plate"))
				expect(taskOf(day, id).start).toBeLessThanOrEqual(start);
		}
	});
});

describe("what can not be had is said, with what would free it", () => {
	it("pans that two services hold at once are to be borrowed", () => {
		const kitchen = equipped({ pans: KITCHEN.equipment.pans.map((pan) => ({ ...pan, stock: 3 })) });
		const both = ["one", "two"].map((id) => sitting(id, [{ id: `${id}-dish` }], { kitchen }));
		const day = placed(givenDay(both, { kitchen }));
		expect(day.unmet).toContainEqual(expect.objectContaining({ because: "tooFew", equipment: "full" }));
		const { unmet } = fileOf(day);
		expect(unmet.map(({ frees }) => frees).join()).toMatch(/borrow \d+ GN 1\/1-100, \d\d:\d\d to/);
		expect(brokenIn(fileOf(day))).toEqual([]);
	});

	it("an oven that no pan goes into", () => {
		const tiny = { ...NORTH, rungs: 1, shelf: "1/6" as const };
		const alone = sitting("alone", [{ id: "collar" }]);
		const day = placed(givenDay([alone], { kitchen: equipped({ ovens: [tiny] }) }));
		expect(day.unmet).toContainEqual(expect.objectContaining({ because: "noOven" }));
		expect(fileOf(day).unmet[0]?.frees).toMatch(/more rungs/);
	});

	it("a cook who is not there at dawn", () => {
		const early = sitting("breakfast", [{ id: "collar" }], { serviceAt: Date.UTC(2026, 10, 28, 8) });
		const day = placed(givenDay([early]));
		const missing = day.unmet.filter(({ because }) => because === "nobody");
		expect(missing.length).toBeGreaterThan(0);
		expect(fileOf(day).unmet[0]?.because).toMatch(/cooks? too few/);
		expect(brokenIn(fileOf(day))).toEqual([]);
	});
});

describe("people, chillers, fridges and warmers", () => {
	it("those who are named work in their own hours", () => {
		const cooks = [
			{ id: "ina", name: "Ina", hours: { opens_min: 7 * 60, closes_min: 16 * 60 } },
			{ id: "bo", name: "Bo", hours: { opens_min: 12 * 60, closes_min: 23 * 60 } },
			{ id: "tor", name: "Tor", hours: { opens_min: 12 * 60, closes_min: 23 * 60 } },
		];
		const day = placed(givenDay([sitting("alone", [{ id: "a" }, { id: "b" }])], { cooks }));
		expect(brokenIn(fileOf(day))).toEqual([]);
		expect(usesOf(day, "bo").length).toBeGreaterThan(0);
	});

	it("a chiller with few slots takes one dish after the other", () => {
		const places = [{ id: "blast", name: "Blast chiller", kind: "chiller", capacity: 4 }] as const;
		const cold = sitting("cold", [
			{ id: "a", recipe: ahead },
			{ id: "b", recipe: ahead },
		]);
		const day = placed(givenDay([cold], { places }));
		expect(brokenIn(fileOf(day))).toEqual([]);
		const chills = usesOf(day, "blast");
		expect(chills.length).toBeGreaterThan(1);
	});

	it("what is made ahead is braised and chilled the day before, and heated on the day", () => {
		const day = placed(givenDay([sitting("cold", [{ id: "a", recipe: ahead }])]));
		const chill = taskOf(day, "a/chill");
		const reheat = taskOf(day, "a/reheat");
		expect(reheat.start - chill.end).toBeGreaterThan(6 * 60 * MINUTE_MS);
		const { low, high } = RECIPE.braise.oven_C;
		const [set_C] = reheat.uses.flatMap((use) => use.set_C ?? []);
		expect(set_C).toBeGreaterThanOrEqual(low);
		expect(set_C).toBeLessThanOrEqual(high);
	});
});

describe("a dish that is cooked in goes", () => {
	const kitchen = equipped({
		pans: [{ id: "full", name: "GN 1/1-100", shape: { gn: "1/1", depth_mm: 100 }, stock: 3 }],
	});
	const inGoes = (of: Recipe, places: DayGiven["places"] = []) =>
		placed({
			...givenDay([sitting("supper", [{ id: "a", recipe: of, order: { covers: 140 } }], { kitchen })], {
				places,
			}),
			kitchen,
		});

	it("takes the same pans twice, never more than there are", () => {
		for (const of of [RECIPE, ahead]) {
			const day = inGoes(of);
			expect(brokenIn(fileOf(day))).toEqual([]);
			expect(day.unmet.filter(({ because }) => because === "tooFew")).toEqual([]);
			expect(usesOf(day, "full").length).toBe(of === RECIPE ? 2 : 4);
		}
	});

	it("holds the first go from its lift until it is plated", () => {
		const day = inGoes(RECIPE);
		const hold = taskOf(day, "a/hold/go1");
		expect(hold.start).toBe(taskOf(day, "a/lift/go1").end);
		expect(hold.end).toBe(taskOf(day, "a/plate").start);
	});

	it("made ahead, stands in the fridge from cold until it is heated, and says when it is too small", () => {
		const fridge = { id: "fridge", name: "Fridge", kind: "fridge" as const, capacity: 60 };
		const kept = taskOf(inGoes(ahead, [fridge]), "a/keep");
		expect(kept.uses).toMatchObject([{ equipment: "fridge", from: kept.start, to: kept.end }]);
		expect(kept.end - kept.start).toBeGreaterThan(8 * 60 * MINUTE_MS);
		const small = inGoes(ahead, [{ ...fridge, capacity: 10 }]);
		const short = small.unmet.find(({ task }) => task === "a/keep");
		expect(short).toMatchObject({ because: "tooFew", equipment: "fridge" });
	});
});
