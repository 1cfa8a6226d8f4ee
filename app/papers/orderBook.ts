import ExcelJS from "exceljs";
import Papa from "papaparse";
import type { OrderRow } from "#core/dish";
import { fromBase, type UnitSystem } from "#core/quantity";
import { isBoughtByVolume } from "#core/recipe";
import { minorUnitsOf } from "../ui/words/reading.ts";
import type { Order } from "./order.ts";

/** What a reader weighs and measures by, and how much of it a kilo and a litre are. */
const UNITS = {
	metric: { weight: "kg", volume: "l", of_kg: 1, of_l: 1 },
	us: { weight: "lb", volume: "qt", of_kg: fromBase(1000, "lb"), of_l: fromBase(1000, "qt") },
} as const satisfies Record<UnitSystem, unknown>;

const columnsFor = ({ weight, volume }: { readonly weight: string; readonly volume: string }) => [
	{ header: "Supplier", key: "supplier", width: 16 },
	{ header: "What", key: "what", width: 30 },
	{ header: `Needed, ${weight}`, key: "needed", width: 12 },
	{ header: "Pieces", key: "pieces", width: 10 },
	{ header: `Pack, ${weight}`, key: "pack", width: 10 },
	{ header: "Packs", key: "packs", width: 8 },
	{ header: `Order, ${weight}`, key: "order", width: 12 },
	{ header: `Order, ${volume}`, key: "litres", width: 12 },
	{ header: "Costs", key: "cost", width: 12 },
	{ header: "For", key: "dishes", width: 50 },
];

/** How an order is told in a file. */
export interface OrderFileIn {
	/** ISO 4217 code. */
	readonly currency: string;
	readonly house: string;
	readonly units: UnitSystem;
}

/** All rows of an order, in the order of its paper. */
function rowsOf({ groups, store, here }: Order, told: OrderFileIn) {
	return [
		...groups.flatMap(({ name, rows }) => rows.map((row) => cellsOf(row, name, told))),
		...store.map((row) => ({ ...cellsOf(row, "From the store", told), order: null })),
		...here.map((row) => ({ ...cellsOf(row, "Here already", told), order: null })),
	];
}

/** The order as a workbook of one sheet. */
export function orderBook(order: Order, told: OrderFileIn): ExcelJS.Workbook {
	const { sitting, groups, store, here, without, covers } = order;
	const { currency, house, units } = told;
	const book = new ExcelJS.Workbook();
	book.creator = house;
	book.title = `Order, ${sitting.name}`;
	const sheet = book.addWorksheet("Order", { views: [{ state: "frozen", ySplit: 1 }] });
	sheet.columns = columnsFor(UNITS[units]);
	sheet.getRow(1).font = { bold: true };
	sheet.addRows(rowsOf(order, told));
	addTotal(sheet, [...groups.flatMap(({ rows }) => rows), ...store, ...here], covers, currency);
	for (const name of without) sheet.addRow({ what: withoutWords(name) });
	for (const key of ["needed", "pack", "order", "litres"]) sheet.getColumn(key).numFmt = KILOGRAMS;
	const cents = "0".repeat(decimalsOf(currency));
	sheet.getColumn("cost").numFmt = `0${cents ? `.${cents}` : ""} "${currency}"`;
	return book;
}

/** The order as a table for other programs: the same rows, and what they come to. */
export function orderCsv(order: Order, told: OrderFileIn): string {
	const columns = columnsFor(UNITS[told.units]);
	const { known_minor } = order.cost;
	const total = { supplier: "", what: "Total", cost: known_minor / minorUnitsOf(told.currency) };
	const all = [...rowsOf(order, told), total, ...order.without.map((name) => ({ what: withoutWords(name) }))];
	const money = (cost: unknown) => (typeof cost === "number" ? cost.toFixed(decimalsOf(told.currency)) : "");
	const rows = all.map((row: Readonly<Record<string, unknown>>) =>
		columns.map(({ key }) => (key === "cost" ? money(row.cost) : (row[key] ?? ""))),
	);
	const fields = columns.map(({ key, header }) => (key === "cost" ? `Costs, ${told.currency}` : header));
	return Papa.unparse({ fields, data: rows }, { escapeFormulae: true });
}

function withoutWords(name: string): string {
	return `▲ ${name}: no plan, so nothing of it is ordered here`;
}

function decimalsOf(currency: string): number {
	return Math.round(Math.log10(minorUnitsOf(currency)));
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
	const total = rows.reduce((sum, { cost_minor }) => sum + (cost_minor ?? 0), 0) / minorUnitsOf(currency);
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
function cellsOf(row: OrderRow, supplier: string, { currency, units }: OrderFileIn) {
	const { of_kg, of_l } = UNITS[units];
	const weight = (kg: number) => rounded(kg * of_kg);
	const litres = litresOf(row);
	return {
		supplier,
		what: row.ingredient.name,
		needed: row.asPurchased_kg > 0 ? weight(row.asPurchased_kg) : null,
		pieces: row.pieces > 0 ? row.pieces : null,
		pack: row.pack_kg === null ? null : weight(row.pack_kg),
		packs: row.packs,
		order: row.order_kg > 0 ? weight(row.order_kg) : null,
		litres: litres === null ? null : rounded(litres * of_l),
		cost: row.cost_minor === null ? null : row.cost_minor / minorUnitsOf(currency),
		dishes: row.dishes.join("; "),
	};
}

/** Where a cook buys it by the litre. */
function litresOf({ ingredient, order_kg, from }: OrderRow): number | null {
	const { density_g_per_ml } = ingredient;
	const isPoured = density_g_per_ml !== null && isBoughtByVolume(ingredient);
	return isPoured && from === "order" && order_kg > 0 ? order_kg / density_g_per_ml : null;
}

const rounded = (amount: number) => Math.round(amount * 1000) / 1000;
