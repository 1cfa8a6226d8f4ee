import { type Random, seeded } from "../../random/index.ts";
import { areaOf, type Floor, footprint, type Piece } from "../shape/index.ts";
import { HAIR_MM, type Placed } from "./layer.ts";
import { bySize } from "./mixed/bySize.ts";
import type { Cell, Laid } from "./mixed/Cell.ts";
import { firstFit, fitsAlone } from "./mixed/firstFit.ts";
import { roomOf } from "./mixed/room.ts";

/** A piece of the delivery where it lies. */
export interface PlacedPiece extends Placed {
	/** Its number in the delivery, from 0. */
	readonly piece: number;
}

export interface MixedPacking {
	readonly pans: readonly (readonly PlacedPiece[])[];
	/** Pieces that lie in this pan no way round. */
	readonly without: readonly number[];
	/** Fewest pans that the area of the pieces with their gaps could ever do with. */
	readonly bound: number;
	/** Rounds of improvement that were made. */
	readonly rounds: number;
}

export interface MixedWay {
	readonly gap_mm: number;
	readonly seed: number;
	/** Orders tried after the first; fewer are made once the bound is met. */
	readonly rounds: number;
	/** Called after every round with the best so far; for progress. */
	readonly onRound?: (round: number, best: MixedPacking) => void;
}

/**
 * Pieces of different sizes in one layer, in as few pans of one kind as can be found.
 *
 * Two ways to begin: like with like, each pan laid out for the largest piece in it; and largest
 * first, each where it touches most of its neighbours and the wall, in the first pan that takes
 * it. Then other orders near that one are tried and the best is kept. The same input gives the
 * same answer. Rounds are given the square they stand on.
 *
 * @returns pieces from the middle of each pan, each pan's gap kept as in `packLayer`
 */
export function packMixed(floor: Floor, pieces: readonly Piece[], way: MixedWay): MixedPacking {
	const room = roomOf(floor, way.gap_mm);
	const cells = pieces.map((piece, index) => cellOf(piece, index, way.gap_mm));
	const fitting = cells.filter((cell) => fitsAlone(room, cell));
	const without = cells.filter((cell) => !fitting.includes(cell)).map(({ piece }) => piece);
	const bound = Math.ceil(
		fitting.reduce((sum, { length, width }) => sum + length * width, 0) / areaOf(floor) - HAIR_MM,
	);
	const found = (pans: readonly Laid[][], rounds: number): MixedPacking => ({
		pans: pans.map((pan) => pan.map((laid) => asPlaced(laid, way.gap_mm))),
		without,
		bound,
		rounds,
	});
	const sorted = [...fitting].sort((a, b) => b.length * b.width - a.length * a.width || a.piece - b.piece);
	const random = seeded(way.seed);
	let order = sorted;
	let best = [bySize(floor, sorted, way.gap_mm), firstFit(room, order)].reduce((first, second) =>
		isNoWorse(first, second) ? first : second,
	);
	let rounds = 0;
	while (rounds < way.rounds && best.length > bound) {
		const tried = nudged(order, random);
		const packed = firstFit(room, tried);
		rounds += 1;
		if (isNoWorse(packed, best)) {
			best = packed;
			order = tried;
		}
		way.onRound?.(rounds, found(best, rounds));
	}
	return found(best, rounds);
}

function cellOf(piece: Piece, index: number, gap_mm: number): Cell {
	const { length_mm, width_mm } = footprint(piece);
	return { piece: index, length: length_mm + gap_mm, width: width_mm + gap_mm };
}

/** Fewer pans; or as many, with less left in the emptiest, so that it may empty altogether. */
function isNoWorse(tried: readonly Laid[][], best: readonly Laid[][]): boolean {
	if (tried.length !== best.length) return tried.length < best.length;
	return emptiest(tried) <= emptiest(best);
}

function emptiest(pans: readonly Laid[][]): number {
	return Math.min(...pans.map((pan) => pan.reduce((sum, { cell }) => sum + cell.length * cell.width, 0)));
}

/** A few pieces moved to other places in the order. */
function nudged(order: readonly Cell[], random: Random): Cell[] {
	const next = [...order];
	const moves = 1 + Math.floor(random() * 4);
	for (let move = 0; move < moves; move += 1) {
		const [taken] = next.splice(Math.floor(random() * next.length), 1);
		if (taken) next.splice(Math.floor(random() * (next.length + 1)), 0, taken);
	}
	return next;
}

function asPlaced({ cell, left, low, right, high }: Laid, gap_mm: number): PlacedPiece {
	return {
		piece: cell.piece,
		x_mm: (left + right) / 2,
		y_mm: (low + high) / 2,
		length_mm: right - left - gap_mm,
		width_mm: high - low - gap_mm,
	};
}
