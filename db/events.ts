import { and, asc, eq, gt, max, ne } from "drizzle-orm";
import isEqual from "fast-deep-equal";
import type { Reader, Transaction } from "./Store.ts";
import { type Change, type EventSubject, type EventWhat, event } from "./schema.ts";

export interface NewEvent {
	readonly who: string;
	readonly subject: EventSubject;
	readonly subjectId: string;
	readonly what: EventWhat;
	readonly version: number;
	readonly changes: Change[];
}

/** Adds one event, in the transaction of the change it tells of. */
export async function record(tx: Transaction, happened: NewEvent): Promise<void> {
	await tx.insert(event).values({ ...happened, at: Date.now() });
}

/** What happened to a thing after a version of it, oldest first. */
export function eventsSince(db: Reader, subject: EventSubject, subjectId: string, version: number) {
	return db
		.select()
		.from(event)
		.where(and(eq(event.subject, subject), eq(event.subjectId, subjectId), gt(event.version, version)))
		.orderBy(asc(event.id));
}

export type StoredEvent = Awaited<ReturnType<typeof eventsSince>>[number];

/** Fields that differ between two flat records. */
export function changesBetween(
	before: Readonly<Record<string, unknown>>,
	after: Readonly<Record<string, unknown>>,
): Change[] {
	const fields = new Set([...Object.keys(before), ...Object.keys(after)]);
	fields.delete("version");
	return [...fields]
		.filter((field) => !same(before[field], after[field]))
		.map((field) => ({ field, from: before[field] ?? null, to: after[field] ?? null }));
}

function same(before: unknown, other: unknown): boolean {
	return isEqual(before ?? null, other ?? null);
}

/**
 * The newest event there is, but for those of one subject where it is named; 0 where nothing has happened. Whoever finds
 * the same one again finds all as it was.
 */
export async function newestEvent(
	db: Reader,
	{ except }: { readonly except?: EventSubject } = {},
): Promise<number> {
	const all = db.select({ id: max(event.id) }).from(event);
	const [row] = await (except ? all.where(ne(event.subject, except)) : all);
	return row?.id ?? 0;
}
