import { beforeAll, describe, expect, it } from "vitest";
import type { WorkedDish } from "#core/day";
import type { Cooler } from "#core/kitchen";
import type { Recipe } from "#core/recipe";
import { HOUSE_CODE_KEYS, HOUSE_CODES } from "#core/safety";
import { spokenDuration } from "#core/time";
import { HEAT_RANGES, PLACES, type PlaceKey } from "#core/trade";
import { workedIn } from "../../core/day/days.testing.ts";
import { equipped, KITCHEN, ORDER, RECIPE, wanting } from "../../core/dish/dish.testing.ts";
import { DEMO_DISHES } from "../../core/recipe/demoBook.testing.ts";
import { type DemoTables, demoTables } from "../ui/server/demoTables.testing.ts";
import { readingIn } from "../ui/words/reading.ts";
import { checksOf } from "./braise/checks.ts";
import { PLACE, type PlaceGiven, placesOf, tasksOf } from "./index.ts";

const NOW = Date.UTC(2026, 10, 24, 9, 0);
const READING = readingIn("metric", "UTC", NOW);
const AHEAD: Recipe = { ...RECIPE, schools: { service: "madeAhead" } };

let demo: DemoTables;
beforeAll(async () => {
	demo = await demoTables(NOW);
});

const given = (made: WorkedDish, kitchen = KITCHEN): PlaceGiven => ({
	plan: made,
	kitchen,
	reading: READING,
});
const planned = (recipe = RECIPE, kitchen = KITCHEN, order = ORDER) =>
	given(workedIn(recipe, order, kitchen), kitchen);

/** Every plan of the demonstration, and some that it has none of. */
const everyGiven = (): PlaceGiven[] => [
	...demo.tables.flatMap(({ row, sitting }) =>
		row.plan ? [{ plan: row.plan, kitchen: demo.kitchen, reading: READING.towards(sitting.serviceAt) }] : [],
	),
	planned(),
	planned(AHEAD),
	planned({ ...RECIPE, sauce_ml: 0, rest_min: 0 }),
	planned(RECIPE, equipped({ searPans: [], trays: [] })),
	planned(RECIPE, equipped({ ovens: [] })),
	planned(RECIPE, KITCHEN, { ...ORDER, colour: "oven" }),
	planned(RECIPE, KITCHEN, { ...ORDER, covers: 400, hands: 1 }),
	planned(RECIPE, KITCHEN, { ...ORDER, carry: { minutes: 45, air_C: 7, hot: true, openings: 2 } }),
	planned({ ...RECIPE, marinate: { minutes: 600, longest_min: 2000, container: "a tub" } }),
];

const wordsOf = (key: PlaceKey, about: PlaceGiven): string[] => {
	const { title, says, facts } = PLACE[key].headline(about);
	const papers = PLACE[key].paper?.(about) ?? [];
	return [
		PLACE[key].figure(about),
		title,
		says,
		...facts.flatMap(({ figure, label }) => [figure, label]),
		...papers.flatMap(({ what, text }) => [what, text]),
	];
};

describe("the places of the long table", () => {
	it("are all needed by some plan", () => {
		const keys = new Set(everyGiven().flatMap((about) => placesOf(about).map(({ key }) => key)));
		expect(PLACES.filter((key) => !keys.has(key))).toEqual([]);
	});

	it("each stand in a folder of their own name", () => {
		for (const key of PLACES) expect(PLACE[key].key).toBe(key);
	});

	it("say something in whole words of every plan that has them", () => {
		for (const about of everyGiven()) {
			for (const { key, label, figure, clock } of placesOf(about)) {
				for (const words of [label, figure, clock, ...wordsOf(key, about)]) {
					expect(words, key).not.toBe("");
					expect(words, key).not.toMatch(/undefined|null|NaN|Infinity|\[object|\bsafe\b/);
				}
			}
		}
	});

	it("stand in the order of work, and start in it", () => {
		for (const about of everyGiven()) {
			const keys = placesOf(about).map(({ key }) => key);
			// Portions in boxes of their own are filled before they are carried.
			const isBoxed = about.plan.recipe.servedIn === "boxes" && about.plan.carry !== null;
			const order = isBoxed ? [...PLACES.filter((key) => key !== "carry"), "carry"] : PLACES;
			expect(keys).toEqual(order.filter((key) => keys.includes(key as PlaceKey)));
			expect(keys).toEqual(expect.arrayContaining(["buy", "trim", "build", "panUp", "braise", "plate"]));
		}
	});

	it("say every task that somebody begins in a line of its own, the first first", () => {
		for (const about of everyGiven()) {
			const tasks = tasksOf(about);
			expect(new Set(tasks.map(({ id }) => id)).size).toBe(tasks.length);
			expect(tasks.map(({ at }) => at)).toEqual(tasks.map(({ at }) => at).sort((a, b) => a - b));
			for (const { words } of tasks) expect(words).toMatch(/^[A-Z0-9]/);
		}
	});

	it("want each line of the card at one place or more, and none that is not on it", () => {
		for (const about of everyGiven()) {
			for (const line of about.plan.lines) {
				const wanted = PLACES.filter((key) => PLACE[key].takes(line, about.plan));
				expect(wanted.length, line.ingredient.name).toBeGreaterThan(0);
			}
		}
	});
});

describe("a dish made ahead", () => {
	it("is chilled the day before and heated again on the day of service", () => {
		const about = planned(AHEAD);
		const places = placesOf(about);
		const at = (key: PlaceKey) => places.find((place) => place.key === key)?.at ?? Number.NaN;
		expect(places.map(({ key }) => key)).toEqual(expect.arrayContaining(["chill", "reheat"]));
		const service = new Date(ORDER.serviceAt).toISOString().slice(0, 10);
		expect(new Date(at("chill")).toISOString().slice(0, 10)).not.toBe(service);
		expect(new Date(at("reheat")).toISOString().slice(0, 10)).toBe(service);
		expect(placesOf(planned()).map(({ key }) => key)).not.toContain("chill");
	});

	it("goes back into its braising pans where it was cooled over more of them, and says how deep it stands there", () => {
		const fridge: Cooler = {
			id: "room",
			name: "Walk-in",
			kind: "fridge",
			capacity: 600,
			air_C: 3,
			power_kW: null,
			rated_kg: null,
		};
		const kitchen = equipped({ coolers: [fridge] });
		const told = (parts: number): string => {
			const about = planned(AHEAD, kitchen, { ...ORDER, chill: { coolerId: "room", parts, ice: false } });
			return [PLACE.reheat.headline(about).says, PLACE.reheat.paper?.(about)[0]?.text].join("\n");
		};
		const deep = planned(AHEAD, kitchen).plan.reheat?.depth_mm ?? Number.NaN;
		expect(told(1)).not.toMatch(/braising pans/);
		expect(told(2)).toMatch(
			new RegExp(
				`Back into its braising pans, ${Math.round(deep)} mm deep.*\\n.*back into its braising pans, ${Math.round(deep)} mm deep; covered`,
			),
		);
	});

	it.each(HOUSE_CODE_KEYS)(
		"cites the house's own code, %s, for both, and lets the probe decide",
		(houseCode) => {
			const about = planned(AHEAD, wanting({ code: HOUSE_CODES[houseCode] }));
			const { name, reheat } = HOUSE_CODES[houseCode];
			expect(PLACE.chill.headline(about).says).toContain(`House code “${name}”`);
			expect(PLACE.reheat.headline(about).says).toContain(READING.temperature(reheat.core_C));
			for (const key of ["chill", "reheat"] as const)
				expect(
					PLACE[key]
						.headline(about)
						.facts.map(({ label }) => label)
						.join(),
				).toMatch(/the probe decides/);
		},
	);
});

describe("colouring", () => {
	it("says the trays where the oven was chosen, and the loads where the pan was", () => {
		const oven = planned(RECIPE, KITCHEN, { ...ORDER, colour: "oven" });
		const pan = planned(RECIPE, KITCHEN, { ...ORDER, colour: "pan" });
		expect(PLACE.sear.figure(oven)).toBe(`${oven.plan.colour?.oven?.trays} trays`);
		expect(PLACE.sear.figure(pan)).toBe(`${pan.plan.colour?.pan?.loads} loads`);
		expect(PLACE.sear.paper?.(oven)[0]?.text).toContain("230 °C");
		expect(PLACE.sear.paper?.(pan)[0]?.text).toContain("to deglaze");
	});

	it("asks for a searing pan where the kitchen has none, and prints nothing made up", () => {
		const none = planned(RECIPE, equipped({ searPans: [], trays: [] }));
		expect(PLACE.sear.figure(none)).toBe("no pan");
		expect(PLACE.sear.headline(none)).toEqual({
			title: "No searing pan",
			says: "See the warning below.",
			facts: [],
		});
		expect(PLACE.sear.paper?.(none)).toEqual([]);
	});

	it("is left out of a dish that is not seared", () => {
		const { sear: _, ...pale } = RECIPE;
		expect(placesOf(planned(pale as Recipe)).map(({ key }) => key)).not.toContain("sear");
	});
});

describe("every dish of the demonstration", () => {
	it.each(DEMO_DISHES.map(({ name }) => name))("%s stands on the table of a sitting, or could", (name) => {
		const recipe = DEMO_DISHES.find((dish) => dish.name === name);
		if (!recipe) throw new Error("no such dish");
		const made = workedIn(recipe, { ...ORDER, covers: 120 }, demo.kitchen);
		const keys = placesOf(given(made, demo.kitchen)).map(({ key }) => key);
		expect(keys).toContain("braise");
		expect(keys.includes("sear")).toBe(recipe.sear !== undefined);
	});
});

describe("the check sheet of a braise", () => {
	const checks = (recipe: Recipe) =>
		checksOf(planned(recipe))
			.map(({ what, text }) => `${what}: ${text}`)
			.join("\n");

	it("says what becomes of meat that goes on too long, and of what has no fibres", () => {
		expect(checks(RECIPE)).toMatch(/It shreds from about .*falls apart from about/);
		expect(checks({ ...RECIPE, cut: "squid" })).toMatch(/It breaks when lifted from about/);
		expect(checks({ ...RECIPE, cut: "squid" })).not.toMatch(/shreds/);
	});

	it("gives a time to wait, and one to be ready for that is no shorter", () => {
		const minutes = (words: string) => {
			const said = Array.from({ length: 600 }, (_, all) => all).find((all) => spokenDuration(all) === words);
			return said ?? Number.NaN;
		};
		const [, wait = "", ready = ""] =
			/give it ([^,]+), and be ready for ([^.]+)\./i.exec(checks(RECIPE)) ?? [];
		expect(minutes(wait)).toBeGreaterThanOrEqual(5);
		expect(minutes(ready)).toBeGreaterThanOrEqual(minutes(wait));
	});

	it("speaks of the heat that it has: nobody probes a shut pot, or turns down an oven for a hob", () => {
		const round = { round: { diameter_mm: 340, height_mm: 260 } };
		const pot = { id: "pot", name: "Pot", shape: round, stock: 6 };
		const kitchen = equipped({
			pots: [pot],
			cookers: (["pressure", "slowCooker", "bath"] as const).map((heat) => ({
				...pot,
				id: heat,
				heat,
				fill: 0.6,
			})),
		});
		for (const heat of ["hob", "slowCooker", "pressure", "bath"] as const) {
			const oven_C = heat === "hob" ? RECIPE.braise.oven_C : HEAT_RANGES[heat];
			const made = planned({ ...RECIPE, braise: { ...RECIPE.braise, heat, oven_C } }, kitchen);
			const said = checksOf(made)
				.map(({ text }) => text)
				.join(" ");
			expect(said).not.toMatch(/oven/i);
			if (heat === "pressure") expect(said).toMatch(/pressure fall by itself/);
			if (heat === "bath") expect(said).not.toMatch(/probe/i);
		}
	});

	it("keeps those that are not ready, and lifts the others", () => {
		expect(checks(RECIPE)).toContain("Lift those that are ready, leave the others.");
	});

	it("promises no time for a pan that is dry before it is tender", () => {
		const open = { ...RECIPE.braise, lid: "open" as const, line: { share: 0.05 } };
		const lines = RECIPE.lines.filter(({ role }) => role !== "vegetable");
		const dry = planned({ ...RECIPE, lines, losses: { trimLoss: 0.1, cookingLoss: 0.02 }, braise: open });
		const { says, facts } = PLACE.braise.headline(dry);
		expect(says).toMatch(/Dry at .*, before it is tender: no time holds/);
		expect(says).not.toMatch(/likely/);
		expect(facts.map(({ label }) => label)).not.toContain("check first at");
		expect(checksOf(dry).map(({ what }) => what)).toEqual(["Dry, before it is tender"]);
		expect(PLACE.braise.headline(planned()).says).toMatch(/Tender .*likely/);
	});
});
