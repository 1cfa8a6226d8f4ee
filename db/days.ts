import { and, asc, desc, eq, gte, lte, max, notInArray } from "drizzle-orm";
import { refuse } from "#core/check";
import type { DayChange, IssuedDay } from "#core/day";
import { MOST_CHANGES } from "#core/day";
import { Missing } from "./Stale.ts";
import type { Reader, Store } from "./Store.ts";
import { dayChange, dayFigures, dayIssue, placedDate } from "./schema.ts";

/** Something told of a day, by whom and when. */
export interface ToldChange {
	readonly id: number;
	readonly date: string;
	readonly change: DayChange;
	readonly at: number;
	readonly who: string;
}

/** What is told of some days and was not taken back, the oldest first. */
export async function readDayChanges(db: Reader, from: string, to = from): Promise<ToldChange[]> {
	const rows = await db
		.select()
		.from(dayChange)
		.where(and(gte(dayChange.date, from), lte(dayChange.date, to)))
		.orderBy(asc(dayChange.id));
	const gone = new Set(rows.map(({ takesBack }) => takesBack));
	return rows.flatMap(({ id, date, change, at, who }) =>
		change === null || gone.has(id) ? [] : [{ id, date, change, at, who }],
	);
}

/**
 * Tells changes of a day.
 *
 * @throws {Refusal} when more would be told of it than one day may have
 */
export function tellDayChanges(
	store: Store,
	who: string,
	date: string,
	changes: readonly DayChange[],
): Promise<void> {
	return store.write(async (tx) => {
		const told = await readDayChanges(tx, date);
		if (told.length + changes.length > MOST_CHANGES) {
			throw refuse("change", `${MOST_CHANGES} changes of one day are allowed; take some back first`);
		}
		if (changes.length === 0) return;
		const at = Date.now();
		await tx.insert(dayChange).values(changes.map((change) => ({ date, change, at, who })));
	});
}

/** Takes back what was told. @throws {Missing} when it is not there, or taken back already */
export function takeDayChangeBack(store: Store, who: string, date: string, id: number): Promise<void> {
	return store.write(async (tx) => {
		const told = await readDayChanges(tx, date);
		if (!told.some((one) => one.id === id)) throw new Missing("change of the day", String(id));
		await tx.insert(dayChange).values({ date, change: null, takesBack: id, at: Date.now(), who });
	});
}

/** The newest of all that is told and issued: whoever finds the same again finds all of it as it was. */
export async function newestOfDays(db: Reader): Promise<string> {
	const [[told], [issued]] = await Promise.all([
		db.select({ id: max(dayChange.id) }).from(dayChange),
		db.select({ id: max(dayIssue.number) }).from(dayIssue),
	]);
	return `${told?.id ?? 0} ${issued?.id ?? 0}`;
}

export type DayIssueRow = typeof dayIssue.$inferSelect;

/**
 * Freezes a day under the next number, and gives it.
 *
 * @param figures all that its papers are written from, compressed
 */
export function issueDay(
	store: Store,
	who: string,
	date: string,
	doc: IssuedDay,
	figures: Uint8Array,
): Promise<number> {
	return store.write(async (tx) => {
		const [row] = await tx
			.insert(dayIssue)
			.values({ date, doc, at: Date.now(), who })
			.returning({ number: dayIssue.number });
		const number = row?.number ?? 0;
		await tx.insert(dayFigures).values({ number, doc: figures });
		return number;
	});
}

/** What was frozen with a number; null for a number from before figures were. */
export async function readFigures(db: Reader, number: number): Promise<Uint8Array | null> {
	const [row] = await db.select().from(dayFigures).where(eq(dayFigures.number, number));
	return row?.doc ?? null;
}

/** The newest number of a day; none where it was never issued. */
export async function newestIssue(db: Reader, date: string): Promise<DayIssueRow | null> {
	const [row] = await db
		.select()
		.from(dayIssue)
		.where(eq(dayIssue.date, date))
		.orderBy(desc(dayIssue.number))
		.limit(1);
	return row ?? null;
}

/** The newest number of each of some days that was issued, by its date. */
export async function newestIssues(
	db: Reader,
	from: string,
	to: string,
): Promise<ReadonlyMap<string, DayIssueRow>> {
	const rows = await db
		.select()
		.from(dayIssue)
		.where(and(gte(dayIssue.date, from), lte(dayIssue.date, to)))
		.orderBy(asc(dayIssue.number));
	return new Map(rows.map((row) => [row.date, row]));
}

/** The day that was issued under a number. @throws {Missing} when none was */
export async function readIssue(db: Reader, number: number): Promise<DayIssueRow> {
	const [row] = await db.select().from(dayIssue).where(eq(dayIssue.number, number));
	if (!row) throw new Missing("number of the day", String(number));
	return row;
}

export type PlacedDateRow = typeof placedDate.$inferSelect;

/** A placed date that was kept under its mark; null where none was. */
export async function readPlacedDate(db: Reader, mark: string): Promise<PlacedDateRow | null> {
	const [row] = await db.select().from(placedDate).where(eq(placedDate.mark, mark));
	return row ?? null;
}

/**
 * Keeps placed dates by their marks, and forgets those that were kept longest ago.
 *
 * @param most so many are kept
 */
export function keepPlacedDates(
	store: Store,
	rows: readonly Pick<PlacedDateRow, "mark" | "asIssued" | "doc">[],
	most: number,
): Promise<void> {
	return store.write(async (tx) => {
		const at = Date.now();
		for (const row of rows) {
			await tx
				.insert(placedDate)
				.values({ ...row, at })
				.onConflictDoUpdate({ target: placedDate.mark, set: { at } });
		}
		const newest = tx
			.select({ mark: placedDate.mark })
			.from(placedDate)
			.orderBy(desc(placedDate.at))
			.limit(most);
		await tx.delete(placedDate).where(notInArray(placedDate.mark, newest));
	});
}
