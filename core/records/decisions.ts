import { ACTIONS, type Action } from "./entries.ts";
import type { CoolingOfPan } from "./panCooling.ts";
import type { WatchNow } from "./watches.ts";

/** What is found out about food that is not to be used yet; it decides nothing. */
const FOUND_OUT: readonly Action[] = ["measured", "probeChanged", "asked"];

/**
 * What may be written of a watched pan. A cooling that was missed is decided in two ways alone: it is
 * heated through at once and cooled again in time, once; or it is thrown away.
 *
 * @param cooling how the cooling of its pan stands
 */
export function actionsFor(
	{ entry, outcome }: Pick<WatchNow, "entry" | "outcome">,
	{ again }: Pick<CoolingOfPan, "again">,
): readonly Action[] {
	const isMissed = entry.doc.course === "cool" && outcome === "missed";
	// Spreading is done with its pans, as a way that helps.
	if (!isMissed) return ACTIONS.filter((action) => action !== "reheated" && action !== "spread");
	return [...(again ? [] : (["reheated"] as const)), "discarded", ...FOUND_OUT];
}
