import type { AllergenListKey } from "#core/recipe";
import { type Passport, worstPassport } from "#core/records";
import { DAY_MS, laterDay, wallClock } from "#core/time";
import { type Reader, readLotsLeft } from "#db";
import { passportWords } from "../words/passportWords.ts";
import { counted, type Reading } from "../words/reading.ts";
import { type LotRead, lotsNow } from "./lotsNow.ts";

/** Something about a lot that somebody has to see to before anything else. */
export interface LotHeld {
	readonly lot: number;
	readonly to: string;
	readonly dish: string;
	/** "pans A1, A2: do not use: it cooled too slowly …" */
	readonly words: string;
	/** Whether it is one of the things that may not be eaten. */
	readonly isHeld: boolean;
}

/** What was made longer ago is looked for by its number. */
const LOOKED_BACK_MS = 200 * DAY_MS;

/** Lots that may not be used, those whose last day is today or tomorrow, and labels that are void: the worst first. */
export async function lotsHeld(
	db: Reader,
	reading: Reading,
	allergenList: AllergenListKey,
): Promise<LotHeld[]> {
	const { timeZone, now } = reading;
	const read = await lotsNow(db, await readLotsLeft(db, now - LOOKED_BACK_MS), {
		timeZone,
		allergenList,
		now,
	});
	const today = wallClock(now, timeZone).date;
	return read
		.flatMap((one) => [...heldOf(one, reading), ...endingOf(one, today), ...voidOf(one)])
		.sort((a, b) => Number(b.isHeld) - Number(a.isHeld) || a.lot - b.lot);
}

function heldOf({ now, passports }: LotRead, reading: Reading): LotHeld[] {
	const held = passports.filter(({ release, isCooling }) => release !== "released" && !isCooling);
	const worst = worstPassport(held);
	if (!worst) return [];
	return [told(now, `${tagsWords(held)}: ${passportWords(worst, reading)}`, true)];
}

function endingOf({ now, passports }: LotRead, today: string): LotHeld[] {
	const ends = (day: string) =>
		passports.filter(({ tag, release }) => {
			const pan = now.pans.find((one) => one.tag === tag);
			return release === "released" && pan?.state !== "frozen" && pan?.useBy === day;
		});
	const days = [
		["today is its last day", ends(today)],
		["tomorrow is its last day", ends(laterDay(today, 1))],
	] as const;
	return days.flatMap(([words, some]) =>
		some.length === 0 ? [] : [told(now, `${tagsWords(some)}: ${words}`, false)],
	);
}

function voidOf({ now, voids }: LotRead): LotHeld[] {
	if (voids.length === 0) return [];
	const to = `/records/lots/${now.lot}/labels?again=1`;
	return [{ ...told(now, `${counted(voids.length, "label")} void: print again`, false), to }];
}

function told({ lot, doc }: LotRead["now"], words: string, isHeld: boolean): LotHeld {
	return { lot, to: `/records/lots/${lot}`, dish: doc.dish, words, isHeld };
}

function tagsWords(passports: readonly Pick<Passport, "tag">[]): string {
	return `${passports.length === 1 ? "pan" : "pans"} ${passports.map(({ tag }) => tag).join(", ")}`;
}
