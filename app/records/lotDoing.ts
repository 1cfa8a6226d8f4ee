import { refuse } from "#core/check";
import { ofKind, type RecordEntry } from "#core/records";
import type { Live } from "#server";
import type { Typed } from "../ui/forms/form.ts";
import type { LotRead } from "../ui/server/lotsNow.ts";
import type { HouseVisit } from "../ui/server/visit.ts";

/** What is sent from the page of a lot. */
export interface Given {
	readonly visit: HouseVisit;
	readonly live: Live;
	readonly lot: number;
	readonly typed: Typed;
}

/** The same, with the lot as it stands in the transaction that writes. */
export interface Doing extends Given {
	readonly entries: readonly RecordEntry[];
	/** The lot as it is now; null where it was struck out. */
	readonly read: LotRead | null;
	/** The next watch's number. */
	readonly watch: number;
}

/** @throws {Refusal} where the lot was struck out */
export function readOf({ read }: Pick<Doing, "read">): LotRead {
	if (!read) throw refuse("lot", "was struck out; nothing more is written of it");
	return read;
}

export function openWatches(entries: readonly RecordEntry[]): RecordEntry<"watch">[] {
	const ended = new Set(ofKind(entries, "ended").map(({ doc }) => doc.watch));
	return ofKind(entries, "watch").filter(({ doc }) => !ended.has(doc.watch));
}

export function isOpen(entries: readonly RecordEntry[], number: number): boolean {
	return openWatches(entries).some(({ doc }) => doc.watch === number);
}
