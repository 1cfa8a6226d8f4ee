import ExcelJS from "exceljs";
import type { OrderRow } from "#core/dish";
import { isBoughtByVolume } from "#core/recipe";
import { minorUnitsOf } from "../ui/words/reading.ts";
import type { Order } from "./order.ts";

const COLUMNS = [
	{ header: "Supplier", key: "supplier", width: 16 },
	{ header: "What", key: "what", width: 30 },
	{ header: "Needed, kg", key: "needed", width: 12 },
	{ header: "Pieces", key: "pieces", width: 10 },
	{ header: "Pack, kg", key: "pack", width: 10 },
	{ header: "Packs", key: "packs", width: 8 },
	{ header: "Order, kg", key: "order", width: 12 },
	{ header: "Order, l", key: "litres", width: 12 },
	{ header: "Costs", key: "cost", width: 12 },
	{ header: "For", key: "dishes", width: 50 },
];

/** The order as a workbook of one sheet. */
export function orderBook(
	{ sitting, groups, store, here, without, covers }: Order,
	currency: string,
	house: string,
): ExcelJS.Workbook {
	const book = new ExcelJS.Workbook();
	book.creator = house;
	book.title = `Order, ${sitting.name}`;
	const sheet = book.addWorksheet("Order", { views: [{ state: "frozen", ySplit: 1 }] });
	sheet.columns = COLUMNS;
	sheet.getRow(1).font = { bold: true };
	for (const { name, rows } of groups) sheet.addRows(rows.map((row) => cellsOf(row, name, currency)));
	sheet.addRows(store.map((row) => ({ ...cellsOf(row, "From the store", currency), order: null })));
	sheet.addRows(here.map((row) => ({ ...cellsOf(row, "Here already", currency), order: null })));
	addTotal(sheet, [...groups.flatMap(({ rows }) => rows), ...store, ...here], covers, currency);
	for (const name of without) sheet.addRow({ what: `▲ ${name}: no plan, so nothing of it is ordered here` });
	for (const key of ["needed", "pack", "order", "litres"]) sheet.getColumn(key).numFmt = KILOGRAMS;
	const cents = "0".repeat(Math.round(Math.log10(minorUnitsOf(currency))));
	sheet.getColumn("cost").numFmt = `0${cents ? `.${cents}` : ""} "${currency}"`;
	return book;
}

/** Grams are told where there is little of something: 3 g are not 0.00 kg. */
const KILOGRAMS = "[<0.1]0.000;0.00";

/** What all of it costs, as a sum that goes on adding up; and what has no price. */
function addTotal(
	sheet: ExcelJS.Worksheet,
	rows: readonly OrderRow[],
	covers: number,
	currency: string,
): void {
	if (rows.length === 0) return;
	const column = sheet.getColumn("cost").letter;
	const total =
		rows.reduce((sum, { cost_minor }) => sum + Math.round(cost_minor ?? 0), 0) / minorUnitsOf(currency);
	const unpriced = rows
		.filter(({ cost_minor }) => cost_minor === null)
		.map(({ ingredient }) => ingredient.name);
	const row = sheet.addRow({
		what: unpriced.length > 0 ? `Total, without ${unpriced.join(", ")}` : "Total",
		cost: { formula: `SUM(${column}2:${column}${rows.length + 1})`, result: total },
	});
	row.font = { bold: true };
	if (unpriced.length > 0) return;
	sheet.addRow({
		what: "A cover",
		cost: { formula: `${column}${row.number}/${covers}`, result: total / covers },
	});
}

/** One row; a cell that has nothing to say is empty, not nought. */
function cellsOf(row: OrderRow, supplier: string, currency: string) {
	return {
		supplier,
		what: row.ingredient.name,
		needed: row.asPurchased_kg > 0 ? rounded(row.asPurchased_kg) : null,
		pieces: row.pieces > 0 ? row.pieces : null,
		pack: row.pack_kg,
		packs: row.packs,
		order: row.order_kg > 0 ? rounded(row.order_kg) : null,
		litres: litresOf(row),
		cost: row.cost_minor === null ? null : Math.round(row.cost_minor) / minorUnitsOf(currency),
		dishes: row.dishes.join("; "),
	};
}

/** Where a cook buys it by the litre. */
function litresOf({ ingredient, order_kg, from }: OrderRow): number | null {
	const { density_g_per_ml } = ingredient;
	const isPoured = density_g_per_ml !== null && isBoughtByVolume(ingredient);
	return isPoured && from === "order" && order_kg > 0 ? rounded(order_kg / density_g_per_ml) : null;
}

const rounded = (kg: number) => Math.round(kg * 1000) / 1000;
