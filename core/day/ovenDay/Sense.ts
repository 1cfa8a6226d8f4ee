import type { Board, Put, Span, Way } from "./Board.ts";
import { type Cost, costAt, costOf, lateOf } from "./cost.ts";
import type { OvenBatch, OvenDay } from "./OvenDay.ts";

/**
 * From which end batches are put in, and what they cost. With one end fixed, each goes as near to
 * it as it has room: that is best wherever a start nearer to it never costs more.
 */
export interface Sense {
	/** The start that a batch would have in an empty oven. */
	readonly wanted: (batch: number, minutes: number) => number;
	/** The start with room that is nearest to one, going from the end on; NaN when there is none. */
	readonly nearest: (board: Board, way: Way, oven: number, low: number, high: number, from: number) => number;
	/** The minute of a batch by which turns are taken: its start going forwards, its end going backwards. */
	readonly edge: (put: Put) => number;
	/** The start that puts the edge of a batch at a minute. */
	readonly startAt: (edge_min: number, minutes: number) => number;
	/** Whether one minute lies further along than another. */
	readonly isFurther: (minute: number, other: number) => boolean;
	readonly cost: (way: Way, start_min: number) => Cost;
	/** What of the ovens those still to come can meet: counted from the last edge. */
	readonly ahead: Span;
	/** Starts beyond the wanted one that a batch may take too, while so much cost is in hand. */
	readonly beyond: (batch: number, minutes: number, slack: Cost) => Starts;
}

const NOTHING: Starts = { first: 0, most: Number.NEGATIVE_INFINITY };

/** Starts on the step, from one to another. */
interface Starts {
	readonly first: number;
	readonly most: number;
}

/**
 * Backwards from when each batch should be out: what costs is lateness, then waiting. A batch may
 * be late as far as lateness is in hand.
 */
export function backwards({ step_min, batches }: OvenDay): Sense {
	return {
		...backwardsFrom(batches, (batch) => batch.readyBy_min),
		cost: (way, start_min) => costAt(way, batches[way.batch]?.readyBy_min ?? 0, start_min),
		beyond(index, minutes, slack) {
			const { readyBy_min, notBefore_min } = batches[index] as OvenBatch;
			const wanted = readyBy_min - minutes;
			const after = Math.max(wanted, notBefore_min - 1);
			return {
				first: (Math.floor(after / step_min) + 1) * step_min,
				most: wanted + lateOf(slack),
			};
		},
	};
}

/**
 * Backwards from the minute by which each has to be out, late or not: what costs is waiting alone.
 *
 * @param outBy_min by batch
 */
export function backwardsBy({ batches }: OvenDay, outBy_min: readonly number[]): Sense {
	return {
		...backwardsFrom(batches, (_, index) => outBy_min[index] as number),
		cost: ({ batch, minutes, shelves }, start_min) => {
			const { readyBy_min } = batches[batch] as OvenBatch;
			return Math.max(0, readyBy_min - start_min - minutes) * shelves;
		},
		beyond: () => NOTHING,
	};
}

/** Forwards from when each batch can go in: what costs is lateness alone. */
export function forwards({ batches }: OvenDay): Sense {
	return {
		wanted: (batch) => batches[batch]?.notBefore_min ?? 0,
		nearest: (board, way, oven, low, high, from) => board.earliestStart(way, oven, low, high, from),
		edge: ({ start_min }) => start_min,
		startAt: (edge_min) => edge_min,
		isFurther: (minute, other) => minute > other,
		ahead: { from_min: 0, to_min: Number.POSITIVE_INFINITY },
		cost: (way, start_min) => {
			const { readyBy_min } = batches[way.batch] as OvenBatch;
			return costOf(Math.max(0, start_min + way.minutes - readyBy_min), 0);
		},
		beyond: () => NOTHING,
	};
}

function backwardsFrom(
	batches: readonly OvenBatch[],
	outBy: (batch: OvenBatch, index: number) => number,
): Omit<Sense, "cost" | "beyond"> {
	return {
		wanted: (index, minutes) => outBy(batches[index] as OvenBatch, index) - minutes,
		nearest: (board, way, oven, low, high, from) =>
			board.latestStart(way, oven, low, high, from, (batches[way.batch] as OvenBatch).notBefore_min),
		edge: ({ start_min, way }) => start_min + way.minutes,
		startAt: (edge_min, minutes) => edge_min - minutes,
		isFurther: (minute, other) => minute < other,
		ahead: { from_min: Number.NEGATIVE_INFINITY, to_min: 0 },
	};
}

/** Whether a batch may be put in after another: each plan is met in one order only. */
export function isTurnOf({ isFurther, edge }: Sense, put: Put, last: Put | null): boolean {
	if (last === null) return true;
	const [own, other] = [edge(put), edge(last)];
	return isFurther(own, other) || (own === other && put.way.batch > last.way.batch);
}
