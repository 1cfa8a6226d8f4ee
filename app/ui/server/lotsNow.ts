import { zip } from "es-toolkit";
import { type AllergenFound, type AllergenListKey, declaredWords, onDeclaredList } from "#core/recipe";
import {
	type DocOf,
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
import { type Reader, readEntriesByLot, readInside } from "#db";
import { readWatches } from "./readWatches.ts";

/** A lot as it is now, with all that was written of it, how its watches stand, and what may be done with it. */
export interface LotRead {
	readonly entries: readonly RecordEntry[];
	readonly watches: readonly WatchNow[];
	readonly now: LotNow;
	readonly deliveries: readonly RecordEntry<"delivery">[];
	/** Lots that it was made from, one step up. */
	readonly sources: readonly DocOf<"lot">[];
	/** What it declares, of all lists; null where nobody knows. */
	readonly declared: readonly AllergenFound[] | null;
	/** The same on the house's list, in words. */
	readonly allergens: string;
	/** Of the pans that are left. */
	readonly passports: readonly Passport[];
	/** Labels that were printed and no longer say what the passports say. */
	readonly voids: readonly VoidLabel[];
}

/** The calendar of the house, the list that it declares by, and an instant. */
export interface HouseClock {
	readonly timeZone: string;
	readonly allergenList: AllergenListKey;
	readonly now: number;
}

/**
 * Some lots as they are now: the one place that screens, labels, sheets and Today read them from. Those
 * that are none, or were struck out, are left out.
 */
export async function lotsNow(
	db: Reader,
	lots: readonly number[],
	{ timeZone, allergenList, now }: HouseClock,
): Promise<LotRead[]> {
	const dayOf = (at: number) => wallClock(at, timeZone).date;
	const written = [...(await readEntriesByLot(db, lots)).values()];
	const watched = await readWatches(db, written, now);
	const folded = zip(written, watched).flatMap(([entries, watches]) => {
		const lot = lotNow(entries, watches, dayOf);
		return lot ? [{ entries, watches, now: lot }] : [];
	});
	const inside = await readInside(
		db,
		folded.map((one) => one.now.doc),
	);
	return folded.map((one): LotRead => {
		const { deliveries, sources, from, declared } = inside(one.now.doc);
		const allergens = declared === null ? NOT_KNOWN : declaredWords(onDeclaredList(declared, allergenList));
		const given = { lot: one.now, watches: one.watches, deliveries, sources, declared, today: dayOf(now) };
		const passports = passportsOf(given);
		return {
			...{ ...one, passports, declared, allergens },
			...{
				deliveries: deliveries.filter(({ doc }) => one.now.doc.from.includes(doc.delivery)),
				sources: from,
			},
			voids: voidLabels(one.now, passports, one.entries, allergens),
		};
	});
}

/** Of a lot that nobody has named them for. */
const NOT_KNOWN = "not known";
