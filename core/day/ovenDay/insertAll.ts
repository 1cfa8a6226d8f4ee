import type { Board, Put } from "./Board.ts";
import { type Cost, costAt } from "./cost.ts";
import type { OvenBatch, OvenDay } from "./OvenDay.ts";

/** Batches in their ovens, and what they cost. */
export interface Standing {
	readonly puts: readonly Put[];
	readonly cost: Cost;
}

/**
 * Puts batches in one after the other, each where it costs least beside those before it. The board
 * is left as it was.
 *
 * @param order batches by index
 */
export function insertAll(day: OvenDay, board: Board, order: readonly number[]): Standing {
	const puts: Put[] = [];
	const undo: (() => void)[] = [];
	let sum = 0;
	for (const index of order) {
		const { put, cost } = cheapest(day, board, index);
		puts.push(put);
		undo.push(board.put(put));
		sum += cost;
	}
	for (const takeOut of undo.reverse()) takeOut();
	return { puts, cost: sum };
}

function cheapest(day: OvenDay, board: Board, index: number): { put: Put; cost: Cost } {
	const batch = day.batches[index] as OvenBatch;
	let best: { put: Put; cost: Cost } | undefined;
	for (const way of board.ways[index] ?? []) {
		const { low, high, minutes } = way;
		const wanted = batch.readyBy_min - minutes;
		for (const oven of board.ovensFor(way)) {
			const onTime = board.latestStart(way, oven, low, high, wanted, batch.notBefore_min);
			const start = Number.isNaN(onTime)
				? board.earliestStart(way, oven, low, high, Math.max(wanted, batch.notBefore_min))
				: onTime;
			const cost = costAt(way, batch.readyBy_min, start);
			if (best && best.cost <= cost) continue;
			best = { put: board.fitted(way, oven, low, high, start), cost };
		}
	}
	if (!best) throw new Error(`no oven takes batch ${batch.id}`);
	return best;
}
