import { type Random, shuffled } from "../../random/index.ts";
import type { Board, Put } from "./Board.ts";
import { completeBest } from "./completeBest.ts";
import type { Standing } from "./insertAll.ts";
import type { Sense } from "./Sense.ts";

/** What mending some at once may cost, in questions to the board. */
const MENDING_STEPS = 12_000;
/** So often in turn nothing gets better before it is left as it is. */
const PATIENCE = 30;
/** So far from each other all batches count as near, minutes. */
const NEAR_MIN = 30;

/**
 * Takes a few batches out at a time and puts them back at their best, until that helps no more.
 *
 * @param atOnce how many
 * @param ends   the count of questions at which to stop
 */
export function mend(
	board: Board,
	sense: Sense,
	from: Standing,
	random: Random,
	atOnce: number,
	ends: number,
): Standing {
	let now = from;
	for (let idle = 0; idle < PATIENCE && now.cost > 0 && board.asked < ends; idle += 1) {
		const out = takenOut(sense, now, random, atOnce);
		const stay = now.puts.filter(({ way }) => !out.has(way.batch));
		const undo = stay.map((put) => putAgain(board, put));
		const kept = stay.reduce((sum, { way, start_min }) => sum + sense.cost(way, start_min), 0);
		const steps = Math.min(MENDING_STEPS, ends - board.asked);
		const { puts, cost } = completeBest(board, sense, [...out], now.cost - kept, steps);
		for (const takeOut of undo.reverse()) takeOut();
		if (!puts) continue;
		now = { puts: [...stay, ...puts], cost: kept + cost };
		idle = -1;
	}
	return now;
}

/** Puts a batch back where it was, with all temperatures open again that its way allows. */
export function putAgain(board: Board, { way, oven, start_min }: Put): () => void {
	return board.put(board.fitted(way, oven, way.low, way.high, start_min));
}

/** One that costs something, mostly, and others that stand near it in time. */
function takenOut(sense: Sense, { puts }: Standing, random: Random, atOnce: number): ReadonlySet<number> {
	const costly = puts.filter(({ way, start_min }) => sense.cost(way, start_min) > 0);
	const among = costly.length > 0 && random() < 0.8 ? costly : puts;
	const first = among[Math.floor(random() * among.length)] as Put;
	const near = shuffled([...puts], random)
		.filter((put) => put !== first)
		.map((put) => ({ put, far: (gap(first, put) + NEAR_MIN) * (0.5 + random()) }))
		.sort((a, b) => a.far - b.far)
		.slice(0, atOnce - 1);
	return new Set([first, ...near.map(({ put }) => put)].map(({ way }) => way.batch));
}

/** Minutes between two stretches; none where they overlap. */
function gap(one: Put, other: Put): number {
	return Math.max(
		0,
		other.start_min - one.start_min - one.way.minutes,
		one.start_min - other.start_min - other.way.minutes,
	);
}
