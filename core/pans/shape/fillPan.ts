import { reckoned, type Working } from "../../workings/index.ts";
import { type LiquidLine, lineUp } from "./liquidLine.ts";
import { depthOf, emptyPanWeight, heightOf, type PanShape, volumeBelow } from "./PanShape.ts";
import type { Piece } from "./Piece.ts";
import { dipSum, liftedSum, lineSum, liquidSum, type PanParts, panWorkings } from "./panSums.ts";
import { type Bed, bedHeight, type Layers, NO_BED, type Pile, pileIn } from "./pile.ts";

/** Density of braising liquid, kg/l; stock and wine are within 3 % of water. */
export const LIQUID_KG_PER_L = 1;

/** One-person carrying limit of a hot pan, kg. House setting. @see model, section C */
export const LIFT_LIMIT_KG = 15;
/** Free wall above the liquid, mm: under a lid, and carried open. @see model, section C */
export const HEADSPACE_LID_MM = 25;
export const HEADSPACE_OPEN_MM = 35;

/** A piece of a covered pan may stand so close under its rim, mm: the cover still closes. @see model, section C */
export const UNDER_COVER_MM = 5;

export type PanWarning = "overfull" | "heavy" | "tallPiece";

export interface PanLimits {
	readonly headspace_mm: number;
	readonly liftLimit_kg: number;
}

/** What joins the pieces of one pan later, and what lies over everything. */
export interface Over {
	/** Another main, laid on the first. */
	readonly joins: Bed;
	/** A topping of slices over all of it: how thick, mm, and its weight, kg. */
	readonly topping_mm: number;
	readonly topping_kg: number;
}

export const NOTHING_OVER: Over = { joins: NO_BED, topping_mm: 0, topping_kg: 0 };

/** One pan with its pieces, brought to the line. */
export interface FilledPan {
	readonly pieces: number;
	/** The vegetables in it. */
	readonly bed: Bed;
	/** What joins it later, and lies over everything. */
	readonly over: Over;
	/** Litres to pour. */
	readonly liquid_l: number;
	/** Top of the bed above the floor, where the pieces stand, mm. */
	readonly bed_mm: number;
	/** From there to the top of the pieces, mm. */
	readonly pile_mm: number;
	/** Liquid line above the floor, mm. */
	readonly line_mm: number;
	/** Where it stands when what joins later is in, mm; the line itself where nothing does. */
	readonly joined_mm: number;
	/** From the rim down to the liquid, mm. */
	readonly dip_mm: number;
	/** Pieces, bed and liquid, kg. */
	readonly contents_kg: number;
	/** With the pan itself, kg. */
	readonly lifted_kg: number;
	/** How far the piece stands too high for the cover to close, mm; 0 when it does not. */
	readonly pieceOver_mm: number;
	readonly warnings: readonly PanWarning[];
}

/** What a pan is filled by, up to a line; a line above the rim is poured to the brim. */
function partsOf(
	pan: PanShape,
	pieces: number,
	line: LiquidLine,
	{ bed_mm, height_mm, pieceBelow_l, bedBelow_l }: Pile,
): PanParts & { readonly height_mm: number } {
	const up_mm = lineUp(height_mm, line);
	const depth_mm = depthOf(pan);
	const reached = Math.min(bed_mm + up_mm, depth_mm);
	return {
		bed_mm,
		up_mm,
		depth_mm,
		height_mm,
		pieces,
		inside_l: volumeBelow(pan, reached),
		piece_l: pieceBelow_l(reached),
		bed_l: bedBelow_l(reached),
	};
}

/**
 * Litres to pour into a pan of so many pieces for one line after another: what lies in it is worked
 * out once.
 */
export function pouring(
	pan: PanShape,
	piece: Piece,
	pieces: number,
	bed: Bed,
	layers: Layers,
): (line: LiquidLine) => number {
	const pile = pileIn(pan, piece, pieces, bed, layers);
	return (line) => reckoned(liquidSum(partsOf(pan, pieces, line, pile)));
}

/**
 * How the figures of a filled pan came about: its line, its liquid, its dip, what is lifted.
 *
 * @param line   as it was poured
 * @param layers how many pieces lie on one another
 */
export function fillingWorkings(
	pan: PanShape,
	piece: Piece,
	{ pieces, bed, line_mm, contents_kg }: Pick<FilledPan, "pieces" | "bed" | "line_mm" | "contents_kg">,
	line: LiquidLine,
	layers: Layers = 1,
): Working[] {
	const parts = partsOf(pan, pieces, line, pileIn(pan, piece, pieces, bed, layers));
	return panWorkings({
		line: lineSum(parts),
		liquid: liquidSum(parts),
		dip: dipSum(parts.depth_mm, line_mm),
		lifted: liftedSum(contents_kg, emptyPanWeight(pan)),
	});
}

/**
 * One pan with so many pieces over its bed, and liquid to the line.
 * A line above the rim is poured to the brim and flagged, never silently lowered.
 * Headspace is for the liquid; a piece may stand up to the cover.
 *
 * @param layers how many pieces lie on one another
 * @param over   what joins later and lies over them; its room and weight count, the liquid is poured without it
 * @see model, section C
 */
export function fillPan(
	pan: PanShape,
	piece: Piece,
	pieces: number,
	line: LiquidLine,
	bed: Bed,
	limits: PanLimits,
	layers: Layers = 1,
	over: Over = NOTHING_OVER,
): FilledPan {
	const pile = pileIn(pan, piece, pieces, bed, layers);
	const { height_mm, ...parts } = partsOf(pan, pieces, line, pile);
	const { bed_mm, depth_mm: depth } = parts;
	const line_mm = reckoned(lineSum(parts));
	const top = depth - limits.headspace_mm;
	const reached = Math.min(line_mm, depth);
	const liquid_l = reckoned(liquidSum(parts));
	const { joins, topping_mm, topping_kg } = over;
	const joined_mm =
		joins.volume_l > 0
			? Math.max(line_mm, heightOf(pan, volumeBelow(pan, reached) + joins.volume_l))
			: line_mm;
	const contents_kg =
		liquid_l * LIQUID_KG_PER_L +
		(pieces * piece.weight_g) / 1000 +
		bed.weight_kg +
		joins.weight_kg +
		topping_kg;
	const lifted_kg = reckoned(liftedSum(contents_kg, emptyPanWeight(pan)));
	const warnings: PanWarning[] = [];
	if (joined_mm > top) warnings.push("overfull");
	if (lifted_kg > limits.liftLimit_kg) warnings.push("heavy");
	const top_mm = bed_mm + height_mm + (joins.volume_l > 0 ? bedHeight(pan, joins) : 0) + topping_mm;
	const pieceOver_mm = Math.max(0, top_mm - (depth - UNDER_COVER_MM));
	if (pieceOver_mm > 0) warnings.push("tallPiece");
	return {
		pieces,
		bed,
		over,
		liquid_l,
		bed_mm,
		pile_mm: height_mm,
		line_mm,
		joined_mm,
		dip_mm: reckoned(dipSum(depth, line_mm)),
		contents_kg,
		lifted_kg,
		pieceOver_mm,
		warnings,
	};
}
