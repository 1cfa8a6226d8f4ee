import { type Candidate, DRAWBACK_RUNGS, rungsOf } from "./panCandidates.ts";

/** One dish that trades: its pieces, and each kind of the stock as it may use it; undefined where it may not. */
export interface Trader {
	readonly pieces: number;
	readonly kinds: readonly (Candidate | undefined)[];
}

/** A piece without a pan outweighs every rung. */
const PIECE_RUNGS = 1e6;

interface Trade {
	readonly from: number;
	readonly to: number;
	/** Kind that is given, and the kind taken back for it; −1 for nothing. */
	readonly give: number;
	readonly take: number;
}

/**
 * Pans given from dish to dish, or one exchanged for another or for one from the shelf, as long
 * as fewer pieces stay without a pan or fewer rungs are taken.
 *
 * @param held  pans of each kind (in the order of the stock) that each dish has so far
 * @param shelf pans of each kind that nobody has
 * @returns the counts after trading; together with the shelf never more than before
 */
export function tradePans(
	held: readonly (readonly number[])[],
	shelf: readonly number[],
	traders: readonly Trader[],
): number[][] {
	// The shelf trades like a dish that needs nothing and pays nothing.
	const all = [...traders, { pieces: 0, kinds: shelf.map(() => undefined) }];
	const counts = [...held.map((row) => [...row]), [...shelf]];
	for (;;) {
		const best = bestTrade(counts, all);
		if (!best) return counts.slice(0, -1);
		move(counts, best.from, best.to, best.give);
		move(counts, best.to, best.from, best.take);
	}
}

function bestTrade(counts: number[][], traders: readonly Trader[]): Trade | undefined {
	let best: Trade | undefined;
	let most = 1e-6;
	const costs = counts.map((row, dish) => costOf(row, traders[dish] as Trader));
	for (const trade of tradesOf(counts, traders)) {
		const { from, to, give, take } = trade;
		move(counts, from, to, give);
		move(counts, to, from, take);
		const after =
			costOf(counts[from] as number[], traders[from] as Trader) +
			costOf(counts[to] as number[], traders[to] as Trader);
		move(counts, from, to, take);
		move(counts, to, from, give);
		const gain = (costs[from] ?? 0) + (costs[to] ?? 0) - after;
		if (gain <= most) continue;
		most = gain;
		best = trade;
	}
	return best;
}

function* tradesOf(counts: readonly number[][], traders: readonly Trader[]): Generator<Trade> {
	const dishes = traders.map((_, dish) => dish);
	const kinds = (counts[0] ?? []).map((_, kind) => kind);
	for (const from of dishes) {
		for (const to of dishes.filter((dish) => dish !== from)) {
			for (const give of kinds.filter((kind) => mayGive(counts, traders, from, to, kind))) {
				yield { from, to, give, take: -1 };
				const back = kinds.filter((kind) => kind !== give && mayGive(counts, traders, to, from, kind));
				for (const take of back) yield { from, to, give, take };
			}
		}
	}
}

/** The giver has one and may part with it; the taker may use it, or is the shelf. */
function mayGive(
	counts: readonly number[][],
	traders: readonly Trader[],
	from: number,
	to: number,
	kind: number,
): boolean {
	if ((counts[from]?.[kind] ?? 0) === 0) return false;
	const shelf = traders.length - 1;
	const free = (dish: number) => {
		const candidate = traders[dish]?.kinds[kind];
		return dish === shelf || (candidate !== undefined && candidate.wished === undefined);
	};
	return free(from) && free(to);
}

function costOf(row: readonly number[], { pieces, kinds }: Trader): number {
	let room = 0;
	let cost = 0;
	for (const [kind, count] of row.entries()) {
		const candidate = kinds[kind];
		if (!candidate || count === 0) continue;
		room += candidate.capacity * count;
		cost += rungsOf(candidate, count) + candidate.drawback * DRAWBACK_RUNGS * count;
	}
	return cost + Math.max(0, pieces - room) * PIECE_RUNGS;
}

function move(counts: number[][], from: number, to: number, kind: number): void {
	if (kind < 0) return;
	(counts[from] as number[])[kind] = (counts[from]?.[kind] ?? 0) - 1;
	(counts[to] as number[])[kind] = (counts[to]?.[kind] ?? 0) + 1;
}
