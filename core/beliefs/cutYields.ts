import type { Cut } from "../trade/index.ts";
import type { Losses } from "../yields/index.ts";

/**
 * What each cut usually loses: trim and bone as shares of what each step starts with, and
 * cooking loss of a braise taken to fork-tender. The middle of general practice; the
 * kitchen's own log replaces them. @see model, section A
 */
export const CUT_YIELDS: Readonly<Record<Cut, Required<Losses>>> = {
	beefChuck: { trimLoss: 0.1, boneShare: 0, cookingLoss: 0.38 },
	beefShortRib: { trimLoss: 0.08, boneShare: 0.3, cookingLoss: 0.38 },
	beefCheek: { trimLoss: 0.2, boneShare: 0, cookingLoss: 0.45 },
	beefShin: { trimLoss: 0.12, boneShare: 0, cookingLoss: 0.39 },
	oxtail: { trimLoss: 0.1, boneShare: 0.48, cookingLoss: 0.36 },
	brisket: { trimLoss: 0.14, boneShare: 0, cookingLoss: 0.39 },
	vealShin: { trimLoss: 0.06, boneShare: 0.38, cookingLoss: 0.36 },
	vealShoulder: { trimLoss: 0.12, boneShare: 0, cookingLoss: 0.36 },
	vealBreast: { trimLoss: 0.1, boneShare: 0, cookingLoss: 0.35 },
	lambShoulder: { trimLoss: 0.12, boneShare: 0, cookingLoss: 0.36 },
	lambNeck: { trimLoss: 0.08, boneShare: 0.38, cookingLoss: 0.34 },
	lambShank: { trimLoss: 0.04, boneShare: 0.32, cookingLoss: 0.34 },
	muttonShoulder: { trimLoss: 0.13, boneShare: 0, cookingLoss: 0.38 },
	muttonNeck: { trimLoss: 0.08, boneShare: 0.4, cookingLoss: 0.35 },
	goatShoulder: { trimLoss: 0.11, boneShare: 0, cookingLoss: 0.36 },
	porkShoulder: { trimLoss: 0.08, boneShare: 0, cookingLoss: 0.36 },
	porkCheek: { trimLoss: 0.15, boneShare: 0, cookingLoss: 0.43 },
	wildBoarShoulder: { trimLoss: 0.14, boneShare: 0, cookingLoss: 0.37 },
	venisonShoulder: { trimLoss: 0.14, boneShare: 0, cookingLoss: 0.36 },
	hareLeg: { trimLoss: 0.06, boneShare: 0.28, cookingLoss: 0.33 },
	duckLeg: { trimLoss: 0.03, boneShare: 0.25, cookingLoss: 0.3 },
	gooseLeg: { trimLoss: 0.04, boneShare: 0.25, cookingLoss: 0.32 },
	chickenThigh: { trimLoss: 0.06, boneShare: 0.2, cookingLoss: 0.27 },
	turkeyThigh: { trimLoss: 0.08, boneShare: 0.18, cookingLoss: 0.28 },
	squid: { trimLoss: 0.28, boneShare: 0, cookingLoss: 0.42 },
	celeriac: { trimLoss: 0.28, boneShare: 0, cookingLoss: 0.12 },
};
