import type { BraiseGiven } from "./BraiseGiven.ts";
import { type OldClaims, oldClaimsOf } from "./oldClaims.ts";
import { type PanThrough, panThrough } from "./panThrough.ts";

/** Pans side by side, and what the first of them says to old claims. */
export interface PansThrough {
	readonly pans: readonly PanThrough[];
	readonly oldClaims: OldClaims | null;
}

export function pansThrough(given: readonly BraiseGiven[]): PansThrough {
	const pans = given.map(panThrough);
	return { pans, oldClaims: pans[0] ? oldClaimsOf(pans[0]) : null };
}
