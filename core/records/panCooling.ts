import type { Outcome } from "../watch/index.ts";
import type { WatchNow } from "./watches.ts";

/** How the cooling of a pan stands, over all that was watched of it. */
export interface CoolingOfPan {
	readonly stands: Outcome;
	/** The watch that says so; null where its cooling was not watched. */
	readonly watch: number | null;
	/** Whether it was cooled too slowly, and is being heated through and cooled once more. */
	readonly again: boolean;
}

/**
 * How the cooling of a pan stands. One that was missed stands as missed, unless somebody signed that it
 * is heated through at once and cooled again, and both were then met.
 *
 * @param tags    the pan's own, and those of the pans that it was spread out of
 * @param watches of its lot, as they stand
 */
export function coolingOf(tags: readonly string[], watches: readonly WatchNow[]): CoolingOfPan {
	const own = watches
		.filter(({ entry: { doc }, goesOnIn }) => tags.includes(doc.tag) && goesOnIn.length === 0)
		.sort((a, b) => a.entry.at - b.entry.at || a.entry.doc.watch - b.entry.doc.watch);
	const cooled = own.filter(({ entry }) => entry.doc.course === "cool");
	for (const [index, one] of cooled.entries()) {
		const { watch } = one.entry.doc;
		if (one.outcome === "met") continue;
		const signed = one.actions.find(({ doc }) => doc.action === "reheated");
		// A second cooling that is missed is not made good by a third.
		if (one.outcome !== "missed" || !signed || index > 0)
			return { stands: one.outcome, watch, again: index > 0 };
		const heated = own.find(
			({ entry }) => entry.doc.course === "reheat" && entry.at >= signed.at && entry.at >= one.entry.at,
		);
		const cooledAgain = cooled[index + 1];
		if (!heated || heated.outcome === "open") return { stands: "open", watch, again: true };
		if (heated.outcome !== "met") return { stands: heated.outcome, watch, again: true };
		if (!cooledAgain) return { stands: "open", watch, again: true };
	}
	const last = cooled.at(-1);
	return last
		? { stands: "met", watch: last.entry.doc.watch, again: false }
		: { stands: "notKnown", watch: null, again: false };
}
