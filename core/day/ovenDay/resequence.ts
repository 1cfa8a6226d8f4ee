import { type Random, shuffled } from "../../random/index.ts";
import type { Board, Put, Way } from "./Board.ts";
import { type Cost, lateOf } from "./cost.ts";
import type { Standing } from "./insertAll.ts";
import type { Sense } from "./Sense.ts";

/** In what order batches go in, and which are held to one way, oven and temperature. */
interface Sequence {
	readonly order: readonly number[];
	readonly held: ReadonlyMap<number, Held>;
}

interface Held {
	readonly way: Way;
	readonly oven: number;
	/** Counted along the day's temperatures; any that its way allows where it is null. */
	readonly at: number | null;
}

/** A sequence put in, with what tells two of the same cost apart: the sum of the ends, minutes. */
interface Played extends Standing {
	readonly sequence: Sequence;
	readonly ends_min: number;
}

/** The first of the search takes what is worse by so many minutes of lateness, in the mean. */
const WARM_MIN = 40;
const COLD_MIN = 0.5;
/** So many plans are kept that cost the same. */
const MOST_ALIKE = 12;

/**
 * Batches from the start of the day on, each as early as it has room in turn, and the turns changed
 * little by little: what is moved forward draws all behind it along. Worse is taken too, less and
 * less so as the work runs out.
 *
 * @param from whose order of starts is begun with
 * @param ends the count of questions to the board at which to stop
 * @returns the best, and others that cost the same with the cost shared out otherwise
 */
export function resequence(
	board: Board,
	sense: Sense,
	from: Standing,
	random: Random,
	ends: number,
): readonly Standing[] {
	const begins = board.asked;
	const order = [...from.puts].sort((a, b) => a.start_min - b.start_min).map(({ way }) => way.batch);
	let now = play(board, sense, { order, held: new Map() });
	let best: Standing = now.cost <= from.cost ? now : from;
	const alike = new Map<string, Standing>();
	while (best.cost > 0 && board.asked < ends && order.length > 1) {
		const share = (board.asked - begins) / (ends - begins);
		const warmth = WARM_MIN * (COLD_MIN / WARM_MIN) ** share;
		const next = play(board, sense, changed(board, now.sequence, random));
		if (isTaken(now, next, warmth, random)) now = next;
		if (now.cost > best.cost) continue;
		if (now.cost < best.cost) alike.clear();
		best = now;
		if (alike.size < MOST_ALIKE) alike.set(sharesOf(sense, now), now);
	}
	return alike.size > 0 ? [...alike.values()] : [best];
}

/** What is better, or as good and not over much later; what is worse sometimes, the more so while it is warm. */
function isTaken(now: Played, next: Played, warmth: number, random: Random): boolean {
	const worse = lateOf(next.cost) - lateOf(now.cost);
	if (worse < 0 || (worse === 0 && next.ends_min <= now.ends_min + warmth)) return true;
	return random() < Math.exp(-Math.max(worse, 1) / warmth);
}

/** How the cost is shared out, as a text. */
function sharesOf(sense: Sense, { puts }: Standing): string {
	return puts
		.map(({ way, start_min }) => `${way.batch}:${sense.cost(way, start_min)}`)
		.sort()
		.join(" ");
}

function play(board: Board, sense: Sense, sequence: Sequence): Played {
	const puts: Put[] = [];
	const undo: (() => void)[] = [];
	let cost = 0;
	let ends_min = 0;
	for (const batch of sequence.order) {
		const found = soonest(board, sense, batch, sequence.held.get(batch));
		puts.push(found.put);
		undo.push(board.put(found.put));
		cost += found.cost;
		ends_min += found.put.start_min + found.put.way.minutes;
	}
	for (const takeOut of undo.reverse()) takeOut();
	return { sequence, puts, cost, ends_min };
}

/** Where a batch costs least beside those before it; of two alike, where it is out first. */
function soonest(board: Board, sense: Sense, batch: number, held: Held | undefined): Tried {
	let best: Tried | undefined;
	for (const one of held ? [held] : everyPlace(board, batch)) {
		const tried = triedIn(board, sense, one);
		if (tried && (!best || isSooner(tried, best))) best = tried;
	}
	if (!best) throw new Error(`no oven takes batch ${batch}`);
	return best;
}

function everyPlace(board: Board, batch: number): Held[] {
	return (board.ways[batch] ?? []).flatMap((way) =>
		board.ovensFor(way).map((oven) => ({ way, oven, at: null })),
	);
}

function isSooner(one: Tried, other: Tried): boolean {
	return one.cost < other.cost || (one.cost === other.cost && one.end < other.end);
}

interface Tried {
	readonly put: Put;
	readonly cost: Cost;
	readonly end: number;
}

function triedIn(board: Board, sense: Sense, { way, oven, at }: Held): Tried | undefined {
	const [low, high] = [at ?? way.low, at ?? way.high];
	const start = sense.nearest(board, way, oven, low, high, sense.wanted(way.batch, way.minutes));
	if (Number.isNaN(start)) return undefined;
	return {
		put: board.fitted(way, oven, low, high, start),
		cost: sense.cost(way, start),
		end: start + way.minutes,
	};
}

function changed(board: Board, { order, held }: Sequence, random: Random): Sequence {
	const any = () => Math.floor(random() * order.length);
	const kind = random();
	if (kind < 0.25) return { order, held: heldAnew(board, held, order[any()] as number, random) };
	const next = [...order];
	const [one, other] = [any(), any()];
	if (kind < 0.6) {
		[next[one], next[other]] = [next[other] as number, next[one] as number];
	} else {
		const [moved] = next.splice(one, 1);
		next.splice(other, 0, moved as number);
	}
	return { order: next, held };
}

/** One batch held to some way, oven and temperature, or let go. */
function heldAnew(board: Board, held: Sequence["held"], batch: number, random: Random): Sequence["held"] {
	const anew = new Map(held);
	if (anew.delete(batch) && random() < 0.5) return anew;
	const [choice] = shuffled(everyPlace(board, batch), random);
	if (!choice) return anew;
	const { low, high } = board.reach(choice.way, choice.oven);
	const at = random() < 0.5 ? null : low + Math.floor(random() * (high - low + 1));
	anew.set(batch, { ...choice, at });
	return anew;
}
