import { refuse } from "../../check/index.ts";
import type { LiquidLine, Piece } from "../shape/index.ts";
import {
	depthOf,
	fillPan,
	insideAt,
	NO_BED,
	type PanLimits,
	type PanShape,
	type PanWarning,
	panWords,
	volumeBelow,
} from "../shape/index.ts";
import { packLayer } from "./packLayer.ts";

export interface PanFit {
	readonly brim_l: number;
	readonly piecesPerPan: number;
	readonly pans: number;
	readonly liquidPerFullPan_l: number;
	readonly dip_mm: number;
	readonly filled_kg: number;
	readonly warnings: readonly PanWarning[];
}

/**
 * How many of one pan a number of pieces needs, and what a full one of them holds.
 *
 * @throws {Refusal} naming `piece` when it lies in the pan no way round
 * @see model, section C
 */
export function panFit(
	pan: PanShape,
	piece: Piece,
	pieces: number,
	gap_mm: number,
	line: LiquidLine,
	limits: PanLimits,
): PanFit {
	const piecesPerPan = packLayer(insideAt(pan, 0), piece, gap_mm).length;
	if (piecesPerPan === 0) {
		throw refuse(
			"piece",
			`lies no way round in the pan (${panWords(pan)}); a smaller piece or a larger pan is needed`,
		);
	}
	const full = fillPan(pan, piece, piecesPerPan, line, NO_BED, limits);
	return {
		brim_l: volumeBelow(pan, depthOf(pan)),
		piecesPerPan,
		pans: Math.ceil(pieces / piecesPerPan),
		liquidPerFullPan_l: full.liquid_l,
		dip_mm: full.dip_mm,
		filled_kg: full.contents_kg,
		warnings: full.warnings,
	};
}
