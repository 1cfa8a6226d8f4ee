import { type Random, seeded } from "../../random/index.ts";
import { mayPass, roomIn, type Trader } from "./tradePans.ts";

/** Steps for each dish and kind of pan, and how often it is begun again. */
const STEPS = 900;
const STARTS = 4;

/**
 * Pans shared out so that as few pieces as can be stay without one: pans go from hand to hand, at
 * first even where that leaves more without, and less and less so. What the chef has settled stays
 * where it is. The same answer for the same input.
 *
 * @param held  pans of each kind that each dish has so far
 * @param shelf pans of each kind that nobody has
 * @returns the counts, the shelf's left out
 */
export function placeMore(
	held: readonly (readonly number[])[],
	shelf: readonly number[],
	traders: readonly Trader[],
): number[][] {
	const random = seeded(held.length + shelf.length);
	let best = held.map((row) => [...row]);
	let least = withoutPan(best, traders);
	for (let start = 0; start < STARTS && least > 0; start += 1) {
		const hands = [...held.map((row) => [...row]), [...shelf]];
		const tried = passedAround(hands, traders, random);
		const left = withoutPan(tried, traders);
		if (left >= least) continue;
		best = tried;
		least = left;
	}
	return best;
}

function withoutPan(counts: readonly (readonly number[])[], traders: readonly Trader[]): number {
	return traders.reduce(
		(sum, trader, dish) => sum + Math.max(0, trader.pieces - roomIn(counts[dish] ?? [], trader.kinds)),
		0,
	);
}

function passedAround(hands: number[][], traders: readonly Trader[], random: Random): number[][] {
	const shelf = traders.length;
	const rooms = traders.map((trader, dish) => roomIn(hands[dish] ?? [], trader.kinds));
	const kinds = hands[shelf]?.length ?? 0;
	const steps = STEPS * Math.max(1, traders.length) * Math.max(1, kinds);
	const largest = Math.max(
		1,
		...traders.flatMap((trader) => trader.kinds.map((kind) => kind?.capacity ?? 0)),
	);
	let left = withoutPan(hands, traders);
	let best = { left, counts: hands.slice(0, shelf).map((row) => [...row]) };
	for (let step = 0; step < steps && best.left > 0; step += 1) {
		const kind = Math.floor(random() * kinds);
		const from = Math.floor(random() * (shelf + 1));
		const to = Math.floor(random() * (shelf + 1));
		if (from === to || !mayPass(hands, traders, from, to, kind)) continue;
		const more = gain(traders, rooms, from, to, kind);
		const heat = largest * 0.4 * (1 - step / steps);
		if (more > 0 && random() >= Math.exp(-more / Math.max(heat, 1e-9))) continue;
		pass(hands, traders, rooms, from, to, kind);
		left += more;
		if (left < best.left) best = { left, counts: hands.slice(0, shelf).map((row) => [...row]) };
	}
	return best.counts;
}

/** How many more pieces stay without a pan. */
function gain(
	traders: readonly Trader[],
	rooms: readonly number[],
	from: number,
	to: number,
	kind: number,
): number {
	return (
		moreShort(traders[from], rooms[from] ?? 0, kind, -1) + moreShort(traders[to], rooms[to] ?? 0, kind, 1)
	);
}

/** Pieces that stay without a pan when so many of a kind come; the shelf has no pieces. */
function moreShort(trader: Trader | undefined, room: number, kind: number, by: number): number {
	if (!trader) return 0;
	const capacity = trader.kinds[kind]?.capacity ?? 0;
	return Math.max(0, trader.pieces - room - by * capacity) - Math.max(0, trader.pieces - room);
}

function pass(
	hands: number[][],
	traders: readonly Trader[],
	rooms: number[],
	from: number,
	to: number,
	kind: number,
): void {
	(hands[from] as number[])[kind] = (hands[from]?.[kind] ?? 0) - 1;
	(hands[to] as number[])[kind] = (hands[to]?.[kind] ?? 0) + 1;
	if (from < traders.length)
		rooms[from] = (rooms[from] as number) - (traders[from]?.kinds[kind]?.capacity ?? 0);
	if (to < traders.length) rooms[to] = (rooms[to] as number) + (traders[to]?.kinds[kind]?.capacity ?? 0);
}
