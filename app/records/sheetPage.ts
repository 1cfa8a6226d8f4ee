import Papa from "papaparse";
import { data } from "react-router";
import { ofKind, type RecordEntry, watchesNow, withoutStruck } from "#core/records";
import { DAY_MS, laterDay, onDay } from "#core/time";
import { askedFor, type Course, summaryOf, type WatchSummary } from "#core/watch";
import {
	type Database,
	readCrossings,
	readEntriesByLot,
	readHeads,
	readKind,
	readPoints,
	readWatchEnds,
	type WatchEnds,
} from "#db";
import type { HouseVisit } from "../ui/server/visit.ts";
import type { Reading } from "../ui/words/reading.ts";
import { DRAWN_EVERY_MS, dayWords } from "./lotPage.ts";
import { SHEET_KINDS, type SheetKind, type SheetOf } from "./sheetKinds.ts";
import { ACTION_WORDS } from "./watch.view.ts";

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
	const noon = (date: string) => Date.parse(`${date}T12:00:00Z`);
	return [onDay(noon(from), timeZone, 0), onDay(noon(laterDay(to, 1)), timeZone, 0)];
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
		period: `${dayWords(given.from, reading)} to ${dayWords(given.to, reading)} ${given.to.slice(0, 4)}`,
		house: house.name,
		...body,
		printed: `${reading.day(reading.now)} ${reading.time(reading.now)}`,
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
		const entries = await readKind(db, "delivery", from, to);
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
				`${reading.day(at)} ${reading.time(at)}`,
				`${doc.name}${doc.note ? ` (${doc.note})` : ""}`,
				reading.mass(doc.kg),
				doc.supplier,
				doc.supplierLot,
				doc.C === null ? "not measured" : reading.probed(doc.C),
				doc.useBy === null ? "" : dayWords(doc.useBy, reading),
				doc.accepted ? "taken in" : "sent back",
				who,
				"",
			]),
		};
	},
	actions: async (db, [from, to], reading) => {
		const [actions, corrections] = await Promise.all([
			readKind(db, "action", from, to),
			readKind(db, "correction", from, to),
		]);
		const all = [...actions, ...corrections].sort((a, b) => a.at - b.at || a.number - b.number);
		const lots = await readEntriesByLot(
			db,
			all.map(({ doc }) => doc.lot),
		);
		return {
			codes: [],
			columns: ["When", "Lot", "Dish", "Pan", "What was done", "Note", "By", "Sign"],
			missed: [],
			rows: all.map(({ at, who, doc }) => {
				const own = lots.get(doc.lot) ?? [];
				const tag = ofKind(own, "watch").find((entry) => entry.doc.watch === doc.watch)?.doc.tag ?? "";
				return [
					`${reading.day(at)} ${reading.time(at)}`,
					String(doc.lot),
					ofKind(own, "lot")[0]?.doc.dish ?? "",
					tag,
					doc.kind === "action" ? ACTION_WORDS[doc.action].done : `corrected ${doc.of} ${doc.number}`,
					doc.kind === "action" ? doc.note : doc.reason,
					who,
					"",
				];
			}),
		};
	},
};

/** A watch with how it came out. */
export interface WatchTold {
	readonly entry: RecordEntry<"watch">;
	readonly lot: readonly RecordEntry[];
	readonly ends: WatchEnds | null;
	readonly summary: WatchSummary;
	readonly endedAt: number | null;
}

/** Every watch of some courses that began in a period, with how it came out: from its crossings, not from all its readings. */
export async function watchesTold(
	db: Database,
	[from, to]: Period,
	courses: readonly Course[],
	now: number,
): Promise<WatchTold[]> {
	const begun = (await readKind(db, "watch", from, to)).filter(({ doc }) => courses.includes(doc.course));
	const lots = await readEntriesByLot(
		db,
		begun.map(({ doc }) => doc.lot),
	);
	const counted = begun.filter((entry) =>
		withoutStruck(lots.get(entry.doc.lot) ?? []).some(({ number }) => number === entry.number),
	);
	const asked = counted.flatMap(({ doc }) =>
		askedFor(doc.course, doc.code).map((one) => ({ watch: doc.watch, ...one })),
	);
	const [ends, crossings] = await Promise.all([
		readWatchEnds(
			db,
			counted.map(({ doc }) => doc.watch),
		),
		readCrossings(db, asked),
	]);
	let used = 0;
	return Promise.all(
		counted.map(async (entry): Promise<WatchTold> => {
			const { doc } = entry;
			const lot = lots.get(doc.lot) ?? [];
			const ended = ofKind(lot, "ended").find((one) => one.doc.watch === doc.watch)?.at ?? null;
			const count = askedFor(doc.course, doc.code).length;
			const own = crossings.slice(used, used + count);
			used += count;
			const isCorrected = ofKind(lot, "correction").some((one) => one.doc.watch === doc.watch);
			const told = isCorrected
				? await correctedTold(db, lot, entry, now)
				: { ends: ends.get(doc.watch) ?? null, crossings: own };
			const summary = summaryOf({
				...{ course: doc.course, code: doc.code, clockFrom: doc.clockFrom, now },
				...{ crossings: told.crossings, first_C: told.ends?.first_C ?? null, isEnded: ended !== null },
			});
			return { entry, lot, ends: told.ends, summary, endedAt: ended };
		}),
	);
}

/** The same of a watch of which something was corrected: from all its readings, as they count now. */
async function correctedTold(
	db: Database,
	lot: readonly RecordEntry[],
	{ doc }: RecordEntry<"watch">,
	now: number,
): Promise<{ ends: WatchEnds | null; crossings: (number | null)[] }> {
	const read = await readPoints(db, [doc.watch], DRAWN_EVERY_MS);
	const points = watchesNow(lot, read, now).find(({ entry }) => entry.doc.watch === doc.watch)?.points ?? [];
	const [first, last] = [points[0], points.at(-1)];
	return {
		ends:
			first && last
				? { watch: doc.watch, first: first.at, last: last.at, first_C: first.C, last_C: last.C }
				: null,
		crossings: askedFor(doc.course, doc.code).map(
			({ C, wanted }) =>
				points.find((point) => (wanted === "atMost" ? point.C <= C : point.C >= C))?.at ?? null,
		),
	};
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
				told.map(({ entry: { doc } }) => `${doc.code.name} (${doc.code.source}, ${doc.code.dated})`),
			),
		],
		columns: [
			"Began",
			"Lot",
			"Dish",
			"Pan",
			"First",
			"Last",
			"Limits",
			"Came out",
			"Done about it",
			"By",
			"Sign",
		],
		missed: told.flatMap(({ summary }, index) => (summary.verdict === "missed" ? [index] : [])),
		rows: told.map((one) => watchRow(one, reading)),
	};
}

const VERDICT_WORDS = { met: "met", missed: "MISSED", open: "open" } as const;

function watchRow({ entry, lot, ends, summary }: WatchTold, reading: Reading): string[] {
	const { doc, at, who } = entry;
	const moment = (instant: number, C: number) => `${reading.probed(C)} at ${reading.time(instant)}`;
	const done = ofKind(lot, "action").filter((one) => one.doc.watch === doc.watch);
	const probe = ofKind(lot, "probe").findLast((one) => one.doc.watch === doc.watch)?.doc.probe ?? doc.probe;
	return [
		`${reading.day(at)} ${reading.time(at)}`,
		String(doc.lot),
		ofKind(lot, "lot")[0]?.doc.dish ?? "",
		doc.tag,
		ends ? moment(ends.first, ends.first_C) : "nothing read",
		ends ? moment(ends.last, ends.last_C) : "",
		summary.limits.map((limit) => limitCell(limit, reading)).join("; "),
		VERDICT_WORDS[summary.verdict],
		done
			.map(
				(one) =>
					`${ACTION_WORDS[one.doc.action].done}${one.doc.note ? ` (${one.doc.note})` : ""}, ${one.who}`,
			)
			.join("; "),
		probe === null ? who : `${who}, probe ${probe}`,
		"",
	];
}

function limitCell(
	{ C, by, at, within_min, wanted }: WatchSummary["limits"][number],
	reading: Reading,
): string {
	const degrees = reading.temperature(C);
	if (within_min === null && by === null && wanted) {
		const side = wanted === "atLeast" ? "or above" : "or below";
		return at === null ? `${degrees} ${side}` : `${degrees} ${side}: ${reading.time(at)}`;
	}
	const reached = at === null ? "not reached" : reading.time(at);
	return by === null ? `${degrees}: ${reached}` : `${degrees} by ${reading.time(by)}: ${reached}`;
}

/** The sheet for a table programme. */
export async function recordSheetCsv(visit: HouseVisit, given: SheetOf): Promise<string> {
	const { columns, rows, codes } = await recordSheet(visit, given);
	const named = columns.filter((column) => column !== "Sign");
	return `\ufeff${Papa.unparse(
		[[...named, "House code"], ...rows.map((row) => [...row.slice(0, named.length), codes.join("; ")])],
		{ newline: "\r\n", escapeFormulae: true },
	)}`;
}
