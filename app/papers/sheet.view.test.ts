import { beforeAll, describe, expect, it } from "vitest";
import { UNITS } from "#core/quantity";
import { PLACES } from "#core/trade";
import { type DemoTable, type DemoTables, demoTables, tableOf } from "../ui/server/demoTables.testing.ts";
import { readingIn } from "../ui/words/reading.ts";
import { sheetView } from "./sheet.view.ts";

const NOW = Date.UTC(2026, 10, 24, 9, 0);
const READING = readingIn("metric", "Atlantic/Faroe", NOW);

let demo: DemoTables;

beforeAll(async () => {
	demo = await demoTables(NOW);
});

const sheetOf = ({ sitting, row }: DemoTable) =>
	sheetView({
		house: "Skerry House",
		paper: "A4",
		sitting,
		row,
		kitchen: demo.kitchen,
		reading: READING.towards(sitting.serviceAt),
	});

function printed(table: DemoTable) {
	const { sheet } = sheetOf(table);
	const { plan, dish } = table.row;
	if (!sheet || !plan) throw new Error(`no sheet for ${dish.recipe.name}`);
	return { sheet, plan, recipe: dish.recipe };
}

/** The number a reading begins with: "26.7 kg" is 26.7. */
const figure = (words: string) => Number.parseFloat(words.replaceAll(",", ""));

describe("the production sheet", () => {
	it("heads with the dish, the sitting and the hour of service", () => {
		expect(sheetOf(tableOf(demo, "Goat shoulder"))).toMatchObject({
			house: "Skerry House",
			sitting: "Festival supper",
			room: "Hall",
			service: "19:30",
			day: "Sat 28 Nov",
			printed: "Tue 24 Nov 09:00",
			refused: null,
		});
	});

	it("carries the note for the kitchen, and says of each diet whether the dish feeds it", () => {
		const table = tableOf(demo, "Goat shoulder");
		const sitting = {
			...table.sitting,
			note: "Speeches at eight.",
			diets: [
				{ diet: "vegetarian", covers: 12 },
				{ diet: "glutenFree", covers: 3 },
			],
		} as typeof table.sitting;
		const { note, guests } = sheetOf({ ...table, sitting });
		expect(note).toBe("Speeches at eight.");
		expect(guests[0]).toMatch(/^12 vegetarian: not this dish, because of .*goat shoulder/);
		expect(guests).toHaveLength(2);
	});

	it("is in the order of the clock, ends with service, and checks first before the lift", () => {
		for (const table of demo.tables) {
			const { days } = printed(table).sheet;
			const clock = days.flatMap(({ tasks }) => tasks);
			expect(clock.map(({ at }) => at)).toEqual(clock.map(({ at }) => at).sort((a, b) => a - b));
			expect(clock.at(-1)?.task).toBe("Service");
			const tasks = clock.map(({ task }) => task);
			const at = [
				/^Build/,
				/^Pan up/,
				/^(Into .* oven|On the hob|Shut|Bags)/,
				/^Check first/,
				/^(Lift|Out of the oven|Off the heat)/,
				/^(Plate|Fill|Pull|Dish up)/,
				/^Service/,
			].map((words) => tasks.findIndex((task) => words.test(task)));
			expect(at).not.toContain(-1);
			expect(at).toEqual([...at].sort((a, b) => a - b));
		}
	});

	it("names each day of work once, the day of service last", () => {
		for (const table of demo.tables) {
			const days = printed(table).sheet.days.map(({ day }) => day);
			expect(new Set(days).size).toBe(days.length);
			expect(days.at(-1)).toBe(sheetOf(table).day);
			expect(days.length).toBeGreaterThan(1);
		}
	});

	it("numbers every pan, and their pieces are all the pieces", () => {
		for (const table of demo.tables) {
			const { sheet, plan } = printed(table);
			expect(sheet.pans.map(({ number }) => number)).toEqual(plan.pans.pans.map((_, index) => index + 1));
			expect(sheet.pans.reduce((sum, { pieces }) => sum + pieces, 0) + plan.pans.unplaced).toBe(plan.pieces);
		}
	});

	it("what is poured into the pans is the liquid that is weighed out, reduced ones as what is left", () => {
		for (const table of demo.tables) {
			const { sheet, plan } = printed(table);
			const poured = sheet.pans.reduce((sum, { liquid }) => {
				const litres = figure(liquid);
				return sum + (liquid.endsWith(" ml") ? litres / 1000 : litres);
			}, 0);
			const brought = plan.lines
				.filter(({ line }) => line.role === "liquid")
				.reduce((sum, liquid) => sum + ((liquid.measure_ml ?? 0) * (liquid.line.reducedTo ?? 1)) / 1000, 0);
			expect(Math.abs(poured - brought)).toBeLessThan(0.02 * brought + 0.02);
		}
	});

	it("weighs out every line of the card, and carries every step with its caution", () => {
		for (const table of demo.tables) {
			const { sheet, recipe } = printed(table);
			expect(sheet.lines).toHaveLength(recipe.lines.length);
			for (const { amount } of sheet.lines) expect(figure(amount)).toBeGreaterThan(0);
			expect(sheet.steps.map(({ caution }) => caution)).toEqual(
				recipe.steps.map(({ caution }) => caution ?? null),
			);
		}
	});

	it("tells pieces from weights: what the card counts is counted", () => {
		const { sheet, recipe } = printed(tableOf(demo, "Mutton neck"));
		recipe.lines.forEach((line, index) => {
			const counts = UNITS[line.unit].dimension === "count" && line.role === "potent";
			expect(/ pieces?$/.test(sheet.lines[index]?.amount ?? "")).toBe(counts);
		});
	});

	it("names each allergen with what brings it", () => {
		const { allergens } = printed(tableOf(demo, "Squid")).sheet;
		expect(allergens.join("; ")).toMatch(/molluscs \([^)]*squid/);
		expect(allergens.join("; ")).toMatch(/sulphites \([^)]*wine/);
	});

	it("says whose code it cites and that it is for reference", () => {
		for (const table of demo.tables) expect(printed(table).sheet.code).toMatch(/for reference only\.$/);
	});

	it("says the same places as the long table", () => {
		const labels = new Set(
			demo.tables.flatMap((table) => printed(table).sheet.steps.map(({ place }) => place)),
		);
		expect(labels.size).toBeLessThanOrEqual(PLACES.length);
		expect(labels).toContain("Pan up");
	});

	it("says why there is none, instead of a sheet of guesses", () => {
		const { sitting, row } = tableOf(demo, "Goat shoulder");
		const { refused, sheet } = sheetOf({
			sitting,
			row: { dish: row.dish, card: row.card, refused: "no pan takes it" },
		});
		expect([refused, sheet]).toEqual(["no pan takes it", null]);
	});
});
