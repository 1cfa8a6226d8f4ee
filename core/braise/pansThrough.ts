import type { BraiseGiven } from "./BraiseGiven.ts";
import { type Beliefs, beliefsOf } from "./oldClaims.ts";
import { type PanThrough, panThrough } from "./panThrough.ts";

/** Pans side by side, and what the first of them says to old beliefs. */
export interface PansThrough {
	readonly pans: readonly PanThrough[];
	readonly beliefs: Beliefs | null;
}

export function pansThrough(given: readonly BraiseGiven[]): PansThrough {
	const pans = given.map(panThrough);
	return { pans, beliefs: pans[0] ? beliefsOf(pans[0]) : null };
}
