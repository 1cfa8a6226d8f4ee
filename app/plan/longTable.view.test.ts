import fc from "fast-check";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { changeSitting, readSitting, readSittings, type Sitting, type Store } from "#db";
import { type TableTrial, withTrial } from "../ui/forms/tableTrial.ts";
import { openDemoHouse } from "../ui/server/demoTables.testing.ts";
import { type HouseVisit, visitFor } from "../ui/server/visit.ts";
import { workedSitting } from "../ui/server/worked.server.ts";
import type { LongTableView } from "./longTable.view.ts";
import { tableOf } from "./longTablePage.ts";

const NOW = Date.UTC(2026, 10, 24, 9, 0);
const preferences = { light: "bench", shortKeys: true, paper: "A4", clockHours: "24" } as const;

let store: Store;
let visit: HouseVisit;
let sitting: Sitting;
let dishId: string;
let stored: TableTrial;

beforeAll(async () => {
	store = await openDemoHouse(NOW);
	const sittings = await readSittings(store.db, NOW, NOW + 15 * 86_400_000);
	const supper = sittings.find(({ name }) => name === "Festival supper");
	const [goat] = supper?.dishes ?? [];
	if (!supper || !goat) throw new Error("no festival supper with a goat");
	sitting = supper;
	dishId = goat.id;
	visit = await visitFor({ store, preferences, who: "Ada", nonce: "" });
	const { id: _, recipeVersionId: __, ...dish } = goat;
	stored = { sitting: { serviceAt: sitting.serviceAt, covers: sitting.covers }, dish };
});
afterAll(() => store.close());

const NOTHING_TYPED = { place: null, typed: null, wrong: {}, came: "" };
const table = (more: Partial<Parameters<typeof tableOf>[1]> = {}) =>
	tableOf(visit, { sitting, dishId, trial: null, ...NOTHING_TYPED, ...more });
/** The table with some figures of the control tried. */
const tried = (dish: Partial<TableTrial["dish"]>, served: Partial<TableTrial["sitting"]> = {}) =>
	table({ trial: { dish: { ...stored.dish, ...dish }, sitting: { ...stored.sitting, ...served } } });
const placeOf = (view: LongTableView, key: string) => {
	const found = view.table?.places.find((place) => place.key === key);
	if (!found) throw new Error(`no ${key}`);
	return found;
};

describe("the long table", () => {
	it("opens on the pans, and on the place that is asked for", async () => {
		expect((await table()).table?.selected).toBe("panUp");
		expect((await table({ place: "sear" })).table?.selected).toBe("sear");
		expect((await table({ place: "moon" })).table?.selected).toBe("panUp");
	});

	it("is the dish as its day has it: in that oven, as hot, at that time", async () => {
		const worked = await workedSitting(store.db, sitting);
		const braise = worked?.on.day.tasks.find((task) => task.for === dishId && task.part === "oven");
		const use = braise?.uses.find(({ set_C }) => set_C !== undefined);
		const oven = worked?.on.day.equipment.find(({ id }) => id === use?.equipment);
		const shown = await table({ place: "braise" });
		expect(JSON.stringify(shown.table?.detail)).toContain(oven?.name);
		expect(JSON.stringify(shown.table?.detail)).toContain(`${use?.set_C} °C`);
		expect(placeOf(shown, "braise").at).toBe(braise?.start);
	});

	it("is on trial what it is once it is taken, dish for dish and task for task", async () => {
		const trial: TableTrial = {
			dish: { ...stored.dish, share: { by: "guests", guests: 101 } },
			sitting: { ...stored.sitting, covers: 178 },
		};
		const on = await workedSitting(store.db, sitting, {
			now: NOW,
			sitting: withTrial(sitting, dishId, trial),
		});
		await changeSitting(store, sitting.id, sitting.version, "Ada", (now) => withTrial(now, dishId, trial));
		const after = await readSitting(store.db, sitting.id);
		const taken = await workedSitting(store.db, after);
		expect(taken?.on.day.tasks).toEqual(on?.on.day.tasks);
		expect(taken?.rows.map(({ plan }) => plan?.chain)).toEqual(on?.rows.map(({ plan }) => plan?.chain));
		await changeSitting(store, after.id, after.version, "Ada", () => sitting);
		sitting = await readSitting(store.db, sitting.id);
	});

	it("says beside a trial what it costs the others of the day", async () => {
		expect((await table()).costs).toEqual([]);
		const { costs } = await tried({}, { covers: 420 });
		expect(costs.length).toBeGreaterThan(0);
		for (const { words, to } of costs) {
			expect(words).not.toMatch(/undefined|NaN/);
			expect(to).toMatch(/^\/day\/\d{4}-\d\d-\d\d$/);
		}
	});

	it("says nothing of before where nothing is tried, or the same is tried", async () => {
		for (const view of [await table(), await tried({})]) {
			expect(view.changed).toBe(false);
			expect(view.table?.places.filter(({ was }) => was)).toEqual([]);
		}
	});

	it("more covers stand beside the old figures, in every place they move", async () => {
		const before = await table();
		const after = await tried({}, { covers: 280 });
		expect(after.changed).toBe(true);
		for (const key of ["buy", "trim", "panUp", "plate"]) {
			// "24" beside "27 kg": the unit is said once.
			const was = placeOf(after, key).was?.figure ?? "nothing";
			expect(placeOf(before, key).figure.startsWith(was), key).toBe(true);
		}
	});

	it("a later service moves every clock time and no figure", async () => {
		const after = await tried({}, { serviceAt: stored.sitting.serviceAt + 30 * 60_000 });
		const ripples = after.table?.places.map(({ was }) => was) ?? [];
		expect(ripples.filter((was) => was?.figure)).toEqual([]);
		expect(placeOf(after, "plate").was?.clock).toBeDefined();
		// "in 16:05, was 16:35": the word stands there already.
		expect(placeOf(after, "braise").was?.clock).toMatch(/^\d\d:\d\d$/);
	});

	it("the yield bar is the whole purchase, whatever it is scaled from", async () => {
		await fc.assert(
			fc.asyncProperty(fc.integer({ min: 2000, max: 60_000 }), async (grams) => {
				const bar = (await tried({ basis: "onHand", onHand_g: grams })).table?.yieldBar;
				const whole = bar?.parts.reduce((sum, { share }) => sum + share, 0) ?? 0;
				expect(whole).toBeCloseTo(1, 6);
				expect(bar?.bought_kg).toBeCloseTo(grams / 1000, 6);
			}),
			{ numRuns: 6 },
		);
	});

	it("what cannot be planned keeps the control and says why, in no table", async () => {
		const view = await tried({ basis: "onHand", onHand_g: 1 });
		expect(view.table).toBeNull();
		expect(view.refused).toMatch(/portion|weight|onHand/);
		expect(view.control.typed.covers).toBe("140");
	});

	it("what was typed stands in the control, even where it does not hold", async () => {
		const typed = { covers: "lots", pans: "5" };
		expect((await table({ typed })).control.typed).toMatchObject(typed);
	});

	it("the control names all three ways with the figure of each", async () => {
		const { segments } = (await table()).control;
		expect(segments.map(({ basis }) => basis)).toEqual(["covers", "onHand", "pans"]);
		expect(segments[0]?.figure).toBe("140 × 62 % + 5 % = 92");
		expect(segments[1]?.figure).toMatch(/^\d+(\.\d)? kg$/);
		expect(segments[2]?.figure).toMatch(/^\d+$/);
	});
});
