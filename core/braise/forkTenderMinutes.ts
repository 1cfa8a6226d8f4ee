import type { Range } from "./Range.ts";

/**
 * Minutes from oven door to fork-tender for pieces of a portion's size (40 to 60 mm,
 * a whole leg for birds), poured boiling, covered, at 140 to 160 °C.
 *
 * General kitchen practice, one row a cut; the spread covers thickness, animal and oven. It
 * stands for a dish that has no pan yet; a plan with pans reckons with the heat model.
 */
export const FORK_TENDER_MINUTES = {
	beefChuck: { low: 135, likely: 165, high: 195 },
	beefShortRib: { low: 150, likely: 180, high: 220 },
	beefCheek: { low: 170, likely: 205, high: 245 },
	beefShin: { low: 160, likely: 195, high: 235 },
	oxtail: { low: 170, likely: 205, high: 245 },
	brisket: { low: 160, likely: 190, high: 230 },
	vealShin: { low: 115, likely: 140, high: 165 },
	vealShoulder: { low: 95, likely: 115, high: 140 },
	vealBreast: { low: 110, likely: 135, high: 160 },
	lambShoulder: { low: 110, likely: 135, high: 165 },
	lambNeck: { low: 120, likely: 145, high: 175 },
	lambShank: { low: 130, likely: 155, high: 185 },
	muttonShoulder: { low: 140, likely: 170, high: 205 },
	muttonNeck: { low: 145, likely: 175, high: 210 },
	goatShoulder: { low: 125, likely: 155, high: 190 },
	porkShoulder: { low: 115, likely: 140, high: 170 },
	porkCheek: { low: 120, likely: 145, high: 175 },
	wildBoarShoulder: { low: 140, likely: 170, high: 205 },
	venisonShoulder: { low: 130, likely: 160, high: 195 },
	hareLeg: { low: 110, likely: 140, high: 170 },
	duckLeg: { low: 85, likely: 105, high: 130 },
	gooseLeg: { low: 110, likely: 135, high: 165 },
	chickenThigh: { low: 35, likely: 45, high: 60 },
	turkeyThigh: { low: 75, likely: 95, high: 120 },
	squid: { low: 45, likely: 60, high: 80 },
	celeriac: { low: 45, likely: 60, high: 75 },
} as const satisfies Record<string, Range>;

export type Cut = keyof typeof FORK_TENDER_MINUTES;

export const CUTS = Object.keys(FORK_TENDER_MINUTES) as Cut[];

/** The cut in a cook's words: "goat shoulder". */
export function cutWords(cut: Cut): string {
	return cut.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
}
