import { chunk, zip } from "es-toolkit";
import Papa from "papaparse";
import { data } from "react-router";
import {
	asItStands,
	type DocOf,
	ofKind,
	type ReadPoint,
	type RecordEntry,
	type WatchNow,
} from "#core/records";
import { DAY_MS, laterDay, startOfDay } from "#core/time";
import type { Course } from "#core/watch";
import { type Database, readDelivered, readEntriesByLot, readHeads, readKind } from "#db";
import { readWatches } from "../ui/server/readWatches.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import type { Reading } from "../ui/words/reading.ts";
import { entryWords } from "./lotPage.ts";
import { SHEET_KINDS, type SheetKind, type SheetOf } from "./sheetKinds.ts";
import { ACTION_WORDS, limitsTold, OUTCOME_WORDS } from "./watch.view.ts";

/** A sheet of records: what it is, its columns, and a row for each thing that was watched, delivered or done. */
export interface RecordSheet {
	readonly kind: SheetKind;
	readonly title: string;
	readonly period: string;
	readonly house: string;
	/** Which limits it is held against, with where they come from. */
	readonly codes: readonly string[];
	readonly columns: readonly string[];
	readonly rows: readonly (readonly string[])[];
	/** Those that were missed, by their place. */
	readonly missed: readonly number[];
	readonly printed: string;
	/** The last hashes of the record's chains on that day. */
	readonly heads: string;
}

/** A sheet over a longer time would not be read by anybody. */
const MOST_DAYS = 400;

/** The instants of a period of days, whole. @throws 400 in a sentence where it is none */
export function periodOf(visit: HouseVisit, { from, to }: SheetOf): readonly [number, number] {
	const { timeZone } = visit.house;
	const days = (Date.parse(to) - Date.parse(from)) / DAY_MS;
	if (!(days >= 0 && days <= MOST_DAYS)) {
		throw data(
			{ said: `From a day to a later one, at most ${MOST_DAYS} days on, is allowed.` },
			{ status: 400 },
		);
	}
	const [begins, ends] = [startOfDay(from, timeZone), startOfDay(laterDay(to, 1), timeZone)];
	if (begins === undefined || ends === undefined)
		throw data({ said: "A period is from one day to another." }, { status: 400 });
	return [begins, ends];
}

/** One sheet of the records of a period. */
export async function recordSheet(visit: HouseVisit, given: SheetOf): Promise<RecordSheet> {
	const { store, reading, house } = visit;
	const [from, to] = periodOf(visit, given);
	const { db } = store;
	const body = await BODIES[given.kind](db, [from, to], reading);
	const heads = await readHeads(db);
	return {
		kind: given.kind,
		title: SHEET_KINDS[given.kind],
		period: `${reading.date(given.from)} to ${reading.date(given.to)}`,
		house: house.name,
		...body,
		printed: reading.moment(reading.now),
		heads: `Record ${heads.record.slice(0, 16)}, readings ${heads.reading.slice(0, 16)}`,
	};
}

type Body = Pick<RecordSheet, "codes" | "columns" | "rows" | "missed">;
type Period = readonly [number, number];

const BODIES: {
	readonly [K in SheetKind]: (db: Database, period: Period, reading: Reading) => Promise<Body>;
} = {
	cooling: (db, period, reading) => watchBody(db, period, reading, ["cool"]),
	reheating: (db, period, reading) => watchBody(db, period, reading, ["reheat"]),
	holding: (db, period, reading) => watchBody(db, period, reading, ["holdHot", "keepCold"]),
	delivery: async (db, [from, to], reading) => {
		const entries = await readDelivered(db, from, to);
		return {
			codes: [],
			columns: [
				"Came",
				"What",
				"Weight",
				"From",
				"Their lot",
				"At the door",
				"Use by",
				"Decided",
				"Taken in by",
				"Sign",
			],
			missed: entries.flatMap(({ doc }, index) => (doc.accepted ? [] : [index])),
			rows: entries.map(({ at, who, doc }) => [
				reading.moment(at),
				`${doc.name}${doc.note ? ` (${doc.note})` : ""}`,
				reading.mass(doc.kg),
				doc.supplier,
				doc.supplierLot,
				doc.C === null ? "not measured" : reading.probed(doc.C),
				doc.useBy === null ? "" : reading.date(doc.useBy),
				doc.accepted ? "taken in" : "sent back",
				who,
				"",
			]),
		};
	},
	actions: async (db, [from, to], reading) => {
		const [actions, corrections, anew, dated] = await Promise.all([
			readKind(db, "action", from, to),
			readKind(db, "correction", from, to),
			readKind(db, "instead", from, to),
			readKind(db, "dated", from, to),
		]);
		const all = [...actions, ...corrections, ...anew, ...dated].sort(
			(a, b) => a.at - b.at || a.number - b.number,
		);
		const lots = await readEntriesByLot(
			db,
			all.flatMap(({ doc }) => doc.lot ?? []),
		);
		return {
			codes: [],
			columns: ["When", "Lot", "Dish", "Pan", "What was done", "Note", "By", "Sign"],
			missed: [],
			rows: all.map(({ at, who, doc }) => {
				const own = lots.get(doc.lot ?? 0) ?? [];
				const watch = "watch" in doc ? doc.watch : null;
				const tag = ofKind(own, "watch").find((entry) => entry.doc.watch === watch)?.doc.tag ?? "";
				return [
					reading.moment(at),
					doc.lot === null ? "" : String(doc.lot),
					doc.kind === "instead" && doc.doc.kind === "delivery"
						? doc.doc.name
						: (ofKind(asItStands(own), "lot")[0]?.doc.dish ?? ""),
					tag,
					...doneWords(doc, reading, wasBefore(own, doc)),
					who,
					"",
				];
			}),
		};
	},
};

/** A watch with how it stands or came out, and all that was written of its lot. */
export interface WatchTold {
	readonly now: WatchNow;
	readonly lot: readonly RecordEntry[];
}

/** So many lots are read at once: a long sheet is read piece by piece. */
const LOTS_AT_ONCE = 40;

/** Every watch of some courses that began in a period, as its lot tells it. */
export async function watchesTold(
	db: Database,
	[from, to]: Period,
	courses: readonly Course[],
	now: number,
): Promise<WatchTold[]> {
	const begun = (await readKind(db, "watch", from, to)).filter(({ doc }) => courses.includes(doc.course));
	const told = new Map<number, WatchTold>();
	for (const lots of chunk([...new Set(begun.map(({ doc }) => doc.lot))], LOTS_AT_ONCE)) {
		const entries = [...(await readEntriesByLot(db, lots)).values()];
		for (const [lot, watches] of zip(entries, await readWatches(db, entries, now)))
			for (const one of watches) told.set(one.entry.number, { now: one, lot });
	}
	return begun.flatMap(({ number }) => told.get(number) ?? []);
}

async function watchBody(
	db: Database,
	period: Period,
	reading: Reading,
	courses: readonly Course[],
): Promise<Body> {
	const told = await watchesTold(db, period, courses, reading.now);
	return {
		codes: [
			...new Set(
				told.map(
					({
						now: {
							entry: { doc },
						},
					}) => `${doc.code.name} (${doc.code.source}, ${doc.code.dated})`,
				),
			),
		],
		columns: [
			"Began",
			"Lot",
			"Dish",
			"Pan",
			"First",
			"Last",
			"House code",
			"Limits",
			"Came out",
			"Done about it",
			"By",
			"Sign",
		],
		missed: told.flatMap(({ now }, index) => (now.outcome === "missed" ? [index] : [])),
		rows: told.map((one) => watchRow(one, reading)),
	};
}

function watchRow({ now, lot }: WatchTold, reading: Reading): string[] {
	const { entry, points, probe, actions, outcome } = now;
	const { doc, at, who } = entry;
	const moment = ({ at: instant, C }: ReadPoint) => `${reading.probed(C)} at ${reading.time(instant)}`;
	const [first, last] = [points[0], points.at(-1)];
	return [
		reading.moment(at),
		String(doc.lot),
		ofKind(lot, "lot")[0]?.doc.dish ?? "",
		doc.tag,
		first ? moment(first) : "nothing read",
		last ? moment(last) : "",
		doc.code.name,
		limitsTold(now, reading)
			.map(({ words }) => words)
			.join("; "),
		outcome === "missed" ? OUTCOME_WORDS.missed.toUpperCase() : OUTCOME_WORDS[outcome],
		actions
			.map(
				(one) =>
					`${ACTION_WORDS[one.doc.action].done}${one.doc.note ? ` (${one.doc.note})` : ""}, ${one.who}`,
			)
			.join("; "),
		probe === null ? who : `${who}, probe ${probe}`,
		"",
	];
}

/** The sheet for a table programme. */
export async function recordSheetCsv(visit: HouseVisit, given: SheetOf): Promise<string> {
	const { columns, rows } = await recordSheet(visit, given);
	const named = columns.filter((column) => column !== "Sign");
	return `\ufeff${Papa.unparse([named, ...rows.map((row) => row.slice(0, named.length))], {
		newline: "\r\n",
		escapeFormulae: true,
	})}`;
}

/** What was done, and its note: of what was written anew, what it was and what it is. */
function doneWords(
	doc: DocOf<"action" | "correction" | "instead" | "dated">,
	reading: Reading,
	before: RecordEntry["doc"] | null,
): [string, string] {
	const words = (one: RecordEntry["doc"]) => entryWords(one, reading, () => "");
	switch (doc.kind) {
		case "action":
			return [ACTION_WORDS[doc.action].done, doc.note];
		case "correction":
			return [before ? `struck out: ${words(before)}` : `corrected ${doc.of} ${doc.number}`, doc.reason];
		case "instead":
			return [`${before ? `${words(before)} → ` : ""}${words({ ...doc, reason: "" })}`, doc.reason];
		case "dated":
			return [`use-by changed to ${reading.date(doc.useBy)}`, doc.reason];
	}
}

/** What stood there before it was struck out or written anew. */
function wasBefore(own: readonly RecordEntry[], doc: RecordEntry["doc"]): RecordEntry["doc"] | null {
	const number =
		doc.kind === "instead" ? doc.of : doc.kind === "correction" && doc.of === "entry" ? doc.number : 0;
	return own.find((entry) => entry.number === number)?.doc ?? null;
}
