import { Board } from "./Board.ts";
import { completeBest, type LeastOf } from "./completeBest.ts";
import type { Cost } from "./cost.ts";
import { insertAll } from "./insertAll.ts";
import type { OvenDay } from "./OvenDay.ts";
import { backwards } from "./Sense.ts";

/** More batches than this are bounded one by one: the pairs of 40 are 780. */
const MOST_PAIRED = 40;
const PAIR_STEPS = 4_000;

/**
 * What batches cost at least: each alone in empty ovens, and two that stand in each other's way
 * together. Pairs that share no batch add up.
 */
export function boundsOf(day: OvenDay): LeastOf {
	const alone = day.batches.map((_, index) => togetherIn(day, [index]));
	const each = (index: number): Cost => alone[index] ?? 0;
	if (day.batches.length > MOST_PAIRED) return (batches) => sumOf(batches, each);
	const pairs = day.batches
		.flatMap((_, one) =>
			day.batches.slice(one + 1).map((__, beyond) => {
				const other = one + 1 + beyond;
				return { one, other, more: togetherIn(day, [one, other]) - each(one) - each(other) };
			}),
		)
		.filter(({ more }) => more > 0)
		.sort((a, b) => b.more - a.more);
	return (batches) => {
		const free = new Set(batches);
		let sum = sumOf(batches, each);
		for (const { one, other, more } of pairs) {
			if (!free.has(one) || !free.has(other)) continue;
			free.delete(one);
			free.delete(other);
			sum += more;
		}
		return sum;
	};
}

function sumOf(batches: readonly number[], each: (index: number) => Cost): Cost {
	let sum = 0;
	for (const index of batches) sum += each(index);
	return sum;
}

/** The proven least of some batches that have the ovens to themselves. */
function togetherIn({ held: _, ...day }: OvenDay, batches: readonly number[]): Cost {
	const board = new Board(day);
	const { cost } = insertAll(day, board, batches);
	return completeBest(board, backwards(day), batches, cost, PAIR_STEPS).bound;
}
