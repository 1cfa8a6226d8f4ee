import type { KillTableKey } from "./killTables.ts";

/** By which point of the food the clock of a code begins; the first is the stricter. */
export const CODE_CLOCKS = ["firstPoint", "warmest"] as const;
export type CodeClock = (typeof CODE_CLOCKS)[number];

/** How food is cooled: from where its clock begins, by which minute to which temperature. */
export interface Cooling {
	readonly from_C: number | null;
	/** Whether the clock begins when the first point of the food is so cold, as in the presets, or the warmest. */
	readonly clock?: CodeClock;
	/** Minutes it may stand before it goes into the cold; 0 where the rule names none. */
	readonly standing_min: number;
	/** From where the clock begins; where it counts from no temperature, from when it went into the cold. */
	readonly to: readonly { readonly to_C: number; readonly within_min: number }[];
}

/** The limits of a code in °F, as its rule writes them. */
export interface LimitsF {
	readonly from: number | null;
	readonly to: readonly number[];
	readonly holdHot: number;
	readonly keepCold: number;
	readonly reheat: number;
}

/** Days that food keeps by a code, the first day counted. */
export interface Life {
	/** In the cold at its own temperature, the day it is made counted. */
	readonly chilled_days: number;
	readonly frozen_days: number;
	/** Once it is opened, or heated again to be kept; that day counted. */
	readonly opened_days: number;
	/** After the night in which it thaws. */
	readonly thawed_days: number;
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
	/** What is carried or shown cold, for a while, is no warmer. */
	readonly display_C: number;
	/** Core temperature of reheated food, and the minutes allowed; null where only "rapidly". */
	readonly reheat: { readonly core_C: number; readonly within_min: number | null };
	/** How long food keeps that was cooled and stored by it. */
	readonly life: Life;
	/** Its limits in °F; null where its rule writes °C alone. */
	readonly limits_F: LimitsF | null;
	/** Whether its rule writes °F alone: then its °C are worked out from them. */
	readonly onlyF: boolean;
}

/** As is usual where a rule names none: frozen as long as it eats well, opened or thawed a day. */
export const USUAL_LIFE: Life = { chilled_days: 5, frozen_days: 90, opened_days: 1, thawed_days: 1 };

const BLAST_90 = {
	name: "Ninety-minute chill",
	source: "cook-chill guidance of the British Isles",
	dated: "1989, as updated since",
	cooling: { from_C: null, standing_min: 30, to: [{ to_C: 3, within_min: 90 }] },
	comingUp_min: USUAL_COMING_UP_MIN,
	kill: "seventy",
	holdHot_C: 63,
	keepCold_C: 3,
	display_C: 8,
	reheat: { core_C: 75, within_min: null },
	life: { ...USUAL_LIFE, chilled_days: 5 },
	limits_F: null,
	onlyF: false,
} as const satisfies HouseCode;

const TWO_STAGE_60 = {
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
	display_C: 5,
	reheat: { core_C: 60, within_min: null },
	life: { ...USUAL_LIFE, chilled_days: 5 },
	limits_F: null,
	onlyF: false,
} as const satisfies HouseCode;

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
		display_C: 5,
		reheat: { core_C: 74, within_min: 120 },
		life: { ...USUAL_LIFE, chilled_days: 7 },
		limits_F: { from: 135, to: [70, 41], holdHot: 135, keepCold: 41, reheat: 165 },
		onlyF: false,
	},
	blast90: BLAST_90,
	/** The same where food is heated again to 82 °C. */
	blast90at82: {
		...BLAST_90,
		name: "Ninety-minute chill, reheated to 82 °C",
		source: "cook-chill guidance of the British Isles, with its northern reheating",
		reheat: { core_C: 82, within_min: null },
	},
	twoHour63: {
		name: "Two-hour chill",
		source: "hygiene rules for catering in western Europe",
		dated: "2009",
		cooling: { from_C: 63, standing_min: 0, to: [{ to_C: 10, within_min: 120 }] },
		comingUp_min: USUAL_COMING_UP_MIN,
		kill: "seventy",
		holdHot_C: 63,
		keepCold_C: 3,
		display_C: 10,
		reheat: { core_C: 63, within_min: 60 },
		life: { ...USUAL_LIFE, chilled_days: 3 },
		limits_F: null,
		onlyF: false,
	},
	twoStage60: TWO_STAGE_60,
	/** The same in a house that heats again to 75 °C. */
	twoStage60at75: {
		...TWO_STAGE_60,
		name: "Two stages, two and four hours, reheated to 75 °C",
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
