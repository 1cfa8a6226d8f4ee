import fc from "fast-check";
import { beforeAll, describe, expect, it } from "vitest";
import { readHouse, readKitchen, readPanTypes, readSittings, withRecipes } from "#db";
import { openDemoHouse } from "../ui/server/demoTables.testing.ts";
import { planDishes } from "../ui/server/planned.server.ts";
import { readingIn } from "../ui/words/reading.ts";
import { type LongTableGiven, longTableView } from "./longTable.view.ts";
import type { Trial } from "./trial.ts";

const NOW = Date.UTC(2026, 10, 24, 9, 0);

let given: LongTableGiven;
let stored: Trial;

beforeAll(async () => {
	const store = await openDemoHouse(NOW);
	const sittings = await readSittings(store.db, NOW, NOW + 15 * 86_400_000);
	const sitting = sittings.find(({ name }) => name === "Festival supper");
	if (!sitting) throw new Error("no festival supper");
	const [house, kitchen, panTypes, dishes] = await Promise.all([
		readHouse(store.db),
		readKitchen(store.db),
		readPanTypes(store.db),
		withRecipes(store.db, sitting.dishes),
	]);
	await store.close();
	const reading = readingIn("metric", house.timeZone, NOW).towards(sitting.serviceAt);
	const [goat] = dishes;
	if (!goat) throw new Error("no goat");
	const visit = {
		house,
		reading,
		store,
		who: "Ada",
		nonce: "",
		preferences: { light: "bench", shortKeys: true, paper: "A4" },
	} as const;
	given = {
		visit,
		kitchen,
		sitting,
		dishes,
		dishId: goat.id,
		panTypes,
		place: null,
		trial: null,
		inDay: null,
		typed: null,
		wrong: {},
		came: "",
	};
	const {
		id: _,
		recipeVersionId: __,
		recipeId: ___,
		number: ____,
		state: _____,
		recipe: ______,
		...rest
	} = goat;
	const dish = rest;
	stored = {
		sitting: { serviceAt: sitting.serviceAt, covers: sitting.covers },
		dish,
	};
});

/** The table with some figures of the control tried. */
const tried = (dish: Partial<Trial["dish"]>, sitting: Partial<Trial["sitting"]> = {}) =>
	longTableView({
		...given,
		trial: { dish: { ...stored.dish, ...dish }, sitting: { ...stored.sitting, ...sitting } },
	});
const placeOf = (view: ReturnType<typeof longTableView>, key: string) => {
	const found = view.table?.places.find((place) => place.key === key);
	if (!found) throw new Error(`no ${key}`);
	return found;
};

describe("the long table", () => {
	it("opens on the pans, and on the place that is asked for", () => {
		expect(longTableView(given).table?.selected).toBe("panUp");
		expect(longTableView({ ...given, place: "sear" }).table?.selected).toBe("sear");
		expect(longTableView({ ...given, place: "moon" }).table?.selected).toBe("panUp");
	});

	it("says where the whole day has the dish, where that is another time", async () => {
		expect(longTableView(given).table?.inDay).toBeNull();
		const [plan] = planDishes(given.dishes, given.sitting, given.kitchen).rows.flatMap(
			(row) => row.plan ?? [],
		);
		if (!plan) throw new Error("it is planned");
		expect(longTableView({ ...given, inDay: plan }).table?.inDay).toBeNull();
		const earlier = plan.tasks.map((task) => ({
			...task,
			start: task.start - 3_600_000,
			end: task.end - 3_600_000,
		}));
		const { table } = longTableView({ ...given, inDay: { ...plan, tasks: earlier } });
		expect(table?.inDay?.words).toMatch(
			/^With all else of the day it goes into the \w+ oven, \d+ °C, at \d\d:\d\d/,
		);
		expect(table?.inDay?.to).toMatch(/^\/day\/\d{4}-\d\d-\d\d$/);
	});

	it("says where it is made hot again when the whole day has it in an oven for that", () => {
		const dishes = given.dishes.map((dish) => ({
			...dish,
			recipe: { ...dish.recipe, schools: { ...dish.recipe.schools, service: "madeAhead" as const } },
		}));
		const [plan] = planDishes(dishes, given.sitting, given.kitchen).rows.flatMap((row) => row.plan ?? []);
		if (!plan) throw new Error("it is planned");
		const sooner = (place: string) => ({
			...plan,
			tasks: plan.tasks.map((task) =>
				task.place === place ? { ...task, start: task.start - 1_800_000 } : task,
			),
		});
		const shown = (place: string, inDay: typeof plan) =>
			longTableView({ ...given, dishes, place, inDay }).table?.inDay?.words;
		expect(shown("reheat", sooner("reheat"))).toMatch(/goes into an oven again at \d\d:\d\d/);
		expect(shown("reheat", sooner("braise"))).toBeUndefined();
		expect(shown("braise", sooner("reheat"))).toBeUndefined();
		expect(shown("braise", sooner("braise"))).toMatch(/goes into the/);
	});

	it("says nothing of before where nothing is tried, or the same is tried", () => {
		for (const view of [longTableView(given), tried({})]) {
			expect(view.changed).toBe(false);
			expect(view.table?.places.filter(({ was }) => was)).toEqual([]);
		}
	});

	it("more covers stand beside the old figures, in every place they move", () => {
		const before = longTableView(given);
		const after = tried({}, { covers: 280 });
		expect(after.changed).toBe(true);
		for (const key of ["buy", "trim", "panUp", "plate"]) {
			// "24" beside "27 kg": the unit is said once.
			const was = placeOf(after, key).was?.figure ?? "nothing";
			expect(placeOf(before, key).figure.startsWith(was), key).toBe(true);
		}
		expect(placeOf(after, "braise").was?.figure).toBeUndefined();
	});

	it("a later service moves every clock time and no figure", () => {
		const after = tried({}, { serviceAt: stored.sitting.serviceAt + 30 * 60_000 });
		const ripples = after.table?.places.map(({ was }) => was) ?? [];
		expect(ripples.filter((was) => was?.figure)).toEqual([]);
		expect(placeOf(after, "plate").was?.clock).toBeDefined();
		// "in 16:05, was 16:35": the word stands there already.
		expect(placeOf(after, "braise").was?.clock).toMatch(/^\d\d:\d\d$/);
	});

	it("the yield bar is the whole purchase, whatever it is scaled from", () => {
		fc.assert(
			fc.property(fc.integer({ min: 2000, max: 60_000 }), (grams) => {
				const bar = tried({ basis: "onHand", onHand_g: grams }).table?.yieldBar;
				const whole = bar?.parts.reduce((sum, { share }) => sum + share, 0) ?? 0;
				expect(whole).toBeCloseTo(1, 6);
				expect(bar?.bought_kg).toBeCloseTo(grams / 1000, 6);
			}),
			{ numRuns: 20 },
		);
	});

	it("what cannot be planned keeps the control and says why, in no table", () => {
		const view = tried({ basis: "onHand", onHand_g: 1 });
		expect(view.table).toBeNull();
		expect(view.refused).toMatch(/portion|weight|onHand/);
		expect(view.control.typed.covers).toBe("140");
	});

	it("what was typed stands in the control, even where it does not hold", () => {
		const typed = { covers: "lots", pans: "5" };
		expect(longTableView({ ...given, typed }).control.typed).toMatchObject(typed);
	});

	it("the control names all three ways with the figure of each", () => {
		const { segments } = longTableView(given).control;
		expect(segments.map(({ basis }) => basis)).toEqual(["covers", "onHand", "pans"]);
		expect(segments[0]?.figure).toBe("140 × 62 % + 5 % = 92");
		expect(segments[1]?.figure).toMatch(/^\d+(\.\d)? kg$/);
		expect(segments[2]?.figure).toMatch(/^\d+$/);
	});
});
