import { groupBy, upperFirst } from "es-toolkit";
import type { OrderRow } from "#core/dish";
import { wallClock } from "#core/time";
import { BY_PRODUCTS, type ByProductKind } from "#core/trade";
import { underNumber } from "../ui/server/underNumber.server.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { letterOf } from "../ui/words/letterOf.ts";
import { orderRowView } from "../ui/words/orderRow.ts";
import { counted, money, type Reading } from "../ui/words/reading.ts";
import { butcherWords } from "./butcherWords.ts";
import { costOf, type Order, orderFor } from "./order.ts";

/** Which sitting is ordered for, and with which others; the others stand in the address as often as there are any. */
export interface OrderAsked {
	readonly id: string;
	readonly search?: string;
}

function togetherIn({ search = "" }: OrderAsked): string[] {
	return new URLSearchParams(search).getAll("with").slice(0, MOST_TOGETHER);
}

const MOST_TOGETHER = 12;

/** The order sheet of a sitting, or of several that are delivered together. */
export async function orderPage(visit: HouseVisit, asked: OrderAsked) {
	const under = await underNumber(visit.store.db, asked.search ?? "", visit.reading);
	const order = await orderFor(visit, asked.id, togetherIn(asked), under);
	const { sitting, groups } = order;
	const reading = visit.reading.towards(sitting.serviceAt);
	const { currency, byProductWorth } = visit.house;
	const worthWords = (kind: ByProductKind, kg: number) => {
		const perKg = byProductWorth[kind];
		return perKg ? `, worth ${money(perKg * kg, currency)}` : "";
	};
	const letters = lettersOf(order);
	const rowOf = (row: OrderRow) => ({
		...orderRowView(row, reading, currency),
		dishes: row.dishes.map((name) => letters.get(name) ?? name).join(" "),
	});
	return {
		id: sitting.id,
		name: sitting.name,
		/** Which letter stands for which dish; none where there is only one. */
		dishes: [...letters].map(([name, tag]) => ({ name, tag })),
		since: order.since,
		version: sitting.version,
		together: order.together.map(({ name }) => name),
		others: order.others.map((other) => ({
			id: other.id,
			words: `${other.name}, ${reading.day(other.serviceAt)}, ${counted(other.covers, "cover")}`,
			isOn: order.together.some(({ id }) => id === other.id),
		})),
		butcher: butcherView(order, reading, (row) => rowOf(row).order),
		left: order.left.map(
			({ name, from, inTime }) =>
				`${inTime ? "" : "▲ Too late for this batch, for the next: "}${upperFirst(name)}: ${from.map(({ kind, dish, kg }) => `${reading.mass(kg)} of ${BY_PRODUCTS[kind]} of ${dish}${worthWords(kind, kg)}`).join("; ")}.`,
		),
		about: `${sitting.room ? `${sitting.room} · ` : ""}${reading.day(sitting.serviceAt)} ${reading.time(sitting.serviceAt)} · ${counted(sitting.covers, "cover")}`,
		note: sitting.note,
		house: visit.house.name,
		printed: `${reading.day(reading.now)} ${reading.time(reading.now)}${order.stamp}`,
		orderBy: order.orderBy === null ? null : `${reading.day(order.orderBy)} ${reading.time(order.orderBy)}`,
		paper: visit.preferences.paper,
		without: order.without,
		total: costWords(order.cost, currency),
		aCover: order.cost.gaps > 0 ? null : `${money(order.cost.known_minor / order.covers, currency)} a cover`,
		inHouse: Object.fromEntries(
			Object.entries(sitting.inHouse_g).map(([id, grams]) => [id, reading.mass(grams / 1000)]),
		),
		here: order.here.map((row) => rowOf(row)),
		store: order.store.map((row) => rowOf(row)),
		groups: groups.map(({ name, rows }) => ({
			name,
			rows: rows.map((row) => rowOf(row)),
			total: costWords(costOf(rows), currency),
		})),
	};
}

/** What the butcher is told, meat by meat: what is ordered of it for all dishes, and what each dish takes of it. */
function butcherView({ cuts, groups, here }: Order, reading: Reading, ordered: (row: OrderRow) => string) {
	const requests = cuts.flatMap(({ plan, uses }) => butcherWords(plan, uses, reading));
	const rows = groups.flatMap((group) => group.rows);
	return Object.values(groupBy(requests, ({ from }) => from.id)).map((all) => {
		const [{ from }] = all as [(typeof all)[number]];
		const row = rows.find(({ ingredient }) => ingredient.id === from.id);
		const isHere = here.some(({ ingredient }) => ingredient.id === from.id);
		return {
			name: from.name,
			total: row ? `${ordered(row)} ordered` : isHere ? "here already" : "from the store",
			cuts: all.map(({ from: _, ...cut }) => cut),
		};
	});
}

/** A letter for each dish, in the order in which they stand on the sitting, those without a plan too: a list is read by them. */
function lettersOf({ names }: Order): ReadonlyMap<string, string> {
	const own = [...new Set(names)];
	if (own.length < 2) return new Map();
	return new Map(own.map((name, index) => [name, letterOf(index)]));
}

/** What it comes to, or that some of it has no price. */
function costWords({ known_minor, gaps }: Order["cost"], currency: string): string {
	return gaps === 0
		? money(known_minor, currency)
		: `${money(known_minor, currency)} and ${gaps} without a price`;
}

/** The order list of a sitting as a spreadsheet or a table: real numbers, so that it can be reckoned with. */
export async function orderFile(visit: HouseVisit, asked: OrderAsked & { readonly as: "xlsx" | "csv" }) {
	const under = await underNumber(visit.store.db, asked.search ?? "", visit.reading);
	const order = await orderFor(visit, asked.id, togetherIn(asked), under);
	const { date } = wallClock(order.sitting.serviceAt, visit.house.timeZone);
	// Large, and wanted seldom: no thread waits for it when it begins.
	const { orderBook, orderCsv } = await import("./orderBook.ts");
	const { currency, name } = visit.house;
	const told = { currency, house: name, units: visit.reading.units };
	if (asked.as === "csv") return { date, bytes: new TextEncoder().encode(orderCsv(order, told)) };
	return { date, bytes: new Uint8Array(await orderBook(order, told).xlsx.writeBuffer()) };
}
