import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { must } from "../check/index.ts";
import { equipped, ORDER, RECIPE } from "../dish/dish.testing.ts";
import { alone } from "../dish/index.ts";
import { NORTH, SOUTH } from "../kitchen/kitchen.testing.ts";
import { runs } from "../random/runs.testing.ts";
import type { Recipe } from "../recipe/index.ts";
import { MINUTE_MS, onDay } from "../time/index.ts";
import { givenDay, sitting } from "./days.testing.ts";
import {
	certificateOf,
	type DayGiven,
	daysTogether,
	placeDay,
	restoredDay,
	type SittingOfDay,
	type WorkedDay,
} from "./index.ts";

const SOON = { seed: 1, steps: 20_000 };
/** Ovens that no dish has to itself, of both kinds, with a plate: they share power. */
const kitchen = equipped({
	ovens: [
		{ ...NORTH, rungs: 5, power_w: 9000 },
		{ ...SOUTH, rungs: 4, power_w: 6000 },
	],
	coolers: [
		{
			id: "blast",
			name: "Blast chiller",
			kind: "chiller",
			capacity: 20,
			air_C: -2,
			power_kW: null,
			rated_kg: null,
		},
	],
});
const places = [{ id: "blast", name: "Blast chiller", kind: "chiller" as const, capacity: 20 }];
const AHEAD: Recipe = {
	...RECIPE,
	name: "Collar, cold",
	schools: { ...RECIPE.schools, service: "madeAhead" },
};

const placed = (sittings: readonly SittingOfDay[], more: Partial<DayGiven> = {}): WorkedDay =>
	placeDay(givenDay(sittings, { kitchen, places, ...more }), SOON);

const evenings: fc.Arbitrary<SittingOfDay[]> = fc
	.array(
		fc.record({
			covers: fc.integer({ min: 20, max: 160 }),
			set: fc.constantFrom(120, 140, 160),
			reach: fc.constantFrom(0, 10, 30),
			ahead: fc.boolean(),
		}),
		{ minLength: 1, maxLength: 4 },
	)
	.map((dishes) => [
		sitting(
			"hall",
			dishes.map(({ covers, set, reach, ahead }, index) => ({
				id: `dish ${index}`,
				recipe: {
					...(ahead ? AHEAD : RECIPE),
					braise: { ...RECIPE.braise, oven_C: { low: set - reach, set, high: set + reach } },
				},
				order: { covers },
			})),
			{ kitchen },
		),
	]);

describe("a dish of a placed day", () => {
	it("stands in the oven, as hot and as long, as its day has it, and nowhere else", () => {
		fc.assert(
			fc.property(evenings, (sittings) => {
				const day = placed(sittings);
				for (const [id, dish] of day.dishes) {
					for (const group of dish.braise?.groups ?? []) {
						const task = day.tasks.find((one) => one.for === id && one.figures.group === group.id);
						const use = task?.uses.findLast(({ set_C }) => set_C !== undefined);
						expect(group.oven?.id).toBe(use?.equipment);
						if (!task || !use) continue;
						expect(group.set_C).toBe(use.set_C);
						expect(group.allowed_min).toBe((task.end - task.start) / MINUTE_MS);
						expect("set_C" in group.given.heat && group.given.heat.set_C).toBe(use.set_C);
					}
					const stood = day.tasks.filter((task) => task.for === id);
					expect(dish.tasks.map((task) => [task.id, task.start, task.end])).toEqual(
						stood.map((task) => [task.id, task.start, task.end]),
					);
				}
			}),
			{ numRuns: runs(24) },
		);
	});

	it("is reheated in its own oven at its own temperature", () => {
		fc.assert(
			fc.property(evenings, (sittings) => {
				const day = placed(sittings);
				for (const [id, { reheat }] of day.dishes) {
					const task = day.tasks.find((one) => one.for === id && one.part === "reheat");
					const use = task?.uses.find(({ set_C }) => set_C !== undefined);
					if (!reheat || !task || !use) continue;
					const at = reheat.loads.map(({ oven, set_C }) => [oven.id, set_C]);
					expect(at).toContainEqual([use.equipment, use.set_C]);
					expect((task.end - task.start) / MINUTE_MS).toBeGreaterThanOrEqual(
						Math.floor(reheat.minutes.likely),
					);
				}
			}),
			{ numRuns: runs(12) },
		);
	});

	it("pours what follows from the steam of that oven, and leaves what follows from it", () => {
		const [hot, cool] = [150, 110].map((set) => {
			const recipe = { ...RECIPE, braise: { ...RECIPE.braise, oven_C: { low: set, set, high: set } } };
			return must(placed([sitting("hall", [{ id: "a", recipe }], { kitchen })]).dishes, "a", "dish");
		});
		expect(hot?.braise?.evaporated_l).not.toBeCloseTo(cool?.braise?.evaporated_l ?? 0, 3);
		for (const dish of [hot, cool]) {
			expect(dish?.liquid?.evaporated_l).toBe(dish?.braise?.evaporated_l);
			const poured = dish?.pans.pans.reduce((sum, { liquid_l }) => sum + liquid_l, 0) ?? 0;
			expect(poured).toBeCloseTo(dish?.pour?.poured_l ?? 0, 6);
		}
	});

	it("needs what its card asks where it stands as the card has it", () => {
		const [needs] = sitting("hall", [{ id: "a" }], { kitchen }).dishes;
		if (!needs) throw new Error("it is planned");
		const {
			tasks: _,
			tender: __,
			liquor: ___,
			wait_min: ____,
			tenderSums: _____,
			warnings: ______,
			...own
		} = alone(needs);
		const { alone: _______, ...figures } = own;
		expect(needs.at(needs.usual)).toEqual(figures);
	});
});

describe("a placed day", () => {
	it("is the same whatever its dishes are called", () => {
		fc.assert(
			fc.property(
				evenings,
				fc.shuffledSubarray(["x", "a", "m", "k"], { minLength: 4 }),
				(sittings, names) => {
					const [hall] = sittings;
					const renamed = hall?.dishes.map(({ dish: { recipe, order } }, index) => ({
						id: names[index] ?? "",
						recipe: { ...recipe, name: `${names[index]} with barley` },
						order: { covers: order.covers },
					}));
					const [one, other] = [placed(sittings), placed([sitting("hall", renamed ?? [], { kitchen })])];
					const told = (day: WorkedDay) =>
						day.tasks
							.map(({ place, part, start, end, uses }) => [
								place,
								part,
								start,
								end,
								uses
									.filter(({ set_C }) => set_C !== undefined)
									.map(({ equipment, set_C }) => [equipment, set_C]),
							])
							.map((task) => JSON.stringify(task))
							.sort();
					expect(told(other)).toEqual(told(one));
				},
			),
			{ numRuns: runs(18) },
		);
	});

	it("that is issued, read and issued again without a change is itself, task for task", () => {
		fc.assert(
			fc.property(evenings, (sittings) => {
				const day = placed(sittings);
				const now = Math.min(...day.tasks.map(({ start }) => start)) - 60 * MINUTE_MS;
				const again = placed(sittings, { before: day, now });
				const once = placed(sittings, { before: again, now });
				const told = ({ tasks }: WorkedDay) => tasks.map(({ id, start, end }) => [id, start, end]);
				expect(told(again)).toEqual(told(day));
				expect(told(once)).toEqual(told(day));
			}),
			{ numRuns: runs(18) },
		);
	});

	it("comes back from what was stored of it with the same dishes", () => {
		const sittings = [sitting("hall", [{ id: "a" }, { id: "b", recipe: AHEAD }], { kitchen })];
		const day = placed(sittings);
		const { dishes: _, batches: __, ...stored } = day;
		const given = givenDay(sittings, { kitchen, places });
		const back = restoredDay(JSON.parse(JSON.stringify(stored)), given);
		expect(back?.tasks).toEqual(JSON.parse(JSON.stringify(day.tasks)));
		for (const [id, dish] of day.dishes) expect(back?.dishes.get(id)?.liquid).toEqual(dish.liquid);
		expect(restoredDay({ ...stored, tasks: stored.tasks.slice(1) }, given)).toBeNull();
	});

	it("leaves no hot food without a place: what is lifted rests, is cooled or is said to wait too long", () => {
		fc.assert(
			fc.property(evenings, (sittings) => {
				const day = placed(sittings);
				const said = new Set(
					day.unmet.filter(({ because }) => because === "waitsTooLong").map(({ task }) => task),
				);
				for (const lift of day.tasks.filter(({ part }) => part === "lift")) {
					const outs = day.tasks.filter(
						({ id, part }) => part === "oven" && lift.after.some(({ task }) => task === id),
					);
					expect(lift.start).toBe(Math.max(...outs.map(({ end }) => end)));
					const next = day.tasks.find(
						({ after, part }) =>
							part !== "late" &&
							after.some(({ task }) => task === lift.id) &&
							(part === "rest" || part === "chill"),
					);
					if (!next || said.has(next.id)) continue;
					expect((next.start - lift.end) / MINUTE_MS).toBeLessThanOrEqual(120);
				}
			}),
			{ numRuns: runs(18) },
		);
	});

	it("beside another takes nothing that the other has in hand", () => {
		const DAY_MS = 86_400_000;
		const first = [sitting("friday", [{ id: "a", order: { covers: 140 } }], { kitchen })];
		const second = [
			sitting("saturday", [{ id: "b", recipe: AHEAD, order: { covers: 150 } }], {
				kitchen,
				serviceAt: ORDER.serviceAt + DAY_MS,
			}),
		];
		const friday = placed(first);
		const held = friday.tasks.flatMap(({ uses }) => uses);
		const both = daysTogether([friday, placed(second, { held })]);
		for (const thing of both.equipment.filter(({ kind }) => kind === "oven" || kind === "cook")) {
			const uses = both.tasks.flatMap((task) => task.uses.filter(({ equipment }) => equipment === thing.id));
			for (const { from } of uses) {
				const now = uses.filter((use) => use.from <= from && use.to > from);
				expect(now.reduce((sum, { amount }) => sum + amount, 0)).toBeLessThanOrEqual(thing.capacity);
				expect(new Set(now.map(({ set_C }) => set_C)).size).toBeLessThanOrEqual(1);
			}
		}
	});

	it("orders what it needs before the first task that touches it, by the days its supplier takes", () => {
		const marinated: Recipe = {
			...RECIPE,
			orderLead_days: 3,
			marinate: { minutes: 36 * 60, longest_min: 60 * 60, container: "tubs" },
		};
		for (const recipe of [RECIPE, marinated, { ...AHEAD, orderLead_days: 1 }]) {
			const day = placed([sitting("hall", [{ id: "a", recipe }], { kitchen })]);
			const order = day.tasks.find(({ part }) => part === "order");
			const first = Math.min(...day.tasks.filter(({ part }) => part !== "order").map(({ start }) => start));
			const { timeZone, hours } = kitchen.policy;
			expect(order?.start).toBe(onDay(first, timeZone, hours.opens_min, -recipe.orderLead_days));
		}
	});

	it("says of what can not be had what is asked against what there is", () => {
		const one = [{ id: "ina", name: "Ina", hours: { opens_min: 9 * 60, closes_min: 22 * 60 } }];
		const day = placed([sitting("hall", [{ id: "a" }, { id: "b" }], { kitchen })], { cooks: one });
		expect(day.unmet.length).toBeGreaterThan(0);
		for (const unmet of day.unmet) {
			const words = certificateOf(unmet, day, kitchen.policy.timeZone);
			if (unmet.because === "nobody") {
				const [, asked = "0", there = "0"] =
					/need[s]? (\d+) cook minutes .* 1 cook has (\d+)/.exec(words) ?? [];
				expect(Number(asked)).toBeGreaterThan(Number(there) * 0.99);
			}
			expect(words).not.toMatch(/undefined|NaN/);
		}
	});
});

describe("pieces that find no pan", () => {
	const few = equipped({
		pans: [{ id: "full", name: "GN 1/1-100", shape: { gn: "1/1", depth_mm: 100 }, stock: 1 }],
		ovens: kitchen.equipment.ovens,
	});
	const dish = { id: "large", recipe: RECIPE, order: { ...ORDER, covers: 945, uptake: 1, spare: 0 } };

	it("are short by count, with what would take them, and in no figure or weight of the day", () => {
		const day = placed([sitting("hall", [dish], { kitchen: few })], { kitchen: few });
		const [large] = [...day.dishes.values()];
		const [short] = day.unmet.filter(({ because }) => because === "noPan");
		if (!large || short?.because !== "noPan") throw new Error("some of it finds no pan");
		expect(short.pieces + short.laid).toBe(945);
		expect(large.pieces).toBe(short.laid);
		expect(large.chain.portions + short.portions).toBe(945);
		expect(large.liquid?.left_l).toBeLessThan(large.pans.liquid_l + 0.6 * large.chain.trimmed_kg);
		expect(certificateOf(short, day, "UTC")).toMatch(
			/^945 pieces, room for \d+; \d+ more take \d+ × GN 1\/1-100$/,
		);
	});

	it("are said once, however often the day is read again", () => {
		const given = givenDay([sitting("hall", [dish], { kitchen: few })], { kitchen: few, places });
		const day = placeDay(given, SOON);
		const again = restoredDay(day, given);
		expect(again?.unmet).toEqual(day.unmet);
	});
});

describe("a chiller that several dishes stand in", () => {
	const weak = (power_kW: number | null) =>
		equipped({
			pans: [{ id: "full", name: "GN 1/1-100", shape: { gn: "1/1", depth_mm: 100 }, stock: 40 }],
			ovens: kitchen.equipment.ovens.map((oven) => ({ ...oven, rungs: 10 })),
			coolers: [
				{
					id: "blast",
					name: "Blast chiller",
					kind: "chiller",
					capacity: 40,
					air_C: -2,
					power_kW,
					rated_kg: null,
				},
			],
		});
	const roomy = [{ id: "blast", name: "Blast chiller", kind: "chiller" as const, capacity: 40 }];
	const dish = (id: string, covers: number) => ({
		id,
		recipe: { ...AHEAD, name: id },
		order: { ...ORDER, id, covers, uptake: 1, spare: 0 },
	});
	const chilled = (covers: readonly number[], power_kW: number | null) => {
		const dishes = covers.map((count, index) => dish(`dish${index}`, count));
		const house = weak(power_kW);
		return placed([sitting("hall", dishes, { kitchen: house })], { kitchen: house, places: roomy });
	};
	const overlaps = (day: WorkedDay) => {
		const [a, b] = day.tasks.filter(({ part }) => part === "chill");
		return a !== undefined && b !== undefined && a.start < b.end && b.start < a.end;
	};

	it("shares its power among them at every minute: each takes longer than by itself", () => {
		const both = chilled([120, 120], 2);
		const alone = [...chilled([120], 2).dishes.values()][0];
		expect(overlaps(both)).toBe(true);
		for (const { chill, standing } of both.dishes.values()) {
			expect(standing.get("chilling")?.beside).toHaveLength(1);
			expect(chill?.way.minutes?.likely).toBeGreaterThan((alone?.chill?.way.minutes?.likely ?? 0) * 1.1);
		}
		for (const { for: of, start, end } of both.tasks.filter(({ part }) => part === "chill")) {
			const { work, chill } = must(both.dishes, of, "dish");
			expect((end - start) / MINUTE_MS).toBe(work.chill_min);
			expect((end - start) / MINUTE_MS).toBeGreaterThanOrEqual(chill?.way.minutes?.likely ?? 0);
		}
	});

	it("with power enough each is as soon cold as by itself", () => {
		const alone = [...chilled([120], null).dishes.values()][0]?.chill?.way.minutes;
		for (const { chill } of chilled([120, 120], null).dishes.values())
			expect(chill?.way.minutes).toEqual(alone);
	});
});
