import { type Bed, type FilledPan, fillPan, type PanLimits } from "./fillPan.ts";
import { GASTRONORM } from "./gastronorm.ts";
import type { LiquidLine } from "./liquidLine.ts";
import { depthOf, insideAt, type PanShape, rimOf } from "./PanShape.ts";
import { type Piece, pieceHeight } from "./Piece.ts";
import { packLayer } from "./packLayer.ts";
import { spreadEvenly } from "./spreadEvenly.ts";

/** A kind of pan on the kitchen's shelf. */
export interface PanType {
	readonly id: string;
	readonly name: string;
	readonly shape: PanShape;
	readonly stock: number;
}

/** What has to go into pans. */
export interface PanLoad {
	readonly piece: Piece;
	readonly pieces: number;
	readonly gap_mm: number;
	readonly line: LiquidLine;
	/** Vegetables under all the pieces together. */
	readonly bed: Bed;
}

export interface ChosenPan extends FilledPan {
	readonly type: PanType;
	readonly capacity: number;
}

export interface PanChoice {
	/** Fullest first. */
	readonly pans: readonly ChosenPan[];
	/** Pieces for which the stock has no pan. */
	readonly unplaced: number;
	/** Oven floor taken, in gastronorm 1/1 rungs. */
	readonly rungs: number;
	readonly liquid_l: number;
}

/** Height of one rung in an oven, mm, and the free space over a pan: the usual catering pitch. */
export const RUNG_MM = 65;
export const OVER_PAN_MM = 10;

/** Share of a gastronorm 1/1 shelf that a pan takes. */
export function shelfShare(shape: PanShape): number {
	if ("gn" in shape) return GASTRONORM[shape.gn].shareOfOne;
	const rim = rimOf(shape);
	const one = GASTRONORM["1/1"];
	const turned = Math.min(
		Math.max(rim.length_mm / one.length_mm, rim.width_mm / one.width_mm),
		Math.max(rim.length_mm / one.width_mm, rim.width_mm / one.length_mm),
	);
	return turned <= 1 ? 1 : 2;
}

/** Rungs that a pan of this depth takes up. */
export function rungsHigh(shape: PanShape, pitch_mm = RUNG_MM): number {
	return Math.max(1, Math.ceil((depthOf(shape) + OVER_PAN_MM) / pitch_mm));
}

interface Candidate {
	readonly type: PanType;
	readonly capacity: number;
	readonly rungs: number;
	/** Whether a full one keeps its headspace, can be carried, and closes. */
	readonly sound: boolean;
}

/**
 * Pans for one dish out of the kitchen's stock: those that keep their headspace and
 * that one person may carry first, then the fewest oven rungs, then the least liquid, then the fewest pans.
 *
 * One kind is tried alone, and with each other kind for what it does not hold or for
 * a half-empty last pan. What the stock does not hold is reported, never squeezed in.
 *
 * @see model, section C
 */
export function choosePans(load: PanLoad, stock: readonly PanType[], limits: PanLimits): PanChoice {
	const candidates = stock
		.filter((type) => type.stock > 0)
		.map((type) => candidate(type, load, limits))
		.filter(({ capacity }) => capacity > 0);
	const sound = candidates.filter((one) => one.sound);
	const usable = sound.length > 0 ? sound : candidates;
	const filled = filling(load, limits);
	const best = bestOf(mixes(usable, load.pieces).map((mix) => fillMix(mix, load, filled)));
	return best ?? { pans: [], unplaced: load.pieces, rungs: 0, liquid_l: 0 };
}

/** Pieces that one pan takes in one layer. */
export function piecesPerPan(shape: PanShape, piece: Piece, gap_mm: number): number {
	return packLayer(insideAt(shape, 0), piece, gap_mm).length;
}

function candidate(type: PanType, load: PanLoad, limits: PanLimits): Candidate {
	const capacity = piecesPerPan(type.shape, load.piece, load.gap_mm);
	const full = fillPan(type.shape, load.piece, capacity, load.line, bedOf(load, capacity), limits);
	return {
		type,
		capacity,
		rungs: shelfShare(type.shape) * rungsHigh(type.shape),
		sound:
			!full.warnings.includes("overfull") &&
			!full.warnings.includes("heavy") &&
			full.bed_mm + pieceHeight(load.piece) <= depthOf(type.shape),
	};
}

/** The bed under some of the pieces. */
function bedOf(load: PanLoad, pieces: number): Bed {
	const share = pieces / load.pieces;
	return { volume_l: load.bed.volume_l * share, weight_kg: load.bed.weight_kg * share };
}

type Mix = readonly { readonly of: Candidate; readonly count: number }[];

/** One kind alone; one kind with another for the rest; all kinds, largest first, when nothing else holds it. */
function mixes(candidates: readonly Candidate[], pieces: number): Mix[] {
	const found: Mix[] = [];
	for (const first of candidates) {
		const needed = Math.ceil(pieces / first.capacity);
		for (const count of new Set([
			Math.min(needed, first.type.stock),
			Math.min(needed - 1, first.type.stock),
		])) {
			const left = pieces - count * first.capacity;
			if (left <= 0) {
				found.push([{ of: first, count }]);
				continue;
			}
			for (const second of candidates) {
				if (second === first) continue;
				const more = Math.min(Math.ceil(left / second.capacity), second.type.stock);
				found.push([
					{ of: first, count },
					{ of: second, count: more },
				]);
			}
		}
	}
	found.push(everything(candidates, pieces));
	return found;
}

function everything(candidates: readonly Candidate[], pieces: number): Mix {
	let left = pieces;
	const mix: { of: Candidate; count: number }[] = [];
	for (const of of [...candidates].sort((a, b) => b.capacity - a.capacity)) {
		const count = Math.min(Math.ceil(left / of.capacity), of.type.stock);
		if (count <= 0) continue;
		mix.push({ of, count });
		left -= count * of.capacity;
		if (left <= 0) break;
	}
	return mix;
}

/** One pan of a kind with so many pieces; worked out once, since a choice tries few different ones often. */
type Filling = (of: Candidate, pieces: number) => ChosenPan;

function filling(load: PanLoad, limits: PanLimits): Filling {
	const known = new Map<Candidate, Map<number, ChosenPan>>();
	return (of, pieces) => {
		const ofKind = known.get(of) ?? new Map<number, ChosenPan>();
		known.set(of, ofKind);
		const found = ofKind.get(pieces);
		if (found) return found;
		const { type, capacity } = of;
		const pan = fillPan(type.shape, load.piece, pieces, load.line, bedOf(load, pieces), limits);
		const chosen = { ...pan, type, capacity };
		ofKind.set(pieces, chosen);
		return chosen;
	};
}

function fillMix(mix: Mix, load: PanLoad, filled: Filling): PanChoice {
	const room = mix.reduce((sum, { of, count }) => sum + of.capacity * count, 0);
	const placed = Math.min(load.pieces, room);
	const pans = shareOut(mix, placed, room)
		.flatMap(({ of, pieces }) => pieces.map((held) => filled(of, held)))
		.filter((pan) => pan.pieces > 0);
	return {
		pans,
		unplaced: load.pieces - placed,
		rungs: mix.reduce((sum, { of, count }) => sum + of.rungs * count, 0),
		liquid_l: pans.reduce((sum, pan) => sum + pan.liquid_l, 0),
	};
}

/** Each kind filled to the same degree, its pieces spread over its pans to within one. */
function shareOut(mix: Mix, placed: number, room: number): { of: Candidate; pieces: number[] }[] {
	let left = placed;
	let roomLeft = room;
	return mix
		.filter(({ count }) => count > 0)
		.map(({ of, count }) => {
			const holds = of.capacity * count;
			const pieces = Math.min(holds, Math.round((left * holds) / roomLeft));
			left -= pieces;
			roomLeft -= holds;
			return { of, pieces: spreadEvenly(pieces, count) };
		});
}

/** Less liquid than this share is not worth washing another pan for. */
const LIQUID_WORTH_A_PAN = 0.1;

/** Fewest left over, then fewest rungs, then least liquid unless it costs more pans for little. */
function bestOf(choices: readonly PanChoice[]): PanChoice | undefined {
	const placed = least(choices, (choice) => choice.unplaced);
	const flat = least(placed, (choice) => choice.rungs);
	const driest = Math.min(...flat.map((choice) => choice.liquid_l));
	const dry = flat.filter((choice) => choice.liquid_l <= driest * (1 + LIQUID_WORTH_A_PAN));
	return least(
		least(dry, (choice) => choice.pans.length),
		(choice) => choice.liquid_l,
	)[0];
}

/** Those of the choices that have least of something. */
function least(choices: readonly PanChoice[], of: (choice: PanChoice) => number): PanChoice[] {
	const lowest = Math.min(...choices.map(of));
	return choices.filter((choice) => of(choice) <= lowest + 1e-9);
}
