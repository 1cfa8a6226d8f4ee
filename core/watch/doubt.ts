import type { Point } from "./ahead.ts";

/** Why what a probe says is not taken for the temperature of the food until somebody has measured by hand. */
export type Doubt =
	| { readonly because: "silent"; readonly minutes: number }
	| { readonly because: "impossible"; readonly C: number }
	| {
			readonly because: "apart";
			readonly by_K: number;
			readonly from: "neighbours" | "hand";
			readonly grows: boolean;
	  };

/** A probe reads every ten seconds; silent for so long it has dropped out, minutes. */
export const SILENT_MIN = 2;
/** Food in a kitchen is nowhere colder or hotter, °C. */
const COLDEST_C = -35;
const HOTTEST_C = 125;
/** The middle of a pan does not change by more in a minute, K, once the probe has taken its temperature. */
const MOST_K_A_MIN = 6;
const TAKES_UP_MIN = 4;
/** So far from its neighbours, or from a probe in the hand, it is doubted, K. */
const APART_K = 4;
const FROM_HAND_K = 2;
/** A difference that has grown by so much has gone on growing, K. */
const GROWS_K = 2;
/** Its newest readings are held against others, minutes. */
const NEWEST_MIN = 10;

export interface Heard {
	/** Minutes since the watch began. */
	readonly now_min: number;
	/** Since when it stands in the pan. */
	readonly since_min: number;
	/** What the probe has read, in order. */
	readonly probe: readonly Point[];
	/** What people have read of the same pan. */
	readonly hand: readonly Point[];
	/** What other probes read in pans that go the same way, on the same clock. */
	readonly neighbours: readonly (readonly Point[])[];
}

/**
 * Whether what a probe says is to be doubted: it says nothing, what it says cannot be, or it says
 * another thing than a hand's measuring or than most of its neighbours.
 *
 * @returns null where nothing speaks against it
 */
export function doubtOf(heard: Heard): Doubt | null {
	const { now_min, probe, since_min } = heard;
	const last = probe.at(-1);
	const silent_min = now_min - Math.max(since_min, last?.[0] ?? 0);
	if (silent_min >= SILENT_MIN) return { because: "silent", minutes: Math.floor(silent_min) };
	if (!last) return null;
	return impossible(heard) ?? apartFromHand(heard) ?? apartFromNeighbours(heard);
}

function impossible({ probe }: Heard): Doubt | null {
	const newest = since(probe, NEWEST_MIN);
	for (const [index, [minute, C]] of newest.entries()) {
		if (C < COLDEST_C || C > HOTTEST_C) return { because: "impossible", C };
		const before = newest[index - 1];
		if (!before || before[0] < TAKES_UP_MIN) continue;
		const most_K = MOST_K_A_MIN * Math.max(1, minute - before[0]);
		if (Math.abs(C - before[1]) > most_K) return { because: "impossible", C };
	}
	return null;
}

function apartFromHand({ probe, hand }: Heard): Doubt | null {
	const measured = hand.at(-1);
	const read_C = measured && at(probe, measured[0]);
	if (!measured || read_C === null || read_C === undefined) return null;
	const by_K = read_C - measured[1];
	if (Math.abs(by_K) < FROM_HAND_K) return null;
	return { because: "apart", by_K, from: "hand", grows: false };
}

/** Two others at least: of two alone nobody can say which is wrong. */
const LEAST_NEIGHBOURS = 2;

function apartFromNeighbours({ probe, neighbours }: Heard): Doubt | null {
	const differences = (points: readonly Point[]) =>
		points.flatMap(([minute, C]) => {
			const others = neighbours.flatMap((other) => at(other, minute) ?? []);
			return others.length < LEAST_NEIGHBOURS ? [] : [C - medianOf(others)];
		});
	const newest = differences(since(probe, NEWEST_MIN));
	if (newest.length === 0) return null;
	const by_K = medianOf(newest);
	if (Math.abs(by_K) < APART_K) return null;
	const first = differences(until(probe, NEWEST_MIN));
	const grows = first.length > 0 && Math.abs(by_K) - Math.abs(medianOf(first)) > GROWS_K;
	return { because: "apart", by_K, from: "neighbours", grows };
}

function since(points: readonly Point[], minutes: number): Point[] {
	const from = (points.at(-1)?.[0] ?? 0) - minutes;
	return points.filter(([minute]) => minute >= from);
}

function until(points: readonly Point[], minutes: number): Point[] {
	const first = points.find(([minute]) => minute >= TAKES_UP_MIN)?.[0] ?? 0;
	return points.filter(([minute]) => minute >= first && minute <= first + minutes);
}

/** Between two readings no further apart than this a straight line is drawn, minutes. */
const MOST_GAP_MIN = 5;

/** What was read at a minute; null where nothing was read near it. */
function at(points: readonly Point[], minute: number): number | null {
	let [low, high] = [0, points.length - 1];
	if (high < 0 || minute < (points[0] as Point)[0]) return null;
	while (low < high) {
		const middle = (low + high + 1) >> 1;
		if ((points[middle] as Point)[0] <= minute) low = middle;
		else high = middle - 1;
	}
	const before = points[low] as Point;
	const after = points[low + 1];
	if (!after) return minute - before[0] <= MOST_GAP_MIN ? before[1] : null;
	if (after[0] - before[0] > MOST_GAP_MIN) return null;
	return before[1] + ((minute - before[0]) / (after[0] - before[0])) * (after[1] - before[1]);
}

function medianOf(values: readonly number[]): number {
	const sorted = [...values].sort((a, b) => a - b);
	const middle = sorted.length >> 1;
	const upper = sorted[middle] ?? 0;
	return sorted.length % 2 === 1 ? upper : ((sorted[middle - 1] ?? 0) + upper) / 2;
}
