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
	/** Kind that is given, and the kind taken back for it; one past the last for nothing. */
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

/** The trade that saves most; undefined when none saves anything. */
function bestTrade(counts: number[][], traders: readonly Trader[]): Trade | undefined {
	let best: Trade | undefined;
	let most = 1e-6;
	const purses = traders.map((trader, dish) => purseOf(trader, counts[dish] ?? []));
	const kinds = [...(counts[0] ?? []).keys()];
	const nothing = kinds.length;
	for (const [from, giver] of purses.entries()) {
		for (const [to, taker] of purses.entries()) {
			if (from === to) continue;
			const gives = kinds.filter((kind) => mayPass(counts, traders, from, to, kind));
			const takes = kinds.filter((kind) => mayPass(counts, traders, to, from, kind));
			const found = bestBetween(giver, taker, gives, [nothing, ...takes]);
			if (found.saves <= most) continue;
			most = found.saves;
			best = { from, to, give: found.give, take: found.take };
		}
	}
	return best;
}

/** The one pan given for another, or for nothing, that saves two dishes most. */
function bestBetween(giver: Purse, taker: Purse, gives: readonly number[], takes: readonly number[]) {
	const best = { saves: 0, give: 0, take: 0 };
	for (const give of gives) {
		for (const take of takes) {
			const saves = take === give ? 0 : -(extra(giver, give, take) + extra(taker, take, give));
			if (saves > best.saves) Object.assign(best, { saves, give, take });
		}
	}
	return best;
}

/**
 * What one dish has: its pieces, how many its pans hold, and what a pan of each kind holds and one more or
 * less of it costs. One kind more, the last, is nothing.
 */
interface Purse {
	readonly pieces: number;
	readonly room: number;
	readonly holds: readonly number[];
	readonly more: readonly number[];
	readonly less: readonly number[];
}

function purseOf({ pieces, kinds }: Trader, row: readonly number[]): Purse {
	const step = (by: number) => row.map((count, kind) => stepCost(kinds[kind], count, by));
	return {
		pieces,
		room: roomIn(row, kinds),
		holds: [...row.map((_, kind) => kinds[kind]?.capacity ?? 0), 0],
		more: [...step(1), 0],
		less: [...step(-1), 0],
	};
}

/** Rungs that so many more pans of a kind cost. */
function stepCost(candidate: Candidate | undefined, count: number, by: number): number {
	if (!candidate) return 0;
	const rungs = rungsOf(candidate, count + by) - rungsOf(candidate, count);
	return rungs + candidate.drawback * DRAWBACK_RUNGS * by;
}

/** What it costs a dish, in rungs, to give one pan of a kind and get one of another. */
function extra({ pieces, room, holds, more, less }: Purse, given: number, got: number): number {
	const after = room - (holds[given] as number) + (holds[got] as number);
	const without = Math.max(0, pieces - after) - Math.max(0, pieces - room);
	return (less[given] as number) + (more[got] as number) + without * PIECE_RUNGS;
}

/** Pieces that so many pans of each kind hold. */
export function roomIn(row: readonly number[], kinds: Trader["kinds"]): number {
	return row.reduce((sum, count, kind) => sum + count * (kinds[kind]?.capacity ?? 0), 0);
}

/**
 * Whether a pan of a kind may go from hand to hand: the giver has one, and neither is bound to what the
 * chef has settled. The shelf is the last of the hands, and bound to nothing.
 *
 * @param hands   pans of each kind in each hand
 * @param traders the dishes, in the order of their hands
 */
export function mayPass(
	hands: readonly (readonly number[])[],
	traders: readonly Trader[],
	from: number,
	to: number,
	kind: number,
): boolean {
	if ((hands[from]?.[kind] ?? 0) === 0) return false;
	return isFree(hands, traders, from, kind) && isFree(hands, traders, to, kind);
}

function isFree(
	hands: readonly (readonly number[])[],
	traders: readonly Trader[],
	hand: number,
	kind: number,
): boolean {
	if (hand === hands.length - 1) return true;
	const candidate = traders[hand]?.kinds[kind];
	return candidate !== undefined && candidate.wished === undefined;
}

function move(counts: number[][], from: number, to: number, kind: number): void {
	if (kind >= (counts[from] ?? []).length) return;
	(counts[from] as number[])[kind] = (counts[from]?.[kind] ?? 0) - 1;
	(counts[to] as number[])[kind] = (counts[to]?.[kind] ?? 0) + 1;
}
