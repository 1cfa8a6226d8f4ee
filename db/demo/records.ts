import { type ChillGiven, chilling } from "#core/chill";
import { ingredientOf } from "#core/recipe";
import { type DocOf, insideOf, type LotPan, USUAL_KEEPS } from "#core/records";
import { HOUSE_CODES } from "#core/safety";
import { HOUR_MS, MINUTE_MS, wallClock } from "#core/time";
import { readDish } from "../book.ts";
import { readKnown } from "../knownIngredients.ts";
import { type NewReading, ReadingKeeper } from "../readings.ts";
import { type NewEntry, writeRecord } from "../record.ts";
import type { Store } from "../Store.ts";

const TIME_ZONE = "Atlantic/Faroe";

const BLAST: ChillGiven = { depth_mm: 28, start_C: 84, medium: "blast", medium_C: -10, consistency: "stew" };
const DEEP: ChillGiven = { ...BLAST, depth_mm: 66 };

/** Deliveries of two days ago: short name, name, kg, °C at the door, supplier, their lot. */
const DELIVERIES = [
	["pork-collar", "pork collar", 26, 2.6, "Nordvik meat", "NM-2291"],
	["celeriac", "celeriac", 18, 6.1, "Holm gardens", ""],
	["duck-leg", "duck legs", 21, 3.4, "Nordvik meat", "NM-2307"],
] as const;

/** Records of two days: what came, what was cooled in time, what was not and was spread, and what cools now. */
export async function seedSkerryRecords(store: Store, now: number): Promise<void> {
	const keeper = new ReadingKeeper(store);
	await writeRecord(store, "Odd", "demo-deliveries", () =>
		DELIVERIES.map(([ingredientId, name, kg, C, supplier, supplierLot], index): NewEntry => {
			const at = now - 50 * HOUR_MS + index * 4 * MINUTE_MS;
			const doc: DocOf<"delivery"> = {
				...{ kind: "delivery", delivery: index + 1, ingredientId, name, supplier, supplierLot, kg, C },
				...{ useBy: null, accepted: true, note: "" },
			};
			return { at, doc };
		}),
	);
	await cooledInTime(store, keeper, now);
	await cooledTooSlowly(store, keeper, now);
	await coolsNow(store, keeper, now);
}

/** Cards of the dishes that were made. */
const CARDS = {
	"Celeriac, black lentils": "celeriac-lentil",
	"Pork collar, cider, mustard seed": "pork-collar",
	"Duck legs, damsons, barley": "duck-legs",
} as const;

interface DemoLot {
	readonly lot: number;
	readonly at: number;
	readonly dish: keyof typeof CARDS;
	readonly from: number;
	readonly pans: readonly LotPan[];
	readonly place: string;
}

async function lotDoc({ db }: Store, { lot, at, dish, from, pans, place }: DemoLot): Promise<DocOf<"lot">> {
	const { doc } = await readDish(db, CARDS[dish]);
	const { byId, preparations } = await readKnown(db, at, [doc]);
	const ingredients = doc.lines.map((line) => ingredientOf(line, byId));
	return {
		...{ kind: "lot", lot, dish, place, from: [from], pans: [...pans] },
		...{ sittingId: "", dishId: "", sitting: "Ferry packed lunch" },
		made: wallClock(at, TIME_ZONE).date,
		portions: pans.length * 14,
		...insideOf(ingredients, preparations, "eu14"),
		reheat: "to a core of 75 °C without delay",
		keeps: { ...USUAL_KEEPS },
	};
}

function watchDoc(watch: number, lot: number, tag: string, at: number, cooling: ChillGiven): DocOf<"watch"> {
	return {
		...{
			kind: "watch",
			watch,
			lot,
			tag,
			course: "cool",
			probe: null,
			cooling,
			clockFrom: at,
			continues: null,
		},
		code: JSON.parse(JSON.stringify(HOUSE_CODES.blast90)),
	};
}

function pansOf(count: number, depth_mm: number, letter: string): LotPan[] {
	return Array.from({ length: count }, (_, index) => ({
		...{ tag: `${letter}${index + 1}`, vessel: "GN 1/1-65", depth_mm, kg: 6.2 },
	}));
}

/** Readings of a pan, by the model, every so often. */
function readOf(
	watch: number,
	begun: number,
	given: ChillGiven,
	often: { readonly every_min: number; readonly until_min: number; readonly who: string | null },
): NewReading[] {
	const read: NewReading[] = [];
	for (const { minute, warmest_C } of chilling(given, given.medium_C + 0.2)) {
		while (read.length * often.every_min <= Math.min(minute, often.until_min))
			read.push({
				...{ watch, at: begun + read.length * often.every_min * MINUTE_MS, who: often.who },
				C: Math.round(warmest_C * 10) / 10,
			});
		if (minute > often.until_min) break;
	}
	return read;
}

/** A while from the lift to the chiller, well under what its code lets food stand, minutes. */
const CARRIED_MIN = 12;

/** Measured by hand now and then, below its limit in time, then moved to the cold room. */
async function cooledInTime(store: Store, keeper: ReadingKeeper, now: number): Promise<void> {
	const at = now - 27 * HOUR_MS;
	const pans = pansOf(3, BLAST.depth_mm, "C");
	const lot: DemoLot = { lot: 1, at, dish: "Celeriac, black lentils", from: 2, pans, place: "Blast chiller" };
	const made = await lotDoc(store, lot);
	await writeRecord(store, "Ebba", "demo-in-time", () => [
		{ at, doc: made },
		...pans.map(({ tag }, index) => ({
			at,
			doc: { ...watchDoc(index + 1, 1, tag, at, BLAST), clockFrom: at - CARRIED_MIN * MINUTE_MS },
		})),
	]);
	await keeper.keep(
		pans.flatMap((_, index) => readOf(index + 1, at, BLAST, { every_min: 25, until_min: 75, who: "Ebba" })),
	);
	const end = at + 80 * MINUTE_MS;
	await writeRecord(store, "Ebba", "demo-in-time-end", () => [
		...pans.map((_, index): NewEntry => ({ at: end, doc: { kind: "ended", watch: index + 1, lot: 1 } })),
		{ at: end, doc: { kind: "stage", lot: 1, stage: "moved", tags: [], place: "Cold room", note: "" } },
	]);
}

const SPREAD = [
	[5, "P1a"],
	[6, "P1b"],
] as const;

/** One deep pan was going to be too late, and was spread over two. */
async function cooledTooSlowly(store: Store, keeper: ReadingKeeper, now: number): Promise<void> {
	const at = now - 24 * HOUR_MS;
	const lot: Omit<DemoLot, "pans"> = {
		lot: 2,
		at,
		dish: "Pork collar, cider, mustard seed",
		from: 1,
		place: "Blast chiller",
	};
	const made = await lotDoc(store, { ...lot, pans: pansOf(1, DEEP.depth_mm, "P") });
	await writeRecord(store, "Odd", "demo-slow", () => [
		{ at, doc: made },
		{ at, doc: watchDoc(4, 2, "P1", at, DEEP) },
	]);
	const spreadAt = at + 20 * MINUTE_MS;
	const slow = readOf(4, at, DEEP, { every_min: 5, until_min: 20, who: "Odd" });
	await keeper.keep(slow);
	const half: ChillGiven = { ...DEEP, depth_mm: DEEP.depth_mm / 2 - 6, start_C: slow.at(-1)?.C ?? 80 };
	await writeRecord(store, "Odd", "demo-slow-spread", () => [
		{ at: spreadAt, doc: { kind: "action", watch: 4, lot: 2, action: "spread", note: "" } },
		{ at: spreadAt, doc: { kind: "ended", watch: 4, lot: 2 } },
		{ at: spreadAt, doc: { kind: "spread", lot: 2, tag: "P1", parts: 2, depth_mm: half.depth_mm } },
		...SPREAD.map(([watch, tag]): NewEntry => {
			const doc = { ...watchDoc(watch, 2, tag, spreadAt, half), clockFrom: at, continues: 4 };
			return { at: spreadAt, doc };
		}),
	]);
	await keeper.keep(
		SPREAD.flatMap(([watch]) => readOf(watch, spreadAt, half, { every_min: 33, until_min: 66, who: "Odd" })),
	);
	await writeRecord(store, "Odd", "demo-slow-end", () =>
		SPREAD.map(
			([watch]): NewEntry => ({
				at: spreadAt + 70 * MINUTE_MS,
				doc: { kind: "ended", watch, lot: 2 },
			}),
		),
	);
}

const COOLS_FOR_MIN = 45;

/** Four pans with their probes, some while after they went in. */
async function coolsNow(store: Store, keeper: ReadingKeeper, now: number): Promise<void> {
	const at = now - COOLS_FOR_MIN * MINUTE_MS;
	const pans = pansOf(4, BLAST.depth_mm, "D");
	const lot: DemoLot = {
		lot: 3,
		at,
		dish: "Duck legs, damsons, barley",
		from: 3,
		pans,
		place: "Blast chiller",
	};
	const made = await lotDoc(store, lot);
	await writeRecord(store, "Ebba", "demo-now", () => [
		{ at, doc: made },
		...pans.map(({ tag }, index) => ({
			at,
			doc: { ...watchDoc(index + 7, 3, tag, at, BLAST), probe: `P0${index + 1}` },
		})),
	]);
	await keeper.keep(
		pans.flatMap((_, index) =>
			readOf(
				index + 7,
				at,
				{ ...BLAST, start_C: BLAST.start_C - index },
				{ every_min: 0.5, until_min: COOLS_FOR_MIN, who: null },
			),
		),
	);
}
