import { zip } from "es-toolkit";
import { lotNow, ofKind } from "#core/records";
import { DAY_MS, wallClock } from "#core/time";
import { readEntriesByLot, readKind, readLotsLeft, readOpenWatches } from "#db";
import type { HouseVisit } from "../ui/server/visit.ts";
import { counted } from "../ui/words/reading.ts";
import { blastAir, dayWords } from "./lotPage.ts";
import { readWatches } from "./readWatches.ts";
import { watchView } from "./watch.view.ts";

/** What was made longer ago is looked for by its number. */
const LOOKED_BACK_MS = 200 * DAY_MS;
const RECENT_MS = 14 * DAY_MS;
const MOST_DELIVERIES = 12;

/** What is watched now, what is cold and until when, what was delivered. */
export async function recordsPage({ store, reading, house }: HouseVisit) {
	const { db } = store;
	const dayOf = (at: number) => wallClock(at, house.timeZone).date;
	const [open, left, delivered, blast_C] = await Promise.all([
		readOpenWatches(db),
		readLotsLeft(db, reading.now - LOOKED_BACK_MS),
		readKind(db, "delivery", reading.now - RECENT_MS, reading.now + DAY_MS),
		blastAir(db),
	]);
	const entries = await readEntriesByLot(db, [...left, ...open.map(({ doc }) => doc.lot)]);
	const lotsOpen = new Set(open.map(({ doc }) => doc.lot));
	const written = [...lotsOpen].map((lot) => entries.get(lot) ?? []);
	const watched = zip(written, await readWatches(db, written, reading.now)).flatMap(([own, watches]) => {
		const dish = ofKind(own, "lot")[0]?.doc.dish ?? "";
		const goOn = watches.filter(({ endedAt }) => endedAt === null);
		return goOn.map((one) => {
			const { lot, watch, tag, doing, figure, verdict, isPressing, newest, doubt } = watchView(one, {
				reading,
				blast_C,
			});
			return { lot, dish, watch, tag, doing, figure, verdict, isPressing, newest, isDoubted: doubt !== null };
		});
	});
	const today = dayOf(reading.now);
	const lots = left.flatMap((lot) => {
		const now = lotNow(entries.get(lot) ?? [], dayOf);
		const pans = now?.pans.filter(({ useBy }) => useBy !== null) ?? [];
		if (!now || pans.length === 0) return [];
		return [
			{
				lot,
				dish: now.doc.dish,
				useByDay: now.useBy ?? "",
				useBy: dayWords(now.useBy ?? today, reading),
				isPast: (now.useBy ?? today) < today,
				isToday: now.useBy === today,
				holds: `${counted(pans.length, "pan")}, ${reading.mass(pans.reduce((sum, { kg }) => sum + kg, 0))}`,
				where: [
					...new Set(pans.map(({ place, state }) => (state === "chilled" ? place : `${place}, ${state}`))),
				].join("; "),
				made: reading.day(now.at),
			},
		];
	});
	return {
		watched: watched.sort((a, b) => Number(b.isPressing) - Number(a.isPressing) || a.watch - b.watch),
		lots: lots.sort((a, b) => a.useByDay.localeCompare(b.useByDay) || a.lot - b.lot),
		deliveries: delivered
			.reverse()
			.slice(0, MOST_DELIVERIES)
			.map(({ at, who, doc }) => ({
				delivery: doc.delivery,
				words: `${doc.name}, ${reading.mass(doc.kg)}`,
				when: `${reading.clock(at)}, ${who}`,
				degrees: doc.C === null ? "not measured" : reading.probed(doc.C),
				accepted: doc.accepted,
			})),
	};
}
