import Papa from "papaparse";
import {
	type DocOf,
	lotNow,
	ofKind,
	passportsOf,
	type RecordEntry,
	tagsOfSpread,
	type WatchNow,
	watchesAsked,
	watchesNow,
} from "#core/records";
import { celsiusOf, fahrenheitOf, HOUSE_CODES } from "#core/safety";
import { HOUR_MS, MINUTE_MS, wallClock } from "#core/time";
import { COURSES, type Course } from "#core/watch";
import {
	type HouseRow,
	type NewEntry,
	type NewReading,
	ReadingKeeper,
	readInside,
	readLots,
	readPoints,
	type Store,
	writeRecord,
} from "#db";
import { SHEET_KINDS } from "../../app/records/sheetKinds.ts";
import { limitWords, OUTCOME_WORDS } from "../../app/records/watch.view.ts";
import { labelHead } from "../../app/ui/words/passportWords.ts";
import { type Reading, readingIn } from "../../app/ui/words/reading.ts";
import { LOT } from "../../core/records/records.testing.ts";
import { mainOf } from "./readScreen.ts";

/** Watches of every course under every code, each with its own readings: some by hand, some by a probe, some by nobody. */
export async function drawWatches(store: Store, random: () => number, at: number): Promise<number> {
	const codes = Object.values(HOUSE_CODES);
	const drawn = codes.flatMap((code) => COURSES.map((course) => ({ code, course })));
	const pans = drawn.map((_, index) => ({ tag: `A${index + 1}`, vessel: "GN 1/1-100", depth_mm: 65, kg: 8 }));
	const written = await writeRecord(store, "agree", `watches ${at}`, (next) => [
		{ at, doc: { ...LOT, lot: next.lot, from: [], pans, made: new Date(at).toISOString().slice(0, 10) } },
		...drawn.flatMap(({ code, course }, index) => {
			const watch = next.watch + index;
			const doc = {
				...{ kind: "watch" as const, watch, lot: next.lot, tag: `A${index + 1}`, course, probe: null },
				...{ code: JSON.parse(JSON.stringify(code)), cooling: null, clockFrom: at, continues: null },
			};
			const ended = { kind: "ended" as const, watch, lot: next.lot };
			const isEnded = random() < ENDED_SHARE;
			if (!isEnded || course !== "cool" || random() > SPREAD_SHARE)
				return [{ at, doc }, ...(isEnded ? [{ at: at + 8 * HOUR_MS, doc: ended }] : [])];
			return [{ at, doc }, ...spreadOver(doc, at + HOUR_MS, next.watch + drawn.length + 2 * index)];
		}),
	]);
	const goesOn = new Set(ofKind(written, "spread").map(({ doc }) => doc.tag));
	const readings = ofKind(written, "watch").flatMap(({ doc, at: begun }) =>
		drawnReadings(doc, at, random).filter(
			(one) => one.at >= begun && (!goesOn.has(doc.tag) || one.at < at + HOUR_MS),
		),
	);
	await new ReadingKeeper(store).keep(readings);
	return ofKind(written, "lot")[0]?.doc.lot ?? 0;
}

/** It is watched on in two pans from a moment on. */
function spreadOver(doc: DocOf<"watch">, at: number, watch: number): NewEntry[] {
	const { lot, tag } = doc;
	return [
		{ at, doc: { kind: "ended", watch: doc.watch, lot } },
		{ at, doc: { kind: "spread", lot, tag, parts: 2, depth_mm: 30 } },
		...tagsOfSpread(tag, 2).flatMap((part, index): NewEntry[] => [
			{ at, doc: { ...doc, watch: watch + index, tag: part, continues: doc.watch } },
			{ at: at + 7 * HOUR_MS, doc: { kind: "ended", watch: watch + index, lot } },
		]),
	];
}

/** Half of the coolings that ended were spread over two pans. */
const SPREAD_SHARE = 0.5;
/** Most are out of their pan when the day is over; some have nothing read. */
const ENDED_SHARE = 0.8;
const UNREAD_SHARE = 0.1;
const BY_HAND_SHARE = 0.4;
const FAHRENHEIT_SHARE = 0.5;

/** A falling or rising line with steps of its own: read every ten seconds, or by hand now and then. */
function drawnReadings(
	{ watch, course }: { readonly watch: number; readonly course: Course },
	at: number,
	random: () => number,
): NewReading[] {
	if (random() < UNREAD_SHARE) return [];
	const isHand = random() < BY_HAND_SHARE;
	const every_ms = isHand ? (10 + random() * 40) * MINUTE_MS : 10_000;
	const rises = course === "reheat";
	const [from, to] =
		course === "keepCold" ? [2, 6] : course === "holdHot" ? [70, 58] : rises ? [4, 80] : [85, 2];
	const slow_ms = (0.5 + random() * 3) * HOUR_MS;
	return Array.from({ length: Math.floor((7.5 * HOUR_MS) / every_ms) }, (_, index) => {
		const gone_ms = index * every_ms;
		const C = to + (from - to) * Math.exp(-gone_ms / slow_ms) + 0.4 * (random() - 0.5);
		const read = { watch, at: at + Math.round(gone_ms), who: isHand ? "agree" : null };
		// Some hands read °F, to the tenth.
		if (isHand && random() < FAHRENHEIT_SHARE)
			return { ...read, C: celsiusOf(Math.round(fahrenheitOf(C) * 10) / 10), unit: "F" };
		return { ...read, C: Math.round(C * 100) / 100 };
	});
}

/** What the screens, sheets and files of a lot say of its watches, where it is not what all their readings say. */
export async function agreeOnWatches(
	store: Store,
	url: string,
	lot: number,
	{ timeZone, units }: Pick<HouseRow, "timeZone" | "units">,
): Promise<{ readonly found: string[]; readonly count: number }> {
	const entries = await readLots(store.db, [lot]);
	const reading = readingIn(units, timeZone, Date.now());
	const asked = watchesAsked(entries).map((one) => ({ ...one, every_ms: 1 }));
	const watches = watchesNow(entries, await readPoints(store.db, asked), reading.now);
	const found: string[] = [];
	const rows = new Map<string, string>();
	for (const kind of Object.keys(SHEET_KINDS))
		for (const [row, words] of await rowsOf(url, kind, entries, timeZone)) rows.set(row, words);
	for (const now of watches) {
		const { watch, tag, course } = now.entry.doc;
		const page = `/records/lots/${lot}?watch=${watch}`;
		// What is still open is told with how long ago or how far ahead it is: of this very minute.
		const told =
			now.endedAt === null ? "" : now.standing.map((limit) => limitWords(limit, now, reading)).join("; ");
		const screen = await wordsOf(`${url}${page}`, 'ul[aria-label^="Limits of"] li');
		const said = screen.map((words) => words.replace(/^▲ /, "")).join("; ");
		if (said === "" || !said.endsWith(told)) found.push(`${page}: “${said}” is not “${told}”`);
		const wanted = `${told} | ${OUTCOME_WORDS[now.outcome]}`.toLowerCase();
		for (const file of ["screen", "csv"]) {
			const row = rows.get(`${file} ${lot} ${tag} ${course}`) ?? "";
			if (!row.toLowerCase().endsWith(wanted))
				found.push(`${page}: the ${file} of its sheet says “${row}”, not “${wanted}”`);
		}
	}
	found.push(...(await offTheWay(url, lot, watches, reading)));
	found.push(...(await offThePassports(store, url, { lot, entries, watches }, reading)));
	return { found, count: watches.length };
}

/** Labels that say another thing than what the passport says by all that was read. */
async function offThePassports(
	store: Store,
	url: string,
	{ lot, entries, watches }: { lot: number; entries: readonly RecordEntry[]; watches: readonly WatchNow[] },
	reading: Reading,
): Promise<string[]> {
	const dayOf = (at: number) => wallClock(at, reading.timeZone).date;
	const now = lotNow(entries, watches, dayOf);
	if (!now) return [];
	const inside = (await readInside(store.db, [now.doc]))(now.doc);
	const passports = passportsOf({ ...inside, lot: now, watches, today: dayOf(reading.now) });
	const page = `/records/lots/${lot}/labels`;
	const labels = await wordsOf(
		`${url}${page}`,
		'section[aria-label^="Labels of"] li, [aria-label^="Labels of"] li',
	);
	return [
		...(labels.length === passports.length
			? []
			: [`${page} has ${labels.length} labels for ${passports.length} pans`]),
		...passports.flatMap((passport) => {
			const useBy = now.pans.find(({ tag }) => tag === passport.tag)?.useBy ?? "";
			const head = labelHead(passport, now) ?? `Use by ${reading.date(useBy)}`;
			const label = labels.find((words) => words.includes(`Lot ${lot}, pan ${passport.tag}${head}`));
			return label === undefined ? [`${page}: no label of pan ${passport.tag} says “${head}”`] : [];
		}),
	];
}

/** Limits of the lot's whole way that are told otherwise than by their own pan. */
async function offTheWay(
	url: string,
	lot: number,
	watches: readonly WatchNow[],
	reading: Reading,
): Promise<string[]> {
	const page = `/records/lots/${lot}/way`;
	const limits = await wordsOf(`${url}${page}`, 'ol[aria-label="Limits on the way"] li');
	const isTold = (words: string) =>
		watches.some((now) => {
			const { tag } = now.entry.doc;
			// What is still open is told as of its minute.
			if (now.endedAt === null) return words.includes(`, pan ${tag}, `);
			return now.standing.some((limit) => words.endsWith(`, pan ${tag}, ${limitWords(limit, now, reading)}`));
		});
	const isRead = watches.some(({ watched }) => watched.points.length > 0);
	return [
		...limits.filter((words) => !isTold(words)).map((words) => `${page}: “${words}” is no pan's own`),
		...(isRead && limits.length === 0 ? [`${page} tells no limit`] : []),
	];
}

const SHEET_COURSES: Readonly<Record<string, string>> = {
	cool: "cooling",
	reheat: "reheating",
	holdHot: "holding",
	keepCold: "holding",
};

/** The rows of the sheet of a day, on the screen and in its file, by lot, pan and course. */
async function rowsOf(url: string, kind: string, entries: readonly RecordEntry[], timeZone: string) {
	const watches = ofKind(entries, "watch").filter(({ doc }) => SHEET_COURSES[doc.course] === kind);
	const rows = new Map<string, string>();
	const [first] = watches;
	if (!first) return rows;
	const day = wallClock(first.at, timeZone).date;
	const address = new URLSearchParams({ kind, from: day, to: day });
	const tables = {
		screen: tableOf(await (await fetch(`${url}/records/sheets?${address}`)).text()),
		csv: Papa.parse<string[]>(
			(await (await fetch(`${url}/records/sheets/sheet.csv?${address}`)).text()).trim(),
		).data,
	};
	for (const [file, [columns = [], ...all]] of Object.entries(tables)) {
		const cell = (row: readonly string[], column: string) => row[columns.indexOf(column)] ?? "";
		for (const row of all)
			for (const { doc } of watches)
				if (cell(row, "Lot") === String(doc.lot) && cell(row, "Pan") === doc.tag)
					rows.set(
						`${file} ${doc.lot} ${doc.tag} ${doc.course}`,
						`${cell(row, "Limits")} | ${cell(row, "Came out")}`,
					);
	}
	return rows;
}

async function wordsOf(address: string, selector: string): Promise<string[]> {
	const [words = []] = textsIn(await (await fetch(address)).text(), "body", selector);
	return words;
}

function tableOf(html: string): string[][] {
	return textsIn(html, "table tr", "th, td");
}

/** Of every part of a page the texts of what it has in it. */
function textsIn(html: string, part: string, selector: string): string[][] {
	const window = mainOf(html);
	const texts = [...window.document.querySelectorAll(part)].map((one) =>
		[...one.querySelectorAll(selector)].map(({ textContent }) => textContent),
	);
	window.happyDOM.close();
	return texts;
}
