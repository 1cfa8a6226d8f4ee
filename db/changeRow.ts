import { changesBetween, eventsSince, record } from "./events.ts";
import { Stale } from "./Stale.ts";
import type { Store, Transaction } from "./Store.ts";
import type { Change, EventSubject, EventWhat } from "./schema.ts";

/** A change of one stored thing, by somebody who has read a version of it. */
export interface RowChange<Row extends { readonly version: number }> {
	readonly subject: EventSubject;
	readonly id: string;
	/** The version that was read. */
	readonly version: number;
	/** @throws {Missing} when there is no such thing */
	read(tx: Transaction): Promise<Row>;
	/** The thing as it is to be. @throws {Refusal} when it may not be so */
	change(now: Row, tx: Transaction): Row | Promise<Row>;
	/** Its fields as the record tells of them; its own where nothing is said. */
	told?(row: Row): Readonly<Record<string, Change["from"]>>;
	write(tx: Transaction, after: Row): Promise<void>;
	what?(after: Row): EventWhat;
}

/**
 * The one way to change something stored: nothing that somebody else has written since is
 * overwritten, what was changed is recorded with who did it, and what changes nothing is no change.
 *
 * @param actor who does it
 * @throws {Stale} when it was changed in between; nothing is written
 */
export function changeRow<Row extends { readonly version: number }>(
	actor: string,
	store: Store,
	{ subject, id, version, read, change, told = fields, write, what }: RowChange<Row>,
): Promise<void> {
	return store.write(async (tx) => {
		const before = await read(tx);
		if (before.version !== version) {
			throw new Stale(before.version, await eventsSince(tx, subject, id, version));
		}
		const after = { ...(await change(before, tx)), version };
		const changes = changesBetween(told(before), told(after));
		if (changes.length === 0) return;
		const next = { ...after, version: version + 1 };
		await write(tx, next);
		await record(tx, {
			who: actor,
			subject,
			subjectId: id,
			what: what?.(after) ?? "changed",
			version: next.version,
			changes,
		});
	});
}

function fields<Row extends object>(row: Row): Readonly<Record<string, Change["from"]>> {
	return row as Readonly<Record<string, Change["from"]>>;
}
