import { asc, eq } from "drizzle-orm";
import { sortBy } from "es-toolkit";
import { nanoid } from "nanoid";
import { type Kitchen, ovenOutsideLimits, panOutsideLimits, type Vessel } from "#core/kitchen";
import { type PanType, shapeOfSizes } from "#core/pans";
import { changeRow } from "./changeRow.ts";
import { changesBetween, record } from "./events.ts";
import { type Made, readKnown } from "./knownIngredients.ts";
import { Missing } from "./Stale.ts";
import type { Reader, Store } from "./Store.ts";
import { type EventSubject, house, oven, panType } from "./schema.ts";

export type HouseRow = typeof house.$inferSelect;
export type PanTypeRow = typeof panType.$inferSelect;
export type OvenRow = typeof oven.$inferSelect;

/** The one house of this database. */
export async function readHouse(db: Reader): Promise<HouseRow> {
	const [row] = await db.select().from(house).limit(1);
	if (!row) throw new Missing("house", "any");
	return row;
}

export function readPanTypes(db: Reader): Promise<PanTypeRow[]> {
	return db
		.select()
		.from(panType)
		.where(eq(panType.retired, false))
		.orderBy(asc(panType.use), asc(panType.name));
}

export function readOvens(db: Reader): Promise<OvenRow[]> {
	return db.select().from(oven).where(eq(oven.retired, false)).orderBy(asc(oven.name));
}

/**
 * Everything a plan needs of the kitchen. Pans and ovens that break a limit of today are left out.
 *
 * @param recipes what is planned: only what it is made of is read; without them, all that is known
 */
export async function readKitchen(db: Reader, recipes?: readonly Made[]): Promise<Kitchen> {
	const [row, allPans, allOvens, known] = await Promise.all([
		readHouse(db),
		readPanTypes(db),
		readOvens(db),
		readKnown(db, Date.now(), recipes),
	]);
	const pans = allPans.filter((pan) => panOutsideLimits(pan) === null);
	const ovens = allOvens.filter((oven) => ovenOutsideLimits(oven) === null);
	const of = (use: PanTypeRow["use"]) => pans.filter((pan) => pan.use === use);
	const isTakenFirst = (pan: PanTypeRow) => pan.id === row.searPanId;
	return {
		equipment: {
			pans: of("braise").map(asPanType),
			trays: of("tray").map(asPanType),
			ovens,
			searPans: sortBy(
				pans.filter((pan) => pan.use === "sear" || isTakenFirst(pan)),
				[(pan) => !isTakenFirst(pan)],
			).map(asVessel),
			pots: of("pot").map(asVessel),
			burners: row.burners,
			hobPower_kW: row.hobPower_w / 1000,
		},
		policy: {
			headspace_mm: row.headspace_mm,
			liftLimit_kg: row.liftLimit_g / 1000,
			houseCode: row.houseCode,
			timeZone: row.timeZone,
			hours: { opens_min: row.opens_min, closes_min: row.closes_min },
			allergenList: row.allergenList,
			scaleStep_g: row.scaleStep_g,
			confidence: row.confidence_pct / 100,
			saltBand_pct: { low: row.saltLow_pct, high: row.saltHigh_pct },
			altitude_m: row.altitude_m,
		},
		known,
	};
}

function asVessel(row: PanTypeRow): Vessel {
	return { ...asPanType(row), ...(row.heat_w === null ? {} : { heat_kW: row.heat_w / 1000 }) };
}

function asPanType(row: PanTypeRow): PanType {
	return { id: row.id, name: row.name, shape: shapeOfSizes(row), stock: row.stock };
}

const TABLES = { house, panType, oven } as const;
type KitchenSubject = keyof typeof TABLES & EventSubject;
type RowOf<S extends KitchenSubject> = (typeof TABLES)[S]["$inferSelect"];
type Fields<S extends KitchenSubject> = Partial<Omit<RowOf<S>, "id" | "version">>;

/**
 * Changes a pan, an oven or the house itself.
 *
 * @param version the version that was read
 * @throws {Stale} when somebody changed it in between
 * @throws {Missing} when there is no such row
 */
export function changeEquipment<S extends KitchenSubject>(
	store: Store,
	subject: S,
	id: string,
	version: number,
	who: string,
	fields: Fields<S>,
): Promise<void> {
	const table = TABLES[subject];
	return changeRow<RowOf<S>>(who, store, {
		subject,
		id,
		version,
		read: async (tx) => {
			const [row] = await tx.select().from(table).where(eq(table.id, id));
			if (!row) throw new Missing(subject, id);
			return row as RowOf<S>;
		},
		change: (now) => ({ ...now, ...fields }),
		write: async (tx, after) => {
			await tx
				.update(table)
				.set(after as never)
				.where(eq(table.id, id));
		},
		what: (after) => ("retired" in fields && "retired" in after && after.retired ? "removed" : "changed"),
	});
}

/** Adds a kind of pan or an oven and gives its id. */
export function addEquipment<S extends "panType" | "oven">(
	store: Store,
	subject: S,
	who: string,
	fields: Omit<(typeof TABLES)[S]["$inferInsert"], "id" | "version" | "retired">,
): Promise<string> {
	const id = nanoid(10);
	return store.write(async (tx) => {
		await tx.insert(TABLES[subject]).values({ ...fields, id } as never);
		await record(tx, {
			who,
			subject,
			subjectId: id,
			what: "added",
			version: 1,
			changes: changesBetween({}, fields),
		});
		return id;
	});
}
