import { cookedShare, isByPiece } from "../yields/index.ts";
import type { Recipe } from "./Recipe.ts";

type Plated = Pick<Recipe, "portion" | "losses" | "servedIn"> & {
	readonly piece: Pick<Recipe["piece"], "weight_g">;
};

/** More than so many pieces on a plate are not counted but weighed. */
const MOST_ON_PLATE = 3;
/** How far the pieces of a plate may be from its portion, a share. */
const NEARLY_WHOLE = 0.15;
/** A joint for more than so many is sliced as it comes. */
const MOST_CUT_FOR = 4;

/**
 * Whole pieces on a plate: one that cooks down to about a portion, from three quarters of it to
 * half as much again, is one; smaller ones are two or three where so many come near.
 *
 * @returns 0 where a piece is cut for several, or many small ones make a portion
 * @example piecesOnPlate({ portion: { portion_g: 160 }, piece: { weight_g: 250, … }, losses: { cookingLoss: 0.36, … } }) // 1
 */
export function piecesOnPlate({ portion, piece, losses, servedIn }: Plated): number {
	// What is pulled apart has no pieces any more.
	if (isByPiece(portion) || servedIn === "pulled") return 0;
	const share = (piece.weight_g * cookedShare(losses)) / portion.portion_g;
	if (share >= 0.75) return share < 1.5 ? 1 : 0;
	const whole = Math.round(1 / share);
	return whole <= MOST_ON_PLATE && Math.abs(whole * share - 1) <= NEARLY_WHOLE ? whole : 0;
}

/** Whether a plate gets whole pieces, or an even cut of a joint, or so many small ones that it does not matter. */
export function isWholeOnPlate(recipe: Plated): boolean {
	if (isByPiece(recipe.portion) || recipe.servedIn === "pulled") return true;
	if (piecesOnPlate(recipe) > 0) return true;
	const share = (recipe.piece.weight_g * cookedShare(recipe.losses)) / recipe.portion.portion_g;
	const cutFor = Math.round(share);
	if (share > 1) return cutFor > MOST_CUT_FOR || Math.abs(share / cutFor - 1) <= NEARLY_WHOLE;
	return 1 / share > MOST_ON_PLATE + 0.5;
}

/** A piece and a portion that do not go together: the weight given, and the one that would agree, g. */
export type PieceOff =
	/** So many whole pieces cook to another weight than the portion. */
	| {
			readonly by: "portion";
			readonly pieces: number;
			readonly given_g: number;
			readonly portion_g: number;
			/** A piece, trimmed, that would agree. */
			readonly piece_g: number;
	  }
	/** A trimmed piece weighs something else than trimming leaves of a bought one. */
	| { readonly by: "trim"; readonly given_g: number; readonly trimmed_g: number };

/** Piece and portion agree when they differ by no more than this share. */
export const PIECE_AGREES_WITHIN = 0.1;

/**
 * Whether the piece of a card goes into its portion.
 *
 * @returns null where they agree within a tenth, or where the plate gets slices or many small pieces
 * @example pieceOff(…) // one of 288 g that cooks to 213 g, for a portion of 150 g
 */
export function pieceOff(recipe: Plated): PieceOff | null {
	const { portion, piece, losses } = recipe;
	const isOff = (given: number, wanted: number) => Math.abs(given / wanted - 1) > PIECE_AGREES_WITHIN + 1e-9;
	if (isByPiece(portion)) {
		const trimmed_g = portion.piece_g * (1 - losses.trimLoss);
		return isOff(piece.weight_g, trimmed_g) ? { by: "trim", given_g: piece.weight_g, trimmed_g } : null;
	}
	const pieces = piecesOnPlate(recipe);
	if (pieces === 0) return null;
	const given_g = pieces * piece.weight_g * cookedShare(losses);
	const { portion_g } = portion;
	return isOff(given_g, portion_g)
		? { by: "portion", pieces, given_g, portion_g, piece_g: (piece.weight_g * portion_g) / given_g }
		: null;
}
