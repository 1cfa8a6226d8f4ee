import type { Cut } from "../trade/index.ts";
import { CALIBRATED } from "./calibrated.ts";

export type CutGroup = keyof typeof CALIBRATED.factors;

/**
 * Cuts that soften alike: old and hard-working muscle with much cross-linked collagen first,
 * young and poultry later. The rate of each group is calibrated; the grouping is general
 * culinary knowledge.
 */
export const CUT_GROUPS: Readonly<Record<Cut, CutGroup>> = {
	beefChuck: "beef",
	beefShortRib: "beef",
	beefCheek: "slow",
	beefShin: "slow",
	oxtail: "slow",
	brisket: "beef",
	vealShin: "veal",
	vealShoulder: "veal",
	vealBreast: "veal",
	lambShoulder: "pork",
	lambNeck: "pork",
	lambShank: "mutton",
	muttonShoulder: "mutton",
	muttonNeck: "mutton",
	goatShoulder: "mutton",
	porkShoulder: "pork",
	porkCheek: "mutton",
	wildBoarShoulder: "mutton",
	venisonShoulder: "mutton",
	hareLeg: "mutton",
	duckLeg: "duck",
	gooseLeg: "pork",
	chickenThigh: "chicken",
	turkeyThigh: "turkey",
	squid: "squid",
	celeriac: "root",
};

/** How fast a cut softens against one whose factor is 1. */
export function cutFactor(cut: Cut): number {
	return CALIBRATED.factors[CUT_GROUPS[cut]];
}
