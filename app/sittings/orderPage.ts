import type { OrderRow } from "#core/plan";
import { wallClock } from "#core/time";
import type { HouseVisit } from "../ui/server/visit.ts";
import { counted, money, type Reading } from "../ui/words/reading.ts";
import { orderFor } from "./order.ts";
import { orderBook } from "./orderBook.ts";

/** The order sheet of a sitting. */
export async function orderPage(visit: HouseVisit, { id }: { readonly id: string }) {
	const order = await orderFor(visit, id);
	const { sitting, groups } = order;
	const reading = visit.reading.towards(sitting.serviceAt);
	const { currency } = visit.house;
	return {
		id: sitting.id,
		name: sitting.name,
		about: `${sitting.room ? `${sitting.room} · ` : ""}${reading.day(sitting.serviceAt)} ${wallClock(sitting.serviceAt, reading.timeZone).time} · ${counted(sitting.covers, "cover")}`,
		house: visit.house.name,
		printed: `${reading.day(reading.now)} ${reading.time(reading.now)}`,
		orderBy: order.orderBy === null ? null : reading.clock(order.orderBy),
		paper: visit.preferences.paper,
		without: order.without,
		store: order.store.map((row) => rowView(row, reading, currency)),
		groups: groups.map(({ name, rows }) => ({
			name,
			rows: rows.map((row) => rowView(row, reading, currency)),
			total: totalOf(rows, currency),
		})),
	};
}

function rowView(row: OrderRow, reading: Reading, currency: string) {
	const { ingredient, packs, pack_kg, pieces } = row;
	const byPiece = row.asPurchased_kg === 0 && pieces > 0;
	return {
		name: ingredient.name,
		needed: byPiece ? counted(pieces, "piece") : reading.mass(row.asPurchased_kg),
		order: byPiece
			? counted(pieces, "piece")
			: packs === null || pack_kg === null
				? reading.mass(row.order_kg)
				: `${packs} × ${reading.mass(pack_kg)}`,
		cost: row.cost_minor === null ? "no price" : money(row.cost_minor, currency),
		dishes: row.dishes.join("; "),
	};
}

/** The sum of a supplier's rows, or that some have no price. */
function totalOf(rows: readonly OrderRow[], currency: string): string {
	const known = rows.reduce((sum, { cost_minor }) => sum + (cost_minor ?? 0), 0);
	const gaps = rows.filter(({ cost_minor }) => cost_minor === null).length;
	return gaps === 0 ? money(known, currency) : `${money(known, currency)} and ${gaps} without a price`;
}

/** The order list of a sitting as a spreadsheet: real numbers, so that it can be reckoned with. */
export async function orderXlsx(visit: HouseVisit, { id }: { readonly id: string }) {
	const order = await orderFor(visit, id);
	const { date } = wallClock(order.sitting.serviceAt, visit.house.timeZone);
	const book = orderBook(order, visit.house.currency, visit.house.name);
	return { date, bytes: new Uint8Array(await book.xlsx.writeBuffer()) };
}
