import type { WorkedDish } from "#core/day";
import { type Piece, pieceHeight } from "#core/pans";
import { cookedShare, isByPiece } from "#core/yields";
import type { ServedDrawing } from "../../ui/drawings/Served.tsx";
import type { PlaceGiven } from "../Place.ts";

/** What a dish is served on, mm. General practice. */
const SERVED_ON = {
	plates: { across_mm: 270, down_mm: 270, round: true, name: "Plate" },
	platters: { across_mm: 460, down_mm: 320, round: true, name: "Platter" },
	boxes: { across_mm: 180, down_mm: 130, round: false, name: "Box" },
} as const;

/** Sauce stands so high on a plate, mm. General practice. */
const POOL_MM = 3;

/** One plate, platter or box; nothing for what is filled or pulled. */
export function servedView({ plan, reading }: PlaceGiven): ServedDrawing | undefined {
	const { serving, recipe, chain } = plan;
	if (serving.in !== "plates" && serving.in !== "platters" && serving.in !== "boxes") return undefined;
	const { name, ...on } = SERVED_ON[serving.in];
	const portions = serving.platters?.guests ?? 1;
	const count = Math.max(1, Math.round(piecesOfOne(plan) * portions));
	const cooked = cookedPiece(recipe.piece, Math.cbrt(cookedShare(recipe.losses)));
	const sauce_ml = recipe.sauce_ml * portions;
	const across = reading.length(on.across_mm);
	return {
		...on,
		across,
		pieces: Array.from({ length: count }, () => cooked),
		sauce_mm: 2 * Math.sqrt((sauce_ml * 1000) / POOL_MM / Math.PI),
		order: serving.order,
		words: `${name} of ${across} from above: ${count} of ${Math.round(plan.pieces)} pieces and ${reading.volume(sauce_ml / 1000)} of sauce, for ${portions} of ${chain.portions}. ${serving.order.join(", then ")}`,
	};
}

function piecesOfOne({ recipe: { portion }, pieces, chain }: WorkedDish): number {
	return isByPiece(portion) ? portion.piecesPerPortion : pieces / Math.max(1, chain.portions);
}

/** How large a piece lies on the plate, by the share of each of its sides that is left. */
function cookedPiece(piece: Piece, left: number): { wide_mm: number; high_mm: number } {
	switch (piece.shape) {
		case "ball":
			return { wide_mm: piece.diameter_mm * left, high_mm: piece.diameter_mm * left };
		case "cylinder":
			return { wide_mm: piece.length_mm * left, high_mm: pieceHeight(piece) * left };
		case "block":
			return { wide_mm: piece.length_mm * left, high_mm: piece.width_mm * left };
	}
}
