import { refuse } from "#core/check";
import { worstPassport } from "#core/records";
import { DAY_MS } from "#core/time";
import { type Reader, readDelivered, readDeliveries, readLotsLeft } from "#db";
import { type LotRead, lotsNow } from "../ui/server/lotsNow.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import type { SourceChoice } from "./LotFields.tsx";
import { numbersTicked } from "./lotTyped.ts";

/** Meat and vegetables of older deliveries are not cooked any more. */
const DELIVERED_MS = 21 * DAY_MS;
/** Lots that were made longer ago are not cooked with. */
const MADE_MS = 200 * DAY_MS;

export interface Sources {
	readonly deliveries: readonly SourceChoice[];
	readonly lots: readonly SourceChoice[];
}

/**
 * What a lot may have been made from: what came in in three weeks, and lots of which something is left.
 *
 * @param used   ingredients of its dish: their deliveries stand first
 * @param ticked what was ticked for it before
 */
export async function sourcesFor(
	{ store, reading, house }: Pick<HouseVisit, "store" | "reading" | "house">,
	used: ReadonlySet<string>,
	ticked: { readonly from: readonly number[]; readonly fromLots: readonly number[]; readonly lot?: number },
): Promise<Sources> {
	const { db } = store;
	const [delivered, left] = await Promise.all([
		readDelivered(db, reading.now - DELIVERED_MS, reading.now + DAY_MS),
		lotsNow(db, await readLotsLeft(db, reading.now - MADE_MS), { ...house, now: reading.now }),
	]);
	return {
		deliveries: delivered
			.filter(({ doc }) => doc.accepted || ticked.from.includes(doc.delivery))
			.sort((a, b) => Number(used.has(b.doc.ingredientId)) - Number(used.has(a.doc.ingredientId)))
			.map(({ at, doc }) => ({
				number: doc.delivery,
				words: `${doc.name}, ${reading.mass(doc.kg)}, ${reading.clock(at)}${doc.supplierLot ? `, their lot ${doc.supplierLot}` : ""}`,
				isTicked: ticked.from.includes(doc.delivery),
			})),
		lots: left
			.filter(({ now, passports }) => now.lot !== ticked.lot && passports.length > 0)
			.map(({ now, passports }) => ({
				number: now.lot,
				words: [
					`Lot ${now.lot}, ${now.doc.dish}`,
					worstPassport(passports)?.release === "released"
						? `use by ${now.useBy === null ? "" : reading.date(now.useBy)}`
						: "not released",
				].join(", "),
				isTicked: ticked.fromLots.includes(now.lot),
			})),
	};
}

/** What was ticked, as it can be. */
export interface SourcesTyped {
	readonly from: readonly number[];
	readonly fromLots: readonly number[];
	readonly cookedThrough: string;
	/** The earliest last day of the lots; null where there are none, or it was cooked through after them. */
	readonly notAfter: string | null;
}

/**
 * Reads what a lot was made from.
 *
 * @param at when it was lifted: nothing that is in it came or was made later
 * @throws {Refusal} where a source is younger than it, or is not released
 */
export async function sourcesTyped(
	db: Reader,
	form: FormData,
	known: Sources,
	{ house, reading, at }: Pick<HouseVisit, "house" | "reading"> & { readonly at: number },
): Promise<SourcesTyped> {
	const from = numbersTicked(
		form,
		"from",
		known.deliveries.map(({ number }) => number),
	);
	const fromLots = numbersTicked(
		form,
		"fromLots",
		known.lots.map(({ number }) => number),
	);
	const cookedThrough = String(form.get("cookedThrough") ?? "")
		.trim()
		.slice(0, 200);
	const [delivered, lots] = await Promise.all([
		readDeliveries(db, from),
		lotsNow(db, fromLots, { ...house, now: reading.now }),
	]);
	const later = delivered.find((entry) => entry.at > at)?.doc.delivery;
	if (later !== undefined)
		throw refuse(
			"from",
			`delivery ${later} came in after it was lifted; one that was there before is allowed`,
		);
	const days = lots.map((lot) => lastDayOf(lot, at, cookedThrough !== "", known));
	return {
		...{ from, fromLots, cookedThrough },
		notAfter: cookedThrough !== "" ? null : (days.sort()[0] ?? null),
	};
}

function lastDayOf({ now, passports }: LotRead, at: number, isCooked: boolean, known: Sources): string {
	if (now.at > at)
		throw refuse(
			"fromLots",
			`lot ${now.lot} was made after it was lifted; one that was there before is allowed`,
		);
	const isKept = known.lots.some(({ number, isTicked }) => number === now.lot && isTicked);
	const release = worstPassport(passports)?.release ?? "discard";
	// What is written anew was made from what it was made from.
	if (!isKept && release !== "released")
		throw refuse("fromLots", `lot ${now.lot} is not released; only what is released is cooked with`);
	if (now.useBy === null && !isCooked && !isKept)
		throw refuse("fromLots", `nothing of lot ${now.lot} is left; another is allowed`);
	return now.useBy ?? now.doc.made;
}
