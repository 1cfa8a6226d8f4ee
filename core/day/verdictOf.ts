import { MINUTE_MS } from "../time/index.ts";
import type { WayInOven } from "./ovenLevel.ts";

/** What stands in an oven from one moment to another. */
export interface InOven {
	readonly id: string;
	readonly oven: string;
	readonly from: number;
	readonly to: number;
	readonly rungs: number;
	readonly set_C: number;
}

/** How some pans can be cooked, and between which moments. */
export interface Liftable {
	readonly id: string;
	readonly ways: readonly WayInOven[];
	/** When they are filled, and when what follows wants them, ms since 1970 UTC. */
	readonly filledAt: number;
	readonly wantedAt: number;
}

export interface OvenRoom {
	readonly id: string;
	readonly rungs: number;
	/** When it can be had. */
	readonly windows: readonly (readonly [number, number])[];
}

/** What is in the way of pans at a place. */
export type Breaks =
	/** Nothing suits them there. */
	| { readonly because: "noWay" }
	| { readonly because: "down" }
	/** So many rungs are missing from a moment on. */
	| { readonly because: "tooFew"; readonly short: number; readonly at: number }
	/** Another stands there at another temperature. */
	| { readonly because: "otherHeat"; readonly id: string; readonly set_C: number }
	/** They come out so many minutes after they are wanted. */
	| { readonly because: "late"; readonly minutes: number }
	/** They would go in so many minutes before they are filled. */
	| { readonly because: "notFilled"; readonly minutes: number };

/** What pans would do at a place: from when to when, how hot, and what breaks. */
export interface Verdict {
	readonly use: InOven | null;
	/** Minutes that they wait when tender. */
	readonly waits_min: number;
	readonly breaks: readonly Breaks[];
}

/**
 * What lifted pans would cost at an oven and a start, at once: the best of the temperatures that
 * suit them there, beside what stands there. The day itself is planned again once they are put down.
 */
export function verdictOf(
	pans: Liftable,
	place: { readonly oven: OvenRoom; readonly start: number },
	standing: readonly InOven[],
): Verdict {
	const others = standing.filter(({ id, oven }) => id !== pans.id && oven === place.oven.id);
	const verdicts = pans.ways
		.filter(({ ovens: [oven] }) => oven === place.oven.id)
		.map((way) => verdictAt(pans, way, place, others));
	const [first] = verdicts;
	if (!first) return { use: null, waits_min: 0, breaks: [{ because: "noWay" }] };
	return verdicts.reduce((best, one) => (costOf(one) < costOf(best) ? one : best), first);
}

function verdictAt(
	{ id, filledAt, wantedAt }: Liftable,
	{ minutes, shelves, low_C }: WayInOven,
	{ oven, start }: { readonly oven: OvenRoom; readonly start: number },
	others: readonly InOven[],
): Verdict {
	const use = {
		id,
		oven: oven.id,
		from: start,
		to: start + minutes * MINUTE_MS,
		rungs: shelves,
		set_C: low_C,
	};
	const met = others.filter(({ from, to }) => from < use.to && to > use.from);
	const breaks: Breaks[] = [];
	if (!oven.windows.some(([opens, closes]) => opens <= use.from && use.to <= closes))
		breaks.push({ because: "down" });
	const hotter = met.find(({ set_C }) => set_C !== use.set_C);
	if (hotter) breaks.push({ because: "otherHeat", id: hotter.id, set_C: hotter.set_C });
	const most = fullestOf(met, use.from);
	if (most.rungs + shelves > oven.rungs) {
		breaks.push({ because: "tooFew", short: most.rungs + shelves - oven.rungs, at: most.at });
	}
	if (use.to > wantedAt) breaks.push({ because: "late", minutes: (use.to - wantedAt) / MINUTE_MS });
	if (use.from < filledAt) breaks.push({ because: "notFilled", minutes: (filledAt - use.from) / MINUTE_MS });
	return { use, waits_min: Math.max(0, (wantedAt - use.to) / MINUTE_MS), breaks };
}

function fullestOf(met: readonly InOven[], from: number): { rungs: number; at: number } {
	let most = { rungs: 0, at: from };
	for (const at of [from, ...met.map((one) => Math.max(one.from, from))]) {
		const rungs = met.reduce((sum, one) => (one.from <= at && one.to > at ? sum + one.rungs : sum), 0);
		if (rungs > most.rungs) most = { rungs, at };
	}
	return most;
}

/** Fewest breaks first, then least late, then least waiting. */
function costOf({ breaks, waits_min }: Verdict): number {
	const late = breaks.find((one) => one.because === "late");
	return breaks.length * 1e6 + (late?.because === "late" ? late.minutes * 100 : 0) + waits_min;
}
