import { sortBy } from "es-toolkit";
import type { Counts } from "./PanChoice.ts";
import { type Candidate, levelsOf } from "./panCandidates.ts";

/** What pans of a kind cost: each whole level that they begin, and each pan; both 0 or more. */
export interface PanCost {
	readonly level: (candidate: Candidate) => number;
	readonly each: (candidate: Candidate) => number;
}

/** Pieces that pans of these counts hold. */
export function roomOf(counts: Counts): number {
	return counts.reduce((sum, { of: candidate, count }) => sum + candidate.capacity * count, 0);
}

/**
 * The cheapest counts that hold so many pieces, exactly. When all pans together hold fewer, all are
 * taken.
 *
 * Counts that can not belong to a cheapest choice are ruled out first; then it goes kind after kind, for
 * every number of pieces that the later kinds can leave.
 */
export function cheapestCounts(candidates: readonly Candidate[], pieces: number, cost: PanCost): Counts {
	const all = candidates.map((candidate) => ({ of: candidate, count: candidate.type.stock }));
	if (roomOf(all) <= pieces) return all;
	const kinds = kindsByBounds(candidates, pieces, cost);
	const leftBy = leftByLater(kinds, pieces);
	let least: Float64Array<ArrayBuffer> | undefined;
	const taken = kinds.map((kind, index) => {
		const held = withKind(kind, leftBy[index], least, pieces);
		least = held.cost;
		return held.counts;
	});
	const countOf = new Map<Candidate, number>();
	let left = pieces;
	for (const [index, { of: candidate }] of [...kinds.entries()].reverse()) {
		const count = taken[index]?.[left] ?? 0;
		left = Math.max(0, left - count * candidate.capacity);
		countOf.set(candidate, count);
	}
	return candidates.map((candidate) => ({ of: candidate, count: countOf.get(candidate) ?? 0 }));
}

/** A kind with the fewest and the most pans of it that a cheapest choice can have. */
interface BoundedKind {
	readonly of: Candidate;
	readonly fewest: number;
	readonly most: number;
	/** Cost of so many. */
	readonly price: (count: number) => number;
}

/**
 * Rules out counts by their reduced cost: where pans may be divided, the kinds are taken in the order of
 * their cost for a piece. What a count costs beyond that may be no more than the dearest that the same
 * choice comes to with whole pans.
 *
 * @returns the kind that would be divided first, then those with the most counts left
 */
function kindsByBounds(candidates: readonly Candidate[], pieces: number, cost: PanCost): BoundedKind[] {
	const kinds = sortBy(
		candidates.map((candidate) => ({
			of: candidate,
			enough: Math.min(candidate.type.stock, Math.ceil(pieces / candidate.capacity)),
			unit: candidate.share * cost.level(candidate) + cost.each(candidate),
			price: (count: number) =>
				levelsOf(candidate, count) * cost.level(candidate) + count * cost.each(candidate),
		})),
		[({ of: { capacity }, unit }) => unit / capacity],
	);
	let left = pieces;
	let divided = 0;
	let whole = 0;
	let rate = 0;
	for (const { of: candidate, unit, price } of kinds) {
		if (left <= 0) break;
		const count = Math.min(candidate.type.stock, Math.ceil(left / candidate.capacity));
		rate = unit / candidate.capacity;
		divided += rate * Math.min(left, count * candidate.capacity);
		whole += price(count);
		left -= count * candidate.capacity;
	}
	const slack = whole - divided + whole * ROUNDING;
	const bounded = kinds.map(({ of: candidate, enough, unit, price }): BoundedKind => {
		const reduced = unit - rate * candidate.capacity;
		// A cheap kind may be left on the shelf, or a dear one taken, for so much of the slack.
		const others = Math.floor(slack / Math.abs(reduced));
		return {
			of: candidate,
			fewest: reduced < 0 ? Math.max(0, Math.min(enough, candidate.type.stock - others)) : 0,
			most: reduced > 0 ? Math.min(enough, others) : enough,
			price,
		};
	});
	return sortBy(bounded, [({ fewest, most }) => fewest - most]);
}

/** Sums of costs are right to this share. */
const ROUNDING = 1e-9;

/**
 * For each kind the numbers of pieces that the kinds after it can leave to it and the ones before it;
 * nothing where those are so many that it is quicker to look at all numbers.
 */
function leftByLater(kinds: readonly BoundedKind[], pieces: number): (Uint32Array | undefined)[] {
	const leftBy: (Uint32Array | undefined)[] = kinds.map(() => undefined);
	let lefts = Uint32Array.of(pieces);
	for (const [index, kind] of [...kinds.entries()].reverse()) {
		const looks = index > 0 ? kind.most - kind.fewest : 1;
		if (lefts.length * looks > pieces * PASSES) break;
		leftBy[index] = lefts;
		lefts = leftAfter(lefts, pieces, kind);
	}
	return leftBy;
}

/** The numbers of pieces that are left of these by the fewest pans of a kind, by one more, and so on. */
function leftAfter(
	lefts: Uint32Array,
	pieces: number,
	{ of: { capacity }, fewest, most }: BoundedKind,
): Uint32Array<ArrayBuffer> {
	const isLeft = new Uint8Array(pieces + 1);
	let found = 0;
	for (const left of lefts) {
		for (let count = fewest; count <= most; count += 1) {
			const after = Math.max(0, left - count * capacity);
			if (isLeft[after] === 0) found += 1;
			isLeft[after] = 1;
			if (after === 0) break;
		}
	}
	const after = new Uint32Array(found);
	for (let left = 0, at = 0; left <= pieces; left += 1) {
		if (isLeft[left] === 1) after[at++] = left;
	}
	return after;
}

/** How often all numbers of pieces are gone through for one kind, about. */
const PASSES = 8;

/** Least cost, and how many of one kind that takes, by the number of pieces still to be held. */
interface Held {
	readonly cost: Float64Array<ArrayBuffer>;
	readonly counts: Uint32Array<ArrayBuffer>;
}

/** The least cost once this kind may be used too: for these numbers of pieces, or for all. */
function withKind(
	kind: BoundedKind,
	lefts: Uint32Array | undefined,
	before: Float64Array<ArrayBuffer> | undefined,
	pieces: number,
): Held {
	if (!lefts) return withKindAtAll(before ?? nothingHeld(pieces), kind);
	return before ? withKindAt(lefts, before, kind) : ofKindAlone(lefts, pieces, kind);
}

function nothingHeld(pieces: number): Float64Array<ArrayBuffer> {
	const cost = new Float64Array(pieces + 1).fill(Number.POSITIVE_INFINITY);
	cost[0] = 0;
	return cost;
}

/** Cost of some numbers of pieces in pans of one kind alone. */
function ofKindAlone(
	lefts: Uint32Array,
	pieces: number,
	{ of: { capacity }, fewest, most, price }: BoundedKind,
): Held {
	const cost = new Float64Array(pieces + 1);
	const counts = new Uint32Array(pieces + 1);
	for (const left of lefts) {
		const count = Math.max(fewest, Math.ceil(left / capacity));
		cost[left] = count > most ? Number.POSITIVE_INFINITY : price(count);
		counts[left] = count;
	}
	return { cost, counts };
}

/** The least cost for some numbers of pieces once this kind may be used too, looking at every count. */
function withKindAt(
	lefts: Uint32Array,
	before: Float64Array<ArrayBuffer>,
	{ of: { capacity }, fewest, most, price }: BoundedKind,
): Held {
	const prices = new Float64Array(most + 1);
	for (let count = fewest; count <= most; count += 1) prices[count] = price(count);
	const cost = new Float64Array(before.length);
	const counts = new Uint32Array(before.length);
	for (const left of lefts) {
		let least = Number.POSITIVE_INFINITY;
		let taken = 0;
		for (let count = fewest; count <= most; count += 1) {
			const after = Math.max(0, left - count * capacity);
			const withIt = (before[after] as number) + (prices[count] as number);
			if (withIt < least) {
				least = withIt;
				taken = count;
			}
			if (after === 0) break;
		}
		cost[left] = least;
		counts[left] = taken;
	}
	return { cost, counts };
}

/**
 * The least cost for every number of pieces once this kind may be used too. So many of a kind fill
 * whole levels and cost the same each time: those are taken in ones, twos, fours and so on, and what
 * is over a whole level is looked at for itself. That is as exact as looking at every count.
 */
function withKindAtAll(before: Float64Array<ArrayBuffer>, { of: candidate, most, price }: BoundedKind): Held {
	const { capacity } = candidate;
	const level = pansALevel(candidate);
	const levels = Math.floor(most / level);
	const none: Held = { cost: before, counts: new Uint32Array(before.length) };
	const whole = copyOf(none);
	for (let left = levels - 1, some = 1; left > 0; some *= 2) {
		const taken = Math.min(some, left);
		takeBetter(whole, whole, taken * level * capacity, taken * price(level), taken * level);
		left -= taken;
	}
	const best = level > 1 ? copyOf(whole) : whole;
	// All whole levels but one with so many more; and where that is all there are, those themselves.
	for (let more = 1; more < level && (levels > 0 || more <= most); more += 1) {
		takeBetter(best, whole, more * capacity, price(more), more);
	}
	for (let count = levels * level; levels > 0 && count <= most; count += 1) {
		takeBetter(best, none, count * capacity, price(count), count);
	}
	return best;
}

function copyOf({ cost, counts }: Held): Held {
	return { cost: new Float64Array(cost), counts: new Uint32Array(counts) };
}

/**
 * Takes, for every number of pieces, something with so many pans more where that is cheaper; from the
 * most pieces down, so that it is taken once where both are the same.
 */
function takeBetter(now: Held, from: Held, holds: number, price: number, more: number): void {
	const { cost, counts } = now;
	for (let pieces = cost.length - 1; pieces > 0; pieces -= 1) {
		// So many pans hold all of it by themselves, or what is left is held by others.
		const left = pieces > holds ? pieces - holds : 0;
		const withIt = (from.cost[left] as number) + price;
		if (withIt >= (cost[pieces] as number)) continue;
		cost[pieces] = withIt;
		counts[pieces] = (from.counts[left] as number) + more;
	}
}

/** Pans of a kind that fill whole levels, as few as that takes. */
function pansALevel({ share }: Candidate): number {
	for (let pans = 1; pans <= MOST_A_LEVEL; pans += 1) {
		const levels = pans * share;
		if (Math.abs(levels - Math.round(levels)) < 1e-9 && levels > 0.5) return pans;
	}
	return Number.POSITIVE_INFINITY;
}

/** Gastronorm pans stand no more than nine to a level. */
const MOST_A_LEVEL = 18;
