import type { Mends, Tasting } from "#core/dish";
import { perCent, type Reading } from "../ui/words/reading.ts";

/** "Taste the sauce before it is bound: …": what for, and one step of each correction. */
export function tastingWords(tasting: Tasting, reading: Reading): string {
	const { of, ends_pct, saltTenth_g } = tasting;
	const ends = ends_pct === null ? "" : `; the sauce is planned to end at ${perCent(ends_pct)} salt`;
	const salt = `${reading.mass(saltTenth_g / 1000)} of salt is a tenth of a per cent in the sauce`;
	switch (of) {
		case "liquid":
			return `Taste the liquid: clean, no raw wine, and salted low, because it gathers${ends}. ${salt}.`;
		case "sauce":
			return `Taste the sauce before it is bound: salt, body, fat, acid${ends}. ${salt}.${mendWords(tasting.mends, reading)}`;
		case "plate":
			return "Taste a whole plate before the first goes: meat, sauce and side together.";
	}
}

/** One step each; then it is tasted again. */
function mendWords(mends: Mends | null, reading: Reading): string {
	if (!mends) return "";
	const steps = [
		...(mends.tooSalt_l === null ? [] : [`too salty, ${reading.volume(mends.tooSalt_l)} of unsalted stock`]),
		`too thick, ${reading.volume(mends.tooThick_l)} of stock`,
		`too thin, ${reading.mass(mends.tooThin_g / 1000)} of starch in twice its water, or reduce on`,
		`too rich, ${reading.volume(mends.tooRich_ml / 1000)} of vinegar or juice`,
	];
	return ` One step each, then taste again: ${steps.join("; ")}.`;
}

/** "Taste the sauce": the line of a day's list. */
export function tastingTask({ of }: Tasting): string {
	return of === "plate" ? "Taste a whole plate" : `Taste the ${of}`;
}
