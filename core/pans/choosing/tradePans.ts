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
	const rooms = counts.map((row, dish) => roomOf(row, traders[dish] as Trader));
	const saved = (dish: number, less: number, more: number) =>
		savedBy(counts[dish] as number[], rooms[dish] as number, traders[dish] as Trader, less, more);
	for (const trade of tradesOf(counts, traders)) {
		const { from, to, give, take } = trade;
		const gain = saved(from, give, take) + saved(to, take, give);
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

function roomOf(row: readonly number[], { kinds }: Trader): number {
	return row.reduce((sum, count, kind) => sum + count * (kinds[kind]?.capacity ?? 0), 0);
}

/** What a dish saves that gives one pan of a kind and gets one of another; −1 for nothing. */
function savedBy(
	row: readonly number[],
	room: number,
	{ pieces, kinds }: Trader,
	less: number,
	more: number,
): number {
	let cost = 0;
	let after = room;
	for (const [kind, by] of [
		[less, -1],
		[more, 1],
	] as const) {
		const candidate = kinds[kind];
		if (!candidate) continue;
		const count = row[kind] as number;
		cost += rungsOf(candidate, count + by) - rungsOf(candidate, count);
		cost += candidate.drawback * DRAWBACK_RUNGS * by;
		after += candidate.capacity * by;
	}
	const without = Math.max(0, pieces - after) - Math.max(0, pieces - room);
	return -(cost + without * PIECE_RUNGS);
}

function move(counts: number[][], from: number, to: number, kind: number): void {
	if (kind < 0) return;
	(counts[from] as number[])[kind] = (counts[from]?.[kind] ?? 0) - 1;
	(counts[to] as number[])[kind] = (counts[to]?.[kind] ?? 0) + 1;
}
