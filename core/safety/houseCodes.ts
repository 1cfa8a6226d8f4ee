import type { KillTableKey } from "./killTables.ts";

/** By which point of the food the clock of a code begins; the first is the stricter. */
export const CODE_CLOCKS = ["firstPoint", "warmest"] as const;
export type CodeClock = (typeof CODE_CLOCKS)[number];

/** How food is cooled: from where its clock begins, by which minute to which temperature. */
export interface Cooling {
	readonly from_C: number | null;
	/** Whether the clock begins when the first point of the food is so cold, as in the presets, or the warmest. */
	readonly clock?: CodeClock;
	/** Minutes it may stand before cooling begins. */
	readonly standing_min: number;
	readonly to: readonly { readonly to_C: number; readonly within_min: number }[];
}

/**
 * No rule names one figure for all food that comes up: those for whole joints give six hours, those for
 * food out of the cold without a record two or four. Ours, and the house's to change.
 */
export const USUAL_COMING_UP_MIN = 180;

/**
 * House codes: limits a kitchen may choose to work to. Reference presets, to be
 * checked against local rules; the local authority and the licensed operator decide.
 * @see model, section H
 */
export interface HouseCode {
	readonly name: string;
	/** Where the figures come from, in words, and of when they are. */
	readonly source: string;
	readonly dated: string;
	/** Each temperature to reach and the minutes allowed since cooling began at `from_C`. */
	readonly cooling: Cooling;
	/** Minutes in which what is heated from cold is at its hot hold where it is coldest. */
	readonly comingUp_min: number;
	/** What gently cooked food is held against. */
	readonly kill: KillTableKey;
	readonly holdHot_C: number;
	/** What is kept cold is no warmer. */
	readonly keepCold_C: number;
	/** Core temperature of reheated food, and the minutes allowed; null where only "rapidly". */
	readonly reheat: { readonly core_C: number; readonly within_min: number | null };
}

export const HOUSE_CODES = {
	twoStage57: {
		name: "Two stages from the higher hold",
		source: "the two-stage rule of a model food code of North America",
		dated: "2022",
		cooling: {
			from_C: 57,
			standing_min: 0,
			to: [
				{ to_C: 21, within_min: 120 },
				{ to_C: 5, within_min: 360 },
			],
		},
		comingUp_min: USUAL_COMING_UP_MIN,
		kill: "beef",
		holdHot_C: 57,
		keepCold_C: 5,
		reheat: { core_C: 74, within_min: 120 },
	},
	blast90: {
		name: "Ninety-minute chill",
		source: "cook-chill guidance of the British Isles",
		dated: "1989, as updated since",
		cooling: { from_C: null, standing_min: 30, to: [{ to_C: 3, within_min: 90 }] },
		comingUp_min: USUAL_COMING_UP_MIN,
		kill: "seventy",
		holdHot_C: 63,
		keepCold_C: 8,
		reheat: { core_C: 75, within_min: null },
	},
	twoHour63: {
		name: "Two-hour chill",
		source: "hygiene rules for catering in western Europe",
		dated: "2009",
		cooling: { from_C: 63, standing_min: 0, to: [{ to_C: 10, within_min: 120 }] },
		comingUp_min: USUAL_COMING_UP_MIN,
		kill: "seventy",
		holdHot_C: 63,
		keepCold_C: 10,
		reheat: { core_C: 63, within_min: 60 },
	},
	twoStage60: {
		name: "Two stages, two and four hours",
		source: "the two-stage rule of a food standard of Australasia",
		dated: "2001, as updated since",
		cooling: {
			from_C: 60,
			standing_min: 0,
			to: [
				{ to_C: 21, within_min: 120 },
				{ to_C: 5, within_min: 360 },
			],
		},
		comingUp_min: USUAL_COMING_UP_MIN,
		kill: "seventy",
		holdHot_C: 60,
		keepCold_C: 5,
		reheat: { core_C: 75, within_min: null },
	},
} as const satisfies Record<string, HouseCode>;

/** Food has come up where nothing grows in it any more, with something to spare, °C; sooner where a code holds hot below it. */
const COME_UP_C = 57;

export function comesUpTo({ holdHot_C }: Pick<HouseCode, "holdHot_C">): number {
	return Math.min(holdHot_C, COME_UP_C);
}

export type HouseCodeKey = keyof typeof HOUSE_CODES;

export const HOUSE_CODE_KEYS = Object.keys(HOUSE_CODES) as HouseCodeKey[];

/** One of the presets by its key; null where it is none of them. */
export function presetOf(key: string): HouseCode | null {
	return HOUSE_CODE_KEYS.includes(key as HouseCodeKey) ? HOUSE_CODES[key as HouseCodeKey] : null;
}
