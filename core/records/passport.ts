import type { AllergenFound } from "../recipe/index.ts";
import type { DocOf, RecordEntry, Release } from "./entries.ts";
import { isUsedUp, type LotNow, type PanNow } from "./lots.ts";
import type { WatchNow } from "./watches.ts";

/** Why a pan is not released. */
export type Hold =
	/** Its cooling goes on; was missed, and somebody has to decide; was not watched, or nothing counts. */
	| { readonly because: "cooling" | "coolingMissed" | "coolingNotKnown"; readonly watch: number | null }
	/** It was missed, and heated through it is cooled once more; or that was missed too. */
	| { readonly because: "coolingAgain" | "coolingMissedTwice"; readonly watch: number }
	/** What was watched after its cooling was missed, is not known, or goes on. */
	| {
			readonly because: "keptMissed" | "keptNotKnown" | "reheating";
			readonly watch: number;
			readonly course: "reheat" | "holdHot" | "keepCold";
	  }
	| { readonly because: "pastUseBy"; readonly useBy: string }
	| { readonly because: "sentBack" | "deliveryPast" | "deliveryNotKnown"; readonly delivery: number }
	| { readonly because: "allergensNotKnown" };

/** What may be done with a pan, by all that is known of it. */
export interface Passport {
	readonly tag: string;
	readonly release: Release;
	/** All that speaks against it, the worst first; empty where it is released. */
	readonly holds: readonly Hold[];
	/** Whether its cooling alone is not over yet: nothing else speaks against it. */
	readonly isCooling: boolean;
}

/** What a passport is made from. */
export interface PassportGiven {
	readonly lot: LotNow;
	readonly watches: readonly WatchNow[];
	/** Lots that it was made from, through all of them. */
	readonly sources: readonly DocOf<"lot">[];
	/** Deliveries that it or they were made from, as far as they are in the record. */
	readonly deliveries: readonly RecordEntry<"delivery">[];
	/** What it declares; null where nobody knows. */
	readonly declared: readonly AllergenFound[] | null;
	/** Day of the house's calendar. */
	readonly today: string;
}

/** These can not be made good. */
const DISCARDS: ReadonlySet<Hold["because"]> = new Set([
	"pastUseBy",
	"coolingMissedTwice",
	"sentBack",
	"deliveryPast",
]);

/**
 * Passports of the pans that are left: released where every limit of their whole chain was met by
 * readings that are not doubted, their deliveries were taken in, and their day is not past.
 *
 * @see model, section H
 */
export function passportsOf(given: PassportGiven): Passport[] {
	return given.lot.pans.filter((pan) => !isUsedUp(pan)).map((pan) => passportOf(pan, given));
}

function passportOf(
	pan: PanNow,
	{ lot, sources, watches, deliveries, declared, today }: PassportGiven,
): Passport {
	const found: Hold[] = [
		...(pan.useBy !== null && pan.useBy < today ? [{ because: "pastUseBy" as const, useBy: pan.useBy }] : []),
		...[lot.doc, ...sources].flatMap((doc) => ofDeliveries(doc, deliveries)),
		...ofCooling(pan),
		...watches
			.filter(({ entry, goesOnIn }) => pan.tags.includes(entry.doc.tag) && goesOnIn.length === 0)
			.flatMap((watch) => ofWatch(watch)),
		...(declared === null ? [{ because: "allergensNotKnown" as const }] : []),
	];
	const holds = found.sort((a, b) => Number(DISCARDS.has(b.because)) - Number(DISCARDS.has(a.because)));
	const [worst] = holds;
	return {
		tag: pan.tag,
		release: worst === undefined ? "released" : DISCARDS.has(worst.because) ? "discard" : "blocked",
		holds,
		isCooling: holds.length > 0 && holds.every(({ because }) => because === "cooling"),
	};
}

function ofCooling({ cooling: { stands, watch, again } }: PanNow): Hold[] {
	if (stands === "met") return [];
	if (watch === null) return [{ because: "coolingNotKnown", watch }];
	if (again) return [{ because: stands === "missed" ? "coolingMissedTwice" : "coolingAgain", watch }];
	if (stands === "open") return [{ because: "cooling", watch }];
	return [{ because: stands === "missed" ? "coolingMissed" : "coolingNotKnown", watch }];
}

/** What else was watched of a pan: what is kept is well as long as no reading is on the wrong side. */
function ofWatch({ entry: { doc }, outcome, standing }: WatchNow): Hold[] {
	const { watch, course } = doc;
	if (course === "cool") return [];
	const isKept =
		standing.length > 0 && standing.every(({ verdict }) => verdict === "met" || verdict === "onCourse");
	if (outcome === "met" || isKept) return [];
	if (outcome === "missed") return [{ because: "keptMissed", watch, course }];
	const isHeating = course === "reheat" && outcome === "open";
	return [{ because: isHeating ? "reheating" : "keptNotKnown", watch, course }];
}

function ofDeliveries({ from, made }: DocOf<"lot">, deliveries: readonly RecordEntry<"delivery">[]): Hold[] {
	return from.flatMap((delivery): Hold[] => {
		const found = deliveries.find(({ doc }) => doc.delivery === delivery);
		if (!found) return [{ because: "deliveryNotKnown", delivery }];
		if (!found.doc.accepted) return [{ because: "sentBack", delivery }];
		const { useBy } = found.doc;
		return useBy !== null && useBy < made ? [{ because: "deliveryPast", delivery }] : [];
	});
}

/** The passport that a whole lot goes by: that of its worst pan; null where nothing is left. */
export function worstPassport(passports: readonly Passport[]): Passport | null {
	const worst = (["discard", "blocked", "released"] as const).flatMap((release) =>
		passports.filter((one) => one.release === release),
	);
	return worst[0] ?? null;
}
