import { piecesPerPan } from "../packing/index.ts";
import {
	type Bed,
	depthOf,
	type FilledPan,
	fillPan,
	HEADSPACE_LID_MM,
	type Layers,
	type LiquidLine,
	lineForLitres,
	meatVolume,
	NOTHING_OVER,
	type Over,
	type PanLimits,
	type PanType,
	type Piece,
	POURED_FILL,
	pouring,
	rungsHigh,
	shelfShare,
	volumeBelow,
} from "../shape/index.ts";

/** So many pans of one kind, no more and no fewer; none keeps the kind for others. */
export interface PanWish {
	readonly typeId: string;
	readonly count: number;
}

/** What has to go into pans. */
export interface PanLoad {
	readonly piece: Piece;
	readonly pieces: number;
	readonly gap_mm: number;
	/** The card's line, or the chef's: the highest that is poured. */
	readonly line: LiquidLine;
	/** Litres that are wanted for all pieces; where it is absent, the line itself is poured. */
	readonly wanted_l?: number;
	/** How pieces lie on one another; in one layer where it is absent. */
	readonly layers?: Layers;
	/** Vegetables under all the pieces together. */
	readonly bed: Bed;
	/** What joins all the pieces together later, and lies over them; nothing where it is absent. */
	readonly over?: Over;
	/** Whether a pan that is too heavy or over-full when full is filled less instead. */
	readonly filledLess?: boolean;
	/** What the chef has settled. */
	readonly wishes?: readonly PanWish[];
	/** The kinds that suit its heat; any where it is absent. */
	readonly among?: readonly string[];
	/** Whether it stays where it is filled: on the hob nobody lifts it full. */
	readonly stays?: boolean;
}

/** A kind of pan that one dish may use. */
export interface Candidate {
	readonly type: PanType;
	/** Pieces that go into it, and that it holds. */
	readonly capacity: number;
	readonly holds: number;
	/** Share of a gastronorm 1/1 level, and the rungs it reaches up. */
	readonly share: number;
	readonly high: number;
	/** What a full one holds below its line, pieces and bed and liquid, litres. */
	readonly below_l: number;
	/** What is poured into a full one, litres. */
	readonly poured_l: number;
	/** Exactly so many are wished for; undefined leaves it open. */
	readonly wished: number | undefined;
	/** Whether it is better left on the shelf: 0 when a full one keeps its headspace and can be carried. */
	readonly drawback: number;
}

/** Gastronorm 1/1 levels that so many pans of a kind begin. */
export function levelsOf({ share }: Pick<Candidate, "share">, count: number): number {
	return Math.ceil(count * share - 1e-9);
}

/** Gastronorm 1/1 rungs that so many pans of a kind take: whole levels, each as high as the pan. */
export function rungsOf({ share, high }: Pick<Candidate, "share" | "high">, count: number): number {
	return levelsOf({ share }, count) * high;
}

/** The kinds in which a piece of the dish lies, less what the chef has ruled out. */
export function candidatesFor(load: PanLoad, stock: readonly PanType[], limits: PanLimits): Candidate[] {
	return stock
		.filter((type) => type.stock > 0 && (load.among?.includes(type.id) ?? true))
		.map((type) => ({ ...knownCandidate(type, load, limits), type }))
		.filter(({ capacity, wished }) => capacity > 0 && wished !== 0);
}

/** What a kind is for a load, whatever there is of it: asked for in every round of a choice. */
const known = new WeakMap<PanLoad, Map<string, { readonly limits: PanLimits; readonly found: Candidate }>>();

function knownCandidate(type: PanType, load: PanLoad, limits: PanLimits): Candidate {
	const ofLoad = known.get(load) ?? new Map();
	known.set(load, ofLoad);
	const before = ofLoad.get(type.id);
	if (before && before.limits === limits && before.found.type.shape === type.shape) return before.found;
	const found = candidate(type, load, limits);
	ofLoad.set(type.id, { limits, found });
	return found;
}

/** A pan that is over-full or too heavy for one, and one that does not close over its pieces. */
const AWKWARD = 1;
const DOES_NOT_CLOSE = 5;
/** How much worse a pan is that weighs twice the limit. */
const OVER_LIMIT = 2;

/** What a pan with a drawback is held to cost in rungs: it stays on the shelf while any other will do. */
export const DRAWBACK_RUNGS = 300;

function candidate(type: PanType, load: PanLoad, limits: PanLimits): Candidate {
	const holds = capacityOf(type, load);
	const within = limitsOf(type, load, limits);
	const full = fillOne(type, load, Math.min(holds, load.pieces), limits);
	const lighter =
		load.filledLess && drawbackOf(full, within) > 0 ? lighterCapacity(type, load, holds, limits) : holds;
	const filled = lighter < holds ? fillOne(type, load, Math.min(lighter, load.pieces), limits) : full;
	return {
		type,
		capacity: lighter,
		holds,
		// What stands in no oven is counted by vessels.
		share: load.stays ? 1 : shelfShare(type.shape),
		high: load.stays ? 1 : rungsHigh(type.shape),
		below_l: volumeBelow(type.shape, Math.min(filled.line_mm, depthOf(type.shape))),
		poured_l: filled.liquid_l,
		wished: load.wishes?.find(({ typeId }) => typeId === type.id)?.count,
		drawback: drawbackOf(filled, within),
	};
}

/** A pan filled to less than this share is not filled less, but left on the shelf. */
const LEAST_SHARE = 0.6;

/**
 * The most pieces with which a pan has no drawback that has one when it is full; all it holds, where
 * that would be too few. A pan with more pieces is heavier and fuller, never less so: the number is
 * halved in on.
 */
function lighterCapacity(type: PanType, load: PanLoad, holds: number, limits: PanLimits): number {
	const within = limitsOf(type, load, limits);
	const isGood = (pieces: number) => drawbackOf(fillOne(type, load, pieces, limits), within) === 0;
	let [good, bad] = [Math.ceil(holds * LEAST_SHARE), Math.min(holds, load.pieces)];
	if (good >= bad || !isGood(good)) return holds;
	while (bad - good > 1) {
		const middle = Math.floor((good + bad) / 2);
		if (isGood(middle)) good = middle;
		else bad = middle;
	}
	return good;
}

/** The further over the carrying limit, the worse. */
function drawbackOf(full: FilledPan, { liftLimit_kg }: PanLimits): number {
	if (full.warnings.includes("tallPiece")) return DOES_NOT_CLOSE;
	const over = Math.max(0, full.lifted_kg / liftLimit_kg - 1);
	const isAwkward = full.warnings.includes("overfull") || over > 0;
	return isAwkward ? AWKWARD + over * OVER_LIMIT : 0;
}

/** One pan with some of the pieces and its share of the bed. */
export function fillOne(type: PanType, load: PanLoad, pieces: number, limits: PanLimits): FilledPan {
	const share = pieces / load.pieces;
	const bed = { volume_l: load.bed.volume_l * share, weight_kg: load.bed.weight_kg * share };
	const { piece, layers = 1 } = load;
	const within = limitsOf(type, load, limits);
	const over = load.over ? shareOver(load.over, share) : NOTHING_OVER;
	const at = (line: LiquidLine) => fillPan(type.shape, piece, pieces, line, bed, within, layers, over);
	if (load.wanted_l === undefined) return at(load.line);
	const litresAt = pouring(type.shape, piece, pieces, bed, layers);
	return at(lineForLitres(litresAt, load.wanted_l * share, piece, load.line, layers));
}

function shareOver({ joins, topping_mm, topping_kg }: Over, share: number): Over {
	return {
		joins: { volume_l: joins.volume_l * share, weight_kg: joins.weight_kg * share },
		topping_mm,
		topping_kg: topping_kg * share,
	};
}

/** The gap gives so much before another pan is taken, mm, and never more than half of it. @see model, section C */
export const GAP_GIVES_MM = 5;

/** The house's limits for one kind of vessel: some may not be filled as far, and what stays is not lifted. */
function limitsOf({ shape, fill = 1 }: PanType, { stays }: PanLoad, limits: PanLimits): PanLimits {
	return {
		headspace_mm: Math.max(limits.headspace_mm, (1 - fill) * depthOf(shape)),
		liftLimit_kg: stays ? Number.POSITIVE_INFINITY : limits.liftLimit_kg,
	};
}

/** Pieces that one pan takes: when the gap gives a little, or as they are poured with what lies among them. */
export function capacityOf(
	{ shape, fill = 1 }: Pick<PanType, "shape" | "fill">,
	load: Pick<PanLoad, "piece" | "gap_mm" | "layers" | "bed" | "pieces" | "over">,
): number {
	const { piece, gap_mm, layers = 1, bed, pieces, over = NOTHING_OVER } = load;
	if (layers !== "poured") return layers * piecesPerPan(shape, piece, tightGap(gap_mm));
	if (piecesPerPan(shape, piece, 0) === 0) return 0;
	const depth_mm = depthOf(shape);
	const top_mm = Math.min(fill * depth_mm, depth_mm - HEADSPACE_LID_MM) - over.topping_mm;
	const each_l = meatVolume(piece) + (bed.volume_l + over.joins.volume_l) / pieces;
	return Math.floor((volumeBelow(shape, Math.max(0, top_mm)) * POURED_FILL) / each_l);
}

/** The gap between pieces that a pan is filled to at the most, mm. */
export function tightGap(gap_mm: number): number {
	return Math.max(gap_mm / 2, gap_mm - GAP_GIVES_MM);
}
