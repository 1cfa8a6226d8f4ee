import { LRUCache } from "lru-cache";
import { type Database, type DayIssueRow, readFigures, readIssue } from "#db";
import { type DateOnPaper, readDate } from "./writtenDate.ts";

/** What a number covers: its day and its sittings, with every figure as it was issued. */
export interface FrozenDate {
	readonly issue: DayIssueRow;
	/** Null for a number from before figures were frozen with it. */
	readonly figures: DateOnPaper | null;
}

const MOST_KEPT = 6;
const keptBy = new WeakMap<Database, LRUCache<number, FrozenDate>>();

/** What a number covers. @throws {Missing} when no day was issued under it */
export async function frozenDate(db: Database, number: number): Promise<FrozenDate> {
	const kept = keptBy.get(db) ?? new LRUCache<number, FrozenDate>({ max: MOST_KEPT });
	keptBy.set(db, kept);
	const found = kept.get(number) ?? (await readFrozen(db, number));
	kept.set(number, found);
	return found;
}

async function readFrozen(db: Database, number: number): Promise<FrozenDate> {
	const issue = await readIssue(db, number);
	const stored = await readFigures(db, number);
	if (stored === null) return { issue, figures: null };
	return { issue, figures: readDate(stored) };
}
