import { zip } from "es-toolkit";
import {
	type LotNow,
	lotNow,
	type Passport,
	passportsOf,
	type RecordEntry,
	type VoidLabel,
	voidLabels,
	type WatchNow,
} from "#core/records";
import { wallClock } from "#core/time";
import { type Reader, readDeliveries, readEntriesByLot } from "#db";
import { readWatches } from "./readWatches.ts";

/** A lot as it is now, with all that was written of it, how its watches stand, and what may be done with it. */
export interface LotRead {
	readonly entries: readonly RecordEntry[];
	readonly watches: readonly WatchNow[];
	readonly now: LotNow;
	readonly deliveries: readonly RecordEntry<"delivery">[];
	/** Of the pans that are left. */
	readonly passports: readonly Passport[];
	/** Labels that were printed and no longer say what the passports say. */
	readonly voids: readonly VoidLabel[];
}

/** The calendar of the house, and an instant. */
export interface HouseClock {
	readonly timeZone: string;
	readonly now: number;
}

/**
 * Some lots as they are now: the one place that screens, labels, sheets and Today read them from. Those
 * that are none, or were struck out, are left out.
 */
export async function lotsNow(
	db: Reader,
	lots: readonly number[],
	{ timeZone, now }: HouseClock,
): Promise<LotRead[]> {
	const dayOf = (at: number) => wallClock(at, timeZone).date;
	const written = [...(await readEntriesByLot(db, lots)).values()];
	const watched = await readWatches(db, written, now);
	const folded = zip(written, watched).flatMap(([entries, watches]) => {
		const lot = lotNow(entries, watches, dayOf);
		return lot ? [{ entries, watches, now: lot }] : [];
	});
	const numbers = [...new Set(folded.flatMap((one) => one.now.doc.from))];
	const delivered = new Map((await readDeliveries(db, numbers)).map((one) => [one.doc.delivery, one]));
	return folded.map((one): LotRead => {
		const deliveries = one.now.doc.from.flatMap((number) => delivered.get(number) ?? []);
		const given = { lot: one.now, watches: one.watches, deliveries, today: dayOf(now) };
		const passports = passportsOf(given);
		return { ...one, deliveries, passports, voids: voidLabels(one.now, passports, one.entries) };
	});
}
