import { beforeAll, describe, expect, it } from "vitest";
import { startAt } from "#core/dish";
import { type DemoTable, type DemoTables, demoTables, tableOf } from "../ui/server/demoTables.testing.ts";
import { readingIn } from "../ui/words/reading.ts";
import { labelsView } from "./labels.view.ts";

const NOW = Date.UTC(2026, 10, 24, 9, 0);
const ZONE = "Atlantic/Faroe";

let demo: DemoTables;
beforeAll(async () => {
	demo = await demoTables(NOW);
});

const labelsOf = ({ row, sitting }: DemoTable, units: "metric" | "us" = "metric") =>
	labelsView(row, sitting, readingIn(units, ZONE, NOW).towards(sitting.serviceAt));
const figureOf = (label: ReturnType<typeof labelsOf>["labels"][number], words: string) =>
	label.figures.find((figure) => figure.label.includes(words))?.figure;

describe("pan labels", () => {
	it("are one a pan, numbered through, with all the pieces of the dish", () => {
		for (const table of demo.tables) {
			const { labels } = labelsOf(table);
			const { plan } = table.row;
			if (!plan) throw new Error("no plan");
			expect(labels.map(({ number }) => number)).toEqual(
				plan.pans.pans.map((_, index) => `${index + 1} of ${plan.pans.pans.length}`),
			);
			const pieces = labels.reduce((sum, label) => sum + Number(figureOf(label, "piece")), 0);
			expect(pieces + plan.pans.unplaced).toBe(plan.pieces);
		}
	});

	it("tell the temperature and the time of the oven that the pan stands in", () => {
		for (const table of demo.tables) {
			const { plan, dish } = table.row;
			if (!plan) throw new Error("no plan");
			for (const [index, label] of labelsOf(table).labels.entries()) {
				const pan = plan.pans.pans[index];
				const group = plan.braise?.groups.find(({ pans }) => pan !== undefined && pans.includes(pan));
				const at = plan.tasks.find(({ figures }) => figures.group === group?.id)?.start;
				const reading = readingIn("metric", ZONE, NOW).towards(table.sitting.serviceAt);
				expect(figureOf(label, "in; check from")).toBe(reading.time(at ?? startAt(plan, "braise")));
				const degrees = label.figures.find(({ figure }) => figure.endsWith("°C"))?.figure;
				expect(degrees).toBe(`${group?.set_C ?? dish.recipe.braise.oven_C.set} °C`);
			}
		}
	});

	it("name what the dish contains before what it may contain", () => {
		const { allergens } = labelsOf(tableOf(demo, "Pork collar"));
		expect(allergens).toMatch(/^contains .*mustard/);
		for (const table of demo.tables) {
			const words = labelsOf(table).allergens;
			expect(words).toMatch(/^(contains|may contain|none of the house's list)/);
			expect(words.indexOf("may contain")).toBeGreaterThanOrEqual(words.startsWith("may contain") ? 0 : -1);
			expect(words).not.toMatch(/\bsafe\b/i);
		}
	});

	it("tell a dish that has no plan why, and print nothing for it", () => {
		const { sitting, row } = tableOf(demo, "Goat shoulder");
		const refused = labelsOf({ sitting, row: { dish: row.dish, card: row.card, refused: "no pan is left" } });
		expect(refused).toMatchObject({ labels: [], refused: "no pan is left", allergens: "" });
	});

	it("are told in the reader's units", () => {
		const [metric] = labelsOf(tableOf(demo, "Duck legs")).labels;
		const [us] = labelsOf(tableOf(demo, "Duck legs"), "us").labels;
		if (!metric || !us) throw new Error("no labels");
		expect(figureOf(metric, "to carry")).toMatch(/ k?g$/);
		expect(figureOf(us, "to carry")).toMatch(/ (lb|oz)$/);
	});
});
