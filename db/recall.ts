import { and, asc, eq, inArray, isNotNull, or, sql } from "drizzle-orm";
import { chunk } from "es-toolkit";
import { readDeliveries, readLotsFrom, readMade } from "./record.ts";
import type { Reader } from "./Store.ts";
import { ingredient, record } from "./schema.ts";

/** Where a recall begins. */
export type RecallFrom =
	| { readonly what: "supplierLot"; readonly text: string }
	| { readonly what: "ingredient"; readonly id: string }
	| { readonly what: "delivery" | "watch" | "lot"; readonly number: number }
	| { readonly what: "probe"; readonly name: string };

/** What a recall finds: lots it reaches themselves, and all that were made from them. */
export interface Recalled {
	readonly deliveries: readonly number[];
	readonly lots: readonly number[];
	/** Lots that were made from those, through all of them. */
	readonly further: readonly number[];
}

/** Every lot that something is in, or that was watched by it, and all that was made from those. */
export async function recalled(db: Reader, from: RecallFrom): Promise<Recalled> {
	const deliveries = await deliveriesOf(db, from);
	const made = await readLotsFrom(db, "from", deliveries);
	const lots = [...new Set([...made.map(({ doc }) => doc.lot), ...(await lotsOf(db, from))])];
	const reached = new Set(lots);
	let next = lots;
	while (next.length > 0) {
		const after = await readLotsFrom(db, "fromLots", next);
		next = after.map(({ doc }) => doc.lot).filter((lot) => !reached.has(lot));
		for (const lot of next) reached.add(lot);
	}
	const further = [...reached].filter((lot) => !lots.includes(lot));
	return { deliveries, lots: lots.sort((a, b) => a - b), further: further.sort((a, b) => a - b) };
}

const said = (path: string) =>
	sql`coalesce(${record.doc} ->> ${`$.${path}`}, ${record.doc} ->> ${`$.doc.${path}`})`;
const TOLD = inArray(record.kind, ["delivery", "instead"]);

async function deliveriesOf(db: Reader, from: RecallFrom): Promise<number[]> {
	if (from.what === "delivery") return [from.number];
	if (from.what !== "supplierLot" && from.what !== "ingredient") return [];
	const same = from.what === "ingredient" ? await sameAs(db, from.id) : [];
	const text = from.what === "supplierLot" ? from.text.trim().toLowerCase() : "";
	const wanted =
		from.what === "supplierLot"
			? sql`lower(${said("supplierLot")}) = ${text}`
			: inArray(said("ingredientId"), same);
	const rows = await db
		.selectDistinct({ delivery: sql<number>`${said("delivery")}` })
		.from(record)
		.where(and(TOLD, sql`${record.lot} IS NULL`, wanted));
	const found = await readDeliveries(
		db,
		rows.map(({ delivery }) => delivery),
	);
	// What it was written as before and is not does not count.
	return found
		.filter(({ doc }) =>
			from.what === "ingredient"
				? same.includes(doc.ingredientId)
				: doc.supplierLot.trim().toLowerCase() === text,
		)
		.map(({ doc }) => doc.delivery);
}

async function lotsOf(db: Reader, from: RecallFrom): Promise<number[]> {
	switch (from.what) {
		case "lot":
			return (await readMade(db, [from.number])).map(({ doc }) => doc.lot);
		case "watch":
			return numbersOf(db, and(eq(record.kind, "watch"), eq(record.watch, from.number)));
		case "probe":
			return numbersOf(
				db,
				and(inArray(record.kind, ["watch", "probe"]), sql`${record.doc} ->> '$.probe' = ${from.name}`),
			);
		case "ingredient": {
			const given = JSON.stringify(await sameAs(db, from.id));
			const names = (path: string) =>
				sql`EXISTS (SELECT 1 FROM json_each(${record.doc}, ${path}) WHERE value IN (SELECT value FROM json_each(${given})))`;
			const own = and(eq(record.kind, "lot"), names("$.ingredients"));
			const anew = and(eq(record.kind, "instead"), names("$.doc.ingredients"));
			return numbersOf(db, or(own, anew));
		}
		default:
			return [];
	}
}

async function numbersOf(db: Reader, wanted: ReturnType<typeof and>): Promise<number[]> {
	const rows = await db
		.selectDistinct({ lot: record.lot })
		.from(record)
		.where(and(wanted, isNotNull(record.lot)))
		.orderBy(asc(record.lot));
	return rows.flatMap(({ lot }) => lot ?? []);
}

/** An ingredient, and all that were merged into it, or that it was merged into. */
async function sameAs(db: Reader, id: string): Promise<string[]> {
	const found = new Set([id]);
	let next = [id];
	while (next.length > 0) {
		const rows: { id: string; into: string | null }[] = [];
		for (const some of chunk(next, 100))
			rows.push(
				...(await db
					.select({ id: ingredient.id, into: ingredient.mergedInto })
					.from(ingredient)
					.where(or(inArray(ingredient.id, some), inArray(ingredient.mergedInto, some)))),
			);
		next = [...new Set(rows.flatMap((row) => [row.id, row.into ?? row.id]))].filter((one) => !found.has(one));
		for (const one of next) found.add(one);
	}
	return [...found];
}
