import { minBy, sumBy } from "es-toolkit";
import { seeded, shuffled } from "../../random/index.ts";
import type { PanLimits, PanType } from "../shape/index.ts";
import { type Counts, filledChoice, leastPoured, type PanChoice, panInLitres } from "./PanChoice.ts";
import { type Candidate, candidatesFor, DRAWBACK_RUNGS, type PanLoad, rungsOf } from "./panCandidates.ts";
import { placeMore } from "./placeMore.ts";
import { tradePans } from "./tradePans.ts";

/** Gives each dish its pans out of one stock. The answers stand in the order of the loads. */
export type ChoosePans = (
	loads: readonly PanLoad[],
	stock: readonly PanType[],
	limits: PanLimits,
) => PanChoice[];

/**
 * Rounds, at the most, in which dishes that want the same pans bid for them, and by how many rungs a pan
 * that is short becomes dearer in one round.
 */
const ROUNDS = 24;
/** Trades looked at in all rounds together; where there are more to a round, there are fewer rounds. */
const MOST_TRADES = 1_000_000;
const DEARER = 0.35;

/** What a pan of a kind costs beside its own rungs, in rungs. */
type Prices = ReadonlyMap<string, number>;
const FREE: Prices = new Map();

/**
 * Pans dish after dish, each the best for itself out of what is left. Where dishes want the
 * same pans, those become dearer round after round, so that a dish that can do without leaves
 * them to one that cannot; the orders change too, and the best of all rounds is kept. For one
 * dish it is exact; for more it is close.
 */
export const chooseByBids: ChoosePans = (loads, stock, limits) =>
	asReallyFilled(byBids, loads, stock, limits);

/**
 * Pans are judged by what really goes into them: where a full one could not be carried, it is also
 * tried with fewer pieces, and the better of both is taken.
 */
export function asReallyFilled(
	choose: ChoosePans,
	loads: readonly PanLoad[],
	stock: readonly PanType[],
	limits: PanLimits,
): PanChoice[] {
	const full = choose(loads, stock, limits);
	const lighter = loads.map((load) => ({ ...load, filledLess: true }));
	const isOther = lighter.some((load) =>
		candidatesFor(load, stock, limits).some(({ capacity, holds }) => capacity < holds),
	);
	if (!isOther) return full;
	const less = choose(lighter, stock, limits);
	return isBetter(less, full) ? less : full;
}

const byBids: ChoosePans = (loads, stock, limits) => {
	const alone = chooseApart(loads, stock, limits);
	const aPan_l = aPanFor(loads, stock, limits);
	if (isWithin(stock, alone)) return alone;
	const random = seeded(loads.length);
	const given = loads.map((_, index) => index);
	const prices = new Map<string, number>();
	const attempt = (order: readonly number[]) => {
		const chosen = inOrder(order, loads, stock, limits, aPan_l, prices);
		const after = traded(chosen, loads, stock, limits);
		return isBetter(after, chosen) ? after : chosen;
	};
	let best = attempt(given);
	const rounds = Math.min(ROUNDS, Math.ceil(MOST_TRADES / (loads.length * stock.length) ** 2));
	for (let round = 0; round < rounds; round += 1) {
		const asked = loads.map((load) => chooseOne(load, stock, limits, aPan_l, prices));
		for (const type of stock) {
			const short = usedOf(type, asked) - type.stock;
			if (short > 0) prices.set(type.id, (prices.get(type.id) ?? 0) + DEARER);
		}
		const tried = attempt(shuffled(given, random));
		if (isBetter(tried, best)) best = tried;
	}
	if (sumOf(best, ({ unplaced }) => unplaced) === 0) return best;
	const placed = rehung(best, loads, stock, limits, placeMore);
	const settled = rehung(placed, loads, stock, limits, tradePans);
	return [placed, settled].reduce((least, tried) => (isBetter(tried, least) ? tried : least), best);
};

/** Shares the pans out anew between dishes and shelf. */
type ShareOut = typeof tradePans;

function traded(
	choices: readonly PanChoice[],
	loads: readonly PanLoad[],
	stock: readonly PanType[],
	limits: PanLimits,
): PanChoice[] {
	return rehung(choices, loads, stock, limits, tradePans);
}

/** The pans shared out anew, each dish filling those that are now its own. */
function rehung(
	choices: readonly PanChoice[],
	loads: readonly PanLoad[],
	stock: readonly PanType[],
	limits: PanLimits,
	shareOut: ShareOut,
): PanChoice[] {
	const held = choices.map((choice) => stock.map((type) => usedOf(type, [choice])));
	const shelf = stock.map((type) => type.stock - usedOf(type, choices));
	const traders = loads.map((load) => {
		const candidates = candidatesFor(load, stock, limits);
		const kinds = stock.map(({ id }) => candidates.find(({ type }) => type.id === id));
		return { pieces: load.pieces, kinds };
	});
	const after = shareOut(held, shelf, traders);
	return loads.map((load, dish) => {
		const counts = stock.flatMap((_, kind) => {
			const candidate = traders[dish]?.kinds[kind];
			return candidate ? [{ of: candidate, count: after[dish]?.[kind] ?? 0 }] : [];
		});
		return filledChoice(counts, load, limits);
	});
}

/** Each dish as if it had the whole stock to itself. */
export function chooseApart(
	loads: readonly PanLoad[],
	stock: readonly PanType[],
	limits: PanLimits,
): PanChoice[] {
	const aPan_l = aPanFor(loads, stock, limits);
	return loads.map((load) => chooseOne(load, stock, limits, aPan_l));
}

/** What a pan more is held to cost: the same for all dishes of a sitting, by all that is poured. */
function aPanFor(loads: readonly PanLoad[], stock: readonly PanType[], limits: PanLimits): number {
	return panInLitres(
		loads.reduce((sum, load) => sum + leastPoured(load, candidatesFor(load, stock, limits)), 0),
	);
}

/** Pans for one dish out of the kitchen's stock. */
export function choosePans(load: PanLoad, stock: readonly PanType[], limits: PanLimits): PanChoice {
	return asReallyFilled(chooseApart, [load], stock, limits)[0] as PanChoice;
}

function inOrder(
	order: readonly number[],
	loads: readonly PanLoad[],
	stock: readonly PanType[],
	limits: PanLimits,
	aPan_l: number,
	prices: Prices,
): PanChoice[] {
	const chosen: PanChoice[] = [];
	let left = stock;
	for (const dish of order) {
		const choice = chooseOne(loads[dish] as PanLoad, left, limits, aPan_l, prices);
		chosen[dish] = choice;
		left = left.map((type) => ({ ...type, stock: type.stock - usedOf(type, [choice]) }));
	}
	return chosen;
}

function usedOf({ id }: PanType, choices: readonly PanChoice[]): number {
	return choices.reduce((sum, { pans }) => sum + pans.filter(({ type }) => type.id === id).length, 0);
}

export function isWithin(stock: readonly PanType[], choices: readonly PanChoice[]): boolean {
	return stock.every((type) => usedOf(type, choices) <= type.stock);
}

function isBetter(choices: readonly PanChoice[], other: readonly PanChoice[]): boolean {
	const measures: ((choice: PanChoice) => number)[] = [
		({ unplaced }) => unplaced,
		({ pans }) => pans.filter(({ warnings }) => warnings.length > 0).length,
		({ rungs }) => rungs,
		({ liquid_l }) => liquid_l,
		({ pans }) => pans.length,
	];
	for (const measure of measures) {
		const difference = sumOf(choices, measure) - sumOf(other, measure);
		if (Math.abs(difference) > 1e-6) return difference < 0;
	}
	return false;
}

function sumOf(choices: readonly PanChoice[], measure: (choice: PanChoice) => number): number {
	return choices.reduce((sum, choice) => sum + measure(choice), 0);
}

function chooseOne(
	load: PanLoad,
	stock: readonly PanType[],
	limits: PanLimits,
	aPan_l: number,
	prices: Prices = FREE,
): PanChoice {
	const candidates = candidatesFor(load, stock, limits);
	const settled = candidates
		.filter(({ wished }) => wished !== undefined)
		.map((candidate) => ({ of: candidate, count: Math.min(candidate.wished ?? 0, candidate.type.stock) }));
	const open = candidates.filter(({ wished }) => wished === undefined);
	const left = Math.max(0, load.pieces - roomOf(settled));
	const space = (candidate: Candidate, count: number) =>
		(rungsOf(candidate, count) +
			count * ((prices.get(candidate.type.id) ?? 0) + candidate.drawback * DRAWBACK_RUNGS)) *
		RUNG;
	const weighed = (litres: (candidate: Candidate) => number) =>
		cheapest(
			open,
			left,
			(candidate, count) => space(candidate, count) + (aPan_l + litres(candidate)) * count,
		);
	const ways = [({ below_l }: Candidate) => below_l, ({ poured_l }: Candidate) => poured_l];
	// While dishes bid for pans, one way is close enough.
	const tried = (prices === FREE ? ways : ways.slice(0, 1)).map((litres) => {
		const counts = weighed(litres);
		const choice = filledChoice([...settled, ...counts], load, limits);
		const takes = sumBy(counts, ({ of: candidate, count }) => space(candidate, count) + aPan_l * count);
		return { choice, cost: takes + choice.liquid_l };
	});
	// What a pan takes that is not full is known only when it is filled.
	return (minBy(tried, ({ cost }) => cost) as (typeof tried)[number]).choice;
}

/** A rung outweighs all litres. */
const RUNG = 1e7;

function roomOf(counts: Counts): number {
	return counts.reduce((sum, { of: candidate, count }) => sum + candidate.capacity * count, 0);
}

/**
 * The cheapest counts that hold so many pieces, exactly: kind after kind, for every number of
 * pieces still to be held. When all pans together hold fewer, all are taken.
 */
function cheapest(
	candidates: readonly Candidate[],
	pieces: number,
	cost: (candidate: Candidate, count: number) => number,
): Counts {
	if (roomOf(candidates.map((candidate) => ({ of: candidate, count: candidate.type.stock }))) <= pieces) {
		return candidates.map((candidate) => ({ of: candidate, count: candidate.type.stock }));
	}
	let least = new Float64Array(pieces + 1).fill(Number.POSITIVE_INFINITY);
	least[0] = 0;
	const taken = candidates.map((candidate) => {
		const held = withKind(least, candidate, cost);
		least = held.cost;
		return held.counts;
	});
	let left = pieces;
	return [...candidates.entries()]
		.reverse()
		.map(([index, candidate]) => {
			const count = taken[index]?.[left] ?? 0;
			left = Math.max(0, left - count * candidate.capacity);
			return { of: candidate, count };
		})
		.reverse();
}

/** Least cost, and how many of one kind that takes, for every number of pieces still to be held. */
interface Held {
	readonly cost: Float64Array<ArrayBuffer>;
	readonly counts: Uint32Array<ArrayBuffer>;
}

/**
 * The least cost for every number of pieces once this kind may be used too. So many of a kind fill
 * whole levels and cost the same each time: those are taken in ones, twos, fours and so on, and what
 * is over a whole level is looked at for itself. That is as exact as looking at every count.
 */
function withKind(
	before: Float64Array<ArrayBuffer>,
	candidate: Candidate,
	cost: (candidate: Candidate, count: number) => number,
): Held {
	const { capacity, type } = candidate;
	const most = Math.min(type.stock, Math.ceil((before.length - 1) / capacity));
	const level = pansALevel(candidate);
	const levels = Math.floor(most / level);
	const none: Held = { cost: before, counts: new Uint32Array(before.length) };
	const price = (count: number) => cost(candidate, count);
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
