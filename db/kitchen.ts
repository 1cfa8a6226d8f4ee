import { asc, eq, gte } from "drizzle-orm";
import { sortBy } from "es-toolkit";
import { USUAL_UA_W_PER_K } from "#core/carry";
import {
	type CarryBox,
	COOKER_FILL,
	COOKER_HEATS,
	type Cooler,
	type Kitchen,
	ovenOutsideLimits,
	panOutsideLimits,
	reactsWithAcid,
	USUAL_AIR_C,
	type Vessel,
} from "#core/kitchen";
import { type PanType, shapeOfSizes } from "#core/pans";
import { ALLERGEN_LISTS, type AllergenListKey } from "#core/recipe";
import { HOUSE_CODE_KEYS, HOUSE_CODES, type HouseCode } from "#core/safety";
import { changeRow } from "./changeRow.ts";
import {
	type Confirmed,
	type DeclarationTold,
	type Lowered,
	listFalls,
	tellLowered,
} from "./declarations.ts";
import { changesBetween, record } from "./events.ts";
import { type Made, readKnown } from "./knownIngredients.ts";
import { newId } from "./newId.ts";
import { Missing } from "./Stale.ts";
import type { Reader, Store, Transaction } from "./Store.ts";
import {
	cook,
	type EventSubject,
	house,
	houseCode,
	oven,
	panType,
	sitting,
	standingPlace,
} from "./schema.ts";

export type HouseRow = typeof house.$inferSelect;
export type PanTypeRow = typeof panType.$inferSelect;
export type OvenRow = typeof oven.$inferSelect;
export type CookRow = typeof cook.$inferSelect;
export type HouseCodeRow = typeof houseCode.$inferSelect;
export type StandingPlaceRow = typeof standingPlace.$inferSelect;

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

export function readCooks(db: Reader): Promise<CookRow[]> {
	return db.select().from(cook).where(eq(cook.retired, false)).orderBy(asc(cook.name));
}

export function readStandingPlaces(db: Reader): Promise<StandingPlaceRow[]> {
	return db
		.select()
		.from(standingPlace)
		.where(eq(standingPlace.retired, false))
		.orderBy(asc(standingPlace.kind), asc(standingPlace.name));
}

/**
 * Everything a plan needs of the kitchen. Pans and ovens that break a limit of today are left out.
 *
 * @param recipes what is planned: only what it is made of is read; without them, all that is known
 */
export async function readKitchen(db: Reader, recipes?: readonly Made[]): Promise<Kitchen> {
	const [row, codes, allPans, allOvens, places, known] = await Promise.all([
		readHouse(db),
		readHouseCodes(db),
		readPanTypes(db),
		readOvens(db),
		readStandingPlaces(db),
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
			cookers: COOKER_HEATS.flatMap((heat) =>
				of(heat).map((row) => ({ ...asVessel(row), heat, fill: COOKER_FILL[heat] })),
			),
			coolers: places.flatMap(asCooler),
			boxes: places.flatMap(asBox),
			burners: row.burners,
			hobPower_kW: row.hobPower_w / 1000,
		},
		policy: {
			headspace_mm: row.headspace_mm,
			liftLimit_kg: row.liftLimit_g / 1000,
			code: codeIn(codes, row.houseCode),
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

/** Every code that a house may work to: the presets by their keys, its own by their ids; those out of use too. */
export async function readHouseCodes(db: Reader): Promise<ReadonlyMap<string, HouseCode>> {
	const rows = await db.select().from(houseCode).orderBy(asc(houseCode.name));
	const presets = HOUSE_CODE_KEYS.map((key): [string, HouseCode] => [key, HOUSE_CODES[key]]);
	return new Map([...presets, ...rows.map((row): [string, HouseCode] => [row.id, asCode(row)])]);
}

/** The house's own codes that are in use. */
export function readOwnCodes(db: Reader): Promise<HouseCodeRow[]> {
	return db.select().from(houseCode).where(eq(houseCode.retired, false)).orderBy(asc(houseCode.name));
}

function asCode({ id: _, version: __, retired: ___, ...code }: HouseCodeRow): HouseCode {
	return code;
}

/** A code by its key or id; the usual preset where nobody knows it any more. */
export function codeIn(codes: ReadonlyMap<string, HouseCode>, key: string): HouseCode {
	return codes.get(key) ?? HOUSE_CODES.blast90;
}

/** What of the places cools. */
function asCooler({ id, name, kind, capacity, air_C, power_w, rated_kg }: StandingPlaceRow): Cooler[] {
	if (kind === "warmer" || kind === "box") return [];
	const power_kW = power_w === null ? null : power_w / 1000;
	return [{ id, name, kind, capacity, air_C: air_C ?? USUAL_AIR_C[kind], power_kW, rated_kg }];
}

/** Insulated boxes of a kind. */
function asBox({ id, name, kind, capacity, loses_W_per_K }: StandingPlaceRow): CarryBox[] {
	if (kind !== "box") return [];
	return [{ id, name, count: capacity, loses_W_per_K: loses_W_per_K ?? USUAL_UA_W_PER_K }];
}

function asVessel(row: PanTypeRow): Vessel {
	return { ...asPanType(row), ...(row.heat_w === null ? {} : { heat_kW: row.heat_w / 1000 }) };
}

function asPanType(row: PanTypeRow): PanType {
	return {
		id: row.id,
		name: row.name,
		shape: shapeOfSizes(row),
		stock: row.stock,
		...(reactsWithAcid(row.material) ? { reacts: true } : {}),
	};
}

const TABLES = { house, panType, oven, cook, standingPlace, houseCode } as const;
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
	{ confirmed, moved }: ChangedWith = {},
): Promise<void> {
	const table = TABLES[subject];
	let list: AllergenListKey | null = null;
	return changeRow<RowOf<S>>(who, store, {
		subject,
		id,
		version,
		read: async (tx) => {
			const [row] = await tx.select().from(table).where(eq(table.id, id));
			if (!row) throw new Missing(subject, id);
			list = subject === "house" ? (row as HouseRow).allergenList : null;
			return row as RowOf<S>;
		},
		change: (now) => ({ ...now, ...fields }),
		write: async (tx, after) => {
			if ("allergenList" in after && list !== null && list !== after.allergenList)
				await tellOtherList(tx, list, after.allergenList, { who, confirmed });
			await tx
				.update(table)
				.set(after as never)
				.where(eq(table.id, id));
			if (moved) await moveSittings(tx, who, moved);
		},
		what: (after) => ("retired" in fields && "retired" in after && after.retired ? "removed" : "changed"),
	});
}

/** What goes with a change of the house. */
export interface ChangedWith {
	/** Less is declared with it, and somebody put a name under that. */
	readonly confirmed?: Confirmed | undefined;
	/** When the sittings that are to come are served then, by when they were. */
	readonly moved?: ((serviceAt: number) => number) | undefined;
}

/** Sittings to come are served at another instant: the clock that they go by is another. */
async function moveSittings(
	tx: Transaction,
	who: string,
	moved: (serviceAt: number) => number,
): Promise<void> {
	const coming = await tx.select().from(sitting).where(gte(sitting.serviceAt, Date.now()));
	for (const { id, serviceAt, version } of coming) {
		const after = { serviceAt: moved(serviceAt), version: version + 1 };
		if (after.serviceAt === serviceAt) continue;
		await tx.update(sitting).set(after).where(eq(sitting.id, id));
		await record(tx, {
			...{ who, subject: "sitting", subjectId: id, what: "changed", version: after.version },
			changes: [{ field: "serviceAt", from: serviceAt, to: after.serviceAt }],
		});
	}
}

/** By another list a house declares nothing of what only the former one named. */
async function tellOtherList(
	tx: Transaction,
	before: AllergenListKey,
	after: AllergenListKey,
	{ who, confirmed }: Pick<DeclarationTold, "who" | "confirmed">,
): Promise<void> {
	const { of, words } = ALLERGEN_LISTS[before];
	const falls = listFalls(of, ALLERGEN_LISTS[after].of);
	const what = `declared by ${ALLERGEN_LISTS[after].words}`;
	const lowered: Lowered[] =
		falls.length === 0
			? []
			: [{ kind: "house", id: "list", name: `All that is declared by ${words}`, where: "", falls }];
	await tellLowered(tx, lowered, { who, what, confirmed }, { list: before });
}

/** What is added, changed and taken out of use one by one. */
export type EquipmentSubject = Exclude<KitchenSubject, "house">;

/** Adds a kind of pan, an oven, a cook, a place or a code and gives its id. */
export function addEquipment<S extends EquipmentSubject>(
	store: Store,
	subject: S,
	who: string,
	fields: Omit<(typeof TABLES)[S]["$inferInsert"], "id" | "version" | "retired">,
): Promise<string> {
	const id = newId();
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
