/**
 * House codes: limits a kitchen may choose to work to. Reference presets, to be
 * checked against local rules; the local authority and the licensed operator decide.
 * @see model, section H
 */
export interface HouseCode {
	readonly name: string;
	/** Where the figures come from, in words. */
	readonly source: string;
	readonly cooling: string;
	readonly holdHot_C: number;
	readonly reheat_C: number;
	readonly reheat: string;
}

export const HOUSE_CODES = {
	twoStage57: {
		name: "Two stages from 57 °C",
		source: "the two-stage rule of a model food code of North America",
		cooling: "57 to 21 °C within 2 h, and to 5 °C within 6 h altogether",
		holdHot_C: 57,
		reheat_C: 74,
		reheat: "to 74 °C within 2 h",
	},
	blast90: {
		name: "Ninety-minute chill",
		source: "cook-chill guidance of the British Isles",
		cooling: "to 8 °C or below, best to 3 °C within 90 min after at most 30 min standing",
		holdHot_C: 63,
		reheat_C: 75,
		reheat: "to 75 °C (82 °C where that variant is the local rule)",
	},
	twoHour63: {
		name: "63 to 10 °C in two hours",
		source: "hygiene rules for catering in western Europe",
		cooling: "63 to 10 °C within 2 h",
		holdHot_C: 63,
		reheat_C: 63,
		reheat: "to 63 °C within 1 h",
	},
	twoStage60: {
		name: "Two stages from 60 °C",
		source: "the two-stage rule of a food standard of Australasia",
		cooling: "60 to 21 °C within 2 h, and to 5 °C within 4 h more",
		holdHot_C: 60,
		reheat_C: 75,
		reheat: "rapidly to 75 °C",
	},
} as const satisfies Record<string, HouseCode>;

export type HouseCodeKey = keyof typeof HOUSE_CODES;

export const HOUSE_CODE_KEYS = Object.keys(HOUSE_CODES) as HouseCodeKey[];
