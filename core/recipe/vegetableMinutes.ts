import type { Range } from "../quantity/index.ts";
import type { CutSize } from "./cutSize.ts";
import { plainName } from "./names.ts";

/** Minutes at the simmer in which a dice of 20 mm is tender, by what stands in the name; the nearer first. General practice. */
const TENDER_AT_20MM: readonly (readonly [word: string, minutes: number])[] = [
	["beetroot", 45],
	["swede", 28],
	["carrot", 25],
	["celeriac", 22],
	["kohlrabi", 22],
	["turnip", 20],
	["potato", 20],
	["parsnip", 18],
	["salsify", 18],
	["celery", 22],
	["fennel", 18],
	["onion", 20],
	["shallot", 18],
	["leek", 12],
	["squash", 12],
	["pumpkin", 12],
	["pepper", 12],
	["aubergine", 12],
	["courgette", 8],
];

/** A dice twice as big takes this power of two as long: 20 mm in 20 to 30 minutes, 40 mm in 45 to 60. @see model, section L */
const BY_SIZE = 1.06;
/** Heat crosses a slice by two sides only. */
const SLICE = 1.25;
/** It falls apart after so many times as long; an onion in an hour, however it is cut. @see model, section L */
const FALLS_APART = 2.4;
const FALLS_SOON: ReadonlySet<string> = new Set([
	"onion",
	"shallot",
	"leek",
	"courgette",
	"squash",
	"pumpkin",
]);
const FALLS_SOON_MIN = 60;
const AT_MM = 20;

/** Minutes at the simmer until a cut vegetable is tender, and until it falls apart. */
export interface VegetableMinutes {
	readonly tender: number;
	readonly fallsApart: number;
}

/** @returns undefined for what is not in the table: what has no size that matters, such as peas and mushrooms */
export function vegetableMinutes(name: string, cut: CutSize): VegetableMinutes | undefined {
	const known = knownBy(name);
	if (!known) return undefined;
	const [word, at20] = known;
	const tender = at20 * (cut.mm / AT_MM) ** BY_SIZE * (cut.form === "slice" ? SLICE : 1);
	const fallsApart = FALLS_SOON.has(word) ? Math.max(FALLS_SOON_MIN, 1.3 * tender) : FALLS_APART * tender;
	return { tender, fallsApart };
}

/** Sizes of a cut that are tender and whole after so many minutes, mm; null where none of up to 60 mm is. */
export function sizesFor(name: string, form: CutSize["form"], minutes: number): Range | null {
	const fits = Array.from({ length: MOST_MM - LEAST_MM + 1 }, (_, index) => LEAST_MM + index).filter((mm) => {
		const takes = vegetableMinutes(name, { form, mm });
		return takes !== undefined && takes.tender <= minutes && minutes <= takes.fallsApart;
	});
	const [low] = fits;
	const high = fits.at(-1);
	if (low === undefined || high === undefined) return null;
	return { low, likely: Math.round((low + high) / 2), high };
}

const LEAST_MM = 3;
const MOST_MM = 60;

function knownBy(name: string): (typeof TENDER_AT_20MM)[number] | undefined {
	const words = plainName(name).split(" ");
	return TENDER_AT_20MM.find(([word]) => words.some((part) => part.startsWith(word)));
}
