import { groupBy, sumBy } from "es-toolkit";
import type { FilledPan, LiquidLine, PanLimits } from "../shape/index.ts";
import { layeredBelow, lineAbovePiece, meatVolume, type PanType } from "../shape/index.ts";
import { type Candidate, fillOne, type PanLoad, rungsOf } from "./panCandidates.ts";
import { spreadEvenly } from "./spreadEvenly.ts";

export interface ChosenPan extends FilledPan {
	readonly type: PanType;
	readonly capacity: number;
	/** Which filling of the pans it is: 1 the first, more where they are filled again. */
	readonly go: number;
}

/** The pans of one dish. */
export interface PanChoice {
	/** Every filling: go by go, kind by kind; within a kind the fullest first. */
	readonly pans: readonly ChosenPan[];
	/** How many times the pans are filled, one filling after the other. */
	readonly goes: number;
	/** Pieces for which the stock has no pan. */
	readonly unplaced: number;
	/** Oven floor taken at once, in gastronorm 1/1 rungs. */
	readonly rungs: number;
	readonly liquid_l: number;
}

/** A pan more is only taken where it spares at least this share of the liquid. */
export const LIQUID_WORTH_A_PAN = 0.1;

/** What a pan more is held to cost, in litres, where so much at least is poured in all. */
export function panInLitres(poured_l: number): number {
	return Math.max(0.001, poured_l * LIQUID_WORTH_A_PAN);
}

/** The least that could be poured: all pieces in the kind that wastes least, less what the solids take up. */
export function leastPoured(load: PanLoad, kinds: readonly Candidate[]): number {
	const { pieces, piece, line, bed, wanted_l, layers = 1 } = load;
	if (wanted_l !== undefined) return wanted_l;
	const perPiece_l = Math.min(...kinds.map(({ below_l, capacity }) => below_l / capacity));
	const below_l =
		layers === "poured"
			? meatVolume(piece)
			: layeredBelow(piece, lineAbovePiece(piece, line, layers), layers);
	const solid_l = pieces * below_l + bed.volume_l;
	return kinds.length === 0 ? 0 : Math.max(0, pieces * perPiece_l - solid_l);
}

/** How many pans of each kind. */
export type Counts = readonly { readonly of: Candidate; readonly count: number }[];

/**
 * The pans of these counts with the pieces shared out: each kind filled to the same degree,
 * its pieces spread over its pans to within one. Pans that would stay empty go back.
 */
export function filledChoice(counts: Counts, load: PanLoad, limits: PanLimits): PanChoice {
	const room = counts.reduce((sum, { of: candidate, count }) => sum + candidate.capacity * count, 0);
	const placed = Math.min(load.pieces, room);
	const shared = shareOut(counts, placed, room);
	const pans = shared.flatMap(({ of: candidate, pieces }) => filled(candidate, pieces, load, limits));
	return {
		pans,
		goes: 1,
		unplaced: load.pieces - placed,
		rungs: shared.reduce((sum, { of: candidate, pieces }) => sum + rungsOf(candidate, pieces.length), 0),
		liquid_l: pans.reduce((sum, pan) => sum + pan.liquid_l, 0),
	};
}

/** At most two different fillings of a kind occur, so each is worked out once. */
function filled(
	candidate: Candidate,
	pieces: readonly number[],
	load: PanLoad,
	limits: PanLimits,
): ChosenPan[] {
	const known = new Map<number, ChosenPan>();
	return pieces.map((held) => {
		const pan = known.get(held) ?? {
			...fillOne(candidate.type, load, held, limits),
			type: candidate.type,
			capacity: candidate.holds,
			go: 1,
		};
		known.set(held, pan);
		return pan;
	});
}

/** The same pans brought to another line. */
export function filledTo(choice: PanChoice, load: PanLoad, line: LiquidLine, limits: PanLimits): PanChoice {
	const { wanted_l: _, ...fixed } = load;
	const lined = { ...fixed, line };
	// Pans that are filled alike are one and the same.
	const known = new Map<ChosenPan, ChosenPan>();
	const pans = choice.pans.map((pan) => {
		const filled = known.get(pan) ?? { ...pan, ...fillOne(pan.type, lined, pan.pieces, limits) };
		known.set(pan, filled);
		return filled;
	});
	return { ...choice, pans, liquid_l: pans.reduce((sum, { liquid_l }) => sum + liquid_l, 0) };
}

/** The same pans are filled so many times at the most: more would take all day. */
export const MOST_GOES = 3;

/**
 * The same pans filled again, for pieces that find no room in one filling: as few goes as it takes,
 * each with as many pieces as the others to within one.
 *
 * @returns the choice as it is where one filling holds all, or where it would take too many
 */
export function inGoes(choice: PanChoice, load: PanLoad, limits: PanLimits): PanChoice {
	// Whatever has no pan has none because all pans are full.
	const room = load.pieces - choice.unplaced;
	const goes = room > 0 ? Math.ceil(load.pieces / room) : 1;
	if (goes === 1 || goes > MOST_GOES) return choice;
	const kinds = Object.values(groupBy(choice.pans, ({ type }) => type.id)).map((alike) => ({
		of: { pan: alike[0] as ChosenPan, capacity: alike[0]?.pieces ?? 0 },
		count: alike.length,
	}));
	const pans = spreadEvenly(load.pieces, goes).flatMap((pieces, index) =>
		shareOut(kinds, pieces, room).flatMap(({ of: { pan }, pieces: each }) =>
			each.map((held) => ({ ...pan, ...fillOne(pan.type, load, held, limits), go: index + 1 })),
		),
	);
	return { ...choice, pans, goes, unplaced: 0, liquid_l: sumBy(pans, ({ liquid_l }) => liquid_l) };
}

/** Pieces shared out to kinds of pans by what they hold. */
function shareOut<C extends { readonly capacity: number }>(
	counts: readonly { readonly of: C; readonly count: number }[],
	placed: number,
	room: number,
): { of: C; pieces: number[] }[] {
	let left = placed;
	let roomLeft = room;
	return counts
		.filter(({ count }) => count > 0)
		.map(({ of: candidate, count }) => {
			const holds = candidate.capacity * count;
			const pieces = Math.min(holds, Math.round((left * holds) / roomLeft));
			left -= pieces;
			roomLeft -= holds;
			return { of: candidate, pieces: spreadEvenly(pieces, count).filter((held) => held > 0) };
		});
}
