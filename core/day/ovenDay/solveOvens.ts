import { type Random, seeded, shuffled } from "../../random/index.ts";
import { Board, type Put } from "./Board.ts";
import { boundsOf } from "./boundsOf.ts";
import { completeBest } from "./completeBest.ts";
import { type Cost, costOf, lateOf, waitOf } from "./cost.ts";
import { insertAll, type Standing } from "./insertAll.ts";
import { lateBound } from "./lateBound.ts";
import { mend, putAgain } from "./mend.ts";
import type { DayOven, OvenBatch, OvenDay, OvenPlan } from "./OvenDay.ts";
import { resequence } from "./resequence.ts";
import { backwards, backwardsBy, forwards, type Sense } from "./Sense.ts";

export interface SolverSettings {
	readonly seed: number;
	/** How often it may be asked whether a batch has room: the measure of its work. */
	readonly steps: number;
	/** Told the best plan so far whenever it gets better; true stops the search. */
	readonly onBetter?: (cost: { readonly late_min: number; readonly wait_shelf_min: number }) => boolean;
}

/** A second or so of a usual machine. */
export const USUAL_SETTINGS: SolverSettings = { seed: 1, steps: 1_600_000 };

/** Orders that are tried from nothing before any is mended. */
const FIRST_ORDERS = 40;
const FIRST_SHARE = 0.05;
/** Batches that are taken out and put back at once; fewer where each may be late by many steps. */
const AT_ONCE = 5;
const LATE_AT_ONCE = 3;
/** The share of the work that goes into proof, where there are few enough to hope for one. */
const PROOF_SHARE = 0.5;
const LATE_END_SHARE = 0.1;
const LATE_PROOF_SHARE = 0.3;
const RESEQUENCE_SHARE = 0.25;
const FEW_TO_PROVE = 14;

/**
 * Batches into ovens: first as little lateness as can be, then as little waiting on shelves. Greedy
 * orders, then some batches at a time taken out and put back at their best, then all at once by
 * branch and bound, which proves the answer on days that are small enough. The same for the same
 * seed and steps.
 *
 * @throws {Error} when no oven takes a batch; `checkedDay` refuses it before
 * @see model, section I
 */
export function solveOvens(day: OvenDay, settings: SolverSettings = USUAL_SETTINGS): OvenPlan {
	const board = new Board(day);
	const all = day.batches.map((_, index) => index);
	const least = boundsOf(day);
	const floor = least(all);
	const few = all.length <= FEW_TO_PROVE;
	const search = new Search(day, board, floor, settings);
	const best = search.run(few);
	if (!few || search.stopped || best.cost <= floor) return planOf(day, best, Math.min(floor, best.cost));
	const proof = completeBest(board, backwards(day), all, best.cost, settings.steps - board.asked, least);
	const better = proof.puts ? { puts: proof.puts, cost: proof.cost } : best;
	return planOf(day, better, Math.max(floor, proof.bound));
}

/** The search for a plan: from one end of the day and from the other. */
class Search {
	stopped = false;
	readonly #day: OvenDay;
	readonly #board: Board;
	readonly #floor: Cost;
	readonly #settings: SolverSettings;
	readonly #random: Random;
	#best: Standing;
	/** No plan is less late, minutes. */
	#leastLate = 0;
	#proofs = 0;

	constructor(day: OvenDay, board: Board, floor: Cost, settings: SolverSettings) {
		this.#day = day;
		this.#board = board;
		this.#floor = floor;
		this.#settings = settings;
		this.#random = seeded(settings.seed);
		this.#best = this.#first();
	}

	/** @param isProven whether work is to be left for the proof, which is out of reach where it must be late */
	run(isProven: boolean): Standing {
		this.#tell();
		while (!this.#isOver(this.#stepsOf(isProven))) {
			const steps = this.#stepsOf(isProven);
			const late = lateOf(this.#best.cost) > lateOf(this.#floor);
			const sense = backwards(this.#day);
			if (late) this.#lessLate(steps);
			else this.#take(this.#mended(sense, this.#first(), AT_ONCE, steps));
			this.#take(this.#mended(sense, this.#best, late ? LATE_AT_ONCE : AT_ONCE, steps));
		}
		return this.#best;
	}

	#stepsOf(isProven: boolean): number {
		const late = lateOf(this.#best.cost) > lateOf(this.#floor);
		return isProven
			? this.#settings.steps * (1 - (late ? LATE_END_SHARE : PROOF_SHARE))
			: this.#settings.steps;
	}

	/** Whether there may be a plan that is less late. */
	#isLater(): boolean {
		return lateOf(this.#best.cost) > Math.max(lateOf(this.#floor), this.#leastLate);
	}

	/** As little lateness as can be, from the start of the day on; then as little waiting as that allows. */
	#lessLate(steps: number): void {
		const sense = forwards(this.#day);
		const left = steps - this.#board.asked;
		const from = this.#priced(sense, this.#first().puts);
		const ends = this.#board.asked + left * RESEQUENCE_SHARE;
		const alike = resequence(this.#board, sense, from, this.#random, ends);
		for (const least of alike) this.#waitLess(this.#mended(sense, least, AT_ONCE, ends).puts, steps);
		if (!this.#isLater() || this.#proofs > 0 || this.#day.batches.length > FEW_TO_PROVE) return;
		this.#proofs += 1;
		const { puts, bound } = completeBest(
			this.#board,
			sense,
			this.#day.batches.map((_, index) => index),
			costOf(lateOf(this.#best.cost), 0),
			(steps - this.#board.asked) * LATE_PROOF_SHARE,
			undefined,
			lateBound(this.#day),
		);
		this.#leastLate = lateOf(bound);
		if (puts) this.#waitLess(puts, steps);
	}

	/** As little waiting as can be with the lateness that a plan has. */
	#waitLess(puts: readonly Put[], steps: number): void {
		const { batches } = this.#day;
		const out = new Map(puts.map(({ way, start_min }) => [way.batch, start_min + way.minutes]));
		const outBy = batches.map(({ readyBy_min }, index) => Math.max(readyBy_min, out.get(index) ?? 0));
		const late = outBy.reduce((sum, out_min, index) => sum + out_min - (batches[index]?.readyBy_min ?? 0), 0);
		if (late > lateOf(this.#best.cost)) return;
		const sense = backwardsBy(this.#day, outBy);
		const pushed = this.#priced(sense, this.#pushed(sense, puts));
		const mended = this.#mended(sense, pushed, AT_ONCE, steps);
		this.#take(this.#priced(backwards(this.#day), mended.puts));
	}

	/** Each as late as it can be at the temperature it has, the last to be out first. */
	#pushed(sense: Sense, puts: readonly Put[]): Put[] {
		const stood = puts.map((put) => putAgain(this.#board, put));
		const settled = this.#board.settled();
		for (const takeOut of stood.reverse()) takeOut();
		const undo: (() => void)[] = [];
		const pushed = [...puts]
			.sort((a, b) => sense.edge(b) - sense.edge(a))
			.map(({ way, oven }) => {
				const at = settled.get(way.batch) as number;
				const wanted = sense.wanted(way.batch, way.minutes);
				const start_min = sense.nearest(this.#board, way, oven, at, at, wanted);
				const put = { way, oven, low: at, high: at, start_min };
				undo.push(this.#board.put(put));
				return put;
			});
		for (const takeOut of undo.reverse()) takeOut();
		return pushed;
	}

	#priced(sense: Sense, puts: readonly Put[]): Standing {
		return { puts, cost: puts.reduce((sum, { way, start_min }) => sum + sense.cost(way, start_min), 0) };
	}

	/** The best of some greedy orders: the usual ones, and chance. */
	#first(): Standing {
		const all = this.#day.batches.map((_, index) => index);
		const byDue = [...all].sort((a, b) => dueOf(this.#day, b) - dueOf(this.#day, a));
		let best = insertAll(this.#day, this.#board, byDue);
		const ends = this.#board.asked + this.#settings.steps * FIRST_SHARE;
		for (let tried = 1; tried < FIRST_ORDERS && this.#board.asked < ends; tried += 1) {
			const made = insertAll(this.#day, this.#board, shuffled(all, this.#random));
			if (made.cost < best.cost) best = made;
		}
		return best;
	}

	#mended(sense: Sense, from: Standing, atOnce: number, steps: number): Standing {
		return mend(this.#board, sense, from, this.#random, atOnce, steps);
	}

	#take(made: Standing): void {
		if (made.cost >= this.#best.cost) return;
		this.#best = made;
		this.#tell();
	}

	#tell(): void {
		const { cost } = this.#best;
		const { onBetter } = this.#settings;
		if (onBetter?.({ late_min: lateOf(cost), wait_shelf_min: waitOf(cost) })) this.stopped = true;
	}

	#isOver(steps: number): boolean {
		return this.stopped || this.#best.cost <= this.#floor || this.#board.asked >= steps;
	}
}

const dueOf = ({ batches }: OvenDay, index: number): number => batches[index]?.readyBy_min ?? 0;

function planOf(day: OvenDay, { puts, cost }: Standing, bound: Cost): OvenPlan {
	const board = new Board(day);
	for (const put of puts) putAgain(board, put);
	const set_C = board.temperatures();
	const late_min = lateOf(cost);
	return {
		assignments: [...puts]
			.sort((a, b) => a.way.batch - b.way.batch)
			.map(({ way, oven, start_min }) => ({
				id: (day.batches[way.batch] as OvenBatch).id,
				oven: (day.ovens[oven] as DayOven).id,
				start_min,
				minutes: way.minutes,
				shelves: way.shelves,
				set_C: set_C.get(way.batch) as number,
			})),
		late_min,
		wait_shelf_min: waitOf(cost),
		bound_wait_shelf_min: lateOf(bound) === late_min ? waitOf(bound) : 0,
		proven: bound >= cost,
	};
}
