import { asc, eq } from "drizzle-orm";
import { nanoid } from "nanoid";
import type { Kitchen } from "#core/kitchen";
import type { PanShape, PanType } from "#core/pans";
import { changesBetween, eventsSince, record } from "./events.ts";
import { readKnown } from "./knownIngredients.ts";
import { Missing, Stale } from "./Stale.ts";
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

/** Inside shape of a stored kind of pan. */
export function shapeOf(row: PanTypeRow): PanShape {
	const measured = measuredShape(row);
	if (measured) return measured;
	if (row.kind === "gn" && row.gn) return { gn: row.gn, depth_mm: row.depth_mm };
	if (row.kind === "round") {
		return { round: { diameter_mm: row.diameter_mm ?? 0, height_mm: row.depth_mm } };
	}
	return {
		box: { length_mm: row.length_mm ?? 0, width_mm: row.width_mm ?? 0, depth_mm: row.depth_mm },
	};
}

/** A pan that was measured with water; undefined when it is known by its sizes. */
function measuredShape(row: PanTypeRow): PanShape | undefined {
	const { lowMark_mm, lowMark_ml, highMark_mm, highMark_ml } = row;
	if (lowMark_mm === null || lowMark_ml === null || highMark_mm === null || highMark_ml === null) {
		return undefined;
	}
	const across = row.kind === "round" ? row.diameter_mm : row.length_mm;
	return {
		measured: {
			outline: row.kind === "round" ? "round" : "box",
			length_mm: across ?? 0,
			width_mm: (row.kind === "round" ? row.diameter_mm : row.width_mm) ?? 0,
			depth_mm: row.depth_mm,
			low: { height_mm: lowMark_mm, litres: lowMark_ml / 1000 },
			high: { height_mm: highMark_mm, litres: highMark_ml / 1000 },
		},
	};
}

/** Everything a plan needs of the kitchen. */
export async function readKitchen(db: Reader): Promise<Kitchen> {
	const [row, pans, ovens, known] = await Promise.all([
		readHouse(db),
		readPanTypes(db),
		readOvens(db),
		readKnown(db),
	]);
	const searPan = pans.find((pan) => pan.id === row.searPanId);
	return {
		equipment: {
			pans: pans.filter((pan) => pan.use === "braise").map(asPanType),
			trays: pans.filter((pan) => pan.use === "tray").map(asPanType),
			ovens,
			searPan: searPan ? { id: searPan.id, name: searPan.name, shape: shapeOf(searPan) } : null,
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

function asPanType(row: PanTypeRow): PanType {
	return { id: row.id, name: row.name, shape: shapeOf(row), stock: row.stock };
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
	return store.write(async (tx) => {
		const [before] = await tx.select().from(table).where(eq(table.id, id));
		if (!before) throw new Missing(subject, id);
		if (before.version !== version) {
			throw new Stale(before.version, await eventsSince(tx, subject, id, version));
		}
		const changes = changesBetween(before, { ...before, ...fields });
		if (changes.length === 0) return;
		const next = version + 1;
		await tx
			.update(table)
			.set({ ...fields, version: next } as never)
			.where(eq(table.id, id));
		const what = "retired" in fields && fields.retired ? "removed" : "changed";
		await record(tx, { who, subject, subjectId: id, what, version: next, changes });
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
