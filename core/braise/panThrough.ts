import type { Range } from "../quantity/index.ts";
import type { BraiseGiven } from "./BraiseGiven.ts";
import { braise, promisedMarks, type Sensitivity } from "./braise.ts";
import { type BraiseCurve, braiseCurve } from "./braiseCurve.ts";
import { type BraiseStory, storyOf } from "./story.ts";

/** One pan reckoned through, as plain values that pass from a worker to a page. */
export interface PanThrough {
	readonly given: BraiseGiven;
	readonly curve: BraiseCurve;
	/** To fork-tender; null when it never is, or is dry before. */
	readonly tender_min: Range | null;
	readonly liquidLeft_l: number;
	readonly peakLiquid_C: number;
	readonly sensitivities: readonly Sensitivity[];
	readonly story: BraiseStory | null;
}

export function panThrough(given: BraiseGiven): PanThrough {
	const braised = braise(given, { layers: true });
	return {
		given,
		curve: braiseCurve(braised),
		tender_min: promisedMarks(braised).forkTender,
		liquidLeft_l: braised.liquidLeft_l,
		peakLiquid_C: braised.peakLiquid_C,
		sensitivities: braised.sensitivities,
		story: storyOf(given, braised),
	};
}
