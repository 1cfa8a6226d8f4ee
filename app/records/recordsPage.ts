import { isUsedUp, worstPassport } from "#core/records";
import { DAY_MS, wallClock } from "#core/time";
import { readDelivered, readLotsLeft, readOpenWatches } from "#db";
import { lotsNow } from "../ui/server/lotsNow.ts";
import type { HouseVisit } from "../ui/server/visit.ts";
import { passportWords } from "../ui/words/passportWords.ts";
import { counted } from "../ui/words/reading.ts";
import { blastAir } from "./lotPage.ts";
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
		readDelivered(db, reading.now - RECENT_MS, reading.now + DAY_MS),
		blastAir(db),
	]);
	const read = await lotsNow(db, [...left, ...open.map(({ doc }) => doc.lot)], {
		...house,
		now: reading.now,
	});
	const watched = read.flatMap(({ watches, now: { doc } }) => {
		const { dish } = doc;
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
	const lots = read.flatMap(({ now, passports, voids }) => {
		const pans = now.pans.filter((pan) => !isUsedUp(pan));
		const worst = worstPassport(passports);
		if (!worst) return [];
		return [
			{
				lot: now.lot,
				release: worst.release,
				isCooling: worst.isCooling,
				says: passportWords(worst, reading),
				voids: voids.length,
				dish: now.doc.dish,
				useByDay: now.useBy ?? "",
				useBy: reading.date(now.useBy ?? today),
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
