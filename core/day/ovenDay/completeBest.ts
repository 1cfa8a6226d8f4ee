import type { Board, Put, Way } from "./Board.ts";
import type { Cost } from "./cost.ts";
import type { LeastFrom } from "./lateBound.ts";
import { isTurnOf, type Sense } from "./Sense.ts";

/** The best way to add some batches to what stands in the ovens. */
export interface Completion {
	/** Null where nothing is better than what was to be beaten. */
	readonly puts: readonly Put[] | null;
	readonly cost: Cost;
	/** Nothing costs less. It is the cost itself when all was looked at. */
	readonly bound: Cost;
}

/** What some batches cost at least together, however the others stand. */
export type LeastOf = (batches: readonly number[]) => Cost;

interface Choice {
	readonly put: Put;
	readonly own: Cost;
	/** What it costs more than the batch has to. */
	more: number;
}

/**
 * Adds batches to a board, by branch and bound. Each plan is met once, in one order: by the starts
 * going forwards, by the ends going backwards. What is nearest is put in first, as near to it as it
 * has room at its temperature. The least cost is among these plans: move a batch that could stand
 * nearer to the end, all others where they are, until none can; the cost has not grown. Each then
 * stands as near as it can beside those before it in turn: nearer, it would meet one after it in turn
 * only where the two met already.
 *
 * @param batches what is to be added, by index
 * @param beat    only what costs less counts; finite
 * @param steps   questions to the board that may be spent
 * @param least   a further bound for what is still to be added
 * @param leastFrom one that knows the last start too
 */
export function completeBest(
	board: Board,
	sense: Sense,
	batches: readonly number[],
	beat: Cost,
	steps: number,
	least: LeastOf = () => 0,
	leastFrom: LeastFrom = () => 0,
): Completion {
	const ends = board.asked + steps;
	const together = memoised((left) => least(batches.filter((_, at) => left & (1 << at))));
	const met = new Map<string, Cost>();
	const puts: Put[] = [];
	let best: Put[] | null = null;
	let cost = beat;
	let open = Number.POSITIVE_INFINITY;

	const descend = (left: number, soFar: Cost, last: Put | null): void => {
		if (left === 0) {
			cost = soFar;
			best = [...puts];
			return;
		}
		const isLeft = (batch: number) => (left & (1 << batches.indexOf(batch))) !== 0;
		const floor = Math.max(together(left), leastFrom(isLeft, edgeOf(sense, last)));
		if (soFar + floor >= cost || isMet(left, soFar, last)) return;
		const { choices, toCome } = choicesFor(board, sense, batches.filter(isLeft), last, cost - soFar);
		if (soFar + toCome >= cost) return;
		if (board.asked >= ends) {
			open = Math.min(open, soFar + Math.max(toCome, floor));
			return;
		}
		for (const { put, own, more } of choices) {
			if (soFar + more + toCome < cost) follow(left, soFar + own, put);
		}
	};

	const follow = (left: number, soFar: Cost, put: Put): void => {
		puts.push(put);
		const takeOut = board.put(put);
		descend(left & ~(1 << batches.indexOf(put.way.batch)), soFar, put);
		takeOut();
		puts.pop();
	};

	/** Whether the same batches were left before, beside ovens that looked the same, for no more. */
	const isMet = (left: number, soFar: Cost, last: Put | null): boolean => {
		if (!last || batches.length <= FEW_TO_MEET || puts.length < 2) return false;
		const seen = `${left} ${last.way.batch} ${board.seenFrom(sense.edge(last), sense.ahead)}`;
		const before = met.get(seen);
		if (before !== undefined && before <= soFar) return true;
		if (met.size < MOST_MET) met.set(seen, soFar);
		return false;
	};
	if (batches.length > 0 || beat > 0) descend(2 ** batches.length - 1, 0, null);
	return { puts: best, cost, bound: Math.min(open, cost) };
}

/** With no more than this it is quicker to work a state out again than to know it. */
const FEW_TO_MEET = 5;
/** More states than this are not remembered. */
const MOST_MET = 200_000;

function memoised(least: (left: number) => Cost): (left: number) => Cost {
	const known = new Map<number, Cost>();
	return (left) => {
		const found = known.get(left);
		if (found !== undefined) return found;
		const made = least(left);
		known.set(left, made);
		return made;
	};
}

/** The minute of the last one in turn; the beginning of the day where there is none. */
function edgeOf({ edge }: Sense, last: Put | null): number {
	return last ? edge(last) : 0;
}

function nearer({ isFurther, edge }: Sense, one: Put, other: Put): number {
	if (edge(one) === edge(other)) return 0;
	return isFurther(edge(one), edge(other)) ? 1 : -1;
}

/** All that may be the next, what costs least more than it has to first; and what those left cost at least, each for itself. */
function choicesFor(
	board: Board,
	sense: Sense,
	left: readonly number[],
	last: Put | null,
	slack: Cost,
): { choices: readonly Choice[]; toCome: Cost } {
	const choices: Choice[] = [];
	let toCome = 0;
	for (const batch of left) {
		const first = choices.length;
		const least = choicesOf(board, sense, batch, last, slack, choices);
		for (let at = first; at < choices.length; at += 1) {
			const choice = choices[at] as Choice;
			choice.more = choice.own - least;
		}
		toCome += least;
		if (toCome >= slack) return { choices: [], toCome };
	}
	choices.sort((a, b) => a.more - b.more || nearer(sense, a.put, b.put));
	return { choices, toCome };
}

/** Adds the ways in which a batch may be the next. @returns what it costs at least, next or not */
function choicesOf(
	board: Board,
	sense: Sense,
	index: number,
	last: Put | null,
	slack: Cost,
	into: Choice[],
): Cost {
	let least = Number.POSITIVE_INFINITY;
	for (const way of board.ways[index] ?? []) {
		const wanted = sense.wanted(index, way.minutes);
		for (const oven of board.ovensFor(way)) {
			const start = inTurn(board, sense, way, oven, wanted, last);
			if (!Number.isNaN(start)) {
				least = Math.min(least, sense.cost(way, start));
				nearest(board, sense, way, oven, way.low, way.high, wanted, last, into);
			}
			least = Math.min(least, beyond(board, sense, way, oven, last, slack, into));
		}
	}
	return least;
}

/** The start nearest to the end that a batch has after the last one in turn; NaN when there is none. */
function inTurn(
	board: Board,
	sense: Sense,
	way: Way,
	oven: number,
	wanted: number,
	last: Put | null,
): number {
	const start = sense.nearest(board, way, oven, way.low, way.high, wanted);
	if (last === null || Number.isNaN(start)) return start;
	const turn = sense.startAt(sense.edge(last), way.minutes);
	return sense.isFurther(turn, start) ? sense.nearest(board, way, oven, way.low, way.high, turn) : start;
}

/**
 * The start nearest to the end, and at the temperatures that it shuts out, theirs. One with room
 * nearer than the last that was put in should have been put in before it.
 */
function nearest(
	board: Board,
	sense: Sense,
	way: Way,
	oven: number,
	low: number,
	high: number,
	wanted: number,
	last: Put | null,
	into: Choice[],
): void {
	if (low > high) return;
	const start = sense.nearest(board, way, oven, low, high, wanted);
	if (Number.isNaN(start)) return;
	const put = board.fitted(way, oven, low, high, start);
	if (isTurnOf(sense, put, last)) into.push({ put, own: sense.cost(way, start), more: 0 });
	nearest(board, sense, way, oven, low, put.low - 1, wanted, last, into);
	nearest(board, sense, way, oven, put.high + 1, high, wanted, last, into);
}

/** Starts beyond the wanted one. @returns the least cost of those that are not shut out for good */
function beyond(
	board: Board,
	sense: Sense,
	way: Way,
	oven: number,
	last: Put | null,
	slack: Cost,
	into: Choice[],
): Cost {
	let least = Number.POSITIVE_INFINITY;
	const { first, most } = sense.beyond(way.batch, way.minutes, slack);
	const till = last ? Math.min(most, sense.startAt(sense.edge(last), way.minutes)) : most;
	for (let start = first; start <= till; start += board.step_min) {
		if (!board.hasRoom(way, oven, start)) continue;
		const cost = sense.cost(way, start);
		least = Math.min(least, cost);
		const put = board.fitted(way, oven, way.low, way.high, start);
		if (isTurnOf(sense, put, last)) into.push({ put, own: cost, more: 0 });
	}
	return least;
}
