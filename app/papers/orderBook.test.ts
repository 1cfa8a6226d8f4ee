import Papa from "papaparse";
import { beforeAll, describe, expect, it } from "vitest";
import { readHouse, readSittings } from "#db";
import { openDemoHouse } from "../ui/server/demoTables.testing.ts";
import { readingIn } from "../ui/words/reading.ts";
import { type Order, orderFor } from "./order.ts";
import { orderBook, orderCsv } from "./orderBook.ts";

const NOW = Date.UTC(2026, 10, 24, 9, 0);

let order: Order;

beforeAll(async () => {
	const store = await openDemoHouse(NOW);
	const house = await readHouse(store.db);
	const [sitting] = (await readSittings(store.db, NOW, NOW + 15 * 86_400_000)).filter(
		({ name }) => name === "Festival supper",
	);
	if (!sitting) throw new Error("no festival supper");
	const preferences = { light: "bench", shortKeys: true, paper: "A4", clockHours: "24" } as const;
	const reading = readingIn("metric", house.timeZone, NOW);
	order = await orderFor({ store, house, preferences, who: "Ada", nonce: "", reading }, sitting.id);
	await store.close();
});

const told = (currency = "EUR", units: "metric" | "us" = "metric") => ({
	currency,
	house: "Skerry House",
	units,
});
const sheetOf = (currency = "EUR") => {
	const sheet = orderBook(order, told(currency)).getWorksheet("Order");
	if (!sheet) throw new Error("no sheet");
	return sheet;
};
const rows = () => [
	...order.groups.flatMap(({ name, rows: bought }) => bought.map((row) => ({ name, row }))),
	...order.store.map((row) => ({ name: "From the store", row })),
];

describe("the order as a spreadsheet", () => {
	it("has a row for each ingredient under its supplier, in the order of the paper", () => {
		const sheet = sheetOf();
		expect(sheet.actualRowCount).toBe(rows().length + 3);
		for (const [index, { name, row }] of rows().entries()) {
			expect(sheet.getRow(index + 2).getCell("supplier").value).toBe(name);
			expect(sheet.getRow(index + 2).getCell("what").value).toBe(row.ingredient.name);
		}
	});

	it("orders nothing of what the store has, and a handful of salt is no sack", () => {
		const salt = order.store.find(({ ingredient }) => ingredient.id === "salt");
		expect(salt).toMatchObject({ from: "store", packs: null });
		expect(order.groups.flatMap(({ rows: bought }) => bought).every(({ from }) => from === "order")).toBe(
			true,
		);
		for (const { ingredient, asPurchased_kg, pack_kg } of order.store) {
			expect(ingredient.supplier).toBe("dryStore");
			expect(asPurchased_kg).toBeLessThan((pack_kg ?? 0) / 4);
		}
	});

	it("holds real numbers, to the gram and to the smallest coin", () => {
		const sheet = sheetOf();
		for (const [index, { row }] of rows().entries()) {
			const cell = (key: string) => sheet.getRow(index + 2).getCell(key).value;
			if (row.asPurchased_kg > 0) expect(cell("needed")).toBeCloseTo(row.asPurchased_kg, 3);
			else expect(cell("needed")).toBeNull();
			if (row.packs !== null) expect(cell("order")).toBeCloseTo(row.packs * (row.pack_kg ?? 0), 3);
			if (row.cost_minor === null) expect(cell("cost")).toBeNull();
			else expect(cell("cost")).toBe(Math.round(row.cost_minor) / 100);
		}
	});

	it("tells money in the house's currency, with the decimals that it has", () => {
		const [first] = rows().flatMap(({ row }, index) => (row.cost_minor === null ? [] : [{ row, index }]));
		if (!first) throw new Error("nothing has a price");
		const yen = sheetOf("JPY");
		expect(yen.getRow(first.index + 2).getCell("cost").value).toBe(Math.round(first.row.cost_minor ?? 0));
		expect(yen.getColumn("cost").numFmt).toBe('0 "JPY"');
	});

	it("adds up what has a price, and names what has none", () => {
		const sheet = sheetOf();
		const last = sheet.getRow(rows().length + 2);
		const priced = rows().filter(({ row }) => row.cost_minor !== null);
		const total = priced.reduce((sum, { row }) => sum + Math.round(row.cost_minor ?? 0), 0) / 100;
		expect(last.getCell("cost").value).toEqual({ formula: `SUM(I2:I${rows().length + 1})`, result: total });
		const unpriced = rows().filter(({ row }) => row.cost_minor === null);
		for (const { row } of unpriced) expect(String(last.getCell("what").value)).toContain(row.ingredient.name);
		const cover = sheet.getRow(rows().length + 3);
		expect(unpriced).toEqual([]);
		expect(cover.getCell("cost").value).toMatchObject({ result: total / order.sitting.covers });
	});

	it("orders by the litre what a cook pours", () => {
		const sheet = sheetOf();
		for (const [index, { row }] of rows().entries()) {
			const litres = sheet.getRow(index + 2).getCell("litres").value;
			const { category, density_g_per_ml } = row.ingredient;
			if (category === "wine" && row.from === "order") {
				expect(litres).toBeCloseTo(row.order_kg / (density_g_per_ml ?? 1), 3);
			}
			if (category === "meat" || category === "vegetable") expect(litres).toBeNull();
		}
		expect(rows().some(({ row }) => row.ingredient.category === "wine")).toBe(true);
	});

	it("says a dish that could not be planned, and shows three grams as such", () => {
		const sheet = orderBook({ ...order, without: ["Veal breast"] }, told()).getWorksheet("Order");
		expect(sheet?.getRow(rows().length + 4).getCell("what").value).toBe(
			"▲ Veal breast: no plan, so nothing of it is ordered here",
		);
		expect(sheet?.getColumn("needed").numFmt).toBe("[<0.1]0.000;0.00");
	});

	it("is read again from its file", async () => {
		const book = orderBook(order, told());
		const file = await book.xlsx.writeBuffer();
		const { default: ExcelJS } = await import("exceljs");
		const again = new ExcelJS.Workbook();
		await again.xlsx.load(file);
		expect(again.getWorksheet("Order")?.actualRowCount).toBe(rows().length + 3);
		expect(again.creator).toBe("Skerry House");
	});

	it("agrees with its paper to the cent, as a sheet and as a table", () => {
		const sheet = sheetOf();
		const table = Papa.parse<Record<string, string>>(orderCsv(order, told()), { header: true }).data;
		const paper = order.cost.known_minor / 100;
		const total = sheet.getRow(rows().length + 2).getCell("cost").value as { result: number };
		expect(Number.isInteger(order.cost.known_minor)).toBe(true);
		expect(total.result).toBe(paper);
		expect(table.find(({ What }) => What === "Total")?.["Costs, EUR"]).toBe(paper.toFixed(2));
		for (const [index, { row }] of rows().entries()) {
			expect(table[index]?.What).toBe(row.ingredient.name);
			const cost = row.cost_minor === null ? "" : (row.cost_minor / 100).toFixed(2);
			expect(table[index]?.["Costs, EUR"]).toBe(cost);
		}
	});

	it("is told in pounds and quarts to who reads them", () => {
		const sheet = orderBook(order, told("EUR", "us")).getWorksheet("Order");
		expect(sheet?.getRow(1).getCell("needed").value).toBe("Needed, lb");
		for (const [index, { row }] of rows().entries()) {
			const needed = sheet?.getRow(index + 2).getCell("needed").value;
			if (row.asPurchased_kg > 0) expect(needed).toBeCloseTo(row.asPurchased_kg / 0.45359237, 3);
		}
		expect(orderCsv(order, told("EUR", "us"))).toContain("Order, qt");
	});
});
