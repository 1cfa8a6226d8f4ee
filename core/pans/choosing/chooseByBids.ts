import { sumBy } from "es-toolkit";
import { seeded, shuffled } from "../../random/index.ts";
import { depthOf, type PanLimits, type PanType, volumeBelow } from "../shape/index.ts";
import { cheapestCounts, roomOf } from "./cheapestCounts.ts";
import { filledChoice, leastPoured, type PanChoice, panInLitres } from "./PanChoice.ts";
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
	const space = (candidate: Candidate) =>
		((prices.get(candidate.type.id) ?? 0) + candidate.drawback * DRAWBACK_RUNGS) * RUNG +
		aPan_l +
		insideOf(candidate.type) * INSIDE_COSTS;
	const weighed = (litres: (candidate: Candidate) => number) =>
		cheapestCounts(open, left, {
			level: ({ high }) => high * RUNG,
			each: (candidate) => space(candidate) + litres(candidate),
		});
	const ways = [({ below_l }: Candidate) => below_l, ({ poured_l }: Candidate) => poured_l];
	// While dishes bid for pans, one way is close enough.
	const tried = (prices === FREE ? ways : ways.slice(0, 1)).map((litres) => {
		const counts = weighed(litres);
		const choice = filledChoice([...settled, ...counts], load, limits);
		const takes = sumBy(
			counts,
			({ of: candidate, count }) => rungsOf(candidate, count) * RUNG + space(candidate) * count,
		);
		return { choice, cost: takes + choice.liquid_l };
	});
	// What a pan takes that is not full is known only when it is filled.
	const [byRoom, byPoured] = tried as [(typeof tried)[number], (typeof tried)[number]?];
	return byPoured && byPoured.cost < byRoom.cost - WORTH_L ? byPoured.choice : byRoom.choice;
}

/** Of two vessels that are poured the same, the smaller is taken: each litre inside is held to cost so many. */
const INSIDE_COSTS = 0.001;

function insideOf({ shape }: PanType): number {
	return volumeBelow(shape, depthOf(shape));
}

/** Litres that are worth another choice: less than a ladle can be poured. */
const WORTH_L = 0.01;

/** A rung outweighs all litres. */
const RUNG = 1e7;
