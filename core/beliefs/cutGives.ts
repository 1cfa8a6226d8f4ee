import type { Cut } from "../trade/index.ts";

/** What a cut gives to its liquid, as shares of its raw weight without bone. */
export interface CutGives {
	/** Fat that runs out and floats. */
	readonly fat: number;
	/** Fat that skin and fat side give off while they are seared, and that is poured off; none where it needs fat. */
	readonly searing: number;
	/** Gelatin that collagen turns into and that leaves the meat. */
	readonly gelatin: number;
}

/**
 * Rendered fat and dissolved gelatin of a cut taken to fork-tender, in the pot: what runs out while
 * it is seared is poured off before. The middle of general practice for trimmed cuts; the kitchen's
 * own log replaces it.
 */
export const CUT_GIVES: Readonly<Record<Cut, CutGives>> = {
	beefChuck: { fat: 0.06, searing: 0, gelatin: 0.012 },
	beefShortRib: { fat: 0.14, searing: 0, gelatin: 0.014 },
	beefCheek: { fat: 0.05, searing: 0, gelatin: 0.022 },
	beefShin: { fat: 0.03, searing: 0, gelatin: 0.022 },
	oxtail: { fat: 0.07, searing: 0, gelatin: 0.026 },
	brisket: { fat: 0.1, searing: 0, gelatin: 0.014 },
	vealShin: { fat: 0.02, searing: 0, gelatin: 0.024 },
	vealShoulder: { fat: 0.03, searing: 0, gelatin: 0.016 },
	vealBreast: { fat: 0.04, searing: 0, gelatin: 0.02 },
	lambShoulder: { fat: 0.07, searing: 0, gelatin: 0.012 },
	lambNeck: { fat: 0.07, searing: 0, gelatin: 0.016 },
	lambShank: { fat: 0.04, searing: 0, gelatin: 0.02 },
	muttonShoulder: { fat: 0.09, searing: 0, gelatin: 0.012 },
	muttonNeck: { fat: 0.09, searing: 0, gelatin: 0.016 },
	goatShoulder: { fat: 0.02, searing: 0, gelatin: 0.014 },
	porkShoulder: { fat: 0.05, searing: 0, gelatin: 0.012 },
	porkCheek: { fat: 0.04, searing: 0, gelatin: 0.02 },
	wildBoarShoulder: { fat: 0.03, searing: 0, gelatin: 0.012 },
	venisonShoulder: { fat: 0.01, searing: 0, gelatin: 0.012 },
	hareLeg: { fat: 0.01, searing: 0, gelatin: 0.01 },
	duckLeg: { fat: 0.06, searing: 0.07, gelatin: 0.012 },
	gooseLeg: { fat: 0.1, searing: 0.1, gelatin: 0.012 },
	chickenThigh: { fat: 0.06, searing: 0, gelatin: 0.01 },
	turkeyThigh: { fat: 0.04, searing: 0, gelatin: 0.01 },
	squid: { fat: 0.005, searing: 0, gelatin: 0.006 },
	celeriac: { fat: 0, searing: 0, gelatin: 0 },
};
