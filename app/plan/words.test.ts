import { beforeAll, describe, expect, it } from "vitest";
import { placesOf, tasksOf } from "../places/index.ts";
import { type DemoTables, demoTables, tableOf } from "../ui/server/demoTables.testing.ts";
import { cautionsOf } from "../ui/words/cautions.ts";
import { readingIn } from "../ui/words/reading.ts";
import { warningWords } from "../ui/words/warningWords.ts";
import { detailOf } from "./detail.ts";

const NOW = Date.UTC(2026, 10, 24, 9, 0);
const READERS = (["metric", "us"] as const).map((units) => readingIn(units, "Atlantic/Faroe", NOW));
const [METRIC, US] = READERS;

let demo: DemoTables;

beforeAll(async () => {
	demo = await demoTables(NOW);
});

/** Everything the long table says of every dish of the demo house to one reader. */
function everythingSaid(reading: (typeof READERS)[number]): string[] {
	const { kitchen } = demo;
	return demo.tables.flatMap(({ row: { dish, plan } }) => {
		if (!plan) throw new Error(`${dish.recipe.name} has no plan`);
		const given = { plan, kitchen, reading, cardLine: null };
		const places = placesOf(given);
		return [
			...places.map(({ figure, clock }) => `${figure} ${clock}`),
			...tasksOf(given).map(({ words }) => words),
			...places.map(({ key }) => saidIn({ ...detailOf(key, given), steps: [], lines: [] })),
			...plan.warnings.map((warning) => Object.values(warningWords(warning, reading)).join(" ")),
			...cautionsOf(plan, kitchen.policy.code, kitchen.policy.liftLimit_kg, reading),
		];
	});
}

/** Everything that is written; what is left out on purpose is not said. */
function saidIn(view: object): string {
	return JSON.stringify(view, (_, value) =>
		value === null || value === Number.POSITIVE_INFINITY ? "" : value,
	);
}

describe("what the long table says", () => {
	it("never says what is no figure", () => {
		for (const reading of READERS) {
			for (const said of everythingSaid(reading))
				expect(said).not.toMatch(/NaN|undefined|null|Infinity|\[object/);
		}
	});

	it("speaks to each reader in their own units, and only in those", () => {
		const words = (reading: (typeof READERS)[number] | undefined) =>
			reading ? everythingSaid(reading).join("\n") : "";
		const litres = /\d (kg|l|ml|°C)\b/;
		expect(words(METRIC)).toMatch(litres);
		expect(words(METRIC).match(/.{40}\d (lb|oz|qt|gal|cup|°F)\b/)?.[0]).toBeUndefined();
		expect(words(US)).toMatch(/\d (lb|oz|qt|gal|cup|°F)\b/);
		expect(words(US).match(/.{40}\d (kg|l|ml|°C)\b/)?.[0]).toBeUndefined();
	});

	it("shows a sum behind the figure of every place, each with its result", () => {
		const { kitchen } = demo;
		for (const { row } of demo.tables) {
			const { dish, plan } = row;
			if (!plan || !METRIC) continue;
			const given = { plan, kitchen, reading: METRIC, cardLine: null };
			for (const { key } of placesOf(given)) {
				const { sums } = detailOf(key, given);
				expect(sums.length, `${dish.recipe.name}, ${key}`).toBeGreaterThan(0);
				for (const { label, working, result } of sums) expect([label, working, result]).not.toContain("");
			}
		}
	});

	it("leaves out the places a dish does not need", () => {
		const keysOf = (name: string) => {
			const { plan } = tableOf(demo, name).row;
			if (!plan || !METRIC) throw new Error(`no plan of ${name}`);
			return placesOf({ plan, kitchen: demo.kitchen, reading: METRIC }).map(({ key }) => key);
		};
		expect(keysOf("Mutton neck")).toContain("marinate");
		expect(keysOf("Goat shoulder")).not.toContain("marinate");
	});

	it("never says that food is safe", () => {
		for (const said of READERS.flatMap(everythingSaid)) expect(said).not.toMatch(/\bsafe\b/i);
	});
});
