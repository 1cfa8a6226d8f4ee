import { type ChillCase, type ChillGiven, chilling } from "../chill/index.ts";
import { memoise } from "../memoise/index.ts";
import type { Range } from "../quantity/index.ts";
import type { DegreeUnit } from "../safety/index.ts";

/** A reading: minutes since the watch began, °C, and the unit in which it was read; °C where it is absent. */
export type Point = readonly [minute: number, C: number, unit?: DegreeUnit];

/** How much less a reading counts for each forty minutes that it is older: the way ahead is like the way just gone. */
const RECENT_MIN = 40;
/** The model itself counts as much as readings that are spread over so many minutes. */
const PRIOR_MIN2 = 300;
/** What is left of the way is off by this share at least. */
const LEAST_SHARE = 0.05;
/** Readings are off by so much to either side in nine of ten cases: so many spreads. */
const SPREADS = 1.65;

/** How food of a depth is taken to cool where nobody has planned it: in a fridge, from hot. */
export function usualCooling(depth_mm: number): ChillGiven {
	return { depth_mm, start_C: 85, medium: "walkIn", medium_C: 3, consistency: "stew" };
}

const CASES = ["low", "likely", "high"] as const satisfies readonly ChillCase[];

/**
 * When food that is being cooled will be so cold, by what its probe has read so far. The curve of
 * the model is taken for each of its cases and stretched in time until it lies along the readings,
 * the newest most; then it is read ahead. The range is that of the cases, with the scatter of the
 * readings about them.
 *
 * @param given  how it is cooled, as far as is known
 * @param points readings, in order
 * @returns minutes since the watch began; null where it never gets so cold, or nothing was read
 * @see model, section H
 */
export function minutesAhead(given: ChillGiven, points: readonly Point[], to_C: number): Range | null {
	const read = CASES.map((which) => stretched(curveOf(given, which), points, to_C));
	const likely = read[1];
	if (!likely) return null;
	const ends = read.flatMap((one) => (one ? [one.minute - one.off_min, one.minute + one.off_min] : []));
	const last_min = points.at(-1)?.[0] ?? 0;
	const least = LEAST_SHARE * Math.max(0, likely.minute - last_min);
	return {
		low: Math.max(last_min, Math.min(...ends, likely.minute - least)),
		likely: Math.max(last_min, likely.minute),
		high: Math.max(last_min, ...ends, likely.minute + least),
	};
}

interface Read {
	readonly minute: number;
	/** How far it may be off for the scatter of the readings. */
	readonly off_min: number;
}

/** The model's minutes, stretched along the readings: minute = mean + stretch × (model's minute − its mean). */
function stretched(curve: Curve, points: readonly Point[], to_C: number): Read | null {
	const to_min = curve.minuteAt(to_C);
	const last = points.at(-1);
	if (to_min === null || !last) return null;
	let [sum, sumX, sumY, sumXX, sumXY] = [0, 0, 0, 0, 0];
	const along = points.flatMap(([minute, C]) => {
		const model_min = curve.minuteAt(C);
		return model_min === null
			? []
			: [{ x: model_min, y: minute, weight: 2 ** ((minute - last[0]) / RECENT_MIN) }];
	});
	for (const { x, y, weight } of along) {
		sum += weight;
		sumX += weight * x;
		sumY += weight * y;
		sumXX += weight * x * x;
		sumXY += weight * x * y;
	}
	if (sum === 0) return null;
	const [meanX, meanY] = [sumX / sum, sumY / sum];
	const stretch =
		(sumXY / sum - meanX * meanY + PRIOR_MIN2 / sum) / (sumXX / sum - meanX * meanX + PRIOR_MIN2 / sum);
	const minuteOf = (x: number) => meanY + Math.max(MOST_HASTE, stretch) * (x - meanX);
	const scatter = Math.sqrt(
		along.reduce((square, { x, y, weight }) => square + weight * (y - minuteOf(x)) ** 2, 0) / sum,
	);
	return { minute: minuteOf(to_min), off_min: SPREADS * scatter };
}

/** No pan cools so many times as quickly as the model has it. */
const MOST_HASTE = 0.1;

interface Curve {
	/** Minutes until its warmest point is so cold; 0 for what is hotter than it began, null for what it never becomes. */
	minuteAt(C: number): number | null;
}

const curves = memoise<string, Curve>(200);
/** So far it is followed; what is warmer than its surroundings by less than this has stopped cooling, K. */
const AS_COLD_K = 0.3;

function curveOf(given: ChillGiven, which: ChillCase): Curve {
	return curves(JSON.stringify([given, which]), () => {
		const coldest_C = Math.min(given.medium_C, given.foot?.C ?? given.medium_C) + AS_COLD_K;
		const points = [...chilling(given, coldest_C, which)];
		const minutes = points.map(({ minute }) => minute);
		const warmest = points.map(({ warmest_C }) => warmest_C);
		return { minuteAt: (C) => crossing(minutes, warmest, C) };
	});
}

/** Where a falling course comes to a temperature, by halves. */
function crossing(minutes: readonly number[], warmest: readonly number[], C: number): number | null {
	let [above, below] = [0, warmest.length - 1];
	if (C >= (warmest[0] ?? 0)) return 0;
	if (C < (warmest[below] ?? 0)) return null;
	while (below - above > 1) {
		const middle = (above + below) >> 1;
		if ((warmest[middle] as number) > C) above = middle;
		else below = middle;
	}
	const [from_C, to_C] = [warmest[above] as number, warmest[below] as number];
	const share = from_C === to_C ? 1 : (from_C - C) / (from_C - to_C);
	return (minutes[above] as number) + share * ((minutes[below] as number) - (minutes[above] as number));
}
