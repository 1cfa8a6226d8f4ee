import { type Database, keepPlacedDates, readPlacedDate, type Store } from "#db";
import { type DateOnPaper, readDate, writtenDate } from "./writtenDate.ts";

/** Names the build: what another one placed may be planned otherwise by this one. None while it is developed. */
const buildName = () => process.env.WIDE_TABLE_BUILD;

/** So many placed dates are kept for the next start: three weeks, and some that changed meanwhile. */
const MOST_STORED = 32;

interface Placed extends DateOnPaper {
	readonly mark: string;
	readonly asIssued: boolean;
}

const knownOf = new WeakMap<Database, Set<string>>();

function knownIn(db: Database): Set<string> {
	const known = knownOf.get(db) ?? new Set();
	knownOf.set(db, known);
	return known;
}

/** What was kept of a date under its mark by this build; null where nothing that can be read was. */
export async function storedDate(db: Database, mark: string) {
	const build = buildName();
	const row = build === undefined ? null : await readPlacedDate(db, keyOf(build, mark));
	if (!row) return null;
	try {
		const date = readDate(row.doc);
		knownIn(db).add(mark);
		return { ...date, asIssued: row.asIssued };
	} catch (error) {
		console.error("A placed day that was kept cannot be read, and is placed again:", error);
		return null;
	}
}

/**
 * Keeps placed dates, so that whoever asks first after a start finds them. It is kept beside the work
 * and is owed to nobody: where it can not be written, the dates are placed again.
 */
export async function storeDates(store: Store, dates: readonly Placed[]): Promise<void> {
	const build = buildName();
	if (build === undefined) return;
	const known = knownIn(store.db);
	const fresh = dates.filter(({ mark }) => !known.has(mark)).slice(0, MOST_STORED);
	if (fresh.length === 0) return;
	for (const { mark } of fresh) known.add(mark);
	const rows = fresh.map(({ mark, asIssued, ...date }) => ({
		mark: keyOf(build, mark),
		asIssued,
		doc: writtenDate(date),
	}));
	try {
		await keepPlacedDates(store, rows, MOST_STORED);
	} catch (error) {
		console.error("Placed days were not kept for the next start:", error);
	}
}

function keyOf(build: string, mark: string): string {
	return `${build} ${mark}`;
}
